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
  /** A dye that nobody noted and that explains what the strengths do not: which, and drops in 100 g; null for none. */
  stray: { dye: number; drops: number } | null
  /** What neither explains, in Lab; taken as constant. */
  offset: LabD65
}

/** How well an eye (or a photograph with plain icing in it) sees a colour, CIEDE2000. */
const SEEN = 1.5

/**
 * Updates the strengths of the dyes in a bowl from how it came out: the likeliest strengths given the look and what was
 * known before. What they leave of the difference is a dye that strayed in, if one explains most of it; the rest is kept
 * as an offset.
 */
export function learn(mixed: Mixed): Learnt {
  const plain = explained(mixed, null)
  if (plain.misfit < STRAY_FROM) return plain.learnt
  const strayed = mixed.curves.map((_, dye) => explained(mixed, dye))
  const best = strayed.reduce((a, b) => (b.misfit < a.misfit ? b : a), plain)
  return best.misfit < plain.misfit - STRAY_GAINS ? best.learnt : plain.learnt
}

/** Sum of squared surprises above which a stray dye is looked for, and what it has to take off that to be believed. */
const STRAY_FROM = 1.5
const STRAY_GAINS = 1
/** Where the search for its amount begins, drops in 100 g. */
const STRAY_START = 0.15

/** The likeliest strengths, with one more dye in the bowl or none, and how surprising the look is even so. */
function explained(
  { base, curves, drops, observed, spreads }: Mixed,
  strayDye: number | null,
): { learnt: Learnt; misfit: number } {
  const inside = drops.flatMap((d, j) => (d > 0 ? [j] : []))
  const n = inside.length
  const free = n + (strayDye === null ? 0 : 1)
  const tint = tinter(base, curves)
  const metric = metricAt(observed)
  const bowlOf = (theta: Float64Array) => {
    const bowl = [...drops]
    inside.forEach((j, k) => {
      bowl[j] = drops[j]! * Math.exp(theta[k]!)
    })
    if (strayDye !== null) bowl[strayDye]! += Math.exp(theta[n]!)
    return bowl
  }
  const problem = withSlopes(free, 3 + n, (theta, r) => {
    const lab = tint.lab(bowlOf(theta))
    measured(metric, lab[0] - observed[0], lab[1] - observed[1], lab[2] - observed[2], r, 0)
    for (let k = 0; k < 3; k++) r[k]! /= SEEN
    inside.forEach((j, k) => {
      r[3 + k] = theta[k]! / Math.max(0.02, spreads[j]!)
    })
  })
  const theta = new Float64Array(free)
  if (strayDye !== null) theta[n] = Math.log(STRAY_START)
  if (free > 0) minimise(problem, theta, MOST_STEPS, 1e-9)
  const surprises = new Float64Array(3 + n)
  const slopes = new Float64Array((3 + n) * free)
  problem.evaluate(theta, surprises, slopes)
  const log = curves.map(() => 0)
  const sd = [...spreads]
  inside.forEach((j, k) => {
    log[j] = theta[k]!
    // curvature along this dye alone: a little too sure where two dyes trade off, which the next look mends
    let precision = 0
    for (let row = 0; row < 3 + n; row++) precision += slopes[row * free + k]! ** 2
    sd[j] = Math.min(spreads[j]!, 1 / Math.sqrt(precision / Math.max(1, n)))
  })
  const lab = tint.lab(bowlOf(theta))
  return {
    misfit: surprises.reduce((sum, r) => sum + r * r, 0),
    learnt: {
      log,
      sd,
      stray: strayDye === null ? null : { dye: strayDye, drops: Math.exp(theta[n]!) },
      offset: [observed[0] - lab[0], observed[1] - lab[1], observed[2] - lab[2]],
    },
  }
}

const withStray = (present: readonly number[], stray: Learnt['stray']): number[] =>
  present.map((drops, j) => drops + (stray?.dye === j ? stray.drops : 0))

/** A way to mend a bowl. */
export interface Correction {
  /** A bowl begun anew from plain icing, with so much of the old one as its stock, g; 0 where the old bowl goes on. */
  stockGrams: number
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

/** A bottle more to open is worth so much of a difference, CIEDE2000. */
const EACH_DYE_COST = 0.25
/** Where solving begins: doses that absorb so much at their peak; of the bowl kept as stock, or as it is, so much. */
const FIRST_GUESS = 0.3
const FIRST_STOCK = 0.3
const FIRST_KEPT = 0.8
/** Steps of the solver at the most. */
const MOST_STEPS = 30
/** Difference that doubling a batch has to be worth, CIEDE2000. */
const GROWTH_COST = 1.5
/** What beginning anew has to be worth besides what is thrown away. */
const FRESH_COST = 0.4
const MOST_ADDED = 2
/** A bowl grows to twice its size at the most; what needs more begins anew, with some of the old bowl in it. */
const LEAST_SHARE = 0.5
const LEAST_STOCK = 0.04

/**
 * The best ways to mend a bowl, the least trouble first: what is in it counts as one more dye whose amount can only
 * shrink by stirring in plain icing; up to two dyes are added. Each way with and without plain icing.
 */
export function corrections(mixed: Mixed): Correction[] {
  const learnt = learn(mixed)
  const { base, curves, drops, target, grams } = mixed
  const present = withStray(
    curves.map((_, j) => drops[j]! * Math.exp(learnt.log[j]!)),
    learnt.stray,
  )
  const aim: LabD65 = [
    target[0] - learnt.offset[0],
    target[1] - learnt.offset[1],
    target[2] - learnt.offset[2],
  ]
  const metric = metricAt(aim)
  const ways = subsets(curves.length, MOST_ADDED).flatMap((set) =>
    [null, LEAST_SHARE, LEAST_STOCK].map((least) => solveWay(set, least)),
  )
  return ways.sort((a, b) => worth(a) - worth(b))

  function worth(way: Correction): number {
    const thrown = way.stockGrams > 0 ? grams - way.stockGrams : way.gramsAfter - grams
    const fresh = way.stockGrams > 0 ? FRESH_COST : 0
    return way.difference + fresh + (GROWTH_COST * thrown) / grams + EACH_DYE_COST * way.add.length
  }

  /** @param least of the bowl that is kept, as a share of what it then holds; null for a bowl that is not thinned. */
  function solveWay(set: readonly number[], least: number | null): Correction {
    const dilute = least !== null
    const anew = least === LEAST_STOCK
    const tint = tinter(base, curves)
    const free = set.length + (dilute ? 1 : 0)
    // shares and doses as logarithms; the share is at most all of it
    const unknowns = new Float64Array(free)
    set.forEach((j, k) => {
      unknowns[k] = Math.log(FIRST_GUESS / Math.max(1e-6, Math.max(...curves[j]!)))
    })
    if (dilute) unknowns[set.length] = Math.log(anew ? FIRST_STOCK : FIRST_KEPT)
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
            if (dilute)
              u[set.length] = Math.max(
                Math.log(least),
                Math.min(anew ? Math.log(LEAST_SHARE) : 0, u[set.length]!),
              )
          },
        },
        unknowns,
        MOST_STEPS,
        1e-9,
      )
    const { share, x } = mixOf(unknowns)
    const lab = tint.lab(x)
    const shown: LabD65 = [lab[0] + learnt.offset[0], lab[1] + learnt.offset[1], lab[2] + learnt.offset[2]]
    const gramsAfter = anew ? grams : grams / share
    const stockGrams = anew ? grams * share : 0
    return {
      stockGrams,
      addBaseGrams: anew ? grams - stockGrams : gramsAfter - grams,
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
