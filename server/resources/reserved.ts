import type { EntityManager } from '@mikro-orm/postgresql'
import type { Reserved } from '#core/files/takeIn'
import { FlowerRow, IcingRow, TipRow } from '../entities/workshop.ts'

/** Ids in the database whether deleted or not: a file must not bring anything in under one of them. */
export async function reservedIds(em: EntityManager): Promise<Reserved> {
  const ids = (rows: readonly { id: string }[]) => new Set(rows.map((row) => row.id))
  return {
    flowers: ids(await em.find(FlowerRow, {}, { fields: ['id'] })),
    icings: ids(await em.find(IcingRow, {}, { fields: ['id'] })),
    tips: ids(await em.find(TipRow, { spec: { $ne: null } }, { fields: ['id'] })),
  }
}
