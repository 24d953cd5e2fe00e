import type { Point } from './attempt.ts'
import type { Drill, DrillStroke } from './drill.ts'
import { mean } from './numbers.ts'

/** A stroke counts to a place of the drill that it lies no further from, on the whole, than this share of the sheet's width. */
const NEAR_SHARE = 0.5

/**
 * Which stroke of a drill each stroke of a try was meant for, by where it went: a pair at a time, the nearest first. A long stroke that was
 * taken up again belongs to the same one; a stroke too many belongs to none.
 */
export function matched(drill: Drill, gone: readonly (readonly Point[])[]): (number | null)[] {
  const pairs = gone.flatMap((points, attempt) =>
    drill.strokes.map((stroke, ideal) => ({ attempt, ideal, apart: apart(stroke, points) })),
  )
  pairs.sort((a, b) => a.apart - b.apart || a.attempt - b.attempt)
  const out: (number | null)[] = gone.map(() => null)
  const taken = new Set<number>()
  const takenUp = drill.looks === 'rope' || drill.looks === 'strokes'
  for (const { attempt, ideal, apart } of pairs) {
    if (out[attempt] !== null || apart > NEAR_SHARE * drill.wide) continue
    if (taken.has(ideal) && !takenUp) continue
    out[attempt] = ideal
    taken.add(ideal)
  }
  return out
}

/** Mean distance of where a stroke went from a stroke of the drill, mm; and of the way it has to go, from where it went. */
function apart({ path }: DrillStroke, points: readonly Point[]): number {
  const few = sampled(points)
  const way = sampled(path)
  // what was gone lies on the way; in rows the way must also have been gone
  return mean(few.map((p) => nearest(p, way))) + 0.3 * mean(way.map((p) => nearest(p, few)))
}

const FEW = 24

function sampled(points: readonly Point[]): readonly Point[] {
  if (points.length <= FEW) return points
  return Array.from({ length: FEW }, (_, i) => points[Math.round((i * (points.length - 1)) / (FEW - 1))]!)
}

const nearest = (p: Point, others: readonly Point[]): number =>
  Math.min(...others.map((o) => Math.hypot(o.x - p.x, o.y - p.y)))
