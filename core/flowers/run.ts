import { newTubeFrame } from '../geometry/tube.ts'
import type { Flower } from '../model/flower.ts'
import { traceStroke } from '../strokes/quantities.ts'
import type { ResolvedLayer } from './layers.ts'

/** Units of a border drawn side by side along x, each a pitch further. */
export interface BorderRun {
  units: number
  pitchMm: number
  /** Way in which a single unit runs, radians from x; it is turned back by this. */
  heading: number
}

/** A run is long enough to show how units meet, mm, and no longer than this many units. */
const RUN_MM = 46
const MOST_UNITS = 9
/** A stroke that ends nearer its start than this share of the pitch has no way of its own. */
const LEAST_WAY = 0.4

/**
 * How a border is shown: as a run of its units in the direction in which the hand goes along the edge. Null for
 * anything that is not a border.
 */
export function borderRun(
  flower: Flower,
  layers: readonly ResolvedLayer[],
  factor: number,
): BorderRun | null {
  if (flower.form !== 'border' || flower.pitchMm === null) return null
  const pitchMm = flower.pitchMm * factor
  const units = Math.min(MOST_UNITS, Math.max(1, Math.floor(RUN_MM / pitchMm)))
  return { units, pitchMm, heading: wayOf(layers[0]!, pitchMm) }
}

function wayOf({ layer, tip }: ResolvedLayer, pitchMm: number): number {
  const trace = traceStroke(
    layer.stroke,
    { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: (layer.startDeg * Math.PI) / 180 },
    tip.opening,
  )
  if (trace.primitive === 'sheet') return 0
  const [a, b] = [newTubeFrame(), newTubeFrame()]
  trace.path(0, a)
  trace.path(1, b)
  const [x, y] = [b.x - a.x, b.y - a.y]
  return Math.hypot(x, y) > pitchMm * LEAST_WAY ? Math.atan2(y, x) : 0
}
