import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react'
import css from './Bench.module.css'

/** Goes through the layers of a flower that is piped whole: one after the other, or all of it at once. */
export function LayerTurn(props: {
  names: readonly string[]
  /** The layer that is shown; null for the whole flower. */
  at: number | null
  turn: (at: number | null) => void
}) {
  const { names, at, turn } = props
  const before = at === null ? names.length - 1 : at === 0 ? null : at - 1
  const after = at === null ? 0 : at === names.length - 1 ? null : at + 1
  return (
    <div className={css.layers}>
      <button type="button" className={css.small} aria-label="The layer before" onClick={() => turn(before)}>
        <IconChevronLeft size={26} />
      </button>
      <span>{at === null ? `all ${names.length} layers` : `${at + 1} of ${names.length}: ${names[at]}`}</span>
      <button type="button" className={css.small} aria-label="The layer after" onClick={() => turn(after)}>
        <IconChevronRight size={26} />
      </button>
    </div>
  )
}
