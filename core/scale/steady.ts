import type { Reading } from './lines.ts'

/** A weight is taken when it has not changed for so long, ms: shorter, and the last spoonful is still on its way. */
export const STEADY_MS = 900

/** Says when a weight has come to rest: the scale says so, and it has stayed within a step for a while. */
export class Steady {
  readonly #stepGrams: number
  #since: { at: number; grams: number } | null = null

  /** @param stepGrams the scale's own step. */
  constructor(stepGrams: number) {
    this.#stepGrams = stepGrams
  }

  /** @param at ms by any clock. @returns the weight at rest; null while it moves. */
  hear({ grams, stable }: Reading, at: number): number | null {
    if (!stable) {
      this.#since = null
      return null
    }
    if (!this.#since || Math.abs(grams - this.#since.grams) > this.#stepGrams) this.#since = { at, grams }
    return at - this.#since.at >= STEADY_MS ? grams : null
  }
}

/** How far a bowl is filled. */
export interface Fill {
  /** Of what is wanted, 0 to 1 and beyond. */
  share: number
  state: 'under' | 'there' | 'over'
  /** What is missing, or too much, g. */
  gap: number
}

/** Nearer than this a spoon does not come: a hundredth of what is wanted, never less than the scale's step. */
const NEAR_SHARE = 0.01

export function fillOf(grams: number, wanted: number, stepGrams: number): Fill {
  const near = Math.max(stepGrams, NEAR_SHARE * wanted)
  const gap = Math.abs(grams - wanted)
  return {
    share: wanted > 0 ? Math.max(0, grams / wanted) : 0,
    state: gap <= near + 1e-9 ? 'there' : grams < wanted ? 'under' : 'over',
    gap,
  }
}
