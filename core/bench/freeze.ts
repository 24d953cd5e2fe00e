import { type Frozen, frozenVersion } from '../model/bench.ts'
import type { Order } from '../model/order.ts'
import type { Plan } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { benchSteps } from './steps.ts'

/**
 * A copy of an order with its plan, its steps and all that it is made with: what is changed afterwards in the order, in a recipe or in
 * the drawer changes nothing in it, and the bench needs nothing else.
 */
export function freeze(order: Order, plan: Plan, workshop: Workshop): Frozen {
  const piped = new Set(order.pieces.flatMap((p) => p.flowers.map((f) => f.flowerId)))
  const spread = new Set([order.icingKindId, ...order.pieces.flatMap((p) => p.icingKindId ?? [])])
  return {
    schemaVersion: frozenVersion,
    order,
    plan,
    workshop: {
      ...workshop,
      flowers: workshop.flowers.filter((f) => piped.has(f.id)),
      icings: workshop.icings.filter((i) => spread.has(i.id)),
    },
    steps: benchSteps(order, plan, workshop),
  }
}
