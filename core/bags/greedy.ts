import { seeded } from '../random.ts'
import { otherOrder } from './moves.ts'
import { type Arrangement, type BagProblem, fitOf, type Group, mayShare, type TipStock } from './problem.ts'
import { overStock, simulate } from './simulate.ts'

/** Every pair on a bag of its own: where every search begins. */
export function onePerPair(problem: BagProblem): Group[] {
  return problem.pairs.map((_, p) => ({ pairs: [p], coupler: false }))
}

/** Jobs in an order that keeps what must come first, those that are free by their place in the list. */
export function inOrder(problem: BagProblem): number[] {
  const waits = problem.jobs.map((job) => job.after.length)
  const followers: number[][] = problem.jobs.map(() => [])
  problem.jobs.forEach((job, j) => {
    for (const a of job.after) followers[a]!.push(j)
  })
  const free = new Set(problem.jobs.flatMap((_, j) => (waits[j] === 0 ? [j] : [])))
  const sequence: number[] = []
  while (free.size > 0) {
    const next = Math.min(...free)
    free.delete(next)
    sequence.push(next)
    for (const j of followers[next]!) if (--waits[j]! === 0) free.add(j)
  }
  if (sequence.length < problem.jobs.length) throw new RangeError('Jobs wait for each other in a circle.')
  return sequence
}

/** Above so many jobs, work is not reordered here: that is left to the search. */
const FEW_JOBS = 80

/**
 * A good plan at once: begins with a bag a tip, joins the two whose joining saves most as long as any does and there is
 * a coupler; then, where a tip is missing, gives couplers to bags whose tip is wanted elsewhere, and does jobs in another order.
 */
export function greedy(problem: BagProblem): Arrangement {
  const sequence = inOrder(problem)
  const costs = new Map<string, number>()
  const cost = (pairs: readonly number[], coupler: boolean) => {
    const key = `${coupler} ${pairs.join()}`
    const known = costs.get(key)
    if (known !== undefined) return known
    const worked =
      problem.bagMinutes(pairs, coupler) + changesOf(problem, sequence, pairs) * problem.changeMinutes
    costs.set(key, worked)
    return worked
  }
  const lent = lendTips(problem, { groups: joinedWhileItSaves(problem, cost), sequence })
  return problem.jobs.length > FEW_JOBS ? lent : mend(problem, lent)
}

/** Two bags that could be one, and what that saves. */
interface PossibleJoin {
  one: Group
  other: Group
  joined: Group
  saved: number
}

/** A bag a pair, then the two joined whose joining saves most, as long as any does and there is a coupler. */
function joinedWhileItSaves(
  problem: BagProblem,
  cost: (pairs: readonly number[], coupler: boolean) => number,
): Group[] {
  let groups = onePerPair(problem)
  const joinOf = (one: Group, other: Group): PossibleJoin[] => {
    if (loadOf(problem, one) !== loadOf(problem, other)) return []
    const pairs = [...one.pairs, ...other.pairs].sort((p, q) => p - q)
    if (!mayShare(problem, pairs)) return []
    const saved = cost(one.pairs, one.coupler) + cost(other.pairs, other.coupler) - cost(pairs, true)
    return saved > LEAST_SAVED ? [{ one, other, joined: { pairs, coupler: true }, saved }] : []
  }
  let joins = groups.flatMap((one, i) => groups.slice(i + 1).flatMap((other) => joinOf(one, other)))
  for (;;) {
    const left = couplersLeft(problem, groups)
    const best = joins.reduce<PossibleJoin | null>((most, join) => {
      const needs = 1 - Number(join.one.coupler) - Number(join.other.coupler)
      const may = needs <= left[fitOf(problem, join.joined.pairs)]
      return may && join.saved > (most?.saved ?? 0) ? join : most
    }, null)
    if (!best) return groups
    const others = groups.filter((g) => g !== best.one && g !== best.other)
    joins = [
      ...joins.filter((j) => others.includes(j.one) && others.includes(j.other)),
      ...others.flatMap((other) => joinOf(other, best.joined)),
    ]
    groups = [...others, best.joined]
  }
}

/** A saving below this is rounding. */
const LEAST_SAVED = 1e-9

const loadOf = (problem: BagProblem, group: Group) => problem.pairs[group.pairs[0]!]!.load

function couplersLeft(problem: BagProblem, groups: readonly Group[]): Record<TipStock['fit'], number> {
  const left = { ...problem.couplers, none: 0 }
  for (const g of groups) if (g.coupler) left[fitOf(problem, g.pairs)]--
  return left
}

/** Changes on one bag over the whole work, as if its tips were never lent. */
function changesOf(problem: BagProblem, sequence: readonly number[], pairs: readonly number[]): number {
  const own = new Set(pairs)
  let mounted = -1
  let changes = 0
  for (const j of sequence) {
    const job = problem.jobs[j]!
    let once = 0
    for (const p of job.pairs) {
      if (!own.has(p)) continue
      const { tip } = problem.pairs[p]!
      if (mounted >= 0 && mounted !== tip) once++
      mounted = tip
    }
    changes += once
    if (job.repeats > 1) {
      // every further flower goes through the same changes, and back to the first tip
      const tips = job.pairs.filter((p) => own.has(p)).map((p) => problem.pairs[p]!.tip)
      const within = tips.filter((t, i) => i > 0 && t !== tips[i - 1]).length
      changes += (job.repeats - 1) * (within + (tips[0] === tips.at(-1) ? 0 : 1))
    }
  }
  return changes
}

const MEND_STEPS = 250

/** Jobs moved about wherever that costs less, until no tip is missing or the patience is out. Seeded. */
function mend(problem: BagProblem, from: Arrangement): Arrangement {
  const random = seeded(1)
  let best = from
  let tally = simulate(problem, best)
  for (let step = 0; step < MEND_STEPS && tally.missing > 0; step++) {
    const next = otherOrder(problem, best, random)
    const after = next && simulate(problem, next)
    if (next && after && after.minutes <= tally.minutes) {
      best = next
      tally = after
    }
  }
  return best
}

/** Jobs gone through while tips are lent: the demo order needs a hundredth of it, an endless order is left to the search. */
const LENDING_JOBS = 400_000

/**
 * Puts couplers on single bags as long as that frees a tip that is missing elsewhere: on one bag, or where one alone does
 * not help on two at once, because two bags may have to give the same tip to each other.
 */
export function lendTips(problem: BagProblem, arrangement: Arrangement): Arrangement {
  let best = arrangement
  let tally = simulate(problem, best)
  let left = LENDING_JOBS
  while (tally.missing > 0) {
    const single = lendable(problem, best)
    const wanted = single.filter((g) => wants(problem, best.groups[g]!, tally.missingTips))
    let found: { arrangement: Arrangement; minutes: number } | null = null
    const tryAll = (choices: readonly number[][]) => {
      for (const lent of choices) {
        const groups = best.groups.map((x, i) => (lent.includes(i) ? { ...x, coupler: true } : x))
        if (overStock(problem, groups) > overStock(problem, best.groups)) continue
        left -= problem.jobs.length
        if (left < 0) return
        const trial = { ...best, groups }
        const { minutes } = simulate(problem, trial)
        if (minutes < (found?.minutes ?? tally.minutes) - 1e-9) found = { arrangement: trial, minutes }
      }
    }
    tryAll(single.map((g) => [g]))
    if (!found) tryAll(wanted.flatMap((a, i) => wanted.slice(i + 1).map((b) => [a, b])))
    if (!found) return best
    best = (found as { arrangement: Arrangement }).arrangement
    tally = simulate(problem, best)
  }
  return best
}

/** Bags on a tip of their own that could have a coupler. */
function lendable(problem: BagProblem, { groups }: Arrangement): number[] {
  return groups.flatMap((group, g) => {
    const { fixed } = problem.loads[problem.pairs[group.pairs[0]!]!.load]!
    return group.coupler || fixed || fitOf(problem, group.pairs) === 'none' ? [] : [g]
  })
}

const wants = (problem: BagProblem, group: Group, tips: readonly number[]) =>
  group.pairs.some((p) => tips.includes(problem.pairs[p]!.tip))
