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
