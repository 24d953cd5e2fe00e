import { seeded } from '../random.ts'
import { join, otherOrder } from './moves.ts'
import { type Arrangement, type BagProblem, fitOf, type Group, mayShare } from './problem.ts'
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
  let groups = onePerPair(problem)
  for (;;) {
    let best: { joined: Group[]; saved: number } | null = null
    for (const [a, b] of possibleJoins(problem, groups)) {
      const [x, y] = [groups[a]!, groups[b]!]
      const pairs = [...x.pairs, ...y.pairs].sort((p, q) => p - q)
      const saved = cost(x.pairs, x.coupler) + cost(y.pairs, y.coupler) - cost(pairs, true)
      if (saved > (best?.saved ?? 1e-9)) best = { joined: join(groups, a, b), saved }
    }
    if (!best) break
    groups = best.joined
  }
  const lent = lendTips(problem, { groups, sequence })
  return problem.jobs.length > FEW_JOBS ? lent : mend(problem, lent)
}

/** Changes on one bag over the whole work, as if its tips were never lent. */
function changesOf(problem: BagProblem, sequence: readonly number[], pairs: readonly number[]): number {
  const own = new Set(pairs)
  let mounted = -1
  let changes = 0
  for (const j of sequence) {
    const job = problem.jobs[j]!
    let first = -1
    let once = 0
    for (const p of job.pairs) {
      if (!own.has(p)) continue
      const { tip } = problem.pairs[p]!
      if (first < 0) first = tip
      if (mounted >= 0 && mounted !== tip) once++
      mounted = tip
    }
    if (first < 0) continue
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

function possibleJoins(problem: BagProblem, groups: readonly Group[]): [number, number][] {
  const used = { standard: 0, large: 0, none: 0 }
  for (const g of groups) if (g.coupler) used[fitOf(problem, g.pairs)]++
  const loadOf = (g: Group) => problem.pairs[g.pairs[0]!]!.load
  const joins: [number, number][] = []
  for (let a = 0; a < groups.length; a++)
    for (let b = a + 1; b < groups.length; b++) {
      if (loadOf(groups[a]!) !== loadOf(groups[b]!)) continue
      const pairs = [...groups[a]!.pairs, ...groups[b]!.pairs]
      if (!mayShare(problem, pairs)) continue
      const fit = fitOf(problem, pairs)
      if (fit === 'none') continue
      const need = 1 - (groups[a]!.coupler ? 1 : 0) - (groups[b]!.coupler ? 1 : 0)
      if (used[fit] + need <= problem.couplers[fit]) joins.push([a, b])
    }
  return joins
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
