import { piecesOfEach } from '../model/arrangements.ts'
import type { Piece } from '../model/order.ts'
import type { Use } from '../model/plan.ts'
import { lineMm, linePoints, unitsOnLine } from '../placing/onLine.ts'
import { chartOf } from '../surfaces/index.ts'
import { openingSize } from '../tips/index.ts'
import type { Lookup } from './lookup.ts'

/** A stem is drawn at so many mm a second, after so many seconds to set the bag down. */
const MM_PER_S = 30
const TOUCH_SECONDS = 0.8

/** Stems of the sprays on the pieces of a kind, arrangement by arrangement: round ropes as thick as their opening. */
export function stemUses(at: Lookup, piece: Piece, icingKindId: string): Use[] {
  const wearing = piecesOfEach(piece)
  if (!piece.layouts.some((l) => l.lines.some((line) => line.kind === 'spray'))) return []
  const chart = chartOf(piece.shape)
  const { density } = at.icing(icingKindId)
  return piece.layouts.flatMap((layout, i) =>
    layout.lines.flatMap((line): Use[] => {
      const count = wearing[i]!
      if (line.kind !== 'spray' || count === 0) return []
      const mm = lineMm(linePoints(chart, line))
      const beadMm = openingSize(at.tip(line.tipId).opening)
      const grams = ((mm * Math.PI * beadMm ** 2) / 4 / 1000) * density
      return [
        {
          id: `${piece.id}.${layout.id}.${line.id}`,
          ...{ pieceId: piece.id, placedId: null, flowerId: null, layerId: null },
          ...{ flowerName: 'Spray', layerName: 'Stem', tipId: line.tipId, icingKindId },
          ...{ stiffness: line.stiffness, setting: 'inPlace', form: 'vine' },
          ...{ layout: 'plain', border: null, fixedTip: false, batch: 1, waited: false },
          ...{ flowers: count, spares: 0, practice: 0, strokes: count, tools: [] },
          seconds: (TOUCH_SECONDS + mm / MM_PER_S) * count,
          parts: [{ colourId: line.colourId, piped: grams * count, spoiled: 0, practice: 0, margin: 0 }],
        },
      ]
    }),
  )
}

/** How many units of a border run along the lines that were drawn for it, on all pieces of a kind. */
export function unitsOnLines(piece: Piece, placedId: string, pitchMm: number): number {
  const wearing = piecesOfEach(piece)
  const chart = chartOf(piece.shape)
  return piece.layouts.reduce(
    (sum, { lines }, i) =>
      sum +
      wearing[i]! *
        lines
          .filter((line) => line.kind === 'border' && line.placedId === placedId)
          .reduce((units, line) => units + unitsOnLine(lineMm(linePoints(chart, line)), pitchMm), 0),
    0,
  )
}
