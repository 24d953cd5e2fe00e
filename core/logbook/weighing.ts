import { z } from 'zod'
import { idSchema, noteSchema } from '../model/common.ts'

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
    factor: Math.exp((n * mean) / variance / precision),
    spread: Math.sqrt(variance),
    band: Math.sqrt(1 / precision),
    weighings: n,
  }
}
