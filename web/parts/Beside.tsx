import type { CSSProperties, ReactNode } from 'react'
import css from './Beside.module.css'

/** What there is, and the one of it that is opened beside it: the opened one stays in view however far the rest is scrolled. */
export function Beside(props: { list: ReactNode; opened: ReactNode; label: string; width?: number }) {
  return (
    <div className={css.beside} style={{ '--opened': `${props.width ?? 320}px` } as CSSProperties}>
      <div className={css.list}>{props.list}</div>
      <section className={css.opened} aria-label={props.label}>
        {props.opened}
      </section>
    </div>
  )
}
