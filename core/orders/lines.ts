import type { Layout, Line } from '../model/layout.ts'
import type { Order, Piece, PlacedFlower } from '../model/order.ts'
import type { Kind } from '../placing/body.ts'
import { BUD_SIZES, sprayAlong } from '../placing/spray.ts'
import { chartOf } from '../surfaces/index.ts'

type Spray = Extract<Line, { kind: 'spray' }>

/** Nothing smaller is piped as a bud, mm. */
const LEAST_BUD_MM = 4

const onPiece = (order: Order, pieceId: string, how: (piece: Piece) => Piece): Order => ({
  ...order,
  pieces: order.pieces.map((p) => (p.id === pieceId ? how(p) : p)),
})

/**
 * A spray grown along its line, or grown anew: its leaves and buds take the place of those that it had. Smaller buds are the same
 * flower in other sizes, put on the piece where it has not got them.
 */
export function growSpray(
  order: Order,
  pieceId: string,
  layoutId: string,
  line: Spray,
  kinds: readonly Kind[],
  newId: () => string,
): Order {
  return onPiece(order, pieceId, (piece) => {
    const leaf = kinds.find((k) => k.placedId === line.leafId) ?? null
    const { piece: sized, buds } = withBudSizes(piece, line.budId, kinds, newId)
    const grown = sprayAlong(chartOf(piece.shape), line, leaf, buds, newId)
    return {
      ...sized,
      layouts: sized.layouts.map(
        (layout): Layout =>
          layout.id === layoutId
            ? {
                ...layout,
                lines: [...layout.lines.filter((l) => l.id !== line.id), line],
                sites: [...layout.sites.filter((s) => s.groupId !== line.id), ...grown],
              }
            : layout,
      ),
    }
  })
}

/** The bud in all its sizes, as flowers of the piece. */
function withBudSizes(
  piece: Piece,
  budId: string | null,
  kinds: readonly Kind[],
  newId: () => string,
): { piece: Piece; buds: { placedId: string; r: number }[] } {
  const bud = piece.flowers.find((f) => f.id === budId)
  const kind = kinds.find((k) => k.placedId === budId)
  // something that is not piped has one size
  if (!kind) return { piece, buds: [] }
  if (!bud) return { piece, buds: [{ placedId: kind.placedId, r: kind.r }] }
  let { flowers } = piece
  const buds = BUD_SIZES.map((share) => {
    const sizeMm = Math.round(Math.max(LEAST_BUD_MM, 2 * kind.r * share) * 2) / 2
    if (share === 1) return { placedId: bud.id, r: kind.r }
    const known = flowers.find((f) => f.flowerId === bud.flowerId && f.sizeMm === sizeMm)
    const twin: PlacedFlower = known ?? { ...bud, id: newId(), sizeMm }
    if (!known) flowers = flowers.flatMap((f) => (f.id === bud.id ? [f, twin] : [f]))
    return { placedId: twin.id, r: sizeMm / 2 }
  })
  return { piece: { ...piece, flowers }, buds }
}

/** A border along a line: by a flower of the piece that runs along lines, the same one put on once more where it runs elsewhere. */
export function borderAlong(
  order: Order,
  pieceId: string,
  layoutId: string,
  placedId: string,
  path: Line['path'],
  newId: () => string,
): Order {
  return onPiece(order, pieceId, (piece) => {
    const asked = piece.flowers.find((f) => f.id === placedId)
    if (!asked) return piece
    const same = piece.flowers.find((f) => f.flowerId === asked.flowerId && f.placement.kind === 'line')
    const runs: PlacedFlower = same ?? { ...asked, id: newId(), placement: { kind: 'line' } }
    return {
      ...piece,
      flowers: same ? piece.flowers : [...piece.flowers, runs],
      layouts: piece.layouts.map((layout) =>
        layout.id === layoutId
          ? { ...layout, lines: [...layout.lines, { id: newId(), kind: 'border', path, placedId: runs.id }] }
          : layout,
      ),
    }
  })
}

/** A line taken out, with all that grows along it; a border that runs along no line any more goes from the piece. */
export function removeLine(order: Order, pieceId: string, layoutId: string, lineId: string): Order {
  return onPiece(order, pieceId, (piece) => {
    const layouts = piece.layouts.map((layout) =>
      layout.id === layoutId
        ? {
            ...layout,
            lines: layout.lines.filter((l) => l.id !== lineId),
            sites: layout.sites.filter((s) => s.groupId !== lineId),
          }
        : layout,
    )
    const used = new Set(
      layouts.flatMap((l) => l.lines.flatMap((line) => (line.kind === 'border' ? [line.placedId] : []))),
    )
    return {
      ...piece,
      layouts,
      flowers: piece.flowers.filter((f) => f.placement.kind !== 'line' || used.has(f.id)),
    }
  })
}
