import { seatedPoints } from '../geometry/seat.ts'
import type { Spot } from '../places/spot.ts'
import { strokeBody, strokeLever } from '../solids/body.ts'
import { FRILL_SWELL, highestSlip, STRAY_UP_MM, WAVER_TILT, WAVER_UP_MM } from '../solids/hand.ts'
import { supportAt, supportOf } from '../solids/reach.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { type Opening, openingSlot } from '../tips/index.ts'
import { toolDefinition } from '../tools/index.ts'
import { DIRECTIONS, type Extent, extentOf, topOf } from './caliper.ts'
import { type ResolvedLayer, scaleResolved } from './layers.ts'
import { layerSpots } from './spots.ts'

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
  around(layers.map((resolved) => kept(resolved, keyOf(resolved, layers), () => reachOf(resolved, layers))))

/** Lengths that a reach is worked out at when they are stretched are powers of this apart. */
const STEP = 1.05

/**
 * The same with all lengths stretched by a factor, read off between two that are near: so near that a width is
 * within half a percent, and whoever tries many factors and tips need not work each of them out.
 */
export function stretchedExtent(layers: readonly ResolvedLayer[]): (factor: number) => Extent {
  const keyed = layers.map((resolved) => ({ resolved, key: keyOf(resolved, layers) }))
  return (factor) => {
    const steps = Math.log(factor) / Math.log(STEP)
    const step = Math.floor(steps)
    const share = (factor / STEP ** step - 1) / (STEP - 1)
    return around(
      keyed.map(({ resolved, key }) => {
        const at = (n: number) =>
          kept(resolved, `${key} ${n}`, () => {
            const stretched = layers.map((l) => scaleResolved(l, STEP ** n))
            return reachOf(stretched[layers.indexOf(resolved)]!, stretched)
          })
        return between(at(step), at(step + 1), share)
      }),
    )
  }
}

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
    // what is pushed about with a tool ends elsewhere
    if (layer.tools.some((step) => !toolDefinition(step.work.kind).marks)) return false
    if (rests === 'sits' || rests === 'rises' || rests === 'spreads') return true
    return rests === 'lies' && openingSlot(tip.opening) !== null
  })

const reaches = new WeakMap<Opening, Map<string, Reach>>()
/** Layers of one opening whose reach is kept: a search asks for the same ones again and again. */
const MOST_KEPT = 1000

/** All of a layer that its reach depends on, with the opening that it is kept under. */
function keyOf(resolved: ResolvedLayer, layers: readonly ResolvedLayer[]): string {
  const { layer, floret } = resolved
  const { stroke, ringMm, heightMm, count, startDeg, spreadDeg } = layer
  // where it stands by itself, its figures say its places in fewer words
  const plain = layer.at.kind === 'ring' && !floret
  return JSON.stringify([
    stroke,
    ringMm,
    heightMm,
    plain ? [count, startDeg, spreadDeg] : layerSpots(resolved, layers),
  ])
}

/** The reach that `of` works out, once for a key. */
function kept({ tip }: ResolvedLayer, key: string, of: () => Reach): Reach {
  const ofTip = reaches.get(tip.opening) ?? new Map<string, Reach>()
  reaches.set(tip.opening, ofTip)
  const known = ofTip.get(key)
  if (known) return known
  if (ofTip.size >= MOST_KEPT) ofTip.clear()
  const reach = of()
  ofTip.set(key, reach)
  return reach
}

function reachOf(resolved: ResolvedLayer, layers: readonly ResolvedLayer[]): Reach {
  const { layer, tip } = resolved
  const spots = layerSpots(resolved, layers)
  const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
  const points = strokeBody(layer.stroke, at, tip.opening)
  const slipMm =
    STRAY_UP_MM +
    WAVER_SHARE * (WAVER_UP_MM + WAVER_TILT * strokeLever(layer.stroke, at, tip.opening)) +
    FRILL_SWELL * ('ripple' in layer.stroke ? (layer.stroke.ripple?.ampMm ?? 0) : 0)
  const reach = reachAt(points, spots)
  return { ...reach, topMm: reach.topMm + slipMm * highestSlip(spots.length) }
}

/**
 * The reach of one stroke, given by points on its surface, at all its spots. Where it stands upright the caliper is turned
 * instead of the stroke, the other way.
 */
function reachAt(points: Float32Array, spots: readonly Spot[]): Reach {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  let topMm = 0
  const asTraced = supportOf(points)
  for (const { azimuth, seat } of spots) {
    const leans = seat && seat.lean !== 0
    const here = leans ? seatedPoints(points, seat, azimuth) : points
    const support = leans ? supportOf(here) : asTraced
    const [x, y, z, turn] = leans ? [0, 0, 0, 0] : [seat?.xMm ?? 0, seat?.yMm ?? 0, seat?.zMm ?? 0, azimuth]
    topMm = Math.max(topMm, z + topOf(here))
    for (let d = 0; d < DIRECTIONS; d++) {
      const angle = (Math.PI * d) / DIRECTIONS
      const moved = x * Math.cos(angle) + y * Math.sin(angle)
      high[d] = Math.max(high[d]!, moved + supportAt(support, angle - turn))
      low[d] = Math.min(low[d]!, moved - supportAt(support, angle - turn + Math.PI))
    }
  }
  return { low, high, topMm }
}
