import { type Order, orderSchema } from '#core/model/order'
import type { PlanFigures } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { planFigures, UnplannableOrderError } from '#core/plan/index'
import { isModest } from '#core/plan/limits'
import { minuteOf } from '#core/timeline/clock'
import { BenchDays } from '#core/timeline/day'
import { type OrderStart, orderStarts } from '#core/timeline/starts'
import { type SharedWorkshop, unshared } from '../workshop/shared.ts'
import { OutOfTimeError, within } from './within.ts'
import type { PlanLimits } from './worker.ts'

/** The orders of the coming days, to be placed in time together. */
export interface ComingTask {
  orders: { document: string; checked: boolean }[]
  workshop: SharedWorkshop
  /** Moment that the bakery's clock shows. */
  now: string
  limits: PlanLimits
}

/** Figures of orders that have not changed since they were last asked for; more than are ever placed together. */
const KEPT = 60
const kept = new Map<string, { order: Order; plan: PlanFigures } | null>()

/** When each of the orders has to be begun; an order that has no plan, or none in time, is left out. */
export function startsOf({ orders, workshop, now, limits }: ComingTask): OrderStart[] {
  const known = unshared(workshop)
  const planned = orders.flatMap(({ document, checked }) => {
    const key = `${workshop.fingerprint} ${document}`
    let one = kept.get(key)
    if (one === undefined) {
      one = plannedOf(document, checked, known, limits)
      if (kept.size >= KEPT) kept.delete(kept.keys().next().value!)
      kept.set(key, one)
    }
    return one ? [one] : []
  })
  try {
    return within(limits.modestWorkMs, () => orderStarts(new BenchDays(planned, known).answer(minuteOf(now))))
  } catch (error) {
    if (error instanceof OutOfTimeError) return []
    throw error
  }
}

function plannedOf(document: string, checked: boolean, workshop: Workshop, limits: PlanLimits) {
  const order = checked ? (JSON.parse(document) as Order) : orderSchema.safeParse(JSON.parse(document)).data
  if (!order) return null
  try {
    const ms = isModest(order, workshop) ? limits.modestWorkMs : limits.workMs
    return { order, plan: within(ms, () => planFigures(order, workshop)) }
  } catch (error) {
    if (error instanceof OutOfTimeError || error instanceof UnplannableOrderError) return null
    throw error
  }
}
