import css from './Colours.module.css'

/** Colours to be added by a press, each with what it is beside the one it came from. */
export function Chips(props: {
  chips: readonly { words: string; hex: string }[]
  take: (hex: string, words: string) => void
}) {
  return (
    <span className={css.chips}>
      {props.chips.map(({ words, hex }) => (
        <button
          key={`${words} ${hex}`}
          type="button"
          onClick={() => props.take(hex, words)}
          aria-label={`Add ${words} ${hex}`}
        >
          <span style={{ background: hex }} />
          {words}
        </button>
      ))}
    </span>
  )
}
