import type { Layer } from '../model/flower.ts'
import { strokeReach } from '../strokes/quantities.ts'
import { layerAzimuths, type ResolvedLayer } from './measure.ts'

/** Directions over which the width is averaged, as a caliper turned around the flower would. */
const DIRECTIONS = 18

/** Whether a tube lies down, so that half its width stands above its middle; upright ones end where they end. */
const lies = (layer: Layer): boolean => layer.stroke.kind === 'rosette' || layer.stroke.kind === 'vine'

/** Mean caliper width over 18 directions, and top above the base plane, in mm. */
export function flowerExtent(layers: readonly ResolvedLayer[]): { diameterMm: number; heightMm: number } {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  let top = 0
  const strokes = layers.map(({ layer, tip }) => {
    const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
    const reach = strokeReach(layer.stroke, at, tip.opening)
    const lying = lies(layer)
    let radius = 0
    for (let o = 0; o < reach.length; o += 4) {
      top = Math.max(top, reach[o + 2]! + (lying ? reach[o + 3]! : 0))
      radius = Math.max(radius, Math.hypot(reach[o]!, reach[o + 1]!) + reach[o + 3]!)
    }
    return { layer, reach, radius }
  })
  const covered = coveredRadius(strokes)
  for (const { layer, reach, radius } of strokes) {
    if (radius <= covered) continue
    const azimuths = layerAzimuths(layer)
    for (let d = 0; d < DIRECTIONS; d++) {
      const across = (Math.PI * d) / DIRECTIONS
      // instead of turning every stroke, turn the caliper back by each stroke's azimuth
      for (const azimuth of azimuths) {
        const c = Math.cos(across - azimuth)
        const s = Math.sin(across - azimuth)
        let least = 0
        let most = 0
        for (let o = 0; o < reach.length; o += 4) {
          const along = c * reach[o]! + s * reach[o + 1]!
          const r = reach[o + 3]!
          if (along + r > most) most = along + r
          if (along - r < least) least = along - r
        }
        if (most > high[d]!) high[d] = most
        if (least < low[d]!) low[d] = least
      }
    }
  }
  const widths = high.reduce((sum, h, d) => sum + h - low[d]!, 0)
  return { diameterMm: widths / DIRECTIONS, heightMm: top }
}

/**
 * Radius inside which no layer can widen the flower: a full ring of n strokes reaching radius r spans a polygon,
 * and a caliper never closes on it further than `r cos(π/n)` from the middle.
 */
function coveredRadius(strokes: readonly { layer: Layer; radius: number }[]): number {
  return strokes.reduce(
    (most, { layer, radius }) =>
      layer.spreadDeg >= 360 && layer.count >= 3
        ? Math.max(most, radius * Math.cos(Math.PI / layer.count) - 1e-9)
        : most,
    0,
  )
}
