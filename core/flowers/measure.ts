import { type Flower, type Layer, loadRoles } from '../model/flower.ts'
import type { Tip } from '../model/tip.ts'
import { measureStroke } from '../strokes/quantities.ts'
import type { Placement } from '../strokes/stroke.ts'
import { openingSlot } from '../tips/index.ts'
import { areaShare } from '../tips/slot.ts'

/** A layer ready to be piped: lengths final, its tip known. */
export interface ResolvedLayer {
  layer: Layer
  tip: Tip
}

/** One layer's amounts for one flower. */
export interface LayerMeasure {
  layerId: string
  tipId: string
  volumeMm3: number
  seconds: number
  /** Share of the layer's icing per role id; sums to 1. */
  shares: { role: string; share: number }[]
}

export interface FlowerMeasure {
  layers: LayerMeasure[]
  volumeMm3: number
  seconds: number
  /** Mean caliper width over 18 directions, and top above the base plane, mm. */
  diameterMm: number
  heightMm: number
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

/** How a layer's icing divides among its roles: by area of the opening on each side of a stripe's border. */
export function layerShares(layer: Layer, tip: Tip): LayerMeasure['shares'] {
  if (layer.load.kind === 'plain') return [{ role: layer.load.role, share: 1 }]
  const slot = openingSlot(tip.opening)
  // a round or star opening has no wide end: its two halves meet at the border given
  const wide = slot ? areaShare(slot, layer.load.border) : layer.load.border
  return [
    { role: layer.load.wideEnd, share: wide },
    { role: layer.load.rest, share: 1 - wide },
  ]
}

/** Volume, time, width and height of one flower. Volumes carry the flower's calibration factor. */
export function measureFlower(flower: Flower, layers: readonly ResolvedLayer[]): FlowerMeasure {
  const extent = newExtent()
  const measured = layers.map(({ layer, tip }) => {
    const at: Placement = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
    const one = measureStroke(layer.stroke, at, tip.opening)
    for (const azimuth of layerAzimuths(layer)) growExtent(extent, one.reach, azimuth, lies(layer))
    return {
      layerId: layer.id,
      tipId: tip.id,
      volumeMm3: one.volumeMm3 * layer.count * flower.calibration,
      seconds: one.seconds * layer.count,
      shares: layerShares(layer, tip),
    }
  })
  return {
    layers: measured,
    volumeMm3: measured.reduce((sum, l) => sum + l.volumeMm3, 0),
    seconds: measured.reduce((sum, l) => sum + l.seconds, 0),
    diameterMm: extent.high.reduce((sum, high, i) => sum + high - extent.low[i]!, 0) / DIRECTIONS,
    heightMm: extent.top,
  }
}

/** Grams of each role in one flower of icing with the given density (g/ml). */
export function roleGrams(flower: Flower, measure: FlowerMeasure, density: number): Map<string, number> {
  const grams = new Map(flower.roles.map((r) => [r.id, 0]))
  for (const layer of measure.layers)
    for (const { role, share } of layer.shares)
      grams.set(role, (grams.get(role) ?? 0) + (layer.volumeMm3 / 1000) * density * share)
  return grams
}

/** Roles that no layer draws on, which an editor should point out. */
export function unusedRoles(flower: Flower): string[] {
  const used = new Set(flower.layers.flatMap((l) => loadRoles(l.load)))
  return flower.roles.filter((r) => !used.has(r.id)).map((r) => r.id)
}

const DIRECTIONS = 18
interface Extent {
  low: Float64Array
  high: Float64Array
  top: number
}

function newExtent(): Extent {
  return {
    low: new Float64Array(DIRECTIONS).fill(0),
    high: new Float64Array(DIRECTIONS).fill(0),
    top: 0,
  }
}

/** Whether a tube lies down, so that half its width stands above its middle; upright ones end where they end. */
const lies = (layer: Layer): boolean => layer.stroke.kind === 'rosette' || layer.stroke.kind === 'vine'

const AXES = Array.from({ length: DIRECTIONS }, (_, d) => {
  const angle = (Math.PI * d) / DIRECTIONS
  return [Math.cos(angle), Math.sin(angle)] as const
})

/** Widens the extent by a stroke's sample points, turned about the axis to where this copy of it stands. */
function growExtent(extent: Extent, reach: Float64Array, azimuth: number, lying: boolean): void {
  const c = Math.cos(azimuth)
  const s = Math.sin(azimuth)
  for (let o = 0; o < reach.length; o += 4) {
    const x = c * reach[o]! - s * reach[o + 1]!
    const y = s * reach[o]! + c * reach[o + 1]!
    const r = reach[o + 3]!
    const z = reach[o + 2]! + (lying ? r : 0)
    if (z > extent.top) extent.top = z
    for (let d = 0; d < DIRECTIONS; d++) {
      const along = x * AXES[d]![0] + y * AXES[d]![1]
      if (along + r > extent.high[d]!) extent.high[d] = along + r
      if (along - r < extent.low[d]!) extent.low[d] = along - r
    }
  }
}
