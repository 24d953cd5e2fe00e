import type { StoredOrder } from '#contract/orders'
import type { LineRead } from '#core/line/meant'
import { titleOf } from '#core/line/title'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { createOrder, deleteOrder, reloadOrders } from '../data/orders.ts'
import { orderTransport } from '../data/orderTransport.ts'
import { nextWeek } from '../parts/calendar.ts'
import { placing } from '../workers/placing.ts'

/** A new order with everything that a line asks for, stored. */
export async function makeOrder(read: LineRead, workshop: Workshop): Promise<StoredOrder['order']> {
  const { order, version } = await createOrder(titleOf(read.pieces), read.day ?? nextWeek())
  try {
    const made = await placing(workshop).withLine(order, read)
    await orderTransport(order.id).save(made, version)
    await reloadOrders()
    return made
  } catch (error) {
    // the line stays in its box; an empty order of that name would only be in the way
    await deleteOrder(order.id)
    throw error
  }
}

/** What a line adds to an order, as a change to it as it is by then. */
export async function lineAdded(
  order: Order,
  read: LineRead,
  workshop: Workshop,
): Promise<(now: Order) => Order> {
  const made = await placing(workshop).withLine(order, read)
  const known = new Set(order.colours.map((c) => c.id))
  const pieces = made.pieces.slice(order.pieces.length)
  const colours = made.colours.filter((c) => !known.has(c.id))
  return (now) => ({
    ...now,
    collectAt: read.day ?? now.collectAt,
    avoid: [...new Set([...now.avoid, ...read.avoid])],
    colours: [...now.colours, ...colours],
    pieces: [...now.pieces, ...pieces],
  })
}
