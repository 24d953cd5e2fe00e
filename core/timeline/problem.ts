import type { DaySettings, Settled } from '../model/day.ts'
import type { Order, OrderColour } from '../model/order.ts'
import type { Plan } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import type { Keep, Problem, Task } from '../schedule/problem.ts'
import { activitiesOf, type Shelved } from './activities.ts'
import { type Activity, STORES } from './activity.ts'
import { DAY_MINUTES, minuteOf } from './clock.ts'
import { openWindows } from './hours.ts'
import { type Stretch, stretches } from './portions.ts'
import type { PlanOfWork } from './work/context.ts'

/** An order, what is done for it, and until when. */
export interface OrderWork {
  order: Order
  colours: Pick<OrderColour, 'id' | 'name' | 'hex'>[]
  bags: Plan['bags']
  activities: Activity[]
  shelved: Shelved[]
  /** When all must be done, and when it is fetched; minutes. */
  due: number
  collect: number
  /** Activities of its own that another order does for it. */
  instead: ReadonlyMap<string, { orderId: string; id: string }>
  /** Days that an icing keeps in the cold. */
  coldDays(kindId: string): number
}

export function orderWork(order: Order, plan: PlanOfWork, workshop: Workshop): OrderWork {
  const collect = minuteOf(order.collectAt)
  return {
    order,
    colours: plan.colours,
    bags: plan.bags,
    ...activitiesOf(order, plan, workshop),
    due: collect - Math.round(workshop.settings.day.marginMinutes),
    collect,
    instead: new Map(),
    coldDays: (id) => workshop.icings.find((i) => i.id === id)?.holds.coldDays ?? 0,
  }
}

/** One task of the problem: a stretch of an order's activity. */
export interface TaskOf extends Stretch {
  work: OrderWork
}

export interface Stated {
  tasks: TaskOf[]
  problem: Problem
  /** What each keep of the problem is. */
  keeps: ({ kind: 'flowers'; task: number } | { kind: 'pieces'; work: OrderWork; pieceId: string })[]
}

/** Work is never sought further back than so many days before what would be needed by its minutes alone. */
const SPARE_DAYS = 21

/**
 * The problem that orders state together.
 * @param grown minutes by which single stretches are longer, by order and id.
 */
export function stated(
  works: readonly OrderWork[],
  workshop: Pick<Workshop, 'tips'>,
  day: DaySettings,
  settled: (order: Order) => Settled,
  grown: ReadonlyMap<string, number> = new Map(),
): Stated {
  const tasks = works.flatMap((work): TaskOf[] => {
    const own = new Map(
      [...grown].flatMap(([key, m]) => {
        const [orderId, id] = key.split('\n') as [string, string]
        return orderId === work.order.id ? [[id, m] as const] : []
      }),
    )
    const left = work.activities.filter((a) => !work.instead.has(a.id))
    return stretches(left, day, own).map((s) => ({ ...s, work }))
  })
  const stretchesOf = new Map<string, number[]>()
  tasks.forEach(({ of, work }, i) => {
    const key = `${work.order.id}\n${of.id}`
    stretchesOf.set(key, [...(stretchesOf.get(key) ?? []), i])
  })
  const find = (work: OrderWork, id: string): number[] => {
    const other = work.instead.get(id)
    return stretchesOf.get(other ? `${other.orderId}\n${other.id}` : `${work.order.id}\n${id}`) ?? []
  }
  const next: Map<number, number>[] = tasks.map(() => new Map())
  const link = (from: number, to: number, lag: number) => {
    if (from !== to) next[from]!.set(to, Math.max(lag, next[from]!.get(to) ?? 0))
  }
  tasks.forEach(({ of, work }, i) => {
    for (const { id, lag } of of.after) for (const j of find(work, id)) link(j, i, Math.ceil(lag))
  })
  // a bowl that serves several orders waits for what each of them brings to it
  for (const work of works)
    for (const a of work.activities.filter((one) => work.instead.has(one.id)))
      for (const { id, lag } of a.after)
        for (const j of find(work, id)) for (const i of find(work, a.id)) link(j, i, Math.ceil(lag))
  const fixed = tasks.map((): number | null => null)
  for (const work of works) {
    const { starts, orders } = settled(work.order)
    for (const { taskId, at } of starts) {
      const i = tasks.findIndex((t) => t.work === work && t.id === taskId)
      if (i >= 0) fixed[i] = minuteOf(at)
    }
    for (const { firstId, thenId } of orders) {
      const [first, then] = [firstId, thenId].map((id) =>
        tasks.findIndex((t) => t.work === work && t.id === id),
      )
      if (first! >= 0 && then! >= 0) link(first!, then!, 0)
    }
  }
  const resources = resourcesOf(tasks, workshop, day)
  const made = tasks.map(
    ({ of, minutes, work }, i): Task => ({
      minutes,
      pipes: of.pipes,
      tiring: of.stiff,
      holds: resources.heldBy[i]!,
      next: [...next[i]!].map(([task, lag]) => ({ task, lag })),
      due: work.due,
      fixed: fixed[i]!,
    }),
  )
  const { keeps, what } = keepsOf(tasks, works, find)
  const load = made.reduce((all, t) => all + t.minutes, 0)
  const latest = Math.max(0, ...works.map((w) => w.collect))
  const earliest = Math.min(latest, ...works.map((w) => w.due), ...fixed.flatMap((f) => f ?? []))
  return {
    tasks,
    keeps: what,
    problem: {
      tasks: made,
      keeps,
      resources: resources.units,
      stores: STORES.map((s) => day[`${s}Trays`]),
      hands: day.hands,
      open: openWindows(day, earliest - SPARE_DAYS * DAY_MINUTES - load * longestDay(day), latest),
      rest: { after: day.restAfterMinutes, minutes: Math.round(day.restMinutes) },
      groups: works.map((w) => tasks.flatMap((t, i) => (t.work === w ? [i] : []))),
    },
  }
}

/** Minutes of calendar for a minute of work, where a bakery is open least. */
function longestDay({ week }: DaySettings): number {
  const open = week.reduce((all, h) => all + (h ? Math.max(0, h.to - h.from) : 0), 0)
  return open === 0 ? 0 : (2 * 7 * DAY_MINUTES) / open
}

/** The mixer, nails, bags and tips, as far as more than one task wants them. */
function resourcesOf(tasks: readonly TaskOf[], { tips }: Pick<Workshop, 'tips'>, day: DaySettings) {
  const wanted = new Map<string, { units: number; by: { task: number; extra: number }[] }>()
  const want = (key: string, units: number, task: number, extra = 0) => {
    const known = wanted.get(key) ?? { units, by: [] }
    wanted.set(key, known)
    known.by.push({ task, extra })
  }
  const owned = new Map(tips.map((t) => [t.id, t.base === 'none' ? Number.POSITIVE_INFINITY : t.owned]))
  tasks.forEach(({ of, work }, i) => {
    if (of.mixer) want('mixer', 1, i, Math.ceil(of.whips))
    if (of.nail) want('nail', day.nails, i)
    for (const bag of of.bags) want(`bag ${work.order.id} ${bag}`, 1, i)
    for (const tip of of.tipIds) want(`tip ${tip}`, Math.max(1, owned.get(tip) ?? 1), i)
  })
  const heldBy: { resource: number; extra: number }[][] = tasks.map(() => [])
  const units: number[] = []
  for (const { units: count, by } of wanted.values()) {
    if (by.length <= count) continue
    for (const { task, extra } of by) heldBy[task]!.push({ resource: units.length, extra })
    units.push(count)
  }
  return { heldBy, units }
}

/** Flowers on trays until they are lifted, and pieces from the first touch until they are fetched. */
function keepsOf(
  tasks: readonly TaskOf[],
  works: readonly OrderWork[],
  find: (work: OrderWork, id: string) => number[],
) {
  const keeps: Keep[] = []
  const what: Stated['keeps'] = []
  tasks.forEach(({ of, work, parts }, i) => {
    const { keeps: own } = of
    const until = own ? find(work, own.until)[0] : undefined
    if (!own || until === undefined) return
    keeps.push({
      store: STORES.indexOf(own.store),
      units: own.trays / parts,
      from: [i],
      until: { task: until },
    })
    what.push({ kind: 'flowers', task: i })
  })
  for (const work of works)
    for (const { pieceId, store, trays, from } of work.shelved) {
      const own = from.flatMap((id) => find(work, id))
      if (own.length === 0) continue
      keeps.push({ store: STORES.indexOf(store), units: trays, from: own, until: { at: work.collect } })
      what.push({ kind: 'pieces', work, pieceId })
    }
  return { keeps, what }
}
