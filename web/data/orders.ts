import { useEffect } from 'react'
import useSWRInfinite from 'swr/infinite'
import type { ImportedOrder, OrderList, StoredOrder } from '#contract/orders'
import { api } from './api.ts'

const KEY = '/orders'
/** A page of the list: more than most bakeries have before them. */
const PAGE = 100

/** Which orders: those still to come, soonest first, or those that are past, latest first. */
export type OrdersShown = 'coming' | 'past'

/**
 * Orders a page at a time.
 * @param today as YYYY-MM-DD where the bakery is.
 */
export function useOrders(shown: OrdersShown, today: string, search: string) {
  const question = new URLSearchParams(
    shown === 'coming' ? { from: today } : { before: today, latestFirst: '1' },
  )
  question.set('limit', String(PAGE))
  if (search.trim()) question.set('search', search.trim())
  const keyOf = (page: number, before: OrderList | null) => {
    if (page > 0 && !before?.next) return null
    const after = before?.next ? `&after=${encodeURIComponent(before.next)}` : ''
    return `${KEY}?${question}${after}`
  }
  const { data, error, isLoading, size, setSize, mutate } = useSWRInfinite<OrderList, Error>(keyOf, api, {
    keepPreviousData: true,
    revalidateFirstPage: true,
  })
  useEffect(() => {
    const again = () => mutate()
    shownLists.add(again)
    return () => {
      shownLists.delete(again)
    }
  }, [mutate])
  return {
    orders: data?.flatMap((page) => page.orders),
    total: data?.[0]?.total ?? 0,
    error,
    isLoading,
    more: data?.at(-1)?.next ? () => void setSize(size + 1) : null,
  }
}

/** Every list of orders on screen. */
const shownLists = new Set<() => Promise<unknown>>()

/** Every list of orders on screen asks again. */
export const reloadOrders = () => Promise.all([...shownLists].map((again) => again()))

async function andReload<T>(call: Promise<T>): Promise<T> {
  const answer = await call
  await reloadOrders()
  return answer
}

export const createOrder = (title: string, collectAt: string) =>
  andReload(api<StoredOrder>(KEY, { method: 'POST', body: { title, collectAt } }))

export const duplicateOrder = (id: string) =>
  andReload(api<StoredOrder>(`${KEY}/${id}/duplicate`, { method: 'POST' }))

/** A new order with everything of another, under a name and for a day of its own. */
export const orderLike = (id: string, title: string, collectAt: string): Promise<StoredOrder> =>
  andReload(
    (async () => {
      const { order, version } = await api<StoredOrder>(`${KEY}/${id}/duplicate`, { method: 'POST' })
      const named = { ...order, title, collectAt }
      const saved = await api<{ version: number }>(`${KEY}/${order.id}`, {
        method: 'PUT',
        version,
        body: named,
      })
      return { order: named, version: saved.version }
    })(),
  )

export const deleteOrder = (id: string) => andReload(api<void>(`${KEY}/${id}`, { method: 'DELETE' }))

/** Sends a file as it was read: the server names every fault in it. */
export const importOrder = (text: string) =>
  andReload(api<ImportedOrder>(`${KEY}/import`, { method: 'POST', body: text }))
