import { mapPlaced, onPlaced, takeOff } from '../model/onPiece.ts'
import type { Order, Piece } from '../model/order.ts'
import type { PlanFigures, Remedy } from '../model/plan.ts'
import { recoloured } from '../model/recolour.ts'
import { respread } from '../model/spreads.ts'

/** A coat just thick enough that no cake shows. */
const THIN_COAT_MM = 1.5

/**
 * The order with one piece of advice taken. `plan` is the plan that gave it: it knows which layer is piped with
 * which tip. Nothing else changes.
 */
export function applyRemedy(order: Order, remedy: Remedy, plan: PlanFigures): Order {
  switch (remedy.kind) {
    case 'useTip':
      return mapPlaced(order, (placed, piece) => ({
        ...placed,
        tips: {
          ...placed.tips,
          ...Object.fromEntries(
            plan.uses
              .filter(
                (u) => u.pieceId === piece.id && u.placedId === placed.id && u.tipId === remedy.fromTipId,
              )
              .map((u) => [u.layerId!, remedy.toTipId]),
          ),
        },
      }))
    case 'mergeColours':
      return replaceColour(order, remedy.fromColourId, remedy.intoColourId)
    case 'takeOff':
      return takeOff(order, remedy.pieceId, remedy.placedId)
    case 'addCoat':
      return mapPieces(order, remedy.pieceId, (piece) => ({
        ...piece,
        coat: { colourId: remedy.colourId, thicknessMm: THIN_COAT_MM, stiffness: 'medium' },
      }))
    case 'setPerPiece':
      return onPlaced(order, remedy, (placed) => ({
        ...placed,
        placement: { kind: 'each', perPiece: remedy.perPiece },
      }))
    case 'setBatch':
      return {
        ...onPlaced(order, remedy, (placed) => ({ ...placed, batch: remedy.squares })),
        arrangement: null,
      }
    case 'setSize':
      return onPlaced(order, remedy, (placed) => ({ ...placed, sizeMm: remedy.sizeMm }))
  }
}

/** Every use of one colour given to another, and the first taken off the order's list. */
export function replaceColour(order: Order, fromId: string, intoId: string): Order {
  const swap = (id: string) => (id === fromId ? intoId : id)
  const swapped = mapPlaced(order, (placed) => recoloured(placed, swap))
  return {
    ...swapped,
    colours: order.colours.filter((c) => c.id !== fromId),
    pieces: swapped.pieces.map((p) => respread(p, swap)),
  }
}

function mapPieces(order: Order, pieceId: string, change: (piece: Piece) => Piece): Order {
  return { ...order, pieces: order.pieces.map((p) => (p.id === pieceId ? change(p) : p)) }
}
