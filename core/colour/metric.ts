import { ciede2000 } from './ciede2000.ts'
import type { LabD65 } from './lab.ts'

/** Lower triangle of the Cholesky factor of a 3 × 3 metric: c00, c10, c11, c20, c21, c22. */
export type Metric = readonly [number, number, number, number, number, number]

const STEP = 0.05

/**
 * CIEDE2000 close to a colour as an ellipsoid: the factor C with `ΔE² ≈ |Cᵀ d|²` for a small difference d in Lab,
 * from second differences. Solvers work with it because it is smooth; results are ranked by CIEDE2000 itself.
 */
export function metricAt(lab: LabD65): Metric {
  const square = (i: number, j: number) => {
    let sum = 0
    for (const sign of [1, -1]) {
      const moved = [...lab] as [number, number, number]
      moved[i]! += sign * STEP
      if (j !== i) moved[j]! += sign * STEP
      sum += ciede2000(lab, moved) ** 2
    }
    return sum / 2 / STEP ** 2
  }
  const g = [square(0, 0), square(1, 1), square(2, 2)]
  const off = (i: number, j: number) => (square(i, j) - g[i]! - g[j]!) / 2
  const [g01, g02, g12] = [off(0, 1), off(0, 2), off(1, 2)]
  const c00 = Math.sqrt(g[0]!)
  const c10 = g01 / c00
  const c11 = Math.sqrt(Math.max(1e-9, g[1]! - c10 ** 2))
  const c20 = g02 / c00
  const c21 = (g12 - c20 * c10) / c11
  const c22 = Math.sqrt(Math.max(1e-9, g[2]! - c20 ** 2 - c21 ** 2))
  return [c00, c10, c11, c20, c21, c22]
}

/** Writes `Cᵀ d` for a difference d into `out` at `o`. */
export function measured(c: Metric, dL: number, da: number, db: number, out: Float64Array, o: number): void {
  out[o] = c[0] * dL + c[1] * da + c[3] * db
  out[o + 1] = c[2] * da + c[4] * db
  out[o + 2] = c[5] * db
}
