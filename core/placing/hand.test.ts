import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFaults } from '../model/faults.ts'
import type { Layout, Site } from '../model/layout.ts'
import { resizeSites, takeOff } from '../model/onPiece.ts'
import { type Order, orderSchema } from '../model/order.ts'
import { newOrder } from '../orders/new.ts'
import { planFigures, planOrder } from '../plan/index.ts'
import { applyRemedy } from '../plan/remedies.ts'
import { allIn } from '../plan/testing.ts'
import { chartOf, type Surface } from '../surfaces/index.ts'
import { overlapMm } from './body.ts'
import * as byHand from './byHand.ts'
import type { Finding } from './findings/finding.ts'
import { judge } from './judge.ts'
import { bodiesOf, groundFor, placed } from './place.ts'
import { remedied } from './remedies.ts'
import { counting, emptyLayout, flower, mixFor, someOfEach } from './testing.ts'

const cookie: Surface = { kind: 'cookie', diameterMm: 120 }
const cake: Surface = {
  kind: 'cake',
  tiers: [
    { diameterMm: 220, heightMm: 100 },
    { diameterMm: 150, heightMm: 100 },
  ],
  coveredMm: 0,
}
const kinds = [
  flower('large', 20, 10),
  flower('other', 18, 8),
  flower('small', 8, 6),
  flower('tall', 15, 40, { mayHang: false }),
]
const site = (id: string, placedId: string, x: number, y: number, more: Partial<Site> = {}): Site => ({
  ...{ id, placedId, turnDeg: 0, leanDeg: 0, pinned: false, role: 'focal', hostId: null, groupId: null },
  place: { zone: 'top', tier: 0, from: 'middle', a: Math.hypot(x, y), b: (Math.atan2(y, x) * 180) / Math.PI },
  ...more,
})
const on = (shape: Surface, sites: Site[], more: Partial<Layout> = {}) => ({
  chart: chartOf(shape),
  kinds,
  layout: { ...emptyLayout({ schoolId: 'dome', ...more }), sites },
})
type Hand = ReturnType<typeof on>
const xy = (hand: Pick<Hand, 'chart'>, layout: Layout, id: string) => {
  const { x, y, z } = hand.chart.point(hand.chart.read(layout.sites.find((s) => s.id === id)!.place))
  return [x, y, z].map((v) => Math.round(v * 100) / 100 + 0)
}
const judged = (hand: Hand, layout = hand.layout): Finding[] =>
  judge({
    ...hand,
    layout,
    ground: groundFor(hand.chart, kinds, layout),
    bodies: bodiesOf(hand.chart, kinds, layout.sites),
    lidMm: null,
    nameOf: (id) => id,
    length: (mm) => `${mm.toFixed(1)} mm`,
  })
const underLid = (hand: Hand, lidMm: number): Finding[] =>
  judge({
    ...hand,
    ground: groundFor(hand.chart, kinds, hand.layout),
    bodies: bodiesOf(hand.chart, kinds, hand.layout.sites),
    ...{ lidMm, nameOf: (id) => id, length: (mm) => `${mm.toFixed(1)} mm` },
  }).filter((f) => f.key.startsWith('lid'))
const said = (hand: Hand, start: string) => judged(hand).find((f) => f.words.startsWith(start))

describe('a flower that is dragged', () => {
  const hand = on(cookie, [site('a', 'large', -30, 0), site('b', 'other', 20, 0), site('c', 'small', 20, 45)])

  it('stands where it was put; what is in its way gives way; what is not stays to the last digit', () => {
    const layout = byHand.moveTo(hand, new Set(['a']), 'a', hand.chart.nearest(5, 0, 0))
    expect(xy(hand, layout, 'a')).toEqual([5, 0, 0])
    const [a, b] = bodiesOf(hand.chart, kinds, layout.sites)
    expect(overlapMm(a!, b!)).toBeLessThan(1.2)
    expect(xy(hand, layout, 'b')[0]).toBeGreaterThan(30)
    expect(layout.sites[2]!.place).toEqual(hand.layout.sites[2]!.place)
  })

  it('over and over stands where it was put, whatever it is dragged over', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 40 }), fc.integer({ min: -40, max: 40 }), (x, y) => {
        const spot = hand.chart.nearest(x, y, 0)
        const at = hand.chart.point(spot)
        const layout = byHand.moveTo(hand, new Set(['b']), 'b', spot)
        const [bx, by] = xy(hand, layout, 'b')
        expect(Math.hypot(bx! - at.x, by! - at.y)).toBeLessThan(0.02)
      }),
      { numRuns: 60 },
    )
  })

  it('takes its group along, and the leaves that are tucked under it; a pin gives way to nobody', () => {
    const tied = on(cookie, [
      site('a', 'large', -30, 0, { groupId: 'g' }),
      site('b', 'small', -30, 30, { groupId: 'g' }),
      site('l', 'small', -50, 0, { hostId: 'a', role: 'leaf' }),
      site('p', 'other', 30, 0, { pinned: true }),
    ])
    const layout = byHand.moveBy(tied, new Set(['a']), { x: 20, y: 0, z: 0 })
    expect(['a', 'b', 'l', 'p'].map((id) => xy(tied, layout, id).slice(0, 2))).toEqual([
      [-10, 0],
      [-10, 30],
      [-30, 0],
      [30, 0],
    ])
  })

  it('over the edge of a cake goes down its side, and back', () => {
    const top = on(cake, [
      site('a', 'small', 0, -60, { place: { zone: 'top', tier: 1, from: 'rim', a: 15, b: -90 } }),
    ])
    const down = byHand.nudge(top, new Set(['a']), 0, 60)
    const place = down.sites[0]!.place
    expect([place.zone, place.tier]).toEqual(['side', 1])
    expect(xy(top, down, 'a')[1]).toBeCloseTo(-75, 0)
  })
})

describe('by hand', () => {
  const hand = on(cookie, [site('a', 'large', -30, 10, { turnDeg: 30 }), site('b', 'other', 25, 0)])
  it('mirrored is on the other side and turned the other way, and twice is as it was', () => {
    const once = byHand.mirror(hand, new Set(['a', 'b']))
    expect(xy(hand, once, 'a')).toEqual([30, 10, 0])
    expect(once.sites[0]!.turnDeg).toBe(-30)
    const twice = byHand.mirror({ ...hand, layout: once }, new Set(['a', 'b']))
    expect(xy(hand, twice, 'a')).toEqual([-30, 10, 0])
  })
  it('a copy stands beside, is chosen in its place, and shares no id', () => {
    const { layout, ids } = byHand.duplicate(hand, new Set(['a']), counting())
    expect(layout.sites).toHaveLength(3)
    expect([...ids]).toEqual([layout.sites[2]!.id])
    expect(xy(hand, layout, 'a')).not.toEqual(xy(hand, layout, layout.sites[2]!.id))
  })
  it('what is rubbed out is gone, its leaves are under nothing', () => {
    const tied = on(cookie, [site('a', 'large', 0, 0), site('l', 'small', 20, 0, { hostId: 'a' })])
    expect(byHand.rubOut(tied.layout, new Set(['a'])).sites).toEqual([
      { ...tied.layout.sites[1], hostId: null },
    ])
  })
  it('a number that is typed is placed: more into the barest spots, fewer from the last, pins kept', () => {
    const ground = groundFor(hand.chart, kinds, hand.layout)
    const more = byHand.setNumber(hand, ground, 'small', 3, counting())
    expect(more.sites.filter((s) => s.placedId === 'small')).toHaveLength(3)
    const pinned = {
      ...more,
      sites: more.sites.map((s) => (s.placedId === 'small' ? { ...s, pinned: true } : s)),
    }
    expect(byHand.setNumber({ ...hand, layout: pinned }, ground, 'small', 0, counting()).sites).toHaveLength(
      5,
    )
    expect(byHand.setNumber({ ...hand, layout: more }, ground, 'small', 1, counting()).sites).toHaveLength(3)
  })
  it('the whole turned by a quarter takes what is at the back to the left', () => {
    const layout = byHand.turnWhole(on(cookie, [site('a', 'small', 0, 40)]), 90)
    expect(xy(hand, layout, 'a')).toEqual([-40, 0, 0])
  })
})

describe('what is said of a layout', () => {
  it('names what stands in what, by how much and where, and lets it give way', () => {
    const hand = on(cookie, [site('a', 'large', -5, 0), site('b', 'other', 25, 0)])
    const finding = said(hand, 'large and other stand 5.8 mm into each other')!
    expect(finding.words).toContain('at 3 o’clock')
    const after = remedied(hand, finding.remedies[0] as never, counting())
    expect(judged(hand, after).some((f) => f.words.includes('into each other'))).toBe(false)
  })
  it('tells a bare spot by its width and hour, with what fills it', () => {
    const hand = on(cookie, [
      site('a', 'large', -36, 0),
      site('b', 'large', 0, 36),
      site('c', 'other', 0, -38),
    ])
    const finding = judged(hand).find((f) => f.key.startsWith('bare'))!
    expect(finding.words).toMatch(/^Bare spot of 5\d\.\d mm, at 3 o’clock/)
    const after = remedied(hand, finding.remedies[0] as never, counting())
    expect(after.sites).toHaveLength(4)
    // "12 mm: nature leaves some too" comes after whatever wants a decision
    const all = judged(hand).map((f) => f.severity)
    expect(all).toEqual([...all].sort())
  })
  it('tells to which side it leans, and what is over the edge, too heavy, or touches a tier', () => {
    const leaning = on(cookie, [
      site('a', 'large', -30, 0),
      site('b', 'other', -30, 38),
      site('c', 'small', 20, 0),
    ])
    expect(said(leaning, 'Leans')!.words).toMatch(/Leans \d+\.\d mm to(wards)? (the left|10 o’clock)/)
    expect(said(on(cookie, [site('a', 'large', 55, 0)]), 'large hangs over by 15.0 mm, at 3')).toBeDefined()
    const side = { zone: 'side', tier: 0, from: 'rim', a: 50, b: -90 } as const
    expect(said(on(cake, [site('a', 'tall', 0, 0, { place: side })]), 'tall is too heavy')!.words).toContain(
      'side, lower tier, at 6 o’clock',
    )
    const ledge = { zone: 'top', tier: 0, from: 'joint', a: 5, b: 0 } as const
    expect(
      said(on(cake, [site('a', 'other', 0, 0, { place: ledge })]), 'other touches the tier above'),
    ).toBeDefined()
  })
  it('tells what touches the lid, by how much, for the height that the box leaves over the rim', () => {
    const flat = on(cookie, [site('a', 'tall', 0, 0), site('b', 'large', 30, 0)])
    expect(underLid(flat, 41)).toEqual([])
    const [found, ...others] = underLid(flat, 35)
    expect(others).toEqual([])
    expect(found!.words).toMatch(/^tall touches the lid of the box by 5\.0 mm/)
    expect(judged(flat).some((f) => f.key.startsWith('lid'))).toBe(false)
  })
  it('tells two of a kind and two opposite, and lets a person wave it off', () => {
    const twins = on(cookie, [
      site('a', 'large', -25, 0),
      site('b', 'large', 15, 0),
      site('c', 'other', 0, 40),
    ])
    const finding = said(twins, 'Two of a kind side by side: large')!
    expect(judged(twins, { ...twins.layout, waved: [finding.key] }).map((f) => f.key)).not.toContain(
      finding.key,
    )
    expect(
      said(on(cookie, [site('a', 'large', -40, 0), site('b', 'other', 40, 0)]), 'Two large ones'),
    ).toBeDefined()
  })
  it('says once that there is too much, and places as many as fit', () => {
    const chart = chartOf({ kind: 'cupcake', diameterMm: 65, domeMm: 8 })
    const mix = mixFor(65)
    const layout = placed(
      {
        chart,
        kinds: mix,
        numbers: new Map([...someOfEach].map(([id, n]) => [id, 4 * n])),
        layout: emptyLayout({ fullness: null }),
        newId: counting(),
      },
      false,
    )
    const findings = judge({
      ...{ chart, kinds: mix, layout, ground: groundFor(chart, mix, layout) },
      ...{
        bodies: bodiesOf(chart, mix, layout.sites),
        nameOf: (id: string) => id,
        length: String,
        lidMm: null,
      },
    })
    expect(findings[0]).toMatchObject({ key: 'crowded', remedies: [{ kind: 'fit' }] })
    expect(findings.filter((f) => f.key.startsWith('into'))).toEqual([])
  })
})

describe('what follows from places', () => {
  const order = (layouts: object[], count = 1): Order =>
    orderSchema.parse({
      ...newOrder('o', 'Placed', '2026-12-01T10:00', 'butter-sugar'),
      colours: [{ id: 'c', name: 'Cream', hex: '#efe6cd' }],
      pieces: [
        {
          ...{ id: 'p', name: 'Cake', count, layouts },
          shape: cake,
          flowers: [
            { id: 'f', placement: { kind: 'each', perPiece: 2 }, ...allIn('rose', 'c') },
            { id: 'g', placement: { kind: 'each', perPiece: 2 }, ...allIn('leaf', 'c') },
          ],
        },
      ],
    })
  const withSites = (...ids: string[]) =>
    emptyLayout({ sites: ids.map((placedId, i) => site(`s${i}`, placedId, 10 * i, 0)) })
  const counts = (of: Order) => {
    const { uses } = planFigures(of, starterWorkshop)
    return ['f', 'g'].map((id) => uses.find((u) => u.placedId === id)?.flowers ?? 0)
  }
  it('are the numbers of flowers, over all arrangements; grams are the sum over the places', () => {
    expect(counts(order([]))).toEqual([2, 2])
    expect(counts(order([withSites('f', 'f', 'f')]))).toEqual([3, 0])
    // 18 in three arrangements: six each; 20: seven, seven, six
    const three = [withSites('f'), { ...withSites('f', 'g'), id: 'm' }, { ...withSites('g', 'g'), id: 'n' }]
    expect(counts(order(three, 18))).toEqual([12, 18])
    expect(counts(order(three, 20))).toEqual([14, 7 + 12])
    const grams = (of: Order) =>
      planFigures(of, starterWorkshop).uses.reduce(
        (sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0),
        0,
      )
    expect(grams(order([withSites('f', 'f', 'g')]))).toBeCloseTo(
      2 * grams(order([withSites('f')])) + grams(order([withSites('g')])),
      6,
    )
  })
  it('some in another size are another flower of the piece; all of them are that flower in another size', () => {
    const start = order([withSites('f', 'f')])
    const some = resizeSites(start, 'p', 'l', new Set(['s0']), 25, counting())
    expect(some.pieces[0]!.flowers.map((f) => f.sizeMm)).toEqual([null, 25, null])
    expect(orderSchema.safeParse(some).success).toBe(true)
    // the other one too: they are one flower again
    const all = resizeSites(some, 'p', 'l', new Set(['s1']), 25, counting())
    expect(all.pieces[0]!.flowers.map((f) => f.sizeMm)).toEqual([25, null])
    expect(new Set(all.pieces[0]!.layouts[0]!.sites.map((s) => s.placedId)).size).toBe(1)
  })
  it('a flower that has no place is not piped, and is told; taken off, its places and nothing else go', () => {
    const start = order([withSites('f', 'f')])
    const plan = planOrder(start, starterWorkshop)
    const told = plan.advice.find((a) => a.code === 'not-placed')!
    expect(told.message).toContain('has no place on Cake')
    const without = applyRemedy(start, told.remedy!.change, plan)
    expect(without.pieces[0]!.flowers.map((f) => f.id)).toEqual(['f'])
    expect(planOrder(without, starterWorkshop).advice.map((a) => a.code)).not.toContain('not-placed')
    const bare = takeOff(start, 'p', 'f').pieces[0]!
    expect([bare.flowers.length, bare.layouts[0]!.sites.length]).toEqual([1, 0])
  })
  it('a place of a flower that is not there is refused, by its field', () => {
    const [fault] = orderFaults(order([withSites('f', 'x')]), starterWorkshop)
    expect(fault!.path).toEqual(['pieces', 0, 'layouts', 0, 'sites', 1, 'placedId'])
  })
})
