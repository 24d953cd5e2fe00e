import { flowerForOrder } from '#core/flowers/forOrder'
import type { OrderColour, Piece, PlacedFlower } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { DrawnFlower } from './PiecePicture.tsx'

/** The flowers of a piece as they are drawn, in the colours of their order. */
export function drawnFlowers(
  piece: Piece,
  orderColours: readonly OrderColour[],
  workshop: Workshop,
  perPiece: (placed: PlacedFlower) => number,
): DrawnFlower[] {
  const hexes = new Map(orderColours.map((c) => [c.id, c.hex]))
  return piece.flowers.flatMap((placed) => {
    const recipe = workshop.flowers.find((f) => f.id === placed.flowerId)
    if (!recipe) return []
    const { flower, colours } = flowerForOrder(recipe, placed)
    return [
      {
        ...{ placedId: placed.id, flower, sizeMm: placed.sizeMm, tips: placed.tips },
        perPiece: perPiece(placed),
        border: placed.placement.kind === 'border',
        colours: Object.fromEntries(flower.roles.map((r) => [r.id, hexes.get(colours[r.id] ?? '') ?? r.hex])),
      },
    ]
  })
}
