import { describe, expect, it } from 'vitest'
import { seeded } from '../random.ts'
import { anneal } from './anneal.ts'
import { arrangementFaults } from './check.ts'
import { allGroupings, leastCost } from './exact.ts'
import { greedy, inOrder, lendTips, onePerPair } from './greedy.ts'
import { instance } from './instances.ts'
import { join, move } from './moves.ts'
import type { Arrangement, BagProblem } from './problem.ts'
import { overStock, simulate } from './simulate.ts'

/** Arrangements met on a walk of small changes from a bag for every tip: good ones and bad ones. */
function* walk(problem: BagProblem, seed: number, steps: number): Generator<Arrangement> {
  const random = seeded(seed)
  let now: Arrangement = { groups: onePerPair(problem), sequence: inOrder(problem) }
  yield now
  for (let i = 0; i < steps; i++) {
    now = move(problem, now, random) ?? now
    yield now
  }
}

describe('small changes', () => {
  it('keep every load on one bag, every job in a place that it may have, and every bag of one load', () => {
    for (let seed = 1; seed <= 25; seed++) {
      const problem = instance(seed, 7)
      for (const { groups, sequence } of walk(problem, seed, 80)) {
        expect(groups.flatMap((g) => g.pairs).sort((a, b) => a - b)).toEqual(problem.pairs.map((_, p) => p))
        expect([...sequence].sort((a, b) => a - b)).toEqual(problem.jobs.map((_, j) => j))
        sequence.forEach((j, at) => {
          for (const before of problem.jobs[j]!.after) expect(sequence.indexOf(before)).toBeLessThan(at)
        })
        for (const { pairs, coupler } of groups) {
          expect(new Set(pairs.map((p) => problem.pairs[p]!.load)).size).toBe(1)
          if (new Set(pairs.map((p) => problem.pairs[p]!.tip)).size > 1) expect(coupler).toBe(true)
        }
      }
    }
  })

  it('joined bags go on a coupler, with all that either held', () => {
    const groups = [
      { pairs: [3], coupler: false },
      { pairs: [0, 2], coupler: true },
      { pairs: [1], coupler: false },
    ]
    expect(join(groups, 0, 2)).toEqual([
      { pairs: [0, 2], coupler: true },
      { pairs: [1, 3], coupler: true },
    ])
  })
})

describe('what any plan costs at the least', () => {
  it('is never more than what it costs, whatever the plan', () => {
    let tight = 0
    for (let seed = 1; seed <= 40; seed++) {
      const problem = instance(seed, 6)
      for (const plan of walk(problem, seed, 40)) {
        const { minutes, missing } = simulate(problem, plan)
        const least = leastCost(problem, plan.groups)
        expect(least).toBeLessThanOrEqual(minutes + 1e-9)
        if (missing === 0 && minutes - least < 1e-9) tight += 1
      }
    }
    // a bound that is never reached would prove nothing
    expect(tight).toBeGreaterThan(100)
  })

  it('is listed for every way to group what may share: five for three tips of one load, one where a stripe is fixed', () => {
    const problem: BagProblem = {
      pairs: [0, 1, 2].map((tip) => ({ load: 0, tip })),
      loads: [{ fixed: false }],
      tips: [0, 1, 2].map(() => ({ copies: 1, fit: 'standard' as const, once: false })),
      jobs: [{ pairs: [0, 1, 2], repeats: 1, after: [] }],
      couplers: { standard: 5, large: 0 },
      mostBags: 9,
      changeMinutes: 1,
      washMinutes: 1,
      bagMinutes: () => 3,
      alone: [],
      apart: [],
    }
    const count = (change: Partial<BagProblem>) =>
      allGroupings({ ...problem, ...change }, Number.POSITIVE_INFINITY)!.length
    expect(count({})).toBe(5)
    expect(count({ loads: [{ fixed: true }] })).toBe(1)
    // {0}{12}, {01}{2}, {0}{1}{2}: the two that must stay apart are never together
    expect(count({ apart: [[0, 2]] })).toBe(3)
    expect(count({ alone: [1] })).toBe(2)
    // without couplers nothing shares
    expect(count({ couplers: { standard: 0, large: 0 } })).toBe(1)
    // only what costs less than the limit: one bag of three minutes
    expect(allGroupings(problem, 4)!.length).toBe(1)
  })
})

describe('the checker of arrangements', () => {
  it('agrees with the work worked through: no tip missing and nothing over, and only then no fault', () => {
    let [sound, faulty] = [0, 0]
    for (let seed = 1; seed <= 60; seed++) {
      const whole = instance(seed, 6)
      const problem = { ...whole, tips: whole.tips.map((t) => ({ ...t, copies: 1 })) }
      for (const plan of walk(problem, seed, 30)) {
        const { missing } = simulate(problem, plan)
        const faults = arrangementFaults(problem, plan)
        const fine = missing === 0 && overStock(problem, plan.groups) === 0
        if (fine) sound += 1
        else faulty += 1
        expect(faults.length === 0, `seed ${seed}: ${faults.join(' ')}, ${missing} missing`).toBe(fine)
      }
    }
    expect(Math.min(sound, faulty)).toBeGreaterThan(150)
  })

  it('sees a tip that two bags hold at the same time', () => {
    const problem: BagProblem = {
      pairs: [
        { load: 0, tip: 0 },
        { load: 1, tip: 0 },
      ],
      loads: [{ fixed: false }, { fixed: false }],
      tips: [{ copies: 1, fit: 'standard', once: false }],
      jobs: [
        { pairs: [0], repeats: 1, after: [] },
        { pairs: [1], repeats: 1, after: [] },
        { pairs: [0], repeats: 1, after: [1] },
      ],
      couplers: { standard: 2, large: 0 },
      mostBags: 5,
      changeMinutes: 1,
      washMinutes: 1,
      bagMinutes: () => 3,
      alone: [],
      apart: [],
    }
    const fixed = {
      groups: [
        { pairs: [0], coupler: false },
        { pairs: [1], coupler: false },
      ],
      sequence: [0, 1, 2],
    }
    expect(arrangementFaults(problem, fixed)).toEqual(['At step 2, 2 bags hold tip 1 and there are 1.'])
    expect(arrangementFaults(problem, lendTips(problem, fixed))).toEqual([])
    const two = { ...problem, tips: [{ copies: 2, fit: 'standard' as const, once: false }] }
    expect(arrangementFaults(two, fixed)).toEqual([])
  })
})

describe('searching', () => {
  it('never ends dearer than it began, and never with a tip missing that need not be', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const problem = instance(seed, 7)
      const [start, { best, minutes }] = [greedy(problem), anneal(problem, seed, 400)]
      expect(minutes).toBeLessThanOrEqual(simulate(problem, start).minutes + 1e-9)
      expect(simulate(problem, best).minutes).toBeCloseTo(minutes, 9)
      if (simulate(problem, start).missing === 0) expect(simulate(problem, best).missing).toBe(0)
    }
  })
})
