import { createHash } from 'node:crypto'
import type { EntityManager } from '@mikro-orm/postgresql'
import { z } from 'zod'
import type { StoredOrder } from '#contract/orders'
import { issueFaults } from '#core/files/orderFile'
import { type Order, orderSchema } from '#core/model/order'
import { OrderRow } from '../entities/order.ts'
import { notFound, ProblemError } from '../http/problems.ts'

/** Names the schema that stored documents were checked by: another schema, another stamp. */
export const orderStamp = createHash('sha256')
  .update(JSON.stringify(z.toJSONSchema(orderSchema, { io: 'output', unrepresentable: 'any' })))
  .digest('hex')
  .slice(0, 32)

/** The row of an order that has not been deleted. */
export async function findOrder(em: EntityManager, id: string): Promise<OrderRow> {
  const row = await em.findOne(OrderRow, { id, deletedAt: null })
  if (!row) throw notFound('order', id)
  return row
}

/** An order's document as the database has it, for whoever need not take it apart. */
export async function findText(em: EntityManager, id: string) {
  const [row] = await em.execute<{ title: string; version: number; stamp: string; document: string }[]>(
    `select title, version, schema_stamp as stamp, document::text as document
     from orders where id = ? and deleted_at is null`,
    [id],
  )
  if (!row) throw notFound('order', id)
  const { stamp, ...rest } = row
  return { ...rest, checked: stamp === orderStamp }
}

/** The order that a row stores. @throws ProblemError that names the field when this program cannot read it. */
export function toOrder(row: Pick<OrderRow, 'id' | 'document' | 'schemaStamp'>): Order {
  if (row.schemaStamp === orderStamp) return row.document
  const parsed = orderSchema.safeParse(row.document)
  if (parsed.success) return parsed.data
  throw new ProblemError(
    409,
    'unreadable-order',
    'This order cannot be read',
    'It is stored in a way that this version of Kanten does not understand. It is still there and goes into every backup.',
    issueFaults(parsed.error),
  )
}

export function toStored(row: OrderRow): StoredOrder {
  return { order: toOrder(row), version: row.version }
}

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

/** Stores a new order. @throws UniqueConstraintViolationException when its id is taken. */
export async function insertOrder(em: EntityManager, order: Order): Promise<StoredOrder> {
  await em.insert(OrderRow, { id: order.id, version: 1, ...columnsOf(order) })
  return { order, version: 1 }
}

/**
 * Puts an order, already checked, in the place of the version that was seen. One statement: nobody comes between looking
 * and writing.
 * @returns whether that version was still there.
 */
export async function replaceOrder(em: EntityManager, order: Order, seen: number): Promise<boolean> {
  const { title, customer, collectAt, schemaStamp, pieceCount, colours, updatedAt } = columnsOf(order)
  // bound to the statement as text: a document is large, and building it into the statement would copy it several times
  const written = await em.getKnex().raw<{ rowCount: number }>(
    `update orders set title = ?, customer = ?, collect_at = ?, document = ?::jsonb, schema_stamp = ?,
       piece_count = ?, colours = ?::jsonb, updated_at = ?, version = version + 1
     where id = ? and version = ? and deleted_at is null`,
    [
      ...[title, customer, collectAt, JSON.stringify(order), schemaStamp, pieceCount],
      ...[JSON.stringify(colours), updatedAt, order.id, seen],
    ],
  )
  return written.rowCount > 0
}
