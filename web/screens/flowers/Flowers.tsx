import { Button, FileButton, Menu, SegmentedControl, TextInput } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { Problem } from '#contract/problem'
import { foundFlowers } from '#core/finding/flowers'
import type { Flower } from '#core/model/flower'
import { ApiError } from '../../data/api.ts'
import { createFlower, importFlower, reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { PageHead } from '../../parts/Card.tsx'
import { ImportFaults } from '../../parts/ImportFaults.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { FlowerGrid } from './FlowerGrid.tsx'
import css from './Flowers.module.css'

const forms = [
  { value: 'all', label: 'All' },
  { value: 'flower', label: 'Flowers' },
  { value: 'leaf', label: 'Leaves' },
  { value: 'vine', label: 'Vines' },
  { value: 'border', label: 'Borders' },
  { value: 'own', label: 'Our own' },
]

/** What can be begun from nothing. */
const begun: { form: Flower['form']; label: string }[] = [
  { form: 'flower', label: 'A flower' },
  { form: 'leaf', label: 'A leaf' },
  { form: 'vine', label: 'A vine or stem' },
  { form: 'border', label: 'A border' },
]

/** The library. */
export function Flowers() {
  const { workshop, error } = useWorkshop()
  const [search, setSearch] = useState('')
  const [form, setForm] = useState('all')
  const [refused, setRefused] = useState<{ file: string; problem: Problem } | null>(null)
  const navigate = useNavigate()

  async function begin(of: Flower['form']) {
    const made = await attempt(() => createFlower(of))
    if (made) navigate(`/flowers/${made.id}`)
  }

  async function takeIn(file: File | null) {
    if (!file) return
    try {
      const flower = await importFlower(await file.text())
      navigate(`/flowers/${flower.id}`)
      tell(`“${flower.name}” is in your library.`)
    } catch (error) {
      if (error instanceof ApiError) setRefused({ file: file.name, problem: error.problem })
      else tell((error as Error).message)
    }
  }

  if (error && !workshop) return <Failed what="The library" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the library" />
  const ofForm = workshop.flowers.filter(
    (f) => form === 'all' || (form === 'own' ? f.source === 'own' : f.form === form),
  )
  const shown = search.trim() === '' ? ofForm : foundFlowers(ofForm, search)
  return (
    <>
      <PageHead
        title="Flowers"
        line={`${workshop.flowers.length} recipes, every one made of strokes`}
        actions={
          <>
            <Button component={Link} to="/practice">
              Practise
            </Button>
            <Button component={Link} to="/wrong">
              What goes wrong
            </Button>
            <AskedMenu position="bottom-end" button={<Button variant="filled">New</Button>}>
              {begun.map(({ form: of, label }) => (
                <Menu.Item key={of} onClick={() => begin(of)}>
                  {label}
                </Menu.Item>
              ))}
            </AskedMenu>
            <FileButton
              onChange={takeIn}
              accept="application/json,.json"
              inputProps={{ 'aria-label': 'Flower file' }}
            >
              {(props) => <Button {...props}>Import a flower</Button>}
            </FileButton>
          </>
        }
      />
      <div className={css.tools}>
        <SegmentedControl aria-label="Kind" value={form} onChange={setForm} data={forms} />
        <TextInput
          aria-label="Search the library"
          placeholder="Name, part or stroke: rose, stamen, ruffle"
          w={330}
          value={search}
          onChange={(e) => setSearch(e.currentTarget.value)}
        />
      </div>
      <ImportFaults refused={refused} close={() => setRefused(null)} />
      {shown.length === 0 ? (
        <Empty title="Nothing here">
          {form === 'own' && search === ''
            ? 'Begin a new one, or open a flower and copy it: the copy is yours to change.'
            : 'No recipe fits. Try a shorter word or another kind.'}
        </Empty>
      ) : (
        <FlowerGrid flowers={shown} workshop={workshop} />
      )}
    </>
  )
}
