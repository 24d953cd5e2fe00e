import type { Order } from '../model/order.ts'

/** A task settled to begin at a moment; one that was settled before is moved. */
export const settleStart = (order: Order, taskId: string, at: string): Order => ({
  ...order,
  settled: {
    ...order.settled,
    starts: [...order.settled.starts.filter((s) => s.taskId !== taskId), { taskId, at }],
  },
})

/** A task settled to come before another; the other way round is let go. */
export const settleOrder = (order: Order, firstId: string, thenId: string): Order => ({
  ...order,
  settled: {
    ...order.settled,
    orders: [
      ...order.settled.orders.filter(
        (o) =>
          !(o.firstId === firstId && o.thenId === thenId) && !(o.firstId === thenId && o.thenId === firstId),
      ),
      { firstId, thenId },
    ],
  },
})

/** All that is settled about some tasks let go. */
export function letGo(order: Order, taskIds: readonly string[]): Order {
  const gone = new Set(taskIds)
  return {
    ...order,
    settled: {
      ...order.settled,
      starts: order.settled.starts.filter((s) => !gone.has(s.taskId)),
      orders: order.settled.orders.filter((o) => !gone.has(o.firstId) && !gone.has(o.thenId)),
    },
  }
}

/** Everything that was settled about its tasks let go. */
export const letAllGo = (order: Order): Order => ({
  ...order,
  settled: { ...order.settled, starts: [], orders: [] },
})
