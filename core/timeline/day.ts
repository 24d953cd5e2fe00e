import { type DaySettings, MOST_HANDS } from '../model/day.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { type DayFault, settingFaults, settledFaults, sizeFaults } from './faults.ts'
import { type Misfit, misfits } from './misfits.ts'
import { type OrderWork, orderWork, stated } from './problem.ts'
import { type DayRemedy, remedies } from './remedies.ts'
import { sharedBowls } from './share.ts'
import { type Solved, solve } from './solve.ts'
import { type Timetable, timetable } from './timetable.ts'
import type { PlanOfWork } from './work/context.ts'

export interface PlannedOrder {
  order: Order
  plan: PlanOfWork
}

/** The day or days of some orders: their timetable, or what stands in its way. */
export type DayAnswer =
  | { table: Timetable; misfits: Misfit[]; faults: [] }
  | { table: null; misfits: []; faults: DayFault[] }

/** The same with other numbers of hands. */
export interface HandsChoice {
  hands: DaySettings['hands']
  from: number
  to: number
  misfits: Misfit[]
  /** For a small picture: who works when. */
  bars: { hand: number; from: number; to: number }[]
  closed: Timetable['closed']
}

/** Orders worked on one bench, set up once for all questions about them. */
export class BenchDays {
  readonly #works: OrderWork[]
  readonly #workshop: Workshop
  readonly #now: number | null
  readonly #faults: DayFault[]
  #solved: Solved | null = null

  /** @param now minute of the long clock before which nothing can be done; null where it does not matter. */
  constructor(orders: readonly PlannedOrder[], workshop: Workshop, now: number | null) {
    const { day } = workshop.settings
    this.#works = sharedBowls(orders.map(({ order, plan }) => orderWork(order, plan, workshop)))
    this.#workshop = workshop
    this.#now = now
    this.#faults = [...settingFaults(day), ...sizeFaults(this.#works, day)]
    if (this.#faults.length === 0)
      this.#faults = settledFaults(
        stated(this.#works, workshop, day, (o) => o.settled),
        this.#works,
        now,
      )
  }

  answer(): DayAnswer {
    if (this.#faults.length > 0) return { table: null, misfits: [], faults: this.#faults }
    const table = timetable(this.#solution(), this.#works, this.#workshop)
    return { table, misfits: misfits(table, this.#works, this.#now), faults: [] }
  }

  /** What would make it fit; none where it does. */
  remedies(): DayRemedy[] {
    if (this.#faults.length > 0) return []
    return remedies(this.#works, this.#workshop, this.#now, this.#solution())
  }

  /** With one, two and three pairs of hands, or four: more hands never have to begin sooner. */
  hands(): HandsChoice[] {
    if (this.#faults.length > 0) return []
    const own = this.#workshop.settings.day.hands
    const most = Math.min(MOST_HANDS, Math.max(3, own.length))
    let before: Solved | null = null
    return Array.from({ length: most }, (_, k) => {
      const hands = Array.from(
        { length: k + 1 },
        (_h, h) => own[h] ?? { name: `Hands ${h + 1}`, pipes: true },
      )
      if (!hands.some((h) => h.pipes)) return null
      const { day } = this.#workshop.settings
      const like = [...(before ? [before] : []), ...(own.length === k + 1 ? [this.#solution()] : [])]
      const solved = solve(this.#works, this.#workshop, { ...day, hands }, undefined, like)
      before = solved
      const table = timetable(solved, this.#works, this.#workshop)
      return {
        hands,
        from: table.from,
        to: table.to,
        misfits: misfits(table, this.#works, this.#now),
        bars: table.tasks.map(({ hand, from, to }) => ({ hand, from, to })),
        closed: table.closed,
      }
    }).filter((c) => c !== null)
  }

  #solution(): Solved {
    this.#solved ??= this.#solve()
    return this.#solved
  }

  /** With the hands that there are, and never worse than with fewer of them. */
  #solve(): Solved {
    const { day } = this.#workshop.settings
    let found: Solved | null = null
    for (let k = 1; k <= day.hands.length; k++) {
      const hands = day.hands.slice(0, k)
      if (!hands.some((h) => h.pipes)) continue
      found = solve(this.#works, this.#workshop, { ...day, hands }, undefined, found ? [found] : [])
    }
    return found!
  }
}
