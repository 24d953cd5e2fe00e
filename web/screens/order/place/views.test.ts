import { describe, expect, it } from 'vitest'
import { chartOf } from '#core/surfaces/index'
import { letter } from '#core/words/letter'
import { linesOn } from '#core/words/onPiece'
import { viewFromAbove, viewUnrolled } from './views.ts'

const cake = chartOf({
  kind: 'cake',
  tiers: [
    { diameterMm: 220, heightMm: 100 },
    { diameterMm: 150, heightMm: 100 },
  ],
  coveredMm: 0,
})
const close = (a: { x: number; y: number }, b: { x: number; y: number }) =>
  expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(0.01)

describe('the side of a heart laid flat', () => {
  const heart = chartOf({ kind: 'heart', widthMm: 220, heightMm: 70 })
  const view = viewUnrolled(heart, 400, 250, 0)
  it('has its top above its side and its foot at the foot of the picture, also where it runs to a point', () => {
    const [top, side] = heart.bands as [(typeof heart.bands)[number], (typeof heart.bands)[number]]
    expect(view.downPx(side.toMm)).toBeCloseTo(250, 6)
    expect(view.downPx(side.fromMm)).toBeCloseTo(view.downPx(top.toMm), 9)
    expect(view.downPx(top.fromMm)).toBeLessThanOrEqual(0)
  })
  it('takes a press deep in its point to what there is of cake', () => {
    for (let x = 20; x < 400; x += 20)
      for (const y of [2, 30, 60]) {
        const p = heart.point(view.toSpot(x, y, heart.under(0, 0)))
        const there = heart.under(p.x, p.y)
        expect(Math.hypot(heart.point(there).x - p.x, heart.point(there).y - p.y)).toBeLessThan(1e-6)
      }
  })
})

describe('a piece from above', () => {
  const view = viewFromAbove(cake, 242, 300)
  it('is to scale, its middle in the middle, its front at the foot of the picture', () => {
    // 220 mm and a tenth in 242 px
    expect(view.pxPerMm).toBeCloseTo(1, 9)
    close(view.toPx(cake.under(0, 0)), { x: 121, y: 150 })
    close(view.toPx(cake.under(30, -90)), { x: 151, y: 240 })
  })
  it('knows the plane that a picture beneath lies on, beside the piece too', () => {
    close(view.toPlane!(121, 150), { x: 0, y: 0 })
    close(view.toPlane!(121 + 120, 150 + 40), { x: 120, y: -40 })
    expect(viewUnrolled(cake, 300, 200, 0).toPlane).toBeNull()
  })
  it('takes a press to what is seen there, and what hangs on a side round with its side', () => {
    const ledge = view.toSpot(121 + 95, 150, cake.under(0, 0))
    expect(cake.zoneOf(ledge)).toEqual({ zone: 'top', tier: 0 })
    const hanging = cake.nearest(0, -75, 150)
    const round = cake.point(view.toSpot(121 + 200, 150, hanging))
    expect([round.x, round.y, round.z].map((v) => Math.round(v * 1000) / 1000 + 0)).toEqual([75, 0, 150])
  })
  it('foreshortens what leans away, but never to nothing', () => {
    expect(view.pose(cake.point(cake.under(20, 0)))).toEqual({ deg: 0, squeeze: 1 })
    const side = view.pose(cake.point(cake.nearest(0, -110, 50)))
    expect(side.deg).toBeCloseTo(-90, 6)
    expect(side.squeeze).toBeGreaterThan(0.2)
  })
})

describe('its sides laid flat', () => {
  const view = viewUnrolled(cake, 400, 260, 0)
  it('have the foot at the foot, what is looked at in the middle, and right at the right', () => {
    const foot = view.toPx(cake.nearest(0, -110, 0))
    close(foot, { x: 200, y: 260 })
    expect(view.toPx(cake.nearest(50, -98, 50)).x).toBeGreaterThan(240)
    // looked at from the right, what is at the right is in the middle
    close(viewUnrolled(cake, 400, 260, Math.PI / 2).toPx(cake.nearest(110, 0, 0)), { x: 200, y: 260 })
  })
  it('are pressed where they are seen', () => {
    for (const [x, y] of [
      [200, 250],
      [80, 120],
      [330, 190],
    ] as const)
      close(view.toPx(view.toSpot(x, y, cake.under(0, 0))), { x, y })
  })
  it('show words whole, in two parts where the picture is cut, and not those of a top', () => {
    const { lines } = letter({ text: 'light', faceId: 'print', capitalMm: 14, arcMm: 0 }, 2)
    const at = (place: { zone: 'side' | 'top'; a: number; b: number }) =>
      linesOn(
        cake,
        { place: { tier: 0, from: place.zone === 'side' ? 'foot' : 'rim', ...place }, turnDeg: 0 },
        lines,
      )
    const longest = (runs: { x: number }[][]) =>
      Math.max(...runs.map((run) => Math.max(...run.map((p) => p.x)) - Math.min(...run.map((p) => p.x))))
    const front = at({ zone: 'side', a: 50, b: -90 }).flatMap(view.trace)
    expect(front).toHaveLength(lines.length)
    // the back of the cake is where the picture is cut: no line may run all across it
    const back = at({ zone: 'side', a: 50, b: 90 }).flatMap(view.trace)
    expect(back.length).toBeGreaterThanOrEqual(lines.length)
    expect(longest(back)).toBeLessThan(30)
    expect(at({ zone: 'top', a: 15, b: 90 }).flatMap(view.trace)).toEqual([])
    expect(at({ zone: 'top', a: 15, b: 90 }).flatMap(viewFromAbove(cake, 242, 300).trace)).toHaveLength(
      lines.length,
    )
  })
})
