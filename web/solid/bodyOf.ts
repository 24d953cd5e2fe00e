import type { OrderColour, Piece } from '#core/model/order'
import { spreadsOn } from '#core/model/spreads'
import { boardUnder } from '#core/surfaces/bouquet'
import type { Chart } from '#core/surfaces/chart'
import { standsOnBoard, surfaceDefinition } from '#core/surfaces/index'
import type { PieceBody } from './pieceBody.ts'

const CRUST = '#c89b6a'
const BISCUIT_MM = 6
const CASE_MM = 30

/** The colour of what is seen of each body of a piece, from the lowest: its coat, or the crust. */
export function coatsOf(piece: Piece, colours: readonly OrderColour[]): string[] {
  const hexes = new Map(colours.map((c) => [c.id, c.hex]))
  return surfaceDefinition(piece.shape.kind)
    .bodies(piece.shape)
    .map((_, tier) => hexes.get(spreadsOn(piece, tier).coat?.colourId ?? '') ?? CRUST)
}

/** What a piece stands on. */
export interface Board {
  wideMm: number
  deepMm: number
  round: boolean
}

/** The board under a piece; null for what stands on none: cookies, and cupcakes by themselves. */
export function boardOf(piece: Piece, chart: Chart, marginMm: number): Board | null {
  const { shape } = piece
  if (shape.kind === 'bouquet') return { ...boardUnder(shape, marginMm), round: false }
  if (!standsOnBoard(shape)) return null
  const round = shape.kind === 'cake' || shape.kind === 'ring'
  return {
    wideMm: 2 * ((round ? chart.reachMm : chart.top.x) + marginMm),
    deepMm: 2 * ((round ? chart.reachMm : chart.top.y) + marginMm),
    round,
  }
}

/** A piece of an order as it is drawn. */
export function bodyOf(piece: Piece, chart: Chart, coats: readonly string[], board: Board | null): PieceBody {
  const { shape } = piece
  const round: PieceBody['below'] =
    shape.kind === 'cupcake'
      ? { kind: 'case', at: [{ x: 0, y: 0 }], rimMm: chart.reachMm, topMm: 0, highMm: CASE_MM }
      : { kind: 'biscuit', loops: chart.above, mm: BISCUIT_MM }
  const below: PieceBody['below'] =
    shape.kind === 'bouquet'
      ? {
          kind: 'case',
          at: chart.parts.slice(0, shape.at.length),
          rimMm: shape.diameterMm / 2,
          ...{ topMm: shape.standMm, highMm: shape.standMm },
        }
      : round
  return {
    ...{ skin: chart.skin(), coats, reachMm: chart.reachMm, highMm: chart.highMm, board },
    below: board && shape.kind !== 'bouquet' ? null : below,
  }
}
