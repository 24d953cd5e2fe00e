import { Lane } from './lane.ts'
import type { Problem } from './problem.ts'

/** One pair of hands: what it does, and how long it has been at what tires it. */
export class HandLane {
  readonly #lane = new Lane()
  readonly #tiring = new Lane()

  constructor(
    readonly pipes: boolean,
    readonly rest: Problem['rest'],
  ) {}

  take(from: number, to: number, tiring: boolean): void {
    this.#lane.take(from, to)
    if (tiring) this.#tiring.take(from, to)
  }

  /** The latest end at which it is free for so long, and rested where the task tires. */
  latest(end: number, minutes: number, tiring: boolean): number {
    let e = end
    for (;;) {
      e = this.#lane.latest(e, minutes)
      if (!tiring) return e
      const sooner = this.#rested(e, minutes)
      if (sooner === e) return e
      e = sooner
    }
  }

  /** The same end where the run of tiring work that it would join is not too long, else an earlier one to try. */
  #rested(end: number, minutes: number): number {
    const { from, to } = this.#tiring
    const { after, minutes: rest } = this.rest
    // the last of those that begin later; those before it are later still
    const next = this.#tiring.before(end) - 1
    let run = minutes
    let edge = end
    for (let i = next; i >= 0 && from[i]! - edge < rest; i--) {
      run += to[i]! - from[i]!
      edge = to[i]!
    }
    const later = run > minutes
    edge = end - minutes
    let before = false
    for (let i = next + 1; i < from.length && edge - to[i]! < rest; i++) {
      run += to[i]! - from[i]!
      edge = from[i]!
      before = true
    }
    if (run <= after) return end
    // one that is too long by itself rests before and after
    if (!later && !before) return end
    return later ? Math.min(end - 1, from[next]! - rest) : from[next + 1]!
  }
}
