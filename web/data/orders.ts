import useSWR, { mutate } from 'swr'
import type { ImportedOrder, OrderList, StoredOrder } from '#contract/orders'
import { api } from './api.ts'

const KEY = '/orders'

/** Every order, by due day. */
export function useOrders() {
  const { data, error, isLoading } = useSWR<OrderList, Error>(KEY, api)
  return { orders: data?.orders, error, isLoading }
}

export const reloadOrders = () => mutate(KEY)

async function andReload<T>(call: Promise<T>): Promise<T> {
  const answer = await call
  await reloadOrders()
  return answer
}

export const createOrder = (title: string, collectAt: string) =>
  andReload(api<StoredOrder>(KEY, { method: 'POST', body: { title, collectAt } }))

export const duplicateOrder = (id: string) =>
  andReload(api<StoredOrder>(`${KEY}/${id}/duplicate`, { method: 'POST' }))

export const deleteOrder = (id: string) => andReload(api<void>(`${KEY}/${id}`, { method: 'DELETE' }))

export const restoreOrder = (id: string) =>
  andReload(api<StoredOrder>(`${KEY}/${id}/restore`, { method: 'POST' }))

/** Sends a file as it was read: the server names every fault in it. */
export const importOrder = (text: string) =>
  andReload(api<ImportedOrder>(`${KEY}/import`, { method: 'POST', body: text }))
