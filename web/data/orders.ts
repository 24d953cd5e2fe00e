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
  const first = `${KEY}?${question}`
  const keyOf = (page: number, before: OrderList | null) => {
    if (page > 0 && !before?.next) return null
    const after = before?.next ? `&after=${encodeURIComponent(before.next)}` : ''
    return `${first}${after}`
  }
  const { data, error, isLoading, size, setSize, mutate } = useSWRInfinite<OrderList, Error>(
    keyOf,
    fetchList,
    {
      keepPreviousData: true,
      revalidateFirstPage: true,
    },
  )
  useEffect(() => {
    const again = () => mutate()
    shownLists.add(again)
    // what was fetched a moment ago is taken as it is, unless an order has come or gone since
    if (isBehind(first)) void again()
    return () => {
      shownLists.delete(again)
    }
  }, [mutate, first])
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

/** How often orders have come or gone, and how often that was when each list was last fetched. */
let changes = 0
const fetchedAt = new Map<string, number>()

async function fetchList(path: string): Promise<OrderList> {
  const as = changes
  const list = await api<OrderList>(path)
  fetchedAt.set(path, as)
  return list
}
const isBehind = (path: string) => (fetchedAt.get(path) ?? changes) < changes

/** Every list of orders on screen asks again; one that is not, when it is looked at next. */
export function reloadOrders(): Promise<unknown[]> {
  changes += 1
  return Promise.all([...shownLists].map((again) => again()))
}

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
