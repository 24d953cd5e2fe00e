import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFileSchema } from '../files/orderFile.ts'
import { planOrder } from '../plan/index.ts'
import { asOnDay, mergeOrders, shareOut } from './day.ts'

const load = (name: string) =>
  orderFileSchema.parse(JSON.parse(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8')))
    .order
const orders = ['observatory', 'reading-room'].map(load)

describe('a bench day', () => {
  const day = mergeOrders(orders)
  const plan = planOrder(day, starterWorkshop)
  const apart = asOnDay(orders, day).map((o) => planOrder(o, starterWorkshop))
  it('pipes what its orders pipe, and mixes no more than they do apart', () => {
    const piped = apart.reduce((sum, p) => sum + p.totals.pipedGrams, 0)
    expect(plan.totals.pipedGrams).toBeCloseTo(piped, 6)
    expect(plan.totals.mixedGrams).toBeLessThanOrEqual(apart.reduce((sum, p) => sum + p.totals.mixedGrams, 0))
  })
  it('puts on what each order puts on, twice where two do', () => {
    // what is put on alone: the flowers are no matter here
    const bare = load('keeper')
    const keeper = { ...bare, pieces: bare.pieces.map((p) => ({ ...p, flowers: [], layouts: [] })) }
    const twice = planOrder(mergeOrders([keeper, keeper]), starterWorkshop)
    expect(twice.supplies.filter((s) => s.kind === 'setOn').map((s) => [s.name, s.needed])).toEqual([
      ...[
        ['Sign: “Safe harbour”', 1],
        ['Sugar pearl, 4 mm', 24],
      ],
      ...[
        ['Sign: “Safe harbour”', 1],
        ['Sugar pearl, 4 mm', 24],
      ],
    ])
  })
  it('mixes an equal colour in one bowl under both names, and shares every bowl out to the gram', () => {
    const twins = [
      orders[0]!,
      { ...orders[0]!, colours: orders[0]!.colours.map((c) => ({ ...c, name: `${c.name} too` })) },
    ]
    const twin = mergeOrders(twins)
    expect(twin.colours).toHaveLength(orders[0]!.colours.length)
    expect(twin.colours[0]!.name).toBe('Dusk / Dusk too')
    // one bowl, one bag and one margin where there were two
    expect(planOrder(twin, starterWorkshop).totals.mixedGrams).toBeLessThan(
      2 * apart[0]!.totals.mixedGrams - 200,
    )
    for (const { batch, shares } of shareOut(plan, orders.length))
      expect(shares.reduce((sum, s) => sum + s.grams, 0)).toBeCloseTo(batch.grams, 6)
    const [first] = shareOut(planOrder(twin, starterWorkshop), 2)
    // the second of two like orders practises nothing: the first has done so for both
    expect(first!.shares[0]!.grams / first!.shares[1]!.grams).toBeGreaterThan(0.99)
    expect(first!.shares[0]!.grams / first!.shares[1]!.grams).toBeLessThan(1.2)
  })
  it('holds everybody’s allergens and the strictest safety', () => {
    const strict = mergeOrders([
      { ...orders[0]!, avoid: ['nuts'] },
      { ...orders[1]!, avoid: ['egg'], safety: 'unmatchable' },
    ])
    expect(strict).toMatchObject({ avoid: ['nuts', 'egg'], safety: 'unmatchable' })
  })
  it('of no orders is refused', () => {
    expect(() => mergeOrders([])).toThrow(RangeError)
  })
})
