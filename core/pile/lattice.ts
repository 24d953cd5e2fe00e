import type { LaidSheet } from '../solids/laid.ts'

/** Number of points of a sheet. */
export const pointsOf = ({ tSteps, uSteps }: LaidSheet): number => (tSteps + 1) * (uSteps + 1)

/**
 * Evens out a field of vectors over a sheet, three numbers a point: each goes `share` of the way to the mean of its
 * neighbours along and across the stroke.
 */
export function smoothVectors({ tSteps, uSteps }: LaidSheet, field: Float64Array, share: number): void {
  const row = uSteps + 1
  const before = Float64Array.from(field)
  for (let t = 0; t <= tSteps; t++)
    for (let u = 0; u <= uSteps; u++) {
      const o = (t * row + u) * 3
      for (let c = 0; c < 3; c++) {
        let sum = 0
        let count = 0
        if (t > 0) {
          sum += before[o - row * 3 + c]!
          count++
        }
        if (t < tSteps) {
          sum += before[o + row * 3 + c]!
          count++
        }
        if (u > 0) {
          sum += before[o - 3 + c]!
          count++
        }
        if (u < uSteps) {
          sum += before[o + 3 + c]!
          count++
        }
        field[o + c] = before[o + c]! + share * (sum / count - before[o + c]!)
      }
    }
}

/** Evens out a row of numbers in place, so many times. */
export function smoothRow(row: Float64Array, times: number): void {
  for (let k = 0; k < times; k++) {
    let left = row[0]!
    for (let i = 0; i < row.length; i++) {
      const here = row[i]!
      const right = row[Math.min(row.length - 1, i + 1)]!
      row[i] = (left + 2 * here + right) / 4
      left = here
    }
  }
}

/** Area in mm² that each point of a sheet stands for, by the quads around it. */
export function pointAreas(points: Float64Array, tSteps: number, uSteps: number): Float64Array {
  const row = uSteps + 1
  const areas = new Float64Array((tSteps + 1) * row)
  for (let t = 0; t < tSteps; t++)
    for (let u = 0; u < uSteps; u++) {
      const a = t * row + u
      const quarter = quadArea(points, a * 3, (a + row) * 3, (a + row + 1) * 3, (a + 1) * 3) / 4
      for (const v of [a, a + row, a + row + 1, a + 1]) areas[v]! += quarter
    }
  return areas
}

/** Area of a quad by its diagonals. */
function quadArea(p: Float64Array, a: number, b: number, c: number, d: number): number {
  const [ux, uy, uz] = [p[c]! - p[a]!, p[c + 1]! - p[a + 1]!, p[c + 2]! - p[a + 2]!]
  const [vx, vy, vz] = [p[d]! - p[b]!, p[d + 1]! - p[b + 1]!, p[d + 2]! - p[b + 2]!]
  return Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx) / 2
}
