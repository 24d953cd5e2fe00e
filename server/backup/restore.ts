import type { EntityManager, EntityName, RequiredEntityData } from '@mikro-orm/postgresql'
import type { BackupFile } from '#core/files/backupFile'
import { BenchEventRow, RunRow } from '../entities/bench.ts'
import { DyeRow, MixRow } from '../entities/dye.ts'
import { LogRow, PhotographRow } from '../entities/log.ts'
import { OrderRow } from '../entities/order.ts'
import { columnsOf } from '../entities/orderColumns.ts'
import { PracticeRow } from '../entities/practice.ts'
import { WeighingRow } from '../entities/weighing.ts'
import { BagRow, FlowerRow, IcingRow, SettingsRow, TipRow } from '../entities/workshop.ts'
import { changedMeanwhile } from '../http/problems.ts'
import { SETTINGS_ID } from '../workshop/load.ts'
import { backedUpTables, bakeryState } from './state.ts'

const BATCH = 200
const date = (at: string | null) => (at === null ? null : new Date(at))

/**
 * Puts a backup in the place of everything that is here; to be run in one transaction.
 * @param state that the bakery must still be in, as the preview named it; null to go ahead whatever it is.
 * @throws ProblemError when somebody has saved something since the preview.
 */
export async function restoreBackup(
  em: EntityManager,
  file: BackupFile,
  state: string | null,
): Promise<void> {
  const all = [...backedUpTables, 'settings'].join(', ')
  await em.execute(`lock table ${all} in share row exclusive mode`)
  if (state !== null && (await bakeryState(em)) !== state) throw changedMeanwhile()
  const versionOf = await nextVersions(em)
  const settings = await em.findOne(SettingsRow, SETTINGS_ID)
  for (const table of backedUpTables) await em.execute(`delete from ${table}`)

  async function put<E extends object>(entity: EntityName<E>, rows: RequiredEntityData<E>[]): Promise<void> {
    for (let i = 0; i < rows.length; i += BATCH) await em.insertMany<E>(entity, rows.slice(i, i + BATCH))
  }
  await put(
    OrderRow,
    file.orders.map(({ order, deletedAt }) => ({
      id: order.id,
      ...columnsOf(order),
      deletedAt: date(deletedAt),
      version: versionOf('orders', order.id),
    })),
  )
  await put(
    FlowerRow,
    file.flowers.map(({ flower, deletedAt }) => ({
      id: flower.id,
      spec: { ...flower, source: 'own' as const },
      deletedAt: date(deletedAt),
      version: versionOf('flowers', flower.id),
    })),
  )
  await put(
    IcingRow,
    file.icings.map(({ icing, deletedAt }) => ({
      id: icing.id,
      spec: { ...icing, source: 'own' as const },
      deletedAt: date(deletedAt),
      version: versionOf('icings', icing.id),
    })),
  )
  await put(
    TipRow,
    file.tips.map((tip) => ({ ...tip, deletedAt: date(tip.deletedAt), version: versionOf('tips', tip.id) })),
  )
  await put(
    BagRow,
    file.bags.map(({ id, owned, ...spec }) => ({ id, owned, spec, version: versionOf('bags', id) })),
  )
  await put(
    DyeRow,
    file.dyes.map(({ dye, deletedAt }) => ({
      id: dye.id,
      spec: dye,
      deletedAt: date(deletedAt),
      version: versionOf('dyes', dye.id),
    })),
  )
  await put(
    WeighingRow,
    file.weighings.map((weighing) => ({ ...weighing, at: new Date(weighing.at) })),
  )
  await put(
    MixRow,
    file.looks.map((look) => ({ ...look, at: new Date(look.at) })),
  )
  await put(
    RunRow,
    file.runs.map((run) => ({
      ...run,
      begunAt: new Date(run.begunAt),
      planVersion: run.frozen.plan.schemaVersion,
      version: versionOf('runs', run.id),
    })),
  )
  // numbered anew, in their order: a tablet that has heard more asks from the beginning
  await put(
    BenchEventRow,
    file.noted.map(({ runId, heardAt, event }) => ({
      ...{ id: event.id, runId, event, heardAt: new Date(heardAt) },
    })) as RequiredEntityData<BenchEventRow>[],
  )
  await put(
    LogRow,
    file.logged.map((entry) => ({ id: entry.id, entry, version: versionOf('log_entries', entry.id) })),
  )
  await put(
    PhotographRow,
    file.photographs.map(({ image, addedAt, ...photograph }) => ({
      ...photograph,
      image: Buffer.from(image, 'base64'),
      addedAt: new Date(addedAt),
    })),
  )
  await put(
    PracticeRow,
    file.tries.map((made) => ({ id: made.id, made })),
  )
  await restoreUnread(em, file.unread)
  if (settings && file.settings) Object.assign(settings, { values: file.settings })
  else if (file.settings) em.create(SettingsRow, { id: SETTINGS_ID, values: file.settings })
  else if (settings) em.remove(settings)
  await em.flush()
  if (file.settings)
    await em.execute('update settings set demo_loaded_at = ? where id = ?', [file.demoLoadedAt, SETTINGS_ID])
}

/** Whoever has seen an earlier version of a row must not take the restored one for it. */
async function nextVersions(em: EntityManager) {
  const next = new Map<string, number>()
  for (const table of ['orders', 'flowers', 'icings', 'tips', 'bags', 'dyes', 'runs', 'log_entries']) {
    const rows = await em.execute<{ id: string; version: number }[]>(`select id, version from ${table}`)
    for (const { id, version } of rows) next.set(`${table} ${id}`, version + 1)
  }
  return (table: string, id: string) => next.get(`${table} ${id}`) ?? 1
}

/** Rows that nobody could read go back as they were, for a program that can. */
async function restoreUnread(em: EntityManager, unread: BackupFile['unread']): Promise<void> {
  const known = new Set<string>(backedUpTables)
  for (const { table, row } of unread) {
    if (!known.has(table)) continue
    const columns = Object.fromEntries(
      Object.entries(row).map(([key, value]) => [key.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`), value]),
    )
    await em.execute(
      `insert into ${table} select * from jsonb_populate_record(null::${table}, ?::jsonb) on conflict (id) do nothing`,
      [JSON.stringify(columns)],
    )
  }
}
