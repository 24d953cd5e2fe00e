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
  /** Of it, what the shapes alone need, by their geometry and with nothing that was learnt; null in entries from before that was kept. */
  expectedGrams: grams.nullable().default(null),
  /** The stiffness that it was really piped at; null where nobody said otherwise. */
  stiffnessUsed: stiffnessSchema.nullable().default(null),
  /** What went in, drops for the whole bowl. */
  drops: z
    .array(
      z.object({ dye: nameSchema, drops: z.number().min(0, 'At least none.').max(20000, 'At most 20,000.') }),
    )
    .max(8, 'At most eight dyes in one bowl.')
    .default([]),
  /** null where nobody weighed what was left. */
  leftGrams: grams.nullable(),
  /** What could not be scraped out of its bowl, on the scale; null where nobody weighed that. */
  stayedGrams: grams.nullable().default(null),
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
  /** What is supposed to stay in it; null in entries from before that was kept. */
  residueGrams: grams.nullable().default(null),
  /** Piped until nothing came any more. */
  emptied: z.boolean().default(false),
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
  /** What one weighs and takes by its geometry, with nothing that was learnt; null in entries from before that was kept. */
  eachGrams: grams.nullable().default(null),
  eachSeconds: z.number().min(0).max(100_000).nullable().default(null),
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
  /** The chance of running short that was promised for each colour; null in entries from before that was kept. */
  promised: z.number().min(0).max(1).nullable().default(null),
  /** Somebody counted and told; an entry that is begun from a plan tells nothing until it is corrected. */
  counted: z.boolean().default(true),
  /** Bags that were asked about at their age, min: whether their icing was still as it should be. */
  opened: z
    .array(z.object({ icingKindId: idSchema, minutes: z.number().min(0).max(100_000), good: z.boolean() }))
    .max(400)
    .default([]),
  /** What was seen to go wrong, by how it looks. */
  faults: z.array(z.string().min(1).max(200, 'At most 200 characters.')).max(100).default([]),
  remarks: z.array(z.string().max(2000, 'At most 2,000 characters.')).max(400),
})
export type LogEntry = z.infer<typeof logEntrySchema>
