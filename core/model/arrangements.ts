import type { Piece, PlacedFlower } from './order.ts'
import type { PlacedSetOn } from './setOn.ts'

/** How many of a piece wear each of its arrangements: as evenly as it goes, the first ones one more. */
export function piecesOfEach(piece: Pick<Piece, 'count' | 'layouts'>): number[] {
  const { count, layouts } = piece
  const least = Math.floor(count / Math.max(1, layouts.length))
  return layouts.map((_, i) => least + (i < count - least * layouts.length ? 1 : 0))
}

/** How much of a thing is put on all pieces of a kind: by its places where it has any, otherwise as it is said. */
export function setOnsOn(piece: Piece, placed: PlacedSetOn): number {
  const wearing = piecesOfEach(piece)
  const standing = piece.layouts.map(({ sites }) => sites.filter((s) => s.placedId === placed.id).length)
  if (standing.every((n) => n === 0)) return placed.perPiece * piece.count
  return standing.reduce((sum, n, i) => sum + wearing[i]! * n, 0)
}

/** How many of a flower stand on all pieces of a kind: by their places where it has any, otherwise as it is said. */
export function flowersOn(piece: Piece, placed: PlacedFlower): number {
  if (placed.placement.kind !== 'each') return 0
  if (piece.layouts.length === 0) return placed.placement.perPiece * piece.count
  const wearing = piecesOfEach(piece)
  return piece.layouts.reduce(
    (sum, { sites }, i) => sum + wearing[i]! * sites.filter((s) => s.placedId === placed.id).length,
    0,
  )
}
