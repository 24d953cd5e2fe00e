import { z } from 'zod'
import { hexSchema, idSchema } from '../common.ts'

/** A bowl as it was mixed and as it came out: kept, and taught to the dyes in it. */
export const lookSchema = z.object({
  id: idSchema,
  orderId: idSchema.nullable(),
  colourId: idSchema,
  icingKindId: idSchema,
  grams: z.number().min(1, 'At least 1 g.').max(100000),
  /** What went in, drops for the whole bowl. */
  doses: z
    .array(z.object({ dyeId: idSchema, drops: z.number().min(0.01, 'More than nothing.').max(20000) }))
    .min(1, 'Say which dyes went in.')
    .max(8, 'At most eight dyes in one bowl.'),
  targetHex: hexSchema,
  observedHex: hexSchema,
  /** ISO moment. */
  at: z.string(),
})
export type LookRecord = z.infer<typeof lookSchema>
