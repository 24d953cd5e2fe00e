import { Button, Loader } from '@mantine/core'
import { useDocumentTitle } from '@mantine/hooks'
import type { ReactNode } from 'react'
import css from './states.module.css'

/** While something is on its way. */
export function Loading(props: { what: string }) {
  return (
    <div className={css.state} role="status">
      <Loader size="sm" type="dots" />
      <span>Fetching {props.what}…</span>
    </div>
  )
}

/** Nothing here yet: what it is for, and the way to begin. `page` when it is all there is on the page. */
export function Empty(props: { title: string; page?: boolean; children?: ReactNode; action?: ReactNode }) {
  const Heading = props.page ? 'h1' : 'h2'
  useDocumentTitle(props.page ? `${props.title} · Kanten` : '')
  return (
    <div className={css.state}>
      <Heading>{props.title}</Heading>
      {props.children && <p className={css.words}>{props.children}</p>}
      {props.action}
    </div>
  )
}

/** Something could not be had: why, and another try. */
export function Failed(props: { what: string; error: Error; retry?: () => void }) {
  return (
    <div className={css.state} role="alert">
      <h2>{props.what} could not be shown</h2>
      <p className={css.words}>{props.error.message}</p>
      {props.retry && <Button onClick={props.retry}>Try again</Button>}
    </div>
  )
}
