import type { EntityManager } from '@mikro-orm/postgresql'
import type { StoredOrder } from '#contract/orders'
import { issueFaults } from '#core/files/orderFile'
import { type Order, orderSchema } from '#core/model/order'
import type { CheckedOrder } from '../check/order.ts'
import { OrderRow } from '../entities/order.ts'
import { columnsOf, orderStamp } from '../entities/orderColumns.ts'
import { notFound, ProblemError } from '../http/problems.ts'

/** The row of an order that has not been deleted. */
export async function findOrder(em: EntityManager, id: string): Promise<OrderRow> {
  const row = await em.findOne(OrderRow, { id, deletedAt: null })
  if (!row) throw notFound('order', id)
  return row
}

/** @throws ProblemError when there is no such order, or it has been deleted. */
export async function mustBeThere(em: EntityManager, id: string): Promise<void> {
  if ((await em.count(OrderRow, { id, deletedAt: null })) === 0) throw notFound('order', id)
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

/** The documents of the orders that are due from one day on and before another, the first of them first. */
export async function findTexts(em: EntityManager, from: string, before: string, most: number) {
  const rows = await em.execute<{ stamp: string; document: string }[]>(
    `select schema_stamp as stamp, document::text as document from orders
     where deleted_at is null and collect_at >= ? and collect_at < ? order by collect_at, id limit ?`,
    [from, before, most],
  )
  return rows.map(({ stamp, document }) => ({ document, checked: stamp === orderStamp }))
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
export async function replaceOrder(
  em: EntityManager,
  { id, row }: CheckedOrder,
  seen: number,
): Promise<boolean> {
  // bound to the statement as text: a document is large, and building it into the statement would copy it several times
  const written = await em.getKnex().raw<{ rowCount: number }>(
    `update orders set title = ?, customer = ?, collect_at = ?, document = ?::jsonb, schema_stamp = ?,
       piece_count = ?, colours = ?::jsonb, updated_at = ?, version = version + 1
     where id = ? and version = ? and deleted_at is null`,
    [
      ...[row.title, row.customer, row.collectAt, row.document, row.schemaStamp, row.pieceCount],
      ...[JSON.stringify(row.colours), row.updatedAt, id, seen],
    ],
  )
  return written.rowCount > 0
}
