import type { Chart, Place, Point } from '../surfaces/chart.ts'
import type { PipedLine } from './letter.ts'

/** Where words lie on a piece. */
export interface Laid {
  place: Place
  turnDeg: number
}

/** Points of a line of icing are so close on a surface that it follows it, mm. */
const STEP_MM = 1.5

/** Lines of icing as they lie on a surface, point by point: upright to whoever looks at it from outside, then turned. */
export function linesOn(chart: Chart, { place, turnDeg }: Laid, lines: readonly PipedLine[]): Point[][] {
  const middle = chart.read(place)
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)]
  const at = (x: number, y: number) => chart.point(chart.walk(middle, c * x - s * y, -(s * x + c * y)))
  return lines.map((line) => {
    const points: Point[] = []
    for (let i = 0; i + 3 < line.length; i += 2) {
      const [x0, y0, x1, y1] = [line[i]!, line[i + 1]!, line[i + 2]!, line[i + 3]!]
      const steps = Math.max(1, Math.ceil(Math.hypot(x1 - x0, y1 - y0) / STEP_MM))
      for (let k = 0; k < steps; k++)
        points.push(at(x0 + ((x1 - x0) * k) / steps, y0 + ((y1 - y0) * k) / steps))
    }
    points.push(at(line.at(-2)!, line.at(-1)!))
    return points
  })
}

/** Whether words are inside the face of the piece that their middle is on: a tier's side, or a top. */
export function isWhole(chart: Chart, laid: Laid, lines: readonly PipedLine[], beadMm: number): boolean {
  const { zone, tier } = chart.zoneOf(chart.read(laid.place))
  return linesOn(chart, laid, lines).every((line) =>
    line.every(({ x, y, z }) => {
      const spot = chart.nearest(x, y, z)
      const here = chart.zoneOf(spot)
      return here.zone === zone && here.tier === tier && chart.insideMm(spot) >= beadMm / 2
    }),
  )
}
