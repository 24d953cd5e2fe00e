import * as Comlink from 'comlink'
import type { Order } from '#core/model/order'
import type { PlanFigures } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { planFigures, UnplannableOrderError } from '#core/plan/index'
import { BenchDays, type DayAnswer, type HandsChoice } from '#core/timeline/day'
import type { DayRemedy } from '#core/timeline/remedies'

/** Plans that are kept: as many orders as one looks at together. */
const KEPT_PLANS = 40

let workshop: Workshop | null = null
const plans = new Map<string, PlanFigures | null>()
let last: { key: string; days: BenchDays; left: string[] } | null = null

/** An answer, and the orders that no plan can be made of and that are left out of it. */
export type DaysReply = DayAnswer & { left: string[] }

/** An order, with its plan where somebody has it already. */
export interface MaybePlanned {
  order: Order
  plan: PlanFigures | null
}

const planner = {
  setWorkshop(next: Workshop): void {
    workshop = next
    plans.clear()
    last = null
  },
  answer(orders: readonly MaybePlanned[], now: number | null): DaysReply {
    const { days, left } = of(orders)
    return { ...days.answer(now), left }
  },
  remedies: (orders: readonly MaybePlanned[], now: number | null): DayRemedy[] =>
    of(orders).days.remedies(now),
  hands: (orders: readonly MaybePlanned[], now: number | null): HandsChoice[] => of(orders).days.hands(now),
}
export type DaysPlanner = typeof planner

function of(orders: readonly MaybePlanned[]) {
  if (!workshop) throw new Error('The workshop has not been sent to the timetable yet.')
  const key = JSON.stringify(orders.map((o) => o.order))
  if (last?.key === key) return last
  const planned = orders.map(({ order, plan }) => ({ order, plan: plan ?? planOf(order, workshop!) }))
  const days = new BenchDays(
    planned.flatMap(({ order, plan }) => (plan ? [{ order, plan }] : [])),
    workshop,
  )
  last = { key, days, left: planned.flatMap(({ order, plan }) => (plan ? [] : [order.id])) }
  return last
}

/** The plan of an order; null of one that has none. */
function planOf(order: Order, known: Workshop): PlanFigures | null {
  // what is settled about its time changes nothing in its plan
  const key = JSON.stringify({ ...order, settled: null })
  const kept = plans.get(key)
  if (kept !== undefined) return kept
  let plan: PlanFigures | null = null
  try {
    plan = planFigures(order, known)
  } catch (error) {
    if (!(error instanceof UnplannableOrderError)) throw error
  }
  plans.set(key, plan)
  if (plans.size > KEPT_PLANS) plans.delete(plans.keys().next().value!)
  return plan
}

Comlink.expose(planner)
