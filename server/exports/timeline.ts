import type { Fault } from '#core/model/faults'
import type { Order } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { UnplannableOrderError } from '#core/plan/index'
import { calendarFile } from '#core/timeline/calendar'
import { momentOf } from '#core/timeline/clock'
import { BenchDays } from '#core/timeline/day'
import type { Timetable } from '#core/timeline/timetable'
import { doesWords, whyWords } from '#core/timeline/words'

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

/** The timetable as rows: start, end, who, what, where, why then. */
export function timelineRows(plan: Plan, order: Order, workshop: Workshop) {
  const table = tableOf(plan, order, workshop)
  const clock = (minute: number) => momentOf(minute).replace('T', ' ')
  return table.tasks.map((t) => ({
    start: clock(t.from),
    end: clock(t.to),
    minutes: t.to - t.from,
    who: table.hands[t.hand]?.name ?? '',
    does: doesWords(t.kind),
    what: t.what,
    where: t.where,
    bags: t.bags.join(' '),
    settled: t.settled ? 'yes' : '',
    slack: t.noSlack ? 'none' : '',
    why: whyWords(table, t, clock),
    notes: t.notes.join(' '),
  }))
}

/** The timetable as an iCalendar file, as it is written now. */
export function timelineCalendar(plan: Plan, order: Order, workshop: Workshop): string {
  const now = new Date()
  // minutes only ever grow, so that a later file is known as the later one
  return calendarFile(tableOf(plan, order, workshop), order.title, now, Math.floor(now.getTime() / 60_000))
}
