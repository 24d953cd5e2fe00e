import type { BenchStep, Frozen } from '../model/bench.ts'

/** A step in each of its layers alone: what is piped in it and from which bag; none where it has only one. */
export function layersOf(step: BenchStep, { plan }: Frozen): { name: string; step: BenchStep }[] {
  if (step.useIds.length < 2 || !PIPED.has(step.kind)) return []
  return step.useIds.flatMap((id) => {
    const use = plan.uses.find((u) => u.id === id)
    if (!use) return []
    const bags = step.bags.filter((n) => plan.bags.find((b) => b.number === n)?.useIds.includes(id))
    return [{ name: use.layerName, step: { ...step, useIds: [id], bags } }]
  })
}

const PIPED: ReadonlySet<BenchStep['kind']> = new Set(['practise', 'nails', 'inPlace', 'border'])
