import css from './FlagMark.module.css'

/** The small flag of things that want a decision; always beside words. */
export function FlagMark() {
  return (
    <svg viewBox="0 0 8 8" width="9" height="9" aria-hidden="true" className={css.flag}>
      <path d="M0 0 8 4 0 8z" />
    </svg>
  )
}
