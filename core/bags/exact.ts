import { type Arrangement, type BagProblem, fitOf, type Group, groupOfPairs, mayShare } from './problem.ts'
import { overStock } from './simulate.ts'

/** More jobs or ways to group than this are not worth proving. */
const MOST_JOBS = 10
const MOST_CONFIGURATIONS = 40_000

/**
 * The best arrangement, proved: every way to group tips on bags, cheapest first, and for each the best order of work by
 * dynamic programming over (jobs done, what is mounted where, who holds which tip).
 * @param limit only what is cheaper counts; a good plan's cost here makes the proof short.
 * @returns 'too-large' where that is too much to try, null where nothing is cheaper than the limit.
 */
export function exact(
  problem: BagProblem,
  limit = Number.POSITIVE_INFINITY,
): { best: Arrangement; minutes: number } | 'too-large' | null {
  if (problem.jobs.length > MOST_JOBS) return 'too-large'
  const configurations = allGroupings(problem, limit)
  if (!configurations) return 'too-large'
  const priced = configurations.map((groups) => ({ groups, fixed: leastCost(problem, groups) }))
  priced.sort((a, b) => a.fixed - b.fixed)
  let best: Arrangement | null = null
  let least = limit
  for (const { groups, fixed } of priced) {
    if (fixed >= least - 1e-9) break
    const found = bestSequence(problem, groups, least)
    if (!found) continue
    least = found.minutes
    best = { groups, sequence: found.sequence }
  }
  return best && { best, minutes: least }
}

const fixedCost = (problem: BagProblem, groups: readonly Group[]) =>
  groups.reduce((sum, g) => sum + problem.bagMinutes(g.pairs, g.coupler), 0)

/**
 * What an arrangement of these bags costs at the least: filling them; changes within jobs, which no order avoids, or
 * one for every further tip of a bag; a wash for every bag that wants a tip beyond its copies.
 */
export function leastCost(problem: BagProblem, groups: readonly Group[]): number {
  const of = groupOfPairs(problem, groups)
  const within = groups.map(() => 0)
  for (const job of problem.jobs) {
    const tips = new Map<number, number[]>()
    for (const p of job.pairs) tips.set(of[p]!, [...(tips.get(of[p]!) ?? []), problem.pairs[p]!.tip])
    for (const [g, own] of tips) {
      const once = own.filter((t, i) => i > 0 && t !== own[i - 1]).length
      const round = own[0] === own.at(-1) ? 0 : 1
      within[g]! += once + (job.repeats - 1) * (once + round)
    }
  }
  const tipsOf = groups.map((g) => new Set(g.pairs.map((p) => problem.pairs[p]!.tip)))
  const changes = within.reduce((sum, w, g) => sum + Math.max(w, tipsOf[g]!.size - 1), 0)
  const washes = problem.tips.reduce(
    (sum, tip, t) =>
      tip.fit === 'none' ? sum : sum + Math.max(0, tipsOf.filter((s) => s.has(t)).length - tip.copies),
    0,
  )
  return fixedCost(problem, groups) + changes * problem.changeMinutes + washes * problem.washMinutes
}

/**
 * Every grouping that may be and whose filling alone costs less than the limit: partitions of each load's tips,
 * couplers on single bags whose tip others want too. Null where there are too many.
 */
export function allGroupings(problem: BagProblem, limit: number): Group[][] | null {
  const byLoad = new Map<number, number[]>()
  problem.pairs.forEach(({ load }, p) => {
    byLoad.set(load, [...(byLoad.get(load) ?? []), p])
  })
  const waysOf = [...byLoad.values()].map((pairs) =>
    partitions(pairs)
      .filter((parts) => parts.every((part) => mayShare(problem, part)))
      .flatMap((parts) => withCouplers(problem, parts))
      .map((groups) => ({ groups, cost: fixedCost(problem, groups) })),
  )
  // what the loads still to come cost at the least
  const rest = waysOf.map((ways) => Math.min(...ways.map((w) => w.cost)))
  let to = rest.reduce((a, b) => a + b, 0)
  let all: { groups: Group[]; cost: number }[] = [{ groups: [], cost: 0 }]
  for (const [i, ways] of waysOf.entries()) {
    to -= rest[i]!
    all = all.flatMap((begun) =>
      ways.flatMap((way) => {
        const cost = begun.cost + way.cost
        return cost + to < limit - 1e-9 ? [{ groups: [...begun.groups, ...way.groups], cost }] : []
      }),
    )
    if (all.length > MOST_CONFIGURATIONS) return null
  }
  return all.map((a) => a.groups).filter((groups) => overStock(problem, groups) === 0)
}

function partitions(items: readonly number[]): number[][][] {
  const [first, ...rest] = items
  if (first === undefined) return [[]]
  return partitions(rest).flatMap((parts) => [
    [[first], ...parts],
    ...parts.map((part, i) => parts.map((p, k) => (k === i ? [first, ...part] : p))),
  ])
}

function withCouplers(problem: BagProblem, parts: readonly number[][]): Group[][] {
  return parts.reduce<Group[][]>(
    (ways, pairs) => {
      const { load, tip } = problem.pairs[pairs[0]!]!
      const lends =
        pairs.length === 1 &&
        !problem.loads[load]!.fixed &&
        fitOf(problem, pairs) !== 'none' &&
        problem.pairs.filter((p) => p.tip === tip).length > problem.tips[tip]!.copies
      const kinds = pairs.length > 1 ? [true] : lends ? [false, true] : [false]
      return ways.flatMap((way) => kinds.map((coupler) => [...way, { pairs, coupler }]))
    },
    [[]],
  )
}

interface State {
  minutes: number
  mounted: number[]
  begun: boolean[]
  /** Holder of every copy of every tip, -1 clean; sorted within a tip, because copies are alike. */
  holders: number[][]
  sequence: number[]
}

/** The cheapest order of work for given bags, or null where none costs under `limit`. */
function bestSequence(problem: BagProblem, groups: readonly Group[], limit: number): State | null {
  const of = groupOfPairs(problem, groups)
  const fixed = groups.reduce((sum, g) => sum + problem.bagMinutes(g.pairs, g.coupler), 0)
  const full = (1 << problem.jobs.length) - 1
  let layer = new Map<string, { mask: number; state: State }>([
    [
      '',
      {
        mask: 0,
        state: {
          minutes: fixed,
          mounted: groups.map(() => -1),
          begun: groups.map(() => false),
          holders: problem.tips.map((t) => new Array<number>(t.copies).fill(-1)),
          sequence: [],
        },
      },
    ],
  ])
  for (let done = 0; done < problem.jobs.length; done++) {
    const next = new Map<string, { mask: number; state: State }>()
    for (const { mask, state } of layer.values())
      problem.jobs.forEach((job, j) => {
        if (mask & (1 << j) || job.after.some((a) => !(mask & (1 << a)))) return
        for (const after of goThrough(problem, groups, of, state, j, mask)) {
          if (after.minutes >= limit - 1e-9) continue
          const to = mask | (1 << j)
          const key = `${to}|${after.mounted}|${after.begun.map(Number)}|${after.holders.join(';')}`
          const known = next.get(key)
          if (!known || after.minutes < known.state.minutes) next.set(key, { mask: to, state: after })
        }
      })
    layer = next
  }
  let best: State | null = null
  for (const { mask, state } of layer.values())
    if (mask === full && (!best || state.minutes < best.minutes)) best = state
  return best
}

/** A job gone through as often as it repeats; every choice of whom to take a tip from is followed. */
function goThrough(
  problem: BagProblem,
  groups: readonly Group[],
  of: Int32Array,
  from: State,
  job: number,
  mask: number,
): State[] {
  const { repeats } = problem.jobs[job]!
  const rounds = repeats > 1 ? [1, repeats - 1] : [1]
  return rounds
    .reduce<State[]>(
      (states, times) => states.flatMap((s) => round(problem, groups, of, s, job, mask, times)),
      [from],
    )
    .map((s) => ({ ...s, sequence: [...s.sequence, job] }))
}

function round(
  problem: BagProblem,
  groups: readonly Group[],
  of: Int32Array,
  from: State,
  job: number,
  mask: number,
  times: number,
): State[] {
  let states = [from]
  for (const p of problem.jobs[job]!.pairs) {
    const group = of[p]!
    const tip = problem.pairs[p]!.tip
    states = states.flatMap((s) =>
      fetched(problem, groups, s, group, tip, job, mask, times).map((got) => {
        if (got.mounted[group] === tip) return got
        return {
          ...got,
          minutes: got.minutes + (got.begun[group] ? problem.changeMinutes * times : 0),
          mounted: got.mounted.with(group, tip),
          begun: got.begun.with(group, true),
        }
      }),
    )
  }
  return states
}

function fetched(
  problem: BagProblem,
  groups: readonly Group[],
  state: State,
  group: number,
  tip: number,
  job: number,
  mask: number,
  times: number,
): State[] {
  const held = state.holders[tip]!
  if (problem.tips[tip]!.fit === 'none' || held.includes(group)) return [state]
  const give = (copy: number): State => ({
    ...state,
    holders: state.holders.with(
      tip,
      held.with(copy, group).sort((a, b) => a - b),
    ),
  })
  const clean = held.indexOf(-1)
  if (clean >= 0) return [give(clean)]
  if (problem.tips[tip]!.once) return []
  return held.flatMap((other, copy) => {
    if (!groups[other]!.coupler && !doneWith(problem, groups[other]!, job, mask)) return []
    const got = give(copy)
    return [
      {
        ...got,
        minutes: got.minutes + problem.washMinutes * times,
        mounted: got.mounted[other] === tip ? got.mounted.with(other, -1) : got.mounted,
      },
    ]
  })
}

/** Whether no job still to do, the present one included, uses a bag. */
function doneWith(problem: BagProblem, group: Group, job: number, mask: number): boolean {
  return problem.jobs.every(
    (other, j) => (j !== job && mask & (1 << j)) || !other.pairs.some((p) => group.pairs.includes(p)),
  )
}
