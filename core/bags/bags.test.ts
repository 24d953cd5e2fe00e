import { describe, expect, it } from 'vitest'
import { anneal, search } from './anneal.ts'
import { arrangementFaults } from './check.ts'
import { exact, leastCost } from './exact.ts'
import { greedy, inOrder, onePerPair } from './greedy.ts'
import { instance } from './instances.ts'
import type { BagProblem, Group, Job } from './problem.ts'
import { simulate } from './simulate.ts'

/** Two tips on one load, worked by hand. */
const two = (jobs: Job[], more: Partial<BagProblem> = {}): BagProblem => ({
  pairs: [
    { load: 0, tip: 0 },
    { load: 0, tip: 1 },
  ],
  loads: [{ fixed: false }],
  tips: [
    { copies: 1, fit: 'standard', once: false },
    { copies: 1, fit: 'standard', once: false },
  ],
  jobs,
  couplers: { standard: 2, large: 1 },
  mostBags: 10,
  changeMinutes: 0.7,
  washMinutes: 1,
  bagMinutes: (_, coupler) => (coupler ? 5 : 4),
  alone: [],
  apart: [],
  ...more,
})
const stage = (pair: number, after: number[] = []): Job => ({ pairs: [pair], repeats: 1, after })
const nail = (pairs: number[], repeats: number): Job => ({ pairs, repeats, after: [] })
const shared = [{ pairs: [0, 1], coupler: true }]

describe('working an arrangement through', () => {
  it('changes within every flower on a nail: ten out, nine back', () => {
    expect(simulate(two([nail([0, 1], 10)]), { groups: shared, sequence: [0] })).toMatchObject({
      changes: 19,
      washes: 0,
      minutes: 5 + 19 * 0.7,
    })
  })
  it('changes once over a tray in place, and not at all with a bag for each tip', () => {
    const problem = two([stage(0), stage(1, [0])])
    expect(simulate(problem, { groups: shared, sequence: [0, 1] }).changes).toBe(1)
    expect(simulate(problem, { groups: onePerPair(problem), sequence: [0, 1] })).toMatchObject({
      changes: 0,
      minutes: 8,
    })
  })

  // one tip, two colours: the first bag is done before the second begins, so the tip is washed once
  const oneTip = (jobs: Job[]) =>
    two(jobs, {
      pairs: [
        { load: 0, tip: 0 },
        { load: 1, tip: 0 },
      ],
      loads: [{ fixed: false }, { fixed: false }],
      tips: [{ copies: 1, fit: 'standard', once: false }],
    })
  it('washes a tip for another colour once the first bag is done with', () => {
    const problem = oneTip([stage(0), stage(1)])
    expect(simulate(problem, { groups: onePerPair(problem), sequence: [0, 1] })).toMatchObject({
      washes: 1,
      missing: 0,
    })
  })
  it('misses a tip that is fixed in a bag not done with, and lends it from a coupler', () => {
    const problem = oneTip([stage(0), stage(1, [0]), stage(0, [1])])
    const fixed = onePerPair(problem)
    expect(simulate(problem, { groups: fixed, sequence: [0, 1, 2] }).missing).toBe(1)
    const lent = [fixed[1]!, { pairs: [0], coupler: true }]
    expect(simulate(problem, { groups: lent, sequence: [0, 1, 2] })).toMatchObject({
      missing: 0,
      washes: 2,
      changes: 1,
    })
    expect(simulate(problem, greedy(problem)).missing).toBe(0)
  })
  it('washes a tip twice for every flower on a nail that wants it in two colours, and the proof counts the same', () => {
    // the first flower finds it clean: one wash; four more take it back and give it again
    const problem = oneTip([nail([0, 1], 5)])
    const lent = [0, 1].map((p) => ({ pairs: [p], coupler: true }))
    const { minutes } = simulate(problem, { groups: lent, sequence: [0] })
    expect(minutes).toBeCloseTo(2 * 5 + 9 * 1 + 8 * 0.7, 9)
    expect(exact(problem, minutes + 0.01)).toMatchObject({ minutes: expect.closeTo(minutes, 9) })
  })
  it('keeps a tip that is wanted once from being washed', () => {
    const problem = oneTip([stage(0), stage(1)])
    const once = { ...problem, tips: [{ ...problem.tips[0]!, once: true }] }
    expect(simulate(once, { groups: onePerPair(once), sequence: [0, 1] }).missing).toBe(1)
  })
})

describe('what bags cost at the least, by hand', () => {
  const problem = two([nail([0, 1], 10), stage(0)])
  it('one bag for both tips: filled, ten changes out and nine back', () => {
    expect(leastCost(problem, shared)).toBeCloseTo(5 + 19 * 0.7, 9)
  })
  it('one bag over a tray: one change for its second tip', () => {
    expect(leastCost(two([stage(0), stage(1)]), shared)).toBeCloseTo(5 + 0.7, 9)
  })
  it('a bag each: filled, and nothing else', () => {
    expect(leastCost(problem, onePerPair(problem))).toBeCloseTo(8, 9)
  })
  it('a tip that two bags want is washed once for every bag beyond its copies', () => {
    const colours = [0, 1, 2].map((load) => ({ load, tip: 0 }))
    const wanted = (copies: number) =>
      two(
        [0, 1, 2].map((p) => stage(p)),
        {
          pairs: colours,
          loads: colours.map(() => ({ fixed: false })),
          tips: [{ copies, fit: 'standard', once: false }],
        },
      )
    const cost = (copies: number) => leastCost(wanted(copies), onePerPair(wanted(copies)))
    expect([cost(1), cost(2), cost(3)]).toEqual([12 + 2, 12 + 1, 12])
  })
})

describe('the search, on 50 seeded orders of five to ten jobs', () => {
  const solved = Array.from({ length: 50 }, (_, seed) => {
    const problem = instance(seed, 5 + (seed % 6))
    return { problem, ...anneal(problem, 1, 2500) }
  })
  it('finds nothing dearer than what is proved to be best', () => {
    for (const { problem, minutes } of solved) expect(exact(problem, minutes)).toBeNull()
  })
  it('is proved by a proof that finds what is cheaper', () => {
    const { problem, minutes } = solved[3]!
    const found = exact(problem, minutes + 5)
    expect(found !== 'too-large' && found?.minutes).toBeCloseTo(minutes, 6)
  })
  it('keeps every rule, by a checker of its own', () => {
    for (const { problem, best } of solved) {
      expect(arrangementFaults(problem, best)).toEqual([])
      expect(simulate(problem, best).missing).toBe(0)
    }
  })
  it('is the same for the same seed, and can be stopped with what it has', () => {
    const problem = instance(7, 9)
    expect(anneal(problem, 4, 1000).best).toEqual(anneal(problem, 4, 1000).best)
    const first = search(problem).next().value
    expect(arrangementFaults(problem, first.best)).toEqual([])
    expect(first.done).toBeLessThan(0.1)
  })
})

describe('the checker', () => {
  const problem = instance(11, 8)
  const { best } = anneal(problem, 1, 1000)
  const faults = (part: object) => arrangementFaults(problem, { ...best, ...part }).join(' ')
  it('sees bags that hold too much, jobs out of order, and what is left out', () => {
    const loads = new Set(problem.pairs.map((p) => p.load))
    expect(loads.size).toBeGreaterThan(1)
    const everything = [{ pairs: problem.pairs.map((_, p) => p), coupler: false }]
    expect(faults({ groups: everything })).toMatch(/may not share.*without a coupler/)
    expect(faults({ groups: best.groups.slice(1) })).toContain('on no bag')
    expect(faults({ sequence: inOrder(problem).reverse() })).toContain('is done before')
    expect(faults({ sequence: best.sequence.slice(1) })).toContain('left out')
  })
  it('names bags, jobs and tips as a person counts them', () => {
    const after = two([stage(0), stage(1, [0])])
    const told = (groups: Group[], sequence = [0, 1]) => arrangementFaults(after, { groups, sequence })
    const [first, second] = onePerPair(after) as [Group, Group]
    expect(told([first, second], [1, 0])).toEqual(['Job 2 is done before job 1.'])
    expect(told([first, { ...second, pairs: [1] }, { pairs: [0, 1], coupler: false }])[1]).toBe(
      'Bag 3 changes tips without a coupler.',
    )
    const striped = two([stage(0), stage(1)], { loads: [{ fixed: true }] })
    expect(
      arrangementFaults(striped, { groups: [first, { ...second, coupler: true }], sequence: [0, 1] }),
    ).toEqual(['Bag 2 is striped and its tip must stay fixed.'])
    const cut = two([stage(0), stage(1)], {
      tips: [first, second].map(() => ({ copies: 1, fit: 'none', once: false })),
    })
    expect(
      arrangementFaults(cut, { groups: [{ ...first, coupler: true }, second], sequence: [0, 1] }),
    ).toContain('Bag 1 is cut and takes no coupler.')
  })
})

describe('pins', () => {
  const problem = two([stage(0), stage(1, [0])], { bagMinutes: (_, coupler) => (coupler ? 4.1 : 4) })
  it('of a bag by itself and of two apart are kept, where sharing would be cheaper', () => {
    expect(anneal(problem, 1, 200).best.groups).toHaveLength(1)
    expect(anneal({ ...problem, alone: [1] }, 1, 200).best.groups).toHaveLength(2)
    expect(anneal({ ...problem, apart: [[0, 1]] }, 1, 200).best.groups).toHaveLength(2)
  })
})
