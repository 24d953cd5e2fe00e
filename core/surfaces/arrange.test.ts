import { describe, expect, it } from 'vitest'
import { arrange, type Guest } from './arrange.ts'

const flower = (key: string, diameterMm: number): Guest => ({ key, diameterMm, tucked: false })
const leaf = (key: string): Guest => ({ key, diameterMm: 12, tucked: true })
const away = (a: { x: number; y: number }, b = { x: 0, y: 0 }) => Math.hypot(a.x - b.x, a.y - b.y)

describe('where flowers stand in a small picture', () => {
  it('one flower alone in the middle; beside an upper tier in the middle of what is free', () => {
    expect(away(arrange([flower('a', 30)], 35)[0]!)).toBe(0)
    expect(away(arrange([flower('a', 30)], 90, 50)[0]!)).toBeCloseTo(70, 9)
  })

  it('large ones first, every one whole on the piece, further out one by one', () => {
    const guests = [20, 34, 26, 18, 22].map((d, i) => flower(`${i}`, d))
    const spots = arrange(guests, 60)
    expect(spots.map((s) => s.key)).toEqual(['1', '2', '4', '0', '3'])
    const reach = (key: string) => {
      const { diameterMm } = guests.find((g) => g.key === key)!
      return 60 - diameterMm / 2
    }
    for (const spot of spots) expect(away(spot)).toBeLessThanOrEqual(reach(spot.key) + 1e-9)
    const shares = spots.map((s) => away(s) / reach(s.key))
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    expect(shares[0]).toBeLessThan(0.6)
    expect(shares.at(-1)).toBeGreaterThan(0.98)
  })

  it('never two on one spot, nor exactly opposite each other', () => {
    const spots = arrange(
      Array.from({ length: 9 }, (_, i) => flower(`${i}`, 20)),
      80,
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
      60,
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
    for (const spot of arrange(['p', 'q'].map(leaf), 50)) expect(away(spot)).toBeCloseTo(25, 9)
  })
})
