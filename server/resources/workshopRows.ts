import type { EntityManager } from '@mikro-orm/postgresql'
import type { StoredWorkshop } from '#contract/workshop'
import { catalogueDyes } from '#core/catalogue/dyes'
import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { catalogueIcings } from '#core/catalogue/icings'
import { starterBags, starterDyes, starterSettings } from '#core/catalogue/starter'
import { catalogueTips } from '#core/catalogue/tips'
import { learnFrom } from '#core/colour/learning'
import { calibrate } from '#core/logbook/weighing'
import { type Dye, dyeSchema } from '#core/model/dye'
import { flowerSchema } from '#core/model/flower'
import { type IcingKind, icingKindSchema } from '#core/model/icing'
import { settingsSchema } from '#core/model/workshop'
import { DyeRow, MixRow } from '../entities/dye.ts'
import { WeighingRow } from '../entities/weighing.ts'
import { BagRow, FlowerRow, IcingRow, SettingsRow, TipRow } from '../entities/workshop.ts'

export const SETTINGS_ID = 'bakery'

/** The catalogue with everything the bakery has said about it or added to it. */
export async function loadWorkshop(em: EntityManager): Promise<StoredWorkshop> {
  // one after another: a transaction has one connection, and that takes one query at a time
  const tips = await em.find(TipRow, {}, { orderBy: { id: 'asc' } })
  const bags = await em.find(BagRow, {}, { orderBy: { id: 'asc' } })
  const flowers = await em.find(FlowerRow, {}, { orderBy: { id: 'asc' } })
  const icings = await em.find(IcingRow, {}, { orderBy: { id: 'asc' } })
  const settings = await em.findOne(SettingsRow, SETTINGS_ID)
  const calibrations = await loadCalibrations(em)
  const dyes = await em.find(DyeRow, {}, { orderBy: { id: 'asc' } })
  const allIcings = [...catalogueIcings, ...icings.map((i) => icingKindSchema.parse(i.spec))]
  const said = new Map(tips.map((t) => [t.id, t]))
  const stocked = new Map(bags.map((b) => [b.id, b]))
  return {
    workshop: {
      tips: [
        ...catalogueTips.map((tip) => ({
          ...tip,
          owned: said.get(tip.id)?.owned ?? 0,
          stamp: said.get(tip.id)?.stamp ?? '',
          source: 'catalogue' as const,
        })),
        ...tips.flatMap((t) =>
          t.spec ? [{ ...t.spec, id: t.id, owned: t.owned, stamp: t.stamp, source: 'own' as const }] : [],
        ),
      ],
      flowers: [...catalogueFlowers, ...flowers.map((f) => flowerSchema.parse(f.spec))].map((flower) => {
        const learnt = calibrations[flower.id]
        return learnt ? { ...flower, calibration: learnt.factor, spread: learnt.spread } : flower
      }),
      icings: allIcings,
      dyes: await loadDyes(em, dyes, allIcings),
      bags: [
        ...starterBags.map((bag) => {
          const row = stocked.get(bag.id)
          return row ? { ...row.spec, id: row.id, owned: row.owned } : bag
        }),
        ...bags
          .filter((row) => !starterBags.some((b) => b.id === row.id))
          .map((row) => ({ ...row.spec, id: row.id, owned: row.owned })),
      ],
      // settings that came later start from what the starter has
      settings: settingsSchema.parse({ ...starterSettings, ...settings?.values }),
    },
    calibrations,
    versions: {
      settings: settings?.version ?? 0,
      tips: versionsOf(tips),
      bags: versionsOf(bags),
      flowers: versionsOf(flowers),
      icings: versionsOf(icings),
      dyes: versionsOf(dyes),
    },
  }
}

/** The catalogue's dyes as the bakery has them, its own bottles, and what mixing has taught of each. */
async function loadDyes(em: EntityManager, rows: readonly DyeRow[], icings: IcingKind[]): Promise<Dye[]> {
  const told = new Map(rows.map((row) => [row.id, row.spec]))
  const untaught = { log: 0, sd: 0, mixes: 0 }
  const dyes = [
    ...catalogueDyes.map((dye) => {
      const spec = told.get(dye.id)
      return spec
        ? { ...dyeSchema.parse({ ...spec, learnt: untaught }), name: dye.name, weights: dye.weights }
        : { ...dye, owned: starterDyes.includes(dye.id) }
    }),
    ...rows
      .filter((row) => row.spec.source === 'own')
      .map((row) => dyeSchema.parse({ ...row.spec, learnt: untaught })),
  ]
  const mixes = await em.find(MixRow, {}, { orderBy: { at: 'asc' } })
  return learnFrom(mixes, dyes, icings)
}

/** What every weighed flower has taught. */
async function loadCalibrations(em: EntityManager): Promise<StoredWorkshop['calibrations']> {
  const rows = await em.find(WeighingRow, {}, { orderBy: { at: 'asc' } })
  const byFlower = new Map<string, WeighingRow[]>()
  for (const row of rows) byFlower.set(row.flowerId, [...(byFlower.get(row.flowerId) ?? []), row])
  return Object.fromEntries([...byFlower].map(([id, weighed]) => [id, calibrate(weighed)]))
}

function versionsOf(rows: readonly { id: string; version: number }[]): Record<string, number> {
  return Object.fromEntries(rows.map((r) => [r.id, r.version]))
}
