import type { EntityManager } from '@mikro-orm/postgresql'
import type { z } from 'zod'
import { type BackupFile, backupFileSchema } from '#core/files/backupFile'
import { BenchEventRow, RunRow } from '../entities/bench.ts'
import { DyeRow, MixRow } from '../entities/dye.ts'
import { LogRow, PhotographRow } from '../entities/log.ts'
import { OrderRow } from '../entities/order.ts'
import { PracticeRow } from '../entities/practice.ts'
import { WeighingRow } from '../entities/weighing.ts'
import { BagRow, FlowerRow, IcingRow, SettingsRow, TipRow } from '../entities/workshop.ts'
import { SETTINGS_ID } from '../workshop/load.ts'

type List =
  | 'orders'
  | 'flowers'
  | 'icings'
  | 'tips'
  | 'bags'
  | 'dyes'
  | 'weighings'
  | 'looks'
  | 'runs'
  | 'noted'
  | 'logged'
  | 'photographs'
  | 'tries'

const iso = (date: Date | null | undefined) => date?.toISOString() ?? null
const { shape } = backupFileSchema

/** Everything of a bakery as a backup file; rows that cannot be read go along as they are. */
export async function collectBackup(em: EntityManager, now: Date): Promise<BackupFile> {
  const unread: BackupFile['unread'] = []
  const byId = { orderBy: { id: 'asc' as const }, disableIdentityMap: true }

  function read<L extends List, R extends { id: string }>(
    list: L,
    table: string,
    rows: readonly R[],
    toEntry: (row: R) => unknown,
  ): BackupFile[L] {
    const of = shape[list]
    const { element } = 'element' in of ? of : of.unwrap()
    return rows.flatMap((row) => {
      const parsed = (element as z.ZodType<BackupFile[L][number]>).safeParse(toEntry(row))
      if (parsed.success) return [parsed.data]
      unread.push({ table, row: JSON.parse(JSON.stringify(row)) as Record<string, unknown> })
      return []
    }) as BackupFile[L]
  }

  const settings = await em.findOne(SettingsRow, SETTINGS_ID, { disableIdentityMap: true })
  const readSettings = settings ? shape.settings.safeParse(settings.values) : null
  if (settings && !readSettings?.success)
    unread.push({ table: 'settings', row: { id: SETTINGS_ID, values: settings.values } })
  return {
    format: 'kanten-backup',
    schemaVersion: 2,
    savedAt: now.toISOString(),
    settings: readSettings?.success ? readSettings.data : null,
    demoLoadedAt: iso(settings?.demoLoadedAt),
    orders: read('orders', 'orders', await em.find(OrderRow, {}, byId), (row) => ({
      order: row.document,
      deletedAt: iso(row.deletedAt),
    })),
    flowers: read('flowers', 'flowers', await em.find(FlowerRow, {}, byId), (row) => ({
      flower: row.spec,
      deletedAt: iso(row.deletedAt),
    })),
    icings: read('icings', 'icings', await em.find(IcingRow, {}, byId), (row) => ({
      icing: row.spec,
      deletedAt: iso(row.deletedAt),
    })),
    tips: read('tips', 'tips', await em.find(TipRow, {}, byId), (row) => ({
      id: row.id,
      owned: row.owned,
      stamp: row.stamp,
      spec: row.spec,
      deletedAt: iso(row.deletedAt),
    })),
    bags: read('bags', 'bags', await em.find(BagRow, {}, byId), (row) => ({
      ...row.spec,
      id: row.id,
      owned: row.owned,
    })),
    dyes: read('dyes', 'dyes', await em.find(DyeRow, {}, byId), (row) => ({
      dye: row.spec,
      deletedAt: iso(row.deletedAt),
    })),
    weighings: read('weighings', 'weighings', await em.find(WeighingRow, {}, byId), (row) => ({
      ...row,
      at: iso(row.at),
    })),
    looks: read('looks', 'mixes', await em.find(MixRow, {}, byId), (row) => ({
      ...row,
      orderId: row.orderId ?? null,
      at: iso(row.at),
    })),
    runs: read('runs', 'runs', await em.find(RunRow, {}, byId), (row) => ({
      id: row.id,
      orderId: row.orderId,
      begunAt: iso(row.begunAt),
      frozen: row.frozen,
    })),
    noted: read(
      'noted',
      'bench_events',
      await em.find(BenchEventRow, {}, { orderBy: { number: 'asc' }, disableIdentityMap: true }),
      (row) => ({ runId: row.runId, heardAt: iso(row.heardAt), event: row.event }),
    ),
    logged: read('logged', 'log_entries', await em.find(LogRow, {}, byId), (row) => row.entry),
    photographs: read('photographs', 'photographs', await em.find(PhotographRow, {}, byId), (row) => ({
      ...{ id: row.id, entryId: row.entryId, type: row.type, addedAt: iso(row.addedAt) },
      image: Buffer.from(row.image).toString('base64'),
    })),
    tries: read(
      'tries',
      'practice_tries',
      await em.find(PracticeRow, {}, { orderBy: { number: 'asc' }, disableIdentityMap: true }),
      (row) => row.made,
    ),
    unread,
  }
}
