import { z } from 'zod'
import { idSchema } from '../common.ts'
import { openingSchema } from '../tips/index.ts'

/** What a tip fits: a standard coupler, only a large one, or no coupler at all (a cut bag). */
export const tipBaseSchema = z.enum(['standard', 'large', 'none'])

/** A metal tip (or a cut bag), described by its opening in millimetres. */
export const tipSchema = z.object({
  id: idSchema,
  opening: openingSchema,
  base: tipBaseSchema,
})
export type Tip = z.infer<typeof tipSchema>

/** A tip as this bakery has it: how many, and whatever is stamped on it. */
export const ownedTipSchema = tipSchema.extend({
  owned: z.number().int('Whole tips only.').min(0).max(99),
  stamp: z.string().max(40, 'At most 40 characters.').default(''),
  source: z.enum(['catalogue', 'own']).default('catalogue'),
})
export type OwnedTip = z.infer<typeof ownedTipSchema>
