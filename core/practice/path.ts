import type { Point } from './attempt.ts'

/** Steps of a drill's way, mm. */
const EVERY_MM = 0.25

/** A way through points in even steps. @param points near enough to each other that straight bits show no corners. */
export function evenly(points: readonly Point[]): Point[] {
  if (points.length === 1) return [points[0]!]
  const lengths = [0]
  for (let i = 1; i < points.length; i++)
    lengths.push(
      lengths[i - 1]! + Math.hypot(points[i]!.x - points[i - 1]!.x, points[i]!.y - points[i - 1]!.y),
    )
  const total = lengths.at(-1)!
  if (total < EVERY_MM) return [points[0]!]
  const count = Math.ceil(total / EVERY_MM)
  let at = 0
  return Array.from({ length: count + 1 }, (_, i) => {
    const want = (total * i) / count
    while (at < points.length - 2 && lengths[at + 1]! < want) at++
    const span = lengths[at + 1]! - lengths[at]!
    const share = span > 0 ? (want - lengths[at]!) / span : 0
    const [a, b] = [points[at]!, points[at + 1]!]
    return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }
  })
}

/** A way by a function of its share, 0 to 1, in even steps. */
export const drawn = (at: (share: number) => Point, fineness = 400): Point[] =>
  evenly(Array.from({ length: fineness + 1 }, (_, i) => at(i / fineness)))

/** A smooth way through a few points (Catmull and Rom's spline). */
export function through(points: readonly (readonly [x: number, y: number])[], fineness = 24): Point[] {
  const at = (i: number) => points[Math.min(points.length - 1, Math.max(0, i))]!
  const fine: Point[] = []
  for (let i = 0; i < points.length - 1; i++)
    for (let k = i === 0 ? 0 : 1; k <= fineness; k++) {
      const t = k / fineness
      const of = (axis: 0 | 1) => {
        const [a, b, c, d] = [at(i - 1)[axis], at(i)[axis], at(i + 1)[axis], at(i + 2)[axis]]
        return b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)))
      }
      fine.push({ x: of(0), y: of(1) })
    }
  return evenly(fine)
}

/** The same way, moved. */
export const moved = (path: readonly Point[], x: number, y: number): Point[] =>
  path.map((p) => ({ x: p.x + x, y: p.y + y }))
