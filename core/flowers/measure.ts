import { loadDefinition } from '../loads/index.ts'
import type { Flower, Layer } from '../model/flower.ts'
import { strokesOf } from '../model/placeFaults.ts'
import type { Tip } from '../model/tip.ts'
import { measureStroke } from '../strokes/quantities.ts'
import type { Placement } from '../strokes/stroke.ts'
import { openingSlot } from '../tips/index.ts'
import { aimedExtent, isAsWideAsAimed } from './aimed.ts'
import type { Extent } from './caliper.ts'
import { flowerExtent } from './extent.ts'
import type { ResolvedLayer } from './layers.ts'
import { flowerHeight } from './piled.ts'
import { toolSeconds } from './tooling.ts'

/** One layer's amounts for one flower. */
export interface LayerMeasure {
  layerId: string
  tipId: string
  volumeMm3: number
  /** Of the hand: piping, and what is done to it with tools. */
  seconds: number
  /** Strokes of one flower, over all its florets and places. */
  strokes: number
  /** Share of the layer's icing per role id; sums to 1. */
  shares: { role: string; share: number }[]
}

export interface FlowerMeasure extends Extent {
  layers: LayerMeasure[]
  volumeMm3: number
  seconds: number
  /** Size of the strokes as they are aimed: for comparing fittings with each other, never for telling. */
  aimed: Extent
}

/** How a layer's icing divides among its roles: by what of the opening each colour fills. */
export function layerShares(layer: Layer, tip: Tip): LayerMeasure['shares'] {
  return loadDefinition(layer.load.kind).shares(layer.load, openingSlot(tip.opening))
}

/** Volume and time of every layer, where the flower's width and height are not wanted. */
export function measureLayers(flower: Flower, layers: readonly ResolvedLayer[]): LayerMeasure[] {
  return layers.map(({ layer, tip }) => {
    const at: Placement = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
    const one = measureStroke(layer.stroke, at, tip.opening)
    const strokes = strokesOf(flower, layer.id)
    return {
      layerId: layer.id,
      tipId: tip.id,
      volumeMm3: one.volumeMm3 * strokes * flower.calibration,
      seconds: one.seconds * strokes + toolSeconds(layer, strokes),
      strokes,
      shares: layerShares(layer, tip),
    }
  })
}

/**
 * Volume, time, width and height of one flower. Volumes carry the flower's calibration factor. Sizes are found on the pile
 * when somebody asks for one: what counts grams and minutes need not wait for it.
 * @param aim what the strokes are aimed at, where that is known to within what fittings are compared by.
 */
export function measureFlower(
  flower: Flower,
  layers: readonly ResolvedLayer[],
  aim: () => Extent = () => aimedExtent(layers),
): FlowerMeasure {
  const measured = measureLayers(flower, layers)
  let wideness: Extent | null = null
  let aimed: Extent | null = null
  let height: number | null = null
  // what comes out as wide as it is aimed need not be piled to be told
  const asAimed = isAsWideAsAimed(layers)
  const wide = () => {
    wideness ??= asAimed ? aimedExtent(layers) : flowerExtent(layers)
    return wideness
  }
  return {
    layers: measured,
    volumeMm3: measured.reduce((sum, l) => sum + l.volumeMm3, 0),
    seconds: measured.reduce((sum, l) => sum + l.seconds, 0),
    get aimed() {
      aimed ??= aim()
      return aimed
    },
    get diameterMm() {
      return wide().diameterMm
    },
    get alongMm() {
      return wide().alongMm
    },
    get acrossMm() {
      return wide().acrossMm
    },
    get heightMm() {
      height ??= flowerHeight(layers)
      return height
    },
  }
}

/** Grams of each role in one flower of icing with the given density (g/ml). */
export function roleGrams(
  flower: Flower,
  measure: Pick<FlowerMeasure, 'layers'>,
  density: number,
): Map<string, number> {
  const grams = new Map(flower.roles.map((r) => [r.id, 0]))
  for (const layer of measure.layers)
    for (const { role, share } of layer.shares)
      grams.set(role, (grams.get(role) ?? 0) + (layer.volumeMm3 / 1000) * density * share)
  return grams
}
