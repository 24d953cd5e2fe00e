import { useEffect, useState } from 'react'
import type { Tally } from '#core/bench/tally'
import type { BenchStep } from '#core/model/bench'

/** What is next to do with a bag, as its label asks for; null where it says nothing of one that is there. */
function stepOfBag(steps: readonly BenchStep[], tally: Tally, bag: string | null): string | null {
  const of = steps.filter((s) => bag !== null && s.bags.includes(Number(bag)))
  return (of.find((s) => !tally.of.get(s.id)!.done) ?? of.at(-1))?.id ?? null
}

/**
 * Which step is on screen; null while there is none to offer. It stays until somebody goes on: what another tablet does must not change
 * the step under a hand that is about to tap. Nothing is chosen before all is known that can be.
 * @param bag whose label was read; it asks for its step once.
 */
export function useShownStep(of: {
  steps: readonly BenchStep[]
  tally: Tally
  offered: BenchStep | null
  complete: boolean
  bag: string | null
}): [shownId: string | null, show: (id: string | null) => void] {
  const { steps, tally, offered, complete, bag } = of
  const [shownId, show] = useState<string | null>(null)
  const [asked, setAsked] = useState(bag)
  useEffect(() => {
    if (!complete || shownId !== null) return
    const next = stepOfBag(steps, tally, asked) ?? offered?.id
    setAsked(null)
    if (next) show(next)
  }, [complete, shownId, offered, steps, tally, asked])
  return [shownId, show]
}
