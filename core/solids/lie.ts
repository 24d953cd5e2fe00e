import type { Point } from '../tools/tool.ts'
import { type Laid, ropeRadius } from './laid.ts'

/** How a stroke lies in its flower: the frame in which a tool finds its heart end, its rim and its sides. */
export interface Lie {
  /** Middle of the stroke seen from above where it stands on the axis, else the axis; mm. */
  x: number
  y: number
  /** It stands on the axis: outwards is any way. */
  central: boolean
  /** The way outwards, of length one. */
  dx: number
  dy: number
  /** Its nearest point to the axis along that way, and how far it is from there to its furthest, mm. */
  fromMm: number
  lengthMm: number
  /** Half of its width where it is widest, and in each of its slices from heart to rim, mm. */
  halfMm: number
  halves: readonly number[]
  lowMm: number
  tallMm: number
  /** Its own middle, mm. */
  middleX: number
  middleY: number
}

/** Slices of a stroke from heart to rim in which its width is known. */
const SLICES = 10

/** A stroke whose middle is nearer to the axis than this share of its own reach stands on it. */
const ON_AXIS = 0.3

/** How the bodies of a stroke lie about the upright that they stand round. */
export function lieOf(bodies: readonly Laid[], axis: { x: number; y: number }): Lie {
  let [n, sx, sy, low, top] = [0, 0, 0, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY]
  each(bodies, (x, y, z) => {
    n++
    sx += x
    sy += y
    low = Math.min(low, z)
    top = Math.max(top, z)
  })
  const [middleX, middleY] = [sx / n, sy / n]
  let reach = 0
  each(bodies, (x, y, _, r) => {
    reach = Math.max(reach, Math.hypot(x - middleX, y - middleY) + r)
  })
  const away = Math.hypot(middleX - axis.x, middleY - axis.y)
  const frame = { lowMm: low, tallMm: Math.max(0, top - low), middleX, middleY }
  if (away < ON_AXIS * reach)
    return {
      ...frame,
      ...{ x: middleX, y: middleY, central: true, dx: 1, dy: 0 },
      ...{ fromMm: 0, lengthMm: Math.max(reach, 1e-6), halfMm: Math.max(reach, 1e-6) },
      halves: Array.from({ length: SLICES }, () => Math.max(reach, 1e-6)),
    }
  const [dx, dy] = [(middleX - axis.x) / away, (middleY - axis.y) / away]
  let [from, to, half] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, 0]
  each(bodies, (x, y, _, r) => {
    const out = (x - axis.x) * dx + (y - axis.y) * dy
    from = Math.min(from, out - r)
    to = Math.max(to, out + r)
    half = Math.max(half, Math.abs((y - axis.y) * dx - (x - axis.x) * dy) + r)
  })
  const lengthMm = Math.max(to - from, 1e-6)
  const halves = Array.from({ length: SLICES }, () => 0.01)
  each(bodies, (x, y, _, r) => {
    const out = ((x - axis.x) * dx + (y - axis.y) * dy - from) / lengthMm
    const slice = Math.min(SLICES - 1, Math.max(0, Math.floor(out * SLICES)))
    halves[slice] = Math.max(halves[slice]!, Math.abs((y - axis.y) * dx - (x - axis.x) * dy) + r)
  })
  return {
    ...frame,
    ...{ x: axis.x, y: axis.y, central: false, dx, dy },
    ...{ fromMm: from, lengthMm, halfMm: Math.max(half, 1e-6), halves },
  }
}

/** Half of the width of a stroke so far out, a share of its way from heart to rim; mm. */
export function halfAt({ halves }: Lie, out: number): number {
  // slices are known at their middles
  const at = Math.min(SLICES - 1, Math.max(0, out * SLICES - 0.5))
  const slice = Math.min(SLICES - 2, Math.floor(at))
  return halves[slice]! + (halves[slice + 1]! - halves[slice]!) * (at - slice)
}

/** Where a point lies in that frame, into `at`. */
export function pointAt(lie: Lie, x: number, y: number, z: number, at: Point): void {
  const [ex, ey] = [x - lie.x, y - lie.y]
  at.outMm = lie.central ? Math.hypot(ex, ey) : ex * lie.dx + ey * lie.dy - lie.fromMm
  at.out = Math.min(1, Math.max(0, at.outMm / lie.lengthMm))
  at.asideMm = ey * lie.dx - ex * lie.dy
  at.upMm = z - lie.lowMm
  at.halfHereMm = halfAt(lie, at.out)
  at.awayMm = Math.hypot(x - lie.middleX, y - lie.middleY)
}

/** Every point of the middle of bodies, with how far icing reaches to the side of it. */
function each(
  bodies: readonly Laid[],
  visit: (x: number, y: number, z: number, radius: number) => void,
): void {
  for (const body of bodies) {
    const points = body.kind === 'sheet' ? body.points : body.centres
    const wide = body.kind === 'rope' ? ropeRadius(body) : 0
    for (let o = 0; o < points.length; o += 3)
      visit(points[o]!, points[o + 1]!, points[o + 2]!, body.kind === 'rope' ? wide * body.scale[o / 3]! : 0)
  }
}
