import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { supportPages } from '../guides/supportGuide.ts'
import { type Order, orderSchema } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { newOrder } from '../orders/new.ts'
import { planOrder } from './index.ts'
import { allIn } from './testing.ts'

const tier = (id: string, diameterMm: number, heightMm: number, coveredMm = 0, more: object = {}) => ({
  ...{ id, name: id, count: 1, flowers: [] },
  shape: { kind: 'tier', diameterMm, heightMm, coveredMm },
  ...more,
})
const order = (pieces: object[], more: object = {}): Order =>
  orderSchema.parse({
    ...newOrder('o', 'Cakes', '2026-12-01T10:00', 'butter-sugar'),
    colours: [{ id: 'c', name: 'Cream', hex: '#efe6cd' }],
    pieces,
    ...more,
  })
const cakesOf = (of: Order, settings: Partial<Workshop['settings']> = {}) =>
  planOrder(of, { ...starterWorkshop, settings: { ...starterWorkshop.settings, ...settings } }).cakes
const litres = (diameterMm: number, heightMm: number) => (Math.PI * (diameterMm / 2) ** 2 * heightMm) / 1e6

describe('what a cake weighs', () => {
  it('its volume, what is spread on it, and what is piped on it, each once', () => {
    const [bare] = cakesOf(order([tier('t', 150, 100)]))
    expect(bare!.grams).toBeCloseTo(550 * litres(150, 100), 6)
    const coat = { colourId: 'c', thicknessMm: 4, stiffness: 'medium' }
    const dressed = order([tier('t', 150, 100, 0, { coat, filling: { ...coat, layers: 2 }, count: 3 })])
    const { cakes, uses } = planOrder(dressed, starterWorkshop)
    const icing = uses.reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
    // a tier of 150 by 100 mm with a coat of 4 mm and two fillings: a kilogram of cake and 0.4 kg of icing
    expect(cakes[0]!.grams).toBeCloseTo(550 * litres(150, 100) + icing / 3, 6)
    expect(cakes[0]!.grams).toBeGreaterThan(1300)
    expect(cakes[0]!.grams).toBeLessThan(1450)
  })
})

describe('the top of a tier that another stands on', () => {
  it('is coated as the bakery does it: not at all, by the crumb coat, or by both', () => {
    const coat = { colourId: 'c', thicknessMm: 4, stiffness: 'medium' }
    const lower = tier('low', 220, 100, 150, { coat, crumbCoat: { ...coat, thicknessMm: 1 } })
    const grams = (underUpper: Workshop['settings']['underUpper']) => {
      const settings = { ...starterWorkshop.settings, underUpper }
      const { uses } = planOrder(order([lower]), { ...starterWorkshop, settings })
      return ['crumb-coat', 'coat'].map((id) => uses.find((u) => u.id === `low.${id}`)!.parts[0]!.piped)
    }
    const { density } = starterWorkshop.icings.find((i) => i.id === 'butter-sugar')!
    const covered = (Math.PI * 75 ** 2 * density) / 1000
    const [none, crumb, full] = [grams('none'), grams('crumb'), grams('full')] as [
      number[],
      number[],
      number[],
    ]
    expect(crumb[0]! - none[0]!).toBeCloseTo(covered, 6)
    expect(crumb[1]).toBeCloseTo(none[1]!, 9)
    expect(full[0]).toBeCloseTo(crumb[0]!, 9)
    expect(full[1]! - crumb[1]!).toBeCloseTo(4 * covered, 6)
  })
})

describe('what holds it up', () => {
  const two = (lowMm: number, topMm: number, more: object = {}) =>
    cakesOf(order([tier('low', lowMm, 110, topMm), tier('top', topMm, 100)], more))[0]!

  it('supports by the diameter above: four under 150 mm, five under 200, six under 250, seven under 300', () => {
    const counts = [150, 200, 250, 300].map((mm) => two(400, mm).tiers[0]!.supports!.count)
    expect(counts).toEqual([4, 5, 6, 7])
    const { supports } = two(220, 150).tiers[0]!
    // on seven tenths of the upper radius, as long as the lower tier is high
    expect(supports).toEqual({ count: 4, ringMm: 52.5, lengthMm: 110 })
    expect(two(220, 150).tiers[1]!.supports).toBeNull()
  })

  it('supports by the weight above, of all tiers that it carries', () => {
    const three = [tier('low', 300, 100, 220), tier('middle', 220, 150, 150), tier('top', 150, 150)]
    const [cake] = cakesOf(order(three))
    const above = 0.55 * (litres(220, 150) + litres(150, 150))
    expect(above).toBeGreaterThan(4)
    expect(cake!.tiers[0]!.supports!.count).toBe(Math.max(5, Math.ceil(above)))
    expect(cakesOf(order(three), { supportKg: 0.5 })[0]!.tiers[0]!.supports!.count).toBe(Math.ceil(2 * above))
    expect(cakesOf(order(three), { leastSupports: 9 })[0]!.tiers[0]!.supports!.count).toBe(9)
  })

  it('a board under every tier but the lowest, thicker where it is wide or carries much', () => {
    const boards = (lowMm: number, topMm: number) =>
      two(lowMm, topMm).tiers.map((t) => t.board?.thickMm ?? null)
    expect(boards(220, 150)).toEqual([null, 3])
    expect(boards(400, 220)).toEqual([null, 5])
    // 300 mm of 100 mm weighs 3.9 kg, 320 mm is too wide for the middle board
    expect(boards(400, 300)).toEqual([null, 5])
    expect(boards(400, 320)).toEqual([null, 12])
  })

  it('a base board with room around it, and a box over all of it', () => {
    expect(two(220, 150).base).toEqual({ diameterMm: 320, thickMm: 12 })
    expect(two(220, 150).box).toEqual({ sideMm: 320, highMm: 12 + 110 + 100 + 20 })
  })

  it('a box over the coat and what stands highest on the top tier, as it is piled', () => {
    const rose = { id: 'f', placement: { kind: 'each', perPiece: 3 }, ...allIn('rose', 'c') }
    const coat = { colourId: 'c', thicknessMm: 4, stiffness: 'medium' }
    const [cake] = cakesOf(
      order([
        tier('low', 220, 100, 150, { flowers: [rose] }),
        tier('top', 150, 90, 0, { coat, flowers: [rose] }),
      ]),
    )
    // a rose is 23.8 mm high, by the library's table
    expect(cake!.box.highMm).toBeCloseTo(12 + 100 + 90 + 4 + 23.76 + 20, 0)
  })

  it('a rod from three tiers on, on a wide one, or where it goes by road', () => {
    expect(two(220, 150).rod).toBe(false)
    expect(two(220, 150, { travel: 'delivered' }).rod).toBe(true)
    expect(two(301, 150).rod).toBe(true)
    expect(cakesOf(order([tier('t', 150, 100)], { travel: 'delivered' }))[0]!.rod).toBe(false)
    const three = [tier('low', 250, 100, 200), tier('middle', 200, 100, 150), tier('top', 150, 100)]
    expect(cakesOf(order(three))[0]!.rod).toBe(true)
  })
})

describe('the push-in template', () => {
  const guide = { name: 'top <1>', count: 5, lengthMm: 100 }
  const centres = (page: string) =>
    [...page.matchAll(/<circle cx="([-\d.]+)" cy="([-\d.]+)" r="2.5"/g)].map((m) => [
      Number(m[1]),
      Number(m[2]),
    ])
  const apart = ([a, b]: number[][]) => Math.hypot(a![0]! - b![0]!, a![1]! - b![1]!)

  it('has every support on its ring at true size, and says what it is for', () => {
    const [page] = supportPages([{ ...guide, aboveMm: 150, ringMm: 52.5 }], 'Supports')
    const [middle, ...supports] = centres(page!)
    expect(supports).toHaveLength(5)
    for (const support of supports) expect(apart([middle!, support])).toBeCloseTo(52.5, 1)
    // neighbours on a ring of five: 2 r sin 36°
    expect(apart([supports[0]!, supports[1]!])).toBeCloseTo(2 * 52.5 * Math.sin(Math.PI / 5), 1)
    expect(page).toContain('under top &lt;1&gt;')
    expect(page).toContain('5 supports, 100 mm, cut level')
  })

  it('is the part between two supports where the whole is wider than a page', () => {
    for (const [aboveMm, count] of [
      [181, 5],
      [300, 7],
      [590, 14],
    ] as const) {
      const ringMm = 0.35 * aboveMm
      const [page] = supportPages([{ ...guide, count, aboveMm, ringMm }], 'Supports')
      const [middle, left, right] = centres(page!)
      for (const support of [left!, right!]) expect(apart([middle!, support])).toBeCloseTo(ringMm, 1)
      expect(apart([left!, right!])).toBeCloseTo(2 * ringMm * Math.sin(Math.PI / count), 1)
    }
    // four under 500 mm are further apart than a page is wide: one of them, and by how much to turn
    const [spoke] = supportPages([{ ...guide, count: 4, aboveMm: 500, ringMm: 175 }], 'Supports')
    expect(apart(centres(spoke!))).toBeCloseTo(175, 1)
    expect(spoke).toContain('by 90° each time')
  })
})
