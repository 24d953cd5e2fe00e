import * as Comlink from 'comlink'
import type { Fault } from '#core/model/faults'
import type { Order } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { type Chances, chances } from '#core/plan/chances'
import { type Effect, effectsOn, type Taught } from '#core/plan/effects'
import { planOrder, UnplannableOrderError } from '#core/plan/index'

export type Planned = { plan: Plan; faults: [] } | { plan: null; faults: Fault[] }

let workshop: Workshop | null = null

const planner = {
  setWorkshop(next: Workshop): void {
    workshop = next
  },
  plan(order: Order): Planned {
    try {
      return { plan: planOrder(order, known()), faults: [] }
    } catch (error) {
      if (error instanceof UnplannableOrderError) return { plan: null, faults: error.faults }
      throw error
    }
  },
  /** What learnt figures did to an order. */
  effects: (order: Order, figures: readonly Taught[]): Effect[] => effectsOn(order, known(), figures),
  /** The order made a thousand times. */
  chances: (order: Order): Chances => chances(order, known()),
}
export type Planner = typeof planner

function known(): Workshop {
  if (!workshop) throw new Error('The workshop has not been sent to the planner yet.')
  return workshop
}

Comlink.expose(planner)
