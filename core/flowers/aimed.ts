import { strokeBody, strokeLever } from '../solids/body.ts'
import { FRILL_SWELL, highestSlip, STRAY_UP_MM, WAVER_TILT, WAVER_UP_MM } from '../solids/hand.ts'
import { type Support, supportAt, supportOf } from '../solids/reach.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { openingSlot } from '../tips/index.ts'
import { DIRECTIONS, type Extent, extentOf } from './caliper.ts'
import { layerAzimuths, type ResolvedLayer } from './layers.ts'

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
 * Width and height of the strokes as they are aimed, each where a steady hand means it, before they give way to each
 * other: worked out at once, and steady enough to compare one fitting with another. What a caliper finds is another
 * matter: see `flowerExtent`.
 */
export function aimedExtent(layers: readonly ResolvedLayer[]): Extent {
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
        low[d] = Math.min(low[d]!, -supportAt(support, across + Math.PI))
      }
  }
  return extentOf(low, high, heightMm)
}

/**
 * Whether a flower comes out as wide as it is aimed: petals that lie, and what sits or rises, move up and down only. What
 * stands pushes its neighbours outwards, a rope sinks and widens, a coil makes room for itself.
 */
export const isAsWideAsAimed = (layers: readonly ResolvedLayer[]): boolean =>
  layers.every(({ layer, tip }) => {
    const { rests } = strokeDefinition(layer.stroke.kind)
    if (rests === 'sits' || rests === 'rises' || rests === 'spreads') return true
    return rests === 'lies' && openingSlot(tip.opening) !== null
  })

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
