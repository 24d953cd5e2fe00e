import type { Store } from './activity.ts'
import { minuteOf } from './clock.ts'
import type { OrderWork } from './problem.ts'
import type { Timetable } from './timetable.ts'

/** Why a timetable, however good, cannot be worked. */
export type Misfit =
  /** An order would have had to be begun before now, or before its work may begin. */
  | { kind: 'late'; orderId: string; from: number; notBefore: number; isNow: boolean }
  /** A store is fuller than it can be. */
  | { kind: 'full'; store: Store; most: number; takes: number; at: number }
  /** What is settled leaves no room. */
  | { kind: 'settled' }

/** @param now minute of the long clock; null where the past does not matter. */
export function misfits(table: Timetable, works: readonly OrderWork[], now: number | null): Misfit[] {
  const late = table.orders.flatMap(({ id, from }): Misfit[] => {
    const { notBefore } = works.find((w) => w.order.id === id)!.order.settled
    const wanted = notBefore === null ? Number.NEGATIVE_INFINITY : minuteOf(notBefore)
    const least = Math.max(now ?? Number.NEGATIVE_INFINITY, wanted)
    return from < least
      ? [{ kind: 'late', orderId: id, from, notBefore: least, isNow: least !== wanted }]
      : []
  })
  const full = table.stores.flatMap(({ store, most, takes, at }): Misfit[] =>
    most > takes + 1e-9 ? [{ kind: 'full', store, most, takes, at }] : [],
  )
  return [...late, ...full, ...(table.broken > 0 ? [{ kind: 'settled' as const }] : [])]
}
