import type { PiledStroke } from '../pile/piled.ts'

/** A petal is as wide as it is from this share of its own reach on. */
const OUTER = 0.7

/** Every point of the middle of strokes, from the axis that each stands round. */
function eachPoint(
  strokes: readonly PiledStroke[],
  visit: (x: number, y: number, z: number, stroke: PiledStroke) => void,
): void {
  for (const stroke of strokes) {
    const [ax, ay] = [stroke.at.seat?.xMm ?? 0, stroke.at.seat?.yMm ?? 0]
    for (const body of stroke.laid) {
      const points = body.kind === 'sheet' ? body.points : body.centres
      for (let o = 0; o < points.length; o += 3)
        visit(points[o]! - ax, points[o + 1]! - ay, points[o + 2]!, stroke)
    }
  }
}

/** How far a row reaches from its axis as it lies, mm. */
export function rowReachMm(strokes: readonly PiledStroke[]): number {
  let most = 0
  eachPoint(strokes, (x, y) => {
    most = Math.max(most, Math.hypot(x, y))
  })
  return most
}

/** Degrees of a turn that one stroke of a row covers as it lies, the mean over the row: in the outer part of its reach. */
export function petalWidthDeg(strokes: readonly PiledStroke[]): number {
  const most = new Map(strokes.map((stroke) => [stroke, rowReachMm([stroke])]))
  const spans = new Map<PiledStroke, [low: number, high: number]>()
  eachPoint(strokes, (x, y, _, stroke) => {
    if (Math.hypot(x, y) < most.get(stroke)! * OUTER) return
    const off = (Math.atan2(y, x) - stroke.at.azimuth) / (2 * Math.PI)
    const turn = off - Math.round(off)
    const [low, high] = spans.get(stroke) ?? [turn, turn]
    spans.set(stroke, [Math.min(low, turn), Math.max(high, turn)])
  })
  return ([...spans.values()].reduce((sum, [low, high]) => sum + high - low, 0) / strokes.length) * 360
}

/** The highest point of the middle of a layer's strokes, mm. */
export function topOf(strokes: readonly PiledStroke[], layer: number): number {
  let top = 0
  eachPoint(
    strokes.filter((s) => s.layer === layer),
    (_x, _y, z) => {
      top = Math.max(top, z)
    },
  )
  return top
}
