import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Bouquet, type BouquetOutline, bouquetBox, vaseLoop } from '../surfaces/bouquet.ts'
import { chartOf } from '../surfaces/index.ts'
import type { Dot } from '../surfaces/outline.ts'
import { arrangeBouquet } from './arrange.ts'

const closest = (dots: readonly Dot[]) =>
  Math.min(...dots.flatMap((p, i) => dots.slice(i + 1).map((q) => Math.hypot(p.x - q.x, p.y - q.y))))
const wide = (dots: readonly Dot[], by: 'x' | 'y') =>
  Math.max(...dots.map((p) => p[by])) - Math.min(...dots.map((p) => p[by]))

const filled: BouquetOutline[] = [{ kind: 'fan' }, { kind: 'heart' }, { kind: 'round' }, { kind: 'ring' }]

describe('cupcakes of a bouquet', () => {
  it('are as many as were asked for, and no two stand in each other', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...filled),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 45, max: 75 }),
        (outline, count, diameterMm) => {
          const dots = arrangeBouquet(outline, count, diameterMm)
          expect(dots).toHaveLength(count)
          if (count > 1) expect(closest(dots)).toBeGreaterThanOrEqual(diameterMm)
        },
      ),
      { numRuns: 25 },
    )
  })

  it('stand so close that 20 of 65 mm make a heart of about 400 mm, 15 a round of 300', () => {
    const heart = arrangeBouquet({ kind: 'heart' }, 20, 65)
    expect(wide(heart, 'x') + 65).toBeLessThan(410)
    // the point to the front, two lobes at the back
    const front = heart.filter((p) => p.y < Math.min(...heart.map((q) => q.y)) + 20)
    expect(front.length).toBeLessThanOrEqual(2)
    const round = arrangeBouquet({ kind: 'round' }, 15, 65)
    expect(Math.max(wide(round, 'x'), wide(round, 'y')) + 65).toBeLessThan(305)
  })

  it('leave the middle of a ring free, and open a fan to the back', () => {
    const ring = arrangeBouquet({ kind: 'ring' }, 12, 65)
    expect(Math.min(...ring.map((p) => Math.hypot(p.x, p.y)))).toBeGreaterThan(65)
    for (const count of Array.from({ length: 60 }, (_, i) => i + 1)) {
      const fan = arrangeBouquet({ kind: 'fan' }, count, 65)
      expect(fan).toHaveLength(count)
      const [front] = [...fan].sort((p, q) => p.y - q.y)
      const [left] = [...fan].sort((p, q) => p.x - q.x)
      // its sides run outward to the back
      if (count > 6) expect(left!.y).toBeGreaterThan(front!.y + 30)
    }
  })

  it('follow letters in single file: every cupcake within half of its width of a stroke', () => {
    // an L is two strokes: up and down, and across at its foot
    const dots = arrangeBouquet({ kind: 'letters', text: 'L' }, 7, 65)
    expect(dots).toHaveLength(7)
    const [left, low] = [Math.min(...dots.map((p) => p.x)), Math.min(...dots.map((p) => p.y))]
    for (const p of dots) expect(Math.min(p.x - left, p.y - low)).toBeLessThan(1)
    expect(closest(arrangeBouquet({ kind: 'letters', text: 'MUM' }, 30, 65))).toBeGreaterThanOrEqual(65)
  })

  it('come out of an outline that was drawn, the same every time', () => {
    const square = [[[-0.5, 0.5, 0.5, -0.5].map((x, i) => ({ x, y: i < 2 ? -0.5 : 0.5 }))]]
    const outline: BouquetOutline = { kind: 'drawn', shapes: square }
    const dots = arrangeBouquet(outline, 9, 60)
    expect(dots).toEqual(arrangeBouquet(outline, 9, 60))
    expect(Math.max(wide(dots, 'x'), wide(dots, 'y'))).toBeLessThan(3 * 60.5)
  })
})

describe('a bouquet on its board', () => {
  const bouquet = (more: Partial<Bouquet> = {}): Bouquet & { kind: 'bouquet' } => ({
    ...{ kind: 'bouquet', diameterMm: 65, domeMm: 8, standMm: 42, outline: { kind: 'fan' } },
    at: arrangeBouquet({ kind: 'fan' }, 18, 65),
    vase: { rimMm: 140, footMm: 90, tallMm: 150, heightMm: 55 },
    ...more,
  })

  it('has its vase below the cupcakes that it holds, touching none', () => {
    const s = bouquet()
    const loop = vaseLoop(s)!
    for (const p of s.at)
      for (const v of loop) expect(Math.hypot(p.x - v.x, p.y - v.y)).toBeGreaterThan(65 / 2 - 0.01)
    expect(Math.max(...loop.map((v) => v.y)) - Math.min(...loop.map((v) => v.y))).toBeCloseTo(150, 6)
    const box = bouquetBox(s)
    expect(box.deepMm).toBeGreaterThan(150 + 200)
  })

  it('keeps flowers on their cupcake when others come, go or move', () => {
    const before = chartOf(bouquet())
    const after = chartOf(bouquet({ at: arrangeBouquet({ kind: 'heart' }, 20, 65), vase: null }))
    const store = { zone: 'top' as const, tier: 5, from: 'middle' as const, a: 12, b: 40 }
    for (const chart of [before, after]) {
      const spot = chart.read(store)
      const middle = chart.parts[chart.bands.findIndex((b) => b.tier === 5)]!
      const p = chart.point(spot)
      // 12 mm over the dome is a little less as seen from above
      expect(Math.hypot(p.x - middle.x, p.y - middle.y)).toBeLessThan(12)
      expect(Math.hypot(p.x - middle.x, p.y - middle.y)).toBeGreaterThan(11)
      expect(chart.store(spot)).toMatchObject({ zone: 'top', tier: 5 })
    }
  })

  it('has gaps where three meet, of 0.155 of their width, and none beside it all', () => {
    const d = 65
    const three = [0, 1, 2].map((k) => ({
      x: (d / Math.sqrt(3)) * Math.cos((k * 2 * Math.PI) / 3),
      y: (d / Math.sqrt(3)) * Math.sin((k * 2 * Math.PI) / 3),
    }))
    const chart = chartOf(bouquet({ at: three, vase: null }))
    const gaps = chart.between(0.5)
    expect(2 * Math.max(...gaps.map((g) => g.inside))).toBeCloseTo(0.155 * d, 0)
    const middle = bouquetBox(bouquet({ at: three, vase: null }))
    expect(chart.isBetween(-middle.x, -middle.y)).toBe(true)
    expect(chart.isBetween(80, 0)).toBe(false)
  })
})
