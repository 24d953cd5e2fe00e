import type { DaySettings } from '../model/day.ts'
import { DAY_MINUTES, dayOf } from './clock.ts'
import { openWindows } from './hours.ts'
import type { Misfit } from './misfits.ts'
import type { Timetable } from './timetable.ts'

/** How full one day is. */
export interface DayLoad {
  /** Days since 1970. */
  day: number
  /** Minutes of hands that there are, and that each order takes of them. */
  openMinutes: number
  byOrder: { orderId: string; minutes: number }[]
  /** Minutes of work that orders fetched that day would have needed before now; 0 where all of it fits. */
  tooMuch: number
}

/**
 * The load of every day from one to another.
 * @param from first day, since 1970; `to` is the last.
 * @param misfits of the timetable: days are overfull whose orders begin too late.
 */
export function loadByDay(
  table: Pick<Timetable, 'tasks' | 'orders' | 'hands'>,
  day: Pick<DaySettings, 'week'>,
  misfits: readonly Misfit[],
  from: number,
  to: number,
): DayLoad[] {
  return Array.from({ length: to - from + 1 }, (_, i) => {
    const own = from + i
    const open = openWindows(day, own * DAY_MINUTES, (own + 1) * DAY_MINUTES).reduce(
      (sum, w) => sum + w.to - w.from,
      0,
    )
    const late = misfits.flatMap((m) => (m.kind === 'late' ? [m] : []))
    const tooMuch = late
      .filter((m) => dayOf(table.orders.find((o) => o.id === m.orderId)!.collect) === own)
      .reduce((sum, m) => sum + minutesOf(table, m.orderId, (t) => t.from < m.notBefore), 0)
    return {
      day: own,
      openMinutes: open * table.hands.length,
      byOrder: table.orders
        .map((o) => ({ orderId: o.id, minutes: minutesOf(table, o.id, (t) => dayOf(t.from) === own) }))
        .filter((o) => o.minutes > 0),
      tooMuch,
    }
  })
}

const minutesOf = (
  table: Pick<Timetable, 'tasks'>,
  orderId: string,
  of: (task: Timetable['tasks'][number]) => boolean,
): number => table.tasks.reduce((sum, t) => sum + (t.orderId === orderId && of(t) ? t.to - t.from : 0), 0)
