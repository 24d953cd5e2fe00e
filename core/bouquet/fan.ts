import type { Dot } from '../surfaces/outline.ts'

/** A fan opens by so much to either side at least and at most, degrees. */
const LEAST_HALF = 34
const MOST_HALF = 62
const HALF_STEP = 2
/** Where its sides meet is up to so far in front of the first row, in the pitch, in such steps. */
const FURTHEST = 2.5
const FURTHER = 0.125
const MOST_ROWS = 9
/** A fan is liked so wide, in its depth; wider and deeper ones cost. */
const LIKED = 1.5
const UNLIKED = 0.35

/**
 * Cupcakes in rows that bend around a point in front of them, each row wider than the one before it, as a hand lays them.
 * Rows stand a pitch apart, so that none stand closer, wherever they come to stand within their row.
 */
export function layFan(count: number, pitchMm: number): Dot[] {
  let best: { cost: number; dots: Dot[] } = { cost: Number.POSITIVE_INFINITY, dots: [] }
  for (let half = LEAST_HALF; half <= MOST_HALF; half += HALF_STEP)
    for (let from = 0; from <= FURTHEST; from += FURTHER)
      for (let rows = 1; rows <= MOST_ROWS; rows++) {
        const numbers = rowNumbers(rows, from, (half * Math.PI) / 180)
        if (numbers.reduce((sum, n) => sum + n, 0) !== count) continue
        const dots = numbers.flatMap((n, row) => rowAt((from + row) * pitchMm, n, (half * Math.PI) / 180))
        const wide = 2 * Math.max(...dots.map((p) => Math.abs(p.x))) + pitchMm
        const ys = dots.map((p) => p.y)
        const deep = Math.max(...ys) - Math.min(...ys) + pitchMm
        const cost = wide * deep * (1 + UNLIKED * Math.abs(Math.log(wide / deep / LIKED)))
        if (cost < best.cost) best = { cost, dots }
      }
  return best.dots
}

/** How many stand in each row: as many as its arc has room for. */
const rowNumbers = (rows: number, from: number, half: number): number[] =>
  Array.from({ length: rows }, (_, row) => {
    const out = from + row
    // from middle to middle in a straight line, not along the arc
    const turn = out > 0.5 ? 2 * Math.asin(0.5 / out) : Number.POSITIVE_INFINITY
    return Math.floor((2 * half) / turn + 1e-9) + 1
  })

function rowAt(out: number, count: number, half: number): Dot[] {
  return Array.from({ length: count }, (_, i) => {
    const angle = count === 1 ? 0 : half * ((2 * i) / (count - 1) - 1)
    return { x: out * Math.sin(angle), y: out * Math.cos(angle) }
  })
}
