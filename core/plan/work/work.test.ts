import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import { orderFileSchema } from '../../files/orderFile.ts'
import { type Order, orderSchema } from '../../model/order.ts'
import type { Use } from '../../model/plan.ts'
import { newOrder } from '../../orders/new.ts'
import { planFigures } from '../index.ts'
import { schools } from '../schools.ts'
import { brokenLayers } from './broken.ts'
import { keptBags } from './kept.ts'
import { passes } from './passes.ts'

const demo = (name: string) =>
  orderFileSchema.parse(
    JSON.parse(readFileSync(new URL(`../../../demo/${name}.json`, import.meta.url), 'utf8')),
  ).order

const chained = (order: Order, ids: string[]): Order => ({
  ...order,
  mixing: { school: 'carryOver', chain: ids.map((colourId) => ({ colourId, carriedShare: 0.3 })) },
})

/** A use of one colour in a flower; layers of one flower share a placed id. */
function use(id: string, colourId: string, more: Partial<Use> = {}): Use {
  const [pieceId, placedId, layerId] = id.split('.') as [string, string, string]
  return {
    ...planFigures(demo('allotment'), starterWorkshop).uses[0]!,
    ...{ id, pieceId, placedId, layerId, form: 'flower', setting: 'nail', tipId: `tip-${colourId}` },
    ...{ icingKindId: 'butter-sugar', layout: 'plain', fixedTip: false },
    parts: [{ colourId, piped: 10, spoiled: 0, practice: 0, margin: 0 }],
    ...more,
  } as Use
}

describe('one bowl through all colours', () => {
  // a mound in A, petals in B, stamens in A again; and a second flower all in B
  const uses = [use('p.f.mound', 'A'), use('p.f.petals', 'B'), use('p.f.stamens', 'A'), use('p.g.all', 'B')]
  const bagOf = (u: Use) => (u.parts[0]!.colourId === 'A' ? 0 : 1)
  const along = (chain: string[]) =>
    passes(uses, chain.length, (u) => u.parts.map((p) => chain.indexOf(p.colourId)), bagOf).map((pass) =>
      pass.uses.map((u) => u.id.slice(2)),
    )

  it('pipes in each pass what has its ground, and the rest as soon as it has', () => {
    expect(along(['A', 'B'])).toEqual([['f.mound'], ['f.petals', 'g.all', 'f.stamens']])
    expect(along(['B', 'A'])).toEqual([['g.all'], ['f.mound', 'f.petals', 'f.stamens']])
  })

  it('keeps a bag aside for each colour that has to wait, whichever comes first', () => {
    const kept = keptBags(uses, ['A', 'B'], 'butter-sugar')
    // A first: its stamens wait for B. B first: its petals wait for A
    expect([kept(0b01, 0), kept(0b11, 1)]).toEqual([1, 0])
    expect([kept(0b10, 1), kept(0b11, 0)]).toEqual([1, 0])
    const ground = keptBags([use('p.f.mound', 'A'), use('p.f.petals', 'B')], ['A', 'B'], 'butter-sugar')
    expect([ground(0b01, 0), ground(0b10, 1)]).toEqual([0, 1])
  })
})

describe('the order of work', () => {
  const ids = ['observatory', 'allotment', 'reading-room']

  it.each(ids)('of %s can be piped as written, whichever way its colours are mixed', (name) => {
    const order = demo(name)
    const plain = planFigures(order, starterWorkshop)
    expect(brokenLayers(plain, starterWorkshop)).toEqual([])
    const colours = order.colours.map((c) => c.id)
    for (const chain of [colours, [...colours].reverse(), colours.slice(1)]) {
      const plan = planFigures(chained(order, chain), starterWorkshop)
      expect(brokenLayers(plan, starterWorkshop)).toEqual([])
    }
    for (const { mixing } of schools(order, starterWorkshop, null))
      expect(brokenLayers(planFigures({ ...order, mixing }, starterWorkshop), starterWorkshop)).toEqual([])
  })

  it('is known as broken by whoever looks when it is', () => {
    const plan = planFigures(demo('observatory'), starterWorkshop)
    const upsideDown = { ...plan, sequence: [...plan.sequence].reverse() }
    expect(brokenLayers(upsideDown, starterWorkshop).length).toBeGreaterThan(20)
  })

  it('spreads and chills a cake before anything is piped on it, and lays borders before flowers', () => {
    const order = orderSchema.parse({
      ...newOrder('a', 'Cake', '2026-12-01T10:00', 'butter-sugar'),
      colours: [{ id: 'c', name: 'Cream', hex: '#f0e6d0' }],
      pieces: [
        {
          id: 'cake',
          name: 'Cake',
          count: 1,
          shape: { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 0 },
          crumbCoat: { colourId: 'c', thicknessMm: 1, stiffness: 'medium' },
          coat: { colourId: 'c', thicknessMm: 3, stiffness: 'medium' },
          filling: { colourId: 'c', thicknessMm: 4, layers: 2, stiffness: 'medium' },
          flowers: [
            { id: 'leaf', flowerId: 'leaf', placement: { kind: 'each', perPiece: 5 } },
            { id: 'rose', flowerId: 'rose', placement: { kind: 'each', perPiece: 3 } },
            { id: 'swirl', flowerId: 'rosette', placement: { kind: 'each', perPiece: 4 } },
            { id: 'rim', flowerId: 'bead-border', placement: { kind: 'border', edge: 'top' } },
          ],
        },
      ],
    })
    const words = (of: Order) =>
      planFigures(of, starterWorkshop).sequence.flatMap(({ kind, useIds }) => {
        const [, what] = (useIds[0] ?? '').split('.')
        return kind === 'chill' ? ['chill'] : [`${kind} ${what}`]
      })
    const inPlace = ['pipe rim', 'pipe swirl', 'lift rose', 'pipe leaf']
    const spread = ['spread filling', 'spread crumb-coat', 'chill', 'spread coat', 'chill']
    const plain = words(order)
    expect(plain.filter((w) => w !== 'pipe rose')).toEqual([...spread, ...inPlace])
    expect(plain.indexOf('pipe rose')).toBeLessThan(plain.indexOf('lift rose'))
    const oneBowl = [...new Set(words(chained(order, ['c'])))]
    expect(oneBowl.filter((w) => [...spread, ...inPlace].includes(w))).toEqual([
      ...new Set([...spread, ...inPlace]),
    ])
  })

  it('counts what a kept bag costs, and does not carry on what is in it', () => {
    const order = demo('observatory')
    const colours = order.colours.map((c) => c.id)
    const plan = planFigures(chained(order, colours), starterWorkshop)
    const kept = plan.bags.filter((b) => b.keptFor !== null)
    expect(kept.length).toBeGreaterThan(0)
    for (const bag of kept) {
      const filled = Math.max(...bag.load.map((l) => colours.indexOf(l.colourId)))
      expect(colours.indexOf(bag.keptFor!)).toBeGreaterThanOrEqual(filled)
      expect(plan.bags.some((b) => b.reuses === bag.number)).toBe(false)
    }
    const settings = { ...starterWorkshop.settings, keptBagMinutes: 10 }
    const dearer = planFigures(chained(order, colours), { ...starterWorkshop, settings })
    expect(dearer.totals.handsOnMinutes - plan.totals.handsOnMinutes).toBeCloseTo(6 * kept.length, 9)
  })
})

it('lifts the largest onto a piece first, the small ones when there is less room for the hand', () => {
  const order = demo('observatory')
  const plan = planFigures(order, starterWorkshop)
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  const lifted = plan.sequence
    .filter((s) => s.kind === 'lift' && s.pieceIds[0] === 'tier-lower')
    .map((s) => uses.get(s.useIds[0]!)!.flowerId)
  // dahlia 54, hellebore 50, anemone 46 mm, nigella by its own measure
  expect(lifted.slice(0, 3)).toEqual(['dahlia', 'hellebore', 'anemone'])
})
