import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arrange, type Guest } from './arrange.ts'
import { type Surface, seenAreaMm2, surfaceDefinition, surfaceSchema } from './index.ts'

const area = seenAreaMm2
const edge = (s: Surface, id: string) =>
  surfaceDefinition(s.kind)
    .edges(s)
    .find((e) => e.id === id)!.loopsMm[0]

describe('areas and edges by hand', () => {
  it.each<[string, Surface, number]>([
    ['a flat cupcake is a disc: π 30²', { kind: 'cupcake', diameterMm: 60, domeMm: 0 }, 2827.4],
    ['a domed one a spherical cap: π (30² + 10²)', { kind: 'cupcake', diameterMm: 60, domeMm: 10 }, 3141.6],
    ['a cookie: π 40²', { kind: 'cookie', diameterMm: 80 }, 5026.5],
    [
      'a tier, top and side: π 100² + π 200 · 90',
      { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 90 }], coveredMm: 0 },
      87964.6,
    ],
    [
      'a sheet: 300 · 200 + 2 · 500 · 50',
      { kind: 'sheet', lengthMm: 300, widthMm: 200, heightMm: 50 },
      110000,
    ],
  ])('%s', (_, shape, mm2) => expect(area(shape)).toBeCloseTo(mm2, 1))

  it('a border runs round: π 80 on a cookie, 1000 on the sheet', () => {
    expect(edge({ kind: 'cookie', diameterMm: 80 }, 'top')).toBeCloseTo(251.33, 2)
    expect(edge({ kind: 'sheet', lengthMm: 300, widthMm: 200, heightMm: 50 }, 'foot')).toBe(1000)
  })

  it('what an upper tier covers cannot carry flowers', () => {
    const top = (coveredMm: number) =>
      surfaceDefinition('cake').topAreaMm2({
        kind: 'cake',
        tiers: [{ diameterMm: 200, heightMm: 90 }],
        coveredMm,
      })
    expect(top(0) - top(120)).toBeCloseTo((Math.PI * 120 ** 2) / 4, 6)
  })

  it('impossible measures are refused in words', () => {
    const bad = surfaceSchema.safeParse({ kind: 'cake', tiers: [{ diameterMm: 20, heightMm: 90 }] })
    expect(bad.error?.issues[0]).toMatchObject({
      path: ['tiers', 0, 'diameterMm'],
      message: 'A tier is at least 60 mm across.',
    })
  })
})

describe('one way to stand', () => {
  const disc = (outerMm: number) => ({ kind: 'ring' as const, outerMm, innerMm: 0 })
  const guests = fc
    .array(fc.record({ diameterMm: fc.double({ min: 5, max: 50, noNaN: true }), tucked: fc.boolean() }), {
      maxLength: 20,
    })
    .map((list) => list.map((g, i): Guest => ({ ...g, key: String(i) })))

  it('gives everybody one place, and keeps what stands on the piece', () => {
    fc.assert(
      fc.property(guests, (list) => {
        const spots = arrange(list, disc(60))
        expect(spots.map((s) => s.key).sort()).toEqual(list.map((g) => g.key).sort())
        for (const { key, x, y } of spots) {
          const guest = list[Number(key)]!
          if (!guest.tucked) expect(Math.hypot(x, y) + guest.diameterMm / 2).toBeLessThanOrEqual(60 + 1e-9)
        }
      }),
    )
  })
  it('puts a single flower in the middle and rings an upper tier', () => {
    const one = [{ key: 'a', diameterMm: 40, tucked: false }]
    expect(arrange(one, disc(50))[0]).toMatchObject({ x: 0, y: 0 })
    const ringed = arrange(one, { kind: 'ring', outerMm: 100, innerMm: 60 })[0]!
    expect(Math.hypot(ringed.x, ringed.y)).toBeCloseTo(80, 9)
  })
  it('never sets two exactly opposite each other', () => {
    const spots = arrange(
      Array.from({ length: 9 }, (_, i) => ({ key: String(i), diameterMm: 10, tucked: false })),
      disc(100),
    )
    const angles = spots.map((s) => Math.atan2(s.y, s.x))
    for (const a of angles)
      for (const b of angles) expect(Math.abs(Math.abs(a - b) - Math.PI)).toBeGreaterThan(0.02)
  })
})
