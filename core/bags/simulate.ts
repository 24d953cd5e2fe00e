import { type Arrangement, type BagProblem, fitOf, groupOfPairs, type Tally } from './problem.ts'

/** A mount that cannot be had costs as much as a morning, so that any plan without one is better. */
const MISSING_MINUTES = 400
/** More bags or couplers than there are. */
const OVER_MINUTES = 60
const CLEAN = -1

/**
 * Works an arrangement through, mount by mount. A bag keeps the tips it has used; a tip lying clean is taken first;
 * otherwise one is taken from the bag that will want it again last, and washed. A bag without a coupler gives its tip
 * up only when it is done with. A bag's first mount is free, every other is a change. A job gone through many times
 * repeats what its second time costs.
 */
export function simulate(problem: BagProblem, { groups, sequence }: Arrangement): Tally {
  const { pairs, tips, jobs } = problem
  const of = groupOfPairs(problem, groups)
  const uses = usesOfPairs(problem, sequence)
  const at = new Int32Array(pairs.length)
  const holders = tips.map((t) => new Int32Array(t.copies).fill(CLEAN))
  const mounted = new Int32Array(groups.length).fill(-1)
  const begun = new Uint8Array(groups.length)
  const perGroup = groups.map(() => ({ changes: 0, washes: 0 }))
  let missing = 0
  const missingTips = new Set<number>()

  const nextUse = (group: number, tip: number, now: number): number => {
    for (const p of groups[group]!.pairs)
      if (pairs[p]!.tip === tip) {
        const list = uses[p]!
        while (at[p]! < list.length && list[at[p]!]! < now) at[p]!++
        return list[at[p]!] ?? Number.POSITIVE_INFINITY
      }
    return Number.POSITIVE_INFINITY
  }
  const doneWith = (group: number, now: number): boolean =>
    groups[group]!.pairs.every((p) => nextUse(group, pairs[p]!.tip, now) === Number.POSITIVE_INFINITY)

  /** Takes a copy of a tip to a bag; counts the wash. */
  const bring = (group: number, tip: number, now: number, times: number) => {
    const held = holders[tip]!
    if (held.includes(group) || tips[tip]!.fit === 'none') return
    const clean = held.indexOf(CLEAN)
    if (clean >= 0) {
      held[clean] = group
      return
    }
    let best = -1
    let furthest = -1
    for (let c = 0; c < held.length; c++) {
      const other = held[c]!
      const next = nextUse(other, tip, now)
      const free = groups[other]!.coupler || doneWith(other, now)
      if (free && next > furthest) {
        furthest = next
        best = c
      }
    }
    if (best < 0 || tips[tip]!.once) {
      missing += times
      missingTips.add(tip)
      return
    }
    const other = held[best]!
    if (mounted[other] === tip) mounted[other] = -1
    held[best] = group
    perGroup[group]!.washes += times
  }

  const goThrough = (job: number, now: number, times: number) => {
    for (const p of jobs[job]!.pairs) {
      const group = of[p]!
      const tip = pairs[p]!.tip
      bring(group, tip, now, times)
      if (mounted[group] === tip) continue
      if (begun[group]) perGroup[group]!.changes += times
      begun[group] = 1
      mounted[group] = tip
    }
  }

  sequence.forEach((job, now) => {
    goThrough(job, now, 1)
    if (jobs[job]!.repeats > 1) goThrough(job, now, jobs[job]!.repeats - 1)
  })

  const changes = perGroup.reduce((sum, g) => sum + g.changes, 0)
  const washes = perGroup.reduce((sum, g) => sum + g.washes, 0)
  return {
    minutes:
      groups.reduce((sum, g) => sum + problem.bagMinutes(g.pairs, g.coupler), 0) +
      changes * problem.changeMinutes +
      washes * problem.washMinutes +
      missing * MISSING_MINUTES +
      overStock(problem, groups) * OVER_MINUTES,
    bags: groups.length,
    changes,
    washes,
    missing,
    missingTips: [...missingTips],
    perGroup,
  }
}

/** Bags and couplers beyond those there are. */
export function overStock(problem: BagProblem, groups: Arrangement['groups']): number {
  const coupled = (fit: 'standard' | 'large') =>
    groups.filter((g) => g.coupler && fitOf(problem, g.pairs) === fit).length
  return (
    Math.max(0, groups.length - problem.mostBags) +
    Math.max(0, coupled('standard') - problem.couplers.standard) +
    Math.max(0, coupled('large') - problem.couplers.large)
  )
}

/** For each pair the places in the sequence at which it is used. */
function usesOfPairs(problem: BagProblem, sequence: readonly number[]): number[][] {
  const uses: number[][] = problem.pairs.map(() => [])
  sequence.forEach((job, now) => {
    for (const p of new Set(problem.jobs[job]!.pairs)) uses[p]!.push(now)
  })
  return uses
}
