import { prepare } from './prepare.ts'
import { openMinutes, type Problem } from './problem.ts'

/** The least span there can be, as far as it can be said. */
export interface Bound {
  minutes: number
  /** Whether chains and waits count in it: across a night only the work itself does. */
  chains: boolean
}

/**
 * The least open minutes from the first task of all to the last moment. Work shared by all hands is a bound whatever is open; chains
 * with their waits are one only where no closed hours lie between, because what waits may wait while it is closed.
 * @param start of a timetable that is possible: how far back it reaches decides whether a night lies between.
 */
export function lowerBound(problem: Problem, start: readonly number[]): Bound {
  const { tasks, hands, open } = problem
  if (tasks.length === 0) return { minutes: 0, chains: true }
  const load = tasks.reduce((sum, t) => sum + t.minutes, 0)
  const from = Math.min(...start)
  const to = Math.max(...tasks.map((t) => t.due))
  const pipers = hands.filter((h) => h.pipes).length
  const piped = tasks.reduce((sum, t) => sum + (t.pipes ? t.minutes : 0), 0)
  const shared = Math.max(load / hands.length, pipers > 0 ? piped / pipers : 0)
  if (openMinutes(open, from, to) < to - from) return { minutes: Math.ceil(shared - 1e-9), chains: false }
  const { heads, tails } = headsAndTails(problem)
  const chain = Math.max(...tasks.map((t, i) => heads[i]! + t.minutes + tails[i]!))
  const all = tasks.map((t, i) => ({ minutes: t.minutes, head: heads[i]!, tail: tails[i]! }))
  const byPipers = all.filter((_, i) => tasks[i]!.pipes)
  const tiring = all.filter((_, i) => tasks[i]!.tiring)
  const tiringBy = tasks.every((t) => t.pipes || !t.tiring) ? pipers : hands.length
  let least = Math.max(
    chain,
    shareOut(all, hands.length),
    shareOut(byPipers, pipers),
    withRests(tiring, tiringBy, problem.rest),
  )
  problem.resources.forEach((units, r) => {
    const own = tasks.flatMap((t, i) => {
      const held = t.holds.find((h) => h.resource === r)
      // held on after it, which is part of the way to what follows
      return held
        ? [{ ...all[i]!, minutes: t.minutes + held.extra, tail: Math.max(0, all[i]!.tail - held.extra) }]
        : []
    })
    least = Math.max(least, shareOut(own, units))
  })
  return { minutes: Math.ceil(least - 1e-9), chains: true }
}

/** Minutes that lie between the start of all and each task, and between its end and the last moment, at the least. */
function headsAndTails(problem: Problem): { heads: number[]; tails: number[] } {
  const { tasks } = problem
  const { head } = prepare(problem)
  const last = Math.max(...tasks.map((t) => t.due))
  const tails = new Array<number>(tasks.length)
  const tailOf = (i: number): number => {
    if (tails[i] !== undefined) return tails[i]!
    let tail = last - tasks[i]!.due
    for (const { task, lag } of tasks[i]!.next)
      tail = Math.max(tail, lag + tasks[task]!.minutes + tailOf(task))
    tails[i] = tail
    return tail
  }
  for (let i = 0; i < tasks.length; i++) tailOf(i)
  return { heads: head.map((h, i) => h - tasks[i]!.minutes), tails }
}

interface Job {
  minutes: number
  head: number
  tail: number
}

/** The least time in which so many pairs of hands, or units of a thing, get through some jobs. */
function shareOut(jobs: readonly Job[], units: number): number {
  if (jobs.length === 0 || units === 0) return 0
  return units === 1 ? oneHand(jobs) : manyHands(jobs, units)
}

/** Work shared by all, with the shortest ways in and out that each of them must have. */
function manyHands(jobs: readonly Job[], hands: number): number {
  const least = (of: (j: Job) => number) =>
    jobs
      .map(of)
      .sort((a, b) => a - b)
      .slice(0, hands)
      .reduce((sum, x) => sum + x, 0)
  const load = jobs.reduce((sum, j) => sum + j.minutes, 0)
  const idle = jobs.length >= hands ? least((j) => j.head) + least((j) => j.tail) : 0
  return (load + idle) / hands
}

/** Heads and tails from which sets of tasks are looked at are thinned to so many. */
const MOST_EDGES = 30

/**
 * Tiring work with the rests that it needs: of every set of tasks that cannot begin before a moment and are followed by so much, the
 * work, a rest between each two runs, and what lies before and after. There are at least as many runs as the work fills, and one for
 * each task that is longer than half a run, because no two of these are in one.
 */
function withRests(jobs: readonly Job[], hands: number, rest: Problem['rest']): number {
  if (jobs.length === 0 || hands === 0) return 0
  const edges = (of: (j: Job) => number) => {
    const all = [...new Set(jobs.map(of))].sort((a, b) => a - b)
    const step = Math.max(1, Math.ceil(all.length / MOST_EDGES))
    return all.filter((_, i) => i % step === 0)
  }
  let most = 0
  for (const head of edges((j) => j.head))
    for (const tail of edges((j) => j.tail)) {
      let work = 0
      let long = 0
      for (const j of jobs) {
        if (j.head < head || j.tail < tail) continue
        work += j.minutes
        if (2 * j.minutes > rest.after) long += 1
      }
      if (work === 0) continue
      const runs = Math.max(long, Math.ceil(work / rest.after))
      most = Math.max(most, head + tail + (work + Math.max(0, runs - hands) * rest.minutes) / hands)
    }
  return most
}

/**
 * One machine on which work may be broken off: always the task with the longest tail of those that have come (Jackson's preemptive
 * schedule, the strongest bound that is cheap for one machine with heads and tails).
 */
function oneHand(jobs: readonly Job[]): number {
  const coming = jobs.map((j) => ({ ...j })).sort((a, b) => a.head - b.head)
  const here: Job[] = []
  let now = 0
  let most = 0
  let next = 0
  while (next < coming.length || here.length > 0) {
    if (here.length === 0) now = Math.max(now, coming[next]!.head)
    while (next < coming.length && coming[next]!.head <= now) here.push(coming[next++]!)
    let at = 0
    for (let k = 1; k < here.length; k++) if (here[k]!.tail > here[at]!.tail) at = k
    const job = here[at]!
    const until = next < coming.length ? coming[next]!.head : Number.POSITIVE_INFINITY
    const worked = Math.min(job.minutes, until - now)
    now += worked
    job.minutes -= worked
    if (job.minutes > 0) continue
    here.splice(at, 1)
    most = Math.max(most, now + job.tail)
  }
  return most
}
