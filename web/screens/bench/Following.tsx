import { useMemo } from 'react'
import type { Tally } from '#core/bench/tally'
import { aboutOf, titleOf } from '#core/bench/words'
import type { BenchStep } from '#core/model/bench'

/** What comes next, and with which bags. */
export function Following(props: { steps: readonly BenchStep[]; step: BenchStep; tally: Tally; at: number }) {
  const { steps, step, tally, at } = props
  const following = useMemo(() => {
    const open = steps.filter((s) => s.id !== step.id && !tally.of.get(s.id)!.done)
    return open.find((s) => steps.indexOf(s) > at) ?? open[0]
  }, [steps, step, tally, at])
  return (
    <div>
      {following && (
        <>
          <p>next, when this is done</p>
          <h2>{titleOf(following)}</h2>
          <p>
            {aboutOf(following)}
            {following.kind !== 'fill' &&
              following.bags.length > 0 &&
              ` · ${following.bags.length === 1 ? 'bag' : 'bags'} ${following.bags.join(', ')}`}
          </p>
        </>
      )}
    </div>
  )
}
