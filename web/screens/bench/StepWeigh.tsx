import { useMemo } from 'react'
import { weighIns } from '#core/bench/weighIns'
import { FIVE_FLOWERS, WEIGHED_TOGETHER, weighedFlowers } from '#core/bench/wrapUp'
import type { BenchEvent, BenchStep, Frozen } from '#core/model/bench'
import { measuresOf } from '../../parts/weight.tsx'
import { FromScale } from '../../scale/FromScale.tsx'
import { WeighIn } from '../../scale/WeighIn.tsx'
import css from './Bench.module.css'

/** What a step weighs: what goes into a bowl, one after the other, or five finished flowers together. */
export function StepWeigh(props: {
  step: BenchStep
  frozen: Frozen
  events: readonly BenchEvent[]
  /** How many of a flower are done: there must be five to weigh. */
  count: number
  take: (name: string, grams: number) => void
}) {
  const { step, frozen, events, count, take } = props
  const { settings } = frozen.workshop
  const things = useMemo(() => weighIns(step, frozen, events), [step, frozen, events])
  const five = useMemo(() => weighedFlowers(events).get(step.id), [events, step])
  if (step.kind === 'nails' && count >= WEIGHED_TOGETHER)
    return (
      <div className={css.five}>
        <span>
          {five
            ? `${five.count} weighed ${measuresOf(settings).weight(five.grams)}`
            : `Weigh ${WEIGHED_TOGETHER} of them together`}
        </span>
        <FromScale units={settings.units} take={(grams) => take(FIVE_FLOWERS, grams)} />
      </div>
    )
  if (things.length === 0) return null
  return (
    <WeighIn
      key={step.id}
      things={things}
      stepGrams={settings.scaleStepGrams}
      units={settings.units}
      take={(index, grams) => take(things[index]!.name, grams)}
    />
  )
}
