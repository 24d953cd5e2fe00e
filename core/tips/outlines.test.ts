import { describe, expect, it } from 'vitest'
import { catalogueTips } from '../catalogue/tips.ts'
import {
  describeOpening,
  familyOf,
  type Opening,
  openingArea,
  openingOutlines,
  openingSize,
  openingSlot,
  openingSpan,
  shortOpening,
} from './index.ts'
import { standInDistance } from './standIns.ts'

/** Width and height of what is drawn, mm, over all outlines. */
function box(opening: Opening): { wide: number; high: number } {
  const points = openingOutlines(opening).flat()
  const span = (of: (p: readonly [number, number]) => number) =>
    Math.max(...points.map(of)) - Math.min(...points.map(of))
  return { wide: span(([x]) => x), high: span(([, y]) => y) }
}

/** Whether a point lies within any of the outlines, by the ray that crosses an odd number of edges. */
function inside(opening: Opening, x: number, y: number): boolean {
  return openingOutlines(opening).some((outline) => {
    let odd = false
    outline.forEach(([x1, y1], i) => {
      const [x2, y2] = outline[(i + 1) % outline.length]!
      if (y1 > y !== y2 > y && x < x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) odd = !odd
    })
    return odd
  })
}

describe('what is drawn at its true size, by a ruler', () => {
  it('round: as wide as high', () => {
    const { wide, high } = box({ family: 'round', diameterMm: 5 })
    expect([wide, high].map((v) => Math.abs(v - 5) < 0.05)).toEqual([true, true])
  })

  it('petal: its length, as high as its wide end is thick, thin at the other', () => {
    const slot: Opening = { family: 'petal', lengthMm: 13, wideMm: 2.2, narrowMm: 0.7 }
    const { wide, high } = box(slot)
    expect(wide).toBeCloseTo(13, 1)
    expect(high).toBeGreaterThan(1.9)
    expect(high).toBeLessThan(2.2)
    // half way along it is 2.2 − 1.5 · 0.5^0.85 = 1.37 thick
    expect([inside(slot, 6.5, 0.66), inside(slot, 6.5, 0.72)]).toEqual([true, false])
  })

  it('curved petal: an arc of its length; its middle stands off the chord by the sagitta', () => {
    const bent: Opening = { family: 'curvedPetal', lengthMm: 16, wideMm: 1, narrowMm: 1, bendDeg: 90 }
    // radius 16 / (π/2) = 10.19; chord 2 r sin 45° = 14.41; sagitta r (1 − cos 45°) = 2.98
    const { wide, high } = box(bent)
    expect(wide).toBeCloseTo(14.41, 0)
    // half of the thickness above the middle, and a rounded end below
    expect(high).toBeGreaterThan(2.98 + 0.5)
    expect(high).toBeLessThan(2.98 + 0.7)
    const straight = box({ family: 'petal', lengthMm: 16, wideMm: 1, narrowMm: 1 })
    expect(straight.high).toBeLessThan(1.01)
  })

  it('half-moon: as wide as it says, open at the middle, its wall all round', () => {
    const moon: Opening = { family: 'halfMoon', widthMm: 8, wallMm: 1.2, arcDeg: 180 }
    const { wide, high } = box(moon)
    expect(wide).toBeCloseTo(8, 1)
    // half a ring of outer radius 4, and the rounded ends of the wall
    expect(high).toBeGreaterThan(4)
    expect(high).toBeLessThan(4.7)
    expect(openingSlot(moon)!.widthAt(0.5)).toBeCloseTo(1.2, 9)
    // middle radius 3.4 over half a turn, and half a wall at either end
    expect(openingSlot(moon)!.lengthMm).toBeCloseTo(Math.PI * 3.4 + 1.2, 9)
  })

  it('star: point to point, with as many points as it says, and notches as deep', () => {
    const star: Opening = { family: 'star', teeth: 6, outerMm: 5, innerMm: 2, closed: false }
    expect(box(star).wide).toBeCloseTo(10, 1)
    const turn = (k: number) => (Math.PI / 6) * k
    const at = (r: number, a: number) => inside(star, r * Math.cos(a), r * Math.sin(a))
    for (let k = 0; k < 12; k++) expect(at(3.5, turn(k)), `at ${30 * k}°`).toBe(k % 2 === 0)
    expect([at(1.9, turn(1)), at(2.2, turn(1))]).toEqual([true, false])
  })

  it('leaf: a beak is a diamond; a slit is a round with a cut to either side', () => {
    const beak: Opening = { family: 'leaf', widthMm: 10, heightMm: 3, cut: 'beak' }
    expect(box(beak)).toEqual({ wide: 10, high: 3 })
    expect([inside(beak, 2.5, 0.7), inside(beak, 2.5, 0.8)]).toEqual([true, false])
    const slit: Opening = { family: 'leaf', widthMm: 10, heightMm: 3, cut: 'slit' }
    expect(box(slit).wide).toBeCloseTo(10, 6)
    // beside the round the slit is 0.28 · 3 = 0.84 high
    expect([inside(slit, 1, 0.4), inside(slit, 1, 0.45)]).toEqual([true, false])
    expect([inside(slit, 5, 1.4), inside(slit, 3, 1.4)]).toEqual([true, false])
  })

  it('V-cut bag: three tenths as high as it is wide', () => {
    const cut: Opening = { family: 'veeCut', widthMm: 10 }
    expect(box(cut)).toEqual({ wide: 10, high: 3 })
    expect(openingSlot(cut)!.widthAt(0.25)).toBeCloseTo(1.5, 9)
  })

  it('many holes: one in the middle, six around it two hole widths away, twelve after that', () => {
    const grass: Opening = { family: 'multiHole', holes: 19, holeMm: 1 }
    const middles = openingOutlines(grass).map((o) => {
      const sum = o.reduce(([a, b], [x, y]) => [a + x, b + y] as [number, number], [0, 0])
      return Math.hypot(sum[0] / o.length, sum[1] / o.length)
    })
    const on = (r: number) => middles.filter((m) => Math.abs(m - r) < 1e-6).length
    expect([on(0), on(2), on(4)]).toEqual([1, 6, 12])
    expect(openingSpan(grass)).toBeCloseTo(9, 1)
    expect(openingSize(grass)).toBe(1)
  })
})

describe('every opening of the catalogue', () => {
  it.each(catalogueTips.map((t) => [t.id, t.opening] as const))(
    '%s: slot, words and outline agree',
    (_, opening) => {
      const slot = openingSlot(opening)
      if (slot) {
        // the slot's own thickness, summed over its length, is its area
        const n = 4000
        let area = 0
        for (let i = 0; i < n; i++) area += (slot.widthAt((i + 0.5) / n) * slot.lengthMm) / n
        expect(Math.abs(area / openingArea(opening) - 1)).toBeLessThan(0.01)
        expect([slot.widthAt(0), slot.widthAt(1)].every((w) => w < 0.9 * slot.widthAt(0.4))).toBe(true)
      }
      const { wide, high } = box(opening)
      expect(Math.max(wide, high)).toBeGreaterThan(0.8 * Math.min(openingSpan(opening), openingSize(opening)))
      expect(describeOpening(opening).startsWith(`${familyOf(opening).label} `)).toBe(true)
      expect(shortOpening(opening)).toMatch(/ \d+(\.\d)? mm$/)
    },
  )
})

describe('how far one opening is from another', () => {
  const petal = (lengthMm: number): Opening => ({ family: 'petal', lengthMm, wideMm: 2, narrowMm: 1 })
  it('is nothing from itself, the same either way, and more the more it differs', () => {
    expect(standInDistance(petal(12), petal(12))).toBe(0)
    expect(standInDistance(petal(12), petal(15))).toBeCloseTo(standInDistance(petal(15), petal(12)), 12)
    expect(standInDistance(petal(12), petal(15))).toBeLessThan(standInDistance(petal(12), petal(18)))
  })
  it('is half as much again as e to its power for another family of the kin, and endless beyond it', () => {
    const curved: Opening = { family: 'curvedPetal', lengthMm: 12, wideMm: 2, narrowMm: 1, bendDeg: 30 }
    expect(standInDistance(petal(12), curved)).toBeCloseTo(0.5, 9)
    expect(standInDistance(petal(12), { family: 'round', diameterMm: 12 })).toBe(Number.POSITIVE_INFINITY)
  })
  it('counts size and area alike: a slot twice as long and as thick is twice the logarithm of two away', () => {
    // four times the area, twice the size: ln 2 + ln 4, near enough for rounded ends
    const twice: Opening = { family: 'petal', lengthMm: 24, wideMm: 4, narrowMm: 2 }
    expect(standInDistance(petal(12), twice)).toBeCloseTo(3 * Math.log(2), 6)
  })
})

describe('measures of an opening', () => {
  /** Least and most of every measure, with measures around it that are possible at both ends. */
  const LIMITS: [Opening, Record<string, [least: number, most: number]>][] = [
    [
      { family: 'star', teeth: 6, outerMm: 14.5, innerMm: 0.8, closed: false },
      { teeth: [4, 16], innerMm: [0.4, 14], outerMm: [1, 15] },
    ],
    [
      { family: 'multiHole', holes: 10, holeMm: 1 },
      { holes: [3, 40], holeMm: [0.6, 4] },
    ],
    [{ family: 'veeCut', widthMm: 8 }, { widthMm: [3, 25] }],
    [
      { family: 'curvedPetal', lengthMm: 12, wideMm: 2, narrowMm: 1, bendDeg: 40 },
      { lengthMm: [4, 45], wideMm: [0.6, 5], narrowMm: [0.3, 3], bendDeg: [10, 120] },
    ],
    [
      { family: 'halfMoon', widthMm: 8, wallMm: 0.9, arcDeg: 180 },
      { widthMm: [2, 15], wallMm: [0.4, 3], arcDeg: [30, 220] },
    ],
    [
      { family: 'leaf', widthMm: 10, heightMm: 1.5, cut: 'beak' },
      { widthMm: [2, 20], heightMm: [0.8, 8] },
    ],
  ]
  it.each(LIMITS)('of a $family are taken from the least to the most, and not beyond', (opening, limits) => {
    const { schema } = familyOf(opening)
    for (const [key, [least, most]] of Object.entries(limits)) {
      const step = Number.isInteger(least) && Number.isInteger(most) && key !== 'bendDeg' ? 1 : 0.01
      for (const fine of [least, most])
        expect(schema.safeParse({ ...opening, [key]: fine }).error, `${key} ${fine}`).toBeUndefined()
      for (const bad of [least - step, most + step])
        expect(schema.safeParse({ ...opening, [key]: bad }).success, `${key} ${bad}`).toBe(false)
    }
  })
})
