import { ciede2000 } from './ciede2000.ts'
import type { LabD65 } from './lab.ts'
import { minimise, withSlopes } from './leastSquares.ts'
import { measured, metricAt } from './metric.ts'
import type { Spectrum } from './spectrum.ts'
import { subsets } from './subsetSolve.ts'
import { type TintBase, tinter } from './tint.ts'

/** A bowl as it was mixed and as it looks. */
export interface Mixed {
  base: TintBase
  /** Every dye that may be added; the ones in the bowl first or not, as they come. */
  curves: readonly Spectrum[]
  /** Drops of each in 100 g, 0 for what is not in it. */
  drops: readonly number[]
  observed: LabD65
  target: LabD65
  grams: number
  /** How unsure each dye's strength is: standard deviation of its natural log. */
  spreads: readonly number[]
}

/** What a look at the bowl says of the dyes in it. */
export interface Learnt {
  /** How much stronger each dye is than was thought: natural log. */
  log: number[]
  /** How unsure that still is. */
  sd: number[]
  /** What the strengths do not explain, in Lab; taken as constant. */
  offset: LabD65
}

/** How well an eye (or a photograph with plain icing in it) sees a colour, CIEDE2000. */
const SEEN = 1.5

/**
 * Updates the strengths of the dyes in a bowl from how it came out: the likeliest strengths given the look and what was
 * known before. The rest of the difference is kept as an offset.
 */
export function learn({ base, curves, drops, observed, spreads }: Mixed): Learnt {
  const inside = drops.flatMap((d, j) => (d > 0 ? [j] : []))
  const n = inside.length
  const tint = tinter(
    base,
    inside.map((j) => curves[j]!),
  )
  const metric = metricAt(observed)
  const labAt = (theta: Float64Array) => tint.lab(inside.map((j, k) => drops[j]! * Math.exp(theta[k]!)))
  const problem = withSlopes(n, 3 + n, (theta, r) => {
    const lab = labAt(theta)
    measured(metric, lab[0] - observed[0], lab[1] - observed[1], lab[2] - observed[2], r, 0)
    for (let k = 0; k < 3; k++) r[k]! /= SEEN
    inside.forEach((j, k) => {
      r[3 + k] = theta[k]! / Math.max(0.02, spreads[j]!)
    })
  })
  const theta = new Float64Array(n)
  if (n > 0) minimise(problem, theta, 30, 1e-9)
  const lab = labAt(theta)
  const log = curves.map(() => 0)
  const sd = [...spreads]
  const slopes = new Float64Array((3 + n) * n)
  if (n > 0) problem.evaluate(theta, new Float64Array(3 + n), slopes)
  inside.forEach((j, k) => {
    log[j] = theta[k]!
    // curvature along this dye alone: a little too sure where two dyes trade off, which the next look mends
    let precision = 0
    for (let row = 0; row < 3 + n; row++) precision += slopes[row * n + k]! ** 2
    sd[j] = Math.min(spreads[j]!, 1 / Math.sqrt(precision / Math.max(1, n)))
  })
  return {
    log,
    sd,
    offset: [observed[0] - lab[0], observed[1] - lab[1], observed[2] - lab[2]],
  }
}

/** A way to mend a bowl. */
export interface Correction {
  /** Plain icing to stir in, g. */
  addBaseGrams: number
  /** Grams taken out first; 0 unless the bowl is to keep its size. */
  takeOutGrams: number
  /** Drops to add to the whole bowl, by dye. */
  add: { dye: number; drops: number }[]
  gramsAfter: number
  lab: LabD65
  difference: number
}

/** Difference that doubling a batch has to be worth, CIEDE2000. */
const GROWTH_COST = 1.5
const MOST_ADDED = 2
const LEAST_SHARE = 0.2

/**
 * The best ways to mend a bowl, the least trouble first: what is in it counts as one more dye whose amount can only
 * shrink by stirring in plain icing; up to two dyes are added. Each way with and without plain icing.
 */
export function corrections(mixed: Mixed): Correction[] {
  const learnt = learn(mixed)
  const { base, curves, drops, target, grams } = mixed
  const present = curves.map((_, j) => drops[j]! * Math.exp(learnt.log[j]!))
  const aim: LabD65 = [
    target[0] - learnt.offset[0],
    target[1] - learnt.offset[1],
    target[2] - learnt.offset[2],
  ]
  const metric = metricAt(aim)
  const ways = subsets(curves.length, MOST_ADDED).flatMap((set) =>
    [false, true].map((dilute) => solveWay(set, dilute)),
  )
  return ways.sort((a, b) => worth(a) - worth(b))

  function worth(way: Correction): number {
    return way.difference + (GROWTH_COST * way.addBaseGrams) / grams + 0.25 * way.add.length
  }

  function solveWay(set: readonly number[], dilute: boolean): Correction {
    const tint = tinter(base, curves)
    const free = set.length + (dilute ? 1 : 0)
    // shares and doses as logarithms; the share is at most all of it
    const unknowns = new Float64Array(free)
    set.forEach((j, k) => {
      unknowns[k] = Math.log(0.3 / Math.max(1e-6, Math.max(...curves[j]!)))
    })
    if (dilute) unknowns[set.length] = Math.log(0.8)
    const mixOf = (u: Float64Array) => {
      const share = dilute ? Math.exp(u[set.length]!) : 1
      const x = present.map((p) => p * share)
      set.forEach((j, k) => {
        x[j]! += Math.exp(u[k]!)
      })
      return { share, x }
    }
    if (free > 0)
      minimise(
        {
          ...withSlopes(free, 3, (u, r) => {
            const lab = tint.lab(mixOf(u).x)
            measured(metric, lab[0] - aim[0], lab[1] - aim[1], lab[2] - aim[2], r, 0)
          }),
          clamp(u) {
            set.forEach((_, k) => {
              u[k] = Math.max(-7, Math.min(4, u[k]!))
            })
            if (dilute) u[set.length] = Math.max(Math.log(LEAST_SHARE), Math.min(0, u[set.length]!))
          },
        },
        unknowns,
        25,
        1e-9,
      )
    const { share, x } = mixOf(unknowns)
    const lab = tint.lab(x)
    const shown: LabD65 = [lab[0] + learnt.offset[0], lab[1] + learnt.offset[1], lab[2] + learnt.offset[2]]
    const gramsAfter = grams / share
    return {
      addBaseGrams: gramsAfter - grams,
      takeOutGrams: 0,
      add: set.map((j, k) => ({ dye: j, drops: (Math.exp(unknowns[k]!) * gramsAfter) / 100 })),
      gramsAfter,
      lab: shown,
      difference: ciede2000(shown, target),
    }
  }
}

/** The same correction in a bowl that keeps its size: some of what is in it is taken out first. */
export function keepingSize(way: Correction, grams: number): Correction {
  const share = grams / way.gramsAfter
  return {
    ...way,
    takeOutGrams: grams * (1 - share),
    addBaseGrams: way.addBaseGrams * share,
    add: way.add.map((a) => ({ ...a, drops: a.drops * share })),
    gramsAfter: grams,
  }
}
