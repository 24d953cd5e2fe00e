import { momentOf } from './clock.ts'
import type { DayAnswer } from './day.ts'

/** When an order has to be begun among all others, and whether it still can be. */
export interface OrderStart {
  orderId: string
  /** Moment like 2026-11-28T14:00. */
  from: string
  fits: boolean
}

/** Orders that are due within so many days are placed in time together, and never more of them than so many. */
export const AHEAD_DAYS = 15
export const MOST_TOGETHER = 24

/** The start of each order that has any work in a timetable; none where there is no timetable. */
export function orderStarts({ table, misfits }: DayAnswer): OrderStart[] {
  if (!table) return []
  const late = new Set(misfits.flatMap((m) => (m.kind === 'late' ? [m.orderId] : [])))
  const worked = new Set(table.tasks.map((t) => t.orderId))
  return table.orders
    .filter(({ id }) => worked.has(id))
    .map(({ id, from }) => ({ orderId: id, from: momentOf(from), fits: !late.has(id) }))
}
