import type { Problem } from './problem.ts'

/** What is known to stand in the stores while tasks are placed backwards: at least as long as it takes to become ready. */
export class Shelves {
  readonly #problem: Problem
  readonly #fetched: number[][]
  readonly #brought: number[][]
  readonly #from: number[]
  readonly #to: number[]

  constructor(problem: Problem) {
    this.#problem = problem
    const { keeps, tasks } = problem
    this.#fetched = tasks.map(() => [])
    this.#brought = tasks.map(() => [])
    keeps.forEach(({ from, until, store, units }, k) => {
      // what does not fit into an empty store is not looked for a place: it is told of
      if (!('task' in until) || units > problem.stores[store]!) return
      this.#fetched[until.task]!.push(k)
      for (const i of from) this.#brought[i]!.push(k)
    })
    this.#from = keeps.map(() => 0)
    this.#to = keeps.map(() => Number.NEGATIVE_INFINITY)
  }

  /** The latest start, no later than `start`, at which there is room for all that a task fetches. */
  latest(task: number, start: number): number {
    let at = start
    for (const k of this.#fetched[task]!) {
      const { store, units } = this.#problem.keeps[k]!
      const lag = this.#lag(k)
      for (;;) {
        const later = this.#over(store, at - lag, at, this.#problem.stores[store]! - units)
        if (later === null) break
        at = later
      }
    }
    return at
  }

  /** A task has its place: what it fetches stands there before it, what it brings from its end on. */
  put(task: number, start: number, end: number): void {
    for (const k of this.#fetched[task]!) {
      this.#to[k] = start
      this.#from[k] = start - this.#lag(k)
    }
    for (const k of this.#brought[task]!) this.#from[k] = Math.min(this.#from[k]!, end)
  }

  #lag(k: number): number {
    const { from, until } = this.#problem.keeps[k]!
    let least = 0
    for (const i of from)
      for (const { task, lag } of this.#problem.tasks[i]!.next)
        if ('task' in until && task === until.task) least = Math.max(least, lag)
    return least
  }

  /** Null where a store never holds more than so much between two moments; else the start of something that stands there then. */
  #over(store: number, from: number, to: number, most: number): number | null {
    const { keeps } = this.#problem
    let latest: number | null = null
    for (let k = 0; k < keeps.length; k++) {
      if (keeps[k]!.store !== store || this.#from[k]! >= to || this.#to[k]! <= from) continue
      // how full it is where this one begins, or where the stretch does
      const at = Math.max(from, this.#from[k]!)
      let full = 0
      for (let o = 0; o < keeps.length; o++)
        if (keeps[o]!.store === store && this.#from[o]! <= at && this.#to[o]! > at) full += keeps[o]!.units
      if (full > most + 1e-9)
        latest = Math.max(latest ?? Number.NEGATIVE_INFINITY, Math.min(to - 1, this.#from[k]!))
    }
    return latest
  }
}
