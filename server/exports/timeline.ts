import type { Fault } from '#core/model/faults'
import type { Order } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { UnplannableOrderError } from '#core/plan/index'
import { calendarFile } from '#core/timeline/calendar'
import { BenchDays } from '#core/timeline/day'
import { timelineRows } from '#core/timeline/rows'
import type { Timetable } from '#core/timeline/timetable'

/** @throws UnplannableOrderError naming what stands in the way of a timetable. */
function tableOf(plan: Plan, order: Order, workshop: Workshop): Timetable {
  const { table, faults } = new BenchDays([{ order, plan }], workshop).answer(null)
  if (table) return table
  throw new UnplannableOrderError(
    faults.map(
      ({ about, message }): Fault => ({
        path: about.kind === 'settings' ? ['settings', 'day', about.field] : ['settled'],
        message,
      }),
    ),
  )
}

/** The timetable of an order as rows. @throws as its calendar does. */
export const timelineTable = (plan: Plan, order: Order, workshop: Workshop) =>
  timelineRows(tableOf(plan, order, workshop))

/** The timetable as an iCalendar file, as it is written now. */
export function timelineCalendar(plan: Plan, order: Order, workshop: Workshop): string {
  return calendarFile(tableOf(plan, order, workshop), order.title, new Date())
}
