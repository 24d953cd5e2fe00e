import { describe, expect, it } from 'vitest'
import type { Point } from '../tools/tool.ts'
import { canopyOver } from './canopy.ts'
import type { LaidRope, LaidSheet } from './laid.ts'
import { halfAt, lieOf, pointAt } from './lie.ts'

/** A flat sheet that points from its heart, 4 mm from the axis, to its rim at 14 mm: a triangle that widens to 6 mm a side. */
function petal(turn: number): LaidSheet {
  const [tSteps, uSteps] = [20, 20]
  const points: number[] = []
  for (let t = 0; t <= tSteps; t++)
    for (let u = 0; u <= uSteps; u++) {
      const out = u / uSteps
      const [x, y] = [4 + 10 * out, (2 * (t / tSteps) - 1) * 6 * out]
      points.push(x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn), 2)
    }
  const thick = new Float64Array(points.length / 3).fill(1)
  return {
    kind: 'sheet',
    tSteps,
    uSteps,
    points: Float64Array.from(points),
    thick,
    flat: true,
    up: [0, 0, 1],
  }
}
const blank = (): Point => ({
  ...{ out: 0, outMm: 0, lengthMm: 0, asideMm: 0, halfMm: 0, halfHereMm: 0, upMm: 0, tallMm: 0, awayMm: 0 },
})

describe('how a stroke lies', () => {
  it.each([0, 0.7, 2.4, -1.9])(
    'a petal turned by %f is as long and as wide, from its heart outwards',
    (turn) => {
      const lie = lieOf([petal(turn)], { x: 0, y: 0 })
      expect(lie.central).toBe(false)
      expect(lie.lengthMm).toBeCloseTo(10, 6)
      expect(lie.halfMm).toBeCloseTo(6, 6)
      // halfway out it is half as wide, to within a slice
      expect(Math.abs(halfAt(lie, 0.5) - 3)).toBeLessThan(0.7)
      const at = blank()
      const [x, y] = [9, 1.5]
      const [px, py] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)]
      pointAt(lie, px, py, 2.5, at)
      expect([at.out, at.outMm, at.asideMm, at.upMm].map((v) => Number(v.toFixed(6)))).toEqual([
        0.5, 5, 1.5, 0.5,
      ])
    },
  )

  it('about an axis of its own, as in a floret', () => {
    const moved = petal(0)
    for (let o = 0; o < moved.points.length; o += 3) {
      moved.points[o]! += 30
      moved.points[o + 1]! -= 12
    }
    const lie = lieOf([moved], { x: 30, y: -12 })
    expect([lie.fromMm, lie.lengthMm, lie.dx].map((v) => Number(v.toFixed(6)))).toEqual([4, 10, 1])
  })

  it('what stands on the axis is outwards any way', () => {
    const dot: LaidRope = {
      ...{ kind: 'rope', rings: 3, flat: 1, twist: new Float64Array(3) },
      outline: Array.from({ length: 16 }, (_, k) => [
        2 * Math.cos((k * Math.PI) / 8),
        2 * Math.sin((k * Math.PI) / 8),
      ]),
      centres: Float64Array.from([0.1, 0, 0, 0.1, 0, 1, 0.1, 0, 2]),
      scale: Float64Array.from([1, 1, 0.5]),
    }
    const lie = lieOf([dot], { x: 0, y: 0 })
    expect(lie.central).toBe(true)
    expect(lie.tallMm).toBe(2)
    expect(lie.lengthMm).toBeGreaterThan(1.9)
    const at = blank()
    pointAt(lie, 0.1, 1, 2, at)
    expect([at.outMm, at.awayMm, at.upMm].map((v) => Number(v.toFixed(6)))).toEqual([1, 1, 2])
  })
})

describe('seen from above', () => {
  it('the highest of several skins is met, along its slope, and nothing beside them', () => {
    // a level square at 1 mm, and over half of it a ramp from 2 to 4 mm
    const positions = Float32Array.from([
      ...[0, 0, 1, 10, 0, 1, 10, 10, 1, 0, 10, 1],
      ...[0, 0, 2, 5, 0, 4, 5, 10, 4, 0, 10, 2],
    ])
    const square = (first: number) => [first, first + 1, first + 2, first, first + 2, first + 3]
    const canopy = canopyOver({ positions, indices: Uint32Array.from([...square(0), ...square(4)]) })
    expect(canopy(7, 3)).toBeCloseTo(1, 6)
    expect(canopy(2.5, 3)).toBeCloseTo(3, 6)
    expect(canopy(1, 9)).toBeCloseTo(2.4, 6)
    expect(canopy(-0.5, 3)).toBeNull()
    expect(canopy(3, 40)).toBeNull()
  })
})
