import { IconUser } from '@tabler/icons-react'
import { useState } from 'react'
import css from './Bench.module.css'

/** Whose hands work at this tablet: what they begin is theirs, and nobody else is sent to it. */
export function Whose(props: {
  hands: readonly string[]
  by: string | null
  choose: (by: string | null) => void
}) {
  const { hands, by, choose } = props
  const [asking, setAsking] = useState(false)
  const say = (name: string | null) => {
    choose(name)
    setAsking(false)
  }
  return (
    <>
      <button
        type="button"
        className={css.small}
        aria-label={by === null ? 'Whose hands?' : `Hands of ${by}`}
        onClick={() => setAsking(true)}
      >
        {by === null ? <IconUser size={26} /> : initials(by)}
      </button>
      {asking && (
        <section className={css.choice} aria-label="Whose hands?">
          <h2>Whose hands work at this tablet?</h2>
          {hands.map((name) => (
            <button
              key={name}
              type="button"
              className={css.act}
              aria-pressed={name === by}
              onClick={() => say(name)}
            >
              {name}
            </button>
          ))}
          <button type="button" className={css.act} aria-pressed={by === null} onClick={() => say(null)}>
            Nobody in particular
          </button>
        </section>
      )}
    </>
  )
}

/** "Ada Fen" is AF, "Hands 2" is H2. */
const initials = (name: string) =>
  name
    .split(/\s+/)
    .slice(0, 2)
    .map((word) => word.charAt(0).toUpperCase())
    .join('')
