import polylabel from 'polylabel'

/** A point of the plane, mm: x to the right, y away from whoever looks. */
export interface Dot {
  x: number
  y: number
}

/** A closed line, its last point joined to its first. */
export type Loop = readonly Dot[]

/** A shape with what is cut out of it: first its edge, then its holes. */
export type Cutout = readonly Loop[]

/** Area within a closed line, mm²; negative when it is gone round with the clock. */
export function signedMm2(loop: Loop): number {
  let twice = 0
  loop.forEach((p, i) => {
    const q = loop[(i + 1) % loop.length]!
    twice += p.x * q.y - q.x * p.y
  })
  return twice / 2
}

/** Length of a closed line, mm. */
export const roundMm = (loop: Loop): number =>
  loop.reduce((sum, p, i) => {
    const q = loop[(i + 1) % loop.length]!
    return sum + Math.hypot(q.x - p.x, q.y - p.y)
  }, 0)

/** Area of a shape, its holes taken off, mm². */
export const cutoutMm2 = ([edge, ...holes]: Cutout): number =>
  Math.abs(signedMm2(edge!)) - holes.reduce((sum, hole) => sum + Math.abs(signedMm2(hole)), 0)

/** The box around points. */
export function boxOf(points: readonly Dot[]) {
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) }
}

/** A shape about the middle of its box, so many mm wide; its height follows. */
export function wideAs(shapes: readonly Cutout[], widthMm: number): Cutout[] {
  const { left, right, low, high } = boxOf(shapes.flat(2))
  const by = widthMm / (right - left)
  const [cx, cy] = [(left + right) / 2, (low + high) / 2]
  return shapes.map((cutout) =>
    cutout.map((loop) => loop.map(({ x, y }) => ({ x: (x - cx) * by, y: (y - cy) * by }))),
  )
}

/** The widest circle is found to so many mm. */
const ACROSS_MM = 0.5

/** The widest circle that fits within one of the shapes, mm across. */
export const acrossMm = (shapes: readonly Cutout[]): number =>
  Math.max(
    ...shapes.map(
      (cutout) =>
        2 *
        polylabel(
          cutout.map((loop) => loop.map(({ x, y }): [number, number] => [x, y])),
          ACROSS_MM,
        ).distance,
    ),
  )

/** Whether a closed line crosses itself anywhere. */
export function crossesItself(loop: Loop): boolean {
  const side = (a: Dot, b: Dot, c: Dot) => Math.sign((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x))
  return loop.some((a, i) => {
    const b = loop[(i + 1) % loop.length]!
    // neighbours share a point and do not count
    return loop.some((c, k) => {
      if (k <= i + 1 || (i === 0 && k === loop.length - 1)) return false
      const d = loop[(k + 1) % loop.length]!
      return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
    })
  })
}
