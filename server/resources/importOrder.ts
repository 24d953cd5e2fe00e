import { randomUUID } from 'node:crypto'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { ImportedOrder } from '#contract/orders'
import { readOrderFile } from '#core/files/orderFile'
import { takeInOrder } from '#core/files/takeIn'
import { joinedWords } from '#core/model/joinTiers'
import { OrderRow } from '../entities/order.ts'
import { columnsOf } from '../entities/orderColumns.ts'
import { FlowerRow, IcingRow, TipRow } from '../entities/workshop.ts'
import { invalid } from '../http/problems.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { reservedIds } from './reserved.ts'

/**
 * Takes an order file in whole or not at all. The order gets a new id when its own is taken; what of the bakery's own it
 * brings comes along, under a new id wherever the bakery means something else by it.
 */
export async function importOrder(em: EntityManager, data: unknown): Promise<ImportedOrder> {
  // ids first: what comes in between the two readings is then met as a recipe, not as an id that is taken by nobody knows what
  const reserved = await reservedIds(em)
  const { workshop } = await currentWorkshop(em)
  const read = readOrderFile(data, workshop)
  if (!read.ok) throw invalid(read.faults)
  const newId = () => `own-${randomUUID()}`
  const taken = takeInOrder(read.value, workshop, reserved, newId)
  for (const flower of taken.flowers) em.create(FlowerRow, { id: flower.id, spec: flower })
  for (const icing of taken.icings) em.create(IcingRow, { id: icing.id, spec: icing })
  for (const { id, ...spec } of taken.tips) em.create(TipRow, { id, owned: 0, stamp: '', spec })
  await em.flush()
  const order = { ...taken.order, id: await storeUnderFreeId(em, taken.order) }
  const joined = joinedWords((data as { order?: unknown }).order, order.pieces)
  return { order, version: 1, notes: [...joined, ...taken.notes] }
}

/** Two copies of one file may come in at the same moment: the database says which of them gets the id. */
async function storeUnderFreeId(em: EntityManager, order: Parameters<typeof columnsOf>[0]): Promise<string> {
  for (let id = order.id; ; id = randomUUID()) {
    const row = { id, version: 1, ...columnsOf({ ...order, id }) }
    const made = await em.createQueryBuilder(OrderRow).insert(row).onConflict('id').ignore().execute('run')
    if (made.affectedRows > 0) return id
  }
}
