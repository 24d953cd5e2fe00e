import { momentOf } from './clock.ts'
import type { Timetable } from './timetable.ts'
import { doesWords, whyWords } from './words.ts'

/** A timetable as rows for a table outside: start, end, who, what, where, why then. */
export function timelineRows(table: Timetable) {
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
