import { z } from 'zod'
import { hexSchema, idSchema, nameSchema } from '../common.ts'

/** A dab of one dye in plain icing: what a bottle looks like at a known dose. */
export const dabSchema = z.object({
  /** Drops in 100 g of finished icing. */
  drops: z.number().min(0.05, 'At least 0.05 drops.').max(80, 'At most 80 drops in 100 g.'),
  hex: hexSchema,
  /** Icing it was dabbed in. */
  icingKindId: idSchema,
})
export type Dab = z.infer<typeof dabSchema>

/** Primary absorbers that every dye is taken to be made of. */
export const primarySchema = z.enum(['yel', 'ora', 'red', 'ros', 'crm', 'blu', 'ind', 'car', 'blk'])
export type Primary = z.infer<typeof primarySchema>

/** A food dye as the bakery has it. */
export const dyeSchema = z.object({
  id: idSchema,
  name: nameSchema,
  /** Absorption of one drop in 100 g, by primary: what is known of this hue in general. */
  weights: z.partialRecord(primarySchema, z.number().min(0).max(10)),
  owned: z.boolean(),
  /** What a drop of it weighs, g. */
  dropGrams: z.number().min(0.01, 'A drop weighs at least 0.01 g.').max(0.2, 'A drop weighs at most 0.2 g.'),
  dabs: z.array(dabSchema).max(6, 'At most six dabs.'),
  /** How much stronger than its dabs (or its kind) mixing has shown it to be: natural log, and how unsure that is. */
  learnt: z.object({
    log: z.number().min(-3).max(3),
    sd: z.number().min(0).max(2),
    mixes: z.number().int().min(0),
  }),
  source: z.enum(['catalogue', 'own']),
})
export type Dye = z.infer<typeof dyeSchema>

/** Where knowledge of a bottle comes from, least first. */
export type Provenance = 'generic' | 'oneDab' | 'twoDabs' | 'learnt'

export function provenanceOf(dye: Dye): Provenance {
  if (dye.learnt.mixes > 0) return 'learnt'
  return dye.dabs.length >= 2 ? 'twoDabs' : dye.dabs.length === 1 ? 'oneDab' : 'generic'
}
