import type { Point } from '#core/surfaces/chart'

/** A flower seen from its edge is still drawn so wide that it can be told and taken hold of. */
const LEAST_SQUEEZE = 0.28
/** Shorter than this from above, "outward" says nothing: there the surface itself faces outward. */
const UPRIGHT = 0.05

/** How a thing that points outward lies in a picture from above: radians against the clock from the right, and how much it is foreshortened. */
export function poseFromAbove({ nx, ny, nz, ox, oy }: Point): { angle: number; squeeze: number } {
  const angle = Math.hypot(ox, oy) > UPRIGHT ? Math.atan2(oy, ox) : Math.atan2(ny, nx)
  return { angle, squeeze: Math.max(LEAST_SQUEEZE, nz) }
}
