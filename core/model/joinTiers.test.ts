import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { readBakeryFile, withBakery } from '../files/bakeryFile.ts'
import { readOrderFile } from '../files/orderFile.ts'
import { newOrder } from '../orders/new.ts'
import { planOrder } from '../plan/index.ts'
import { joinedWords } from './joinTiers.ts'
import { type Order, orderSchema } from './order.ts'

const coat = { colourId: 'c', thicknessMm: 4, stiffness: 'medium' }
const tier = (id: string, diameterMm: number, coveredMm = 0, more: object = {}) => ({
  ...{ id, name: id, count: 1, coat, flowers: [] as object[] },
  shape: { kind: 'tier', diameterMm, heightMm: 100, coveredMm },
  ...more,
})
const order = (pieces: object[]): Order =>
  orderSchema.parse({
    ...newOrder('o', 'Cakes', '2026-12-01T10:00', 'butter-sugar'),
    colours: [{ id: 'c', name: 'Cream', hex: '#efe6cd' }],
    pieces,
  })
const widths = (pieces: object[]) =>
  order(pieces).pieces.map(({ shape }) => (shape.kind === 'cake' ? shape.tiers.map((t) => t.diameterMm) : []))

describe('tiers from the time when each was a piece', () => {
  const [low, middle, top] = [tier('low', 300, 220), tier('middle', 220, 150), tier('top', 150)]

  it('are one cake where the lower one says how wide the one above is, whatever order they are listed in', () => {
    expect(widths([top, low, middle])).toEqual([[300, 220, 150]])
    expect(widths([low, top])).toEqual([[300], [150]])
    expect(widths([tier('low', 300, 150), top])).toEqual([[300, 150]])
    // two cakes that are alike in all but their number are two cakes, as are tiers of two icings
    expect(widths([tier('low', 300, 150, { count: 2 }), top])).toEqual([[300], [150]])
    expect(widths([tier('low', 300, 150, { icingKindId: 'royal' }), top])).toEqual([[300], [150]])
    // nothing stands on two, and nothing on itself
    expect(widths([tier('a', 200, 150), tier('b', 240, 150), top])).toEqual([[200, 150], [240]])
    expect(widths([tier('a', 200, 200)])).toEqual([[200]])
  })

  it('keep what they are coated with, where their borders run, and every flower under an id of its own', () => {
    const border = {
      id: 'f',
      flowerId: 'bead-border',
      placement: { kind: 'border', edge: 'foot' },
      colours: { bead: 'c' },
    }
    const [cake] = order([
      tier('low', 220, 150, { flowers: [border] }),
      tier('top', 150, 0, { coat: { ...coat, thicknessMm: 3 }, flowers: [border] }),
    ]).pieces
    expect(cake).toMatchObject({ id: 'low', name: 'Two-tier cake', coat: { thicknessMm: 4 } })
    expect(cake!.ownTiers).toMatchObject([{ tier: 1, coat: { thicknessMm: 3 }, filling: null }])
    expect(cake!.flowers.map((f) => f.placement)).toEqual([
      { kind: 'border', edge: 'foot', tier: 0 },
      { kind: 'border', edge: 'foot', tier: 1 },
    ])
    expect(new Set(cake!.flowers.map((f) => f.id)).size).toBe(2)
  })

  it('that nothing stands on keep what was left free for something else', () => {
    expect(order([tier('a', 240, 120)]).pieces[0]!.shape).toMatchObject({ coveredMm: 120 })
  })

  it('are read once: an order that has its cakes is not touched', () => {
    const now = order([low, middle, top])
    expect(orderSchema.parse(now)).toEqual(now)
    expect(orderSchema.parse(JSON.parse(JSON.stringify(now)))).toEqual(now)
  })

  it('that cannot be read are refused in words, by the field', () => {
    const bad = { ...low, shape: { ...low.shape, diameterMm: '300' } }
    const refused = orderSchema.safeParse({ ...order([]), pieces: [bad] })
    expect(refused.error?.issues[0]?.path).toEqual(['pieces', 0, 'shape', 'tiers', 0, 'diameterMm'])
    for (const junk of [null, 3, 'x', [], { pieces: 3 }, { pieces: [null, { shape: { kind: 'tier' } }] }])
      expect(orderSchema.safeParse(junk).success).toBe(false)
  })
})

describe('an order saved with tiers', () => {
  const here = (name: string) => JSON.parse(readFileSync(new URL(name, import.meta.url), 'utf8'))
  const bakery = readBakeryFile(here('../../demo/bakery.json'), starterWorkshop)
  if (!bakery.ok) throw new Error('no bakery')
  const workshop = withBakery(starterWorkshop, bakery.value)
  const saved = here('../files/samples/tiers.kanten-order.json')

  it('comes to the same grams, use by use, as its tiers did one by one', () => {
    const read = readOrderFile(saved, workshop)
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    // apart: nobody finds the tier that would stand there
    const apart = structuredClone(saved.order)
    const upper = apart.pieces.find((p: { id: string }) => p.id === 'tier-upper')
    upper.icingKindId = apart.icingKindId
    const gramsOf = (of: Order) =>
      planOrder(of, workshop)
        .uses.map((u) => [u.flowerName, u.parts.map((p) => Number(p.piped.toFixed(6)))].join())
        .sort()
    const [said, ...more] = joinedWords(saved.order, read.value.order.pieces)
    expect(said).toContain('“Two-tier cake” came in as one cake: in the file its 2 tiers')
    expect(more).toEqual([])
    expect(joinedWords(read.value.order, read.value.order.pieces)).toEqual([])
    const one = orderSchema.parse(apart)
    expect(one.pieces).toHaveLength(read.value.order.pieces.length + 1)
    expect(gramsOf(read.value.order)).toEqual(gramsOf(one))
  })
})
