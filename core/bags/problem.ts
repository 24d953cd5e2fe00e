/** One load through one tip, over the whole order. */
export interface Pair {
  load: number
  tip: number
}

/** Something piped without going back: a flower on its nail, many times over, or one stage over a tray. */
export interface Job {
  /** Pairs in the order in which they are piped. */
  pairs: readonly number[]
  /** Times that the whole sequence is gone through before the next job. */
  repeats: number
  /** Jobs that must be done before this one. */
  after: readonly number[]
}

export interface TipStock {
  /** How many are owned; a cut bag needs none and has as many as it wants. */
  copies: number
  /** Which couplers it fits. */
  fit: 'standard' | 'large' | 'none'
  /** Somebody wants it mounted once and not washed for another bag. */
  once: boolean
}

/**
 * Which bags to fill with what, which tips share a coupler, and in which order to work, for a whole order. Numbers
 * stand for places in the lists.
 */
export interface BagProblem {
  pairs: readonly Pair[]
  /** A striped load keeps its one tip fixed, because its stripe must stay aligned. */
  loads: readonly { fixed: boolean }[]
  tips: readonly TipStock[]
  jobs: readonly Job[]
  couplers: { standard: number; large: number }
  mostBags: number
  /** Minutes for a change of tip on a coupler, and for washing a tip for another bag. */
  changeMinutes: number
  washMinutes: number
  /** What filling one bag with these pairs costs: minutes, and grams left in it valued in minutes. */
  bagMinutes(pairs: readonly number[], coupler: boolean): number
  /** Pairs that a person wants on a bag of their own, and pairs wanted apart. */
  alone: readonly number[]
  apart: readonly (readonly [number, number])[]
}

/** One bag: the pairs it does. A coupler is needed for two tips, and lets a single one go to another bag. */
export interface Group {
  pairs: readonly number[]
  coupler: boolean
}

/** A plan: every pair in one group, every job once. */
export interface Arrangement {
  groups: readonly Group[]
  sequence: readonly number[]
}

/** What an arrangement comes to. */
export interface Tally {
  /** Minutes, with grams left in bags valued in; what arrangements are compared by. */
  minutes: number
  bags: number
  changes: number
  washes: number
  /** Mounts for which there was no tip to be had, and the tips. */
  missing: number
  missingTips: readonly number[]
  /** Changes and washes of each group. */
  perGroup: { changes: number; washes: number }[]
}

/** Which group each pair is in. */
export function groupOfPairs(problem: BagProblem, groups: readonly Group[]): Int32Array {
  const of = new Int32Array(problem.pairs.length).fill(-1)
  groups.forEach((group, g) => {
    for (const pair of group.pairs) of[pair] = g
  })
  return of
}

/** The fit of a group's tips; a group of two fits cannot be. */
export function fitOf(problem: BagProblem, pairs: readonly number[]): TipStock['fit'] {
  return problem.tips[problem.pairs[pairs[0]!]!.tip]!.fit
}

/** Whether these pairs may share a bag. */
export function mayShare(problem: BagProblem, pairs: readonly number[]): boolean {
  if (pairs.length < 2) return true
  const first = problem.pairs[pairs[0]!]!
  if (problem.loads[first.load]!.fixed) return false
  const fit = problem.tips[first.tip]!.fit
  if (fit === 'none') return false
  return (
    pairs.every((p) => {
      const pair = problem.pairs[p]!
      return pair.load === first.load && problem.tips[pair.tip]!.fit === fit && !problem.alone.includes(p)
    }) && !problem.apart.some(([a, b]) => pairs.includes(a) && pairs.includes(b))
  )
}
