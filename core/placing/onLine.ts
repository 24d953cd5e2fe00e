import type { Line } from '../model/layout.ts'
import type { Chart, Point, Spot } from '../surfaces/chart.ts'
import type { BorderUnit } from './borders.ts'

/** A line is followed in steps of so many mm. */
const STEP_MM = 2

/** A point of a line with how far along it lies, mm. */
export interface LinePoint extends Point {
  spot: Spot
  along: number
}

/** A line that was drawn, as it lies on the surface: close points from one end to the other. */
export function linePoints(chart: Chart, line: Pick<Line, 'path'>): LinePoint[] {
  const drawn = line.path.map((place) => {
    const spot = chart.read(place)
    return { ...chart.point(spot), spot }
  })
  const points: LinePoint[] = []
  let along = 0
  const put = (p: Point & { spot: Spot }) => {
    const last = points.at(-1)
    if (last) along += Math.hypot(p.x - last.x, p.y - last.y, p.z - last.z)
    points.push({ ...p, along })
  }
  drawn.forEach((p, i) => {
    put(p)
    const next = drawn[i + 1]
    if (!next) return
    const far = Math.hypot(next.x - p.x, next.y - p.y, next.z - p.z)
    for (let mm = STEP_MM; mm < far; mm += STEP_MM) {
      const t = mm / far
      const spot = chart.nearest(p.x + t * (next.x - p.x), p.y + t * (next.y - p.y), p.z + t * (next.z - p.z))
      put({ ...chart.point(spot), spot })
    }
  })
  return points
}

/** How long a line is, mm. */
export const lineMm = (points: readonly LinePoint[]): number => points.at(-1)?.along ?? 0

/** The place so far along a line, and which way it runs there. */
export function alongLine(points: readonly LinePoint[], mm: number) {
  const i = Math.max(
    1,
    points.findIndex((p) => p.along >= mm),
  )
  const at = points.findIndex((p) => p.along >= mm) < 0 ? points.length - 1 : i
  const [p, q] = [points[at - 1]!, points[at]!]
  const far = q.along - p.along || 1
  const t = Math.min(1, Math.max(0, (mm - p.along) / far))
  const mix = (a: number, b: number) => a + t * (b - a)
  const [tx, ty, tz] = [(q.x - p.x) / far, (q.y - p.y) / far, (q.z - p.z) / far]
  return { x: mix(p.x, q.x), y: mix(p.y, q.y), z: mix(p.z, q.z), tx, ty, tz }
}

/** How many units of a border run along a line of this length: one at its beginning, one at its end. */
export const unitsOnLine = (mm: number, pitchMm: number): number => Math.max(1, Math.round(mm / pitchMm)) + 1

/** The units of a border along a line, evened out so that one stands at each end. */
export function borderOnLine(points: readonly LinePoint[], pitchMm: number): BorderUnit[] {
  const mm = lineMm(points)
  if (mm === 0) return []
  const count = unitsOnLine(mm, pitchMm)
  return Array.from({ length: count }, (_, i) => {
    const { x, y, z, tx, ty } = alongLine(points, (mm * i) / (count - 1))
    return { x, y, z, angle: Math.atan2(ty, tx) }
  })
}
