import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { type Order, orderSchema } from '../model/order.ts'
import { newOrder } from '../orders/new.ts'
import { surfaceDefinition } from '../surfaces/index.ts'
import { usableGrams } from './bagStock.ts'
import { planOrder } from './index.ts'

const COLOURS = ['a', 'b', 'c']
const placed = fc
  .record({
    flower: fc.constantFrom(...catalogueFlowers.filter((f) => f.form !== 'border')),
    perPiece: fc.integer({ min: 1, max: 6 }),
    picks: fc.array(fc.constantFrom(...COLOURS), { minLength: 6, maxLength: 6 }),
  })
  .map(({ flower, perPiece, picks }) => ({
    flowerId: flower.id,
    placement: { kind: 'each', perPiece },
    colours: Object.fromEntries(flower.roles.map((r, i) => [r.id, picks[i % 6]])),
  }))
const piece = fc.record({
  count: fc.integer({ min: 1, max: 40 }),
  coated: fc.boolean(),
  flowers: fc.array(placed, { minLength: 1, maxLength: 4 }),
})
const orders = fc.array(piece, { minLength: 2, maxLength: 5 }).map((pieces) =>
  orderSchema.parse({
    ...newOrder('a', 'Fair', '2026-12-01T10:00', 'butter-sugar'),
    colours: COLOURS.map((id, i) => ({ id, name: id, hex: ['#f0e0c0', '#a04060', '#405030'][i] })),
    pieces: pieces.map((p, i) => ({
      id: `p${i}`,
      name: `Piece ${i}`,
      count: p.count,
      shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
      coat: p.coated ? { colourId: 'a', thicknessMm: 2, stiffness: 'medium' } : null,
      flowers: p.flowers.map((f, k) => ({ id: `f${k}`, ...f })),
    })),
  }),
)
const plan = (order: Order) => planOrder(order, starterWorkshop)

describe('what a plan does not depend on', () => {
  it('is the order in which the pieces stand', () => {
    fc.assert(
      fc.property(orders, fc.integer(), (order, turn) => {
        const by = Math.abs(turn) % order.pieces.length
        const turned = [...order.pieces.slice(by), ...order.pieces.slice(0, by)]
        const [one, other] = [plan(order), plan({ ...order, pieces: turned })]
        const figures = (p: typeof one) => [
          p.totals.mixedGrams,
          p.totals.handsOnMinutes,
          p.totals.changes,
          p.bags.length,
          ...p.colours.map((c) => c.grams),
        ]
        figures(one).forEach((figure, i) => {
          expect(figures(other)[i]).toBeCloseTo(figure, 6)
        })
      }),
      { numRuns: 120, seed: 9 },
    )
  }, 60_000)
})

describe('a higher safety', () => {
  it('lowers no colour, and fills no other bags', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const levels = (['tight', 'safe', 'unmatchable'] as const).map((safety) => plan({ ...order, safety }))
        levels.slice(1).forEach((higher, i) => {
          const lower = levels[i]!
          higher.colours.forEach(({ grams }, k) => {
            expect(grams).toBeGreaterThanOrEqual(lower.colours[k]!.grams - 1e-6)
          })
          expect(higher.bags.map((b) => b.useIds)).toEqual(lower.bags.map((b) => b.useIds))
        })
      }),
      { numRuns: 80, seed: 4 },
    )
  }, 60_000)
})

describe('a bag', () => {
  it('is not filled twice where the next size takes it in one', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const { bags, settings, icings, tips } = starterWorkshop
        const density = icings.find((i) => i.id === order.icingKindId)!.density
        for (const bag of plan(order).bags.filter((b) => b.fillings > 1)) {
          const own = bags.find((b) => b.id === bag.bagStockId)!
          const large = bag.tipIds.some((id) => tips.find((t) => t.id === id)!.base === 'large')
          const longer = bags.filter(
            (b) => b.kind !== 'parchment' && b.lengthMm > own.lengthMm && (!large || b.lengthMm >= 300),
          )
          for (const other of longer)
            expect(usableGrams(other, density, settings)).toBeLessThan(
              bag.grams - own.residueGrams + other.residueGrams,
            )
        }
      }),
      { numRuns: 120, seed: 2 },
    )
  }, 60_000)
})

describe('a lower tier', () => {
  it('is coated only where it is seen, and crumb coated all over', () => {
    const { coatAreaMm2, crumbCoatAreaMm2 } = surfaceDefinition('tier')
    const tier = { kind: 'tier' as const, diameterMm: 200, heightMm: 100, coveredMm: 150 }
    // side π·200·100, top π·100² less π·75²
    expect(coatAreaMm2(tier)).toBeCloseTo(Math.PI * (20_000 + 10_000 - 5625), 6)
    expect(crumbCoatAreaMm2!(tier)).toBeCloseTo(Math.PI * 30_000, 6)
  })
})
