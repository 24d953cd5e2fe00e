import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import type { DaySettings } from '../model/day.ts'
import type { Order } from '../model/order.ts'
import type { PlanFigures } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { planFigures } from '../plan/index.ts'
import { demoWorkshop, orders } from '../plan/testing.ts'
import { overfilled, wrongIn } from '../schedule/testing.ts'
import { BenchDays } from './day.ts'
import { orderWork } from './problem.ts'
import { sharedBowls } from './share.ts'
import { solve } from './solve.ts'
import { wrongOnBench } from './testing.ts'
import { timetable } from './timetable.ts'

const workshop = demoWorkshop()
const hands = (n: number): DaySettings['hands'] =>
  Array.from({ length: n }, (_, i) => ({ name: `Hands ${i + 1}`, pipes: i !== 1 }))
const withDay = (day: Partial<DaySettings>): Workshop => ({
  ...workshop,
  settings: { ...workshop.settings, day: { ...workshop.settings.day, ...day } },
})

/** Orders made at random, with their plans: some in royal icing, some in one bowl through all colours, due over three days. */
let pool: { order: Order; plan: PlanFigures }[] = []
beforeAll(() => {
  pool = fc.sample(orders, { numRuns: 26, seed: 91 }).map((made, i) => {
    const order: Order = {
      ...made,
      id: `order-${i}`,
      collectAt: `2026-12-0${3 + (i % 3)}T${10 + (i % 7)}:00`,
      icingKindId: i % 6 === 5 ? 'royal' : i % 6 === 4 ? 'meringue-butter' : 'butter-sugar',
      mixing:
        i % 5 === 3
          ? { school: 'carryOver', chain: made.colours.map((c) => ({ colourId: c.id, carriedShare: 0.2 })) }
          : made.mixing,
      // not more of each than a bakery of three would take in a week
      pieces: made.pieces.map((p) => ({ ...p, count: Math.min(p.count, 12) })),
    }
    return { order, plan: planFigures(order, workshop) }
  })
}, 120_000)

describe('timetables of orders made at random', () => {
  it.each([1, 2, 3])(
    'can be worked by %i pairs of hands',
    (n) => {
      const week =
        n === 2 ? workshop.settings.day.week.map((h, i) => (i === 4 ? null : h)) : workshop.settings.day.week
      const shop = withDay({ hands: hands(n), week, freezerTrays: 30, fridgeTrays: 60, rackTrays: 60 })
      for (let k = 0; k < 100; k++) {
        const some = Array.from({ length: 1 + (k % 4) }, (_, j) => pool[(k * 7 + j * 11) % pool.length]!)
        const unique = [...new Set(some)]
        const works = sharedBowls(unique.map(({ order, plan }) => orderWork(order, plan, shop)))
        const solved = solve(works, shop, shop.settings.day, undefined, [], 2)
        const table = timetable(solved, works, shop)
        expect(wrongIn(solved.problem, solved.schedule)).toEqual([])
        expect(overfilled(solved.problem, solved.schedule)).toBeCloseTo(solved.schedule.overflow, 4)
        expect(wrongOnBench(unique, shop, table)).toEqual([])
      }
    },
    120_000,
  )

  it('never begin sooner for one more pair of hands, one more tray or one more hour', () => {
    for (const one of pool.slice(0, 3)) {
      const day = { hands: hands(1), freezerTrays: 1, fridgeTrays: 8 }
      const from = (extra: Partial<DaySettings>) => {
        const { table, misfits } = new BenchDays([one], withDay({ ...day, ...extra })).answer(null)
        return { start: table!.from, full: misfits.length }
      }
      const now = from({})
      const better = [
        from({ hands: hands(2) }),
        from({ hands: hands(3) }),
        from({ freezerTrays: 2 }),
        from({ week: workshop.settings.day.week.map((h) => h && { ...h, to: h.to + 60 }) }),
      ]
      // what did not fit before may begin sooner once it does
      for (const b of better) {
        expect(b.full).toBeLessThanOrEqual(now.full)
        if (b.full === now.full) expect(b.start).toBeGreaterThanOrEqual(now.start)
      }
    }
  }, 120_000)
})
