import { nextFor, progress } from '#core/bench/turn'
import { aboutOf, titleOf, waitWords } from '#core/bench/words'
import { formatMinutes } from '#core/units'
import type { Bench } from '../../bench/useBench.ts'
import css from './Board.module.css'
import { LineWords } from './LineWords.tsx'
import { leftWords } from './stepWords.ts'
import { useClock } from './useClock.ts'

const SECOND_MS = 1000
const NEXT_SHOWN = 4

/** For a screen on the wall, to look at and not to touch: what is worked on, what comes next, what is waited for, how much is done. */
export function Board({ bench: { run, tally, timers, line } }: { bench: Bench }) {
  const now = useClock(SECOND_MS)
  const { steps } = run.frozen
  const of = progress(steps, tally)
  const open = steps.filter((s) => !tally.of.get(s.id)!.done)
  const working = open.filter((s) => tally.of.get(s.id)!.count > 0 || tally.of.get(s.id)!.by !== null)
  const first = nextFor(steps, tally, timers, now, null)
  const coming = open.filter((s) => !working.includes(s)).slice(0, NEXT_SHOWN)
  const waiting = timers.filter((t) => t.rung === null)
  const minutes = open.reduce(
    (sum, s) => sum + (s.minutes * (s.wanted - Math.min(s.wanted, tally.of.get(s.id)!.count))) / s.wanted,
    0,
  )
  return (
    <main className={css.board}>
      <header>
        <h1>{run.title}</h1>
        <LineWords line={line} />
      </header>
      <div
        className={css.bar}
        role="progressbar"
        aria-valuenow={Math.round(100 * of.share)}
        aria-label="Done of all"
      >
        <i style={{ width: `${100 * of.share}%` }} />
      </div>
      <p className={css.done}>
        <strong>
          {of.done} of {of.of}
        </strong>{' '}
        steps done · {formatMinutes(minutes)} of hands left
      </p>
      <div className={css.columns}>
        <section>
          <h2>Now</h2>
          <ul>
            {working.map((s) => {
              const { by, count } = tally.of.get(s.id)!
              return (
                <li key={s.id}>
                  <strong>{titleOf(s)}</strong>
                  {s.wanted > 1 && ` · ${count} of ${s.wanted}`}
                  <span>
                    {aboutOf(s)}
                    {by !== null && ` · ${by}`}
                  </span>
                </li>
              )
            })}
            {working.length === 0 && <li>{open.length === 0 ? 'All done.' : 'Nothing is begun.'}</li>}
          </ul>
        </section>
        <section>
          <h2>Next</h2>
          <ul>
            {coming.map((s) => (
              <li key={s.id}>
                <strong>{titleOf(s)}</strong>
                <span>
                  {aboutOf(s)}
                  {s === first && ' · free now'}
                </span>
              </li>
            ))}
          </ul>
        </section>
        <section>
          <h2>Waiting</h2>
          <ul>
            {waiting.map((t) => (
              <li key={t.stepId}>
                <strong>{t.what}</strong>
                <span className={t.endsAt <= now ? css.over : undefined}>
                  {t.endsAt <= now
                    ? `▸ ${waitWords(t.kind, true)}`
                    : `${waitWords(t.kind, false)}, ${leftWords(t.endsAt - now)}`}
                </span>
              </li>
            ))}
            {waiting.length === 0 && <li>Nothing is waited for.</li>}
          </ul>
        </section>
      </div>
    </main>
  )
}
