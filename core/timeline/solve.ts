import type { DaySettings, Settled } from '../model/day.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import type { Problem, Schedule } from '../schedule/problem.ts'
import { search, value } from '../schedule/search.ts'
import { type Refill, refills } from './freshness.ts'
import { type OrderWork, type Stated, stated } from './problem.ts'

/** Orders with their places in time. */
export interface Solved extends Stated {
  schedule: Schedule
  refills: Refill[]
  day: DaySettings
  grown: ReadonlyMap<string, number>
}

/** Bags that have stood too long are seen only in a timetable, and filling them again makes another: so often it is looked again. */
const ROUNDS = 3
/** Placings of one look again, which goes on from the last. */
const AGAIN_TRIES = 100

/**
 * Places all work of some orders in time.
 * @param like timetables of the same work under other limits: where one of them is possible here, nothing worse comes out.
 * @param tries of the search; fewer are quicker and worse.
 * @throws CircleError where settled orders contradict what must come first.
 */
export function solve(
  works: readonly OrderWork[],
  workshop: Workshop,
  day: DaySettings,
  settled: (order: Order) => Settled = (o) => o.settled,
  like: readonly Solved[] = [],
  tries?: number,
): Solved {
  let planned: Refill[] = []
  let best: Solved | null = null
  for (let round = 0; round < ROUNDS; round++) {
    const grown = refillMinutes(planned, workshop)
    const all = stated(works, workshop, day, settled, grown)
    const schedule: Schedule = search(all.problem, best ? AGAIN_TRIES : tries, best?.schedule.ranks)
    // what was once planned for stays, so that looking again comes to an end
    const more = refills(all, schedule, workshop).filter((r) => !planned.some((p) => sameRefill(p, r)))
    planned = [...planned, ...more]
    best = { ...all, schedule, refills: planned, day, grown }
    if (more.length === 0) break
  }
  let found = best!
  for (const other of like) {
    const all = stated(works, workshop, day, settled, other.grown)
    if (!allows(all.problem, other.problem)) continue
    const schedule = value(all.problem, other.schedule)
    if (schedule.cost < found.schedule.cost)
      found = { ...all, schedule, refills: other.refills, day, grown: other.grown }
  }
  return found
}

/** Whether all that is possible in one problem is possible in the other: the same work, and no limit narrower. */
function allows(wide: Problem, narrow: Problem): boolean {
  return (
    narrow.tasks.length === wide.tasks.length &&
    narrow.tasks.every((t, i) => sameTask(t, wide.tasks[i]!)) &&
    narrow.hands.every((h, i) => wide.hands[i] && (wide.hands[i].pipes || !h.pipes)) &&
    narrow.open.every((n) => wide.open.some((w) => w.from <= n.from && n.to <= w.to)) &&
    narrow.rest.after <= wide.rest.after &&
    narrow.rest.minutes >= wide.rest.minutes
  )
}

const sameTask = (a: Problem['tasks'][number], b: Problem['tasks'][number]): boolean =>
  a.minutes === b.minutes && a.fixed === b.fixed && a.due === b.due && a.next.length === b.next.length

const sameRefill = (a: Refill, b: Refill): boolean =>
  a.orderId === b.orderId && a.bag === b.bag && a.taskId === b.taskId

/** Minutes that tasks take longer because bags are filled again before them, by order and task. */
function refillMinutes(planned: readonly Refill[], { settings }: Workshop): Map<string, number> {
  const longer = new Map<string, number>()
  for (const { orderId, taskId } of planned) {
    const key = `${orderId}\n${taskId}`
    longer.set(key, (longer.get(key) ?? 0) + settings.refillMinutes)
  }
  return longer
}
