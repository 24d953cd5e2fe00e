import type { Use } from '../../model/plan.ts'

/** Minutes in which a square goes from the nail to the board and the next one comes. */
const HAND_OVER = 0.1
/** A square may stand for this share of the time in which its icing crusts. */
const OF_CRUST = 0.6

/**
 * Minutes that one square more makes the others wait: the longest part of the flower between layers that wait.
 * @param own uses of one placed flower, in the order of its recipe.
 * @param waits whether a layer waits for the batch.
 */
export function minutesPerSquare(own: readonly Use[], waits: (use: Use) => boolean): number {
  const parts: number[] = []
  for (const use of own) {
    if (parts.length === 0 || waits(use)) parts.push(0)
    parts[parts.length - 1]! += use.seconds / use.flowers / 60
  }
  return Math.max(0, ...parts) + HAND_OVER
}

/** Squares of which none stands too long; endless for an icing that does not crust. */
export function mostSquares(perSquare: number, crustMinutes: number): number {
  return crustMinutes === 0 ? Number.POSITIVE_INFINITY : Math.floor((OF_CRUST * crustMinutes) / perSquare)
}
