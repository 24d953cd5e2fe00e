import type { StoredOrder } from '#contract/orders'
import type { Order } from '#core/model/order'
import { api } from './api.ts'
import type { Transport } from './documentSync.ts'

/** How an order is stored. */
export function orderTransport(id: string): Transport<Order> {
  return {
    save: (order, version) => api(`/orders/${id}`, { method: 'PUT', body: order, version }),
    read: async () => {
      const { order, version } = await api<StoredOrder>(`/orders/${id}`)
      return { document: order, version }
    },
  }
}

/** What the draft of an order is kept under in this browser. */
export const orderDraftName = (id: string) => `order/${id}`
