import { describe, expect, it } from 'vitest'
import { seenFromAbove } from '../../flowers/seen.ts'
import type { Order, PlacedFlower } from '../../model/order.ts'
import { seeded } from '../../random.ts'
import { demand } from '../demand.ts'
import { lookUp } from '../lookup.ts'
import { demoOrder, demoWorkshop } from '../testing.ts'
import { lookKept, lookWords } from './kept.ts'
import { shownPieces } from './shown.ts'
import { transportCost } from './transport.ts'

const workshop = demoWorkshop()
/** The demo by its numbers alone: what is taken off here is taken off by its number. */
const demo: Order = {
  ...demoOrder('observatory'),
  pieces: demoOrder('observatory').pieces.map((p) => ({ ...p, layouts: [] })),
}

const shown = (order: Order) => {
  const at = lookUp(order, workshop)
  return shownPieces(at, demand(at).placements)
}
const asItIs = shown(demo)

/** The look kept when flowers of one recipe are changed, or taken away. */
function kept(flowerId: string, change: (placed: PlacedFlower) => PlacedFlower[]) {
  const order = {
    ...demo,
    pieces: demo.pieces.map((p) => ({
      ...p,
      flowers: p.flowers.flatMap((f) => (f.flowerId === flowerId ? change(f) : [f])),
    })),
  }
  return lookKept(asItIs, shown(order))
}

describe('what one distribution costs to become another', () => {
  it('is the area between them where they lie on a line, which needs no search', () => {
    const random = seeded(7)
    for (let round = 0; round < 40; round++) {
      const n = 2 + Math.floor(random() * 5)
      const draw = () => {
        const raw = Array.from({ length: n }, (_, i) => (i > 0 && random() < 0.3 ? 0 : 0.01 + random()))
        const all = raw.reduce((a, b) => a + b)
        return raw.map((x) => x / all)
      }
      const [from, to] = [draw(), draw()]
      const places = Array.from({ length: n }, () => 10 * random()).sort((a, b) => a - b)
      let ahead = 0
      const area = places.slice(1).reduce((sum, place, i) => {
        ahead += from[i]! - to[i]!
        return sum + Math.abs(ahead) * (place - places[i]!)
      }, 0)
      expect(transportCost(from, to, (i, j) => Math.abs(places[i]! - places[j]!))).toBeCloseTo(area, 6)
    }
  })

  it('takes back what was sent where that is cheaper in the end', () => {
    // the nearest pair first (0 to 0) would cost 0 + 10; the best is 1 + 2
    const costs = [
      [0, 1],
      [2, 10],
    ]
    expect(transportCost([0.5, 0.5], [0.5, 0.5], (i, j) => costs[i]![j]!)).toBeCloseTo(1.5)
  })
})

describe('what shows of a flower from above', () => {
  it('is no more than its circle, and hides a mound under its petals', () => {
    for (const { fitted } of demand(lookUp(demo, workshop)).placements) {
      const { areaMm2, areas, edgesMm } = seenFromAbove(fitted.layers)
      const { alongMm } = fitted.measure
      expect(areaMm2).toBeLessThan((Math.PI / 4) * (1.06 * alongMm + 2) ** 2)
      expect(areas.reduce((sum, a) => sum + a.mm2, 0)).toBeCloseTo(areaMm2)
      expect(edgesMm).toBeGreaterThan(Math.PI * Math.sqrt(areaMm2 / Math.PI))
    }
  })

  it('is a disc of its own area for a dot, and its rim for edges, as a grid counts them', () => {
    const dots = workshop.flowers.find((f) => f.id === 'dot-border')!
    const { fitted } = demand(lookUp(demo, workshop)).placements.find((p) => p.flower.id === dots.id)!
    const seen = seenFromAbove(fitted.layers)
    const r = fitted.measure.diameterMm / 2
    expect(seen.areas.map((a) => a.texture)).toEqual(['dotted'])
    // cells of 0.8 mm: a dot of 3 to 4 mm is true to a third
    expect(seen.areaMm2 / (Math.PI * r * r)).toBeGreaterThan(0.7)
    expect(seen.areaMm2 / (Math.PI * r * r)).toBeLessThan(1.33)
  })
})

describe('the look that is kept', () => {
  it('is all of it where nothing changed, and no more for going there and back', () => {
    expect(lookKept(asItIs, shown(structuredClone(demo))).order).toBe(1)
    const without = { ...demo, pieces: demo.pieces.map((p) => ({ ...p, flowers: p.flowers.slice(0, 1) })) }
    const there = lookKept(asItIs, shown(without)).order
    expect(there).toBeLessThan(0.95)
    expect(lookKept(shown(without), asItIs).order).toBeLessThan(0.95)
  })

  it('is the same where an opening is a size smaller', () => {
    const { order } = kept('scabious', (f) => [{ ...f, tips: { ...f.tips, inner: 'curve-11' } }])
    expect(order).toBeGreaterThan(0.97)
    expect(lookWords(order)).toBe('the same look')
  })

  it('is near where a border is left out or a flower replaced by its like', () => {
    const border = kept('dot-border', () => [])
    expect(lookWords(border.order)).toBe('a near look')
    const like = kept('dahlia', (f) => [{ ...f, flowerId: 'zinnia', tips: {} }])
    expect(like.order).toBeGreaterThan(0.72)
    expect(like.order).toBeLessThan(0.97)
  })

  it('is another where the flower of a piece is gone or is of another kind and colour', () => {
    const gone = kept('dahlia', () => [])
    expect(Math.min(...gone.pieces.values())).toBeLessThan(0.6)
    const dusk = kept('dahlia', (f) => [
      { ...f, colours: Object.fromEntries(Object.keys(f.colours).map((role) => [role, 'dusk'])) },
    ])
    expect(Math.min(...dusk.pieces.values())).toBeLessThan(0.75)
  })

  it('falls with every step away: one leaf of three, all of them, the flower too', () => {
    const steps = [
      kept('leaf', (f) => [{ ...f, placement: { kind: 'each', perPiece: 1 } }]),
      kept('leaf', () => []),
      kept('hellebore', () => []),
    ].map((k) => k.order)
    expect([...steps].sort((a, b) => b - a)).toEqual(steps)
    expect(steps[0]).toBeLessThan(1)
  })

  it('changes only the pieces that are touched', () => {
    const { pieces } = kept('scabious', () => [])
    expect([...pieces].filter(([, look]) => look < 1).map(([id]) => id)).toEqual(['cup-scabious'])
  })
})

/**
 * Substitutions with what people say of them from a step away, on the piece that is changed. The weights of the measure were set on
 * such judgements: whoever changes them has to keep to these, or say why not.
 */
describe('the look that is kept, judged on the piece', () => {
  const inDusk = (f: PlacedFlower) => ({
    ...f,
    colours: Object.fromEntries(Object.keys(f.colours).map((role) => [role, 'dusk'])),
  })
  const rowOf = (id: string, name: string) =>
    workshop.flowers.find((f) => f.id === id)!.layers.find((l) => l.name === name)!.id
  const cases: [
    what: string,
    pieceId: string,
    flowerId: string,
    change: (f: PlacedFlower) => PlacedFlower[],
    is: string,
  ][] = [
    [
      'a row fewer of the dahlia',
      'cup-dahlia',
      'dahlia',
      (f) => [{ ...f, leftOut: [rowOf('dahlia', 'Row of 12')] }],
      'the same look',
    ],
    [
      'the scabious through an opening a size larger',
      'cup-scabious',
      'scabious',
      (f) => [{ ...f, tips: { inner: 'curve-11' } }],
      'the same look',
    ],
    [
      'a leaf fewer of three',
      'cup-dahlia',
      'leaf',
      (f) => [{ ...f, placement: { kind: 'each', perPiece: 2 } }],
      'the same look',
    ],
    [
      'two larger dahlias for three',
      'tier-lower',
      'dahlia',
      (f) => [{ ...f, placement: { kind: 'each', perPiece: 2 }, sizeMm: 66 }],
      'the same look',
    ],
    ['no border of dots', 'cookies', 'dot-border', () => [], 'a near look'],
    [
      'a zinnia for the dahlia',
      'cup-dahlia',
      'dahlia',
      (f) => [{ ...f, flowerId: 'zinnia', tips: {} }],
      'a near look',
    ],
    [
      'dots for the scabious',
      'cup-scabious',
      'scabious',
      (f) => [{ ...f, flowerId: 'dot-border', tips: {} }],
      'another look',
    ],
    ['no dahlia at all', 'cup-dahlia', 'dahlia', () => [], 'another look'],
    ['no hellebore at all', 'cup-hellebore', 'hellebore', () => [], 'another look'],
  ]
  it.each(cases)('%s', (_, pieceId, flowerId, change, is) => {
    expect(lookWords(kept(flowerId, change).pieces.get(pieceId)!)).toBe(is)
  })

  it('says that another colour is further off than another flower, though it is still near', () => {
    const on = (change: (f: PlacedFlower) => PlacedFlower[]) =>
      kept('dahlia', change).pieces.get('cup-dahlia')!
    const zinnia = on((f) => [{ ...f, flowerId: 'zinnia', tips: {} }])
    // most would call it another; the measure is a hair on the other side
    expect(on((f) => [inDusk(f)])).toBeLessThan(zinnia)
    expect(on(() => [])).toBeLessThan(on((f) => [inDusk(f)]))
  })
})
