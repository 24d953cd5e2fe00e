import type { DaySettings, OpenHours } from '../model/day.ts'
import type { Order } from '../model/order.ts'
import { CircleError, inOrder } from '../schedule/problem.ts'
import { counted, formatMinutes } from '../units.ts'
import { DAY_MINUTES } from './clock.ts'
import type { OrderWork, Stated } from './problem.ts'
import { taskWords } from './words.ts'

/** Something that no timetable can be made with: where it is said, and what to do. */
export interface DayFault {
  code:
    | 'never-open'
    | 'no-hours'
    | 'nobody-pipes'
    | 'rest-too-long'
    | 'stretch-too-long'
    | 'too-much-work'
    | 'settled-past'
    | 'settled-closed'
    | 'settled-late'
    | 'settled-contradict'
    | 'settled-circle'
  /** Whose: a setting of the bakery, or what was settled for one order. */
  about: { kind: 'settings'; field: string } | { kind: 'order'; orderId: string; taskIds: string[] }
  message: string
}

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const WEEK_MINUTES = 7 * DAY_MINUTES
/** More tasks than this are more work than one timetable is any help with. */
export const MOST_TASKS = 900

const isOpen = (h: OpenHours): h is { from: number; to: number } => h !== null && h.to > h.from
const settings = (field: string) => ({ kind: 'settings' as const, field })

/** What is wrong with the bakery's hours, hands and limits, whatever the order. */
export function settingFaults(day: DaySettings): DayFault[] {
  const faults: DayFault[] = []
  day.week.forEach((h, i) => {
    if (h && h.to <= h.from)
      faults.push({
        code: 'no-hours',
        about: settings('week'),
        message: `Opening hours: ${WEEKDAYS[i]} has none, because it ends when it begins or before. Give it a later end, or close it.`,
      })
  })
  if (!day.week.some(isOpen))
    faults.push({
      code: 'never-open',
      about: settings('week'),
      message: 'Opening hours: every day is closed, so nothing can be worked on. Open at least one day.',
    })
  if (!day.hands.some((h) => h.pipes))
    faults.push({
      code: 'nobody-pipes',
      about: settings('hands'),
      message: 'Hands: nobody of them pipes. Let at least one pair of hands pipe.',
    })
  if (day.restMinutes >= WEEK_MINUTES)
    faults.push({
      code: 'rest-too-long',
      about: settings('restMinutes'),
      message: `Rest for the hand: ${formatMinutes(day.restMinutes)} is longer than a week, so nobody could pipe on. Ten minutes are usual.`,
    })
  const longest = Math.max(0, ...day.week.map((h) => (isOpen(h) ? h.to - h.from : 0)))
  if (longest > 0 && day.stretchMinutes > longest)
    faults.push({
      code: 'stretch-too-long',
      about: settings('stretchMinutes'),
      message: `Longest at one thing: ${formatMinutes(day.stretchMinutes)} is longer than your longest day, which has ${formatMinutes(longest)}. Make it shorter, or open for longer.`,
    })
  return faults
}

/** Work that is too much for one timetable, told before anything is searched. */
export function sizeFaults(works: readonly OrderWork[], day: DaySettings): DayFault[] {
  const minutes = works.flatMap((w) => w.activities).reduce((sum, a) => sum + a.minutes, 0)
  const count = works.reduce((sum, w) => sum + w.activities.length, 0)
  const tasks = count + minutes / Math.min(day.stretchMinutes, day.restAfterMinutes)
  if (tasks <= MOST_TASKS) return []
  return [
    {
      code: 'too-much-work',
      about: { kind: 'order', orderId: works[0]!.order.id, taskIds: [] },
      message: `This is ${formatMinutes(minutes)} of work in about ${counted(Math.round(tasks), 'task')}; a timetable takes ${MOST_TASKS}. Split the order, or look at fewer orders together.`,
    },
  ]
}

/**
 * What was settled and cannot be kept.
 * @param now minute of the long clock; null where the past does not matter.
 */
export function settledFaults(all: Stated, works: readonly OrderWork[], now: number | null): DayFault[] {
  const faults: DayFault[] = []
  const { tasks, problem } = all
  const words = (i: number) => `“${taskWords(tasks[i]!.of)}”`
  const about = (work: { order: Pick<Order, 'id'> }, ...indices: number[]) => ({
    kind: 'order' as const,
    orderId: work.order.id,
    taskIds: indices.map((i) => tasks[i]!.id),
  })
  tasks.forEach(({ work }, i) => {
    const { fixed, minutes, due } = problem.tasks[i]!
    if (fixed === null) return
    if (now !== null && fixed < now)
      faults.push({
        code: 'settled-past',
        about: about(work, i),
        message: `The locked start of ${words(i)} is past. Let it go, or lock it later.`,
      })
    if (fixed + minutes > due)
      faults.push({
        code: 'settled-late',
        about: about(work, i),
        message: `The locked start of ${words(i)} is too late: it would end after everything must be done. Let it go, or lock it earlier.`,
      })
    else if (!problem.open.some((w) => w.from <= fixed && fixed + minutes <= w.to))
      faults.push({
        code: 'settled-closed',
        about: about(work, i),
        message: `The locked start of ${words(i)} lies outside your opening hours, or the task ends after them. Let it go, lock another time, or open for longer.`,
      })
  })
  const circle = circleOf(problem.tasks)
  if (circle) {
    const own = works.find((w) =>
      w.order.settled.orders.some((o) => circle.some((i) => tasks[i]!.id === o.firstId)),
    )
    if (own)
      faults.push({
        code: 'settled-circle',
        about: about(own, ...circle),
        message: `What is locked goes round in a circle: ${circle.map(words).join(' before ')} before ${words(circle[0]!)}. Let one of these go.`,
      })
    return faults
  }
  faults.push(...contradictions(all, about, words))
  return faults
}

function circleOf(tasks: Stated['problem']['tasks']): readonly number[] | null {
  try {
    inOrder(tasks)
    return null
  } catch (error) {
    if (error instanceof CircleError) return error.tasks
    throw error
  }
}

/** Settled starts of which one leads to another, with too little time between; and more at once than there are hands. */
function contradictions(
  { tasks, problem }: Stated,
  about: (work: Stated['tasks'][number]['work'], ...indices: number[]) => DayFault['about'],
  words: (i: number) => string,
): DayFault[] {
  const fixed = problem.tasks.flatMap((t, i) => (t.fixed === null ? [] : [i]))
  const faults: DayFault[] = []
  for (const i of fixed) {
    const reach = soonest(problem.tasks, i)
    for (const j of fixed) {
      const at = reach.get(j)
      if (i === j || at === undefined || at <= problem.tasks[j]!.fixed!) continue
      faults.push({
        code: 'settled-contradict',
        about: about(tasks[i]!.work, i, j),
        message: `Two locked starts contradict each other: ${words(j)} cannot begin before ${words(i)} and all between them are done, which takes ${formatMinutes(at - problem.tasks[i]!.fixed!)}. Let one of them go.`,
      })
    }
  }
  for (const i of fixed) {
    const { fixed: at, minutes } = problem.tasks[i]!
    const same = fixed.filter(
      (j) => problem.tasks[j]!.fixed! <= at! && problem.tasks[j]!.fixed! + problem.tasks[j]!.minutes > at!,
    )
    if (minutes > 0 && same.length > problem.hands.length)
      faults.push({
        code: 'settled-contradict',
        about: about(tasks[i]!.work, ...same),
        message: `Two locked starts contradict each other: ${same.map(words).join(' and ')} are locked to the same time, and there ${problem.hands.length === 1 ? 'is one pair' : `are ${problem.hands.length} pairs`} of hands. Let one of them go.`,
      })
  }
  return faults
}

/** The soonest that everything which comes after a settled task can begin. */
function soonest(tasks: Stated['problem']['tasks'], from: number): Map<number, number> {
  const at = new Map<number, number>([[from, tasks[from]!.fixed!]])
  for (const i of inOrder(tasks)) {
    const own = at.get(i)
    if (own === undefined) continue
    for (const { task, lag } of tasks[i]!.next)
      at.set(task, Math.max(at.get(task) ?? Number.NEGATIVE_INFINITY, own + tasks[i]!.minutes + lag))
  }
  return at
}
