import { randomUUID } from 'node:crypto'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { StoredOrder } from '#contract/orders'
import { type OrderFile, readOrderFile } from '#core/files/orderFile'
import type { Order } from '#core/model/order'
import { OrderRow } from '../entities/order.ts'
import { FlowerRow, IcingRow, TipRow } from '../entities/workshop.ts'
import { invalid } from '../problems.ts'
import { insertOrder, toStored } from './orderRows.ts'
import { loadWorkshop } from './workshopRows.ts'

/**
 * Takes an order file in whole or not at all. The order gets a new id when its own is taken; flowers, icings and
 * tips of its own come along unless the bakery already has one of that id, which then stands.
 */
export async function importOrder(em: EntityManager, data: unknown): Promise<StoredOrder> {
  const { workshop } = await loadWorkshop(em)
  const read = readOrderFile(data, workshop)
  if (!read.ok) throw invalid(read.faults)
  const file = read.value
  const known = {
    flowers: new Set(workshop.flowers.map((f) => f.id)),
    icings: new Set(workshop.icings.map((i) => i.id)),
    tips: new Set(workshop.tips.map((t) => t.id)),
  }
  for (const flower of file.flowers)
    if (!known.flowers.has(flower.id))
      em.create(FlowerRow, { id: flower.id, spec: { ...flower, source: 'own' } })
  for (const icing of file.icings)
    if (!known.icings.has(icing.id)) em.create(IcingRow, { id: icing.id, spec: { ...icing, source: 'own' } })
  for (const { id, ...spec } of file.tips)
    if (!known.tips.has(id)) em.create(TipRow, { id, owned: 0, stamp: '', spec })
  const row = insertOrder(em, await withFreeId(em, file))
  await em.flush()
  return toStored(row)
}

async function withFreeId(em: EntityManager, file: OrderFile): Promise<Order> {
  const taken = await em.findOne(OrderRow, { id: file.order.id })
  return taken ? { ...file.order, id: randomUUID() } : file.order
}
