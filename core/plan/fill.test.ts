import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Order } from '../model/order.ts'
import type { Use } from '../model/plan.ts'
import { orderBags } from './bagProblem.ts'
import { demand } from './demand.ts'
import { fillBag, fillingMinutes } from './fill.ts'
import { lookUp } from './lookup.ts'
import { reserve } from './reserve.ts'
import { demoOrder, orders } from './testing.ts'

const withoutMargin = (use: Use): Use => ({ ...use, parts: use.parts.map((p) => ({ ...p, margin: 0 })) })

/** Pairs of one load that share a coupler's size, one to three of them at a time. */
function bagsOf({ problem }: ReturnType<typeof orderBags>): number[][] {
  const byLoad = new Map<string, number[]>()
  problem.pairs.forEach((pair, p) => {
    const key = `${pair.load} ${problem.tips[pair.tip]!.fit}`
    byLoad.set(key, [...(byLoad.get(key) ?? []), p])
  })
  return [...byLoad.values()].flatMap((of) => of.map((_, i) => of.slice(i, i + 3)))
}

describe('what a bag costs while it is looked for', () => {
  const cases: Order[] = [
    demoOrder('observatory'),
    demoOrder('reading-room'),
    ...fc.sample(orders, { numRuns: 12, seed: 5 }),
  ]
  it.each(cases.map((order, i) => [i, order] as const))(
    'order %i: as the bag that is filled, margin aside',
    (_, order) => {
      const pinned = orderBags(lookUp(order, starterWorkshop), reserveOf(order)).pairKeys[0]!
      const bagStockId = starterWorkshop.bags.find((b) => b.kind !== 'parchment')!.id
      for (const bagPins of [[], [{ kind: 'bagSize' as const, pair: pinned, bagStockId }]]) {
        const at = lookUp({ ...order, bagPins }, starterWorkshop)
        const of = orderBags(at, reserveOf(order))
        for (const pairs of bagsOf(of))
          for (const coupled of [true, false]) {
            const fit = of.problem.tips[of.problem.pairs[pairs[0]!]!.tip]!.fit
            const uses = pairs.flatMap((p) => of.usesOfPair[p]!).map(withoutMargin)
            const filled = fillBag(at, uses, coupled && fit !== 'none' ? fit : 'none')
            expect(of.problem.bagMinutes(pairs, coupled)).toBeCloseTo(fillingMinutes(at, filled), 9)
          }
      }
    },
  )
})

function reserveOf(order: Order): Use[] {
  const at = lookUp(order, starterWorkshop)
  return reserve(at, demand(at).uses)
}
