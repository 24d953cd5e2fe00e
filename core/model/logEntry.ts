import { z } from 'zod'
import { hexSchema, idSchema, nameSchema, stiffnessSchema } from '../common.ts'
import { momentSchema } from './day.ts'

/** Version of the logbook's format; a change that old readers would misread raises it. */
export const logEntryVersion = 1

const grams = z.number().min(0, 'At least 0 g.').max(100_000, 'At most 100,000 g.')
const count = z.number().int('Whole numbers only.').min(0, 'At least 0.').max(100_000, 'At most 100,000.')
/** Hands-on minutes; null where nobody was timed. */
const minutes = z.number().min(0, 'At least 0 min.').max(100_000, 'At most 100,000 min.').nullable()

/** Icing of a colour at a stiffness: planned, mixed, left. */
export const loggedBatchSchema = z.object({
  id: z.string().min(1).max(200),
  colour: nameSchema,
  hex: hexSchema,
  icingKindId: idSchema,
  stiffness: stiffnessSchema,
  plannedGrams: grams,
  /** null where nobody weighed what was left. */
  leftGrams: grams.nullable(),
  /** By thirds and by eye, not by a scale. */
  estimated: z.boolean(),
  ranShort: z.boolean(),
})
export type LoggedBatch = z.infer<typeof loggedBatchSchema>

export const loggedBagSchema = z.object({
  number: z.number().int().min(1),
  label: z.string().max(400),
  plannedGrams: grams,
  leftGrams: grams.nullable(),
  estimated: z.boolean(),
})

/** A flower on a kind of piece: how many were wanted, piped, spoiled, and how long it took. */
export const loggedFlowerSchema = z.object({
  flowerId: idSchema.nullable(),
  name: nameSchema,
  /** Leaves, vines and borders are told apart from flowers, which alone are counted as such. */
  form: z.enum(['flower', 'leaf', 'vine', 'border']).default('flower'),
  piece: nameSchema,
  wanted: count,
  piped: count,
  spoiled: count,
  minutes,
  /** So many of them weighed together; null where nobody did. */
  weighed: z
    .object({ count: z.number().int('Whole flowers only.').min(1, 'At least one.').max(1000), grams })
    .nullable()
    .default(null),
})
export type LoggedFlower = z.infer<typeof loggedFlowerSchema>

/** An order as it was made: what the bench recorded and what was told while wrapping up, or what somebody typed. */
export const logEntrySchema = z.object({
  schemaVersion: z.literal(logEntryVersion),
  id: idSchema,
  orderId: idSchema.nullable(),
  title: nameSchema,
  /** Local moment when it was wrapped up. */
  at: momentSchema,
  people: z.array(nameSchema).max(20, 'At most 20 people.'),
  roomC: z.number().min(-20, 'At least -20 °C.').max(60, 'At most 60 °C.').nullable(),
  batches: z.array(loggedBatchSchema).max(400),
  bags: z.array(loggedBagSchema).max(400),
  flowers: z.array(loggedFlowerSchema).max(2000),
  plannedMinutes: minutes,
  minutes,
  remarks: z.array(z.string().max(2000, 'At most 2,000 characters.')).max(400),
})
export type LogEntry = z.infer<typeof logEntrySchema>
