import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { wordsSchema } from '../model/layout.ts'
import { FACES_UP, upright } from '../surfaces/chart.ts'
import { chartOf, type Surface } from '../surfaces/index.ts'
import { letter } from '../words/letter.ts'
import { linesOn } from '../words/onPiece.ts'
import { clearOf, keptFree } from './ground.ts'
import { pieces } from './testing.ts'

const cake: Surface = { kind: 'cake', tiers: [{ diameterMm: 240, heightMm: 100 }], coveredMm: 0 }
const words = (place: object, more: object = {}) =>
  wordsSchema.parse({
    ...{ id: 'w', text: 'Happy Birthday', capitalMm: 12, tipId: 'round-2', colourId: 'c' },
    place: { zone: 'top', tier: 0, from: 'middle', a: 0, b: 0, ...place },
    ...more,
  })

describe('the room that words keep free', () => {
  it('lies as they lie: wide to the right and left in the middle of a top, not to the back and front', () => {
    const chart = chartOf(cake)
    const clear = clearOf(chart, keptFree({ keepOuts: [], words: [words({}, { faceId: 'hand-print' })] }))
    // 130 by 22 mm and 3 mm around: 65 + 3 to either side, 11 + 3 up and down
    expect(clear({ x: 60, y: 0, z: 100 })).toBeLessThan(0)
    expect(clear({ x: -60, y: 0, z: 100 })).toBeLessThan(0)
    expect(clear({ x: 0, y: 30, z: 100 })).toBeGreaterThan(14)
    expect(clear({ x: 0, y: -30, z: 100 })).toBeGreaterThan(14)
    expect(clear({ x: 80, y: 0, z: 100 })).toBeCloseTo(80 - 65 - 3, -0.7)
  })

  it.each([
    ['at the right of a top', { a: 60, b: 0 }, 0],
    ['at its back', { a: 70, b: 90 }, 0],
    ['turned by a third', { a: 20, b: 200 }, 120],
    ['on a side', { zone: 'side', from: 'foot', a: 50, b: -90 }, 0],
    ['on a side to the right, turned', { zone: 'side', from: 'foot', a: 50, b: 10 }, 30],
  ])('holds every stroke of them, %s, and little more', (_, place, turnDeg) => {
    const chart = chartOf(cake)
    const written = words(place, { capitalMm: 6, turnDeg })
    const clear = clearOf(chart, keptFree({ keepOuts: [], words: [written] }))
    const points = linesOn(chart, written, letter(written, 0).lines).flat()
    for (const p of points) expect(clear(p)).toBeLessThan(0)
    // some stroke comes as near to the edge of it as the room around words
    expect(Math.max(...points.map((p) => clear(p)))).toBeGreaterThan(-4)
  })
})

describe('right and down for whoever looks', () => {
  it('are at right angles, along the surface, on every piece; down is never away from whoever looks at a top, nor up a side', () => {
    for (const shape of pieces) {
      const samples = chartOf(shape).samples(9)
      fc.assert(
        fc.property(fc.nat(samples.length - 1), (i) => {
          const p = samples[i]!
          const { rx, ry, rz, dx, dy, dz } = upright(p)
          expect(Math.hypot(rx, ry, rz)).toBeCloseTo(1, 9)
          expect(Math.hypot(dx, dy, dz)).toBeCloseTo(1, 9)
          expect(rx * dx + ry * dy + rz * dz).toBeCloseTo(0, 9)
          expect(dx * p.nx + dy * p.ny + dz * p.nz).toBeCloseTo(0, 9)
          if (p.nz > FACES_UP) expect(dy).toBeLessThan(0)
          else expect(dz).toBeLessThan(0)
        }),
        { numRuns: 40 },
      )
    }
  })
})
