import { boxOf, type Cutout, signedMm2 } from './outline.ts'

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
export interface OnEdge {
  s: number
  off: number
  edge: PrismEdge
}

/** An outline is looked up on a grid of so many cells along its longer side, with so many around it. */
const CELLS = 64
const AROUND = 8

/**
 * Finds the nearest place of an outline. Only edges that can be the nearest anywhere in a cell of a grid are measured there;
 * which ones is found out when the cell is first asked for.
 */
export function edgeFinder(edges: readonly PrismEdge[]): (x: number, y: number) => OnEdge {
  const { left, right, low, high } = boxOf(edges)
  const step = Math.max(right - left, high - low, 1) / CELLS
  const [x0, y0] = [left - AROUND * step, low - AROUND * step]
  const [w, h] = [(right - left) / step, (high - low) / step].map((n) => Math.ceil(n) + 2 * AROUND) as [
    number,
    number,
  ]
  const near = new Array<readonly PrismEdge[] | undefined>(w * h)
  // which edges cross a height, to tell inside from outside
  const crossing = Array.from({ length: h }, (_, k) => {
    const [from, to] = [y0 + k * step, y0 + (k + 1) * step]
    return edges.filter((e) => {
      const end = e.y + e.dy * e.lengthMm
      return Math.min(e.y, end) <= to && Math.max(e.y, end) >= from
    })
  })
  const candidates = (i: number, k: number) => {
    const [cx, cy] = [x0 + (i + 0.5) * step, y0 + (k + 0.5) * step]
    const far = edges.map((e) => farFrom(e, cx, cy).mm)
    const most = Math.min(...far) + step * Math.SQRT2
    return edges.filter((_, n) => far[n]! <= most)
  }
  return (x, y) => {
    const [i, k] = [Math.floor((x - x0) / step), Math.floor((y - y0) / step)]
    if (i < 0 || k < 0 || i >= w || k >= h) return among(edges, edges, x, y)
    near[k * w + i] ??= candidates(i, k)
    return among(near[k * w + i]!, crossing[k]!, x, y)
  }
}

/** How far an edge is from a point, and how far along it that is, mm. */
function farFrom(edge: PrismEdge, x: number, y: number): { mm: number; along: number } {
  const along = Math.min(edge.lengthMm, Math.max(0, (x - edge.x) * edge.dx + (y - edge.y) * edge.dy))
  return { mm: Math.hypot(edge.x + along * edge.dx - x, edge.y + along * edge.dy - y), along }
}

function among(near: readonly PrismEdge[], crossing: readonly PrismEdge[], x: number, y: number): OnEdge {
  let least = Number.POSITIVE_INFINITY
  let at = near[0]!
  let s = 0
  for (const edge of near) {
    const along = Math.min(edge.lengthMm, Math.max(0, (x - edge.x) * edge.dx + (y - edge.y) * edge.dy))
    const ax = edge.x + along * edge.dx - x
    const ay = edge.y + along * edge.dy - y
    const off = ax * ax + ay * ay
    if (off >= least) continue
    least = off
    at = edge
    s = edge.startMm + along
  }
  let inside = false
  for (const { x: ex, y: ey, dx, dy, lengthMm } of crossing) {
    const y1 = ey + dy * lengthMm
    if (ey > y !== y1 > y && x < ex + ((y - ey) / (y1 - ey)) * dx * lengthMm) inside = !inside
  }
  const off = Math.sqrt(least)
  return { s, off: inside ? off : -off, edge: at }
}
