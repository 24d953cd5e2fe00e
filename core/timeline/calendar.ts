import ical from 'ical-generator'
import { momentOf } from './clock.ts'
import type { TimedTask, Timetable } from './timetable.ts'
import { taskWords, whyWords } from './words.ts'

/** The same task of the same order always has the same name, so that a calendar which takes it in again moves it. */
const uidOf = ({ orderId, id }: Pick<TimedTask, 'orderId' | 'id'>): string =>
  `${encodeURIComponent(orderId)}.${encodeURIComponent(id)}@kanten`

/** Times of the bakery's own clock, in no zone: what is written is what the clock on the wall shows. */
const written = (minute: number) => new Date(minute * 60_000)

/**
 * A timetable as an iCalendar file (RFC 5545): every task as an event in local time, and each collection.
 * @param stamp moment of writing: a later file is known as the later one by it.
 */
export function calendarFile(table: Timetable, name: string, stamp: Date): string {
  // minutes only ever grow
  const sequence = Math.floor(stamp.getTime() / 60_000)
  // a name is one line
  const calendar = ical({
    name: name.replaceAll(/\s+/g, ' '),
    prodId: { company: 'Kanten', product: 'Timetable' },
  })
  for (const task of table.tasks)
    calendar.createEvent({
      id: uidOf(task),
      start: written(task.from),
      end: written(task.to),
      floating: true,
      summary: taskWords(task),
      description: [
        table.hands[task.hand]?.name ?? '',
        task.bags.length > 0 ? `Bags ${task.bags.join(', ')}.` : '',
        whyWords(table, task, (m) => momentOf(m).replace('T', ' ')),
        ...task.notes,
      ]
        .filter(Boolean)
        .join('\n'),
      ...{ stamp, sequence },
    })
  for (const order of table.orders)
    calendar.createEvent({
      id: uidOf({ orderId: order.id, id: 'collect' }),
      start: written(order.collect),
      end: written(order.collect),
      floating: true,
      summary: `${order.title}: collection`,
      ...{ stamp, sequence },
    })
  return `${calendar.toString()}\r\n`
}
