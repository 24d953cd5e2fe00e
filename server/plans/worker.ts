import { freeze } from '#core/bench/freeze'
import { issueFaults } from '#core/files/orderFile'
import type { Fault } from '#core/model/faults'
import { type Order, orderSchema } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { planOrder, UnplannableOrderError } from '#core/plan/index'
import { isModest } from '#core/plan/limits'
import { standBehind } from '../check/behind.ts'
import { type TableName, tableCsv } from '../exports/tables.ts'
import { timelineCalendar } from '../exports/timeline.ts'
import { laidOut, type PrintAsk, printed } from '../prints/prints.ts'
import { type SharedWorkshop, unshared } from '../workshop/shared.ts'
import { OutOfTimeError, within } from './within.ts'

standBehind()

/** An order to plan on a thread of its own. Texts cross threads faster than objects do. */
export interface PlanTask {
  /** The order's document as it is stored. */
  document: string
  /** Whether it was checked by the present schema; one of another is read through it. */
  checked: boolean
  workshop: SharedWorkshop
  /** One of the plan's tables as CSV, its timetable as a calendar, or the order frozen for the bench; null for the whole plan as JSON. */
  table: TableName | 'calendar' | 'frozen' | null
  /** Something to print instead. */
  print?: PrintAsk
  limits: PlanLimits
  /** One integer in shared memory: 1 as soon as the work has begun, so that waiting is not taken for work. */
  begun: SharedArrayBuffer
}

export interface PlanLimits {
  /** Milliseconds that the work may take. */
  workMs: number
  /** As much for an order of an everyday size: it is not refused because the machine is busy with something else. */
  modestWorkMs: number
}

/** The answer is made into bytes here, so that nobody has to do it who is asked by others meanwhile. */
export type PlanAnswer =
  | { bytes: Uint8Array; notes?: string[] }
  | { faults: Fault[] }
  | { tooLarge: number }
  | { tooManyPages: number }
  | { outOfTime: true }

/** Characters that an answer may have: a hundred times the demo order's plan. */
const MOST_CHARACTERS = 8_000_000

export default function plan(task: PlanTask): PlanAnswer | Promise<PlanAnswer> {
  Atomics.store(new Int32Array(task.begun), 0, 1)
  const { print } = task
  if (print) return answered(task, (order, workshop) => laidOut(print, order, workshop), printed)
  return answered(
    task,
    (order, workshop) => answer(order, workshop, task.table),
    (made) => made,
  )
}

/** Reads the order and works on it within its limits; `then` goes on with what came out, after them. */
function answered<T, R>(
  task: PlanTask,
  work: (order: Order, workshop: Workshop) => T,
  then: (made: T) => R,
): R | PlanAnswer {
  const workshop = unshared(task.workshop)
  const read = task.checked
    ? { success: true as const, data: JSON.parse(task.document) as Order }
    : orderSchema.safeParse(JSON.parse(task.document))
  if (!read.success) return { faults: issueFaults(read.error) }
  const order = read.data
  const { workMs, modestWorkMs } = task.limits
  try {
    return then(within(isModest(order, workshop) ? modestWorkMs : workMs, () => work(order, workshop)))
  } catch (error) {
    if (error instanceof OutOfTimeError) return { outOfTime: true }
    if (error instanceof UnplannableOrderError) return { faults: error.faults }
    throw error
  }
}

function answer(order: Order, workshop: Workshop, table: PlanTask['table']): PlanAnswer {
  const made = planOrder(order, workshop)
  const text = written(made, order, workshop, table)
  if (text.length > MOST_CHARACTERS) return { tooLarge: text.length }
  return { bytes: new TextEncoder().encode(text) }
}

function written(made: Plan, order: Order, workshop: Workshop, table: PlanTask['table']): string {
  if (table === null) return JSON.stringify(made)
  if (table === 'calendar') return timelineCalendar(made, order, workshop)
  if (table === 'frozen') return JSON.stringify(freeze(order, made, workshop))
  return tableCsv(table, made, order, workshop)
}

/** Loads everything that planning needs, so that the first plan need not wait for it. */
export function warm(): void {}
