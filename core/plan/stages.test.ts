import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Order, Piece } from '../model/order.ts'
import { duplicatePiece, newOrder, newPiece } from '../orders/new.ts'
import { placeFlower } from '../orders/place.ts'
import { planOrder } from './index.ts'
import { replaceColour } from './remedies.ts'

let ids = 0
const newId = () => `id-${ids++}`
const library = (id: string) => starterWorkshop.flowers.find((f) => f.id === id)!
const plan = (order: Order) => planOrder(order, starterWorkshop)

/** An order of one piece wearing the given flowers, made the way the screens make it. */
function orderOf(
  kind: Parameters<typeof newPiece>[1],
  flowers: string[],
  change: Partial<Piece> = {},
): Order {
  const piece = { ...newPiece('p', kind), ...change }
  const empty = { ...newOrder('o', 'Test', '2026-12-01T10:00', 'butter-sugar'), pieces: [piece] }
  return flowers.reduce((order, id) => placeFlower(order, 'p', library(id), newId).order, empty)
}

describe('an empty order', () => {
  it('plans to nothing, and says how to begin', () => {
    const { totals, bags, batches, base, advice } = plan(newOrder('o', 'Test', '2026-12-01T10:00', 'royal'))
    expect(totals).toMatchObject({ pieces: 0, flowers: 0, mixedGrams: 0, cost: 0 })
    expect([bags, batches, base.makes]).toEqual([[], [], []])
    expect(advice.map((a) => a.code)).toEqual(['nothing-yet'])
  })
})

describe('demand', () => {
  it('of a border is whole units round the edge', () => {
    // π · 80 mm over a pitch of 5.5 mm is 45.7: 46 beads on each of 12
    const order = orderOf('cookie', ['bead-border'], { shape: { kind: 'cookie', diameterMm: 80 } })
    expect(plan(order).uses[0]!.flowers).toBe(46 * 12)
  })
  it('of a striped petal is shared by area, not by length', () => {
    const petals = plan(orderOf('cupcake', ['blossom'])).uses.find((u) => u.layout === 'striped')!
    const [wide, rest] = petals.parts
    expect(wide!.piped / (wide!.piped + rest!.piped)).toBeCloseTo(0.48, 2)
  })
  it('grows with calibration', () => {
    const heavier = {
      ...starterWorkshop,
      flowers: starterWorkshop.flowers.map((f) => (f.id === 'rose' ? { ...f, calibration: 1.2 } : f)),
    }
    const order = orderOf('cupcake', ['rose'])
    expect(planOrder(order, heavier).totals.pipedGrams / plan(order).totals.pipedGrams).toBeCloseTo(1.2, 9)
  })
  it('in another icing kind weighs by its density and makes a base of its own', () => {
    const butter = plan(orderOf('cupcake', ['rose']))
    const royal = plan(orderOf('cupcake', ['rose'], { icingKindId: 'royal' }))
    expect(royal.totals.pipedGrams / butter.totals.pipedGrams).toBeCloseTo(1.25 / 0.9, 9)
    expect([royal.base.grams, royal.otherBases.map((b) => b.kind)]).toEqual([0, ['royal']])
  })
})

describe('reserve', () => {
  it('keeps at least one spare of a lifted kind, and none of one piece in place that never spoils', () => {
    const lifted = plan(orderOf('cupcake', ['rose'], { count: 1 })).uses[0]!
    expect([lifted.flowers, lifted.spares]).toEqual([1, 1])
  })
  it('practises a flower once, however many pieces wear it', () => {
    const one = orderOf('cupcake', ['rose'])
    const two = { ...one, pieces: [...one.pieces, duplicatePiece(one.pieces[0]!, newId)] }
    expect(plan(two).reserve.practice).toBeCloseTo(plan(one).reserve.practice, 9)
  })
  it('grows with the safety that is asked for', () => {
    const margin = (safety: Order['safety']) =>
      plan({ ...orderOf('cupcake', ['rose']), safety }).reserve.margin
    expect(margin('unmatchable')).toBeGreaterThan(margin('safe'))
    expect(margin('safe')).toBeGreaterThan(margin('tight'))
  })
  it('of many kinds in one bowl is less than the sum of each alone: they do not all run short together', () => {
    const alone = ['rose', 'camellia'].map((id) => orderOf('cupcake', [id]))
    const oneColour = (o: Order) =>
      o.colours.slice(1).reduce((x, c) => replaceColour(x, c.id, o.colours[0]!.id), o)
    const both = oneColour(orderOf('cupcake', ['rose', 'camellia']))
    const apart = alone.reduce((sum, o) => sum + plan(oneColour(o)).reserve.margin, 0)
    expect(plan(both).reserve.margin).toBeLessThan(apart)
  })
})

describe('supplies', () => {
  it('count nails, a square for every lifted flower, and what ingredients cost', () => {
    const { supplies, uses, base } = plan(orderOf('cupcake', ['rose'], { count: 20 }))
    const first = uses[0]!
    expect(supplies.find((s) => s.kind === 'square')!.needed).toBe(20 + first.spares + first.practice)
    expect(supplies.filter((s) => s.kind === 'nail').map((s) => s.name)).toEqual(['Nail, 40 mm head'])
    const sugar = supplies.find((s) => s.name === 'Icing sugar')!
    expect(sugar.needed).toBeCloseTo(base.grams * 0.57, 6)
    expect(sugar.cost).toBeCloseTo((sugar.needed / 1000) * 2.2, 9)
    expect(sugar.packs).toBe(1)
  })
  it('of nothing lifted name no nail', () => {
    expect(plan(orderOf('cupcake', ['swirl'])).supplies.some((s) => s.kind === 'nail')).toBe(false)
  })
})

describe('placing a flower', () => {
  it('takes colours the order has, and brings those it has not', () => {
    const order = orderOf('cupcake', ['leaf', 'rose'])
    expect(order.colours).toHaveLength(3)
    const again = placeFlower(order, 'p', library('leaf-cluster'), newId).order
    expect(again.colours).toHaveLength(3)
    expect(again.pieces[0]!.flowers[2]!.colours.leaf).toBe(order.pieces[0]!.flowers[0]!.colours.leaf)
  })
  it('gives every role a colour, so that nothing is left to choose', () => {
    const ids = starterWorkshop.flowers.map((f) => f.id)
    for (let i = 0; i < ids.length; i += 12)
      expect(plan(orderOf('cake', ids.slice(i, i + 12))).advice.map((a) => a.code)).not.toContain(
        'colour-not-chosen',
      )
  })
})
