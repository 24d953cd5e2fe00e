/** The upright box around points, seen from above, mm; the axis is always in it. */
export interface Footprint {
  left: number
  right: number
  low: number
  high: number
}

/** @param p three numbers a point, mm. */
export function footprintOf(p: ArrayLike<number>): Footprint {
  let [left, right, low, high] = [0, 0, 0, 0]
  for (let o = 0; o < p.length; o += 3) {
    left = Math.min(left, p[o]!)
    right = Math.max(right, p[o]!)
    low = Math.min(low, p[o + 1]!)
    high = Math.max(high, p[o + 1]!)
  }
  return { left, right, low, high }
}
