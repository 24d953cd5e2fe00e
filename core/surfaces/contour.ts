import { contours } from 'd3-contour'
import simplify from 'simplify-js'
import { type Cutout, type Dot, roundMm } from './outline.ts'

/** Lines of equal depth are drawn on a grid so fine, in the longer half of what they are drawn in. */
const CELLS = 60
/** Points that bend a line by less than this share of a cell are left out. */
const BEND = 0.02

/**
 * The shapes within which a field is at least so large, smoothed between the points of a grid.
 * @param half half the width and depth of what is looked at, about the middle, mm; the field is asked a little further too.
 */
export function shapesWhere(
  field: (x: number, y: number) => number,
  half: Dot,
  least: number,
  cells = CELLS,
): Cutout[] {
  const step = Math.max(half.x, half.y) / cells
  const [w, h] = [half.x, half.y].map((mm) => 2 * Math.ceil(mm / step) + 5) as [number, number]
  const at = (i: number, of: number) => (i - (of - 1) / 2) * step
  const values = Array.from({ length: w * h }, (_, i) => field(at(i % w, w), at(Math.floor(i / w), h)))
  const { coordinates } = contours().size([w, h]).contour(values, least)
  return coordinates.map((polygon) =>
    polygon.map((ring) =>
      simplify(
        // its points lie between the middles of cells, and the last one is the first again
        ring.slice(0, -1).map(([x, y]) => ({ x: at(x! - 0.5, w), y: at(y! - 0.5, h) })),
        BEND * step,
        true,
      ),
    ),
  )
}

/** Where there is no line so deep, it is asked for less deep, by so much at a time. */
const SHALLOWER = 0.8

/** The longest line that runs so deep inside something, mm; less deep where it is not so deep anywhere. */
export function contourAt(field: (x: number, y: number) => number, half: Dot, deepMm: number): Dot[] {
  for (let deep = deepMm; ; deep *= SHALLOWER) {
    const loops = shapesWhere(field, half, deep).map(([edge]) => edge!)
    const [longest] = loops.sort((p, q) => roundMm(q) - roundMm(p))
    if (longest && longest.length > 2) return closed(longest)
    if (deep < 0.5) return closed(rectangle(half))
  }
}

const closed = (loop: readonly Dot[]): Dot[] => [...loop, loop[0]!]

const rectangle = ({ x, y }: Dot): Dot[] => [
  { x: -x, y: -y },
  { x, y: -y },
  { x, y },
  { x: -x, y },
]
