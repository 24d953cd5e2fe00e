import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import { readBakeryFile, withBakery } from '../../files/bakeryFile.ts'
import { orderFileSchema } from '../../files/orderFile.ts'
import { orderFaults } from '../../model/faults.ts'
import { type Order, orderSchema } from '../../model/order.ts'
import { newOrder } from '../../orders/new.ts'
import { planOrder } from '../index.ts'
import { brokenLayers } from '../work/broken.ts'
import { applied, type FewerOffer, fewerOffer } from './offer.ts'

const load = (name: string) =>
  JSON.parse(readFileSync(new URL(`../../../demo/${name}.json`, import.meta.url), 'utf8'))
const bakery = readBakeryFile(load('bakery'), starterWorkshop)
if (!bakery.ok) throw new Error('The demo bakery does not read.')
const workshop = withBakery(starterWorkshop, bakery.value)
const demo = orderFileSchema.parse(load('observatory')).order

function offerFor(order: Order): FewerOffer {
  const search = fewerOffer(order, workshop)
  for (;;) {
    const { value, done } = search.next()
    if (done) return value
  }
}

describe('fewer bags and tips for the demo order', () => {
  const offer = offerFor(demo)
  const then = applied(demo, offer.changes)

  it('saves the better part of an hour, a third of the bags and tips, and says so truly', () => {
    expect(offer.before.minutes - offer.after.minutes).toBeGreaterThan(40)
    expect(offer.after.bags).toBeLessThanOrEqual(15)
    expect(offer.after.tips).toBeLessThan(offer.before.tips * 0.75)
    const plan = planOrder(then, workshop)
    expect(plan.bags).toHaveLength(offer.after.bags)
    expect(plan.totals.handsOnMinutes).toBeCloseTo(offer.after.minutes, 6)
    expect(plan.batches).toHaveLength(offer.after.bowls)
  })

  it('stays an order that can be piped, its flowers nearly as wide and as heavy', () => {
    expect(orderFaults(then, workshop)).toEqual([])
    const [before, after] = [planOrder(demo, workshop), planOrder(then, workshop)]
    expect(brokenLayers(after, workshop)).toEqual([])
    // leaves may change more than flowers: e^0.2 wide, e^0.6 heavy
    expect([offer.width < 0.23, offer.icing < 0.83]).toEqual([true, true])
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

  it('leaves what a person chose', () => {
    const settled = structuredClone(demo)
    const first = offer.moves.find((m) => m.toTipId !== null)!.changes[0]!
    const [pieceId, placedId, layerId] = first.useId.split('.')
    const placed = settled.pieces.find((p) => p.id === pieceId)!.flowers.find((f) => f.id === placedId)!
    const own = planOrder(demo, workshop).uses.find((u) => u.id === first.useId)!.tipId!
    placed.tips[layerId!] = own
    expect(offerFor(settled).changes.filter((c) => c.useId === first.useId && c.tipId)).toEqual([])
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
    const offer = offerFor(order)
    expect([offer.moves, offer.before]).toEqual([[], offer.after])
  })
})
