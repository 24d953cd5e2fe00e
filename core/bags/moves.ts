import type { Random } from '../random.ts'
import { type Arrangement, type BagProblem, fitOf, type Group, mayShare } from './problem.ts'

/** Which change is tried, by where a random number falls: half of the work of a search is the order of jobs. */
const CHANCES = { order: 0.55, join: 0.7, part: 0.85 }

/**
 * A small change to an arrangement, at random: a job elsewhere, two bags joined or one parted, a coupler on or off. Null
 * where the change that came up cannot be.
 */
export function move(problem: BagProblem, now: Arrangement, random: Random): Arrangement | null {
  const kind = random()
  if (kind < CHANCES.order) return otherOrder(problem, now, random)
  const groups =
    kind < CHANCES.join
      ? joinSome(problem, now.groups, random)
      : kind < CHANCES.part
        ? partSome(now.groups, random)
        : toggleCoupler(problem, now.groups, random)
  return groups ? { ...now, groups } : null
}

/** The same bags with one job elsewhere. */
export function otherOrder(problem: BagProblem, now: Arrangement, random: Random): Arrangement | null {
  const sequence = reorder(problem, now.sequence, random)
  return sequence ? { ...now, sequence } : null
}

const pick = (random: Random, count: number) => Math.floor(random() * count)

/** A job moved to another place, as far as what it waits for and what waits for it let it. */
function reorder(problem: BagProblem, sequence: readonly number[], random: Random): number[] | null {
  const from = pick(random, sequence.length)
  const job = sequence[from]!
  let low = from
  while (low > 0 && !problem.jobs[job]!.after.includes(sequence[low - 1]!)) low--
  let high = from
  while (high < sequence.length - 1 && !problem.jobs[sequence[high + 1]!]!.after.includes(job)) high++
  if (low === high) return null
  const to = low + pick(random, high - low + 1)
  if (to === from) return null
  return sequence.toSpliced(from, 1).toSpliced(to, 0, job)
}

function joinSome(problem: BagProblem, groups: readonly Group[], random: Random): Group[] | null {
  const a = pick(random, groups.length)
  const load = problem.pairs[groups[a]!.pairs[0]!]!.load
  const partners = groups.flatMap((g, i) => (i !== a && problem.pairs[g.pairs[0]!]!.load === load ? [i] : []))
  if (partners.length === 0) return null
  const b = partners[pick(random, partners.length)]!
  return mayShare(problem, [...groups[a]!.pairs, ...groups[b]!.pairs]) ? join(groups, a, b) : null
}

/** A tip leaves its bag for one of its own, or for another bag of the same load. */
function partSome(groups: readonly Group[], random: Random): Group[] | null {
  const shared = groups.flatMap((g, i) => (g.pairs.length > 1 ? [i] : []))
  if (shared.length === 0) return null
  const a = shared[pick(random, shared.length)]!
  const pair = groups[a]!.pairs[pick(random, groups[a]!.pairs.length)]!
  const rest = groups[a]!.pairs.filter((p) => p !== pair)
  return [
    ...groups.filter((_, i) => i !== a),
    { pairs: rest, coupler: rest.length > 1 },
    { pairs: [pair], coupler: false },
  ]
}

function toggleCoupler(problem: BagProblem, groups: readonly Group[], random: Random): Group[] | null {
  const a = pick(random, groups.length)
  const group = groups[a]!
  const fixed = problem.loads[problem.pairs[group.pairs[0]!]!.load]!.fixed
  if (group.pairs.length > 1 || fixed || fitOf(problem, group.pairs) === 'none') return null
  return groups.map((g, i) => (i === a ? { ...g, coupler: !g.coupler } : g))
}

/** Two bags of a list as one, on a coupler. */
export function join(groups: readonly Group[], a: number, b: number): Group[] {
  const pairs = [...groups[a]!.pairs, ...groups[b]!.pairs].sort((x, y) => x - y)
  return [...groups.filter((_, g) => g !== a && g !== b), { pairs, coupler: true }]
}
