import { defineEntity, type InferEntity, p } from '@mikro-orm/core'
import type { Order, Piece } from '#core/model/order'

/** What of an order is edited whole and stored as one document, checked by the model's own schema. */
export type OrderDetails = Omit<Order, 'id' | 'title' | 'customer' | 'collectAt' | 'pieces'>

export const OrderRow = defineEntity({
  name: 'OrderRow',
  tableName: 'orders',
  properties: {
    id: p.string().primary().length(64),
    title: p.string().length(80),
    customer: p.string().length(120),
    /** Local date and time as the bakery reads it; no zone is implied. */
    collectAt: p.string().length(16).index(),
    details: p.json<OrderDetails>(),
    pieces: () => p.oneToMany(PieceRow).mappedBy('order').orphanRemoval().orderBy({ position: 'asc' }),
    deletedAt: p.datetime().nullable(),
    updatedAt: p
      .datetime()
      .onCreate(() => new Date())
      .onUpdate(() => new Date()),
    version: p.integer().version(),
  },
})
export type OrderRow = InferEntity<typeof OrderRow>

export const PieceRow = defineEntity({
  name: 'PieceRow',
  tableName: 'pieces',
  properties: {
    order: () => p.manyToOne(OrderRow).primary().deleteRule('cascade'),
    id: p.string().primary().length(64),
    position: p.integer(),
    name: p.string().length(80),
    count: p.integer(),
    spec: p.json<Omit<Piece, 'id' | 'name' | 'count'>>(),
  },
})
export type PieceRow = InferEntity<typeof PieceRow>
