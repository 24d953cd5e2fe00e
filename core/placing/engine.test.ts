import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Layout } from '../model/layout.ts'
import { siteSchema } from '../model/layout.ts'
import { seeded } from '../random.ts'
import { chartOf, type Surface } from '../surfaces/index.ts'
import { Body, overlapMm, ranksOf } from './body.ts'
import { borderUnits } from './borders.ts'
import { bareSpots, coveredShare } from './cover.ts'
import { improve, leanOf } from './improve.ts'
import { tuckLeaves } from './leaves.ts'
import { bodiesOf, groundFor, placed } from './place.ts'
import { relax } from './relax.ts'
import { faultsOf, settle, TOLERANCE_MM } from './settle.ts'
import { standOf } from './stands.ts'
import { counting, emptyLayout, flower, leaf, mixFor, pieces, someOfEach } from './testing.ts'

const disc: Surface = { kind: 'cookie', diameterMm: 200 }
const cake: Surface = {
  kind: 'cake',
  tiers: [
    { diameterMm: 220, heightMm: 100 },
    { diameterMm: 150, heightMm: 100 },
  ],
  coveredMm: 0,
}
const lay = (shape: Surface, more: Partial<Layout>) => {
  const chart = chartOf(shape)
  const kinds = mixFor(2 * chart.top.x)
  const layout = placed(
    { chart, kinds, numbers: someOfEach, layout: emptyLayout(more), newId: counting() },
    false,
  )
  const bodies = bodiesOf(chart, kinds, layout.sites)
  const standing = bodies.filter((b) => b.rank >= 0)
  return { chart, kinds, layout, bodies, standing, ground: groundFor(chart, kinds, layout) }
}
const put = (shape: Surface, at: [x: number, y: number, r: number, id?: string][]) => {
  const chart = chartOf(shape)
  const bodies = at.map(([x, y, r, id = 'f'], i) => {
    const body = new Body(flower(id, r, 8), i, 2, { face: 0, a: 0, b: 0 })
    body.put(chart, chart.under(x, y))
    body.siteId = `s${i}`
    return body
  })
  return { chart, bodies }
}
const away = ({ x, y }: { x: number; y: number }) => Math.hypot(x, y)

describe('where each school puts flowers', () => {
  it('one in the middle: the largest, exactly there; the rest around it', () => {
    const { standing } = lay({ kind: 'cupcake', diameterMm: 65, domeMm: 8 }, { schoolId: 'single' })
    const [largest] = [...standing].sort((a, b) => b.kind.r - a.kind.r || away(a) - away(b))
    expect(away(largest!)).toBeLessThan(0.01)
  })
  it('wreath and ring: the middle stays free, of the wreath more', () => {
    for (const [schoolId, share] of [
      ['ring', 0.2],
      ['wreath', 0.42],
    ] as const) {
      const { standing, chart } = lay(disc, { schoolId })
      for (const b of standing)
        expect(away(b) + 0.5 * b.kind.r, schoolId).toBeGreaterThan(share * chart.top.x)
    }
  })
  it('crescent: open to one side, its largest in its back', () => {
    const { standing } = lay(disc, { schoolId: 'crescent', turnDeg: 0, grading: 1 })
    // it opens to the right: nothing large stands there
    for (const b of standing) if (b.x > 60) expect(Math.abs(b.y)).toBeGreaterThan(10)
    const mean = (of: typeof standing) => of.reduce((sum, b) => sum + b.x, 0) / of.length
    expect(mean(standing.filter((b) => b.rank === 2))).toBeLessThan(
      mean(standing.filter((b) => b.rank === 0)),
    )
  })
  it('corner spray: from one edge inward, large to small', () => {
    const { standing } = lay(disc, { schoolId: 'spray', grading: 1 })
    // it grows in from the back left
    const along = (b: { x: number; y: number }) =>
      b.x * Math.cos(0.78 * Math.PI) + b.y * Math.sin(0.78 * Math.PI)
    expect(Math.max(...standing.map(along))).toBeGreaterThan(60)
    const mean = (rank: number) => {
      const of = standing.filter((b) => b.rank === rank)
      return of.reduce((sum, b) => sum + along(b), 0) / of.length
    }
    expect(mean(2)).toBeGreaterThan(mean(0))
  })
  it('side band: on the side of the lowest tier, all the way round', () => {
    const { standing, chart } = lay(cake, { schoolId: 'band', fullness: 0.7 })
    for (const b of standing) expect(chart.zoneOf(b.spot)).toEqual({ zone: 'side', tier: 0 })
    const angles = standing.map((b) => Math.atan2(b.y, b.x)).sort((a, b) => a - b)
    const gaps = angles.map((a, i) => (angles[(i + 1) % angles.length]! - a + 2 * Math.PI) % (2 * Math.PI))
    expect(Math.max(...gaps)).toBeLessThan(0.9)
  })
  it('fall: over both tops and both sides, further round the further down', () => {
    const { standing, chart } = lay(cake, { schoolId: 'fall', fullness: 0.9 })
    const on = new Set(standing.map((b) => Object.values(chart.zoneOf(b.spot)).join(' ')))
    expect([...on].sort()).toEqual(['side 0', 'side 1', 'top 0', 'top 1'])
    const low = standing.filter((b) => b.z < 90)
    const high = standing.filter((b) => b.z > 110 && b.z < 190)
    const turn = (of: typeof standing) => of.reduce((sum, b) => sum + Math.atan2(b.x, -b.y), 0) / of.length
    expect(turn(low)).toBeGreaterThan(turn(high))
    for (const b of standing) if (!b.kind.mayHang) expect(b.nz).toBeGreaterThan(0.55)
  })
  it('scatter: loose, each as far from the next as a school of scattering wants', () => {
    const { standing } = lay(disc, { schoolId: 'scatter', fullness: 0.3 })
    for (const [i, a] of standing.entries())
      for (const b of standing.slice(i + 1)) expect(-overlapMm(a, b)).toBeGreaterThan(6)
  })
  it('line by hand: along it, whatever it is; turned, everything turns with it', () => {
    const chart = chartOf(disc)
    const path = [-70, -35, 0, 35, 70].map((x) => chart.store(chart.under(x, 20)))
    for (const b of lay(disc, { schoolId: 'path', path }).standing)
      expect(Math.abs(b.y - 20)).toBeLessThan(45)
    const [there, turned] = [0, 90].map((turnDeg) => lay(disc, { schoolId: 'spray', turnDeg }).standing)
    const middle = (of: typeof there) => {
      const sum = of!.reduce((s, b) => ({ x: s.x + b.x, y: s.y + b.y }), { x: 0, y: 0 })
      return Math.atan2(sum.y, sum.x)
    }
    const by = (((middle(turned) - middle(there)) * 180) / Math.PI + 360) % 360
    expect(Math.abs(by - 90)).toBeLessThan(25)
  })
})

describe('giving way', () => {
  const whole = () => lay(disc, { schoolId: 'dome' }).ground.area
  it('small ones go further than large, pinned ones nowhere, and all stand clear afterwards', () => {
    const { chart, bodies } = put(disc, [
      [-8, 0, 24],
      [10, 0, 8],
    ])
    relax(chart, whole(), bodies, 60)
    expect(overlapMm(bodies[0]!, bodies[1]!)).toBeLessThan(TOLERANCE_MM)
    expect(Math.abs(bodies[0]!.x + 8)).toBeLessThan(Math.abs(bodies[1]!.x - 10) / 4)
    const again = put(disc, [
      [-8, 0, 24],
      [10, 0, 8],
    ])
    const { x } = again.bodies[0]!
    again.bodies[0]!.pinned = true
    relax(again.chart, whole(), again.bodies, 60)
    expect(again.bodies[0]!.x).toBe(x)
  })
  it('two on one spot part, and what is over the edge comes back', () => {
    const { chart, bodies } = put(disc, [
      [0, 0, 12],
      [0, 0, 12],
      [98, 0, 10],
    ])
    bodies[1]!.turn = 1
    relax(chart, whole(), bodies, 80)
    expect(away({ x: bodies[0]!.x - bodies[1]!.x, y: bodies[0]!.y - bodies[1]!.y })).toBeGreaterThan(22)
    expect(away(bodies[2]!)).toBeLessThan(100 - 10 * (1 - 0.35) + 0.5)
  })
  it('where there is no room the smallest are left out, if they may; otherwise all stay', () => {
    const crowd = () =>
      put({ kind: 'cookie', diameterMm: 60 }, [
        [-10, 0, 20],
        [10, 0, 20],
        [0, 12, 6],
        [0, -12, 6],
      ])
    const { ground } = lay({ kind: 'cookie', diameterMm: 60 }, { schoolId: 'dome' })
    const { chart, bodies } = crowd()
    const left = settle(chart, ground, bodies, () => true)
    expect(left.length).toBeLessThan(4)
    expect(faultsOf(chart, ground, left)).toEqual([])
    const kept = crowd()
    expect(settle(kept.chart, ground, kept.bodies, () => false)).toHaveLength(4)
  })
})

describe('the improver', () => {
  it('sets apart two of a kind that stand beside each other, and lessens the lean', () => {
    const { ground } = lay(disc, { schoolId: 'dome' })
    const { chart, bodies } = put(disc, [
      [-60, 10, 20, 'a'],
      [-60, -30, 20, 'a'],
      [-20, 40, 19, 'b'],
      [-20, -5, 19, 'b'],
      [-40, 60, 12, 'c'],
      [-70, 45, 12, 'c'],
    ])
    const apart = (id: string) => {
      const [p, q] = bodies.filter((b) => b.kind.flowerId === id)
      return Math.hypot(p!.x - q!.x, p!.y - q!.y)
    }
    const before = { lean: away(leanOf(bodies)), a: apart('a'), bare: coveredShare(ground, bodies) }
    improve(chart, ground, bodies, 1, 0.7, 4000)
    expect(away(leanOf(bodies))).toBeLessThan(0.3 * before.lean)
    expect(apart('a')).toBeGreaterThan(before.a)
    expect(coveredShare(ground, bodies)).toBeGreaterThan(before.bare - 0.02)
    for (const [i, p] of bodies.entries())
      for (const q of bodies.slice(i + 1)) expect(overlapMm(p, q)).toBeLessThan(2)
  })
  it('leaves what is pinned where it is, to the last digit', () => {
    const { ground } = lay(disc, { schoolId: 'dome' })
    const { chart, bodies } = put(disc, [
      [-60, 10, 20],
      [30, 5, 14],
    ])
    bodies[0]!.pinned = true
    const { x, y } = bodies[0]!
    improve(chart, ground, bodies, 3, 0.7, 800)
    expect([bodies[0]!.x, bodies[0]!.y]).toEqual([x, y])
  })
})

describe('leaves', () => {
  it('go over the barest coat first: with one side full, to the other', () => {
    const { ground } = lay(disc, { schoolId: 'dome' })
    const { chart, bodies } = put(disc, [
      [0, 0, 16],
      [30, 0, 14],
      [22, 24, 14],
      [22, -24, 14],
    ])
    const kind = leaf('l', 30, 12)
    const leaves = tuckLeaves(chart, ground, bodies, [{ kind, of: 9 }], seeded(1))
    expect(leaves[0]!.host).toBeDefined()
    const bareBefore = bareSpots(ground, bodies, 5, 1)[0]!.diameterMm
    expect(bareSpots(ground, [...bodies, ...leaves], 5, 1)[0]!.diameterMm).toBeLessThanOrEqual(bareBefore)
    // under the rim of its host, not under its middle nor beyond it
    const { host } = leaves[0]!
    const root = away({ x: leaves[0]!.x - host!.x, y: leaves[0]!.y - host!.y }) - kind.longMm / 2
    expect(root / host!.kind.r).toBeGreaterThan(0.4)
    expect(root / host!.kind.r).toBeLessThan(1)
    expect(tuckLeaves(chart, ground, [], [{ kind, of: 9 }], seeded(1))).toEqual([])
  })
  it('are told from flowers by how they lie, flowers by how large they are among the largest', () => {
    const kinds = [
      flower('a', 20, 5),
      flower('b', 17, 5),
      flower('c', 12, 5),
      flower('d', 6, 5),
      leaf('l', 30, 8),
    ]
    expect(ranksOf(kinds)).toEqual([2, 2, 1, 0, -1])
  })
})

describe('a border', () => {
  it('closes: as many units as fit, evenly, begun at the back and gone round with the clock', () => {
    for (const shape of pieces) {
      const chart = chartOf(shape)
      for (const { id, tier, lengthMm } of chart.courses) {
        const units = borderUnits(chart, id, tier, 8, 6)
        const lines = chart.courses.filter((c) => c.id === id && c.tier === tier)
        if (lines.length > 1) {
          // a number, a bouquet: on each of its lines by itself
          const whole = lines.reduce((sum, c) => sum + Math.max(1, Math.round(c.lengthMm / 8)), 0)
          expect(units).toHaveLength(whole)
          continue
        }
        expect(units).toHaveLength(Math.max(1, Math.round(lengthMm / 8)))
        const steps = units.map((u, i) => {
          const next = units[(i + 1) % units.length]!
          return Math.hypot(next.x - u.x, next.y - u.y)
        })
        // the last meets the first as every other does; round corners a step is cut short
        expect(steps.at(-1)! / steps[0]!).toBeGreaterThan(
          ['sheet', 'heart', 'hexagon'].includes(shape.kind) ? 0.5 : 0.99,
        )
        expect(Math.abs(units[0]!.x)).toBeLessThan(0.01)
        expect(units[0]!.y).toBeGreaterThan(0)
        // within the notch of a heart the first few stand close
        expect(units[4]!.x).toBeGreaterThan(0)
        expect(Math.cos(units[0]!.angle)).toBeGreaterThan(0.9)
      }
    }
  })
  it('stands within a rim and in front of a foot by half its width', () => {
    const chart = chartOf(cake)
    const foot = borderUnits(chart, 'foot', 0, 8, 6)[0]!
    expect(away(foot)).toBeCloseTo(113, 6)
    expect(foot.z).toBeCloseTo(0, 9)
    const rim = borderUnits(chart, 'top', 1, 8, 6)[0]!
    expect(away(rim)).toBeCloseTo(75 - 6 * (1 - Math.SQRT1_2) - 3, 6)
  })
})

describe('how a flower stands', () => {
  const site = (place: object, more: object = {}) =>
    siteSchema.parse({ id: 's', placedId: 'f', role: 'focal', place: { tier: 0, ...place }, ...more })
  const column = (m: Float32Array, i: number) => [m[4 * i]!, m[4 * i + 1]!, m[4 * i + 2]!] as const
  it('on axes at right angles, its own axis out of the surface, turned but never mirrored', () => {
    const chart = chartOf(cake)
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.integer({ min: -60, max: 60 }),
        fc.integer({ min: -180, max: 180 }),
        (turnDeg, leanDeg, b) => {
          const m = standOf(
            chart,
            { middleX: 5, middleY: 2 },
            site({ zone: 'side', from: 'foot', a: 40, b }, { turnDeg, leanDeg }),
          )
          const [x, y, z] = [column(m, 0), column(m, 1), column(m, 2)]
          const dot = (p: readonly number[], q: readonly number[]) => p.reduce((s, v, i) => s + v * q[i]!, 0)
          for (const axis of [x, y, z]) expect(dot(axis, axis)).toBeCloseTo(1, 5)
          expect([dot(x, y), dot(y, z), dot(z, x)].map((v) => Math.abs(v) < 1e-5)).toEqual([true, true, true])
          const cross = [x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]]
          expect(dot(cross, z)).toBeCloseTo(1, 5)
          // tipped outward is tipped down on a side
          expect(z[2]).toBeCloseTo(-Math.sin((leanDeg * Math.PI) / 180), 5)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('with its middle on its place, wherever its recipe begins, sunk in by less than anybody sees', () => {
    const chart = chartOf(cake)
    const m = standOf(
      chart,
      { middleX: 12, middleY: -3 },
      site({ zone: 'top', tier: 1, from: 'middle', a: 20, b: 90 }, { turnDeg: 33 }),
    )
    const [x, y, at] = [column(m, 0), column(m, 1), column(m, 3)]
    const middle = at.map((v, i) => v + 12 * x[i]! - 3 * y[i]!)
    expect(middle[0]).toBeCloseTo(0, 4)
    expect(middle[1]).toBeCloseTo(20, 4)
    expect(Math.abs(middle[2]! - 200)).toBeLessThan(0.5)
  })
})
