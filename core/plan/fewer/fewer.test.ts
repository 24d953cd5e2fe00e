import { describe, expect, it } from 'vitest'
import { orderFaults } from '../../model/faults.ts'
import { type Order, orderSchema } from '../../model/order.ts'
import { newOrder } from '../../orders/new.ts'
import { demand } from '../demand.ts'
import { planOrder } from '../index.ts'
import { lookUp } from '../lookup.ts'
import { demoOrder, demoWorkshop } from '../testing.ts'
import { brokenLayers } from '../work/broken.ts'
import { applied, type FewerOffer, fewerOffer } from './offer.ts'

const workshop = demoWorkshop()
const demo = demoOrder('observatory')

function offerFor(order: Order): FewerOffer {
  const search = fewerOffer(order, workshop)
  for (;;) {
    const { value, done } = search.next()
    if (done) return value
  }
}

describe('fewer bags and tips for the demo order', () => {
  const { before: now, choices } = offerFor(demo)
  const offer = choices.find((c) => c.best.includes('bags'))!
  const then = applied(demo, offer.changes)

  it('saves the better part of an hour, a third of the bags and tips, and says so truly', () => {
    expect(now.minutes - offer.after.minutes).toBeGreaterThan(45)
    expect(offer.after.bags).toBeLessThanOrEqual(13)
    expect(offer.after.tips).toBeLessThan(now.tips * 0.75)
    expect(offer.look).toBeGreaterThan(0.97)
    const plan = planOrder(then, workshop)
    expect(plan.bags).toHaveLength(offer.after.bags)
    expect(plan.totals.handsOnMinutes).toBeCloseTo(offer.after.minutes, 6)
    expect(plan.batches).toHaveLength(offer.after.portions)
  })

  it('stays an order that can be piped, its flowers nearly as wide and as heavy', () => {
    expect(orderFaults(then, workshop)).toEqual([])
    const [before, after] = [planOrder(demo, workshop), planOrder(then, workshop)]
    expect(brokenLayers(after, workshop)).toEqual([])
    // leaves may change more than flowers: e^0.2 wide, e^0.6 heavy
    const { placements } = demand(lookUp(then, workshop))
    demand(lookUp(demo, workshop)).placements.forEach(({ flower, fitted }, i) => {
      const other = placements[i]!.fitted.measure
      const leaf = flower.form === 'leaf'
      const apart = (a: number, b: number) => Math.abs(Math.log(a / b))
      expect(apart(fitted.measure.diameterMm, other.diameterMm)).toBeLessThan(leaf ? 0.2001 : 0.0801)
      expect(apart(fitted.measure.volumeMm3, other.volumeMm3)).toBeLessThan(leaf ? 0.6001 : 0.3501)
    })
    const grams = (plan: typeof before) => plan.totals.pipedGrams
    expect(Math.abs(Math.log(grams(after) / grams(before)))).toBeLessThan(0.1)
  })

  it('gains with every move taken in turn, and says what each changes', () => {
    const minutes = offer.moves.map((_, i) => {
      const changes = offer.moves.slice(0, i + 1).flatMap((m) => m.changes)
      return planOrder(applied(demo, changes), workshop).totals.handsOnMinutes
    })
    for (const { what } of offer.moves)
      expect(what).toMatch(/^[A-Z].*( through the .* mm| mixed (stiff|medium|soft))/)
    expect(minutes.at(-1)).toBeCloseTo(offer.after.minutes, 6)
  })

  it('offers choices of which none is worse than another in everything, each best in something or between', () => {
    expect(choices.length).toBeGreaterThan(1)
    const of = (c: (typeof choices)[number]) => [c.after.bags, c.after.minutes, c.after.tips, -c.look]
    for (const a of choices)
      for (const b of choices) if (a !== b) expect(of(a).some((v, i) => v < of(b)[i]!)).toBe(true)
    expect(choices.flatMap((c) => c.best).sort()).toEqual(
      expect.arrayContaining(['bags', 'look', 'minutes', 'tips']),
    )
  })
  it('says what shows: less icing where a layer gets a smaller opening, nothing where only a bowl is shared', () => {
    const scabious = offer.moves.find((m) => m.what.startsWith('Scabious inner petals'))!
    expect(scabious.effect).toMatch(/^scabious: \d+\u00a0% (more|less) icing/)
    for (const m of offer.moves) if (m.toTipId === null) expect([m.effect, m.shows]).toEqual(['', null])
  })
  it('leaves what a person chose', () => {
    const settled = structuredClone(demo)
    const first = offer.moves.find((m) => m.toTipId !== null)!.changes[0]!
    const [pieceId, placedId, layerId] = first.useId.split('.')
    const placed = settled.pieces.find((p) => p.id === pieceId)!.flowers.find((f) => f.id === placedId)!
    const own = planOrder(demo, workshop).uses.find((u) => u.id === first.useId)!.tipId!
    placed.tips[layerId!] = own
    expect(
      offerFor(settled)
        .choices.flatMap((c) => c.changes)
        .filter((c) => c.useId === first.useId && c.tipId),
    ).toEqual([])
  })
})

describe('an order with nothing to share', () => {
  it('is offered nothing', () => {
    const order = orderSchema.parse({
      ...newOrder('a', 'One', '2026-12-01T10:00', 'butter-sugar'),
      colours: [{ id: 'c', name: 'Cream', hex: '#f0e6d0' }],
      pieces: [
        {
          id: 'p',
          name: 'Cupcakes',
          count: 6,
          shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
          flowers: [{ id: 'f', flowerId: 'swirl', placement: { kind: 'each', perPiece: 1 } }],
        },
      ],
    })
    expect(offerFor(order).choices).toEqual([])
  })
})
