import { describe, expect, it } from 'vitest'
import type { Layout, ToHide } from '../model/layout.ts'
import { chartOf, type Surface } from '../surfaces/index.ts'
import { judge } from './judge.ts'
import { bodiesOf, groundFor } from './place.ts'
import { remedied } from './remedies.ts'
import { bestTurn, leavesOver, seamPoints, showing, shownMm } from './seams.ts'
import { counting, emptyLayout, flower, leaf } from './testing.ts'

const cake: Surface = { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 0 }
const chart = chartOf(cake)
const kinds = [flower('f', 20, 8), leaf('leaf', 30, 12)]
const seam = (b: number): ToHide => ({
  ...{ id: 'h', kind: 'seam' },
  place: { zone: 'side', tier: 0, from: 'foot', a: 50, b },
})
/** Flowers of 40 mm one above the other at an angle, from rim to foot. */
const column = (b: number): Layout =>
  emptyLayout({
    sites: [8, 38, 68, 95].map((a, i) => ({
      ...{ id: `s${i}`, placedId: 'f', place: { zone: 'side', tier: 0, from: 'foot', a, b } },
      ...{ turnDeg: 0, leanDeg: 0, pinned: false, role: 'second', hostId: null, groupId: null },
    })),
  })
const standing = (layout: Layout) => bodiesOf(chart, kinds, layout.sites)
const findings = (layout: Layout) =>
  judge({
    ...{ chart, kinds, layout, ground: groundFor(chart, kinds, layout), bodies: standing(layout) },
    lidMm: null,
    ...{ nameOf: (id) => id, length: (mm) => `${Math.round(mm)} mm` },
  }).filter((f) => f.key.startsWith('seam'))

describe('the seam of a coat', () => {
  it('runs from rim to foot, and shows all along where nothing lies over it', () => {
    const points = seamPoints(chart, seam(-90))
    const zs = points.map((p) => p.z)
    // the edge above it is rounded off: the side is a little shorter than the cake is high
    expect(Math.max(...zs)).toBeGreaterThan(95)
    expect(Math.min(...zs)).toBeLessThan(3)
    for (const p of points) expect(Math.atan2(p.y, p.x)).toBeCloseTo(-Math.PI / 2, 6)
    expect(shownMm(showing(points, []))).toBeGreaterThan(95)
  })

  it('is hidden under a column of flowers, and only there', () => {
    const bodies = standing(column(-90))
    expect(shownMm(showing(seamPoints(chart, seam(-90)), bodies))).toBe(0)
    expect(shownMm(showing(seamPoints(chart, seam(0)), bodies))).toBeGreaterThan(95)
    // seen past a rim it is not hidden: 20 mm aside of 40 wide flowers
    const aside = (20 / (100 * Math.PI)) * 180
    expect(shownMm(showing(seamPoints(chart, seam(-90 + aside)), bodies))).toBeGreaterThan(80)
  })

  it('is turned under the flowers the shorter way', () => {
    const { deg, left } = bestTurn(chart, seam(-50), standing(column(-90)))
    expect(left).toEqual([])
    // 40° with the clock, less what a flower is wide: the smallest turn that does
    expect(deg).toBeLessThan(-28)
    expect(deg).toBeGreaterThanOrEqual(-40)
  })

  it('is told with its length, and goes when the tier is turned', () => {
    const layout = { ...column(-90), toHide: [seam(-50)] }
    const [told] = findings(layout)
    expect(told!.words).toMatch(/^(9\d|100) mm of the seam shows, side, at 5 o’clock$/)
    const [turn, lay] = told!.remedies
    expect(turn!.label).toMatch(/^Turn the tier \d+° with the clock$/)
    expect(lay!.label).toMatch(/^Lay \d leaves over it$/)
    const newId = counting()
    const turned = remedied({ chart, kinds, layout }, turn as never, newId)
    expect(findings(turned)).toEqual([])
    expect(turned.sites).toEqual(layout.sites)
    const laid = remedied({ chart, kinds, layout }, lay as never, newId)
    expect(laid.sites.length).toBeGreaterThan(layout.sites.length + 2)
    expect(findings(laid)).toEqual([])
  })

  it('needs as many leaves as are as long as it, less their ends', () => {
    const points = seamPoints(chart, seam(90))
    const leaves = leavesOver(points, 30)
    expect(leaves.length).toBeGreaterThanOrEqual(4)
    expect(leaves.length).toBeLessThanOrEqual(6)
  })

  it('of a swirl is one point, hidden by whatever lies on it', () => {
    const stop: ToHide = { ...seam(-90), kind: 'stop' }
    const bare = { ...emptyLayout({}), toHide: [stop] }
    expect(findings(bare)[0]!.words).toBe('The point where it stops shows, side, at 6 o’clock')
    expect(findings({ ...column(-90), toHide: [stop] })).toEqual([])
  })
})
