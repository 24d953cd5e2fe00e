import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderSchema } from '../model/order.ts'
import { planOrder } from './index.ts'

const plan = (pieces: object[]) =>
  planOrder(
    orderSchema.parse({
      ...{ id: 'o', title: 'Boards', collectAt: '2026-12-01T10:00', icingKindId: 'butter-sugar' },
      pieces: pieces.map((p, i) => ({ id: `p${i}`, name: `Piece ${i}`, count: 1, flowers: [], ...p })),
    }),
    starterWorkshop,
  )
const bouquet = {
  ...{ kind: 'bouquet', diameterMm: 60, domeMm: 8, standMm: 40, outline: { kind: 'round' } },
  at: [
    { x: -31, y: 0 },
    { x: 31, y: 0 },
  ],
}
const onHand = (pieces: object[]) =>
  plan(pieces)
    .supplies.filter((s) => ['board', 'support', 'box'].includes(s.kind))
    .map((s) => [s.name, s.needed])

describe('what lies on a board', () => {
  it('has one with 50 mm on every side, and a box with 20 mm of air over it', () => {
    const [board] = plan([{ shape: bouquet }]).boards
    // two of 60 mm, 62 apart: 122 by 60; rims 40 up, domes 8 more, board 12, air 20
    expect(board).toMatchObject({ wideMm: 222, deepMm: 160, thickMm: 12, boxHighMm: 80, cutFrom: null })
  })

  it('tells the cake that a vase is cut from, and makes room for it', () => {
    const vase = { rimMm: 90, footMm: 60, tallMm: 100, heightMm: 50 }
    const [board] = plan([{ shape: { ...bouquet, vase } }]).boards
    expect(board!.cutFrom!.deepMm).toBeCloseTo(100, 6)
    expect(board!.cutFrom!.wideMm).toBeCloseTo(90, 0)
    expect(board!.deepMm).toBeGreaterThan(160 + 60)
  })

  it('is a sheet or a cake of any outline too, but no cookie and no lone cupcake', () => {
    const shapes = [
      { kind: 'sheet', lengthMm: 300, widthMm: 200, heightMm: 60 },
      { kind: 'hexagon', diameterMm: 80, heightMm: 0 },
      { kind: 'cookie', diameterMm: 80 },
      { kind: 'cupcake', diameterMm: 60, domeMm: 5 },
    ]
    const made = plan(shapes.map((shape) => ({ shape })))
    expect(made.boards.map((b) => [b.pieceId, b.wideMm, b.deepMm])).toEqual([['p0', 400, 300]])
  })

  it('is bought once for each, alike ones together; a cake of tiers with all that holds it up', () => {
    const tiers = [
      { diameterMm: 220, heightMm: 100 },
      { diameterMm: 150, heightMm: 90 },
    ]
    expect(
      onHand([{ shape: { kind: 'cake', tiers }, count: 2 }, { shape: bouquet }, { shape: bouquet }]),
    ).toEqual([
      ['Board, 320 mm round, 12 mm thick', 2],
      ['Support, 100 mm long', 8],
      ['Board, 150 mm round, 3 mm thick', 2],
      ['Box, inside 320 mm × 320 mm, 222 mm high', 2],
      ['Board, 222 mm × 160 mm, 12 mm thick', 2],
      ['Box, inside 222 mm × 160 mm, 80 mm high', 2],
    ])
  })
})
