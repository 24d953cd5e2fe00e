import { z } from 'zod'
import { allergenSchema, hexSchema, idSchema, nameSchema, noteSchema, stiffnessSchema } from '../common.ts'

/** One ingredient in baker's proportions: parts by weight. */
export const ingredientSchema = z.object({
  name: nameSchema,
  parts: z.number().positive('Give the parts by weight, above zero.').max(10000),
  allergens: z.array(allergenSchema).default([]),
  packGrams: z.number().positive().max(100000).describe('What one bought pack weighs'),
  pricePerPack: z.number().min(0).max(100000).default(0),
  /** What a level cup of it weighs, g; null where it is not measured by cups. */
  cupGrams: z.number().positive().max(1000).nullable().default(null),
})

const timeSchema = (most: number) => z.number().min(0, 'At least 0 min.').max(most, `At most ${most} min.`)

/** How long it takes to become firm, and how long it stays good, min. A guide: the bakery's food-safety plan decides. */
export const icingTimesSchema = z.object({
  /** A coat, until the next coat or anything else goes on. */
  coatMinutes: timeSchema(4320),
  /** A small and a large flower, until they can be lifted: frozen, chilled or dried. */
  smallMinutes: timeSchema(10080),
  largeMinutes: timeSchema(10080),
  /** In a bag, until it is stirred through and filled again; closed hours count only where it cannot be kept cold. */
  bagMinutes: z.number().min(10, 'At least 10 min.').max(4320, 'At most 4320 min.'),
  /** A frozen or chilled flower out of the cold, until it is on its piece. */
  outMinutes: z.number().min(1, 'At least 1 min.').max(4320, 'At most 4320 min.'),
})
export type IcingTimes = z.infer<typeof icingTimesSchema>

/** A kind of icing: what it weighs, is made of, and can do. */
export const icingKindSchema = z.object({
  id: idSchema,
  name: nameSchema,
  note: noteSchema.default(''),
  /** g per ml as piped. */
  density: z.number().min(0.4, 'Icing weighs at least 0.4 g/ml.').max(1.8, 'Icing weighs at most 1.8 g/ml.'),
  baseHex: hexSchema,
  /** How strongly it whitens a dye; butter icing is 1. */
  scatter: z.number().min(0.3).max(3).default(1),
  /** How much a colour deepens on standing, as a share of its dye. */
  deepens: z.number().min(0).max(1).default(0.15),
  ingredients: z.array(ingredientSchema).min(1, 'List at least one ingredient.').max(20),
  /** Grams of icing from 100 g of ingredients; below 100 when water boils off or some stays in the pan. */
  yieldPercent: z.number().min(20).max(130).default(100),
  /** Liquid in g that turns 100 g of the stiff base into each stiffness. */
  liquidPer100: z.record(stiffnessSchema, z.number().min(0).max(60)),
  /** How long it keeps: hours at room temperature, days in the cold. A guide: the bakery's food-safety plan decides. */
  holds: z
    .object({ roomHours: z.number().min(0).max(1000), coldDays: z.number().min(0).max(365) })
    .default({ roomHours: 0, coldDays: 0 }),
  crustMinutes: z.number().min(0).max(10000).describe('Until the surface sets at room temperature'),
  /** Its own times; null for those that are usual for what it can. */
  times: icingTimesSchema.nullable().default(null),
  can: z.object({
    standUpright: z.boolean().describe('Holds a standing petal'),
    freeze: z.boolean(),
    dryHard: z.boolean(),
    brushWet: z.boolean(),
  }),
  rawEgg: z.boolean().default(false),
  source: z.enum(['catalogue', 'own']).default('catalogue'),
  basedOn: idSchema.nullable().default(null),
})
export type IcingKind = z.infer<typeof icingKindSchema>
