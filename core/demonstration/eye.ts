import type { Show } from './show.ts'
import { spun, type Vec } from './vec.ts'

/** The eye is never nearer than this to the way the bag's back points, degrees: it would look along the bag. */
export const CLEAR_DEG = 60
/** Heights that the eye may be at over the table, the usual first, degrees. */
const HEIGHTS_DEG = [28, 20, 36]
/** From the seat, which is at the near side of the table. */
const SEAT_DEG = -90
const STEP_DEG = 5

/** Where the eye is, over the table, for a right hand; radians. */
export interface Eye {
  azimuth: number
  elevation: number
}

/** The place nearest to the seat from which the bag of a layer is in nobody's way, at any of its moments. */
export function eyeFor({ strokes }: Show, layer: number): Eye {
  const backs: Vec[] = []
  for (const { layer: l, axes, nail } of strokes) {
    if (l !== layer) continue
    for (let i = 0; i < axes.length; i += 8) backs.push(spun(axes[i]!, nail[i]!))
  }
  let best: { eye: Eye; nearest: number } | null = null
  for (let off = 0; off <= 90; off += STEP_DEG)
    for (const side of [-1, 1])
      for (const height of HEIGHTS_DEG) {
        const eye = { azimuth: radians(SEAT_DEG + side * off), elevation: radians(height) }
        const nearest = Math.min(180, ...backs.map((back) => apart(eye, back)))
        if (nearest >= CLEAR_DEG) return eye
        if (!best || nearest > best.nearest) best = { eye, nearest }
      }
  return best!.eye
}

const radians = (deg: number): number => (deg * Math.PI) / 180

function apart({ azimuth, elevation }: Eye, [x, y, z]: Vec): number {
  const along =
    Math.cos(elevation) * (Math.cos(azimuth) * x + Math.sin(azimuth) * y) + Math.sin(elevation) * z
  return (Math.acos(Math.max(-1, Math.min(1, along))) * 180) / Math.PI
}
