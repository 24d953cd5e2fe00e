import { type DosedMix, dosed } from './dose.ts'
import { UNSEEN } from './formula.ts'
import type { Mix, Task } from './subsetSolve.ts'
import { MOST_DROPS } from './subsetSolve.ts'

/** A strong tint stirred into plain icing by weight, where a speck of dye is too much for the bowl itself. */
export interface Pretint {
  /** Icing to tint strongly, g, and what goes into it. */
  tintGrams: number
  mix: DosedMix
  /** How much of it goes into the bowl, and the plain icing there, g. */
  takeGrams: number
  plainGrams: number
}

/** Amounts of strong tint worth making, g: the least that a spatula stirs, and a little more. */
const TINT_GRAMS = [10, 15, 20, 30]
/** It has to come so much nearer than doses in the bowl itself to be worth the second bowl. */
const WORTH = 0.5

/**
 * The tint that brings a bowl nearest with the least icing over. A tint of T g of which x g go into a bowl of G g takes
 * the same doses as a bowl of T·G/x g would: that is how it makes a speck smaller.
 * @param nearest the doses wanted, before rounding.
 * @param direct what doses in the bowl itself come to.
 * @param stepGrams of the scale: what is weighed is a multiple of it.
 * @returns null where nothing is gained.
 */
export function pretint(
  task: Task,
  nearest: Mix,
  direct: DosedMix,
  grams: number,
  stepGrams: number,
): Pretint | null {
  if (nearest.dyes.length === 0) return null
  let best: Pretint | null = null
  for (const tintGrams of TINT_GRAMS)
    for (let take = stepGrams; take <= Math.min(tintGrams, grams / 2); take += stepGrams) {
      const like = (tintGrams * grams) / take
      const mix = dosed(task, nearest, like)
      const strong = mix.drops.reduce((sum, d) => sum + d, 0) * (grams / take)
      if (strong > MOST_DROPS || mix.dyes.length === 0) continue
      const nearer = !best || mix.difference < best.mix.difference - WORTH / 2
      if (nearer) best = { tintGrams, mix, takeGrams: take, plainGrams: grams - take }
    }
  const gained = best !== null && best.mix.difference < direct.difference - WORTH
  return gained && direct.difference > UNSEEN / 2 ? best : null
}
