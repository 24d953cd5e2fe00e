import type { SheetFrame } from './sheet.ts'
import type { TubeFrame } from './tube.ts'

/**
 * Where something piped has its own axis: moved away from the flower's, and leaning over. Lengths in mm, angles in
 * radians; `towards` is the azimuth that it leans to.
 */
export interface Seat {
  xMm: number
  yMm: number
  zMm: number
  lean: number
  towards: number
}

/** Nine numbers, row by row: what a direction is multiplied by. */
export type Turning = readonly number[]

/** What is turned about the upright by `azimuth` and then leans as the seat does. */
export function turningOf({ lean, towards }: Pick<Seat, 'lean' | 'towards'>, azimuth = 0): Turning {
  const [c, s] = [Math.cos(towards), Math.sin(towards)]
  const [cl, sl] = [Math.cos(lean), Math.sin(lean)]
  const [cr, sr] = [Math.cos(azimuth - towards), Math.sin(azimuth - towards)]
  // about the upright by what is left, over by the lean, about the upright to where it leans
  return [
    c * cl * cr - s * sr,
    -c * cl * sr - s * cr,
    c * sl,
    s * cl * cr + c * sr,
    -s * cl * sr + c * cr,
    s * sl,
    -sl * cr,
    sl * sr,
    cl,
  ]
}

/** One turning after another: `first` is done first. */
export function after(first: Turning, then: Turning): Turning {
  return Array.from({ length: 9 }, (_, i) => {
    const [row, column] = [Math.floor(i / 3) * 3, i % 3]
    return (
      then[row]! * first[column]! + then[row + 1]! * first[column + 3]! + then[row + 2]! * first[column + 6]!
    )
  })
}

/** Upright within this, a turning has no direction that it leans to. */
const UPRIGHT = 1e-9

/** A turning told as a lean, the azimuth it leans to, and what it is turned about itself. */
export function leanOf(m: Turning): { lean: number; towards: number; azimuth: number } {
  const out = Math.hypot(m[2]!, m[5]!)
  if (out < UPRIGHT) return { lean: 0, towards: 0, azimuth: Math.atan2(m[3]!, m[0]!) }
  const towards = Math.atan2(m[5]!, m[2]!)
  return { lean: Math.atan2(out, m[8]!), towards, azimuth: towards + Math.atan2(m[7]!, -m[6]!) }
}

/** A direction turned. */
export const turned = (m: Turning, x: number, y: number, z: number): [x: number, y: number, z: number] => [
  m[0]! * x + m[1]! * y + m[2]! * z,
  m[3]! * x + m[4]! * y + m[5]! * z,
  m[6]! * x + m[7]! * y + m[8]! * z,
]

/** Points of three numbers each, turned and moved as a seat says; a copy. */
export function seatedPoints(points: Float32Array, seat: Seat, azimuth: number): Float32Array {
  const m = turningOf(seat, azimuth)
  const there = new Float32Array(points.length)
  for (let o = 0; o < points.length; o += 3) {
    const [x, y, z] = turned(m, points[o]!, points[o + 1]!, points[o + 2]!)
    there[o] = x + seat.xMm
    there[o + 1] = y + seat.yMm
    there[o + 2] = z + seat.zMm
  }
  return there
}

/** Moves the frame of a sheet to a seat, in place. */
export function seatSheet(out: SheetFrame, seat: Seat, m: Turning): void {
  const [px, py, pz] = turned(m, out.px, out.py, out.pz)
  out.px = px + seat.xMm
  out.py = py + seat.yMm
  out.pz = pz + seat.zMm
  ;[out.sx, out.sy, out.sz] = turned(m, out.sx, out.sy, out.sz)
  ;[out.bx, out.by, out.bz] = turned(m, out.bx, out.by, out.bz)
}

/** Moves the frame of a tube to a seat, in place. */
export function seatTube(out: TubeFrame, seat: Seat, m: Turning): void {
  const [x, y, z] = turned(m, out.x, out.y, out.z)
  out.x = x + seat.xMm
  out.y = y + seat.yMm
  out.z = z + seat.zMm
}
