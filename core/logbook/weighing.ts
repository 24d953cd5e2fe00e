import { z } from 'zod'
import { idSchema, noteSchema } from '../common.ts'

/** Flowers of one kind put on the scale together. */
export const weighingSchema = z.object({
  id: idSchema,
  flowerId: idSchema,
  /** ISO moment. */
  at: z.string(),
  count: z
    .number()
    .int('Whole flowers only.')
    .min(1, 'At least one flower.')
    .max(500, 'At most 500 at once.'),
  grams: z.number().positive('Weigh more than nothing.').max(20_000, 'At most 20 kg.'),
  icingKindId: idSchema,
  note: noteSchema.default(''),
  /** What the geometry alone says these flowers weigh, g. */
  computedGrams: z.number().positive(),
})
export type Weighing = z.infer<typeof weighingSchema>

/** Hands differ by half or double; beyond this many times, a count or a weight was mistyped. */
const DOUBTFUL_TIMES = 3

/** A question about a weighing that is far from what the geometry says; null when it can well be. */
export function weighingDoubt(weighing: Pick<Weighing, 'grams' | 'count' | 'computedGrams'>): string | null {
  const { grams, count, computedGrams } = weighing
  const times = grams / computedGrams
  if (times < DOUBTFUL_TIMES && times > 1 / DOUBTFUL_TIMES) return null
  const each = computedGrams / count
  const likely = Math.max(1, Math.round(grams / each))
  const far =
    times > 1 ? `${howMany(times)} times what was computed` : `a ${ordinal(1 / times)} of what was computed`
  return `${round(grams)} g is ${far} for ${count} (${round(computedGrams)} g). ${
    times > 1 && likely > count
      ? `Did you count ${count}? That would be about ${likely} of them.`
      : 'Was the scale set to zero, and is the number right?'
  }`
}

const round = (grams: number) => (grams < 10 ? Math.round(grams * 10) / 10 : Math.round(grams))
const howMany = (times: number) => (times < 10 ? Math.round(times * 10) / 10 : Math.round(times))
const ordinal = (times: number) => {
  const words: Record<number, string> = { 3: 'third', 4: 'quarter', 5: 'fifth', 10: 'tenth' }
  return words[Math.round(times)] ?? `${Math.round(times)}th`
}
