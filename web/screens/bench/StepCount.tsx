import { IconChevronRight, IconCirclePlus } from '@tabler/icons-react'
import type { Standing } from '#core/bench/tally'
import type { Held } from '#core/bench/turn'
import type { Between } from '#core/bench/within'
import { titleOf, waitWords } from '#core/bench/words'
import type { BenchStep } from '#core/model/bench'
import css from './Bench.module.css'
import { leftWords, tapWords } from './stepWords.ts'

/** More marks than these are not counted by eye. */
const MOST_MARKS = 60

/** How many are done of how many, what is due in between, and what a tap does. */
export function StepCount(props: {
  step: BenchStep
  steps: readonly BenchStep[]
  standing: Standing
  held: Held
  inBetween: readonly Between[]
  now: number
}) {
  const { step, steps, standing, held, inBetween, now } = props
  const many = step.wanted > 1
  return (
    <>
      <span className={css.count}>
        {many && (
          <span className={css.number} data-testid="count">
            {standing.count}
          </span>
        )}
        <span>
          <span className={css.of}>
            {many ? `of ${step.wanted}` : standing.done ? 'Done' : 'Tap when it is done'}
          </span>
          <br />
          {held ? (
            <span className={css.flag}>▸ {heldWords(held, steps, now)}</span>
          ) : (
            <Coming step={step} count={standing.count} inBetween={inBetween} />
          )}
        </span>
        <span className={css.more}>
          {standing.done ? (
            <IconChevronRight size={76} stroke={1.6} />
          ) : (
            <IconCirclePlus size={76} stroke={1.2} />
          )}
          <br />
          {standing.done ? 'go on' : tapWords(step)}
        </span>
      </span>
      {many && step.wanted <= MOST_MARKS && (
        <Marks
          step={step}
          count={standing.count}
          at={inBetween.filter((b) => b.kind === 'refill').map((b) => b.at)}
        />
      )}
    </>
  )
}

/** What a step waits for. */
function heldWords(held: NonNullable<Held>, steps: readonly BenchStep[], now: number): string {
  if (held.kind === 'timer')
    return `${held.timer.what} ${waitWords(held.timer.kind, false)}: ${leftWords(held.timer.endsAt - now)}`
  const other = steps.find((s) => s.id === held.stepId)
  return other ? `first: ${titleOf(other)}` : 'something else comes first'
}

function Coming(props: { step: BenchStep; count: number; inBetween: readonly Between[] }) {
  const { step, count, inBetween } = props
  const due = inBetween.find((b) => b.at === count && b.at > 0)
  const next = due ?? inBetween.find((b) => b.at > count)
  if (!next || count >= step.wanted) return null
  const words = next.kind === 'wipe' ? 'wipe the tip' : `fill bag ${next.bag} again`
  return due ? (
    <span className={css.flag}>▸ now {words}</span>
  ) : (
    <span>
      {next.at - count} more, then {words}
    </span>
  )
}

function Marks({ step, count, at }: { step: BenchStep; count: number; at: readonly number[] }) {
  const stops = new Set(at)
  return (
    <span className={css.marks} aria-hidden="true">
      {Array.from({ length: step.wanted }, (_, i) => (
        // marks are known by their place
        // biome-ignore lint/suspicious/noArrayIndexKey: see above
        <span key={i} style={{ display: 'contents' }}>
          {stops.has(i) && <b />}
          <i data-done={i < count || undefined} data-gap={i % 5 === 4 || undefined} />
        </span>
      ))}
    </span>
  )
}
