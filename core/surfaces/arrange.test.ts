import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arrange, type Ground, type Guest } from './arrange.ts'

const flower = (key: string, diameterMm: number): Guest => ({ key, diameterMm, tucked: false })
const leaf = (key: string): Guest => ({ key, diameterMm: 12, tucked: true })
const disc = (outerMm: number, innerMm = 0): Ground => ({ kind: 'ring', outerMm, innerMm })
const away = (a: { x: number; y: number }, b = { x: 0, y: 0 }) => Math.hypot(a.x - b.x, a.y - b.y)

describe('where flowers stand in a small picture', () => {
  it('one flower alone in the middle; beside an upper tier in the middle of what is free', () => {
    expect(away(arrange([flower('a', 30)], disc(35))[0]!)).toBe(0)
    expect(away(arrange([flower('a', 30)], disc(90, 50))[0]!)).toBeCloseTo(70, 9)
  })

  it('large ones first and nearest to the middle, every one whole on the piece', () => {
    const guests = [10, 18, 14, 8, 12].map((d, i) => flower(`${i}`, d))
    const spots = arrange(guests, disc(60))
    expect(spots.map((s) => s.key)).toEqual(['1', '2', '4', '0', '3'])
    const shares = spots.map((s) => away(s) / (60 - guests.find((g) => g.key === s.key)!.diameterMm / 2))
    for (const share of shares) expect(share).toBeLessThanOrEqual(1 + 1e-9)
    expect(shares[0]).toBeLessThan(0.6)
    expect(shares.at(-1)).toBeGreaterThan(0.98)
  })

  it('clear of each other, but for a petal’s width, on discs, rings and sheets with room enough', () => {
    const grounds: Ground[] = [disc(60), disc(110, 75), { kind: 'rectangle', halfX: 120, halfY: 70 }]
    const diameters = fc.array(fc.double({ min: 8, max: 30, noNaN: true }), { minLength: 2, maxLength: 14 })
    fc.assert(
      fc.property(diameters, fc.constantFrom(...grounds), (list, ground) => {
        const free =
          ground.kind === 'ring'
            ? Math.PI * (ground.outerMm ** 2 - ground.innerMm ** 2)
            : 4 * ground.halfX * ground.halfY
        const asked = list.reduce((sum, d) => sum + (Math.PI / 4) * d * d, 0)
        fc.pre(asked < 0.4 * free)
        const guests = list.map((d, i) => flower(`${i}`, d))
        const spots = arrange(guests, ground)
        const radius = (key: string) => guests.find((g) => g.key === key)!.diameterMm / 2
        spots.forEach((a, i) => {
          if (ground.kind === 'rectangle') {
            expect(Math.abs(a.x)).toBeLessThanOrEqual(ground.halfX - radius(a.key) + 1e-9)
            expect(Math.abs(a.y)).toBeLessThanOrEqual(ground.halfY - radius(a.key) + 1e-9)
          }
          for (const b of spots.slice(i + 1)) {
            const [ra, rb] = [radius(a.key), radius(b.key)]
            expect(away(a, b)).toBeGreaterThan(ra + rb - 0.2 * Math.min(ra, rb))
          }
        })
        expect(arrange(guests, ground)).toEqual(spots)
      }),
      { numRuns: 200, seed: 4 },
    )
  })

  it('never two on one spot, nor exactly opposite each other', () => {
    const spots = arrange(
      Array.from({ length: 9 }, (_, i) => flower(`${i}`, 20)),
      disc(80),
    )
    spots.forEach((a, i) => {
      for (const b of spots.slice(i + 1)) {
        expect(away(a, b)).toBeGreaterThan(10)
        expect(away({ x: a.x + b.x, y: a.y + b.y })).toBeGreaterThan(1)
      }
    })
  })

  it('leaves at the rims of the larger half of the flowers, in turn', () => {
    const spots = arrange(
      [flower('big', 40), flower('mid', 30), flower('small', 20), ...['p', 'q', 'r'].map(leaf)],
      disc(60),
    )
    const at = (key: string) => spots.find((s) => s.key === key)!
    // two of three flowers are hosts; a leaf's middle lies a fifth of the radius inside the rim
    expect(away(at('p'), at('big'))).toBeCloseTo(16, 9)
    expect(away(at('q'), at('mid'))).toBeCloseTo(12, 9)
    expect(away(at('r'), at('big'))).toBeCloseTo(16, 9)
    expect(away(at('p'), at('r'))).toBeGreaterThan(5)
    // a leaf points away from the flower it comes out of
    const { x, y, turn } = at('q')
    expect(Math.cos(turn)).toBeCloseTo((x - at('mid').x) / 12, 9)
    expect(Math.sin(turn)).toBeCloseTo((y - at('mid').y) / 12, 9)
  })

  it('leaves alone lie half way out', () => {
    for (const spot of arrange(['p', 'q'].map(leaf), disc(50))) expect(away(spot)).toBeCloseTo(25, 9)
  })
})
