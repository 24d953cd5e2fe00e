import { pile } from '../pile/pile.ts'
import type { PiledStroke, PileLayer } from '../pile/piled.ts'
import { skinRoom } from '../pile/swell.ts'
import { newMesh } from '../solids/mesh.ts'
import { skinLaid } from '../solids/strokeSolid.ts'
import { canBeDone } from '../tools/fits.ts'
import { toolDefinition } from '../tools/index.ts'
import { topOf } from './caliper.ts'
import type { ResolvedLayer } from './layers.ts'
import { layerSpots } from './spots.ts'

/** Layers as they are piled. */
export const pileLayers = (layers: readonly ResolvedLayer[]): PileLayer[] =>
  layers.map((resolved) => ({
    stroke: resolved.layer.stroke,
    opening: resolved.tip.opening,
    stiffness: resolved.layer.stiffness,
    ringMm: resolved.layer.ringMm,
    heightMm: resolved.layer.heightMm,
    spots: layerSpots(resolved, layers),
    // what is painted on moves nothing
    works: resolved.layer.tools.flatMap(({ work, when }) =>
      toolDefinition(work.kind).marks || !canBeDone(work.kind, resolved.layer.stroke, resolved.tip.opening)
        ? []
        : [{ work, fresh: when === 'wet' }],
    ),
  }))

/** Flowers whose pile is kept: as many as the library has, and those that are being tried beside them. */
const MOST_KEPT = 120

/** What is worked out of a flower's layers, kept for those that were asked for last. */
function keptOf<T>(find: (layers: PileLayer[]) => T): (layers: readonly ResolvedLayer[]) => T {
  const kept = new Map<string, T>()
  return (layers) => {
    const piled = pileLayers(layers)
    const key = JSON.stringify(piled)
    const known = kept.get(key)
    if (known !== undefined) {
      // what was asked for last goes last
      kept.delete(key)
      kept.set(key, known)
      return known
    }
    const found = find(piled)
    kept.set(key, found)
    if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
    return found
  }
}

/** The layers of a flower as a steady hand piles them. Kept: sizes, checks and pictures ask for the same pile. */
export const piledFlower = keptOf<readonly PiledStroke[]>((piled) => pile(piled, null))

/** Hands whose piles a height is the mean of: one petal's rim more or less is what a steady hand does not show. */
const HANDS = [1, 2, 3, 4]

/** Height of the pile as hands make it that slip a little, mm. */
export const flowerHeight = keptOf<number>((piled) => {
  const tops = HANDS.map((seed) => topOf(skinPoints(pile(piled, seed))))
  return tops.reduce((sum, top) => sum + top, 0) / tops.length
})

/** Every point of the skins of a pile, three numbers a point, mm. */
export function skinPoints(strokes: readonly PiledStroke[]): Float32Array {
  const builder = newMesh(skinRoom(strokes.flatMap((s) => s.laid)).vertices, 0)
  for (const { laid } of strokes) skinLaid(builder, laid, 0)
  return builder.mesh.positions
}
