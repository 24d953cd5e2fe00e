import { useMemo } from 'react'
import { weighIns } from '#core/bench/weighIns'
import type { BenchEvent, BenchStep, Frozen } from '#core/model/bench'
import { WeighIn } from '../../scale/WeighIn.tsx'

/** What a step weighs in, by the scale where there is one. */
export function StepWeigh(props: {
  step: BenchStep
  frozen: Frozen
  events: readonly BenchEvent[]
  take: (name: string, grams: number) => void
}) {
  const { step, frozen, events, take } = props
  const things = useMemo(() => weighIns(step, frozen, events), [step, frozen, events])
  if (things.length === 0) return null
  const { scaleStepGrams, units } = frozen.workshop.settings
  return (
    <WeighIn
      key={step.id}
      things={things}
      stepGrams={scaleStepGrams}
      units={units}
      take={(index, grams) => take(things[index]!.name, grams)}
    />
  )
}
