import type { Order } from '../model/order.ts'
import { isStrewn, type SetOn, setOnSchema } from '../model/setOn.ts'

/** A thing to put on that nobody has described yet. */
export const newSetOn = (id: string): SetOn =>
  setOnSchema.parse({
    ...{ id, name: 'Something to put on', kind: 'pearl', widthMm: 5, heightMm: 5 },
    ...{ grams: 0.1, cost: 0, hex: '#e9e2d2', edible: 'unread' },
  })

/** So many of it, or so many grams, go on each piece to begin with. */
const FIRST_PIECES = 3
const FIRST_GRAMS = 2

/** A thing put on a piece; the order takes over what it is, under its own id, unless it has it already. */
export function putOnPiece(order: Order, pieceId: string, thing: SetOn, newId: () => string): Order {
  const known = order.setOns.some((t) => t.id === thing.id)
  const perPiece = isStrewn(thing.kind) ? FIRST_GRAMS : FIRST_PIECES
  return {
    ...order,
    setOns: known ? order.setOns : [...order.setOns, thing],
    pieces: order.pieces.map((piece) =>
      piece.id === pieceId
        ? { ...piece, setOns: [...piece.setOns, { id: newId(), setOnId: thing.id, perPiece }] }
        : piece,
    ),
  }
}

/** A thing described otherwise in this order. */
export const changeSetOn = (order: Order, id: string, part: Partial<SetOn>): Order => ({
  ...order,
  setOns: order.setOns.map((t) => (t.id === id ? { ...t, ...part } : t)),
})

/** Things that no piece wears any more are left out. */
export function withoutLooseSetOns(order: Order): Order {
  const worn = new Set(order.pieces.flatMap((p) => p.setOns.map((s) => s.setOnId)))
  return { ...order, setOns: order.setOns.filter((t) => worn.has(t.id)) }
}
