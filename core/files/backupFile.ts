import { z } from 'zod'
import { idSchema } from '../common.ts'
import { lookSchema } from '../logbook/look.ts'
import { weighingSchema } from '../logbook/weighing.ts'
import { benchEventSchema, frozenSchema } from '../model/bench.ts'
import { dyeSchema } from '../model/dye.ts'
import { flowerSchema } from '../model/flower.ts'
import { icingKindSchema } from '../model/icing.ts'
import { logEntrySchema } from '../model/logEntry.ts'
import { orderSchema } from '../model/order.ts'
import { practiceTrySchema } from '../model/practiceTry.ts'
import { ownedTipSchema, tipSchema } from '../model/tip.ts'
import { bagStockSchema, settingsSchema } from '../model/workshop.ts'
import { issueFaults, type Read } from './orderFile.ts'

const moment = z.iso.datetime({ message: 'Use a moment like 2026-11-26T09:30:00.000Z.' })
/** When it was deleted; null while it is there. */
const deletedAt = moment.nullable()

/**
 * A whole bakery: everything that somebody typed, weighed or chose, deleted things too. What is worked out from these
 * is not in it, nor is the catalogue.
 */
export const backupFileSchema = z
  .object({
    format: z.literal('kanten-backup', 'This is not a Kanten backup: "format" must be "kanten-backup".'),
    /** 1 is from when every tier of a cake was a piece by itself. */
    schemaVersion: z.literal([1, 2], 'This program reads versions 1 and 2 of the backup format.'),
    savedAt: moment,
    /** Null for a bakery that has never changed a setting. */
    settings: settingsSchema.nullable(),
    /** Whether the demo bakery was loaded, so that it is not loaded again. */
    demoLoadedAt: moment.nullable(),
    orders: z.array(z.object({ order: orderSchema, deletedAt })),
    flowers: z.array(z.object({ flower: flowerSchema, deletedAt })),
    icings: z.array(z.object({ icing: icingKindSchema, deletedAt })),
    tips: z.array(
      z.object({
        id: idSchema,
        ...ownedTipSchema.pick({ owned: true, stamp: true }).shape,
        /** Null for a tip of the catalogue. */
        spec: tipSchema.omit({ id: true }).nullable(),
        deletedAt,
      }),
    ),
    bags: z.array(bagStockSchema),
    dyes: z.array(z.object({ dye: dyeSchema.omit({ learnt: true }), deletedAt })),
    weighings: z.array(weighingSchema),
    looks: z.array(lookSchema),
    /** Orders being worked, as they were frozen. */
    runs: z
      .array(z.object({ id: idSchema, orderId: idSchema, begunAt: moment, frozen: frozenSchema }))
      .default([]),
    /** What was noted at the bench, in the order in which it came in. */
    noted: z.array(z.object({ runId: idSchema, heardAt: moment, event: benchEventSchema })).default([]),
    /** The logbook, and photographs as base64. */
    logged: z.array(logEntrySchema).default([]),
    photographs: z
      .array(
        z.object({
          id: idSchema,
          entryId: idSchema,
          type: z.enum(['image/jpeg', 'image/png', 'image/webp']),
          image: z.base64(),
          addedAt: moment,
        }),
      )
      .default([]),
    /** Tries at drills of the practice sheet. */
    tries: z.array(practiceTrySchema).default([]),
    /** Rows that the program which saved this could not read, as its database had them. */
    unread: z
      .array(z.object({ table: z.string().max(40), row: z.record(z.string(), z.unknown()) }))
      .default([]),
  })
  .superRefine((file, ctx) => {
    for (const [list, ids] of Object.entries(backupIds(file))) {
      const seen = new Set<string>()
      ids.forEach((id, i) => {
        if (seen.has(id))
          ctx.addIssue({
            code: 'custom',
            path: [list, i],
            message: `The id "${id}" is used twice. Take one of them out.`,
          })
        seen.add(id)
      })
    }
  })
export type BackupFile = z.infer<typeof backupFileSchema>

/** What a backup holds of each kind, by id. */
export function backupIds(
  file: Pick<
    BackupFile,
    | ('orders' | 'flowers' | 'icings' | 'tips' | 'bags' | 'dyes' | 'weighings' | 'looks' | 'runs' | 'noted')
    | ('logged' | 'photographs' | 'tries')
  >,
) {
  return {
    orders: file.orders.map((o) => o.order.id),
    flowers: file.flowers.map((f) => f.flower.id),
    icings: file.icings.map((i) => i.icing.id),
    tips: file.tips.map((t) => t.id),
    bags: file.bags.map((b) => b.id),
    dyes: file.dyes.map((d) => d.dye.id),
    weighings: file.weighings.map((w) => w.id),
    looks: file.looks.map((l) => l.id),
    runs: file.runs.map((r) => r.id),
    noted: file.noted.map((n) => n.event.id),
    logged: file.logged.map((l) => l.id),
    photographs: file.photographs.map((p) => p.id),
    tries: file.tries.map((t) => t.id),
  }
}

/** Reads a backup whole or not at all. */
export function readBackupFile(data: unknown): Read<BackupFile> {
  const parsed = backupFileSchema.safeParse(data)
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, faults: issueFaults(parsed.error) }
}
