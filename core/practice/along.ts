import type { Point } from './attempt.ts'

/** How far along its way a bit of icing may be from the bit before, mm: what crosses itself is not mixed up. */
const WINDOW_MM = 8

/** Follows a way: for one point after the other, how far along it is and how far off. */
export interface Follower {
  next(at: Point): { alongMm: number; offMm: number }
}

/** A follower of a path in even steps of `stepMm`. */
export function follower(path: readonly Point[], stepMm: number): Follower {
  const window = Math.ceil(WINDOW_MM / Math.max(stepMm, 1e-9))
  let last: number | null = null
  return {
    next(at) {
      // the first may be anywhere on the way
      const [from, to] = last === null ? [0, path.length - 1] : [last - window, last + window]
      let [best, nearest] = [0, Number.POSITIVE_INFINITY]
      for (let i = Math.max(0, from); i <= Math.min(path.length - 1, to); i++) {
        const off = (path[i]!.x - at.x) ** 2 + (path[i]!.y - at.y) ** 2
        if (off < nearest) [best, nearest] = [i, off]
      }
      last = best
      return { alongMm: best * stepMm, offMm: Math.sqrt(nearest) }
    },
  }
}
