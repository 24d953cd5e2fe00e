import type { Stiffness } from '../../common.ts'
import type { Order } from '../../model/order.ts'

/** One layer of one placed flower piped otherwise: another tip, another stiffness, or both. */
export interface Change {
  /** "piece.placed.layer", as a use is named. */
  useId: string
  tipId?: string | undefined
  stiffness?: Stiffness | undefined
}

export type Changed = ReadonlyMap<string, Omit<Change, 'useId'>>

/** The order with its layers changed; what a person has chosen elsewhere stays. */
export function withChanges(order: Order, changed: Changed): Order {
  if (changed.size === 0) return order
  const byPlaced = new Map<string, { layerId: string; change: Omit<Change, 'useId'> }[]>()
  for (const [useId, change] of changed) {
    const cut = useId.lastIndexOf('.')
    const placed = useId.slice(0, cut)
    byPlaced.set(placed, [...(byPlaced.get(placed) ?? []), { layerId: useId.slice(cut + 1), change }])
  }
  return {
    ...order,
    pieces: order.pieces.map((piece) => ({
      ...piece,
      flowers: piece.flowers.map((placed) => {
        const of = byPlaced.get(`${piece.id}.${placed.id}`)
        if (!of) return placed
        const tips = { ...placed.tips }
        const stiffness = { ...placed.stiffness }
        for (const { layerId, change } of of) {
          if (change.tipId !== undefined) tips[layerId] = change.tipId
          if (change.stiffness !== undefined) stiffness[layerId] = change.stiffness
        }
        return { ...placed, tips, stiffness }
      }),
    })),
  }
}
