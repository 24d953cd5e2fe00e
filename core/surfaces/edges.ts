import { type Cutout, signedMm2 } from './outline.ts'

/** One straight bit of an outline. */
export interface PrismEdge {
  x: number
  y: number
  dx: number
  dy: number
  /** Outward. */
  nx: number
  ny: number
  lengthMm: number
  startMm: number
  /** Whether it is the wall of a hole, which is coated but has no room for flowers. */
  hole: boolean
}

/** Edges against the clock, holes with it, so that everything is to the left of its line; edges before holes. */
export function edgesOf(shapes: readonly Cutout[]): PrismEdge[] {
  const loops = [
    ...shapes.map(([edge]) => ({ loop: signedMm2(edge!) < 0 ? edge!.toReversed() : edge!, hole: false })),
    ...shapes.flatMap(([, ...holes]) =>
      holes.map((h) => ({ loop: signedMm2(h) > 0 ? h.toReversed() : h, hole: true })),
    ),
  ]
  let startMm = 0
  return loops.flatMap(({ loop, hole }) =>
    loop.flatMap((from, i): PrismEdge[] => {
      const to = loop[(i + 1) % loop.length]!
      const lengthMm = Math.hypot(to.x - from.x, to.y - from.y)
      if (lengthMm === 0) return []
      const [dx, dy] = [(to.x - from.x) / lengthMm, (to.y - from.y) / lengthMm]
      const edge = { x: from.x, y: from.y, dx, dy, nx: dy, ny: -dx, lengthMm, startMm, hole }
      startMm += lengthMm
      return [edge]
    }),
  )
}

/** The closed lines that edges make up, one after the other. */
export function loopsOf(edges: readonly PrismEdge[]): PrismEdge[][] {
  const loops: PrismEdge[][] = []
  for (const edge of edges) {
    const open = loops.at(-1)
    const last = open?.at(-1)
    const follows =
      last &&
      Math.hypot(last.x + last.lengthMm * last.dx - edge.x, last.y + last.lengthMm * last.dy - edge.y) < 1e-6
    if (follows) open!.push(edge)
    else loops.push([edge])
  }
  return loops
}

/** The nearest place of an outline to a point of the plane: how far along it, mm, and how far off; off is negative outside. */
export function nearestEdge(
  edges: readonly PrismEdge[],
  x: number,
  y: number,
): { s: number; off: number; edge: PrismEdge } {
  let inside = false
  let least = Number.POSITIVE_INFINITY
  let at = edges[0]!
  let s = 0
  for (const edge of edges) {
    const along = Math.min(edge.lengthMm, Math.max(0, (x - edge.x) * edge.dx + (y - edge.y) * edge.dy))
    const ax = edge.x + along * edge.dx - x
    const ay = edge.y + along * edge.dy - y
    const off = ax * ax + ay * ay
    if (off < least) {
      least = off
      at = edge
      s = edge.startMm + along
    }
    const y0 = edge.y
    const y1 = y0 + edge.dy * edge.lengthMm
    if (y0 > y !== y1 > y && x < edge.x + ((y - y0) / (y1 - y0)) * edge.dx * edge.lengthMm) inside = !inside
  }
  const off = Math.sqrt(least)
  return { s, off: inside ? off : -off, edge: at }
}
