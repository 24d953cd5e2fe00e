/**
 * A timetable problem in minutes on one local clock, without any word of the bakery. Tasks are worked on by hands during open
 * hours; what stands and waits between them costs nobody's time.
 */
export interface Task {
  /** Minutes of hands; whole, at least 1. */
  minutes: number
  /** Whether the hands must be able to pipe. */
  pipes: boolean
  /** Whether it tires a hand: so much in a row, then a rest. */
  tiring: boolean
  /** One unit of each of these is held while it runs, and so many minutes after it. */
  holds: readonly { resource: number; extra: number }[]
  /** What comes after it, no sooner than so many minutes after its end. */
  next: readonly { task: number; lag: number }[]
  /** Latest end. */
  due: number
  /** Start that a person has settled; null to let the search choose. */
  fixed: number | null
}

/** Something that stands in a store from the first end of some tasks until another begins, or until a moment. */
export interface Keep {
  store: number
  units: number
  from: readonly number[]
  until: { task: number } | { at: number }
}

/** A pair of hands. */
export interface Hand {
  pipes: boolean
}

export interface Window {
  from: number
  to: number
}

export interface Problem {
  tasks: readonly Task[]
  keeps: readonly Keep[]
  /** Units of each resource that tasks hold. */
  resources: readonly number[]
  /** Places in each store. */
  stores: readonly number[]
  hands: readonly Hand[]
  /** When hands work: not overlapping, the earliest first. */
  open: readonly Window[]
  /** So many tiring minutes in a row at the most, then so long a rest from them. */
  rest: { after: number; minutes: number }
  /** Groups of tasks whose spans are counted: an order each. */
  groups: readonly (readonly number[])[]
}

/** What a search has found: for each task its start and its hand. */
export interface Schedule {
  start: number[]
  hand: number[]
  /** Place-minutes for which stores are fuller than they can be. */
  overflow: number
  /** Minutes by which tasks begin before what settled starts allow. */
  broken: number
  /** Open minutes from the first task of each group to its last moment, summed. */
  span: number
  /** The lower the better: what is broken first, then the span, then what is done earlier than it need be. */
  cost: number
  /** Ranks that it was placed by, for a search that goes on from it; null where nobody searched. */
  ranks: Float64Array | null
}

/** Raised when tasks wait for each other in a circle. */
export class CircleError extends Error {
  /** @param tasks of the circle, in order. */
  constructor(readonly tasks: readonly number[]) {
    super('Tasks wait for each other in a circle.')
  }
}

/**
 * Tasks so that each stands before all that come after it.
 * @throws CircleError
 */
export function inOrder(tasks: readonly Pick<Task, 'next'>[]): number[] {
  const state = new Int8Array(tasks.length)
  const order: number[] = []
  for (let root = 0; root < tasks.length; root++) {
    // depth first without recursion: chains can be as long as there are tasks
    const path: { task: number; at: number }[] = state[root] === 0 ? [{ task: root, at: 0 }] : []
    if (path.length > 0) state[root] = 1
    while (path.length > 0) {
      const top = path[path.length - 1]!
      const edge = tasks[top.task]!.next[top.at++]
      if (!edge) {
        state[top.task] = 2
        order.push(top.task)
        path.pop()
      } else if (state[edge.task] === 1) {
        const circle = path.map((p) => p.task)
        throw new CircleError(circle.slice(circle.indexOf(edge.task)))
      } else if (state[edge.task] === 0) {
        state[edge.task] = 1
        path.push({ task: edge.task, at: 0 })
      }
    }
  }
  return order.reverse()
}

/** Open minutes between two moments. */
export function openMinutes(open: readonly Window[], from: number, to: number): number {
  let sum = 0
  for (const w of open) sum += Math.max(0, Math.min(to, w.to) - Math.max(from, w.from))
  return sum
}
