/** Residuals and their slopes at a point: `r` has m entries, `j` m rows of n. */
export interface Problem {
  n: number
  m: number
  /** Fills r, and j (row by row) where it is given. */
  evaluate(x: Float64Array, r: Float64Array, j: Float64Array | null): void
  /** Pulls a trial point back inside its bounds, in place. */
  clamp?(x: Float64Array): void
}

/** A step that gains less than this share is the last. */
const EPSILON = 2e-3

/**
 * Levenberg and Marquardt's method for small problems (up to a dozen unknowns), in place on `x`. Returns the sum of
 * squares reached. Where `evaluate` gives no slopes, wrap the problem in `withSlopes`.
 */
export function minimise(problem: Problem, x: Float64Array, iterations = 14, good = 1e-7): number {
  const { n, m } = problem
  const r = new Float64Array(m)
  const j = new Float64Array(m * n)
  const trial = new Float64Array(n)
  const a = new Float64Array(n * n)
  const g = new Float64Array(n)
  const l = new Float64Array(n * n)
  problem.clamp?.(x)
  problem.evaluate(x, r, j)
  let sum = squares(r)
  let damping = 0.01
  for (let k = 0; k < iterations && sum > good; k++) {
    normal(j, r, a, g, n, m)
    let better = false
    for (let tries = 0; tries < 5; tries++) {
      if (!step(a, g, damping, trial, l, n)) {
        damping *= 8
        continue
      }
      for (let i = 0; i < n; i++) trial[i] = x[i]! + Math.max(-2.5, Math.min(2.5, trial[i]!))
      problem.clamp?.(trial)
      problem.evaluate(trial, r, null)
      const next = squares(r)
      if (next < sum) {
        const gain = (sum - next) / sum
        x.set(trial)
        sum = next
        damping = Math.max(1e-9, damping / 6)
        better = gain > EPSILON
        break
      }
      damping *= 5
    }
    if (!better) break
    problem.evaluate(x, r, j)
  }
  return sum
}

/** Slopes by forward differences, for problems whose own are not worth writing down. */
export function withSlopes(
  n: number,
  m: number,
  residuals: (x: Float64Array, r: Float64Array) => void,
  h = 1e-4,
): Problem {
  const moved = new Float64Array(n)
  const other = new Float64Array(m)
  return {
    n,
    m,
    evaluate(x, r, j) {
      residuals(x, r)
      if (!j) return
      for (let i = 0; i < n; i++) {
        moved.set(x)
        moved[i]! += h
        residuals(moved, other)
        for (let k = 0; k < m; k++) j[k * n + i] = (other[k]! - r[k]!) / h
      }
    },
  }
}

function squares(r: Float64Array): number {
  let sum = 0
  for (let i = 0; i < r.length; i++) sum += r[i]! * r[i]!
  return sum
}

function normal(j: Float64Array, r: Float64Array, a: Float64Array, g: Float64Array, n: number, m: number) {
  a.fill(0)
  g.fill(0)
  for (let k = 0; k < m; k++)
    for (let p = 0; p < n; p++) {
      const jp = j[k * n + p]!
      g[p]! += jp * r[k]!
      for (let q = 0; q <= p; q++) a[p * n + q]! += jp * j[k * n + q]!
    }
}

/** Solves `(A + damping · diag A) d = -g` by Cholesky's factor; false where A is not positive. */
function step(
  a: Float64Array,
  g: Float64Array,
  damping: number,
  d: Float64Array,
  l: Float64Array,
  n: number,
): boolean {
  for (let p = 0; p < n; p++)
    for (let q = 0; q <= p; q++) {
      let sum = a[p * n + q]!
      if (p === q) sum += damping * sum + 1e-12
      for (let k = 0; k < q; k++) sum -= l[p * n + k]! * l[q * n + k]!
      if (p === q) {
        if (sum <= 0) return false
        l[p * n + p] = Math.sqrt(sum)
      } else l[p * n + q] = sum / l[q * n + q]!
    }
  for (let p = 0; p < n; p++) {
    let sum = -g[p]!
    for (let k = 0; k < p; k++) sum -= l[p * n + k]! * d[k]!
    d[p] = sum / l[p * n + p]!
  }
  for (let p = n - 1; p >= 0; p--) {
    let sum = d[p]!
    for (let k = p + 1; k < n; k++) sum -= l[k * n + p]! * d[k]!
    d[p] = sum / l[p * n + p]!
  }
  return true
}
