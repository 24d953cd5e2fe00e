import { z } from 'zod'
import { flowerFaults } from '../model/faults.ts'
import { type Flower, flowerSchema } from '../model/flower.ts'
import { tipSchema } from '../model/tip.ts'
import type { Workshop } from '../model/workshop.ts'
import { issueFaults, merged, type Read } from './orderFile.ts'

/** One recipe on its own feet: the flower and whatever tips of the bakery's own it is piped with. */
export const flowerFileSchema = z.object({
  format: z.literal('kanten-flower', 'This is not a Kanten flower file: "format" must be "kanten-flower".'),
  schemaVersion: z.literal(1, 'This program reads version 1 of the flower format.'),
  flower: flowerSchema,
  tips: z.array(tipSchema).max(80).default([]),
})
export type FlowerFile = z.infer<typeof flowerFileSchema>

/** Reads a flower file whole or not at all; its tips must be in the workshop or in the file. */
export function readFlowerFile(data: unknown, workshop: Workshop): Read<FlowerFile> {
  const parsed = flowerFileSchema.safeParse(data)
  if (!parsed.success) return { ok: false, faults: issueFaults(parsed.error) }
  const tips = merged(
    workshop.tips,
    parsed.data.tips.map((tip) => ({ ...tip, owned: 0, stamp: '', source: 'own' as const })),
  )
  const faults = flowerFaults(parsed.data.flower, tips).map((f) => ({ ...f, path: ['flower', ...f.path] }))
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: parsed.data }
}

/** The file of a flower, with the bakery's own tips that it is piped with. */
export function writeFlowerFile(flower: Flower, workshop: Workshop): FlowerFile {
  const used = new Set(flower.layers.map((l) => l.tipId))
  return {
    format: 'kanten-flower',
    schemaVersion: 1,
    flower,
    tips: workshop.tips
      .filter((t) => t.source === 'own' && used.has(t.id))
      .map(({ id, opening, base }) => ({ id, opening, base })),
  }
}
