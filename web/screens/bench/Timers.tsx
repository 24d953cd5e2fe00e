import { IconBell, IconCheck } from '@tabler/icons-react'
import { useEffect, useRef } from 'react'
import type { Timer } from '#core/bench/timers'
import { waitWords } from '#core/bench/words'
import css from './Bench.module.css'
import { leftWords } from './stepWords.ts'

const SHOWN = 4

/** Everything that is waited for, what ends next first; what is over rings until somebody says that they have heard it. */
export function Timers(props: { timers: readonly Timer[]; now: number; heard: (timer: Timer) => void }) {
  const { timers, now, heard } = props
  const open = timers.filter((t) => t.rung === null)
  useRinging(open.filter((t) => t.endsAt <= now).map((t) => `${t.stepId} ${t.endsAt}`))
  if (open.length === 0) return <div />
  return (
    <section className={css.timers} aria-label="Timers">
      {open.slice(0, SHOWN).map((t) => {
        const over = t.endsAt <= now
        return (
          <button key={t.stepId} type="button" className={css.timer} onClick={() => heard(t)}>
            {over ? (
              <IconBell size={40} stroke={1.6} />
            ) : (
              <Pie share={(now - t.startedAt) / (t.endsAt - t.startedAt)} />
            )}
            <span>
              {over && <b className={css.flag}>▸ </b>}
              {t.what}
              <strong style={{ display: 'block', color: 'var(--text)' }}>
                {over ? waitWords(t.kind, true) : `${waitWords(t.kind, false)}, ${leftWords(t.endsAt - now)}`}
              </strong>
            </span>
            {over && <IconCheck size={28} stroke={2} aria-label="Heard" />}
          </button>
        )
      })}
    </section>
  )
}

function Pie({ share }: { share: number }) {
  const s = Math.min(0.9999, Math.max(0, share))
  const [x, y] = [20 + 17 * Math.sin(2 * Math.PI * s), 20 - 17 * Math.cos(2 * Math.PI * s)]
  return (
    <svg viewBox="0 0 40 40" width={40} aria-hidden="true">
      <circle cx={20} cy={20} r={17} fill="none" stroke="var(--text)" strokeWidth={1.5} />
      <path d={`M20 20V3A17 17 0 ${s > 0.5 ? 1 : 0} 1 ${x} ${y}Z`} fill="var(--text)" />
    </svg>
  )
}

const BEEP_HZ = 880
const BEEP_S = 0.18

/** Two short tones for everything that has just ended; browsers let a page sound once it has been touched. */
function useRinging(over: readonly string[]): void {
  const rung = useRef(new Set<string>())
  useEffect(() => {
    const fresh = over.filter((id) => !rung.current.has(id))
    if (fresh.length === 0) return
    for (const id of fresh) rung.current.add(id)
    try {
      const audio = new AudioContext()
      for (const at of [0, 0.3]) {
        const tone = audio.createOscillator()
        tone.frequency.value = BEEP_HZ
        tone.connect(audio.destination)
        tone.start(audio.currentTime + at)
        tone.stop(audio.currentTime + at + BEEP_S)
      }
      setTimeout(() => void audio.close(), 1000)
    } catch {
      // a browser without sound shows it all the same
    }
    navigator.vibrate?.([200, 100, 200])
  }, [over])
}
