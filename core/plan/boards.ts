import type { Cake, Plan, Supply } from '../model/plan.ts'
import { boardUnder, vaseLoop } from '../surfaces/bouquet.ts'
import { chartOf, standsOnBoard } from '../surfaces/index.ts'
import { boxOf } from '../surfaces/outline.ts'
import type { FittedPlacement } from './demand.ts'
import type { Lookup } from './lookup.ts'

/** Boards under what is no round cake are taken as thick as the strongest, mm. */
const THICK_MM = 12

/**
 * What stands on a board and is no round cake of tiers: bouquets of cupcakes, sheets, cut-out cakes, rings. Its board, the box
 * that takes it, and for a vase the cake that it is cut from.
 */
export function boards(at: Lookup, placements: readonly FittedPlacement[]): Plan['boards'] {
  const { boardMarginMm, lidClearMm } = at.workshop.settings
  return at.order.pieces.flatMap((piece) => {
    const { shape } = piece
    if (shape.kind === 'cake' || !standsOnBoard(shape)) return []
    const chart = chartOf(shape)
    const size =
      shape.kind === 'bouquet'
        ? boardUnder(shape, boardMarginMm)
        : { wideMm: 2 * (chart.top.x + boardMarginMm), deepMm: 2 * (chart.top.y + boardMarginMm) }
    const tallest = Math.max(
      0,
      ...placements.filter((p) => p.piece.id === piece.id).map((p) => p.fitted.measure.heightMm),
    )
    const loop = shape.kind === 'bouquet' ? vaseLoop(shape) : null
    const vase = loop && boxOf(loop)
    return [
      {
        pieceId: piece.id,
        count: piece.count,
        ...size,
        thickMm: THICK_MM,
        boxHighMm: THICK_MM + chart.highMm + (piece.coat?.thicknessMm ?? 0) + tallest + lidClearMm,
        cutFrom: vase && { wideMm: vase.right - vase.left, deepMm: vase.high - vase.low },
      },
    ]
  })
}

/** Boards, supports, rods and boxes that the order takes, alike ones together. */
export function boardSupplies(at: Lookup, cakes: readonly Cake[], others: Plan['boards']): Supply[] {
  const wanted: { kind: 'board' | 'support' | 'box'; name: string; count: number }[] = []
  const want = (kind: (typeof wanted)[number]['kind'], name: string, count: number) =>
    wanted.push({ kind, name, count })
  const size = (...mm: number[]) => mm.map((v) => at.length(v)).join(' × ')
  for (const { count, tiers, base, rod, box } of cakes) {
    want('board', `Board, ${size(base.diameterMm)} round, ${at.length(base.thickMm)} thick`, count)
    for (const { board, supports } of tiers) {
      if (board)
        want('board', `Board, ${size(board.diameterMm)} round, ${at.length(board.thickMm)} thick`, count)
      if (supports) want('support', `Support, ${size(supports.lengthMm)} long`, count * supports.count)
    }
    if (rod) want('support', 'Rod through the middle', count)
    want('box', `Box, inside ${size(box.sideMm, box.sideMm)}, ${at.length(box.highMm)} high`, count)
  }
  for (const { count, wideMm, deepMm, thickMm, boxHighMm } of others) {
    want('board', `Board, ${size(wideMm, deepMm)}, ${at.length(thickMm)} thick`, count)
    want('box', `Box, inside ${size(wideMm, deepMm)}, ${at.length(boxHighMm)} high`, count)
  }
  const alike = new Map<string, (typeof wanted)[number]>()
  for (const one of wanted) {
    const key = `${one.kind} ${one.name}`
    const known = alike.get(key)
    alike.set(key, known ? { ...known, count: known.count + one.count } : one)
  }
  return [...alike.values()].map(
    ({ kind, name, count }): Supply => ({
      ...{ kind, id: `${kind} ${name}`, name, needed: count, unit: 'pieces' },
      ...{ owned: null, short: 0, packs: null, cost: null },
    }),
  )
}
