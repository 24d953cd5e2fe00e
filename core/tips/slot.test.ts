import { describe, expect, it } from 'vitest'
import type { Slot } from './family.ts'
import { areaShare, slotOutline, taperedArea, taperedWidth } from './slot.ts'

const slot = (widthAt: (u: number) => number, bendDeg = 0): Slot => ({ lengthMm: 10, bendDeg, widthAt })

/** Area by the shoelace formula. */
const area = (ring: readonly (readonly [number, number])[]) =>
  Math.abs(
    ring.reduce((sum, [x, y], i) => {
      const [nx, ny] = ring[(i + 1) % ring.length]!
      return sum + x * ny - nx * y
    }, 0) / 2,
  )

describe('a tapered slot', () => {
  it('has the area worked by hand: 10 (2 - 1/1.85) less 0.2683 at its ends', () => {
    expect(taperedArea(10, 2, 1)).toBeCloseTo(14.5946 - 0.2683, 3)
  })

  it.each([
    [10, 2, 1],
    [13, 1.6, 0.4],
    [8, 3, 0.8],
  ])(
    '%d mm long, %d to %d mm wide, has, to a thousandth, the area its width adds up to',
    (length, wide, narrow) => {
      const steps = 20000
      let sum = 0
      for (let i = 0; i < steps; i++) sum += taperedWidth(length, wide, narrow, (i + 0.5) / steps)
      expect(Math.abs((sum * length) / steps / taperedArea(length, wide, narrow) - 1)).toBeLessThan(0.001)
    },
  )

  it('closes at both ends', () => {
    expect(taperedWidth(10, 2, 1, 0)).toBe(0)
    expect(taperedWidth(10, 2, 1, 1)).toBe(0)
  })

  it('keeps its area when it is bent', () => {
    const width = (u: number) => taperedWidth(10, 2, 1, u)
    const straight = area(slotOutline(slot(width), 400))
    expect(area(slotOutline(slot(width, 60), 400)) / straight).toBeCloseTo(1, 1)
    expect(straight / taperedArea(10, 2, 1)).toBeCloseTo(1, 2)
  })
})

describe('the share of the icing before a border', () => {
  it('is the border itself in a slot of one width', () => {
    expect(
      areaShare(
        slot(() => 1.5),
        0.37,
      ),
    ).toBeCloseTo(0.37, 10)
  })

  it('is 7/12 at the middle of a slot that narrows evenly from 2 to 1', () => {
    expect(
      areaShare(
        slot((u) => 2 - u),
        0.5,
      ),
    ).toBeCloseTo(7 / 12, 4)
  })

  it('runs from nothing to all of it', () => {
    const tapered = slot((u) => taperedWidth(10, 2, 1, u))
    expect(areaShare(tapered, 0)).toBe(0)
    expect(areaShare(tapered, 1)).toBe(1)
  })
})
