import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { loadDefinition } from '../loads/index.ts'
import type { Order, Safety } from '../model/order.ts'
import { newOrder, newPiece } from '../orders/new.ts'
import { placeFlower } from '../orders/place.ts'
import { openingSlot } from '../tips/index.ts'
import { formatCups } from '../units.ts'
import { searchBags } from './bagOffers.ts'
import { orderBags } from './bagProblem.ts'
import { adopt, asChoice, bags } from './bags.ts'
import { chances, SHOWN } from './chances.ts'
import { demand } from './demand.ts'
import { planFigures } from './index.ts'
import { lookUp } from './lookup.ts'
import { quote } from './quote.ts'
import { reserve, safetyChoices, safetyLevels } from './reserve.ts'

let ids = 0
const newId = () => `n${ids++}`
const library = (id: string) => starterWorkshop.flowers.find((f) => f.id === id)!
const colour = { id: 'cream', name: 'Cream', hex: '#f0e6cc', dyeIds: null }

/** Cupcakes wearing the given flowers. */
function orderOf(flowers: string[], safety: Safety = 'safe'): Order {
  const piece = { ...newPiece('p', 'cupcake'), count: 24 }
  const empty = { ...newOrder('o', 'Test', '2026-12-01T10:00', 'butter-sugar'), safety, pieces: [piece] }
  return flowers.reduce((order, id) => placeFlower(order, 'p', library(id), newId).order, empty)
}

describe('reserve from risk', () => {
  const choices = (order: Order) => safetyChoices(planFigures(order, starterWorkshop))
  it('says what each level of safety would cost, and the chances that it leaves', () => {
    const plan = planFigures(orderOf(['rose', 'thrift']), starterWorkshop)
    const found = safetyChoices(plan)
    const safe = found.find((c) => c.scope === 'colour' && c.safety === 'safe')!
    expect(safe.grams).toBeCloseTo(plan.reserve.margin, 6)
    expect(safe.colour).toBeLessThanOrEqual(safetyLevels.safe.chanceShort)
    for (const { cost, grams } of found) expect(cost / grams).toBeCloseTo(safe.cost / safe.grams, 9)
  })
  it('adds more for every step of safety, and for the whole order more than for its colours', () => {
    const found = choices(orderOf(['rose', 'thrift', 'leaf']))
    const grams = (scope: string, safety: Safety) =>
      found.find((c) => c.scope === scope && c.safety === safety)!.grams
    for (const scope of ['colour', 'order']) {
      expect(grams(scope, 'tight')).toBeLessThan(grams(scope, 'safe'))
      expect(grams(scope, 'safe')).toBeLessThan(grams(scope, 'unmatchable'))
    }
    expect(grams('order', 'safe')).toBeGreaterThan(grams('colour', 'safe'))
  })
  it('promised for the order as a whole, nothing runs short oftener than is said', () => {
    const order = { ...orderOf(['rose', 'thrift', 'leaf']), promiseFor: 'order' as const }
    const { promise } = planFigures(order, starterWorkshop)
    expect(promise.order).toBeLessThanOrEqual(safetyLevels.safe.chanceShort)
    for (const { chanceShort } of promise.colours) expect(chanceShort).toBeLessThanOrEqual(promise.order)
  })
  it('a copy of an order, its pieces turned about, is promised the same', () => {
    const order = orderOf(['rose', 'thrift', 'leaf'])
    const copy = {
      ...order,
      id: 'copy',
      pieces: order.pieces.map((p) => ({ ...p, id: 'other', flowers: [...p.flowers].reverse() })),
    }
    expect(planFigures(copy, starterWorkshop).reserve.margin).toBeCloseTo(
      planFigures(order, starterWorkshop).reserve.margin,
      9,
    )
  })
  it('imagined a thousand times it runs short as often as is promised', () => {
    const order = orderOf(['rose', 'thrift', 'leaf'])
    const { promise } = planFigures(order, starterWorkshop)
    const { colours, orders } = chances(order, starterWorkshop)
    const short = (spare: number[]) => spare.filter((g) => g < 0).length / SHOWN
    for (const { colourId, spare } of colours) {
      const said = promise.colours.find((c) => c.colourId === colourId)!.chanceShort
      expect(Math.abs(short(spare) - said)).toBeLessThan(0.015)
    }
    expect(Math.abs(short(orders) - promise.order)).toBeLessThan(0.02)
  })
})

describe('what is spread with a spatula', () => {
  // tier 200 × 100 mm: top and side π·100² + π·200·100 = 94,248 mm²; filling π·100² = 31,416 mm² a layer
  it('is area times thickness: filling, crumb coat and coat of a tier', () => {
    const spread = { colourId: colour.id, stiffness: 'soft' as const }
    const piece = {
      ...newPiece('p', 'cake'),
      count: 2,
      filling: { ...spread, thicknessMm: 6, layers: 2 },
      crumbCoat: { ...spread, thicknessMm: 1 },
      coat: { ...spread, thicknessMm: 4 },
    }
    const order = {
      ...newOrder('o', 'T', '2026-12-01T10:00', 'butter-sugar'),
      colours: [colour],
      pieces: [piece],
    }
    const grams = planFigures(order, starterWorkshop).uses.map((u) => Math.round(u.parts[0]!.piped))
    expect(grams).toEqual([31.416 * 6 * 2 * 0.9 * 2, 94.248 * 0.9 * 2, 94.248 * 4 * 0.9 * 2].map(Math.round))
  })
})

describe('loads', () => {
  const slot = openingSlot(starterWorkshop.tips.find((t) => t.id === 'petal-13')!.opening)
  it.each([
    [{ kind: 'plain', role: 'a' }, [1], false],
    [{ kind: 'striped', wideEnd: 'a', rest: 'b', border: 0.36 }, [0.48, 0.52], true],
    [{ kind: 'halves', inner: 'a', outer: 'b' }, [0.5, 0.5], true],
    [{ kind: 'layered', tones: ['a', 'b', 'c'] }, [1 / 3, 1 / 3, 1 / 3], false],
    [{ kind: 'leftBehind', first: 'a', next: 'b', share: 0.12 }, [0.12, 0.88], false],
  ] as const)('%j is shared %j', (load, shares, fixed) => {
    const definition = loadDefinition(load.kind)
    definition.shares(load, slot).forEach((s, i) => {
      expect(s.share).toBeCloseTo(shares[i]!, 2)
    })
    expect(definition.fixesTip(slot)).toBe(fixed)
    // a round tip does not care which way it is turned
    expect(definition.fixesTip(null)).toBe(false)
    const names = definition.shares(load, slot).map((s) => `colour ${s.role}`)
    const words = definition.filling(names).join(' ')
    for (const name of names) expect(words).toContain(name)
  })
})

describe('a chosen arrangement', () => {
  const order = orderOf(['rose', 'hellebore', 'scabious', 'leaf', 'thrift'])
  const problemOf = (o: Order) => {
    const at = lookUp(o, starterWorkshop)
    const uses = reserve(at, demand(at).uses)
    return { at, uses, of: orderBags(at, uses) }
  }
  it('is kept, adapts to a flower more and a flower less, and comes back as it went', () => {
    const search = searchBags(order, starterWorkshop)
    const first = search.next().value
    const { choice } = first.offers[0]!
    const chosen = planFigures({ ...order, arrangement: choice }, starterWorkshop)
    expect(chosen.bags.length).toBe(first.offers[0]!.bags)
    const { of } = problemOf(order)
    expect(asChoice(of, adopt(of, choice))).toEqual({ ...choice, sequence: expect.any(Array) })
    const more = placeFlower({ ...order, arrangement: choice }, 'p', library('anemone'), newId).order
    const less = {
      ...order,
      arrangement: choice,
      pieces: order.pieces.map((p) => ({ ...p, flowers: p.flowers.slice(1) })),
    }
    for (const o of [more, less]) {
      const { at, uses } = problemOf(o)
      const piped = uses.filter((u) => u.tipId !== null).length
      expect(bags(at, uses).bags.flatMap((b) => b.useIds)).toHaveLength(piped)
    }
  })
  it('offers plans that lean one way, each as good as it says', () => {
    const { done, offers } = [...searchBags(order, starterWorkshop)].at(-1)!
    expect(done).toBe(1)
    for (const offer of offers) {
      const { totals, bags: filled } = planFigures({ ...order, arrangement: offer.choice }, starterWorkshop)
      expect([filled.length, totals.changes, totals.washes]).toEqual([
        offer.bags,
        offer.changes,
        offer.washes,
      ])
    }
  })
  it('keeps pins: a tip by itself, a size of bag, a tip mounted once', () => {
    const { of } = problemOf(order)
    const shared = planFigures(order, starterWorkshop)
    const big = {
      ...order,
      bagPins: [{ kind: 'bagSize' as const, pair: of.pairKeys[0]!, bagStockId: 'bag-40' }],
    }
    expect(planFigures(big, starterWorkshop).bags.some((b) => b.bagStockId === 'bag-40')).toBe(true)
    const alone = { ...order, bagPins: of.pairKeys.map((pair) => ({ kind: 'alone' as const, pair })) }
    const single = planFigures(alone, starterWorkshop).bags
    expect(single.every((b) => b.tipIds.length === 1)).toBe(true)
    expect(single.length).toBeGreaterThanOrEqual(shared.bags.length)
  })
})

describe('a base for a quote', () => {
  it('sums over the pieces to the whole order', () => {
    const order = orderOf(['rose', 'leaf'])
    const two = { ...order, pieces: [...order.pieces, { ...order.pieces[0]!, id: 'q', count: 6 }] }
    const plan = planFigures(two, starterWorkshop)
    const rows = quote(two, plan, starterWorkshop.settings)
    const total = (of: (r: (typeof rows)[number]) => number) =>
      rows.reduce((sum, r) => sum + r.count * of(r), 0)
    expect(total((r) => r.ingredientsEach)).toBeCloseTo(plan.totals.cost, 6)
    expect(total((r) => r.minutesEach)).toBeCloseTo(plan.totals.handsOnMinutes, 6)
    expect(total((r) => r.gramsEach)).toBeCloseTo(plan.totals.pipedGrams, 6)
  })
  it('takes from the pantry before it buys', () => {
    const order = orderOf(['rose'])
    const sugarOf = (pantry: Record<string, number>) =>
      planFigures(order, {
        ...starterWorkshop,
        settings: { ...starterWorkshop.settings, pantry },
      }).supplies.find((s) => s.name === 'Icing sugar')!
    const bare = sugarOf({})
    expect(bare.short).toBeCloseTo(bare.needed, 9)
    expect(sugarOf({ 'Icing sugar': 5000 })).toMatchObject({ short: 0, packs: 0 })
  })
  it.each([
    [120, 120, '1 cup'],
    [270, 120, '2¼ cups'],
    [60, 120, '½ cup'],
    [10, 120, 'under ¼ cup'],
    [238, 120, '2 cups'],
  ])('%d g at %d g a cup is %s', (grams, cup, words) => {
    expect(formatCups(grams, cup)).toBe(words)
  })
})
