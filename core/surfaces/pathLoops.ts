import simplify from 'simplify-js'
import svgpath from 'svgpath'
import { boxOf, type Cutout, type Dot, type Loop, signedMm2 } from './outline.ts'

/** Curves are drawn with so many straight bits each. */
const BITS = 16
/** Points that bend a line by less than this share of the width are left out, and the same again until so few are left. */
const BEND = 0.0015
const MOST_POINTS = 300

/**
 * The closed lines of an SVG path, y turned to point away from whoever looks. Open lines are closed.
 * @param transforms as SVG writes them, the outermost first.
 */
export function pathLoops(d: string, transforms: readonly string[] = []): Loop[] {
  const path = svgpath(d).abs().unshort().unarc()
  for (const transform of transforms.toReversed()) path.transform(transform)
  const loops: Dot[][] = []
  path.iterate(([command, ...n], _, x, y) => {
    const open = loops.at(-1)
    if (command === 'M') loops.push([{ x: n[0]!, y: n[1]! }])
    else if (command === 'H') open?.push({ x: n[0]!, y })
    else if (command === 'V') open?.push({ x, y: n[0]! })
    else if (command === 'L') open?.push({ x: n[0]!, y: n[1]! })
    else if (command === 'C' || command === 'Q') open?.push(...curve({ x, y }, n))
    return undefined
  })
  return loops.map((loop) => loop.map((p) => ({ x: p.x, y: -p.y }))).filter((loop) => loop.length > 2)
}

/** A curve of the second or third degree from where the pen is. */
function curve(from: Dot, numbers: readonly number[]): Dot[] {
  const control = [from, ...numbers.flatMap((v, i) => (i % 2 === 0 ? [{ x: v, y: numbers[i + 1]! }] : []))]
  return Array.from({ length: BITS }, (_, i) => {
    const t = (i + 1) / BITS
    let dots = control
    // halving by de Casteljau
    while (dots.length > 1)
      dots = dots
        .slice(1)
        .map((q, k) => ({ x: dots[k]!.x + t * (q.x - dots[k]!.x), y: dots[k]!.y + t * (q.y - dots[k]!.y) }))
    return dots[0]!
  })
}

/** Closed lines as shapes: what lies within another is cut out of it, what lies within that is a shape again. */
export function shapesOf(loops: readonly Loop[]): Cutout[] {
  const box = boxOf(loops.flat())
  const bend = BEND * Math.max(box.right - box.left, box.high - box.low)
  const ordered = loops
    .map((loop) => simpler(loop, bend))
    .filter((loop) => loop.length > 2)
    .sort((p, q) => Math.abs(signedMm2(q)) - Math.abs(signedMm2(p)))
  const shapes: { cutout: Loop[]; depth: number }[] = []
  ordered.forEach((loop, i) => {
    const around = ordered.slice(0, i).filter((outer) => contains(outer, loop[0]!))
    const depth = around.length
    const owner = shapes.findLast((s) => s.depth === depth - 1 && contains(s.cutout[0]!, loop[0]!))
    if (depth % 2 === 1 && owner) owner.cutout.push(loop)
    else shapes.push({ cutout: [loop], depth })
  })
  return shapes.map((s) => s.cutout)
}

/** A line with fewer points that looks the same; without a last point that only closes it. */
function simpler(loop: Loop, bend: number): Dot[] {
  const [first, last] = [loop[0]!, loop.at(-1)!]
  const own = Math.hypot(first.x - last.x, first.y - last.y) < bend ? loop.slice(0, -1) : loop
  let by = bend
  let fewer: Dot[] = simplify([...own], by, true)
  while (fewer.length > MOST_POINTS) {
    by *= 1.5
    fewer = simplify([...own], by, true)
  }
  return fewer.map(({ x, y }) => ({ x, y }))
}

function contains(loop: Loop, { x, y }: Dot): boolean {
  let inside = false
  loop.forEach((p, i) => {
    const q = loop[(i + 1) % loop.length]!
    if (p.y > y !== q.y > y && x < p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x)) inside = !inside
  })
  return inside
}

/** Shapes in shares of their width, about their middle: what an order stores, whatever they were measured in. */
export function inShares(shapes: readonly Cutout[]): Cutout[] {
  const { left, right, low, high } = boxOf(shapes.flat(2))
  const wide = right - left || 1
  const stored = (v: number) => Math.round(v * 1e4) / 1e4
  return shapes.map((cutout) =>
    cutout.map((loop) =>
      loop.map((p) => ({
        x: stored((p.x - (left + right) / 2) / wide),
        y: stored((p.y - (low + high) / 2) / wide),
      })),
    ),
  )
}
