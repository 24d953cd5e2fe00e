import type { Fault } from '../model/faults.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'

/**
 * Layers of all flowers of all pieces that one plan takes on: fifty times the largest demo order, and about a second of
 * work. What a plan costs follows from these, not from how many cupcakes there are: a hundred equal ones are one piece.
 */
export const MOST_LAYERS = 4000

/** Layers and strokes up to which a plan takes a fraction of a second on any machine; the demo order has a fifth. */
const MODEST_LAYERS = 400
const MODEST_STROKES = 6000

/** Whether an order is of a size that bakeries plan every day: only others are worth watching while they are planned. */
export function isModest(order: Order, workshop: Workshop): boolean {
  const flowers = new Map(workshop.flowers.map((f) => [f.id, f]))
  let layers = 0
  let strokes = 0
  for (const piece of order.pieces)
    for (const placed of piece.flowers)
      for (const layer of flowers.get(placed.flowerId)?.layers ?? []) {
        layers += 1
        strokes += layer.count
      }
  return layers <= MODEST_LAYERS && strokes <= MODEST_STROKES
}

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
