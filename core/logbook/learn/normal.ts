/**
 * A linear model of logarithms with a prior around 0 for every effect: what is observed is a sum of effects, a common stray of
 * its day and its own noise (Gelman et al., Bayesian Data Analysis, ch. 14-15; the day is integrated out by Woodbury's rule).
 */
export interface Seen {
  /** Log of done over planned. */
  y: number
  /** Old or doubtful records count for less than 1. */
  weight: number
  day: string
  /** Shares of effects in it. */
  effects: readonly { key: string; share: number }[]
}

export interface NormalPrior {
  /** Standard deviation of an effect around 0, by its key. */
  stray(key: string): number
  noise: number
  day: number
}

/** Effects as they are known now: their means, and how sure any sum of them is. */
export interface Known {
  keys: readonly string[]
  mean(effects: readonly { key: string; share: number }[]): number
  /** Standard deviation of a sum of effects; one that nobody has seen has its prior. */
  stray(effects: readonly { key: string; share: number }[]): number
  /** What is left of each record, in its order, without its day. */
  rests: Float64Array
  /** What each day strayed by. */
  days: ReadonlyMap<string, { mean: number; stray: number }>
}

/** Solves the model exactly: as many equations as effects, however many records. */
export function knownFrom(seen: readonly Seen[], prior: NormalPrior): Known {
  const keys = [...new Set(seen.flatMap((s) => s.effects.map((e) => e.key)))]
  const place = new Map(keys.map((key, i) => [key, i]))
  const n = keys.length
  const matrix = Array.from({ length: n }, () => new Float64Array(n))
  const right = new Float64Array(n)
  keys.forEach((key, i) => {
    matrix[i]![i] = 1 / prior.stray(key) ** 2
  })
  const noise = prior.noise ** 2
  const byDay = new Map<string, Seen[]>()
  for (const s of seen) byDay.set(s.day, [...(byDay.get(s.day) ?? []), s])
  for (const own of byDay.values()) {
    const sums = new Map<number, number>()
    let [weights, ys] = [0, 0]
    for (const { y, weight, effects } of own) {
      const w = weight / noise
      weights += w
      ys += w * y
      for (const a of effects) {
        const i = place.get(a.key)!
        right[i]! += w * a.share * y
        sums.set(i, (sums.get(i) ?? 0) + w * a.share)
        for (const b of effects) matrix[i]![place.get(b.key)!]! += w * a.share * b.share
      }
    }
    // the day is common to all of it: so much of what they agree on may be the day's
    const shared = prior.day ** 2 / (1 + prior.day ** 2 * weights)
    for (const [i, a] of sums) {
      right[i]! -= shared * a * ys
      for (const [j, b] of sums) matrix[i]![j]! -= shared * a * b
    }
  }
  const inverse = invert(matrix)
  const means = Float64Array.from({ length: n }, (_, i) => dot(inverse[i]!, right))
  const mean: Known['mean'] = (effects) =>
    effects.reduce((sum, e) => sum + e.share * (place.has(e.key) ? means[place.get(e.key)!]! : 0), 0)
  const rests = Float64Array.from(seen, (s) => s.y - mean(s.effects))
  const days = new Map<string, { mean: number; stray: number }>()
  for (const [day, own] of byDay) {
    const weights = own.reduce((sum, s) => sum + s.weight / noise, 0)
    const ys = own.reduce((sum, s) => sum + (s.weight / noise) * (s.y - mean(s.effects)), 0)
    const precision = 1 / prior.day ** 2 + weights
    days.set(day, { mean: ys / precision, stray: Math.sqrt(1 / precision) })
  }
  return {
    keys,
    mean,
    rests: rests.map((rest, i) => rest - days.get(seen[i]!.day)!.mean),
    days,
    stray(effects) {
      const known = effects.filter((e) => place.has(e.key))
      let variance = effects
        .filter((e) => !place.has(e.key))
        .reduce((sum, e) => sum + (e.share * prior.stray(e.key)) ** 2, 0)
      for (const a of known)
        for (const b of known) variance += a.share * b.share * inverse[place.get(a.key)!]![place.get(b.key)!]!
      return Math.sqrt(Math.max(0, variance))
    },
  }
}

const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, x, i) => sum + x * b[i]!, 0)

/** The inverse of a symmetric positive matrix by Cholesky's decomposition. */
function invert(matrix: readonly Float64Array[]): Float64Array[] {
  const n = matrix.length
  const low = Array.from({ length: n }, () => new Float64Array(n))
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!
      for (let k = 0; k < j; k++) sum -= low[i]![k]! * low[j]![k]!
      low[i]![j] = i === j ? Math.sqrt(Math.max(1e-12, sum)) : sum / low[j]![j]!
    }
  // columns of the lower half's inverse, and their products
  const half = Array.from({ length: n }, () => new Float64Array(n))
  for (let c = 0; c < n; c++)
    for (let i = c; i < n; i++) {
      let sum = i === c ? 1 : 0
      for (let k = c; k < i; k++) sum -= low[i]![k]! * half[k]![c]!
      half[i]![c] = sum / low[i]![i]!
    }
  const inverse = Array.from({ length: n }, () => new Float64Array(n))
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = 0
      for (let k = i; k < n; k++) sum += half[k]![i]! * half[k]![j]!
      inverse[i]![j] = sum
      inverse[j]![i] = sum
    }
  return inverse
}
