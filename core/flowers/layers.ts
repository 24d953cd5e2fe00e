import type { Floret, Layer } from '../model/flower.ts'
import type { Tip } from '../model/tip.ts'
import { scaleLengths, scaleStroke } from '../strokes/resize.ts'

/** A layer ready to be piped: lengths final, its tip and the floret that it is part of known. */
export interface ResolvedLayer {
  layer: Layer
  tip: Tip
  floret?: Floret | undefined
}

/** The same layer with every length multiplied by `factor`. */
export function scaleLayer(layer: Layer, factor: number): Layer {
  if (factor === 1) return layer
  return {
    ...scaledPlaces(layer, factor),
    stroke: scaleStroke(layer.stroke, factor),
    tools: layer.tools.map((step) => ({ ...step, work: scaleLengths(step.work, factor) })),
  }
}

/** The same with its floret's places too. */
export const scaleResolved = (resolved: ResolvedLayer, factor: number): ResolvedLayer => ({
  ...resolved,
  layer: scaleLayer(resolved.layer, factor),
  floret: resolved.floret && scaledPlaces(resolved.floret, factor),
})

const scaledPlaces = <T extends Pick<Layer, 'ringMm' | 'heightMm' | 'at'>>(set: T, factor: number): T => ({
  ...set,
  ringMm: set.ringMm * factor,
  heightMm: set.heightMm * factor,
  at: scaleLengths(set.at, factor),
})

/** Whether a layer's strokes stand round the flower's own axis: only then do they make a row of it. */
export const standsRound = (layer: Layer): boolean => layer.at.kind === 'ring' && layer.floretId === null
