import { describe, expect, it } from 'vitest'
import { seeded } from '../random.ts'
import { greedy, inOrder, onePerPair } from './greedy.ts'
import { instance } from './instances.ts'
import { move } from './moves.ts'
import { type Arrangement, type BagProblem, mayShare } from './problem.ts'
import { simulate } from './simulate.ts'

/**
 * Every single flower of an arrangement worked through, written from the rules alone and with one copy of each tip: a
 * tip lies clean, or in a bag; a bag's first mount is free, and every other is a change; a tip that lies in another bag is
 * washed over if that bag has a coupler or is done with, and missing otherwise.
 */
function byHand(problem: BagProblem, { groups, sequence }: Arrangement) {
  const steps = sequence.flatMap((j) =>
    Array.from({ length: problem.jobs[j]!.repeats }, () => ({ j, pairs: problem.jobs[j]!.pairs })),
  )
  const bagOf = (pair: number) => groups.findIndex((g) => g.pairs.includes(pair))
  const lies = new Map<number, number>()
  const mounted = new Map<number, number>()
  const begun = new Set<number>()
  let [changes, washes, missing] = [0, 0, 0]
  steps.forEach(({ pairs, j }, at) => {
    // a bag is still wanted while a later job, or this one, takes it up again
    const wantedAgain = (bag: number) =>
      steps.slice(at).some((s) => s.pairs.some((p) => bagOf(p) === bag)) ||
      problem.jobs[j]!.pairs.some((p) => bagOf(p) === bag)
    for (const pair of pairs) {
      const bag = bagOf(pair)
      const { tip } = problem.pairs[pair]!
      const holder = lies.get(tip)
      if (holder === undefined) lies.set(tip, bag)
      else if (holder !== bag) {
        if (groups[holder]!.coupler || !wantedAgain(holder)) {
          washes += 1
          if (mounted.get(holder) === tip) mounted.delete(holder)
          lies.set(tip, bag)
        } else missing += 1
      }
      if (mounted.get(bag) === tip) continue
      if (begun.has(bag)) changes += 1
      begun.add(bag)
      mounted.set(bag, tip)
    }
  })
  return { changes, washes, missing }
}

const single = (seed: number): BagProblem => {
  const problem = instance(seed, 3 + (seed % 6))
  return { ...problem, tips: problem.tips.map((t) => ({ ...t, copies: 1 })) }
}

describe('changes and washes', () => {
  it('are those of every flower worked through by itself, for plans good and bad', () => {
    const random = seeded(11)
    let compared = 0
    for (let seed = 1; seed <= 60; seed++) {
      const problem = single(seed)
      let now: Arrangement = { groups: onePerPair(problem), sequence: inOrder(problem) }
      for (const plan of [greedy(problem), now]) expect(counted(problem, plan)).toEqual(byHand(problem, plan))
      for (let step = 0; step < 25; step++) {
        now = move(problem, now, random) ?? now
        expect(counted(problem, now), `seed ${seed}, step ${step}`).toEqual(byHand(problem, now))
        compared += 1
      }
    }
    expect(compared).toBe(1500)
  })

  it('cost what the bakery says, on top of what filling costs', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const problem = single(seed)
      const plan = greedy(problem)
      const { minutes, changes, washes, missing, perGroup } = simulate(problem, plan)
      if (missing > 0) continue
      const filling = plan.groups.reduce((sum, g) => sum + problem.bagMinutes(g.pairs, g.coupler), 0)
      expect(minutes).toBeCloseTo(filling + 0.7 * changes + washes, 9)
      expect(perGroup.reduce((sum, g) => sum + g.changes, 0)).toBe(changes)
      expect(perGroup.reduce((sum, g) => sum + g.washes, 0)).toBe(washes)
    }
  })
})

describe('what may share a bag', () => {
  const problem: BagProblem = {
    ...single(1),
    loads: [{ fixed: false }, { fixed: true }],
    tips: [
      { copies: 1, fit: 'standard', once: false },
      { copies: 1, fit: 'standard', once: false },
      { copies: 1, fit: 'large', once: false },
      { copies: 1, fit: 'none', once: false },
    ],
    pairs: [
      { load: 0, tip: 0 },
      { load: 0, tip: 1 },
      { load: 0, tip: 2 },
      { load: 0, tip: 3 },
      { load: 1, tip: 0 },
      { load: 1, tip: 1 },
    ],
    alone: [],
    apart: [],
  }
  it('is one load, through tips of one fit, whose stripe need not stay', () => {
    expect(mayShare(problem, [0, 1])).toBe(true)
    expect(mayShare(problem, [0, 2])).toBe(false)
    expect(mayShare(problem, [0, 3])).toBe(false)
    expect(mayShare(problem, [0, 5])).toBe(false)
    expect(mayShare(problem, [4, 5])).toBe(false)
    for (let p = 0; p < 6; p++) expect(mayShare(problem, [p])).toBe(true)
  })
  it('heeds what somebody wants alone or apart', () => {
    expect(mayShare({ ...problem, alone: [1] }, [0, 1])).toBe(false)
    expect(mayShare({ ...problem, apart: [[1, 0]] }, [0, 1])).toBe(false)
    expect(mayShare({ ...problem, apart: [[1, 2]] }, [0, 1])).toBe(true)
  })
})

function counted(problem: BagProblem, plan: Arrangement) {
  const { changes, washes, missing } = simulate(problem, plan)
  return { changes, washes, missing }
}
