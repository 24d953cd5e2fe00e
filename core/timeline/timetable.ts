import type { Workshop } from '../model/workshop.ts'
import { lowerBound } from '../schedule/bound.ts'
import { openMinutes } from '../schedule/problem.ts'
import { fullness, kept } from '../schedule/stores.ts'
import { criticalChain, reasons, type Why } from '../schedule/why.ts'
import { type ActivityKind, STORES, type Store, type WaitKind } from './activity.ts'
import { cautions } from './cautions.ts'
import type { OrderWork } from './problem.ts'
import type { Solved } from './solve.ts'

/** What keeps a task from being later. */
export type TaskWhy =
  | { kind: 'settled' | 'closing' | 'due' }
  /** Another task that comes after it, so many minutes later at the least; or has its hands, or what it holds. */
  | { kind: 'next' | 'hand' | 'held' | 'rest'; taskId: string; orderId: string; lag: number }

/** One bar of a timetable: hands at work. Minutes of the long clock throughout. */
export interface TimedTask {
  id: string
  orderId: string
  kind: ActivityKind
  what: string
  where: string
  from: number
  to: number
  /** Which pair of hands, from 0. */
  hand: number
  pieceId: string | null
  flowerId: string | null
  count: number | null
  colourIds: string[]
  bags: number[]
  /** Somebody has settled when it begins. */
  settled: boolean
  /** On the chain that sets the start: nothing of it can be later. */
  noSlack: boolean
  why: TaskWhy
  /** What is done beside it: bags filled again, flowers taken out tray by tray. */
  notes: string[]
}

/** Something that stands somewhere, or runs by itself, from when to when. */
export interface Stay {
  place: Store | 'mixer'
  kind: WaitKind | 'kept'
  what: string
  orderId: string
  /** Task after which it stands there; of a piece, the piece. */
  taskId: string | null
  pieceId: string | null
  from: number
  to: number
  trays: number
}

/** A rest that a hand needs between two stretches of stiff piping. */
export interface Rest {
  hand: number
  from: number
  to: number
}

/** When everything happens. */
export interface Timetable {
  tasks: TimedTask[]
  stays: Stay[]
  rests: Rest[]
  hands: { name: string; pipes: boolean; minutes: number }[]
  /** Start of the first task, end of the last, and when the last order is fetched. */
  from: number
  to: number
  collect: number
  /** Closed hours between start and end. */
  closed: { from: number; to: number }[]
  handsOnMinutes: number
  /** Open minutes from the first task to the moment when all must be done, and the least there can be; null where that is not known. */
  openMinutes: number
  leastMinutes: number | null
  orders: { id: string; title: string; from: number; due: number; collect: number }[]
  /** How full each store gets, and what it takes. */
  stores: { store: Store; takes: number; most: number; at: number }[]
  /** Settled starts or orders that nothing belongs to any more. */
  lost: { orderId: string; taskId: string }[]
  /** What the timetable cannot keep to: minutes of broken starts, place-minutes too many. */
  broken: number
  overflow: number
  cautions: string[]
}

/** A solved timetable in words and bars. */
export function timetable(solved: Solved, works: readonly OrderWork[], workshop: Workshop): Timetable {
  const { tasks, problem, schedule, day } = solved
  const { start, hand } = schedule
  const end = (i: number) => start[i]! + tasks[i]!.minutes
  const why = reasons(problem, schedule)
  const tight = new Set(problem.groups.flatMap((g) => criticalChain(problem, schedule, why, g)))
  const from = start.length === 0 ? Math.max(0, ...works.map((w) => w.due)) : Math.min(...start)
  const to = Math.max(from, ...start.map((_, i) => end(i)))
  const due = Math.max(from, ...works.map((w) => w.due))
  const collect = Math.max(to, ...works.map((w) => w.collect))
  const timed = tasks.map(
    ({ id, of, work, part, parts }, i): TimedTask => ({
      ...{ id, orderId: work.order.id, kind: of.kind, where: of.where, from: start[i]!, to: end(i) },
      what: parts > 1 ? `${of.what} ${part} of ${parts}` : of.what,
      ...{ hand: hand[i]!, pieceId: of.pieceId, flowerId: of.flowerId, count: of.count },
      ...{ colourIds: of.colourIds, bags: of.bags, settled: problem.tasks[i]!.fixed !== null },
      noSlack: tight.has(i),
      why: whyOf(solved, why[i]!),
      notes: notesOf(solved, work.order.id, id),
    }),
  )
  const all = kept(problem, start)
  const bound = works.length === 1 ? lowerBound(problem, start) : null
  return {
    tasks: timed.sort((a, b) => a.from - b.from || a.hand - b.hand),
    stays: stays(solved).sort((a, b) => a.from - b.from),
    rests: rests(solved),
    hands: day.hands.map(({ name, pipes }, h) => ({
      name,
      pipes,
      minutes: tasks.reduce((sum, t, i) => sum + (hand[i] === h ? t.minutes : 0), 0),
    })),
    from,
    to,
    collect,
    closed: closedBetween(problem.open, from, due),
    handsOnMinutes: tasks.reduce((sum, t) => sum + t.minutes, 0),
    openMinutes: openMinutes(problem.open, from, due),
    leastMinutes: bound && (bound.chains || day.hands.length === 1) ? bound.minutes : null,
    orders: works.map((w) => ({
      id: w.order.id,
      title: w.order.title,
      from: Math.min(w.due, ...start.flatMap((s, i) => (tasks[i]!.work.order.id === w.order.id ? [s] : []))),
      due: w.due,
      collect: w.collect,
    })),
    stores: STORES.map((store, s) => {
      const { peak } = fullness(problem, all, s)
      return { store, takes: problem.stores[s]!, most: peak.units, at: peak.at }
    }),
    lost: lostSettled(solved, works),
    broken: schedule.broken,
    overflow: schedule.overflow,
    cautions: cautions(solved, works, workshop),
  }
}

function lostSettled({ tasks }: Solved, works: readonly OrderWork[]): Timetable['lost'] {
  return works.flatMap(({ order }) => {
    const known = new Set(tasks.flatMap((t) => (t.work.order.id === order.id ? [t.id] : [])))
    const wanted = [
      ...order.settled.starts.map((s) => s.taskId),
      ...order.settled.orders.flatMap((o) => [o.firstId, o.thenId]),
    ]
    return [...new Set(wanted)]
      .filter((id) => !known.has(id))
      .map((taskId) => ({ orderId: order.id, taskId }))
  })
}

/** What happens by itself: the mixer, flowers that become firm and are kept, pieces that wait and whose coats set. */
function stays({ tasks, problem, schedule, keeps }: Solved): Stay[] {
  const { start } = schedule
  const end = (i: number) => start[i]! + tasks[i]!.minutes
  const found: Stay[] = []
  const set: Stay[] = []
  tasks.forEach(({ of, work, id }, i) => {
    const own = { orderId: work.order.id, taskId: id, pieceId: of.pieceId, what: of.what, trays: 0 }
    const wait = of.keeps ? null : waitAfter(tasks, i)
    if (of.mixer && of.whips > 0)
      found.push({ ...own, place: 'mixer', kind: 'whip', from: start[i]!, to: end(i) + Math.ceil(of.whips) })
    else if (wait && of.pieceId !== null) {
      const place = wait.kind === 'chill' ? 'fridge' : 'rack'
      set.push({ ...own, place, kind: wait.kind, from: end(i), to: end(i) + wait.lag })
    }
  })
  for (const { keep, from, to } of kept(problem, start)) {
    const { store, units } = problem.keeps[keep]!
    const place = STORES[store]!
    const about = keeps[keep]!
    if (about.kind === 'pieces') {
      const { work, pieceId } = about
      const what = work.order.pieces.find((p) => p.id === pieceId)!.name
      const own = { place, what, orderId: work.order.id, pieceId, taskId: null, trays: units }
      let at = from
      for (const s of set.filter(
        (c) => c.pieceId === pieceId && c.orderId === own.orderId && c.place === place,
      )) {
        if (s.from > at) found.push({ ...own, kind: 'kept', from: at, to: s.from })
        if (s.to > at) found.push({ ...own, kind: s.kind, from: Math.max(at, s.from), to: s.to })
        at = Math.max(at, s.to)
      }
      if (to > at) found.push({ ...own, kind: 'kept', from: at, to })
      continue
    }
    const { of, work, id } = tasks[about.task]!
    const own = {
      place,
      what: of.what,
      orderId: work.order.id,
      taskId: id,
      pieceId: of.pieceId,
      trays: units,
    }
    const wait = waitAfter(tasks, about.task)
    const firm = Math.min(to, from + (wait?.lag ?? 0))
    if (wait) found.push({ ...own, kind: wait.kind, from, to: firm })
    if (to > firm) found.push({ ...own, kind: 'kept', from: firm, to })
  }
  return found
}

/** The longest that anything waits for a task besides its end. */
function waitAfter(tasks: Solved['tasks'], i: number): { kind: WaitKind; lag: number } | null {
  const { of, work } = tasks[i]!
  let longest: { kind: WaitKind; lag: number } | null = null
  for (const other of tasks)
    if (other.work === work)
      for (const { id, lag, wait } of other.of.after)
        if (id === of.id && wait && lag > (longest?.lag ?? 0)) longest = { kind: wait, lag: Math.ceil(lag) }
  return longest
}

/** Between two stretches of stiff piping that would be too long together. */
function rests({ tasks, problem, schedule }: Solved): Rest[] {
  const { start, hand } = schedule
  const { after, minutes } = problem.rest
  return problem.hands.flatMap((_, h) => {
    const mine = tasks
      .flatMap((_t, i) => (problem.tasks[i]!.tiring && hand[i] === h ? [i] : []))
      .sort((a, b) => start[a]! - start[b]!)
    const found: Rest[] = []
    let run = 0
    mine.forEach((i, k) => {
      const before = mine[k - 1]
      const end = before === undefined ? Number.NEGATIVE_INFINITY : start[before]! + tasks[before]!.minutes
      if (start[i]! - end >= minutes) {
        if (run + tasks[i]!.minutes > after && start[i]! - end < 2 * minutes)
          found.push({ hand: h, from: end, to: end + minutes })
        run = 0
      }
      run += tasks[i]!.minutes
    })
    return found
  })
}

function closedBetween(open: readonly { from: number; to: number }[], from: number, to: number) {
  const closed: { from: number; to: number }[] = []
  let at = from
  for (const w of open) {
    if (w.to <= from || w.from >= to) continue
    if (w.from > at) closed.push({ from: at, to: w.from })
    at = Math.max(at, w.to)
  }
  if (at < to) closed.push({ from: at, to })
  return closed
}

/** What is done beside a task. */
const notesOf = ({ refills }: Solved, orderId: string, taskId: string): string[] =>
  refills
    .filter((r) => r.orderId === orderId && r.taskId === taskId)
    .map(
      ({ bag }) =>
        `Before it, empty bag ${bag}, stir its icing through and fill it again: it has stood as long as it may.`,
    )

function whyOf({ tasks, problem }: Solved, why: Why): TaskWhy {
  if (!('task' in why)) return why
  const { id, work } = tasks[why.task]!
  const lag = why.kind === 'next' ? why.lag : why.kind === 'rest' ? problem.rest.minutes : 0
  return { kind: why.kind, taskId: id, orderId: work.order.id, lag }
}
