import type { z } from 'zod'
import { dyeSchema } from '#core/model/dye'
import { flowerSchema } from '#core/model/flower'
import { icingKindSchema } from '#core/model/icing'
import { ownedTipSchema } from '#core/model/tip'
import { bagStockSchema, settingsSchema } from '#core/model/workshop'
import type { DocumentKind, WorkshopDocuments } from './workshopDocuments.ts'

/** Each kind's document as an earlier program may have left it in this browser; null where it cannot be read. */
export type DraftReaders = { [K in DocumentKind]: (document: unknown) => WorkshopDocuments[K] | null }

const readerOf =
  <T>(schema: z.ZodType<T>) =>
  (document: unknown): T | null => {
    const parsed = schema.safeParse(document)
    return parsed.success ? parsed.data : null
  }

export const draftReaders: DraftReaders = {
  flower: readerOf(flowerSchema),
  icing: readerOf(icingKindSchema),
  tip: readerOf(ownedTipSchema),
  bag: readerOf(bagStockSchema),
  dye: readerOf(dyeSchema),
  settings: readerOf(settingsSchema),
}
