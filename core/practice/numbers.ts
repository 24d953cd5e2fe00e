/** The middle one of some numbers; 0 of none. */
export function median(values: readonly number[]): number {
  if (values.length === 0) return 0
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}

export const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((sum, v) => sum + v, 0) / values.length

/** Standard deviation about their own mean; 0 of fewer than two. */
export function spread(values: readonly number[]): number {
  if (values.length < 2) return 0
  const middle = mean(values)
  return Math.sqrt(values.reduce((sum, v) => sum + (v - middle) ** 2, 0) / (values.length - 1))
}

/** A spread that a few far ones do not move: 1.4826 times the median distance from the median. */
export function robustSpread(values: readonly number[]): number {
  const middle = median(values)
  return 1.4826 * median(values.map((v) => Math.abs(v - middle)))
}

/** What `ys` comes to at an `x`, evenly between the `xs` that it is known at, which never go down; beyond them it stays. */
export function known(xs: ArrayLike<number>, ys: (i: number) => number, x: number): number {
  let i = 0
  while (i < xs.length - 2 && xs[i + 1]! <= x) i++
  const next = Math.min(xs.length - 1, i + 1)
  const span = xs[next]! - xs[i]!
  const share = span > 0 ? Math.min(1, Math.max(0, (x - xs[i]!) / span)) : 1
  return ys(i) + (ys(next) - ys(i)) * share
}
