import { Worker } from 'node:worker_threads'
import fc from 'fast-check'
import type { DaySettings } from '#core/model/day'
import type { Order } from '#core/model/order'
import { planFigures } from '#core/plan/index'
import { demoOrder, demoWorkshop, orders } from '#core/plan/testing'
import { lowerBound } from '#core/schedule/bound'
import { search } from '#core/schedule/search'
import { randomProblem } from '#core/schedule/testing'
import { BenchDays } from '#core/timeline/day'
import { orderWork } from '#core/timeline/problem'
import { solve } from '#core/timeline/solve'
import { type Benchmark, medianMs, type ServedBenchmark } from './benchmark.ts'

const workshop = demoWorkshop()
const demo = demoOrder('observatory')
const plan = planFigures(demo, workshop)
/** Open day and night, so that no night lies between. */
const always: DaySettings = {
  ...workshop.settings.day,
  week: Array.from({ length: 7 }, () => ({ from: 0, to: 1440 })),
}
const SEEDS = 40

/** How long a timetable takes, and how far it is from what cannot be bettered. */
export const timelineBenchmarks: Benchmark[] = [
  {
    id: 'timeline-demo',
    what: 'the timetable of the demo order from its plan, warm',
    unit: 'milliseconds',
    against: 'none: the aim is 150',
    measure: () => medianMs(() => void new BenchDays([{ order: demo, plan }], workshop).answer(null), 9),
  },
  {
    id: 'timeline-220',
    what: '220 tasks of three orders on two pairs of hands over nights, warm',
    unit: 'milliseconds',
    against: 'none: the aim is 1,000',
    measure: () => {
      const problem = randomProblem(5, { tasks: 220, hands: 2, groups: 3, nights: true })
      return medianMs(() => void search(problem), 7)
    },
  },
  {
    id: 'timeline-gap',
    what: 'worst gap to the bound of seeded orders that fit, on one pair of hands, nights and rests left out',
    unit: 'percent',
    against: 'none: the aim is 1',
    measure: () => worstGap({ ...always, restAfterMinutes: 600 }),
  },
  {
    id: 'timeline-gap-rests',
    what: 'the same with rests for the hand, of which the bound knows only some',
    unit: 'percent',
    against: 'none',
    measure: () => worstGap(always),
  },
]

/** To the first versions, as a worker finds them that has never looked at this order; everything it remembers is its own. */
export const lighterBenchmark: ServedBenchmark = {
  id: 'lighter-demo',
  what: 'to the first lighter versions of the demo order, in a thread that begins',
  unit: 'ms',
  against: 'none: the aim is 3,000',
  measure: () =>
    new Promise((resolve, reject) => {
      const worker = new Worker(new URL('./lighterThread.mjs', import.meta.url))
      worker.once('message', (value: number) => resolve({ value, baseline: null }))
      worker.once('error', reject)
    }),
}

function worstGap(day: DaySettings): number {
  const gaps = fc.sample(orders, { numRuns: SEEDS, seed: 17 }).flatMap((made) => {
    const order: Order = { ...made, pieces: made.pieces.map((p) => ({ ...p, count: Math.min(12, p.count) })) }
    const work = orderWork(order, planFigures(order, workshop), workshop)
    const { problem, schedule } = solve([work], workshop, day)
    const { minutes } = lowerBound(problem, schedule.start)
    // what has no room in the freezer is not compared with a bound that knows of none
    return schedule.overflow > 0 ? [] : [(100 * (schedule.span - minutes)) / minutes]
  })
  return Math.max(...gaps)
}
