import { z } from 'zod'
import { idSchema } from '../common.ts'
import type { Fault } from '../model/faults.ts'
import { bagStockSchema, settingsSchema, type Workshop } from '../model/workshop.ts'
import { issueFaults, type Read } from './orderFile.ts'

/** A bakery's drawer and ways of working: settings, bags, and how many it owns of which tip. */
export const bakeryFileSchema = z.object({
  format: z.literal('kanten-bakery', 'This is not a Kanten bakery file: "format" must be "kanten-bakery".'),
  schemaVersion: z.literal(1, 'This program reads version 1 of the bakery format.'),
  settings: settingsSchema,
  bags: z.array(bagStockSchema).max(60),
  /** Dyes of the catalogue that are owned. */
  dyes: z.array(idSchema).max(60).default([]),
  tips: z.array(
    z.object({ id: idSchema, owned: z.number().int().min(0).max(99), stamp: z.string().max(40) }),
  ),
})
export type BakeryFile = z.infer<typeof bakeryFileSchema>

/** Reads a bakery file; every tip it counts must be known to the workshop. */
export function readBakeryFile(data: unknown, workshop: Workshop): Read<BakeryFile> {
  const parsed = bakeryFileSchema.safeParse(data)
  if (!parsed.success) return { ok: false, faults: issueFaults(parsed.error) }
  const known = new Set(workshop.tips.map((t) => t.id))
  const dyes = new Set(workshop.dyes.map((d) => d.id))
  const faults: Fault[] = [
    ...parsed.data.dyes.flatMap((id, i) =>
      dyes.has(id)
        ? []
        : [{ path: ['dyes', i], message: `There is no dye "${id}". Take it out or correct the id.` }],
    ),
    ...parsed.data.tips.flatMap((tip, i) =>
      known.has(tip.id)
        ? []
        : [
            {
              path: ['tips', i, 'id'],
              message: `There is no tip "${tip.id}". Take the line out or correct the id.`,
            },
          ],
    ),
  ]
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: parsed.data }
}

/** The workshop with a bakery's settings, bags and counts. Tips the file does not name count as not owned. */
export function withBakery(workshop: Workshop, bakery: BakeryFile): Workshop {
  const counts = new Map(bakery.tips.map((t) => [t.id, t]))
  return {
    ...workshop,
    settings: bakery.settings,
    bags: bakery.bags,
    dyes: workshop.dyes.map((dye) => ({ ...dye, owned: bakery.dyes.includes(dye.id) })),
    tips: workshop.tips.map((tip) => ({
      ...tip,
      owned: counts.get(tip.id)?.owned ?? 0,
      stamp: counts.get(tip.id)?.stamp ?? '',
    })),
  }
}
