import type { Standing } from '#core/bench/tally'
import type { BenchStep } from '#core/model/bench'
import css from './Bench.module.css'

/** A step taken or left by name before it is begun, with a bag those that follow it: the others see it, and are offered something else. */
export function Take(props: {
  step: BenchStep
  /** The step and what is taken with it. */
  together: readonly BenchStep[]
  standing: Standing
  by: string | null
  note: (stepId: string, kind: 'take' | 'leave') => void
}) {
  const { step, together, standing, by, note } = props
  if (by === null || standing.done) return null
  if (standing.by === by)
    return (
      <button type="button" className={css.small} onClick={() => note(step.id, 'leave')}>
        Leave it to others
      </button>
    )
  const bags = together.flatMap((s) => s.bags)
  return (
    <>
      <button type="button" className={css.small} onClick={() => note(step.id, 'take')}>
        I take it
      </button>
      {together.length > 1 && (
        <button
          type="button"
          className={css.small}
          onClick={() => {
            for (const s of together) note(s.id, 'take')
          }}
        >
          I fill bags {bags[0]} to {bags.at(-1)}
        </button>
      )}
    </>
  )
}
