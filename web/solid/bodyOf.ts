import type { OrderColour, Piece } from '#core/model/order'
import { spreadsOn } from '#core/model/spreads'
import type { Chart } from '#core/surfaces/chart'
import { surfaceDefinition } from '#core/surfaces/index'
import type { PieceBody } from './pieceBody.ts'

const CRUST = '#c89b6a'
const BISCUIT_MM = 6

/** The colour of what is seen of each body of a piece, from the lowest: its coat, or the crust. */
export function coatsOf(piece: Piece, colours: readonly OrderColour[]): string[] {
  const hexes = new Map(colours.map((c) => [c.id, c.hex]))
  return surfaceDefinition(piece.shape.kind)
    .bodies(piece.shape)
    .map((_, tier) => hexes.get(spreadsOn(piece, tier).coat?.colourId ?? '') ?? CRUST)
}

/** How wide the board under a cake is; null for what stands on none. */
export const boardMm = (piece: Piece, chart: Chart, marginMm: number): number | null =>
  piece.shape.kind === 'cake' ? 2 * (chart.reachMm + marginMm) : null

/** A piece of an order as it is drawn. */
export function bodyOf(
  piece: Piece,
  chart: Chart,
  coats: readonly string[],
  board: number | null,
): PieceBody {
  return {
    ...{ skin: chart.skin(), coats, reachMm: chart.reachMm, highMm: chart.highMm },
    below:
      board !== null
        ? { kind: 'board', mm: board }
        : piece.shape.kind === 'cupcake'
          ? { kind: 'case', mm: 0 }
          : { kind: 'biscuit', mm: BISCUIT_MM },
  }
}
