import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type OwnPlaces, ownSpots, placesSchema } from './index.ts'
import { onRingOf, type Ring, type Spot, within } from './spot.ts'

const ring = (count: number, more: Partial<Ring> = {}): Ring => ({
  ...{ count, ringMm: 0, heightMm: 0, startDeg: 0, spreadDeg: 360 },
  ...more,
})
const set = (at: object, of: Ring) => ownSpots(placesSchema.parse(at) as OwnPlaces, of)
const deg = (radians: number) => ((Math.round((radians * 180) / Math.PI) % 360) + 360) % 360
const at = ({ seat }: Spot) => [seat!.xMm, seat!.yMm, seat!.zMm]
const apart = (a: Spot, b: Spot) => Math.hypot(...at(a).map((v, i) => v - at(b)[i]!))

describe('over a dome', () => {
  const spots = set({ kind: 'dome', radiusMm: 20, tallMm: 12, toDeg: 85 }, ring(60))

  it('every place lies on it and leans square to it, rim first and top last', () => {
    for (const { seat, azimuth } of spots) {
      const r = Math.hypot(seat!.xMm, seat!.yMm)
      expect((r / 20) ** 2 + (seat!.zMm / 12) ** 2).toBeCloseTo(1, 9)
      // the slope of an ellipse, worked out from its equation: dz/dr = −(12/20)² r/z
      expect(Math.tan(seat!.lean)).toBeCloseTo(((12 / 20) ** 2 * r) / seat!.zMm, 9)
      expect(Math.atan2(seat!.yMm, seat!.xMm)).toBeCloseTo(
        Math.atan2(Math.sin(azimuth), Math.cos(azimuth)),
        9,
      )
    }
    const heights = spots.map((s) => s.seat!.zMm)
    expect(heights).toEqual([...heights].sort((a, b) => a - b))
    expect(heights.at(-1)).toBeGreaterThan(11.8)
  })

  it('is filled evenly: no place has its nearest neighbour much further or nearer than the others', () => {
    const ball = set({ kind: 'dome', radiusMm: 20, tallMm: 20, toDeg: 90 }, ring(80))
    const nearest = ball.map((a) => Math.min(...ball.filter((b) => b !== a).map((b) => apart(a, b))))
    // on a half ball of 2π·20² mm² each of 80 has a square of 5.6 mm to itself
    expect(Math.min(...nearest)).toBeGreaterThan(0.55 * 5.6)
    expect(Math.max(...nearest)).toBeLessThan(1.2 * 5.6)
  })

  it('leaves its top bare, or its side, as it is told', () => {
    const bare = set({ kind: 'dome', radiusMm: 20, tallMm: 20, fromDeg: 40, toDeg: 70 }, ring(30))
    for (const { seat } of bare) {
      const down = (Math.acos(seat!.zMm / 20) * 180) / Math.PI
      expect(down).toBeGreaterThan(40)
      expect(down).toBeLessThan(70)
    }
  })
})

it('a cone is filled from its foot up, as many to a square millimetre below as above, each square to its side', () => {
  const spots = set({ kind: 'cone', radiusMm: 8, tallMm: 30 }, ring(100))
  for (const { seat } of spots) {
    expect(Math.hypot(seat!.xMm, seat!.yMm)).toBeCloseTo(8 * (1 - seat!.zMm / 30), 9)
    expect(Math.tan(seat!.lean)).toBeCloseTo(30 / 8, 9)
  }
  // the lower half of a cone has three quarters of its side
  expect(spots.filter((s) => s.seat!.zMm < 15)).toHaveLength(75)
  expect(spots[0]!.seat!.zMm).toBeLessThan(spots[99]!.seat!.zMm)
})

describe('along a line', () => {
  it('in pairs, one to each side, from one end to the other', () => {
    const spots = set({ kind: 'line', fromMm: 5, lengthMm: 20, angleDeg: 40 }, ring(6))
    expect(spots.map((s) => s.seat!.xMm)).toEqual([5, 5, 15, 15, 25, 25])
    expect(spots.map((s) => deg(s.azimuth))).toEqual([40, 320, 40, 320, 40, 320])
  })

  it('to one side and the other in turn, to one side only, or on it', () => {
    const turns = (sides: string) =>
      set({ kind: 'line', lengthMm: 20, angleDeg: 30, sides }, ring(3)).map((s) => deg(s.azimuth))
    expect(turns('alternate')).toEqual([30, 330, 30])
    expect(turns('left')).toEqual([30, 30, 30])
    expect(turns('right')).toEqual([330, 330, 330])
    expect(turns('along')).toEqual([0, 0, 0])
  })

  it('bends round as a circle of its own length: half a circle of 10 π is 20 across, and turns right round', () => {
    const spots = set(
      { kind: 'line', lengthMm: 10 * Math.PI, turnDeg: 180, sides: 'along' },
      ring(3, { startDeg: 90 }),
    )
    expect(at(spots[1]!)[0]).toBeCloseTo(-10, 9)
    expect(at(spots[1]!)[1]).toBeCloseTo(10, 9)
    expect(at(spots[2]!)[0]).toBeCloseTo(-20, 9)
    expect(at(spots[2]!)[1]).toBeCloseTo(0, 9)
    expect(spots.map((s) => deg(s.azimuth))).toEqual([90, 180, 270])
  })

  it('one alone, or one pair, is in its middle', () => {
    expect(set({ kind: 'line', lengthMm: 20, sides: 'along' }, ring(1)).map((s) => s.seat!.xMm)).toEqual([10])
    expect(set({ kind: 'line', lengthMm: 20 }, ring(2)).map((s) => s.seat!.xMm)).toEqual([10, 10])
  })
})

describe('scattered', () => {
  const thrown = (more: object, count = 40) =>
    set({ kind: 'scatter', lengthMm: 40, wideMm: 20, ...more }, ring(count))

  it('lies inside its oval, none as near another as chance would lay them, the same each time', () => {
    const spots = thrown({ middleMm: 10 })
    for (const { seat } of spots)
      expect(((seat!.xMm - 10) / 20) ** 2 + (seat!.yMm / 10) ** 2).toBeLessThanOrEqual(1 + 1e-9)
    const nearest = spots.map((a) => Math.min(...spots.filter((b) => b !== a).map((b) => apart(a, b))))
    // 40 on 628 mm²: chance alone would leave the nearest two 0.3 mm apart
    expect(Math.min(...nearest)).toBeGreaterThan(1.6)
    expect(thrown({ middleMm: 10 })).toEqual(spots)
    expect(thrown({ middleMm: 10, seed: 2 })).not.toEqual(spots)
  })

  it('a drop is bare beside its point', () => {
    for (const { seat } of thrown({ taper: 1 }, 60))
      if (seat!.xMm > 10) expect(Math.abs(seat!.yMm)).toBeLessThan(3)
  })
})

describe('one place within another', () => {
  const angle = fc.double({ min: -3, max: 3, noNaN: true })
  const lean = fc.oneof(fc.constant(0), fc.double({ min: 0.01, max: 1.5, noNaN: true }))
  const mm = fc.double({ min: -30, max: 30, noNaN: true })
  const seat = fc.record({ xMm: mm, yMm: mm, zMm: mm, lean, towards: angle })
  const spot = fc.record({ azimuth: angle, seat: fc.option(seat, { nil: null }) })
  type P = [number, number, number]
  const about = ([x, y, z]: P, turn: number): P => [
    x * Math.cos(turn) - y * Math.sin(turn),
    x * Math.sin(turn) + y * Math.cos(turn),
    z,
  ]
  /** Carries a point as a person would tell it: turn it, turn it to where it leans from, tip it over, turn it back, move it. */
  const carried = ({ azimuth, seat: s }: Spot, p: P): P => {
    const [x, y, z] = about(p, azimuth)
    if (!s) return [x, y, z]
    const [a, b, c] = about([x, y, z], -s.towards)
    const tipped: P = [
      a * Math.cos(s.lean) + c * Math.sin(s.lean),
      b,
      c * Math.cos(s.lean) - a * Math.sin(s.lean),
    ]
    const [u, v, w] = about(tipped, s.towards)
    return [u + s.xMm, v + s.yMm, w + s.zMm]
  }

  it('carries every point where the inner and then the outer place would carry it', () => {
    fc.assert(
      fc.property(spot, spot, fc.tuple(mm, mm, mm), (outer, inner, p) => {
        const [once, twice] = [carried(within(outer, inner), p), carried(outer, carried(inner, p))]
        once.forEach((v, i) => {
          expect(v).toBeCloseTo(twice[i]!, 6)
        })
      }),
    )
  })

  it('a place on a ring faces outwards from there', () => {
    const { azimuth, seat: there } = onRingOf(
      { azimuth: Math.PI / 2, seat: null },
      { ringMm: 8, heightMm: 3 },
    )
    expect([there!.xMm, there!.yMm, there!.zMm].map((v) => Math.round(v))).toEqual([0, 8, 3])
    expect(deg(azimuth)).toBe(90)
  })
})
