import { IconSettings } from '@tabler/icons-react'
import { useEffect, useState } from 'react'
import { type BenchAct, benchActs, type Tablet, USUAL_TABLET, withKey } from '../../bench/tablet.ts'
import css from './Bench.module.css'
import { canSpeak } from './useVoice.ts'

const ACTS: Record<BenchAct, string> = {
  tap: 'One more, or done',
  back: 'One back',
  next: 'The step after',
  before: 'The step before',
}
const ROOMS = [
  { room: 'bakery', words: 'As in the settings' },
  { room: 'light', words: 'Light room' },
  { room: 'dark', words: 'Dark room' },
] as const

const keyWords = (key: string) => (key === ' ' ? 'Space' : key.replace(/^Arrow|^Page/, (p) => `${p} `).trim())

/** How the bench is on this device: the room, the size of letters, the voice, the keys. */
export function TabletChoice({ tablet, choose }: { tablet: Tablet; choose: (tablet: Tablet) => void }) {
  const [open, setOpen] = useState(false)
  const [learning, setLearning] = useState<BenchAct | null>(null)
  useEffect(() => {
    if (!learning) return
    const onKey = (e: KeyboardEvent) => {
      e.preventDefault()
      e.stopPropagation()
      if (e.key !== 'Escape') choose(withKey(tablet, learning, e.key))
      setLearning(null)
    }
    window.addEventListener('keydown', onKey, true)
    return () => window.removeEventListener('keydown', onKey, true)
  }, [learning, tablet, choose])
  return (
    <>
      <button type="button" className={css.small} aria-label="This tablet" onClick={() => setOpen(true)}>
        <IconSettings size={26} />
      </button>
      {open && (
        <section className={`${css.choice} ${css.tablet}`} aria-label="This tablet">
          <h2>This tablet</h2>
          <div className={css.row}>
            {ROOMS.map(({ room, words }) => (
              <button
                key={room}
                type="button"
                className={css.act}
                aria-pressed={tablet.room === room}
                onClick={() => choose({ ...tablet, room })}
              >
                {words}
              </button>
            ))}
          </div>
          <div className={css.row}>
            <button
              type="button"
              className={css.act}
              aria-pressed={tablet.large}
              onClick={() => choose({ ...tablet, large: !tablet.large })}
            >
              Larger type
            </button>
            <button
              type="button"
              className={css.act}
              disabled={!canSpeak()}
              aria-pressed={tablet.voice}
              onClick={() => choose({ ...tablet, voice: !tablet.voice })}
            >
              {canSpeak() ? 'Speak the steps' : 'This browser has no voice'}
            </button>
          </div>
          <h2>Keys and pedal</h2>
          <div className={css.keys}>
            {benchActs.map((act) => (
              <button
                key={act}
                type="button"
                className={css.act}
                aria-pressed={learning === act}
                onClick={() => setLearning(learning === act ? null : act)}
              >
                <span>{ACTS[act]}</span>
                <span>
                  {learning === act
                    ? 'press a key or the pedal now'
                    : tablet.keys[act].map(keyWords).join(', ') || 'none'}
                </span>
              </button>
            ))}
          </div>
          <div className={css.row}>
            <button
              type="button"
              className={css.act}
              onClick={() => choose({ ...tablet, keys: USUAL_TABLET.keys })}
            >
              Usual keys
            </button>
            <button
              type="button"
              className={`${css.act} ${css.on}`}
              onClick={() => {
                setLearning(null)
                setOpen(false)
              }}
            >
              Back to the work
            </button>
          </div>
        </section>
      )}
    </>
  )
}
