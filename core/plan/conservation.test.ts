import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { stiffnesses } from '../common.ts'
import { type Order, orderSchema } from '../model/order.ts'
import type { PlanFigures } from '../model/plan.ts'
import { leftGrams } from './carry.ts'
import { icingFlow } from './flow.ts'
import { planFigures } from './index.ts'

const colourIds = ['a', 'b', 'c', 'd']

const placed = fc
  .record({
    flower: fc.constantFrom(...catalogueFlowers),
    perPiece: fc.integer({ min: 1, max: 9 }),
    // a size is found on the pile of its flower: each that is tried costs a moment
    sizeMm: fc.constantFrom(null, null, 24),
    picks: fc.array(fc.constantFrom(...colourIds), { minLength: 6, maxLength: 6 }),
    chosen: fc.boolean(),
  })
  .map(({ flower, perPiece, sizeMm, picks, chosen }) => ({
    flowerId: flower.id,
    placement: flower.form === 'border' ? { kind: 'border', edge: 'top' } : { kind: 'each', perPiece },
    sizeMm,
    // some roles are left unchosen, as in an order that is being made
    colours: chosen ? Object.fromEntries(flower.roles.map((r, i) => [r.id, picks[i % 6]])) : {},
  }))

const piece = fc.record({
  count: fc.integer({ min: 1, max: 200 }),
  shape: fc.constantFrom(
    { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
    { kind: 'cookie', diameterMm: 80 },
    { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 90 }], coveredMm: 0 },
    { kind: 'sheet', lengthMm: 300, widthMm: 200, heightMm: 50 },
  ),
  icingKindId: fc.constantFrom(null, 'royal', 'meringue-butter'),
  coat: fc.option(
    fc.record({
      colourId: fc.constantFrom(...colourIds),
      thicknessMm: fc.double({ min: 0.5, max: 6, noNaN: true }),
      stiffness: fc.constantFrom(...stiffnesses),
    }),
    { nil: null },
  ),
  flowers: fc.array(placed, { maxLength: 5 }),
})

const orders = fc
  .record({
    safety: fc.constantFrom('tight', 'safe', 'unmatchable'),
    mixing: fc.oneof(
      fc.constant({ school: 'separate' }),
      fc.record({
        school: fc.constant('carryOver'),
        chain: fc.shuffledSubarray(colourIds, { minLength: 1 }).chain((ids) =>
          fc.tuple(
            ...ids.map((id) =>
              fc.record({
                colourId: fc.constant(id),
                carriedShare: fc.double({ min: 0, max: 1, noNaN: true }),
              }),
            ),
          ),
        ),
      }),
    ),
    practicePerFlower: fc.integer({ min: 0, max: 4 }),
    pieces: fc.array(piece, { maxLength: 5 }),
  })
  .map((o) =>
    orderSchema.parse({
      ...o,
      id: 'o',
      title: 'Random',
      collectAt: '2026-12-01T10:00',
      icingKindId: 'butter-sugar',
      colours: colourIds.map((id, i) => ({
        id,
        name: id,
        hex: `#${(0x332211 * (i + 1)).toString(16).padStart(6, '0')}`,
      })),
      pieces: o.pieces.map((p, i) => ({
        ...p,
        id: `p${i}`,
        name: `Piece ${i}`,
        flowers: p.flowers.map((f, k) => ({ ...f, id: `f${k}` })),
      })),
    }),
  )

const sum = (values: Iterable<number>) => [...values].reduce((a, b) => a + b, 0)

function check(order: Order): PlanFigures {
  const plan = planFigures(order, starterWorkshop)
  const parts = plan.uses.flatMap((u) => u.parts)
  const piped = sum(parts.map((p) => p.piped))
  const reserve = plan.reserve.spoiled + plan.reserve.practice + plan.reserve.margin
  const { bags, topUps, bowls, rounding, mixer } = plan.residues
  const mixed = sum(plan.batches.map((b) => b.grams))
  const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThan(1e-6 * Math.max(1, Math.abs(b)))

  near(mixed, piped + reserve + bags + topUps + bowls + rounding)
  for (const b of plan.batches) {
    near(b.grams, b.pipedGrams + b.reserveGrams + b.bagResidueGrams + b.bowlResidueGrams + b.roundingGrams)
    near(b.grams, b.baseGrams + b.liquidGrams + b.carriedGrams)
  }
  const bases = [plan.base, ...plan.otherBases]
  near(sum(bases.map((b) => b.grams)), sum(plan.batches.map((b) => b.baseGrams)) + mixer)
  for (const b of bases) near(sum(b.makes), b.grams)
  for (const bag of plan.bags) {
    near(sum(bag.load.map((l) => l.grams)), bag.grams)
    const fed = plan.uses.filter((u) => bag.useIds.includes(u.id)).flatMap((u) => u.parts)
    near(
      sum(fed.map((p) => p.piped + p.spoiled + p.practice + p.margin)),
      bag.grams - bag.residueGrams - bag.topUpGrams,
    )
  }
  near(sum(plan.colours.map((c) => c.grams)), mixed)
  checkChain(order, plan)
  return plan
}

/** What is carried on was left by the bowl before, and nothing is carried from nowhere. */
function checkChain({ mixing, icingKindId }: Order, plan: PlanFigures): void {
  const carried = (id: string) => {
    const bowls = plan.batches.filter((b) => b.colourId === id && b.icingKindId === icingKindId)
    return { bowls, grams: sum(bowls.map((b) => b.carriedGrams)) }
  }
  const chain = mixing.school === 'separate' ? [] : mixing.chain.map((l) => carried(l.colourId))
  const links = chain.filter((l) => l.bowls.length > 0)
  links.forEach((link, i) => {
    const left = i > 0 ? leftGrams(links[i - 1]!.bowls) : 0
    expect(link.grams).toBeLessThanOrEqual(left + 1e-6)
  })
  expect(sum(plan.batches.map((b) => b.carriedGrams))).toBeCloseTo(sum(links.map((l) => l.grams)), 6)
}

describe('conservation of grams', () => {
  it('holds from demand to base for any order', () => {
    fc.assert(
      fc.property(orders, (order) => {
        check(order)
      }),
      { numRuns: 120, seed: 7 },
    )
  })

  it('puts every use with a tip in exactly one bag, with tips the bag carries', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const plan = planFigures(order, starterWorkshop)
        for (const use of plan.uses) {
          const carrying = plan.bags.filter((b) => b.useIds.includes(use.id))
          expect(carrying).toHaveLength(use.tipId === null ? 0 : 1)
          if (use.tipId !== null) expect(carrying[0]!.tipIds).toContain(use.tipId)
        }
        for (const bag of plan.bags) {
          if (bag.coupler === 'none') expect(bag.tipIds).toHaveLength(1)
          if (bag.fixedTip) expect(bag.coupler).toBe('none')
        }
        const { couplersStandard, couplersLarge } = starterWorkshop.settings
        expect(plan.bags.filter((b) => b.coupler === 'standard').length).toBeLessThanOrEqual(couplersStandard)
        expect(plan.bags.filter((b) => b.coupler === 'large').length).toBeLessThanOrEqual(couplersLarge)
      }),
      { numRuns: 60, seed: 11 },
    )
  })

  it('lets out of every bowl and bag in the flow picture what it lets in', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const { nodes, links } = icingFlow(planFigures(order, starterWorkshop), new Map())
        for (const node of nodes) {
          const passes =
            /^(base\.(?!liquid|carried)|bag\.|flower\.|spatula)/.test(node.id) || node.id.includes('|')
          if (!passes) continue
          const into = sum(links.filter((l) => l.to === node.id).map((l) => l.grams))
          const out = sum(links.filter((l) => l.from === node.id).map((l) => l.grams))
          expect(Math.abs(into - out)).toBeLessThan(1e-5 * Math.max(1, into))
        }
      }),
      { numRuns: 40, seed: 13 },
    )
  })

  it('never asks for less icing when there are more pieces', () => {
    fc.assert(
      fc.property(orders, (order) => {
        const more = { ...order, pieces: order.pieces.map((p) => ({ ...p, count: p.count + 1 })) }
        const grams = (o: Order) => planFigures(o, starterWorkshop).totals.pipedGrams
        expect(grams(more)).toBeGreaterThanOrEqual(grams(order))
      }),
      { numRuns: 30, seed: 17 },
    )
  })
})
