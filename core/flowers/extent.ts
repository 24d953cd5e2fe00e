import { pile } from '../pile/pile.ts'
import type { PiledStroke } from '../pile/piled.ts'
import { skinRoom } from '../pile/swell.ts'
import { newMesh } from '../solids/mesh.ts'
import { skinLaid } from '../solids/strokeSolid.ts'
import { DIRECTIONS, type Extent, extentOf, topOf } from './caliper.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower, pileLayers } from './piled.ts'

/**
 * Widths of the pile that the layers make, as a steady hand makes it, and the height at which it comes out.
 */
export function flowerExtent(layers: readonly ResolvedLayer[]): Extent {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  const points = pointsOf(piledFlower(layers))
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

/** Hands whose piles a height is the mean of: one petal's rim more or less is what a steady hand does not show. */
const HANDS = [1, 2, 3, 4]

/** Height of the pile as hands make it that slip a little, mm. */
export function flowerHeight(layers: readonly ResolvedLayer[]): number {
  const piled = pileLayers(layers)
  const tops = HANDS.map((seed) => topOf(pointsOf(pile(piled, seed))))
  return tops.reduce((sum, top) => sum + top, 0) / tops.length
}

/** Every point of the skins of a pile, three numbers a point, mm. */
function pointsOf(strokes: readonly PiledStroke[]): Float32Array {
  const builder = newMesh(skinRoom(strokes.flatMap((s) => s.laid)).vertices, 0)
  for (const { laid } of strokes) skinLaid(builder, laid, 0)
  return builder.mesh.positions
}
