import { useEffect, useMemo, useState } from 'react'
import useSWR from 'swr'
import type { StoredOrder } from '#contract/orders'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { AHEAD_DAYS, MOST_TOGETHER } from '#core/timeline/starts'
import { today } from '../parts/calendar.ts'
import { dayAfter } from '../parts/time.ts'
import { type Days, useDays } from '../workers/days.ts'
import { api } from './api.ts'
import { useOrders } from './orders.ts'

/** The orders of the coming days on one bench. */
export interface ComingDays extends Days {
  orders: Order[] | undefined
  /** Orders of these days that are too many to be placed together. */
  leftOut: number
}

/** Whoever only passes through need not wait for all orders to be planned, ms. */
const STAYS_MS = 900

function useStayed(): boolean {
  const [stayed, setStayed] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setStayed(true), STAYS_MS)
    return () => clearTimeout(timer)
  }, [])
  return stayed
}

/** Orders to come, placed in time together: they share hands, mixer, shelves and bowls of equal colours. */
export function useComingDays(workshop: Workshop | undefined): ComingDays {
  const from = today()
  const stayed = useStayed()
  const { orders: listed } = useOrders('coming', from, '')
  const near = useMemo(() => listed?.filter((o) => o.collectAt < dayAfter(from, AHEAD_DAYS)), [listed, from])
  const wanted = near?.slice(0, MOST_TOGETHER)
  const { data: orders } = useSWR(
    stayed && wanted ? ['coming days', wanted.map((o) => `${o.id} ${o.version}`).join()] : null,
    () => Promise.all(wanted!.map(async (o) => (await api<StoredOrder>(`/orders/${o.id}`)).order)),
    { keepPreviousData: true, revalidateOnFocus: false },
  )
  const days = useDays(
    useMemo(() => orders?.map((order) => ({ order, plan: null })), [orders]),
    workshop,
    true,
  )
  return { ...days, orders, leftOut: (near?.length ?? 0) - (wanted?.length ?? 0) }
}
