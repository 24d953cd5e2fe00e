import type { Fault } from '#core/model/faults'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { planOrder, UnplannableOrderError } from '#core/plan/index'
import { type TableName, tableCsv } from '../exports/tables.ts'

/** An order to plan on a thread of its own. */
export interface PlanTask {
  order: Order
  workshop: Workshop
  /** One of the plan's tables as CSV; null for the whole plan as JSON. */
  table: TableName | null
  /** Set to 1 when the work begins, so that waiting for a thread is not taken for work. */
  begun: SharedArrayBuffer
}

export type PlanAnswer = { text: string } | { faults: Fault[] } | { tooLarge: number }

/** Characters that an answer may have: thirty times the demo order's plan. */
export const MOST_CHARACTERS = 8_000_000

export default function plan({ order, workshop, table, begun }: PlanTask): PlanAnswer {
  Atomics.store(new Int32Array(begun), 0, 1)
  try {
    const made = planOrder(order, workshop)
    const text = table ? tableCsv(table, made, order, workshop) : JSON.stringify(made)
    return text.length > MOST_CHARACTERS ? { tooLarge: text.length } : { text }
  } catch (error) {
    if (error instanceof UnplannableOrderError) return { faults: error.faults }
    throw error
  }
}

/** Loads everything that planning needs, so that the first plan need not wait for it. */
export function warm(): void {}
