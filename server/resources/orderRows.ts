import type { EntityManager } from '@mikro-orm/postgresql'
import type { OrderSummary, StoredOrder } from '#contract/orders'
import { type Order, orderSchema } from '#core/model/order'
import { OrderRow, PieceRow } from '../entities/order.ts'
import { notFound } from '../problems.ts'

/** The row of an order that has not been deleted, its pieces loaded. */
export async function findOrder(em: EntityManager, id: string): Promise<OrderRow> {
  const row = await em.findOne(OrderRow, { id, deletedAt: null }, { populate: ['pieces'] })
  if (!row) throw notFound('order', id)
  return row
}

/** A row as the order it stores. */
export function toOrder(row: OrderRow): Order {
  return orderSchema.parse({
    ...row.details,
    id: row.id,
    title: row.title,
    customer: row.customer,
    collectAt: row.collectAt,
    pieces: row.pieces
      .getItems()
      .sort((a, b) => a.position - b.position)
      .map((piece) => ({ ...piece.spec, id: piece.id, name: piece.name, count: piece.count })),
  })
}

export function toStored(row: OrderRow): StoredOrder {
  return { order: toOrder(row), version: row.version }
}

export function toSummary(row: OrderRow): OrderSummary {
  return {
    id: row.id,
    title: row.title,
    customer: row.customer,
    collectAt: row.collectAt,
    pieces: row.pieces.getItems().reduce((sum, piece) => sum + piece.count, 0),
    colours: row.details.colours.map((c) => c.hex),
    version: row.version,
  }
}

/** Stores a new order. */
export function insertOrder(em: EntityManager, order: Order): OrderRow {
  const { id, title, customer, collectAt, pieces, ...details } = order
  const row = em.create(OrderRow, { id, title, customer, collectAt, details, updatedAt: new Date() })
  setPieces(em, row, pieces)
  return row
}

/** Overwrites a stored order; its version goes up even when only its pieces changed. */
export function updateOrder(em: EntityManager, row: OrderRow, order: Order): void {
  const { id: _id, title, customer, collectAt, pieces, ...details } = order
  Object.assign(row, { title, customer, collectAt, details, updatedAt: new Date() })
  setPieces(em, row, pieces)
}

function setPieces(em: EntityManager, row: OrderRow, pieces: Order['pieces']): void {
  const stored = new Map(row.pieces.getItems().map((piece) => [piece.id, piece]))
  const kept = pieces.map(({ id, name, count, ...spec }, position) => {
    const piece = stored.get(id)
    if (piece) return Object.assign(piece, { name, count, spec, position })
    return em.create(PieceRow, { order: row, id, name, count, spec, position })
  })
  row.pieces.set(kept)
}
