import type { StoredWorkshop } from '#contract/workshop'
import { issueFaults } from '#core/files/orderFile'
import type { Fault } from '#core/model/faults'
import { type Order, orderSchema } from '#core/model/order'
import { planOrder, UnplannableOrderError } from '#core/plan/index'
import { isModest } from '#core/plan/limits'
import { type TableName, tableCsv } from '../exports/tables.ts'

/** An order to plan on a thread of its own. Texts cross threads faster than objects do. */
export interface PlanTask {
  /** The order's document as it is stored. */
  document: string
  /** Whether it was checked by the present schema; one of another is read through it. */
  checked: boolean
  /** The workshop as JSON in memory that all threads share, and the name of this state of it. */
  workshop: { fingerprint: string; bytes: SharedArrayBuffer }
  /** One of the plan's tables as CSV; null for the whole plan as JSON. */
  table: TableName | null
  /** Says when the work begins and on what: see `BEGUN`. */
  begun: SharedArrayBuffer
}

/** What stands in a task's `begun`: waiting for a thread is not taken for work, nor an everyday order for a hostile one. */
export const BEGUN = { not: 0, large: 1, modest: 2 }

/** The answer is made into bytes here, so that nobody has to do it who is asked by others meanwhile. */
export type PlanAnswer = { bytes: Uint8Array } | { faults: Fault[] } | { tooLarge: number }

/** Characters that an answer may have: a hundred times the demo order's plan. */
const MOST_CHARACTERS = 8_000_000

/** Texts are decoded from memory of one's own. */
const decode = (bytes: SharedArrayBuffer) => new TextDecoder().decode(new Uint8Array(bytes).slice())

let known: { fingerprint: string; stored: StoredWorkshop } | null = null

export default function plan({ document, checked, workshop: sent, table, begun }: PlanTask): PlanAnswer {
  const flag = new Int32Array(begun)
  Atomics.store(flag, 0, BEGUN.large)
  if (known?.fingerprint !== sent.fingerprint)
    known = { fingerprint: sent.fingerprint, stored: JSON.parse(decode(sent.bytes)) as StoredWorkshop }
  const { workshop } = known.stored
  const read = checked
    ? { success: true as const, data: JSON.parse(document) as Order }
    : orderSchema.safeParse(JSON.parse(document))
  if (!read.success) return { faults: issueFaults(read.error) }
  const order = read.data
  if (isModest(order, workshop)) Atomics.store(flag, 0, BEGUN.modest)
  try {
    const made = planOrder(order, workshop)
    const text = table ? tableCsv(table, made, order, workshop) : JSON.stringify(made)
    if (text.length > MOST_CHARACTERS) return { tooLarge: text.length }
    return { bytes: new TextEncoder().encode(text) }
  } catch (error) {
    if (error instanceof UnplannableOrderError) return { faults: error.faults }
    throw error
  }
}

/** Loads everything that planning needs, so that the first plan need not wait for it. */
export function warm(): void {}
