import { ciede2000 } from './ciede2000.ts'
import type { LabD65 } from './lab.ts'
import { minimise, type Problem } from './leastSquares.ts'
import { type Metric, measured, metricAt } from './metric.ts'
import type { Spectrum } from './spectrum.ts'
import { type TintBase, type Tinter, tinter } from './tint.ts'

/** Most dye that icing bears, drops in 100 g. */
export const MOST_DROPS = 80
const LEAST_DROPS = 0.01

/** What is to be reached, and from what. */
export interface Task {
  base: TintBase
  target: LabD65
  metric: Metric
  /** Dyes to choose from. */
  curves: readonly Spectrum[]
  /** Absorption already in the icing (what a carried-over rest brings), by band; null for plain base. */
  background: Spectrum | null
}

export function task(
  base: TintBase,
  target: LabD65,
  curves: readonly Spectrum[],
  background: Spectrum | null = null,
): Task {
  return { base: tinted(base, background), target, metric: metricAt(target), curves, background: null }
}

/** The base with something already in it counts as another base. */
function tinted(base: TintBase, background: Spectrum | null): TintBase {
  if (!background) return base
  return { ...base, ks: base.ks.map((k, i) => k + background[i]! / base.scatter) }
}

/** Doses of some of the dyes, and how far from the target they come. */
export interface Mix {
  /** Which dyes, by their place in the task's list. */
  dyes: number[]
  /** Drops of each in 100 g of finished icing. */
  drops: number[]
  lab: LabD65
  difference: number
}

/** Where the search starts: so many drops of a dye that absorbs 1 at its peak. */
const START = 3

/** The best doses of exactly these dyes; null where none comes anywhere near. */
export function solveSubset({ base, target, metric, curves }: Task, dyes: readonly number[]): Mix {
  const n = dyes.length
  const chosen = dyes.map((d) => curves[d]!)
  const tint = tinter(base, chosen)
  if (n === 0) {
    const lab = tint.lab([])
    return { dyes: [], drops: [], lab, difference: ciede2000(lab, target) }
  }
  const peaks = chosen.map((c) => c.reduce((a, b) => Math.max(a, b), 1e-6))
  const drops = new Float64Array(n)
  const problem = logDoses(tint, target, metric, n, drops)
  const u = Float64Array.from({ length: n }, (_, j) => Math.log(START / peaks[j]! / n))
  minimise(problem, u, 14, 1e-5)
  const doses = Array.from(u, Math.exp)
  const lab = tint.lab(doses)
  return { dyes: [...dyes], drops: doses, lab, difference: ciede2000(lab, target) }
}

/** Doses as logarithms, so that they cannot turn negative, with the slopes worked out. */
function logDoses(tint: Tinter, target: LabD65, metric: Metric, n: number, drops: Float64Array): Problem {
  const slopes = new Float64Array(3 * n)
  const column = new Float64Array(3)
  const low = Math.log(LEAST_DROPS)
  const high = Math.log(MOST_DROPS)
  return {
    n,
    m: 3,
    clamp(u) {
      let all = 0
      for (let j = 0; j < n; j++) {
        u[j] = Math.min(high, Math.max(low, u[j]!))
        all += Math.exp(u[j]!)
      }
      if (all > MOST_DROPS) for (let j = 0; j < n; j++) u[j]! -= Math.log(all / MOST_DROPS)
    },
    evaluate(u, r, jacobian) {
      for (let j = 0; j < n; j++) drops[j] = Math.exp(u[j]!)
      const lab = jacobian ? tint.labWithSlopes(drops, slopes) : tint.lab(drops)
      measured(metric, lab[0] - target[0], lab[1] - target[1], lab[2] - target[2], r, 0)
      if (!jacobian) return
      for (let j = 0; j < n; j++) {
        measured(metric, slopes[j * 3]!, slopes[j * 3 + 1]!, slopes[j * 3 + 2]!, column, 0)
        for (let k = 0; k < 3; k++) jacobian[k * n + j] = column[k]! * drops[j]!
      }
    },
  }
}

/** A step is tried in so many rounds at the most. */
const MOST_ROUNDS = 12
/** Every choice of at most `most` of `count` things, fewest first. */
export function subsets(count: number, most: number): number[][] {
  const all: number[][] = [[]]
  let last: number[][] = [[]]
  for (let size = 1; size <= most; size++) {
    last = last.flatMap((set) =>
      Array.from({ length: count - 1 - (set.at(-1) ?? -1) }, (_, i) => [...set, (set.at(-1) ?? -1) + 1 + i]),
    )
    all.push(...last)
  }
  return all
}

const PATTERN_STEPS = [0.25, 0.1, 0.04, 0.015]

/**
 * Improves a mix by CIEDE2000 itself, where the solver's ellipsoid is not good enough: far from the target it leads
 * astray. Tries each dose up and down in ever smaller steps.
 */
export function polish({ base, target, curves }: Task, mix: Mix): Mix {
  const tint = tinter(
    base,
    mix.dyes.map((d) => curves[d]!),
  )
  let drops = [...mix.drops]
  let lab = mix.lab
  let difference = mix.difference
  for (const step of PATTERN_STEPS)
    for (let round = 0; round < MOST_ROUNDS; round++) {
      let moved = false
      for (let j = 0; j < drops.length; j++)
        for (const sign of [1, -1]) {
          const trial = [...drops]
          trial[j] = Math.min(MOST_DROPS, Math.max(LEAST_DROPS, trial[j]! * Math.exp(sign * step)))
          if (trial.reduce((a, b) => a + b, 0) > MOST_DROPS) continue
          const at = tint.lab(trial)
          const d = ciede2000(at, target)
          if (d < difference - 1e-6) {
            drops = trial
            lab = at
            difference = d
            moved = true
          }
        }
      if (!moved) break
    }
  return { ...mix, drops, lab, difference }
}
