import { anneal } from '#core/bags/anneal'
import { exact } from '#core/bags/exact'
import { greedy } from '#core/bags/greedy'
import { instance } from '#core/bags/instances'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { orderBags } from '#core/plan/bagProblem'
import { demand } from '#core/plan/demand'
import { lookUp } from '#core/plan/lookup'
import { reserve } from '#core/plan/reserve'
import type { Benchmark } from './benchmark.ts'

/** Bag plans of an order: the first good one, and the whole search; and of a large order of twelve designs. */
export function bagBenchmarks(demo: Order, workshop: Workshop): Benchmark[] {
  const usesOf = (order: Order) => {
    const at = lookUp(order, workshop)
    return { at, uses: reserve(at, demand(at).uses) }
  }
  const small = usesOf(demo)
  const large = usesOf({
    ...demo,
    pieces: Array.from({ length: 12 }, (_, k) => ({
      ...demo.pieces[k % demo.pieces.length]!,
      id: `design-${k}`,
      count: k < 8 ? 42 : 41,
    })),
  })
  const counting = () => void demand(small.at)
  const seeds = Array.from({ length: 50 }, (_, seed) => instance(seed, 5 + (seed % 6)))
  return [
    {
      id: 'bags-first',
      what: 'first good bag plan of the demo order',
      unit: 'ms',
      against: "counting the order's strokes",
      run: () => void greedy(orderBags(small.at, small.uses).problem),
      baseline: counting,
    },
    {
      id: 'bags-final',
      what: 'whole search for the demo order, by the bakery’s own weights',
      unit: 'ms',
      rounds: 3,
      against: "counting the order's strokes",
      run: () => void anneal(orderBags(small.at, small.uses).problem, 1, 5000),
      baseline: counting,
    },
    {
      id: 'bags-500-first',
      what: 'first good bag plan of 500 pieces in twelve designs',
      unit: 'ms',
      against: "counting the demo order's strokes",
      run: () => void greedy(orderBags(large.at, large.uses).problem),
      baseline: counting,
    },
    {
      id: 'bags-gap',
      what: 'search above the proven best, mean over 50 seeded orders',
      unit: 'percent',
      against: 'the proven best itself',
      measure() {
        const gaps = seeds.map((problem) => {
          const { minutes } = anneal(problem, 1, 2500)
          const better = exact(problem, minutes - 1e-9)
          return better && better !== 'too-large' ? minutes / better.minutes - 1 : 0
        })
        return (100 * gaps.reduce((a, b) => a + b, 0)) / gaps.length
      },
    },
  ]
}
