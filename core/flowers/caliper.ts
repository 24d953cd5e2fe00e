/** What a caliper finds, mm. */
export interface Extent {
  /** Mean caliper width over 18 directions, as a caliper turned around the flower would find. */
  diameterMm: number
  /** Widest caliper, and the one at a right angle to it: what long things are measured by. */
  alongMm: number
  acrossMm: number
  /** Top above the base plane. */
  heightMm: number
}

/** Directions of the caliper, over half a turn: even, so that each has one at a right angle. */
export const DIRECTIONS = 18

/** What a caliper finds of something that reaches so far, in each direction and against it. */
export function extentOf(low: Float64Array, high: Float64Array, heightMm: number): Extent {
  const widths = high.map((h, d) => h - low[d]!)
  const widest = widths.indexOf(Math.max(...widths))
  return {
    diameterMm: widths.reduce((sum, w) => sum + w, 0) / DIRECTIONS,
    alongMm: widths[widest]!,
    acrossMm: widths[(widest + DIRECTIONS / 2) % DIRECTIONS]!,
    heightMm,
  }
}

/** Height of the highest of points of three numbers each; 0 where all are lower. */
export function topOf(points: Float32Array): number {
  let top = 0
  for (let o = 2; o < points.length; o += 3) if (points[o]! > top) top = points[o]!
  return top
}
