import { createHash } from 'node:crypto'
import { z } from 'zod'
import { type Order, orderSchema } from '#core/model/order'

/** Names the schema that stored documents were checked by: another schema, another stamp. */
export const orderStamp = createHash('sha256')
  .update(JSON.stringify(z.toJSONSchema(orderSchema, { io: 'output', unrepresentable: 'any' })))
  .digest('hex')
  .slice(0, 32)

/** An order, already checked, as its row has it. */
export function columnsOf(order: Order) {
  return {
    title: order.title,
    customer: order.customer,
    collectAt: order.collectAt,
    document: order,
    schemaStamp: orderStamp,
    pieceCount: order.pieces.reduce((sum, piece) => sum + piece.count, 0),
    colours: order.colours.map((c) => c.hex),
    updatedAt: new Date(),
  }
}
