import type { Point } from './attempt.ts'

/** How far a new sample is followed, and how far a new pace. */
const FOLLOWS = 0.5
const PACE_FOLLOWS = 0.3
/** Samples at which those figures hold; others are followed as far as their time allows. */
const EVERY_S = 1 / 120

/** Takes the tremble of whole pixels out of a pointer, a sample at a time. */
export interface Steady {
  touch(at: Point): void
  move(at: Point, seconds: number): Point
}

/**
 * Double exponential smoothing after Holt: it follows a place and its pace, so that a hand going evenly is not lagged
 * behind, where a mean of the last few points cuts every curve.
 */
export function newSteady(): Steady {
  let [x, y, paceX, paceY] = [0, 0, 0, 0]
  return {
    touch(at) {
      ;[x, y, paceX, paceY] = [at.x, at.y, 0, 0]
    },
    move(at, seconds) {
      const steps = Math.min(12, Math.max(0.05, seconds / EVERY_S))
      const follows = 1 - (1 - FOLLOWS) ** steps
      const paceFollows = 1 - (1 - PACE_FOLLOWS) ** steps
      const [wasX, wasY] = [x, y]
      const [aimX, aimY] = [x + paceX * steps, y + paceY * steps]
      x = aimX + (at.x - aimX) * follows
      y = aimY + (at.y - aimY) * follows
      paceX += ((x - wasX) / steps - paceX) * paceFollows
      paceY += ((y - wasY) / steps - paceY) * paceFollows
      return { x, y }
    },
  }
}
