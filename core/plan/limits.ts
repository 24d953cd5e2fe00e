import type { Fault } from '../model/faults.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'

/**
 * Layers of all flowers of all pieces that one plan takes on: fifty times the largest demo order, and about a second of
 * work. What a plan costs follows from these, not from how many cupcakes there are: a hundred equal ones are one piece.
 */
export const MOST_LAYERS = 4000

/** Why an order is more than one plan can take; empty when it is not. Points at the piece with the most layers. */
export function sizeFaults(order: Order, workshop: Workshop): Fault[] {
  const layers = new Map(workshop.flowers.map((f) => [f.id, f.layers.length]))
  const perPiece = order.pieces.map((piece) =>
    piece.flowers.reduce((sum, placed) => sum + (layers.get(placed.flowerId) ?? 0), 0),
  )
  const total = perPiece.reduce((sum, n) => sum + n, 0)
  if (total <= MOST_LAYERS) return []
  const largest = perPiece.indexOf(Math.max(...perPiece))
  return [
    {
      path: ['pieces', largest, 'flowers'],
      message: `The flowers of this order have ${total.toLocaleString('en-GB')} layers to pipe; one plan takes ${MOST_LAYERS.toLocaleString('en-GB')}. Give equal pieces one entry with their number, or split the order.`,
    },
  ]
}
