import { strokeBody, strokeLever } from '../solids/body.ts'
import { FRILL_SWELL, highestSlip, STRAY_UP_MM, WAVER_TILT, WAVER_UP_MM } from '../solids/hand.ts'
import { type Support, supportAt, supportOf } from '../solids/reach.ts'
import { layerAzimuths, type ResolvedLayer } from './layers.ts'

/** What a caliper finds, mm. */
export interface Extent {
  /** Mean caliper width over 18 directions, as a caliper turned around the flower would find. */
  diameterMm: number
  /** Widest caliper, and the one at a right angle to it: what long things are measured by. */
  alongMm: number
  acrossMm: number
  /** Top above the base plane. */
  heightMm: number
}

/** Directions of the caliper, over half a turn: even, so that each has one at a right angle. */
const DIRECTIONS = 18
/** Where a stroke is highest its hand is seldom at its furthest too; on average over the library so much of it counts. */
const WAVER_SHARE = 0.65

/** How far one stroke, at azimuth 0, reaches: from the axis, and up. */
interface Reach {
  support: Support
  top: number
  /** Furthest that a hand's slips lift it. */
  slipMm: number
}

const reaches = new WeakMap<object, Map<string, Reach>>()

/**
 * Width and height of the solid that the layers make, each stroke where a steady hand puts it; the highest of a row
 * stands a little higher than it should.
 */
export function flowerExtent(layers: readonly ResolvedLayer[]): Extent {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  let heightMm = 0
  for (const resolved of layers) {
    const { support, top, slipMm } = reachOf(resolved)
    heightMm = Math.max(heightMm, top + slipMm * highestSlip(resolved.layer.count))
    // instead of turning every stroke, turn the caliper back by each stroke's azimuth
    for (const azimuth of layerAzimuths(resolved.layer))
      for (let d = 0; d < DIRECTIONS; d++) {
        const across = (Math.PI * d) / DIRECTIONS - azimuth
        high[d] = Math.max(high[d]!, supportAt(support, across))
        low[d] = Math.max(low[d]!, supportAt(support, across + Math.PI))
      }
  }
  const widths = high.map((h, d) => h + low[d]!)
  const widest = widths.indexOf(Math.max(...widths))
  return {
    diameterMm: widths.reduce((sum, w) => sum + w, 0) / DIRECTIONS,
    alongMm: widths[widest]!,
    acrossMm: widths[(widest + DIRECTIONS / 2) % DIRECTIONS]!,
    heightMm,
  }
}

function reachOf({ layer, tip }: ResolvedLayer): Reach {
  const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
  const ofTip = reaches.get(tip.opening) ?? new Map<string, Reach>()
  reaches.set(tip.opening, ofTip)
  const key = JSON.stringify([layer.stroke, at])
  const known = ofTip.get(key)
  if (known) return known
  const points = strokeBody(layer.stroke, at, tip.opening)
  const support = supportOf(points)
  let top = 0
  for (let o = 2; o < points.length; o += 3) if (points[o]! > top) top = points[o]!
  const slipMm =
    STRAY_UP_MM +
    WAVER_SHARE * (WAVER_UP_MM + WAVER_TILT * strokeLever(layer.stroke, at, tip.opening)) +
    FRILL_SWELL * ('ripple' in layer.stroke ? (layer.stroke.ripple?.ampMm ?? 0) : 0)
  const reach = { support, top, slipMm }
  if (ofTip.size >= MOST_KEPT) ofTip.clear()
  ofTip.set(key, reach)
  return reach
}

/** Strokes of one opening whose reach is kept: a plan asks for the same ones again and again. */
const MOST_KEPT = 400
