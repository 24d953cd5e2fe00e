import { describe, expect, it } from 'vitest'
import { normalQuantile, normalsAt, SOBOL_PLACES, sharesAt } from './draws.ts'
import { type Cell, type Lot, needsOf } from './needs.ts'
import { chancesOf, lastingOf, multiplesFor, scopes } from './promise.ts'
import { spoiledAt, spoiledShares } from './spoiled.ts'
import { thrown } from './testing.ts'

const cell = (colourId: string, softness = 0, icingKindId = 'butter'): Cell => ({
  colourId,
  icingKindId,
  softness,
})
const lot = (kind: string, parts: [number, number][], more: Partial<Lot> = {}): Lot => ({
  ...{ kind, wanted: 24, spares: 2, practice: 1, spoilRate: 0.06, spread: 0.15, byHand: true },
  parts: parts.map(([at, grams]) => ({ cell: at, grams })),
  ...more,
})

/** A colour in three stiffnesses, one in one, one that shares its flowers with the first, and a coat. */
const CELLS = [cell('a'), cell('a', 1), cell('a', 2), cell('b'), cell('c', 1)]
const LOTS = [
  lot('coat', [[2, 400]], { wanted: 0, spares: 0, practice: 0, spoilRate: 0, spread: 0.08, byHand: false }),
  lot('rose', [
    [0, 220],
    [3, 60],
  ]),
  lot(
    'aster',
    [
      [1, 90],
      [4, 40],
    ],
    { wanted: 60, spares: 4, spread: 0.2 },
  ),
  lot('thrift', [[3, 50]], { wanted: 6, spares: 1, spoilRate: 0.12 }),
  lot('leaf', [[4, 30]], { wanted: 80, spares: 2, spoilRate: 0.02, spread: 0.1 }),
]

describe('a promise', () => {
  const lasting = lastingOf(CELLS, needsOf(LOTS, CELLS.length))
  const THROWN = 20_000
  const band = (p: number) => 3 * Math.sqrt((p * (1 - p)) / THROWN) + 0.006
  it.each(scopes.flatMap((scope) => [0.2, 0.05].map((chance) => [scope, chance] as const)))(
    'for the %s of %d is kept over orders thrown by somebody else',
    (scope, chance) => {
      const multiples = multiplesFor(lasting, scope, chance)
      const said = chancesOf(lasting, multiples)
      const found = thrown(CELLS, LOTS, multiples, lasting.strays, lasting.colourIds, THROWN)
      said.colours.forEach((p, c) => {
        expect(Math.abs(found.colours[c]! - p), `colour ${c}`).toBeLessThan(band(p))
        if (scope === 'colour') expect(p).toBeLessThanOrEqual(chance)
      })
      expect(Math.abs(found.order - said.order)).toBeLessThan(band(said.order))
      if (scope === 'order') expect(said.order).toBeLessThanOrEqual(chance)
    },
  )
  it('needs less where what is left of a stiffer bowl can be thinned for a softer one, and not the other way', () => {
    const lots = [lot('rose', [[0, 300]]), lot('aster', [[1, 30]])]
    const marginOf = (cells: Cell[]) => {
      const found = lastingOf(cells, needsOf(lots, 2))
      const multiples = multiplesFor(found, 'order', 0.05)
      return cells.reduce(
        (sum, c, at) => sum + multiples[found.colourIds.indexOf(c.colourId)]! * found.strays[at]!,
        0,
      )
    }
    const apart = marginOf([cell('a'), cell('b')])
    expect(marginOf([cell('a', 0), cell('a', 1)])).toBeLessThan(apart)
    // icing kinds are never mixed
    expect(marginOf([cell('a', 0), cell('a', 1, 'royal')])).toBeCloseTo(apart, 6)
  })
  it('of what never strays and is never spoiled adds next to nothing', () => {
    const calm = lot('rose', [[0, 100]], { spread: 0, spoilRate: 0, byHand: false })
    const found = lastingOf([cell('a')], needsOf([calm], 1))
    expect(multiplesFor(found, 'colour', 0.05)[0]! * found.strays[0]!).toBeLessThan(5)
  })
})

describe('spoiled flowers', () => {
  it('are as many as a rate says on the average, and none where nothing is spoiled', () => {
    // 19 good ones at 1 in 20: one spoiled, a little more for days that stray
    const shares = spoiledShares(19, 0.05)
    let mean = 0
    shares.forEach((s, k) => {
      mean += k * (s - (shares[k - 1] ?? 0))
    })
    expect(mean).toBeGreaterThan(0.95)
    expect(mean).toBeLessThan(1.12)
    expect(spoiledAt(spoiledShares(19, 0), 0.999)).toBe(0)
    // by hand: with a rate that hardly strays, none of 19 on 0.95^19 of all days
    expect(spoiledShares(19, 0.05, 1e6)[0]!).toBeCloseTo(0.95 ** 19, 3)
  })
})

describe('draws', () => {
  it('fall evenly over 0 to 1 at every place, and the same every time', () => {
    for (const place of [0, 1, 7, 20, SOBOL_PLACES, SOBOL_PLACES + 5]) {
      const shares = sharesAt(String(place))
      const tenths = new Array(10).fill(0)
      for (const s of shares) tenths[Math.floor(s * 10)]++
      for (const n of tenths) expect(Math.abs(n / shares.length - 0.1)).toBeLessThan(0.001)
    }
  })
  it('of two places have nothing to do with each other', () => {
    for (const [a, b] of [
      [0, 1],
      [3, 14],
      [12, 20],
      [5, 40],
    ]) {
      const [x, y] = [normalsAt(String(a)), normalsAt(String(b))]
      const r = x.reduce((sum, z, i) => sum + z * y[i]!, 0) / x.length
      expect(Math.abs(r), `${a} ${b}`).toBeLessThan(0.03)
    }
  })
  it.each([
    [0.5, 0],
    [0.8, 0.8416],
    [0.95, 1.6449],
    [0.99, 2.3263],
    [0.001, -3.0902],
  ])('the normal deviate of %d is %d', (share, deviate) =>
    expect(normalQuantile(share)).toBeCloseTo(deviate, 4),
  )
})
