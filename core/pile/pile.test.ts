import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { pileLayers } from '../flowers/piled.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { flowerMesh } from '../mesh/flowerMesh.ts'
import { strokeSchema } from '../strokes/index.ts'
import type { Opening } from '../tips/index.ts'
import { Field, type Nearest } from './field.ts'
import { pile } from './pile.ts'
import type { PiledStroke, PileLayer } from './piled.ts'
import { skinned } from './skins.ts'
import { around, insideOutMm2, volumeByThreads } from './testing.ts'
import { unionVolume } from './union.ts'

const round = (diameterMm: number): Opening => ({ family: 'round', diameterMm })
const slot: Opening = { family: 'petal', lengthMm: 13, wideMm: 2.2, narrowMm: 0.7 }
const layer = (stroke: object, opening: Opening, more: Partial<PileLayer> = {}): PileLayer => ({
  ...{ stiffness: 'stiff', ringMm: 0, heightMm: 0, spots: around([0]), works: [], opening },
  ...more,
  stroke: strokeSchema.parse(stroke),
})
const lowestOf = (strokes: readonly PiledStroke[], which: number) => {
  const { positions } = skinned(strokes.filter((s) => s.layer === which))
  let least = Number.POSITIVE_INFINITY
  for (let o = 2; o < positions.length; o += 3) least = Math.min(least, positions[o]!)
  return least
}
const DOME = { kind: 'mound', shape: 'dome', radiusMm: 12, tallMm: 8 }
const DOT = { kind: 'dot', radiusMm: 2, tallMm: 3 }

describe('measuring what closed skins fill', () => {
  it('by columns and by threads agrees with what a ball, a cone and two that overlap hold', () => {
    const cone = skinned([{ ...pile([layer({ ...DOME, shape: 'cone', topMm: 4 }, round(3))], null)[0]! }])
    // as fine as it is cut, and so much less than it is meant to be drawn
    const frustum = ((Math.PI * 8) / 3) * (144 + 48 + 16)
    for (const found of [unionVolume(cone), volumeByThreads(cone)])
      expect(Math.abs(found / frustum - 0.985)).toBeLessThan(0.012)
    const twice = { positions: cone.positions, indices: Uint32Array.from([...cone.indices, ...cone.indices]) }
    expect(unionVolume(twice)).toBeCloseTo(unionVolume(cone), 3)
    expect(volumeByThreads(twice)).toBeCloseTo(volumeByThreads(cone), 3)
  })
})

describe('the icing that lies already', () => {
  const near: Nearest = { distance: 0, x: 0, y: 0, z: 0 }
  it('is known by how far it is and which way leads out, and no further than the band', () => {
    const field = new Field({ low: [-12, -12, -4], high: [12, 12, 12] })
    field.lay(0, 0, 4, 3)
    for (const [x, y, z] of [
      [4, 0, 4],
      [0, 3.5, 4],
      [2.5, 2.5, 5],
    ] as const) {
      field.nearest(x, y, z, near)
      const wanted = Math.hypot(x, y, z - 4) - 3
      expect(Math.abs(near.distance - wanted)).toBeLessThan(0.12)
      expect(near.x * x + near.y * y + near.z * (z - 4)).toBeGreaterThan(0.95 * Math.hypot(x, y, z - 4))
    }
    expect(field.at(0, 0, 4)).toBeLessThan(-2)
    expect(field.at(9, 9, 9)).toBeCloseTo(field.at(-11, 0, 0), 6)
    expect(field.at(500, 0, 0)).toBeGreaterThan(1)
  })
  it('is a body turned on the spot to within a cell of its side', () => {
    const field = new Field({ low: [-20, -20, -4], high: [20, 20, 24] })
    field.turn(0, 0, [0, 6, 12], [8, 6, 0])
    for (const [r, z] of [
      [7, 3],
      [3, 9],
      [6, 6],
    ] as const)
      expect(Math.abs(field.at(r, 0, z))).toBeLessThan(0.35)
    expect(field.at(0, 0, 6)).toBeLessThan(-3)
    expect(field.at(0, 0, 13)).toBeGreaterThan(0.5)
  })
})

describe('a stroke comes to rest', () => {
  it('alone on the table it only lies: nothing under it, and where it was aimed', () => {
    for (const stroke of [
      { kind: 'petalArc', spanDeg: 90, archMm: 2, dropMm: 1, tiltEndDeg: 10, tiltMidDeg: 30 },
      { kind: 'fan', spanDeg: 60, outMm: 4, tiltStartDeg: 4, tiltEndDeg: 12 },
    ]) {
      const [alone] = pile([layer(stroke, slot, { ringMm: 8 })], null)
      const [aimed, laid] = [alone!.aimed[0]!, alone!.laid[0]!]
      if (aimed.kind !== 'sheet' || laid.kind !== 'sheet') throw new Error('no sheet')
      for (let o = 0; o < aimed.points.length; o += 3) {
        const aside = Math.hypot(
          laid.points[o]! - aimed.points[o]!,
          laid.points[o + 1]! - aimed.points[o + 1]!,
        )
        expect(aside).toBeLessThan(0.01)
        expect(laid.points[o + 2]!).toBeGreaterThan(0)
      }
    }
  })

  it('a dot sits where a dome carries it, on the table where nothing does, and falls no further than a hand is off', () => {
    const on = (ringMm: number, heightMm: number) =>
      lowestOf(pile([layer(DOME, round(6)), layer(DOT, round(3), { ringMm, heightMm })], null), 1)
    // the dome is 8 mm high at its middle, 6.9 at half of its radius
    expect(on(0, 8)).toBeGreaterThan(7.3)
    expect(on(0, 8)).toBeLessThan(8)
    expect(Math.abs(on(6, 5) - (8 * Math.sqrt(0.75) - 0.3))).toBeLessThan(0.6)
    // aimed too low it is lifted out, too high it is let down
    expect(Math.abs(on(6, 8) - on(6, 6))).toBeLessThan(0.3)
    expect(on(18, 2)).toBeLessThan(0.2)
    expect(on(18, 20)).toBeGreaterThan(16)
  })

  it('a petal leans on the row inside it and does not pass through', () => {
    const arc = { kind: 'petalArc', spanDeg: 120, archMm: 1, dropMm: 0.5, tiltEndDeg: 0, tiltMidDeg: 4 }
    const row = (ringMm: number) =>
      layer(arc, slot, { ringMm, spots: around([0, (2 * Math.PI) / 3, (4 * Math.PI) / 3]) })
    const apart = (rows: PileLayer[]) => {
      const strokes = pile(rows, null)
      const each = strokes.reduce((sum, s) => sum + unionVolume(skinned([s])), 0)
      return { inside: 1 - unionVolume(skinned(strokes)) / each }
    }
    // aimed half a millimetre apart, two rows of 2 mm would lie in each other for the most part
    expect(apart([row(6), row(6.5)]).inside).toBeLessThan(0.15)
  })

  it('stiffer icing lies higher than softer, and is as much', () => {
    const line = { kind: 'line', lengthMm: 60 }
    const lying = (stiffness: PileLayer['stiffness']) => {
      const mesh = skinned(pile([layer(line, round(6), { stiffness })], null))
      let top = 0
      for (let o = 2; o < mesh.positions.length; o += 3) top = Math.max(top, mesh.positions[o]!)
      return { top, volume: volumeByThreads(mesh) }
    }
    const [stiff, soft] = [lying('stiff'), lying('soft')]
    expect(stiff.top).toBeGreaterThan(soft.top + 0.5)
    expect(Math.abs(stiff.volume / soft.volume - 1)).toBeLessThan(0.02)
  })
})

describe.each(catalogueFlowers.map((f) => [f.name, f] as const))('the pile of %s', (_, flower) => {
  const { layers, measure } = fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips)
  const close = flowerMesh(layers, 1, 1)

  it('is as large as what left the bag, by threads through it, and nothing is under the table', () => {
    // a low flower needs finer threads
    const top = close.positions.reduce((most, v, o) => (o % 3 === 2 ? Math.max(most, v) : most), 0)
    const apartMm = Math.min(0.45, top / 22)
    const filled = volumeByThreads(close, apartMm) / (measure.volumeMm3 / flower.calibration)
    expect(Math.abs(filled - 1), `${filled}`).toBeLessThan(0.05)
    expect(close.positions.every((v, o) => o % 3 !== 2 || v >= 0)).toBe(true)
  })

  it('shows no inside of a skin from above', () => {
    expect(insideOutMm2(close)).toBeLessThan(2)
  })

  it('is the same bytes for a seed, and within 3 % of it for another', () => {
    const piled = pileLayers(layers)
    const mesh = (seed: number) => skinned(pile(piled, seed))
    const hash = (of: ReturnType<typeof mesh>) =>
      createHash('sha256').update(Buffer.from(of.positions.buffer)).digest('hex')
    const [first, again, other] = [mesh(3), mesh(3), mesh(4)]
    expect(hash(again)).toBe(hash(first))
    expect(hash(other)).not.toBe(hash(first))
    expect(Math.abs(unionVolume(other) / unionVolume(first) - 1)).toBeLessThan(0.03)
  })
})
