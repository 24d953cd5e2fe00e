import { z } from 'zod'
import { idSchema, nameSchema, stiffnessSchema } from '../common.ts'
import { openingSchema } from '../tips/index.ts'
import { momentSchema } from './day.ts'

/** Version of the format of tries; a change that old readers would misread raises it. */
export const practiceTryVersion = 1

/** A drill of the sheet by its name, or a layer of a flower: `flower/<id>/<layer id>`. */
const drillKey = z
  .string()
  .min(1)
  .max(200)
  .regex(/^[a-zA-Z]+$|^flower\/[^/]+\/[^/]+$/, 'The name of a drill, or flower/<id>/<layer>.')

/** One try at a drill, as it is kept: what the hand did, and how it was judged. */
export const practiceTrySchema = z.object({
  schemaVersion: z.literal(practiceTryVersion),
  id: idSchema,
  drill: drillKey,
  label: nameSchema,
  /** When, by the clock of the bakery. */
  at: momentSchema,
  /** Who; nobody where one person practises. */
  person: z.string().max(80, 'At most 80 characters.'),
  opening: openingSchema,
  stiffness: stiffnessSchema,
  gentle: z.boolean(),
  hand: z.enum(['right', 'left']),
  /** What the device told of the hand. */
  senses: z.object({ squeeze: z.enum(['full', 'timing']), height: z.boolean(), nail: z.boolean() }),
  marks: z.number().min(0).max(100),
  parts: z
    .array(z.object({ part: z.string().max(40), off: z.number(), marks: z.number().min(0).max(100) }))
    .max(20),
  /** What was said to change: a fault, "steady" or "unsteady". */
  says: z.string().max(40),
  headline: z.string().max(200),
  /** Its samples, packed: see docs/formats.md. */
  trace: z.string().max(600_000, 'A try of at most half an hour is kept.'),
})
export type PracticeTry = z.infer<typeof practiceTrySchema>

/** A try without its samples: what lists and progress need. */
export const practiceMarkSchema = practiceTrySchema.omit({ trace: true })
export type PracticeMark = z.infer<typeof practiceMarkSchema>
