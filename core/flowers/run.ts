import type { Flower } from '../model/flower.ts'
import { strokeReach } from '../strokes/quantities.ts'
import type { ResolvedLayer } from './measure.ts'

/** Units of a border drawn side by side, each moved on from the last. */
export interface BorderRun {
  units: number
  stepMm: readonly [x: number, y: number]
}

/** A run is long enough to show how units meet, mm, and no longer than this many units. */
const RUN_MM = 46
const MOST_UNITS = 9

/**
 * How a border is shown: as a run of its units, along the direction in which one unit is about a pitch long.
 * Null for anything that is not a border, and for a unit that is a run by itself.
 */
export function borderRun(
  flower: Flower,
  layers: readonly ResolvedLayer[],
  factor: number,
): BorderRun | null {
  if (flower.form !== 'border' || flower.pitchMm === null) return null
  const pitch = flower.pitchMm * factor
  const units = Math.min(MOST_UNITS, Math.floor(RUN_MM / pitch))
  if (units < 2) return null
  const [x, y] = unitSize(layers)
  return { units, stepMm: Math.abs(x - pitch) < Math.abs(y - pitch) ? [pitch, 0] : [0, pitch] }
}

function unitSize(layers: readonly ResolvedLayer[]): [number, number] {
  const low = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY]
  const high = [Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY]
  for (const { layer, tip } of layers) {
    const reach = strokeReach(
      layer.stroke,
      { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: (layer.startDeg * Math.PI) / 180 },
      tip.opening,
    )
    for (let o = 0; o < reach.length; o += 4)
      for (const axis of [0, 1]) {
        low[axis] = Math.min(low[axis]!, reach[o + axis]! - reach[o + 3]!)
        high[axis] = Math.max(high[axis]!, reach[o + axis]! + reach[o + 3]!)
      }
  }
  return [high[0]! - low[0]!, high[1]! - low[1]!]
}
