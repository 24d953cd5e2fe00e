import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFaults } from '../model/faults.ts'
import { type Line, layoutSchema } from '../model/layout.ts'
import { type Order, orderSchema } from '../model/order.ts'
import { retippedLayouts, tipsOfLayouts } from '../model/retip.ts'
import { respread } from '../model/spreads.ts'
import { moveBy, turnWhole } from '../placing/byHand.ts'
import { alongLine, borderOnLine, lineMm, linePoints, unitsOnLine } from '../placing/onLine.ts'
import { flower, leaf } from '../placing/testing.ts'
import { planOrder } from '../plan/index.ts'
import type { Place } from '../surfaces/chart.ts'
import { chartOf } from '../surfaces/index.ts'
import { borderAlong, growSpray, removeLine } from './lines.ts'

const sheet = { kind: 'sheet' as const, lengthMm: 400, widthMm: 300, heightMm: 60 }
const chart = chartOf(sheet)
/** A place on the sheet, mm from its middle. */
const at = (x: number, y: number): Place => ({ zone: 'top', tier: 0, from: 'middle', a: x / 200, b: y / 150 })
const spray = (more: Partial<Extract<Line, { kind: 'spray' }>> = {}): Extract<Line, { kind: 'spray' }> => ({
  ...{ id: 'stem', kind: 'spray', path: [at(-90, 0), at(90, 0)], tipId: 'round-2', colourId: 'green' },
  ...{ stiffness: 'soft', leafId: 'l', budId: 'b', ...more },
})
const kinds = [{ ...flower('b', 6, 6), flowerId: 'rose-bud' }, leaf('l', 20, 8)]
const order = (): Order =>
  orderSchema.parse({
    ...{ id: 'o', title: 'Lines', collectAt: '2026-12-01T10:00', icingKindId: 'butter-sugar' },
    colours: [{ id: 'green', name: 'Green', hex: '#6f8a4a' }],
    pieces: [
      {
        ...{ id: 'p', name: 'Sheet', count: 2, shape: sheet },
        flowers: [
          { id: 'b', flowerId: 'rose-bud', placement: { kind: 'each', perPiece: 1 }, sizeMm: 12 },
          { id: 'l', flowerId: 'leaf', placement: { kind: 'each', perPiece: 1 }, sizeMm: 20 },
          { id: 'beads', flowerId: 'bead-border', placement: { kind: 'border', edge: 'foot', tier: 0 } },
        ],
        layouts: [layoutSchema.parse({ id: 'a', schoolId: 'path' })],
      },
    ],
  })
const counting = () => {
  let n = 0
  return () => `n-${++n}`
}
const grown = (line = spray()) => growSpray(order(), 'p', 'a', line, kinds, counting())

describe('a line on a surface', () => {
  it('is as long as it is, over an edge too', () => {
    expect(lineMm(linePoints(chart, { path: [at(-90, 0), at(90, 0)] }))).toBeCloseTo(180, 6)
    const over: Place = { zone: 'side', tier: 0, from: 'foot', a: 20, b: 0 }
    const points = linePoints(chart, { path: [{ ...at(0, 0) }, over] })
    // never through the cake
    for (const p of points) expect(p.z === 60 || Math.abs(p.x) >= 199.9 || Math.abs(p.y) >= 149.9).toBe(true)
    const half = alongLine(linePoints(chart, { path: [at(-90, 0), at(90, 0)] }), 45)
    expect([half.x, half.y, half.tx]).toEqual([
      expect.closeTo(-45, 6),
      expect.closeTo(0, 9),
      expect.closeTo(1, 9),
    ])
  })

  it('takes a border with a unit at each end and even steps between', () => {
    const points = linePoints(chart, { path: [at(-90, 0), at(90, 0)] })
    // 180 mm at 8 is 22.5 steps: 23, so 24 units
    expect(unitsOnLine(180, 8)).toBe(24)
    const units = borderOnLine(points, 8)
    expect(units).toHaveLength(24)
    expect(units[0]!.x).toBeCloseTo(-90, 6)
    expect(units.at(-1)!.x).toBeCloseTo(90, 6)
    expect(units[1]!.x - units[0]!.x).toBeCloseTo(180 / 23, 6)
  })
})

describe('a spray', () => {
  it('has leaves to either side in turn, pointing onward, and buds that shrink to its tip', () => {
    const { flowers, layouts } = grown().pieces[0]!
    const sites = layouts[0]!.sites
    const where = (s: (typeof sites)[number]) => chart.point(chart.read(s.place))
    const leaves = sites.filter((s) => s.role === 'leaf')
    expect(leaves.length).toBeGreaterThan(9)
    leaves.forEach((s, i) => {
      expect(Math.sign(where(s).y)).toBe(i % 2 === 0 ? 1 : -1)
      const p = where(s)
      const turn = (s.turnDeg * Math.PI) / 180
      // pointing onward: to the right
      const [c, sn] = [Math.cos(turn), Math.sin(turn)]
      expect(c * p.ox + sn * (p.ny * p.oz - p.nz * p.oy)).toBeGreaterThan(0.4)
    })
    // the leaf's root is on the stem
    const [first] = leaves
    expect(Math.abs(where(first!).y)).toBeCloseTo(10 * Math.sin(0.95), 1)
    const sizeOf = (id: string) => flowers.find((f) => f.id === id)!.sizeMm!
    const buds = sites.filter((s) => s.role === 'bud').sort((p, q) => where(p).x - where(q).x)
    const sizes = buds.map((s) => sizeOf(s.placedId))
    expect(sizes).toEqual([...sizes].sort((p, q) => q - p))
    expect([...new Set(sizes)]).toEqual([12, 9.5, 7.5])
    expect(where(buds.at(-1)!).x).toBeCloseTo(90, 1)
  })

  it('is counted in the plan: its buds and leaves by their places, its stem by its length', () => {
    const made = grown()
    expect(orderFaults(made, starterWorkshop)).toEqual([])
    const plan = planOrder(made, starterWorkshop)
    const stem = plan.uses.find((u) => u.layerName === 'Stem')!
    const density = starterWorkshop.icings.find((i) => i.id === 'butter-sugar')!.density
    // a rope of 2 mm, 180 long, on two sheets
    expect(stem.parts[0]!.piped).toBeCloseTo((2 * 180 * Math.PI * density) / 1000, 6)
    expect(stem.form).toBe('vine')
    const leaves = made.pieces[0]!.layouts[0]!.sites.filter((s) => s.role === 'leaf').length
    expect(plan.uses.find((u) => u.placedId === 'l')!.flowers).toBe(2 * leaves)
    // it is piped before what stands over it
    const steps = plan.sequence.map((s) => s.useIds[0] ?? '')
    expect(steps.indexOf(stem.id)).toBeLessThan(steps.findIndex((id) => id.startsWith('p.l')))
  })

  it('takes on another colour and another tip when these are exchanged everywhere', () => {
    const [piece] = grown().pieces
    const to = (id: string) => (id === 'green' ? 'moss' : id)
    expect(respread(piece!, to).layouts[0]!.lines[0]).toMatchObject({ colourId: 'moss' })
    expect(tipsOfLayouts(piece!)).toEqual(['round-2'])
    expect(retippedLayouts(piece!, () => 'round-3')[0]!.lines[0]).toMatchObject({ tipId: 'round-3' })
  })

  it('is grown anew in place of what it was, and goes with all that grows along it', () => {
    const newId = counting()
    const bare = growSpray(grown(), 'p', 'a', spray({ budId: null }), kinds, newId)
    const [layout] = bare.pieces[0]!.layouts
    expect(layout!.lines).toHaveLength(1)
    expect(layout!.sites.some((s) => s.role === 'bud')).toBe(false)
    expect(removeLine(bare, 'p', 'a', 'stem').pieces[0]!.layouts[0]).toMatchObject({ lines: [], sites: [] })
  })

  it('moves as one, its stem with it, and turns with all the rest', () => {
    const layout = grown().pieces[0]!.layouts[0]!
    const hand = { chart, kinds, layout }
    const moved = moveBy(hand, new Set([layout.sites[0]!.id]), { x: 10, y: 30, z: 0 })
    const [from, to] = [layout, moved].map((l) => linePoints(chart, l.lines[0]!)[0]!)
    expect([to!.x - from!.x, to!.y - from!.y]).toEqual([expect.closeTo(10, 3), expect.closeTo(30, 3)])
    const turned = linePoints(chart, turnWhole(hand, 90).lines[0]!)
    expect([turned[0]!.x, turned[0]!.y]).toEqual([expect.closeTo(0, 3), expect.closeTo(-90, 3)])
  })
})

describe('a border along a line', () => {
  it('is put on once more beside the one that runs round an edge, counted by its lines, and goes with the last', () => {
    const newId = counting()
    const path = [at(-90, 0), at(90, 0)]
    const twice = borderAlong(
      borderAlong(order(), 'p', 'a', 'beads', path, newId),
      'p',
      'a',
      'beads',
      path,
      newId,
    )
    const [piece] = twice.pieces
    const lined = piece!.flowers.filter((f) => f.placement.kind === 'line')
    expect(lined).toHaveLength(1)
    expect(orderFaults(twice, starterWorkshop)).toEqual([])
    const plan = planOrder(twice, starterWorkshop)
    const units = plan.uses.find((u) => u.placedId === lined[0]!.id)!.flowers
    const round = plan.uses.find((u) => u.placedId === 'beads')!.flowers
    // 180 mm twice and 1,400 mm once, at one pitch
    expect((units / 2 - 2) / (round / 2)).toBeCloseTo(360 / 1400, 1)
    const ids = piece!.layouts[0]!.lines.map((l) => l.id)
    const none = ids.reduce((o, id) => removeLine(o, 'p', 'a', id), twice)
    expect(none.pieces[0]!.flowers.map((f) => f.id)).toEqual(['b', 'l', 'beads'])
  })
})
