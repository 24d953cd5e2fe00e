import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hourAt } from './chart.ts'
import { chartOf, type Surface, seenAreaMm2 } from './index.ts'
import { roundMm, signedMm2 } from './outline.ts'

const two: Surface = {
  kind: 'cake',
  tiers: [
    { diameterMm: 220, heightMm: 100 },
    { diameterMm: 150, heightMm: 90 },
  ],
  coveredMm: 0,
}
const shapes: [string, Surface][] = [
  ['a domed cupcake', { kind: 'cupcake', diameterMm: 65, domeMm: 9 }],
  ['a dome higher than half a ball', { kind: 'cupcake', diameterMm: 60, domeMm: 40 }],
  ['a flat cupcake', { kind: 'cupcake', diameterMm: 60, domeMm: 0 }],
  ['a cookie', { kind: 'cookie', diameterMm: 80 }],
  ['two tiers', two],
  [
    'a tier that something else stands on',
    { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 90 },
  ],
  [
    'tiers as wide as each other',
    {
      kind: 'cake',
      tiers: [
        { diameterMm: 150, heightMm: 80 },
        { diameterMm: 150, heightMm: 80 },
      ],
      coveredMm: 0,
    },
  ],
  ['a hexagon with sides', { kind: 'hexagon', diameterMm: 180, heightMm: 60 }],
  ['a flat heart', { kind: 'heart', widthMm: 90, heightMm: 0 }],
  ['a heart-shaped cake', { kind: 'heart', widthMm: 220, heightMm: 70 }],
  ['a ring', { kind: 'ring', diameterMm: 240, holeMm: 80, heightMm: 80 }],
  ['a number', { kind: 'number', digits: '30', tallMm: 300, barMm: 70, heightMm: 60 }],
  [
    'a bouquet with a vase',
    {
      ...{ kind: 'bouquet', diameterMm: 65, domeMm: 9, standMm: 42, outline: { kind: 'fan' } },
      at: [
        { x: -33, y: 0 },
        { x: 33, y: 0 },
        { x: 0, y: 60 },
      ],
      vase: { rimMm: 90, footMm: 60, tallMm: 100, heightMm: 50 },
    },
  ],
  ['a sheet', { kind: 'sheet', lengthMm: 300, widthMm: 200, heightMm: 60 }],
]
/** Counted in squares that lie inside, so a little off at a bent edge. */
const PRISMS = ['sheet', 'hexagon', 'heart', 'number', 'bouquet']

/** What is coated too but has no room for flowers: walls of holes, the side of a vase. */
function wallsMm2(shape: Surface): number {
  if (shape.kind === 'ring') return Math.PI * shape.holeMm * shape.heightMm
  const { above } = chartOf(shape)
  if (shape.kind === 'bouquet') return shape.vase ? roundMm(above.at(-1)!) * shape.vase.heightMm : 0
  const holes = above.filter((loop) => signedMm2(loop) < 0)
  return 'heightMm' in shape ? holes.reduce((sum, hole) => sum + roundMm(hole) * shape.heightMm, 0) : 0
}
type Vec = readonly [number, number, number]
const share = fc.double({ min: 0.001, max: 0.999, noNaN: true })

describe.each(shapes)('the surface of %s', (_, shape) => {
  const chart = chartOf(shape)
  const samples = chart.samples(4)

  it('is as large as what is coated, but for what is rounded off its edges', () => {
    const area = samples.reduce((sum, s) => sum + s.mm2, 0)
    const rounded = ['cake', 'ring'].includes(shape.kind) ? 0.04 : PRISMS.includes(shape.kind) ? 0.03 : 0.003
    expect(Math.abs((area + wallsMm2(shape)) / seenAreaMm2(shape) - 1)).toBeLessThan(rounded)
  })

  it('faces outward everywhere, and "outward and down" runs along it', () => {
    for (const s of samples) {
      expect(Math.hypot(s.nx, s.ny, s.nz)).toBeCloseTo(1, 9)
      expect(Math.hypot(s.ox, s.oy, s.oz)).toBeCloseTo(1, 9)
      expect(s.nx * s.ox + s.ny * s.oy + s.nz * s.oz).toBeCloseTo(0, 9)
      // a little above the surface there is no cake, a little below there is
      if (shape.kind !== 'number') expect(s.nx * s.x + s.ny * s.y + s.nz * (s.z + 60)).toBeGreaterThan(0)
    }
  })

  it('has a skin that faces outward and has the same area', () => {
    const { positions, normals, indices } = chart.skin()
    const at = (i: number, of: Float32Array) => [of[3 * i]!, of[3 * i + 1]!, of[3 * i + 2]!] as const
    let area = 0
    for (let t = 0; t < indices.length; t += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => at(indices[t + k]!, positions)) as [Vec, Vec, Vec]
      const [u, v] = [a, a].map((p, k) => [b, c][k]!.map((x, i) => x - p[i]!)) as unknown as [Vec, Vec]
      const cross = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]]
      const twice = Math.hypot(...cross)
      area += twice / 2
      const n = at(indices[t + 1]!, normals)
      if (twice > 1e-6) expect(cross[0]! * n[0] + cross[1]! * n[1] + cross[2]! * n[2]).toBeGreaterThan(0)
    }
    const whole = samples.reduce((sum, s) => sum + s.mm2, 0) + wallsMm2(shape)
    expect(area / whole).toBeCloseTo(1, PRISMS.includes(shape.kind) ? 1.4 : 1.7)
  })

  it('finds every one of its points again, and from a little way off', () => {
    fc.assert(
      fc.property(fc.nat(samples.length - 1), fc.double({ min: 0, max: 5, noNaN: true }), (i, off) => {
        const s = samples[i]!
        // in an inner corner a point is nearer to the other wall
        if (chart.jointMm(s.spot) < 2 * off) return
        // and so it is between the lobes of a heart
        if (shape.kind === 'heart' && s.y > 0 && Math.abs(s.x) < 2 * off) return
        const up = [s.x + off * s.nx, s.y + off * s.ny, s.z + off * s.nz] as const
        // two cupcakes side by side are nearer to each other than this
        const found = chart.point(chart.beside(s.spot, ...up))
        const away = Math.hypot(found.x - s.x, found.y - s.y, found.z - s.z)
        // near an edge that leans, a point above it belongs as well to the other side of it
        expect(away).toBeLessThan(PRISMS.includes(shape.kind) ? off + 1e-6 : 0.02)
      }),
    )
  })

  it('is seen from above where nothing of it lies over it', () => {
    for (const s of samples.filter((_, i) => i % 7 === 0)) {
      const seen = chart.point(chart.under(s.x, s.y))
      expect(seen.z).toBeGreaterThan(s.z - 1e-6)
      if (s.nz > 0.75) expect(Math.hypot(seen.x - s.x, seen.y - s.y, seen.z - s.z)).toBeLessThan(1e-6)
    }
  })

  it('stores places and reads them back, through JSON', () => {
    fc.assert(
      fc.property(fc.nat(samples.length - 1), (i) => {
        const s = samples[i]!
        const stored = JSON.parse(JSON.stringify(chart.store(s.spot)))
        const back = chart.point(chart.read(stored))
        expect(Math.hypot(back.x - s.x, back.y - s.y, back.z - s.z)).toBeLessThan(1e-6)
      }),
    )
  })
})

describe('places on a cake that changes', () => {
  const cake = (upperMm: number, highMm: number, lowerMm = 220): Surface => ({
    kind: 'cake',
    tiers: [
      { diameterMm: lowerMm, heightMm: 100 },
      { diameterMm: upperMm, heightMm: highMm },
    ],
    coveredMm: 0,
  })
  const moved = (z: number, r: number, to: Surface) => {
    const from = chartOf(cake(150, 90))
    const place = from.store(from.nearest(r, 0, z))
    const there = chartOf(to).point(chartOf(to).read(place))
    return [Math.hypot(there.x, there.y), there.z].map((mm) => Number(mm.toFixed(3)))
  }

  it('stay as far from the edge that they are nearest to', () => {
    // 20 mm above the foot of the upper tier, and 25 below its rim, of a tier that becomes 20 mm higher
    expect(moved(120, 75, cake(150, 110))).toEqual([75, 120])
    expect(moved(165, 75, cake(150, 110))).toEqual([75, 185])
    // the tier becomes wider: both move out with its side
    expect(moved(120, 75, cake(170, 90))).toEqual([85, 120])
    // on the ledge 12 mm from the joint, which moves out; on top 10 mm from the middle, and 15 from the rim
    expect(moved(100, 87, cake(170, 90))).toEqual([97, 100])
    expect(moved(190, 10, cake(170, 90))).toEqual([10, 190])
    const [r, z] = moved(190, 60, cake(170, 90))
    expect([r, z]).toEqual([70, 190])
  })

  it('that have no room any more are taken at the far end of their zone, still on it', () => {
    const place = { zone: 'side', tier: 1, from: 'foot', a: 80, b: 0 } as const
    const low = chartOf(cake(150, 30))
    expect(low.zoneOf(low.read(place))).toEqual({ zone: 'side', tier: 1 })
    // a tier that was taken off: on the one that is left
    const one = chartOf({ kind: 'cake', tiers: [{ diameterMm: 220, heightMm: 100 }], coveredMm: 0 })
    expect(one.zoneOf(one.read(place))).toEqual({ zone: 'side', tier: 0 })
    // a ledge that is gone, since the tiers are as wide as each other
    const flush = chartOf(cake(220, 90))
    const ledge = { zone: 'top', tier: 0, from: 'rim', a: 10, b: 0 } as const
    expect(flush.zoneOf(flush.read(ledge))).toEqual({ zone: 'side', tier: 0 })
  })
})

describe('the outline of two tiers', () => {
  const chart = chartOf(two)
  it('has two tops, two sides, an inner corner and lines to run along', () => {
    expect(chart.bands.map((b) => b.label)).toEqual([
      'top, upper tier',
      'side, upper tier',
      'ledge, lower tier',
      'side, lower tier',
    ])
    expect(chart.highMm).toBe(190)
    expect(chart.reachMm).toBe(110)
    const joint = chart.nearest(75, 0, 100)
    expect(chart.jointMm(joint)).toBeCloseTo(0, 6)
    expect(chart.jointMm(chart.nearest(95, 0, 100))).toBeCloseTo(20, 6)
    const foot = chart.courses.find((c) => c.id === 'foot' && c.tier === 0)!
    expect(foot.lengthMm).toBeCloseTo(Math.PI * 220, 6)
    // it begins at the back and comes round by the right, as a clock does
    expect(hourAt(foot.at(0).x, foot.at(0).y)).toBe(12)
    expect(hourAt(foot.at(foot.lengthMm / 4).x, foot.at(foot.lengthMm / 4).y)).toBe(3)
  })
  it('is laid flat and rolled up again', () => {
    fc.assert(
      fc.property(share, share, (u, v) => {
        const spot = { face: 0, a: u * 300, b: (v - 0.5) * 6.28 }
        const { x, y } = chart.unroll(spot)
        const back = chart.rollUp(x, y)
        const [p, q] = [chart.point(spot), chart.point(back)]
        expect(Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z)).toBeLessThan(1e-6)
      }),
    )
    // the front is in the middle of the picture
    expect(chart.unroll(chart.nearest(0, -110, 50)).x).toBeCloseTo(0, 6)
  })
})

it('hours are read as on a clock that lies on the piece, six towards whoever looks', () => {
  expect([hourAt(0, 1), hourAt(1, 0), hourAt(0, -1), hourAt(-1, 0)]).toEqual([12, 3, 6, 9])
  expect(hourAt(0.5, -0.866)).toBe(5)
})
