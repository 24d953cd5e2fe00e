import { SegmentedControl, TextInput } from '@mantine/core'
import { useState } from 'react'
import { reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { PageHead } from '../../parts/Card.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import css from './Flowers.module.css'
import { FlowerTile } from './FlowerTile.tsx'

const forms = [
  { value: 'all', label: 'All' },
  { value: 'flower', label: 'Flowers' },
  { value: 'leaf', label: 'Leaves' },
  { value: 'vine', label: 'Vines' },
  { value: 'border', label: 'Borders' },
  { value: 'own', label: 'Our own' },
]

/** The library. */
export function Flowers() {
  const { workshop, error } = useWorkshop()
  const [search, setSearch] = useState('')
  const [form, setForm] = useState('all')
  if (error && !workshop) return <Failed what="The library" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the library" />
  const shown = workshop.flowers.filter(
    (f) =>
      (form === 'all' || (form === 'own' ? f.source === 'own' : f.form === form)) &&
      f.name.toLowerCase().includes(search.trim().toLowerCase()),
  )
  return (
    <>
      <PageHead
        title="Flowers"
        line={`${workshop.flowers.length} recipes, every one made of strokes`}
        actions={
          <>
            <SegmentedControl aria-label="Kind" value={form} onChange={setForm} data={forms} />
            <TextInput
              aria-label="Search the library"
              placeholder="Search"
              value={search}
              onChange={(e) => setSearch(e.currentTarget.value)}
            />
          </>
        }
      />
      {shown.length === 0 ? (
        <Empty title="Nothing here">
          {form === 'own' && search === ''
            ? 'Open a flower and copy it: the copy is yours to change.'
            : 'No recipe fits. Try a shorter word or another kind.'}
        </Empty>
      ) : (
        <ul className={css.grid}>
          {shown.map((flower) => (
            <li key={flower.id}>
              <FlowerTile flower={flower} workshop={workshop} />
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
