import type { Point } from './attempt.ts'
import type { Drill } from './drill.ts'
import { mean } from './numbers.ts'

/** A stroke counts to a place of the drill that it lies no further from, on the whole, than this share of the sheet's width. */
const NEAR_SHARE = 0.5

/**
 * Which stroke of a drill each stroke of a try was meant for, by where it went: a pair at a time, the nearest first. A long stroke that was
 * taken up again belongs to the same one; a stroke too many belongs to none.
 */
export function matched(drill: Drill, gone: readonly (readonly Point[])[]): (number | null)[] {
  const ways = drill.strokes.map(({ path }) => sampled(path))
  const pairs = gone.flatMap((points, attempt) => {
    const few = sampled(points)
    return ways.map((way, ideal) => ({ attempt, ideal, apart: apart(way, few) }))
  })
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

/**
 * Mean distance of where a stroke went from a stroke of the drill, mm; and of the way it has to go, from where it went: in rows the way
 * must also have been gone.
 */
function apart(way: readonly Point[], went: readonly Point[]): number {
  // what went nowhere is near nothing
  if (went.length === 0) return Number.POSITIVE_INFINITY
  const fromWay = new Float64Array(way.length).fill(Number.POSITIVE_INFINITY)
  let sum = 0
  for (const p of went) {
    let least = Number.POSITIVE_INFINITY
    for (const [i, q] of way.entries()) {
      const square = (q.x - p.x) ** 2 + (q.y - p.y) ** 2
      if (square < least) least = square
      if (square < fromWay[i]!) fromWay[i] = square
    }
    sum += Math.sqrt(least)
  }
  return sum / went.length + WAY_COUNTS * mean(Array.from(fromWay, Math.sqrt))
}

/** So much the way that was not gone counts beside what was gone off it. */
const WAY_COUNTS = 0.3

const FEW = 24

function sampled(points: readonly Point[]): readonly Point[] {
  if (points.length <= FEW) return points
  return Array.from({ length: FEW }, (_, i) => points[Math.round((i * (points.length - 1)) / (FEW - 1))]!)
}
