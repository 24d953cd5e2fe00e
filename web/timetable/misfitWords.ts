import { momentOf } from '#core/timeline/clock'
import type { Misfit } from '#core/timeline/misfits'
import type { Timetable } from '#core/timeline/timetable'
import { counted, formatMinutes } from '#core/units'
import type { Calendar } from '../parts/calendar.ts'

const STORE: Record<string, string> = { freezer: 'freezer', fridge: 'fridge', rack: 'rack' }

/** Which limit binds, as a sentence. */
export function misfitWords(misfit: Misfit, table: Timetable, { weekMoment }: Calendar): string {
  if (misfit.kind === 'late') {
    const title =
      table.orders.length > 1 ? `${table.orders.find((o) => o.id === misfit.orderId)?.title}: work` : 'Work'
    const since = formatMinutes(misfit.notBefore - misfit.from)
    return misfit.isNow
      ? `${title} would have had to begin at ${weekMoment(momentOf(misfit.from))}, ${since} ago.`
      : `${title} has to begin at ${weekMoment(momentOf(misfit.from))}, and may not before ${weekMoment(momentOf(misfit.notBefore))}.`
  }
  if (misfit.kind === 'full')
    return `The ${STORE[misfit.store]} is too full: ${counted(Math.ceil(misfit.most), 'tray')} at ${weekMoment(momentOf(misfit.at))}, and it takes ${misfit.takes}.`
  return 'What is locked leaves no room for the rest: let some of it go.'
}
