import type { ToHide } from '../model/layout.ts'
import type { Chart, Point, Spot } from '../surfaces/chart.ts'
import type { Body } from './body.ts'
import { rimMm } from './cover.ts'

/** A seam is looked at so closely, mm; what is under a flower this far in from its rim is hidden, in its radius. */
const STEP_MM = 2
const HIDDEN = 0.15
const LEAF_HIDDEN = 0.3
/** Turns that are tried, degrees apart. */
const TURN_STEP_DEG = 2

/** One point of what is to be hidden. */
export interface SeamPoint extends Point {
  spot: Spot
}

/** A seam from rim to foot of the side that it is on, or the one point where a swirl stops. */
export function seamPoints(chart: Chart, hide: ToHide, turnDeg = 0): SeamPoint[] {
  const at = chart.read(hide.place)
  const { x, y } = chart.unroll(at)
  const turned = x + (turnDeg / 360) * chart.roundMm
  const { zone, tier } = chart.zoneOf(at)
  const band = chart.bands.find((b) => b.zone === zone && b.tier === tier)
  const spots =
    hide.kind === 'stop' || !band || zone !== 'side'
      ? [turnDeg === 0 ? at : chart.rollUp(turned, y)]
      : Array.from({ length: Math.floor((band.toMm - band.fromMm) / STEP_MM) + 1 }, (_, i) =>
          chart.rollUp(turned, band.fromMm + i * STEP_MM),
        )
  return spots.map((spot) => ({ ...chart.point(spot), spot }))
}

const hides = (body: Body, at: Point): boolean => {
  const in_ = body.kind.lies ? LEAF_HIDDEN * (body.kind.wideMm / 2) : HIDDEN * body.kind.r
  return rimMm(body, at) <= -in_
}

/** The points that show, nothing lying over them. */
export const showing = (points: readonly SeamPoint[], bodies: readonly Body[]): SeamPoint[] =>
  points.filter((p) => !bodies.some((b) => hides(b, p)))

/** How much of a seam shows, mm; a stop point is as long as one step. */
export const shownMm = (points: readonly SeamPoint[]): number => points.length * STEP_MM

/** The turn of a tier under its flowers at which least of its seam shows, the smallest of equals; degrees against the clock. */
export function bestTurn(
  chart: Chart,
  hide: ToHide,
  bodies: readonly Body[],
): { deg: number; left: SeamPoint[] } {
  let best = { deg: 0, left: showing(seamPoints(chart, hide), bodies) }
  for (let deg = TURN_STEP_DEG; deg <= 180; deg += TURN_STEP_DEG)
    for (const turn of [deg, -deg]) {
      const left = showing(seamPoints(chart, hide, turn), bodies)
      if (left.length < best.left.length) best = { deg: turn, left }
    }
  return best
}

/** Places for leaves so long that together they lie over all that shows, one after the other along it. */
export function leavesOver(points: readonly SeamPoint[], longMm: number): SeamPoint[] {
  const places: SeamPoint[] = []
  // a leaf hides a little less than its length
  const each = Math.max(1, Math.floor((0.75 * longMm) / STEP_MM))
  let left = [...points]
  while (left.length > 0) {
    const [first] = left as [SeamPoint, ...SeamPoint[]]
    const run = left.filter((p) => Math.hypot(p.x - first.x, p.y - first.y, p.z - first.z) <= each * STEP_MM)
    places.push(run[Math.floor(run.length / 2)]!)
    left = left.filter((p) => !run.includes(p))
  }
  return places
}
