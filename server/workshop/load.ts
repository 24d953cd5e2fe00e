import type { EntityManager } from '@mikro-orm/postgresql'
import { z } from 'zod'
import type { StoredWorkshop } from '#contract/workshop'
import { catalogueDyes } from '#core/catalogue/dyes'
import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { catalogueIcings } from '#core/catalogue/icings'
import { starterBags, starterDyes, starterSettings } from '#core/catalogue/starter'
import { catalogueTips } from '#core/catalogue/tips'
import { learnFrom } from '#core/colour/learning'
import { timesOf } from '#core/icings/times'
import { learn, taughtFlower } from '#core/logbook/learn/index'
import type { Records } from '#core/logbook/learn/records'
import { type Dye, dyeSchema } from '#core/model/dye'
import { flowerSchema } from '#core/model/flower'
import { type IcingKind, icingKindSchema } from '#core/model/icing'
import { logEntrySchema } from '#core/model/logEntry'
import { type OwnedTip, ownedTipSchema } from '#core/model/tip'
import { type BagStock, bagStockSchema, type Settings, settingsSchema } from '#core/model/workshop'
import { DyeRow, MixRow } from '../entities/dye.ts'
import { WeighingRow } from '../entities/weighing.ts'
import { BagRow, FlowerRow, IcingRow, SettingsRow, TipRow } from '../entities/workshop.ts'
import { readable, type Unreadable } from './readRows.ts'

export const SETTINGS_ID = 'bakery'

/** The catalogue with everything the bakery has said about it or added to it, read from the database. */
export async function loadWorkshop(em: EntityManager): Promise<StoredWorkshop> {
  const present = { deletedAt: null }
  const byId = { orderBy: { id: 'asc' as const } }
  // one after another: a transaction has one connection, and that takes one query at a time
  const tips = await em.find(TipRow, present, byId)
  const bags = await em.find(BagRow, {}, byId)
  const flowers = await em.find(FlowerRow, present, byId)
  const icings = await em.find(IcingRow, present, byId)
  const dyes = await em.find(DyeRow, present, byId)
  const settings = await em.findOne(SettingsRow, SETTINGS_ID)
  const unreadable: Unreadable[] = []
  const documents = (rows: readonly { id: string; spec: object | null }[]) =>
    rows.map((row) => ({ id: row.id, document: row.spec }))
  const own = {
    flowers: readable('flower', documents(flowers), flowerSchema, unreadable),
    icings: readable('icing kind', documents(icings), icingKindSchema, unreadable),
  }
  const allIcings = [...catalogueIcings, ...own.icings]
  const allFlowers = [...catalogueFlowers, ...own.flowers]
  const allTips = readTips(tips, unreadable)
  const allBags = readBags(bags, unreadable)
  const known = readSettings(settings, unreadable)
  const learnt = learn(
    await loadRecords(em, known.setBack, unreadable),
    { flowers: allFlowers, tips: allTips, icings: allIcings, settings: known },
    (icing) => timesOf(icing).bagMinutes,
  )
  const calibrations = Object.fromEntries(
    [...learnt.grams].map(([id, { records, ...weight }]) => [id, { ...weight, weighings: records }]),
  )
  return {
    workshop: {
      tips: allTips,
      flowers: allFlowers.map((flower) => taughtFlower(flower, learnt)),
      icings: allIcings,
      dyes: await loadDyes(em, dyes, allIcings, unreadable),
      bags: allBags,
      settings: known,
      hands: learnt.hands,
    },
    calibrations,
    taught: { pace: Object.fromEntries(learnt.pace), spoiled: Object.fromEntries(learnt.spoiled) },
    learnt: { figures: learnt.figures, aside: learnt.aside },
    versions: {
      settings: settings?.version ?? 0,
      tips: versionsOf(tips),
      bags: versionsOf(bags),
      flowers: versionsOf(flowers),
      icings: versionsOf(icings),
      dyes: versionsOf(dyes),
    },
    unreadable,
  }
}

function readTips(rows: readonly TipRow[], unreadable: Unreadable[]): OwnedTip[] {
  const said = new Map(rows.map((t) => [t.id, t]))
  const own = rows.flatMap((t) =>
    t.spec
      ? [{ id: t.id, document: { ...t.spec, id: t.id, owned: t.owned, stamp: t.stamp, source: 'own' } }]
      : [],
  )
  return [
    ...catalogueTips.map((tip) => ({
      ...tip,
      owned: said.get(tip.id)?.owned ?? 0,
      stamp: said.get(tip.id)?.stamp ?? '',
      source: 'catalogue' as const,
    })),
    ...readable('tip', own, ownedTipSchema, unreadable),
  ]
}

function readBags(rows: readonly BagRow[], unreadable: Unreadable[]): BagStock[] {
  const documents = rows.map((row) => ({
    id: row.id,
    document: { ...row.spec, id: row.id, owned: row.owned },
  }))
  const stocked = readable('bag', documents, bagStockSchema, unreadable)
  const isStarter = (id: string) => starterBags.some((b) => b.id === id)
  return [
    ...starterBags.map((bag) => stocked.find((b) => b.id === bag.id) ?? bag),
    ...stocked.filter((b) => !isStarter(b.id)),
  ]
}

/** Settings that came later start from what the starter has; so does one that cannot be read. */
function readSettings(row: SettingsRow | null, unreadable: Unreadable[]): Settings {
  // a bakery that has settings has had its first days
  const stored = { ...starterSettings, ...(row && { firstDays: 'done' }), ...row?.values }
  const parsed = settingsSchema.safeParse(stored)
  if (parsed.success) return parsed.data
  const broken = new Set(parsed.error.issues.map((issue) => String(issue.path[0])))
  for (const key of broken)
    unreadable.push({ kind: 'setting', id: key, why: 'Its stored value cannot be read.' })
  const sound = Object.fromEntries(Object.entries(stored).filter(([key]) => !broken.has(key)))
  return settingsSchema.parse({ ...starterSettings, firstDays: 'done', ...sound })
}

/** The catalogue's dyes as the bakery has them, its own bottles, and what mixing has taught of each. */
async function loadDyes(
  em: EntityManager,
  rows: readonly DyeRow[],
  icings: IcingKind[],
  unreadable: Unreadable[],
): Promise<Dye[]> {
  const untaught = { log: 0, sd: 0, mixes: 0 }
  const documents = rows.map((row) => ({ id: row.id, document: { ...row.spec, learnt: untaught } }))
  const told = readable('dye', documents, dyeSchema, unreadable)
  const dyes = [
    ...catalogueDyes.map((dye) => {
      const said = told.find((d) => d.id === dye.id)
      return said
        ? { ...said, name: dye.name, weights: dye.weights }
        : { ...dye, owned: starterDyes.includes(dye.id) }
    }),
    ...told.filter((dye) => dye.source === 'own'),
  ]
  const mixes = await em.find(MixRow, {}, { orderBy: { at: 'asc', id: 'asc' } })
  const looks = mixes.filter((mix) => lookSchema.safeParse(mix).success)
  return learnFrom(looks, dyes, icings)
}

/** What of a stored look must hold for a dye to learn from it. */
const lookSchema = z.object({
  grams: z.number().positive(),
  doses: z.array(z.object({ dyeId: z.string(), drops: z.number().positive() })).min(1),
  observedHex: z.string().regex(/^#[0-9a-fA-F]{6}$/),
})

/** Everything that anything is learnt from. */
async function loadRecords(
  em: EntityManager,
  setBack: Settings['setBack'],
  unreadable: Unreadable[],
): Promise<Records> {
  const weighings = await em.find(WeighingRow, {}, { orderBy: { at: 'asc' } })
  const rows = await em.execute<{ id: string; entry: object }[]>(
    "select id, entry from log_entries order by entry->>'at', id",
  )
  const documents = rows.map((row) => ({ id: row.id, document: row.entry }))
  return {
    weighings: weighings.map((w) => ({ ...w, at: new Date(w.at).toISOString() })),
    entries: readable('entry of the logbook', documents, logEntrySchema, unreadable),
    setBack,
  }
}

function versionsOf(rows: readonly { id: string; version: number }[]): Record<string, number> {
  return Object.fromEntries(rows.map((r) => [r.id, r.version]))
}
