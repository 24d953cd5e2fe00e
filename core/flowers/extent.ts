import { DIRECTIONS, type Extent, extentOf, topOf } from './caliper.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower, skinPoints } from './piled.ts'

/**
 * Widths of the pile that the layers make, as a steady hand makes it, and the height at which it comes out.
 */
export function flowerExtent(layers: readonly ResolvedLayer[]): Extent {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  const points = skinPoints(piledFlower(layers))
  for (let d = 0; d < DIRECTIONS; d++) {
    const [c, s] = [Math.cos((Math.PI * d) / DIRECTIONS), Math.sin((Math.PI * d) / DIRECTIONS)]
    for (let o = 0; o < points.length; o += 3) {
      const along = c * points[o]! + s * points[o + 1]!
      if (along > high[d]!) high[d] = along
      if (along < low[d]!) low[d] = along
    }
  }
  return extentOf(low, high, topOf(points))
}
