import { z } from 'zod'
import { idSchema, noteSchema } from '../common.ts'
import { calibrationRange, spreadRange } from '../model/flower.ts'

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

/** What weighing has taught about one kind of flower. */
export interface Calibration {
  /** Weighed over computed. */
  factor: number
  /** Spread of the weight from one batch to the next, as a share of it. */
  spread: number
  /** Half width of the band around an estimate, as a share: it is given "give or take" this. */
  band: number
  weighings: number
}

/** Before anything is weighed: the model is taken to be right within 30 %, batches to differ by 15 %. */
const PRIOR_BAND = 0.3
const PRIOR_SPREAD = 0.15
/** How many weighings the prior spread counts for. */
const PRIOR_WEIGHT = 4

/** No recipe is off by more than its schema allows; weighings that say so are of something else. */
const within = ({ least, most }: { least: number; most: number }, value: number) =>
  Math.min(most, Math.max(least, value))

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

/**
 * Factor, spread and band from all weighings of a flower. Log ratios are taken as normal around the flower's own,
 * which is itself normal around 0; the spread is pulled towards its prior (normal model with a conjugate prior,
 * Gelman et al., Bayesian Data Analysis, ch. 2-3).
 */
export function calibrate(weighings: readonly Pick<Weighing, 'grams' | 'computedGrams'>[]): Calibration {
  const logs = weighings.map((w) => Math.log(w.grams / w.computedGrams))
  const n = logs.length
  const mean = n === 0 ? 0 : logs.reduce((a, b) => a + b, 0) / n
  const squares = logs.reduce((sum, l) => sum + (l - mean) ** 2, 0)
  const variance = (PRIOR_WEIGHT * PRIOR_SPREAD ** 2 + squares) / (PRIOR_WEIGHT + Math.max(0, n - 1))
  const precision = 1 / PRIOR_BAND ** 2 + n / variance
  return {
    factor: within(calibrationRange, Math.exp((n * mean) / variance / precision)),
    spread: within(spreadRange, Math.sqrt(variance)),
    band: Math.sqrt(1 / precision),
    weighings: n,
  }
}
