import { seeded } from '../random.ts'
import { greedy } from './greedy.ts'
import { move } from './moves.ts'
import type { Arrangement, BagProblem } from './problem.ts'
import { simulate } from './simulate.ts'

/** How the search stands. */
export interface Progress {
  best: Arrangement
  minutes: number
  /** Share of the steps that are done, 0 to 1. */
  done: number
}

const RUNS = 3
const STEPS = 6000
/** Report and breathe after so many steps. */
const REPORT = 500
const HOT = 3
const COLD = 0.02

/**
 * Simulated annealing over bags and order of work at once, from the greedy plan and cooled three times: tips move
 * between bags, bags join and part, couplers come and go, jobs swap places. Seeded, so the same order gives the same
 * plan. A generator: whoever runs it may stop it at any report and keep the best so far.
 */
export function* search(problem: BagProblem, seed = 1, steps = STEPS): Generator<Progress, Progress> {
  const random = seeded(seed)
  const start = greedy(problem)
  let best = start
  let least = simulate(problem, start).minutes
  for (let run = 0; run < RUNS; run++) {
    let now = best
    let minutes = least
    for (let step = 0; step < steps; step++) {
      const heat = HOT * (COLD / HOT) ** (step / steps)
      const next = move(problem, now, random)
      if (next) {
        const cost = simulate(problem, next).minutes
        if (cost <= minutes || random() < Math.exp((minutes - cost) / heat)) {
          now = next
          minutes = cost
          if (cost < least - 1e-9) {
            best = next
            least = cost
          }
        }
      }
      if (step % REPORT === REPORT - 1)
        yield { best, minutes: least, done: (run * steps + step + 1) / (RUNS * steps) }
    }
  }
  return { best, minutes: least, done: 1 }
}

/** The best arrangement of a whole search. */
export function anneal(problem: BagProblem, seed = 1, steps = STEPS): Progress {
  const running = search(problem, seed, steps)
  for (;;) {
    const { value, done } = running.next()
    if (done) return value
  }
}
