import { type LaidRope, type LaidSheet, ropeRadius } from '../solids/laid.ts'
import type { Field } from './field.ts'

/** Distance between two balls along a sheet or a rope, mm: a little more than a cell of the field. */
const BALLS_MM = 0.9

/** Adds the part of a sheet between two of its rings. */
export function depositSheet(
  field: Field,
  { points, thick, uSteps }: LaidSheet,
  from: number,
  to: number,
): void {
  const row = uSteps + 1
  for (let t = from; t < Math.max(to, from + 1); t++)
    for (let u = 0; u < uSteps; u++) {
      const a = t * row + u
      const [b, c, d] = to > from ? [a + row, a + row + 1, a + 1] : [a, a + 1, a + 1]
      const along = Math.max(apart(points, a, b), apart(points, d, c))
      const across = Math.max(apart(points, a, d), apart(points, b, c))
      const m = Math.max(1, Math.ceil(along / BALLS_MM))
      const n = Math.max(1, Math.ceil(across / BALLS_MM))
      for (let i = 0; i < m; i++)
        for (let j = 0; j <= (u === uSteps - 1 ? n : n - 1); j++) {
          const [s, w] = [i / m, j / n]
          const [ka, kb, kc, kd] = [(1 - s) * (1 - w), s * (1 - w), s * w, (1 - s) * w]
          const at = (axis: number) =>
            ka * points[a * 3 + axis]! +
            kb * points[b * 3 + axis]! +
            kc * points[c * 3 + axis]! +
            kd * points[d * 3 + axis]!
          const h = ka * thick[a]! + kb * thick[b]! + kc * thick[c]! + kd * thick[d]!
          field.lay(at(0), at(1), at(2), h / 2)
        }
    }
}

/** Adds the part of a rope between two of its rings. */
export function depositRope(field: Field, rope: LaidRope, from: number, to: number): void {
  const { centres, scale, flat } = rope
  // a section that has sunk is a row of balls side by side
  const radius = ropeRadius(rope)
  const lower = Math.sqrt(flat)
  for (let t = from; t < Math.max(to, from + 1); t++) {
    const next = Math.min(t + 1, rope.rings - 1)
    const length = apart(centres, t, next)
    const steps = Math.max(1, Math.ceil(length / BALLS_MM))
    const [dx, dy] = [centres[next * 3]! - centres[t * 3]!, centres[next * 3 + 1]! - centres[t * 3 + 1]!]
    const level = Math.hypot(dx, dy) || 1
    for (let i = 0; i < steps; i++) {
      const s = i / steps
      const at = (axis: number) => centres[t * 3 + axis]! * (1 - s) + centres[next * 3 + axis]! * s
      const r = radius * (scale[t]! * (1 - s) + scale[next]! * s)
      const ball = r * lower
      const aside = flat < 1 ? r / lower - ball : 0
      field.lay(at(0), at(1), at(2), ball)
      if (aside > BALLS_MM / 4)
        for (const side of [-aside, aside])
          field.lay(at(0) - (dy / level) * side, at(1) + (dx / level) * side, at(2), ball)
    }
  }
}

function apart(p: Float64Array, a: number, b: number): number {
  const [i, j] = [a * 3, b * 3]
  return Math.hypot(p[i]! - p[j]!, p[i + 1]! - p[j + 1]!, p[i + 2]! - p[j + 2]!)
}
