import { useDocumentTitle } from '@mantine/hooks'
import type { ReactNode } from 'react'
import css from './Card.module.css'

/** A white card with a heading, an aside beside it and its actions at the right. */
export function Card(props: {
  title?: ReactNode
  aside?: ReactNode
  actions?: ReactNode
  label?: string
  children: ReactNode
}) {
  return (
    <section className={css.card} aria-label={props.label}>
      {(props.title || props.actions || props.aside) && (
        <header className={css.head}>
          {props.title && <h2>{props.title}</h2>}
          {props.aside && <span className="quiet">{props.aside}</span>}
          {props.actions && <div className={css.actions}>{props.actions}</div>}
        </header>
      )}
      {props.children}
    </section>
  )
}

/** Title of a page, a line beneath it, and its actions; the browser's tab says it too, behind the part that is open. */
export function PageHead(props: { title: string; part?: string; line?: ReactNode; actions?: ReactNode }) {
  useDocumentTitle([props.part, props.title, 'Kanten'].filter(Boolean).join(' · '))
  return (
    <header className={css.page}>
      <div>
        <h1>{props.title}</h1>
        {props.line && <p className={css.line}>{props.line}</p>}
      </div>
      {props.actions && <div className={css.actions}>{props.actions}</div>}
    </header>
  )
}

/** A figure that matters, its unit beside it, its name above. */
export function Stat(props: { name: ReactNode; children: ReactNode; note?: ReactNode }) {
  return (
    <div className={css.stat}>
      <dt>{props.name}</dt>
      <dd className="figure">{props.children}</dd>
      {props.note && <dd className={css.statNote}>{props.note}</dd>}
    </div>
  )
}

/** A row of figures. */
export function Stats(props: { children: ReactNode }) {
  return <dl className={css.stats}>{props.children}</dl>
}

/** The same over a part of a page that has a title of its own. */
export function PartHead({ title, line, actions }: Omit<Parameters<typeof PageHead>[0], 'part'>) {
  return (
    <header className={css.page}>
      <div>
        <h2 className={css.part}>{title}</h2>
        {line && <p className={css.line}>{line}</p>}
      </div>
      {actions && <div className={css.actions}>{actions}</div>}
    </header>
  )
}
