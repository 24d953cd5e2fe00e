import { type DosedMix, dosed, trouble } from './dose.ts'
import type { LabD65 } from './lab.ts'
import type { Spectrum } from './spectrum.ts'
import { type Mix, polish, solveSubset, subsets, type Task, task } from './subsetSolve.ts'
import type { TintBase } from './tint.ts'

/** Differences under this nobody sees on a flower; CIEDE2000. */
export const UNSEEN = 1.5

/** How a colour is mixed for one bowl. */
export interface Formula {
  /** The least trouble that comes unseen near, or else the nearest. */
  chosen: DosedMix
  /** Other ways: the best with each smaller number of dyes, and the nearest of all. */
  others: DosedMix[]
  /** The nearest before rounding: what these dyes can do at all. */
  nearest: Mix
}

/** Candidates that are worth rounding. */
const KEPT = 14
const MOST_DYES = 3
/** Size of bowl at which the choice of dyes is made, g; a smaller one chooses for itself, because a speck is much in it. */
const REFERENCE_GRAMS = 100
/** Roundings of every choice of dyes that are looked at more closely. */
const KEPT_ROUNDED = 16

/**
 * Drops and specks for a target colour: every choice of up to three dyes is solved (Levenberg-Marquardt on log doses
 * in CIEDE2000's own metric, docs/calculations.md, "Colour"), the best are rounded to what a hand can dose in this
 * bowl, and the least trouble wins.
 * @param grams finished icing in the bowl.
 */
export function formula(base: TintBase, target: LabD65, curves: readonly Spectrum[], grams: number): Formula {
  return formulaFor(task(base, target, curves), grams)
}

/** The same for a task that may start from icing already tinted. */
export function formulaFor(of: Task, grams: number): Formula {
  const solved = subsets(of.curves.length, Math.min(MOST_DYES, of.curves.length))
    .map((set) => solveSubset(of, set))
    .sort((a, b) => trouble(a) - trouble(b))
  // which dyes is decided at one size, so that every bowl gets the same formula wherever it can be dosed
  const usual = choose(of, bestOfEach(solved), REFERENCE_GRAMS, grams)
  if (grams >= REFERENCE_GRAMS) return usual
  const own = choose(
    of,
    [...new Set([...bestOfEach(solved), ...bestRounded(of, solved, grams)])],
    grams,
    grams,
  )
  return own.chosen.difference < usual.chosen.difference - ANOTHER_FORMULA ? own : usual
}

/** A small bowl gets dyes of its own only where that brings it so much nearer, CIEDE2000. */
const ANOTHER_FORMULA = 0.5

/** A mix further off than this is looked at once more; more trouble is taken for what is so much nearer: CIEDE2000. */
const WORTH_POLISHING = 0.3
const WORTH_TROUBLE = 0.2

/** The least trouble among some mixes when they are dosed for bowls of `size`, dosed for a bowl of `grams`. */
function choose(of: Task, mixes: readonly Mix[], size: number, grams: number): Formula {
  const kept = mixes.map((mix) => (mix.difference > WORTH_POLISHING ? polish(of, mix) : mix))
  const nearest = kept.reduce((best, mix) => (mix.difference < best.difference ? mix : best))
  const rounded = kept
    .map((mix) => ({ mix, dosed: dosed(of, mix, size) }))
    .sort((a, b) => trouble(a.dosed) - trouble(b.dosed))
  const chosen =
    rounded.find((r) => r.dosed.difference < UNSEEN) ??
    rounded.reduce((best, r) => (r.dosed.difference < best.dosed.difference - WORTH_TROUBLE ? r : best))
  const forBowl = (r: (typeof rounded)[number]) => (grams === size ? r.dosed : dosed(of, r.mix, grams))
  return {
    chosen: forBowl(chosen),
    others: alternatives(
      rounded.map((r) => ({ ...r.dosed, of: r })),
      chosen.dosed,
    ).map(({ of: r }) => forBowl(r)),
    nearest,
  }
}

/** In a small bowl the dyes that round well are others than those that mix well. */
function bestRounded(of: Task, solved: readonly Mix[], grams: number): Mix[] {
  return solved
    .map((mix) => ({ mix, rank: trouble(dosed(of, mix, grams, true)) }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, KEPT_ROUNDED)
    .map(({ mix }) => mix)
}

/** The least trouble overall, and the nearest few of every number of dyes, so that each has its say. */
function bestOfEach(solved: readonly Mix[]): Mix[] {
  const kept = new Set(solved.slice(0, KEPT - 6))
  for (let n = 0; n <= MOST_DYES; n++)
    solved
      .filter((mix) => mix.dyes.length === n)
      .sort((a, b) => a.difference - b.difference)
      .slice(0, 2)
      .forEach((mix) => {
        kept.add(mix)
      })
  return [...kept]
}

function alternatives<M extends DosedMix>(rounded: readonly M[], chosen: DosedMix): M[] {
  const key = (mix: DosedMix) => mix.dyes.join()
  const found = new Map<string, M>()
  for (let n = 1; n <= MOST_DYES; n++) {
    const best = rounded.filter((mix) => mix.dyes.length === n).sort((a, b) => a.difference - b.difference)[0]
    if (best) found.set(key(best), best)
  }
  const second = rounded.find((mix) => key(mix) !== key(chosen))
  if (second) found.set(key(second), second)
  found.delete(key(chosen))
  return [...found.values()]
}
