import { settingOf } from '../icings/setting.ts'
import { timesOf } from '../icings/times.ts'
import type { Bag } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { openMinutes, type Schedule } from '../schedule/problem.ts'
import type { OrderWork, Stated } from './problem.ts'

/** A bag whose icing has stood too long when it is wanted: emptied, stirred through and filled again before that. */
export interface Refill {
  orderId: string
  bag: number
  /** Task before which it is done. */
  taskId: string
}

/**
 * Bags that stand longer than their icing stays good in a bag. Closed hours do not count for what is kept in the cold meanwhile; what
 * dries hard counts them, because there is nothing that keeps it.
 */
export function refills(
  { tasks, problem }: Stated,
  { start }: Pick<Schedule, 'start'>,
  workshop: Workshop,
): Refill[] {
  const found: Refill[] = []
  const end = (i: number) => start[i]! + tasks[i]!.minutes
  const icings = new Map(workshop.icings.map((i) => [i.id, i]))
  const stood = (bag: Bag, from: number, to: number) =>
    settingOf(icings.get(bag.icingKindId)!) === 'drying' ? to - from : openMinutes(problem.open, from, to)
  const works = [...new Set(tasks.map((t) => t.work))]
  for (const work of works)
    for (const bag of work.bags) {
      const mine = tasksOf(tasks, work, bag.number, start)
      const filled = mine.find((i) => tasks[i]!.of.kind === 'fill')
      if (filled === undefined) continue
      const most = timesOf(icings.get(bag.icingKindId)!).bagMinutes
      let from = start[filled]!
      for (const i of mine) {
        if (tasks[i]!.of.kind === 'fill' || stood(bag, from, end(i)) <= most) continue
        found.push({ orderId: work.order.id, bag: bag.number, taskId: tasks[i]!.id })
        from = start[i]!
      }
    }
  return found
}

/** Tasks that have a bag, in the order of the day. */
function tasksOf(tasks: Stated['tasks'], work: OrderWork, bag: number, start: readonly number[]): number[] {
  return tasks
    .flatMap((t, i) => (t.work === work && t.of.bags.includes(bag) ? [i] : []))
    .sort((a, b) => start[a]! - start[b]!)
}
