import { describe, expect, it } from 'vitest'
import { strokeSchema } from '../strokes/index.ts'
import { measureStroke } from '../strokes/quantities.ts'
import type { Slot } from '../tips/family.ts'
import { openingArea, openingSlot } from '../tips/index.ts'
import { measureSheet, type SheetPath, sweepSheet } from './sheet.ts'
import { measureTube } from './tube.ts'

const petal13 = { family: 'petal', lengthMm: 13, wideMm: 2.2, narrowMm: 0.7 } as const
const slot = openingSlot(petal13) as Slot
const area = openingArea(petal13)
const plate: Slot = { lengthMm: 10, bendDeg: 0, widthAt: () => 2 }

const within = (value: number, expected: number, share: number) =>
  expect(Math.abs(value - expected) / expected).toBeLessThan(share)

const fixed = { scale: 1, thick: 1, curl: 0, lip: 0 }

describe('sheets against closed forms', () => {
  it('a straight ribbon is opening area times length', () => {
    const path: SheetPath = (t, out) =>
      Object.assign(out, { px: 40 * t, py: 0, pz: 0, sx: 0, sy: 1, sz: 0, bx: 0, by: 0, bz: 1, ...fixed })
    const { volumeMm3, travelMm } = measureSheet(sweepSheet(path, slot), slot, 1)
    within(volumeMm3, area * 40, 0.005)
    within(travelMm, 40, 1e-9)
  })

  it('curling the free edge does not change what leaves the bag', () => {
    const path: SheetPath = (t, out) =>
      Object.assign(out, {
        px: 40 * t,
        py: 0,
        pz: 0,
        sx: 0,
        sy: 1,
        sz: 0,
        bx: 0,
        by: 0,
        bz: 1,
        scale: 1,
        curl: 0.6,
        lip: 1.2,
      })
    within(measureSheet(sweepSheet(path, slot), slot, 1).volumeMm3, area * 40, 0.01)
  })

  it('a plate turned flat about its wide end is a disc', () => {
    const path: SheetPath = (t, out) => {
      const a = 2 * Math.PI * t
      Object.assign(out, {
        px: 0,
        py: 0,
        pz: 0,
        sx: Math.cos(a),
        sy: Math.sin(a),
        sz: 0,
        bx: 0,
        by: 0,
        bz: 1,
        ...fixed,
      })
    }
    within(measureSheet(sweepSheet(path, plate, 60), plate, 1).volumeMm3, Math.PI * 100 * 2, 0.01)
  })

  it('an upright plate turned at radius 8 is a ring (Pappus)', () => {
    const path: SheetPath = (t, out) => {
      const a = 2 * Math.PI * t
      const [c, s] = [Math.cos(a), Math.sin(a)]
      Object.assign(out, { px: 8 * c, py: 8 * s, pz: 0, sx: 0, sy: 0, sz: 1, bx: c, by: s, bz: 0, ...fixed })
    }
    within(measureSheet(sweepSheet(path, plate, 60), plate, 1).volumeMm3, 2 * Math.PI * 8 * 10 * 2, 0.01)
  })

  it('pressure counts in full', () => {
    const path: SheetPath = (t, out) =>
      Object.assign(out, { px: 10 * t, py: 0, pz: 0, sx: 0, sy: 1, sz: 0, bx: 0, by: 0, bz: 1, ...fixed })
    const grid = sweepSheet(path, slot)
    expect(measureSheet(grid, slot, 1.4).volumeMm3).toBeCloseTo(
      1.4 * measureSheet(grid, slot, 1).volumeMm3,
      9,
    )
  })
})

describe('tubes against closed forms', () => {
  it('a ring by Pappus', () => {
    const ring = measureTube(
      (t, out) =>
        Object.assign(out, {
          x: 20 * Math.cos(2 * Math.PI * t),
          y: 20 * Math.sin(2 * Math.PI * t),
          scale: 1,
        }),
      12,
      1,
    )
    within(ring.volumeMm3, 2 * Math.PI * 20 * 12, 0.002)
  })

  const solid = (stroke: object) =>
    measureStroke(
      strokeSchema.parse(stroke),
      { ringMm: 0, heightMm: 0, azimuth: 0 },
      { family: 'round', diameterMm: 5 },
    )

  it('a truncated cone', () => {
    const { volumeMm3 } = solid({ kind: 'mound', radiusMm: 6, topMm: 2, tallMm: 9, shape: 'cone' })
    within(volumeMm3, (Math.PI * 9 * (36 + 12 + 4)) / 3, 1e-6)
  })

  it('a dome is two thirds of its cylinder', () => {
    within(
      solid({ kind: 'mound', radiusMm: 8, tallMm: 6, shape: 'dome' }).volumeMm3,
      (2 / 3) * Math.PI * 64 * 6,
      0.015,
    )
  })

  it('a straight string', () => {
    within(solid({ kind: 'vine', lengthMm: 50 }).volumeMm3, (Math.PI / 4) * 25 * 50, 1e-6)
  })

  it('a string bent round is as long as a straight one', () => {
    within(solid({ kind: 'vine', lengthMm: 50, turnDeg: 270 }).volumeMm3, (Math.PI / 4) * 25 * 50, 0.002)
  })
})

describe('what cannot be piped', () => {
  it('a petal through a round hole is refused in words', () => {
    const stroke = strokeSchema.parse({
      kind: 'petalArc',
      spanDeg: 90,
      archMm: 3,
      dropMm: 2,
      tiltEndDeg: 0,
      tiltMidDeg: 20,
    })
    const at = { ringMm: 5, heightMm: 0, azimuth: 0 }
    expect(() => measureStroke(stroke, at, { family: 'round', diameterMm: 3 })).toThrow(/needs a slot/)
  })
})
