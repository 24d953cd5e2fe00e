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
  for (const { layer, tip } of layers) {
    const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
    const reach = strokeReach(layer.stroke, at, tip.opening)
    const lying = lies(layer)
    for (let o = 0; o < reach.length; o += 4) top = Math.max(top, reach[o + 2]! + (lying ? reach[o + 3]! : 0))
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
