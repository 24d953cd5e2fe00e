import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFaults } from '../model/faults.ts'
import { layoutSchema } from '../model/layout.ts'
import { type Order, pieceSchema } from '../model/order.ts'
import { respread, spreadsOn } from '../model/spreads.ts'
import { planOrder } from '../plan/index.ts'
import { newOrder } from './new.ts'
import { addTier, type CakePiece, isCake, removeTier, setTier, tierLimits } from './tiers.ts'

const coat = (thicknessMm: number, colourId = 'c') => ({ colourId, thicknessMm, stiffness: 'medium' })
const border = (id: string, tier: number) => ({
  ...{ id, flowerId: 'bead-border', colours: { bead: 'c' } },
  placement: { kind: 'border', edge: 'foot', tier },
})
const site = (id: string, tier: number, hostId: string | null = null) => ({
  ...{ id, placedId: 'f', role: 'focal', hostId },
  place: { zone: 'side', tier, from: 'foot', a: 20, b: 0 },
})
const cake = (more: object = {}): CakePiece => {
  const piece = pieceSchema.parse({
    ...{ id: 'p', name: 'Cake', count: 1, coat: coat(4) },
    shape: {
      kind: 'cake',
      tiers: [300, 220, 150].map((diameterMm) => ({ diameterMm, heightMm: 100 })),
    },
    ...more,
  })
  if (!isCake(piece)) throw new Error('no cake')
  return piece
}
const order = (piece: object, colours = ['c']): Order =>
  ({
    ...newOrder('o', 'Cakes', '2026-12-01T10:00', 'butter-sugar'),
    colours: colours.map((id) => ({ id, name: id, hex: '#efe6cd', dyeIds: null })),
    pieces: [piece],
  }) as Order
const grams = (of: Order, id: string) =>
  planOrder(of, starterWorkshop).uses.find((u) => u.id === `p.${id}`)?.parts[0]?.piped

describe('the tiers of a cake', () => {
  it('are put on top, narrower by 60 mm but never than a tier can be, and changed within their neighbours', () => {
    const four = addTier(cake())
    expect(four.shape.tiers.map((t) => t.diameterMm)).toEqual([300, 220, 150, 90])
    expect(addTier(addTier(four)).shape.tiers.map((t) => t.diameterMm)).toEqual([300, 220, 150, 90, 60, 60])
    expect(setTier(cake(), 1, { heightMm: 120 }).shape.tiers.map((t) => t.heightMm)).toEqual([100, 120, 100])
    expect([0, 1, 2].map((i) => tierLimits(cake(), i))).toEqual([
      { leastMm: 220, mostMm: 600 },
      { leastMm: 150, mostMm: 300 },
      { leastMm: 60, mostMm: 220 },
    ])
  })

  it('take with them what is on them alone; what is above comes down', () => {
    const piece = cake({
      ownTiers: [
        { tier: 1, coat: coat(3) },
        { tier: 2, coat: coat(2) },
      ],
      flowers: [border('low', 0), border('middle', 1), border('top', 2)],
      layouts: [
        {
          ...{ id: 'l', schoolId: 'fall' },
          sites: [site('a', 0), site('b', 1), site('c', 2), site('d', 2, 'b')],
          path: [site('x', 0).place, site('y', 1).place, site('z', 2).place],
        },
      ],
    })
    const two = removeTier(piece, 1)
    expect(two.shape.tiers.map((t) => t.diameterMm)).toEqual([300, 150])
    expect(two.ownTiers.map((o) => [o.tier, o.coat!.thicknessMm])).toEqual([[1, 2]])
    expect(two.flowers.map((f) => [f.id, f.placement.kind === 'border' && f.placement.tier])).toEqual([
      ['low', 0],
      ['top', 1],
    ])
    const [layout] = two.layouts
    expect(layout!.sites.map((s) => [s.id, s.place.tier, s.hostId])).toEqual([
      ['a', 0, null],
      ['c', 1, null],
      // its flower went with the tier
      ['d', 1, null],
    ])
    expect(layout!.path.map((p) => p.tier)).toEqual([0, 1])
    expect(pieceSchema.safeParse(two).success).toBe(true)
  })
})

describe('a tier that is coated otherwise', () => {
  // 150 by 100 mm: π·75² + π·150·100 = 64,795 mm²; 220 by 100 less what 150 covers: 89,459 mm²
  it('takes its own coat and no other; the rest take the cake’s', () => {
    const piece = cake({ ownTiers: [{ tier: 2, coat: coat(2) }] })
    expect(grams(order(piece), 'coat.2')).toBeCloseTo(64.795 * 2 * 0.9, 1)
    expect(grams(order(piece), 'coat.1')).toBeCloseTo(89.459 * 4 * 0.9, 1)
    expect(grams(order(cake({ ownTiers: [{ tier: 2, coat: null }] })), 'coat.2')).toBeUndefined()
    expect(spreadsOn(piece, 2).coat!.thicknessMm).toBe(2)
    expect(spreadsOn(piece, 0).coat!.thicknessMm).toBe(4)
  })

  it('changes colour with everything else that is spread or written', () => {
    const words = {
      id: 'w',
      text: 'x',
      capitalMm: 9,
      tipId: 'round-2',
      colourId: 'c',
      place: site('a', 0).place,
    }
    const piece = cake({
      ownTiers: [{ tier: 2, coat: coat(2), crumbCoat: coat(1) }],
      layouts: [layoutSchema.parse({ id: 'l', schoolId: 'dome', words: [words] })],
    })
    const now = respread(piece, () => 'd')
    expect([
      now.coat!.colourId,
      now.ownTiers[0]!.coat!.colourId,
      now.ownTiers[0]!.crumbCoat!.colourId,
    ]).toEqual(['d', 'd', 'd'])
    expect(now.layouts[0]!.words[0]!.colourId).toBe('d')
  })

  it('is refused where there is no such tier, where it is named twice, and in a colour that is not there', () => {
    const said = (piece: object) =>
      orderFaults(order(piece), starterWorkshop).map((f) => `${f.path.join('/')}: ${f.message}`)
    expect(said(cake({ ownTiers: [{ tier: 3, coat: coat(2) }] }))).toEqual([
      'pieces/0/ownTiers/0/tier: Cake has no tier 4. Take its coats out.',
    ])
    expect(said(cake({ ownTiers: [{ tier: 1 }, { tier: 1 }] }))).toEqual([
      'pieces/0/ownTiers/1/tier: Tier 2 of Cake is coated twice over. Keep one of the two.',
    ])
    expect(said(cake({ ownTiers: [{ tier: 1, coat: coat(2, 'teal') }] }))[0]).toMatch(
      /^pieces\/0\/ownTiers\/0\/coat\/colourId/,
    )
    expect(said(cake({ flowers: [border('b', 3)] }))[0]).toMatch(
      /placement\/tier: Cake has no tier 4 for Bead border/,
    )
  })

  it('sets together with the others: all crumb coats, one chill, then all coats', () => {
    const crumb = { ...cake(), crumbCoat: coat(1) } as CakePiece
    const kinds = planOrder(order(crumb), starterWorkshop).sequence.map((s) => s.kind)
    expect(kinds).toEqual(['spread', 'spread', 'spread', 'chill', 'spread', 'spread', 'spread', 'chill'])
  })
})

describe('what a cake weighs, tier by tier', () => {
  it('has its flowers where they stand', () => {
    const rose = {
      id: 'f',
      flowerId: 'rose',
      placement: { kind: 'each', perPiece: 4 },
      colours: { petal: 'c', heart: 'c' },
    }
    const on = (tier: number) =>
      cake({
        flowers: [rose],
        layouts: [{ id: 'l', schoolId: 'dome', sites: ['a', 'b', 'c', 'd'].map((id) => site(id, tier)) }],
      })
    const tiers = (tier: number) =>
      planOrder(order(on(tier)), starterWorkshop).cakes[0]!.tiers.map((t) => t.grams)
    const [low, top] = [tiers(0), tiers(2)]
    const roses = low[0]! - top[0]!
    expect(roses).toBeGreaterThan(20)
    expect(top[2]! - low[2]!).toBeCloseTo(roses, 6)
    expect(top[1]).toBeCloseTo(low[1]!, 6)
  })
})
