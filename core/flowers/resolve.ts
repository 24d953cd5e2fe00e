import type { Flower, Layer } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'
import { scaleStroke, strokes } from '../strokes/index.ts'
import { nearestScaled } from '../tips/standIns.ts'
import { flowerExtent } from './extent.ts'
import { type FlowerMeasure, measureFlower, type ResolvedLayer } from './measure.ts'

/** The size and tips a flower is wanted in; both may be left to the flower itself. */
export interface Fitting {
  sizeMm: number | null
  /** Layer id to tip id. */
  tips: Record<string, string>
}

export interface FittedFlower {
  /** Lengths of this fitting over the flower's own. */
  factor: number
  layers: ResolvedLayer[]
  measure: FlowerMeasure
}

/** Raised when a flower names a tip that the drawer and the catalogue do not know. */
export class UnknownTipError extends Error {
  constructor(
    readonly flowerName: string,
    readonly tipId: string,
  ) {
    super(`${flowerName} is piped with a tip "${tipId}" that is neither in the catalogue nor in the drawer.`)
  }
}

/**
 * Fits a flower to a wanted size: its lengths are scaled to the diameter, and each layer takes the tip of its
 * family nearest to the scaled size, owned ones first. A tip that a person chose is kept as it is.
 * @throws UnknownTipError when a layer's tip is not known.
 */
export function fitFlower(flower: Flower, fitting: Fitting, tips: readonly OwnedTip[]): FittedFlower {
  const own = flower.layers.map((layer) => ({ layer, tip: knownTip(flower, layer.tipId, tips) }))
  const factor = fitting.sizeMm === null ? 1 : fitting.sizeMm / Math.max(0.1, flowerExtent(own).diameterMm)
  const layers = own.map(({ layer, tip }) => {
    const chosen = fitting.tips[layer.id]
    return {
      layer: scaleLayer(layer, factor),
      tip: chosen ? knownTip(flower, chosen, tips) : nextTip(layer, tip, factor, tips),
    }
  })
  return { factor, layers, measure: measureFlower(flower, layers) }
}

function knownTip(flower: Flower, tipId: string, tips: readonly OwnedTip[]): OwnedTip {
  const tip = tips.find((t) => t.id === tipId)
  if (!tip) throw new UnknownTipError(flower.name, tipId)
  return tip
}

/** Scaling closer to 1 than this keeps the flower's own tips: no drawer has sizes that fine. */
const SAME_SIZE = 0.08

function nextTip(layer: Layer, tip: OwnedTip, factor: number, tips: readonly OwnedTip[]): OwnedTip {
  if (Math.abs(factor - 1) < SAME_SIZE || strokes[layer.stroke.kind].freeOpening) return tip
  return (
    nearestScaled(
      tip.opening,
      factor,
      tips.filter((t) => t.owned > 0),
    ) ??
    nearestScaled(tip.opening, factor, tips) ??
    tip
  )
}

/** The same layer with every length multiplied by `factor`. */
export function scaleLayer(layer: Layer, factor: number): Layer {
  if (factor === 1) return layer
  return {
    ...layer,
    ringMm: layer.ringMm * factor,
    heightMm: layer.heightMm * factor,
    stroke: scaleStroke(layer.stroke, factor),
  }
}

const fittings = new WeakMap<readonly OwnedTip[], WeakMap<Flower, Map<string, FittedFlower>>>()
/** Sizes and tips tried of one flower that are kept. */
const MOST_KEPT = 100

/**
 * A fitter that remembers, from one plan to the next: the same flower in the same size and tips, with the same drawer,
 * is fitted once. What changes a recipe or the drawer makes new objects, which are not remembered yet.
 */
export function rememberingFitter(
  tips: readonly OwnedTip[],
): (flower: Flower, fitting: Fitting) => FittedFlower {
  const ofDrawer = fittings.get(tips) ?? new WeakMap<Flower, Map<string, FittedFlower>>()
  fittings.set(tips, ofDrawer)
  return (flower, fitting) => {
    const kept = ofDrawer.get(flower) ?? new Map<string, FittedFlower>()
    ofDrawer.set(flower, kept)
    const key = JSON.stringify([fitting.sizeMm, fitting.tips])
    const known = kept.get(key)
    if (known) return known
    if (kept.size >= MOST_KEPT) kept.clear()
    const fitted = fitFlower(flower, fitting, tips)
    kept.set(key, fitted)
    return fitted
  }
}
