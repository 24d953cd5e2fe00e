import type { LaidSheet } from '../solids/laid.ts'

/** Beyond this share of the slot the two ways of a petal are its two sides, and stay apart. */
const UP_TO = 0.8
/** A rounded edge reaches so much of its thickness beyond the middle surface. */
const EDGE = 0.42
/** So much of both is pressed into one another, mm; and they are never pressed further. */
const PRESSED_MM = 0.25
const MOST_PRESSED_MM = 0.3

/**
 * Lets the way out of a petal and its way back run together along the middle, as a hand does, so that no slit stays open
 * between the wide ends. In place.
 */
export function weld({ points, thick, tSteps, uSteps }: LaidSheet): void {
  const row = uSteps + 1
  for (let t = 0; t < tSteps / 2; t++)
    for (let u = 0; u <= uSteps; u++) {
      const weight = Math.max(0, 1 - u / uSteps / UP_TO) ** 2
      if (weight === 0) break
      const [a, b] = [t * row + u, (tSteps - t) * row + u]
      const [i, j] = [a * 3, b * 3]
      const way = [points[j]! - points[i]!, points[j + 1]! - points[i + 1]!, points[j + 2]! - points[i + 2]!]
      const gap = Math.hypot(...way)
      if (gap < 1e-6) continue
      const reach =
        EDGE *
        (thick[a]! * alongSlot(points, a, u, uSteps, way, gap) +
          thick[b]! * alongSlot(points, b, u, uSteps, way, gap))
      const closed = gap - Math.max(-MOST_PRESSED_MM, reach - PRESSED_MM)
      if (closed <= 0) continue
      const shift = (weight * closed) / 2 / gap
      for (let c = 0; c < 3; c++) {
        points[i + c]! += way[c]! * shift
        points[j + c]! -= way[c]! * shift
      }
    }
}

/** How nearly a gap lies along the slot at a point, 0 to 1: only there a rounded edge reaches into it. */
function alongSlot(
  points: Float64Array,
  v: number,
  u: number,
  uSteps: number,
  way: readonly number[],
  gap: number,
): number {
  const [from, to] = u < uSteps ? [v, v + 1] : [v - 1, v]
  const slot = [0, 1, 2].map((c) => points[to * 3 + c]! - points[from * 3 + c]!)
  const length = Math.hypot(...slot) || 1
  return Math.abs(slot.reduce((sum, s, c) => sum + s * way[c]!, 0)) / length / gap
}
