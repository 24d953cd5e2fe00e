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

/**
 * Orders worked on one bench, set up once for all questions about them. Their timetable does not depend on what time it is; whether it
 * can still be worked does: `now` is a minute of the long clock before which nothing can be done, null where that does not matter.
 */
export class BenchDays {
  readonly #works: OrderWork[]
  readonly #workshop: Workshop
  readonly #faults: DayFault[]
  #solved: Solved | null = null

  constructor(orders: readonly PlannedOrder[], workshop: Workshop) {
    const { day } = workshop.settings
    this.#works = sharedBowls(orders.map(({ order, plan }) => orderWork(order, plan, workshop)))
    this.#workshop = workshop
    this.#faults = [...settingFaults(day), ...sizeFaults(this.#works, day)]
  }

  answer(now: number | null): DayAnswer {
    const faults = this.#faultsAt(now)
    if (faults.length > 0) return { table: null, misfits: [], faults }
    const table = timetable(this.#solution(), this.#works, this.#workshop)
    return { table, misfits: misfits(table, this.#works, now), faults: [] }
  }

  /** What would make it fit; none where it does. */
  remedies(now: number | null): DayRemedy[] {
    if (this.#faultsAt(now).length > 0) return []
    return remedies(this.#works, this.#workshop, now, this.#solution())
  }

  /** With one, two and three pairs of hands, or four: more hands never have to begin sooner. */
  hands(now: number | null): HandsChoice[] {
    if (this.#faultsAt(now).length > 0) return []
    const own = this.#workshop.settings.day.hands
    const most = Math.min(MOST_HANDS, Math.max(LEAST_COMPARED, own.length))
    const all = Array.from({ length: most }, (_, h) => own[h] ?? { name: `Hands ${h + 1}`, pipes: true })
    let before: Solved | null = null
    return all.flatMap((_, k) => {
      const hands = all.slice(0, k + 1)
      if (!hands.some((h) => h.pipes)) return []
      before = own.length === k + 1 ? this.#solution() : this.#with(hands, before)
      const table = timetable(before, this.#works, this.#workshop)
      return [
        {
          ...{ hands, from: table.from, to: table.to, closed: table.closed },
          misfits: misfits(table, this.#works, now),
          bars: table.tasks.map(({ hand, from, to }) => ({ hand, from, to })),
        },
      ]
    })
  }

  #faultsAt(now: number | null): DayFault[] {
    if (this.#faults.length > 0) return this.#faults
    const { day } = this.#workshop.settings
    return settledFaults(
      stated(this.#works, this.#workshop, day, (o) => o.settled),
      this.#works,
      now,
    )
  }

  /** With the hands that there are, and never worse than with fewer of them. */
  #solution(): Solved {
    const { hands } = this.#workshop.settings.day
    for (let k = 1; !this.#solved || this.#solved.day.hands.length < hands.length; k++) {
      const some = hands.slice(0, k)
      if (some.some((h) => h.pipes)) this.#solved = this.#with(some, this.#solved)
    }
    return this.#solved
  }

  #with(hands: DaySettings['hands'], fewer: Solved | null): Solved {
    const day = { ...this.#workshop.settings.day, hands }
    return solve(this.#works, this.#workshop, day, undefined, fewer ? [fewer] : [])
  }
}

/** Decorators ask what a second and a third pair of hands would do. */
const LEAST_COMPARED = 3
