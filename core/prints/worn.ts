import { flowerForOrder } from '../flowers/forOrder.ts'
import { type FittedFlower, fitFlower } from '../flowers/resolve.ts'
import type { Frozen } from '../model/bench.ts'
import type { Flower } from '../model/flower.ts'
import type { Piece, PlacedFlower } from '../model/order.ts'

/** A flower of an order on its piece, as the order wants it, in its size there. */
export interface WornFlower {
  piece: Piece
  placed: PlacedFlower
  flower: Flower
  fitted: FittedFlower
}

export function wornFlowers({ order, workshop }: Frozen): WornFlower[] {
  return order.pieces.flatMap((piece) =>
    piece.flowers.flatMap((placed) => {
      const recipe = workshop.flowers.find((f) => f.id === placed.flowerId)
      if (!recipe) return []
      const { flower } = flowerForOrder(recipe, placed)
      return [{ piece, placed, flower, fitted: fitFlower(flower, placed, workshop.tips) }]
    }),
  )
}
