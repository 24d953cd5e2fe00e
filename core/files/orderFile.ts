import { z } from 'zod'
import { type Fault, flowerFaults, orderFaults } from '../model/faults.ts'
import { flowerSchema } from '../model/flower.ts'
import { icingKindSchema } from '../model/icing.ts'
import { type Order, orderSchema } from '../model/order.ts'
import { tipsNamed, tipsOfLayouts } from '../model/retip.ts'
import { tipSchema } from '../model/tip.ts'
import type { Workshop } from '../model/workshop.ts'

/**
 * One order on its own feet: the order and whatever of the bakery's own it stands on. Catalogue entries are
 * named, not carried.
 */
export const orderFileSchema = z.object({
  format: z.literal('kanten-order', 'This is not a Kanten order file: "format" must be "kanten-order".'),
  /** 1 is from when every tier of a cake was a piece by itself. */
  schemaVersion: z.literal([1, 2], 'This program reads versions 1 and 2 of the order format.'),
  order: orderSchema,
  flowers: z.array(flowerSchema).max(200).default([]),
  icings: z.array(icingKindSchema).max(50).default([]),
  tips: z.array(tipSchema).max(200).default([]),
})
export type OrderFile = z.infer<typeof orderFileSchema>

export type Read<T> = { ok: true; value: T } | { ok: false; faults: Fault[] }

/** Schema issues as faults: the path to the field and what to do. */
export function issueFaults(error: z.ZodError): Fault[] {
  return error.issues.map((issue) => ({
    path: issue.path.filter((key): key is string | number => typeof key !== 'symbol'),
    message: issue.message,
  }))
}

/**
 * Reads an order file whole or not at all. References are checked against the given workshop together with what
 * the file itself brings.
 */
export function readOrderFile(data: unknown, workshop: Workshop): Read<OrderFile> {
  const parsed = orderFileSchema.safeParse(data)
  if (!parsed.success) return { ok: false, faults: issueFaults(parsed.error) }
  const all = withFile(workshop, parsed.data)
  const faults = [
    ...parsed.data.flowers.flatMap((flower, i) =>
      flowerFaults(flower, all.tips).map((f) => ({ ...f, path: ['flowers', i, ...f.path] })),
    ),
    ...orderFaults(parsed.data.order, all).map((f) => ({ ...f, path: ['order', ...f.path] })),
  ]
  if (faults.length > 0) return { ok: false, faults }
  return { ok: true, value: parsed.data }
}

/** The workshop with a file's own flowers, icings and tips added; what the workshop already has stays. */
export function withFile(workshop: Workshop, file: OrderFile): Workshop {
  return {
    ...workshop,
    flowers: merged(workshop.flowers, file.flowers),
    icings: merged(workshop.icings, file.icings),
    tips: merged(
      workshop.tips,
      file.tips.map((tip) => ({ ...tip, owned: 0, stamp: '', source: 'own' as const })),
    ),
  }
}

/** What there is, and of the rest whatever has an id that is not there yet. */
export function merged<T extends { id: string }>(have: readonly T[], more: readonly T[]): T[] {
  const known = new Set(have.map((item) => item.id))
  return [...have, ...more.filter((item) => !known.has(item.id))]
}

/** The file of an order, with whatever it uses of the bakery's own. */
export function writeOrderFile(order: Order, workshop: Workshop): OrderFile {
  const flowerIds = new Set(order.pieces.flatMap((p) => p.flowers.map((f) => f.flowerId)))
  const flowers = workshop.flowers.filter((f) => f.source === 'own' && flowerIds.has(f.id))
  const icingIds = new Set([order.icingKindId, ...order.pieces.map((p) => p.icingKindId)])
  const tipIds = new Set([
    ...flowers.flatMap((f) => f.layers.map((l) => l.tipId)),
    ...order.pieces.flatMap((p) => [...p.flowers.flatMap(tipsNamed), ...tipsOfLayouts(p)]),
  ])
  return {
    format: 'kanten-order',
    schemaVersion: 2,
    order,
    flowers,
    icings: workshop.icings.filter((i) => i.source === 'own' && icingIds.has(i.id)),
    tips: workshop.tips
      .filter((t) => t.source === 'own' && tipIds.has(t.id))
      .map(({ id, opening, base }) => ({ id, opening, base })),
  }
}
