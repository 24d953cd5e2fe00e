import { HandLane } from './hands.ts'
import { Lane } from './lane.ts'
import type { Problem } from './problem.ts'
import { Shelves } from './shelf.ts'

/** What is worked out once about a problem, for placing its tasks over and over. */
export interface Prepared {
  problem: Problem
  /** How many tasks come right before each. */
  before: number[][]
  /** Minutes from the first thing that leads to a task to its end: the longest chain before it. */
  head: number[]
  /** What settled starts of others let a task begin at the earliest. */
  notBefore: number[]
}

export interface Placed {
  start: number[]
  hand: number[]
  broken: number
}

/**
 * Places tasks from the last to the first, each as late as it can be: the one of the highest rank among those whose followers
 * all have their places (serial schedule generation on the reversed network).
 * @param rank of every task.
 */
export function decode({ problem, before, notBefore }: Prepared, rank: ArrayLike<number>): Placed {
  const { tasks, open } = problem
  const n = tasks.length
  const hands = problem.hands.map((h) => new HandLane(h.pipes, problem.rest))
  const units = problem.resources.map((count) => Array.from({ length: count }, () => new Lane()))
  const shelves = new Shelves(problem)
  const start = new Array<number>(n).fill(0)
  const hand = new Array<number>(n).fill(0)
  const waits = tasks.map((t) => t.next.length)
  let broken = 0
  const ready: number[] = []

  const put = (i: number, end: number) => {
    const { minutes, tiring, holds, pipes } = tasks[i]!
    const from = end - minutes
    let best = -1
    for (let h = 0; h < hands.length; h++) {
      if (pipes && !hands[h]!.pipes) continue
      if (hands[h]!.latest(end, minutes, tiring) < end) continue
      // whoever cannot pipe does what need not be piped
      if (best < 0 || (hands[best]!.pipes && !hands[h]!.pipes)) best = h
    }
    if (best < 0) {
      best = Math.max(
        0,
        hands.findIndex((h) => h.pipes || !pipes),
      )
      broken += minutes
    }
    hands[best]!.take(from, end, tiring)
    for (const { resource, extra } of holds) {
      const lanes = units[resource]!
      const free = lanes.find((l) => l.latest(end + extra, minutes + extra) === end + extra)
      if (!free) broken += minutes
      ;(free ?? lanes[0])?.take(from, end + extra)
    }
    start[i] = from
    hand[i] = best
    shelves.put(i, from, end)
    broken += Math.max(0, notBefore[i]! - from)
  }

  const done = (i: number) => {
    for (const b of before[i]!) {
      waits[b]! -= 1
      if (waits[b] === 0) ready.push(b)
    }
  }

  // what is settled takes its place first, and is passed over when its turn comes
  for (let i = 0; i < n; i++) if (tasks[i]!.fixed !== null) put(i, tasks[i]!.fixed! + tasks[i]!.minutes)
  for (let i = 0; i < n; i++) if (waits[i] === 0) ready.push(i)

  while (ready.length > 0) {
    let at = 0
    for (let k = 1; k < ready.length; k++) if (rank[ready[k]!]! > rank[ready[at]!]!) at = k
    const i = ready[at]!
    ready[at] = ready[ready.length - 1]!
    ready.pop()
    const task = tasks[i]!
    let end = task.due
    for (const { task: j, lag } of task.next) end = Math.min(end, start[j]! - lag)
    if (task.fixed !== null) {
      broken += Math.max(0, task.fixed + task.minutes - end)
      done(i)
      continue
    }
    for (;;) {
      const tried = end
      end = inWindow(open, end, task.minutes)
      let latest = Number.NEGATIVE_INFINITY
      for (const h of hands)
        if (h.pipes || !task.pipes) latest = Math.max(latest, h.latest(end, task.minutes, task.tiring))
      end = Math.min(end, latest)
      for (const { resource, extra } of task.holds) {
        let free = Number.NEGATIVE_INFINITY
        for (const l of units[resource]!)
          free = Math.max(free, l.latest(end + extra, task.minutes + extra) - extra)
        end = Math.min(end, free)
      }
      end = Math.min(end, shelves.latest(i, end - task.minutes) + task.minutes)
      if (end === tried) break
      if (end === Number.NEGATIVE_INFINITY) {
        // nobody can do it, or never for so long: said by the faults of the problem
        end = tried
        break
      }
    }
    put(i, end)
    done(i)
  }
  return { start, hand, broken }
}

/** The latest end, no later than `end`, of a stretch so long within one window; −∞ where there is none. */
function inWindow(open: readonly { from: number; to: number }[], end: number, minutes: number): number {
  // windows are many days long in both directions: begin at the one that holds the end
  let low = 0
  let high = open.length
  while (low < high) {
    const mid = (low + high) >> 1
    if (open[mid]!.from < end) low = mid + 1
    else high = mid
  }
  for (let w = low - 1; w >= 0; w--) {
    const e = Math.min(end, open[w]!.to)
    if (e - open[w]!.from >= minutes) return e
  }
  return Number.NEGATIVE_INFINITY
}
