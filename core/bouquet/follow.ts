import type { Dot } from '../surfaces/outline.ts'
import { letter } from '../words/letter.ts'

/** Heights of letters that are tried, from the least on, each so much taller than the last. */
const TALLER = 1.006
const MOST_TRIES = 800
/** Along a stroke they may stand so much looser than side by side, tried one after the other. */
const LOOSER = [1, 1.05, 1.1, 1.16]

/**
 * Cupcakes in single file along the strokes of letters, as tall as brings about so many.
 * @returns so many of them, or as near to it as these letters come: where strokes meet one cupcake serves both.
 */
export function follow(text: string, count: number, pitchMm: number): Dot[] {
  const unit = letter({ text, faceId: 'print', capitalMm: 1, arcMm: 0 }, 0).lines.map(dotsOf)
  let nearest: Dot[] = []
  for (const looser of LOOSER) {
    let capital = pitchMm
    for (let i = 0; i < MOST_TRIES; i++) {
      const tall = unit.map((line) => line.map(({ x, y }) => ({ x: x * capital, y: y * capital })))
      const found = along(tall, pitchMm, looser)
      if (found.length === count) return found
      if (Math.abs(found.length - count) < Math.abs(nearest.length - count)) nearest = found
      if (found.length > 1.5 * count + 4) break
      capital *= TALLER
    }
  }
  return nearest
}

const NOTHING_MM = 1e-6

function dotsOf(line: readonly number[]): Dot[] {
  return Array.from({ length: line.length / 2 }, (_, i) => ({ x: line[2 * i]!, y: line[2 * i + 1]! }))
}

/** Even steps along each stroke, the pitch or a little more; none where one stands already. */
function along(lines: readonly (readonly Dot[])[], pitchMm: number, looser: number): Dot[] {
  const found: Dot[] = []
  const put = (dot: Dot) => {
    if (found.every((p) => Math.hypot(p.x - dot.x, p.y - dot.y) > pitchMm - NOTHING_MM)) found.push(dot)
  }
  for (const line of lines) {
    const length = lengthOf(line)
    const steps = Math.floor(length / (looser * pitchMm) + 1e-9)
    for (let i = 0; i <= steps; i++) put(dotAt(line, steps > 0 ? (length * i) / steps : length / 2))
  }
  return found
}

const lengthOf = (line: readonly Dot[]) =>
  line.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - line[i]!.x, p.y - line[i]!.y), 0)

function dotAt(line: readonly Dot[], mm: number): Dot {
  let left = mm
  for (let i = 1; i < line.length; i++) {
    const [p, q] = [line[i - 1]!, line[i]!]
    const far = Math.hypot(q.x - p.x, q.y - p.y)
    if (left <= far && far > 0)
      return { x: p.x + ((q.x - p.x) * left) / far, y: p.y + ((q.y - p.y) * left) / far }
    left -= far
  }
  return line.at(-1)!
}
