import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Order } from '../model/order.ts'
import { surfaceDefinition } from '../surfaces/index.ts'
import { usableGrams } from './bagStock.ts'
import { planFigures } from './index.ts'
import { replaceColour } from './remedies.ts'
import { COLOURS, orders } from './testing.ts'

const plan = (order: Order) => planFigures(order, starterWorkshop)

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
  it('is coated only where it is seen; what is covered is counted apart', () => {
    const [body] = surfaceDefinition('cake').bodies({
      kind: 'cake',
      tiers: [{ diameterMm: 200, heightMm: 100 }],
      coveredMm: 150,
    })
    // side π·200·100, top π·100² less π·75²
    expect(body!.seenMm2).toBeCloseTo(Math.PI * (20_000 + 10_000 - 5625), 6)
    expect(body!.coveredMm2).toBeCloseTo(Math.PI * 5625, 6)
  })
})

describe('what a plan does depend on, whatever is ordered', () => {
  const piped = (of: Order) =>
    new Map(plan(of).uses.map((u) => [u.id, u.parts.reduce((sum, p) => sum + p.piped, 0)]))

  it('twice the pieces are twice the icing on them and twice the piping, and no less of anything', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const twice = { ...order, pieces: order.pieces.map((p) => ({ ...p, count: 2 * p.count })) }
        const [one, two] = [plan(order), plan(twice)]
        const [before, after] = [piped(order), piped(twice)]
        for (const [id, grams] of before) expect(after.get(id)).toBeCloseTo(2 * grams, 6)
        expect(two.uses.map((u) => u.seconds)).toEqual(one.uses.map((u) => expect.closeTo(2 * u.seconds, 6)))
        expect(two.totals.mixedGrams).toBeGreaterThan(one.totals.mixedGrams)
        expect(two.totals.cost).toBeGreaterThanOrEqual(one.totals.cost)
      }),
      { numRuns: 25 },
    )
  })

  it('a piece split in two lines of the order is the same icing and the same time', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const [first, ...rest] = order.pieces
        if (first!.count < 2) return
        const part = Math.floor(first!.count / 2)
        const split = {
          ...order,
          pieces: [
            { ...first!, count: part },
            { ...first!, id: 'other', count: first!.count - part },
            ...rest,
          ],
        }
        const sum = (of: Order) => [...piped(of).values()].reduce((a, b) => a + b, 0)
        expect(sum(split)).toBeCloseTo(sum(order), 6)
        const seconds = (of: Order) => plan(of).uses.reduce((all, u) => all + u.seconds, 0)
        // spatula work and piping alike go by the piece
        expect(seconds(split)).toBeCloseTo(seconds(order), 6)
      }),
      { numRuns: 25 },
    )
  })

  it('two colours made one are as much icing on the pieces, in no more bowls and no more left in them', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const [a, b] = COLOURS
        const merged = plan(replaceColour(order, a!, b!))
        const apart = plan(order)
        expect(merged.batches.length).toBeLessThanOrEqual(apart.batches.length)
        expect(merged.totals.pipedGrams).toBeCloseTo(apart.totals.pipedGrams, 6)
        expect(merged.residues.bowls).toBeLessThanOrEqual(apart.residues.bowls + 1e-9)
      }),
      { numRuns: 25 },
    )
  })

  it('how weights and lengths are told, and which hand pipes, changes no figure', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const told = planFigures(order, {
          ...starterWorkshop,
          settings: { ...starterWorkshop.settings, units: 'ounces', lengths: 'inches', hand: 'left' },
        })
        const figures = ({ totals, hands, bags, batches }: typeof told) => [totals, hands, bags, batches]
        expect(figures(told)).toEqual(figures(plan(order)))
      }),
      { numRuns: 10 },
    )
  })

  it('a piece taken off takes exactly its own icing with it', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const [gone, ...rest] = order.pieces
        const less = piped({ ...order, pieces: rest })
        for (const [id, grams] of piped(order)) {
          if (id.startsWith(`${gone!.id}.`)) expect(less.has(id)).toBe(false)
          else expect(less.get(id)).toBeCloseTo(grams, 9)
        }
      }),
      { numRuns: 25 },
    )
  })
})
