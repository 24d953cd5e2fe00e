import type { Layer } from '../model/flower.ts'
import { strokeBody, strokeLever } from '../solids/body.ts'
import { FRILL_SWELL, highestSlip, STRAY_UP_MM, WAVER_TILT, WAVER_UP_MM } from '../solids/hand.ts'
import { type Support, supportAt, supportOf } from '../solids/reach.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { type Opening, openingSlot } from '../tips/index.ts'
import { DIRECTIONS, type Extent, extentOf } from './caliper.ts'
import { layerAzimuths, type ResolvedLayer, scaleLayer } from './layers.ts'

/** Where a stroke is highest its hand is seldom at its furthest too; on average over the library so much of it counts. */
const WAVER_SHARE = 0.65

/** How far all strokes of a layer reach: in each direction of the caliper and against it, and up. */
interface Reach {
  low: Float64Array
  high: Float64Array
  topMm: number
}

/**
 * Width and height of the strokes as they are aimed, each where a steady hand means it, before they give way to each
 * other: worked out at once, and steady enough to compare one fitting with another. What a caliper finds is another
 * matter: see `flowerExtent`.
 */
export const aimedExtent = (layers: readonly ResolvedLayer[]): Extent =>
  around(layers.map((resolved) => kept(resolved, keyOf(resolved), () => resolved)))

/** Lengths that a reach is worked out at when they are stretched are powers of this apart. */
const STEP = 1.05

/**
 * The same with all lengths stretched by a factor, read off between two that are near: so near that a width is
 * within half a percent, and whoever tries many factors and tips need not work each of them out.
 */
export function stretchedExtent(layers: readonly ResolvedLayer[]): (factor: number) => Extent {
  const keyed = layers.map((resolved) => ({ resolved, key: keyOf(resolved) }))
  return (factor) => {
    const steps = Math.log(factor) / Math.log(STEP)
    const step = Math.floor(steps)
    const share = (factor / STEP ** step - 1) / (STEP - 1)
    return around(
      keyed.map(({ resolved, key }) => {
        const at = (n: number) => kept(resolved, `${key} ${n}`, () => scaled(resolved, STEP ** n))
        return between(at(step), at(step + 1), share)
      }),
    )
  }
}

const scaled = ({ layer, tip }: ResolvedLayer, factor: number): ResolvedLayer => ({
  layer: scaleLayer(layer, factor),
  tip,
})

function between(a: Reach, b: Reach, share: number): Reach {
  const mixed = (x: Float64Array, y: Float64Array) => x.map((v, d) => v + share * (y[d]! - v))
  return {
    low: mixed(a.low, b.low),
    high: mixed(a.high, b.high),
    topMm: a.topMm + share * (b.topMm - a.topMm),
  }
}

function around(reaches: readonly Reach[]): Extent {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  for (const reach of reaches)
    for (let d = 0; d < DIRECTIONS; d++) {
      high[d] = Math.max(high[d]!, reach.high[d]!)
      low[d] = Math.min(low[d]!, reach.low[d]!)
    }
  return extentOf(low, high, Math.max(0, ...reaches.map((r) => r.topMm)))
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

const reaches = new WeakMap<Opening, Map<string, Reach>>()
/** Layers of one opening whose reach is kept: a search asks for the same ones again and again. */
const MOST_KEPT = 1000

/** All of a layer that its reach depends on, with the opening that it is kept under. */
const keyOf = ({ layer }: ResolvedLayer): string =>
  JSON.stringify([layer.stroke, layer.ringMm, layer.heightMm, layer.count, layer.startDeg, layer.spreadDeg])

/** The reach of what `of` gives, worked out once for a key. */
function kept({ tip }: ResolvedLayer, key: string, of: () => ResolvedLayer): Reach {
  const ofTip = reaches.get(tip.opening) ?? new Map<string, Reach>()
  reaches.set(tip.opening, ofTip)
  const known = ofTip.get(key)
  if (known) return known
  if (ofTip.size >= MOST_KEPT) ofTip.clear()
  const reach = reachOf(of())
  ofTip.set(key, reach)
  return reach
}

function reachOf({ layer, tip }: ResolvedLayer): Reach {
  const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
  const points = strokeBody(layer.stroke, at, tip.opening)
  let topMm = 0
  for (let o = 2; o < points.length; o += 3) if (points[o]! > topMm) topMm = points[o]!
  const slipMm =
    STRAY_UP_MM +
    WAVER_SHARE * (WAVER_UP_MM + WAVER_TILT * strokeLever(layer.stroke, at, tip.opening)) +
    FRILL_SWELL * ('ripple' in layer.stroke ? (layer.stroke.ripple?.ampMm ?? 0) : 0)
  return { ...turned(supportOf(points), layer), topMm: topMm + slipMm * highestSlip(layer.count) }
}

/** The reach of one stroke at all azimuths of its layer: instead of every stroke the caliper is turned, the other way. */
function turned(support: Support, layer: Layer): Pick<Reach, 'low' | 'high'> {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  for (const azimuth of layerAzimuths(layer))
    for (let d = 0; d < DIRECTIONS; d++) {
      const across = (Math.PI * d) / DIRECTIONS - azimuth
      high[d] = Math.max(high[d]!, supportAt(support, across))
      low[d] = Math.min(low[d]!, -supportAt(support, across + Math.PI))
    }
  return { low, high }
}
