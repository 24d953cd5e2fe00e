import { orderFaults } from '#core/model/faults'
import { orderSchema } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { columnsOf } from '../entities/orderColumns.ts'
import { check, type Faulty, MOST_FAULTS } from './check.ts'

/** An order that may be stored: its row, with the document as text. */
export type CheckedOrder = { id: string; row: OrderTextRow }
export type OrderTextRow = Omit<ReturnType<typeof columnsOf>, 'document'> & { document: string }

/** Parses an order and checks it by its schema and by what the workshop has. */
export function checkOrder(text: string, workshop: Workshop): CheckedOrder | Faulty {
  const checked = check(text, orderSchema)
  if (!('document' in checked)) return checked
  const faults = orderFaults(checked.document, workshop)
  if (faults.length > 0) return { faults: faults.slice(0, MOST_FAULTS) }
  const { document, ...columns } = columnsOf(checked.document)
  return { id: document.id, row: { ...columns, document: JSON.stringify(document) } }
}
