import { type Random, seeded } from '../random.ts'
import { decode, type Prepared } from './decode.ts'
import { prepare } from './prepare.ts'
import { openMinutes, type Problem, type Schedule } from './problem.ts'
import { fullness, kept } from './stores.ts'

/**
 * Times that tasks are placed in one search: so many in all, fewer where there are many tasks, and never fewer than so many. Sixty
 * tasks take a tenth of a second, two hundred a third.
 */
const MOST_TRIES = 1200
const TASK_TRIES = 50_000
const LEAST_TRIES = 100
/** Broken minutes weigh more than any span. */
const BROKEN = 1e6
/** A day earlier than need be weighs as much as a minute of span. */
const EARLY = 1 / 1440

/**
 * A good timetable: tasks placed backwards by rank, ranks first by the longest chain before each task, then changed by chance as
 * long as nothing gets worse. The same problem gives the same timetable.
 * @param tries times that tasks are placed; fewer are quicker and worse.
 * @param from ranks of a like problem, to go on from.
 * @throws CircleError
 */
export function search(
  problem: Problem,
  tries = triesFor(problem.tasks.length),
  from: Float64Array | null = null,
): Schedule {
  const prepared = prepare(problem)
  const { head } = prepared
  const n = problem.tasks.length
  if (n === 0) return value(problem, { start: [], hand: [], broken: 0 })
  const random = seeded(n)
  const placed = (by: Float64Array) => ({ ...value(problem, decode(prepared, by)), ranks: by })
  // the longest chain before each first; or, so that what is kept somewhere is fetched soon after it came, chain after chain
  const begins = [Float64Array.from(head), depthFirst(prepared), ...(from ? [from] : [])].map(placed)
  let now = begins.reduce((best, other) => (other.cost < best.cost ? other : best))
  const least = lowest(problem)
  for (let round = 0; round < tries && now.cost > least; round++) {
    const changed = now.ranks.slice()
    shake(changed, random)
    const next = placed(changed)
    if (next.cost <= now.cost) now = next
  }
  return now
}

const triesFor = (tasks: number): number =>
  Math.max(LEAST_TRIES, Math.min(MOST_TRIES, Math.floor(TASK_TRIES / Math.max(1, tasks))))

/** One rank drawn anew, or two exchanged. */
function shake(ranks: Float64Array, random: Random): void {
  const pick = () => Math.floor(random() * ranks.length)
  const [i, j] = [pick(), pick()]
  if (random() < 0.5) {
    const own = ranks[i]!
    ranks[i] = ranks[j]!
    ranks[j] = own
  } else {
    // just over or just under another
    ranks[i] = ranks[j]! + (random() - 0.5)
  }
}

/** Ranks by which a chain is placed to its beginning before the next is begun. */
function depthFirst({ problem: { tasks }, before }: Prepared): Float64Array {
  const ranks = new Float64Array(tasks.length)
  const seen = new Uint8Array(tasks.length)
  let rank = 0
  const path = tasks.flatMap((t, i) => (t.next.length === 0 ? [i] : []))
  while (path.length > 0) {
    const i = path.pop()!
    if (seen[i]) continue
    seen[i] = 1
    ranks[i] = rank++
    path.push(...before[i]!)
  }
  return ranks
}

/** What a timetable costs. */
export function value(problem: Problem, placed: Pick<Schedule, 'start' | 'hand' | 'broken'>): Schedule {
  const { tasks, groups, open, stores } = problem
  const { start } = placed
  const all = kept(problem, start)
  let overflow = 0
  stores.forEach((_, s) => {
    overflow += fullness(problem, all, s).over
  })
  let span = 0
  for (const group of groups) {
    let [first, last] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY]
    for (const i of group) {
      first = Math.min(first, start[i]!)
      last = Math.max(last, tasks[i]!.due)
    }
    if (group.length > 0) span += openMinutes(open, first, last)
  }
  let early = 0
  tasks.forEach(({ due }, i) => {
    early += due - start[i]!
  })
  const wait = tasks.length === 0 ? 0 : (EARLY * early) / tasks.length
  return {
    ...placed,
    ranks: null,
    overflow,
    span,
    cost: BROKEN * (placed.broken + overflow) + span + wait,
  }
}

/** Nothing can cost less: every minute of work within what is open for it, shared by all hands. */
function lowest({ groups, tasks, hands }: Problem): number {
  let sum = 0
  for (const group of groups) {
    let load = 0
    for (const i of group) load += tasks[i]!.minutes
    sum += load / hands.length
  }
  // within a minute of it is good enough to stop
  return groups.length === 1 ? sum + 1 : 0
}
