import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { pileLayers } from '../flowers/piled.ts'
import { fitFlower } from '../flowers/resolve.ts'
import type { Laid } from '../solids/laid.ts'
import { strokeSchema } from '../strokes/index.ts'
import type { Opening } from '../tips/index.ts'
import { pile } from './pile.ts'
import type { PiledStroke, PileLayer } from './piled.ts'
import { around } from './testing.ts'

const round = (diameterMm: number): Opening => ({ family: 'round', diameterMm })
const slot: Opening = { family: 'petal', lengthMm: 13, wideMm: 2.2, narrowMm: 0.7 }
const layer = (stroke: object, opening: Opening, more: Partial<PileLayer> = {}): PileLayer => ({
  ...{ stiffness: 'stiff', ringMm: 0, heightMm: 0, spots: around([0]), works: [], opening },
  ...more,
  stroke: strokeSchema.parse(stroke),
})
const DOME = layer({ kind: 'mound', shape: 'dome', radiusMm: 10, tallMm: 7 }, round(6))
const dots = (ringMm: number, heightMm: number, azimuths: number[]) =>
  layer({ kind: 'dot', radiusMm: 2, tallMm: 3 }, round(3), { ringMm, heightMm, spots: around(azimuths) })
const petals = (ringMm: number, heightMm: number, count: number) =>
  layer({ kind: 'petalArc', spanDeg: 70, archMm: 2, dropMm: 1, tiltEndDeg: 10, tiltMidDeg: 30 }, slot, {
    ringMm,
    heightMm,
    spots: around(Array.from({ length: count }, (_, i) => (2 * Math.PI * i) / count)),
  })

/** The middle of a stroke's icing: of its sheet's points or of its rope's rings. */
const middlesOf = (laid: Laid): Float64Array => (laid.kind === 'sheet' ? laid.points : laid.centres)
/** Furthest that two strokes lie apart, point by point, mm, the second turned first. */
function apartMm(a: PiledStroke, b: PiledStroke, turn = 0): number {
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  let most = 0
  a.laid.forEach((laid, i) => {
    const [p, q] = [middlesOf(laid), middlesOf(b.laid[i]!)]
    for (let o = 0; o < p.length; o += 3) {
      const [x, y] = [c * q[o]! - s * q[o + 1]!, s * q[o]! + c * q[o + 1]!]
      most = Math.max(most, Math.hypot(p[o]! - x, p[o + 1]! - y, p[o + 2]! - q[o + 2]!))
    }
  })
  return most
}

describe('what is piped', () => {
  it('stays where it is, whatever is piped after it', () => {
    const first = [DOME, petals(9, 2, 5)]
    const before = pile(first, null)
    const after = pile([...first, dots(4, 7, [0, 2, 4]), petals(6, 6, 3)], null)
    // what comes later changes how thick all is drawn, never where it lies
    for (const [i, stroke] of before.entries()) expect(apartMm(stroke, after[i]!)).toBeLessThan(1e-9)
  })

  it('does not feel what lies too far away to touch it', () => {
    const alone = pile([dots(30, 0, [0])], null)[0]!
    const among = pile([DOME, petals(8, 3, 5), dots(30, 0, [0])], null).at(-1)!
    expect(apartMm(alone, among)).toBeLessThan(0.02)
  })

  it('rests higher on more: a dot on a dome, on a dot, on the table', () => {
    const lowest = (stroke: PiledStroke) => {
      const points = middlesOf(stroke.laid[0]!)
      return points.filter((_, o) => o % 3 === 2).reduce((a, b) => Math.min(a, b))
    }
    const aimed = dots(0, 0, [0])
    const onTable = lowest(pile([aimed], null).at(-1)!)
    const onDot = lowest(pile([aimed, aimed], null).at(-1)!)
    const onDome = lowest(pile([DOME, aimed], null).at(-1)!)
    expect(onDot).toBeGreaterThan(onTable + 1)
    expect(onDome).toBeGreaterThan(onDot + 1)
  })

  it('lies the same however the flower is turned on its nail', () => {
    const turn = 0.65
    const turned = (of: PileLayer): PileLayer => ({
      ...of,
      spots: around(of.spots.map((s) => s.azimuth + turn)),
    })
    const layers = [DOME, petals(9, 2, 5), dots(3, 7, [0, 2.1, 4.2])]
    const [straight, round] = [pile(layers, null), pile(layers.map(turned), null)]
    // what lies there already is kept on a lattice that does not turn along
    for (const [i, stroke] of round.entries()) expect(apartMm(stroke, straight[i]!, turn)).toBeLessThan(0.5)
  })

  it('is never under the table, wherever it is aimed and whatever lies there', () => {
    const aim = fc.record({
      ringMm: fc.double({ min: 0, max: 25, noNaN: true }),
      heightMm: fc.double({ min: -3, max: 20, noNaN: true }),
      azimuth: fc.double({ min: 0, max: 6.28, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(aim, { minLength: 1, maxLength: 6 }), fc.boolean(), (aims, dome) => {
        const layers = aims.map(({ ringMm, heightMm, azimuth }, i) =>
          i % 2 === 0
            ? dots(ringMm, heightMm, [azimuth])
            : { ...petals(ringMm, heightMm, 1), azimuths: [azimuth] },
        )
        for (const { laid } of pile(dome ? [DOME, ...layers] : layers, 1))
          for (const body of laid)
            for (const [o, value] of middlesOf(body).entries()) {
              expect(Number.isFinite(value)).toBe(true)
              if (o % 3 === 2) expect(value).toBeGreaterThanOrEqual(-1e-6)
            }
      }),
      { seed: 8, numRuns: 40 },
    )
  })

  it('leaves grams and seconds alone: they are what left the bag', () => {
    const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
    const { layers, measure } = fitFlower(rose, { sizeMm: null, tips: {} }, starterWorkshop.tips)
    const before = structuredClone({ volumeMm3: measure.volumeMm3, seconds: measure.seconds })
    pile(pileLayers(layers), 5)
    expect({ volumeMm3: measure.volumeMm3, seconds: measure.seconds }).toEqual(before)
  })
})
