import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { termIds, termOf } from '#core/glossary/terms'
import { TermDrawing } from '../../glossary/TermDrawing.tsx'
import { PageHead } from '../../parts/Card.tsx'
import { Empty } from '../../parts/states.tsx'
import css from './Glossary.module.css'

/** Every word of the trade that these screens use. */
export function Glossary() {
  const [search, setSearch] = useState('')
  const wanted = search.trim().toLowerCase()
  const shown = termIds
    .map(termOf)
    .filter((t) => `${t.name} ${t.says} ${t.why}`.toLowerCase().includes(wanted))
    .sort((a, b) => a.name.localeCompare(b.name))
  return (
    <>
      <PageHead
        title="Words"
        line="What the trade’s words mean on these screens; dotted words explain themselves when they are pressed"
        actions={
          <TextInput
            aria-label="Search the words"
            placeholder="Search"
            value={search}
            onChange={(event) => setSearch(event.currentTarget.value)}
          />
        }
      />
      {shown.length === 0 && <Empty title="No such word">Try a shorter one.</Empty>}
      <ul className={css.words}>
        {shown.map((term) => (
          <li key={term.id} id={term.id} className={css.word}>
            <TermDrawing id={term.id} />
            <div>
              <h2>{term.name}</h2>
              <p>{term.says}</p>
              <p className="quiet">{term.why}</p>
            </div>
          </li>
        ))}
      </ul>
    </>
  )
}
