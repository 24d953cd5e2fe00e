import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Layout } from '../model/layout.ts'
import { chartOf, type Surface } from '../surfaces/index.ts'
import { Body, overlapMm } from './body.ts'
import { wrongWith } from './checker/testing.ts'
import { countsFor, fullnessOf } from './counts.ts'
import { bareSpots, coveredShare } from './cover.ts'
import { peelPa } from './hang.ts'
import { leanOf } from './improve.ts'
import { bodiesOf, groundFor, placed } from './place.ts'
import { schools } from './schools/index.ts'
import { counting, emptyLayout, flower, leaf, mixFor, seededLayouts, someOfEach } from './testing.ts'

const cupcake: Surface = { kind: 'cupcake', diameterMm: 65, domeMm: 9 }
const cake: Surface = {
  kind: 'cake',
  tiers: [
    { diameterMm: 220, heightMm: 100 },
    { diameterMm: 150, heightMm: 100 },
  ],
  coveredMm: 0,
}
const place = (shape: Surface, more: Partial<Layout>, improved = false) => {
  const chart = chartOf(shape)
  const kinds = mixFor(2 * chart.top.x)
  const layout = emptyLayout(more)
  const made = placed({ chart, kinds, numbers: someOfEach, layout, newId: counting() }, improved)
  const bodies = bodiesOf(chart, kinds, made.sites)
  return { chart, kinds, layout: made, bodies, ground: groundFor(chart, kinds, made) }
}

describe('two flowers', () => {
  const standing = (shape: Surface, x: number, y: number, z: number, r: number, h: number) => {
    const chart = chartOf(shape)
    const body = new Body(flower('f', r, h), 0, 2, { face: 0, a: 0, b: 0 })
    body.put(chart, chart.nearest(x, y, z))
    return body
  }
  const cookie: Surface = { kind: 'cookie', diameterMm: 200 }

  it('on the flat stand into each other by their radii less their distance, and a tuck of 0.12 of the smaller', () => {
    const [a, b] = [standing(cookie, -10, 0, 0, 14, 10), standing(cookie, 12, 0, 0, 10, 10)]
    expect(overlapMm(a, b)).toBeCloseTo(14 + 10 - 22 - 1.2, 9)
  })
  it('on a dome lean apart: two of 14 by 20 mm on 65 by 9 stand closer than on the flat', () => {
    const apart = (shape: Surface) => {
      // the closest at which they stand clear
      let [low, high] = [5, 25]
      for (let i = 0; i < 40; i++) {
        const half = (low + high) / 2
        const [a, b] = [standing(shape, -half, 0, 20, 14, 20), standing(shape, half, 0, 20, 14, 20)]
        if (overlapMm(a, b) > 0) low = half
        else high = half
      }
      const [a, b] = [standing(shape, -high, 0, 20, 14, 20), standing(shape, high, 0, 20, 14, 20)]
      return Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)
    }
    const flat = apart({ kind: 'cupcake', diameterMm: 65, domeMm: 0 })
    expect(flat).toBeCloseTo(28 - 0.12 * 14, 6)
    expect(apart(cupcake)).toBeLessThan(flat - 3)
    expect(apart(cupcake)).toBeGreaterThan(flat - 6)
  })
})

describe('what pulls at a side', () => {
  it('is known for a flower worked out by hand, and puts high and heavy ones above flat ones', () => {
    // 4 g, 40 mm across, 10 mm high: 32 · 0.03924 N · 4 mm / (π · 20³ mm³)
    expect(peelPa(4, 40, 10)).toBeCloseTo(199.84, 1)
    expect(peelPa(8, 40, 10)).toBeCloseTo(2 * peelPa(4, 40, 10), 6)
    expect(peelPa(4, 40, 20)).toBeGreaterThan(peelPa(4, 40, 10))
    expect(peelPa(0, 40, 10)).toBe(0)
  })
})

describe('layouts of every school on every piece', () => {
  it('have no flower standing in another, over an edge, in a tier or where it is too heavy', () => {
    const wrong: string[] = []
    let flowers = 0
    for (const laid of seededLayouts(
      [cupcake, cake, { kind: 'sheet', lengthMm: 240, widthMm: 160, heightMm: 60 }],
      1,
      false,
    )) {
      wrong.push(...wrongWith(laid))
      flowers += laid.sites.length
      expect(laid.sites.length, `${laid.shape.kind} ${laid.schoolId}`).toBeGreaterThan(2)
    }
    expect(wrong).toEqual([])
    expect(flowers).toBeGreaterThan(600)
  }, 60_000)

  it.each(schools.filter((s) => s.suits(chartOf(cake))).map((s) => [s.id, s] as const))(
    '%s: the same seed gives the same sites, another seed others, improving leaves less bare',
    (schoolId, school) => {
      // half as full is as telling, and tried in half the time
      const more = { schoolId, fullness: school.fullness / 2 }
      const first = place(cake, { ...more, seed: 5 })
      expect(place(cake, { ...more, seed: 5 }).layout).toEqual(first.layout)
      expect(place(cake, { ...more, seed: 6 }).layout.sites).not.toEqual(first.layout.sites)
      const better = place(cake, { ...more, seed: 5 }, true)
      expect(coveredShare(better.ground, better.bodies)).toBeGreaterThan(
        coveredShare(first.ground, first.bodies) - 0.06,
      )
    },
  )

  it('a fuller wish takes more flowers, in their proportions, the largest an odd number', () => {
    const of = (fullness: number) => {
      const { layout } = place(cake, { schoolId: 'fall', fullness })
      return (id: string) => layout.sites.filter((s) => s.placedId === id).length
    }
    expect(of(0.9)('small')).toBeGreaterThan(of(0.4)('small'))
    const kinds = mixFor(150)
    const now = kinds.map((kind) => ({ kind, count: someOfEach.get(kind.placedId)! }))
    const counts = countsFor({ mm2: 40_000 }, now, 0.9)
    expect(fullnessOf({ mm2: 40_000 }, counts)).toBeCloseTo(0.9, 0)
    expect(counts[0]!.count % 2).toBe(1)
    for (const { count } of countsFor({ mm2: 100 }, now, 0.1)) expect(count).toBeGreaterThanOrEqual(1)
  })

  it('numbers that a person has said are placed as they are, however full it gets', () => {
    const { layout } = place(cupcake, { schoolId: 'dome', fullness: null })
    for (const [id, count] of someOfEach)
      expect(layout.sites.filter((s) => s.placedId === id)).toHaveLength(count)
  })

  it('what is pinned stays, is counted, and the rest stands clear of it', () => {
    const first = place(cake, { schoolId: 'crescent' }).layout
    const pinned = { ...first.sites[1]!, pinned: true, role: 'focal' as const }
    const again = place(cake, { ...first, seed: 9, sites: [pinned, ...first.sites.slice(2)] })
    expect(again.layout.sites.find((s) => s.id === pinned.id)).toMatchObject({
      place: pinned.place,
      pinned: true,
    })
    expect(
      wrongWith({ ...again, shape: cake, schoolId: 'crescent', seed: 9, sites: again.layout.sites }),
    ).toEqual([])
  })

  it('whatever is kept free stays free, wherever it lies', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 20, max: 60 }), (b, widthMm) => {
        const keepOut = {
          ...{ id: 'k', kind: 'text' as const, widthMm, heightMm: 22, turnDeg: 0, label: '' },
          place: { zone: 'top' as const, tier: 1, from: 'rim' as const, a: 30, b },
        }
        const { bodies, chart } = place(cake, { schoolId: 'dome', keepOuts: [keepOut] })
        const middle = chart.point(chart.read(keepOut.place))
        // no leaf with half its width, its middle or its tip over it
        for (const b of bodies.filter((leaf) => leaf.rank < 0)) {
          const { px, py, pz } = b.points
          for (const share of [0, 0.5]) {
            const mm = share * b.kind.longMm
            const [dx, dy] = [b.x + mm * px - middle.x, b.y + mm * py - middle.y]
            const off = Math.hypot(dx, dy, b.z + mm * pz - middle.z)
            expect(off).toBeGreaterThan(Math.min(11, widthMm / 2))
          }
        }
        for (const { x, y, z, kind, rank } of bodies)
          if (rank >= 0)
            // 0.35 of a radius may reach over its edge
            expect(Math.hypot(x - middle.x, y - middle.y, z - middle.z)).toBeGreaterThan(
              Math.min(11, widthMm / 2) + 0.6 * kind.r,
            )
      }),
      { numRuns: 12 },
    )
  })

  it('leaves are tucked under a flower, point away from it, and go with it', () => {
    const { bodies, layout } = place(cake, { schoolId: 'fall' })
    const leaves = bodies.filter((b) => b.rank < 0)
    expect(leaves.length).toBeGreaterThan(2)
    for (const leafBody of leaves) {
      const site = layout.sites.find((s) => s.id === leafBody.siteId)!
      const host = bodies.find((b) => b.siteId === site.hostId)!
      const { px, py, pz } = leafBody.points
      const away = [leafBody.x - host.x, leafBody.y - host.y, leafBody.z - host.z] as const
      // along its own stretch of surface: over an edge the way bends
      const up = away[0] * leafBody.nx + away[1] * leafBody.ny + away[2] * leafBody.nz
      const along = px * away[0] + py * away[1] + pz * away[2]
      expect(along).toBeGreaterThan(0.99 * Math.sqrt(Math.hypot(...away) ** 2 - up ** 2))
      expect(Math.hypot(...away)).toBeLessThan(host.kind.r + leafBody.kind.longMm)
    }
  })
})

describe('what is bare', () => {
  it('is the largest circle that is clear of everything and inside the ground', () => {
    const chart = chartOf({ kind: 'cookie', diameterMm: 100 })
    const kinds = [flower('f', 20, 5)]
    const ground = groundFor(chart, [flower('g', 4, 4)], emptyLayout({ schoolId: 'dome' }))
    const whole = bareSpots(ground, [], 5)[0]!.diameterMm
    expect(whole).toBeGreaterThan(97)
    expect(whole).toBeLessThanOrEqual(100)
    // one of 40 mm in the middle: a ring 30 mm wide is left
    const [middle] = bodiesOf(chart, kinds, [
      {
        ...{ id: 's', placedId: 'f', turnDeg: 0, leanDeg: 0, pinned: false, role: 'focal', hostId: null },
        ...{ groupId: null, place: { zone: 'top', tier: 0, from: 'middle', a: 0, b: 0 } },
      },
    ])
    const [spot] = bareSpots(ground, [middle!], 5)
    expect(spot!.diameterMm).toBeGreaterThan(28.5)
    expect(spot!.diameterMm).toBeLessThanOrEqual(30)
    expect(coveredShare(ground, [middle!])).toBeCloseTo(0.16, 1)
  })
  it('leans by the weight of its flowers: one of twice the width counts four times', () => {
    const at = (x: number, r: number) => {
      const body = new Body(flower('f', r, 5), 0, 2, { face: 0, a: 0, b: 0 })
      body.x = x
      return body
    }
    expect(leanOf([at(30, 10), at(-30, 20)])).toEqual({ x: -18, y: 0 })
    expect(leanOf([])).toEqual({ x: 0, y: 0 })
  })
  it('a leaf covers a strip, not a circle', () => {
    const chart = chartOf({ kind: 'cookie', diameterMm: 100 })
    const strip = new Body(leaf('l', 40, 10), 0, -1, { face: 0, a: 0, b: 0 })
    strip.put(chart, { face: 0, a: 0, b: 0 })
    const ground = groundFor(chart, [flower('g', 4, 4)], emptyLayout({ schoolId: 'dome' }))
    // 30 by 10 mm and two half circles of 5 mm
    expect(coveredShare(ground, [strip]) * Math.PI * 2500).toBeCloseTo(300 + Math.PI * 25, -2)
  })
})
