import type { Layer } from '../model/flower.ts'
import type { Tip } from '../model/tip.ts'
import type { PileLayer } from '../pile/piled.ts'
import { scaleStroke } from '../strokes/resize.ts'

/** A layer ready to be piped: lengths final, its tip known. */
export interface ResolvedLayer {
  layer: Layer
  tip: Tip
}

/** Azimuths in radians at which a layer's strokes start. */
export function layerAzimuths(layer: Layer): number[] {
  const full = layer.spreadDeg >= 360
  const gaps = full ? layer.count : Math.max(1, layer.count - 1)
  return Array.from({ length: layer.count }, (_, i) => {
    const turned = full ? (360 * i) / gaps : layer.count === 1 ? 0 : layer.spreadDeg * (i / gaps - 0.5)
    return ((layer.startDeg + turned) * Math.PI) / 180
  })
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

/** Layers as they are piled. */
export const pileLayers = (layers: readonly ResolvedLayer[]): PileLayer[] =>
  layers.map(({ layer, tip }) => ({
    stroke: layer.stroke,
    opening: tip.opening,
    stiffness: layer.stiffness,
    ringMm: layer.ringMm,
    heightMm: layer.heightMm,
    azimuths: layerAzimuths(layer),
  }))
