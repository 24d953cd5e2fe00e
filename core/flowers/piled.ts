import { pile } from '../pile/pile.ts'
import type { PiledStroke, PileLayer } from '../pile/piled.ts'
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
  }))

/** Flowers whose pile is kept: as many as the library has, and those that are being tried beside them. */
const MOST_KEPT = 120

const kept = new Map<string, readonly PiledStroke[]>()

/** The layers of a flower as a steady hand piles them. Kept: sizes, checks and pictures ask for the same pile. */
export function piledFlower(layers: readonly ResolvedLayer[]): readonly PiledStroke[] {
  const piled = pileLayers(layers)
  const key = JSON.stringify(piled)
  const known = kept.get(key)
  if (known) {
    // what was asked for last goes last
    kept.delete(key)
    kept.set(key, known)
    return known
  }
  const strokes = pile(piled, null)
  kept.set(key, strokes)
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
  return strokes
}
