import { IconMessage2 } from '@tabler/icons-react'
import { useState } from 'react'
import { OTHERWISE } from '#core/bench/otherwise'
import css from './Bench.module.css'

/** What mostly comes out otherwise, one touch each. */

/** Something came out otherwise than planned: by one touch, or in a few words. */
export function Otherwise({ noted, tell }: { noted: number; tell: (words: string) => void }) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState('')
  const say = (words: string) => {
    tell(words)
    setTyped('')
    setOpen(false)
  }
  return (
    <>
      <button type="button" className={css.act} onClick={() => setOpen(true)}>
        <IconMessage2 size={32} stroke={1.5} /> {noted > 0 ? `${noted} noted` : 'Otherwise'}
      </button>
      {open && (
        <section className={`${css.choice} ${css.tablet}`} aria-label="Came out otherwise">
          <h2>It came out otherwise</h2>
          <div className={css.ways4}>
            {OTHERWISE.map((words) => (
              <button key={words} type="button" className={css.act} onClick={() => say(words)}>
                {words}
              </button>
            ))}
          </div>
          <form
            className={css.row}
            onSubmit={(e) => {
              e.preventDefault()
              if (typed.trim()) say(typed.trim())
            }}
          >
            <input
              aria-label="In other words"
              className={css.typed}
              maxLength={500}
              placeholder="in other words"
              value={typed}
              onChange={(e) => setTyped(e.currentTarget.value)}
            />
            <button type="submit" className={css.act} disabled={!typed.trim()}>
              Note it
            </button>
            <button type="button" className={css.act} onClick={() => setOpen(false)}>
              Nothing
            </button>
          </form>
        </section>
      )}
    </>
  )
}
