import { defineEntity, type InferEntity, p } from '@mikro-orm/core'
import type { Order } from '#core/model/order'

/**
 * An order as one document, checked by the model's schema before it is stored; beside it what the list shows and sorts
 * by, so that a list reads no documents.
 */
export const OrderRow = defineEntity({
  name: 'OrderRow',
  tableName: 'orders',
  properties: {
    id: p.string().primary().length(64),
    title: p.string().length(80),
    customer: p.string().length(120),
    /** Local date and time as the bakery reads it; no zone is implied. */
    collectAt: p.string().length(16),
    document: p.json<Order>(),
    /** Which schema the document was checked by; a document of another one is read through the schema. */
    schemaStamp: p.string().length(32),
    pieceCount: p.integer(),
    colours: p.json<string[]>(),
    deletedAt: p.datetime().nullable(),
    updatedAt: p.datetime(),
    version: p.integer(),
  },
})
export type OrderRow = InferEntity<typeof OrderRow>
