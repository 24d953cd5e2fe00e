import { Popover } from '@mantine/core'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { type TermId, termOf } from '#core/glossary/terms'
import css from './Term.module.css'
import { TermDrawing } from './TermDrawing.tsx'

/** A word of the trade that explains itself on press: what it is, a small drawing, what it is for. */
export function Term({ id, children }: { id: TermId; children?: ReactNode }) {
  const term = termOf(id)
  return (
    <Popover position="bottom-start" width={330} withArrow shadow="none" withinPortal>
      <Popover.Target>
        <button type="button" className={css.term}>
          {children ?? term.name}
        </button>
      </Popover.Target>
      <Popover.Dropdown>
        <div className={css.box}>
          <TermDrawing id={id} />
          <strong>{term.name}</strong>
          <p>{term.says}</p>
          <p className="quiet">{term.why}</p>
          <Link to={`/words#${id}`} className={css.all}>
            All words
          </Link>
        </div>
      </Popover.Dropdown>
    </Popover>
  )
}
