import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql'
import { readBakeryFile } from '#core/files/bakeryFile'
import { loadTries } from './demoTries.ts'
import { DyeRow } from './entities/dye.ts'
import { BagRow, SettingsRow, TipRow } from './entities/workshop.ts'
import { invalid } from './http/problems.ts'
import { importOrder } from './resources/importOrder.ts'
import { loadWorkshop, SETTINGS_ID } from './workshop/load.ts'

/**
 * Loads the demo bakery through the ordinary import, once in a database's life: deleting an order keeps it
 * deleted. Due days move by whole weeks so that they lie ahead of `today`.
 * @returns whether anything was loaded.
 */
export async function loadDemo(orm: MikroORM, folder: string, today: Date): Promise<boolean> {
  return orm.em.fork().transactional(async (em) => {
    const settings = await em.findOne(SettingsRow, SETTINGS_ID)
    if (settings?.demoLoadedAt) return false
    const files = readdirSync(folder).filter((name) => name.endsWith('.json') && name !== 'bakery.json')
    const orders = files
      .sort()
      .map((name) => readJson(join(folder, name)) as { order: { collectAt: string } })
    await loadBakery(em as EntityManager, readJson(join(folder, 'bakery.json')), today)
    const days = weeksAhead(
      orders.map((file) => file.order.collectAt),
      today,
    )
    for (const file of orders) {
      file.order.collectAt = addDays(file.order.collectAt, days)
      await importOrder(em as EntityManager, file)
    }
    return true
  })
}

async function loadBakery(em: EntityManager, data: unknown, now: Date): Promise<void> {
  const { workshop } = await loadWorkshop(em)
  const read = readBakeryFile(data, workshop)
  if (!read.ok) throw invalid(read.faults)
  const { settings, tips, bags, dyes } = read.value
  em.create(SettingsRow, { id: SETTINGS_ID, values: settings, demoLoadedAt: now })
  for (const tip of tips) em.create(TipRow, { ...tip, spec: null })
  for (const { id, owned, ...spec } of bags) em.create(BagRow, { id, owned, spec })
  for (const { learnt: _, ...spec } of workshop.dyes)
    em.create(DyeRow, { id: spec.id, spec: { ...spec, owned: dyes.includes(spec.id) } })
  await em.flush()
  await loadTries(em, settings.practice, now)
}

function readJson(path: string): unknown {
  return JSON.parse(readFileSync(path, 'utf8'))
}

const DAY_MS = 86_400_000

/** Days (a multiple of 7) that put the earliest of the dates after today; 0 if it is already. */
function weeksAhead(dates: readonly string[], today: Date): number {
  const earliest = Math.min(...dates.map((d) => Date.parse(`${d}Z`)))
  // orders are written as the clock on the wall shows, so today is taken as it shows too
  const now = today.getTime() - today.getTimezoneOffset() * 60_000
  const behind = (now - earliest) / DAY_MS
  return behind < 0 ? 0 : 7 * Math.ceil((behind + 1) / 7)
}

function addDays(date: string, days: number): string {
  return new Date(Date.parse(`${date}Z`) + days * DAY_MS).toISOString().slice(0, 16)
}
