import { describe, expect, it } from 'vitest'
import { seeded } from '../random.ts'
import { search } from './anneal.ts'
import { arrangementFaults } from './check.ts'
import { greedy, inOrder, lendTips, onePerPair } from './greedy.ts'
import { instance } from './instances.ts'
import type { BagProblem, Job } from './problem.ts'
import { simulate } from './simulate.ts'

/** An order whose every possible bag costs something of its own, so that no two ways of joining save the same. */
function uneven(seed: number, more: Partial<BagProblem> = {}): BagProblem {
  const random = seeded(seed)
  const pick = (n: number) => Math.floor(random() * n)
  const tips = Array.from({ length: 6 }, (_, t) => ({
    copies: 9,
    fit: t < 3 ? ('standard' as const) : t < 5 ? ('large' as const) : ('none' as const),
    once: false,
  }))
  const pairs = Array.from({ length: 11 }, () => ({ load: pick(3), tip: pick(6) })).filter(
    (p, i, all) => all.findIndex((o) => o.load === p.load && o.tip === p.tip) === i,
  )
  const jobs = pairs.flatMap((_, p): Job[] => [
    { pairs: [p], repeats: 1, after: [] },
    { pairs: [p, pick(pairs.length)].slice(0, 1 + pick(2)), repeats: 1 + pick(3), after: [] },
  ])
  const price = new Map<string, number>()
  return {
    pairs,
    loads: [{ fixed: false }, { fixed: false }, { fixed: seed % 3 === 0 }],
    tips,
    jobs,
    couplers: { standard: 1 + pick(3), large: pick(3) },
    mostBags: 30,
    changeMinutes: 0.7,
    washMinutes: 1,
    alone: seed % 4 === 0 ? [pick(pairs.length)] : [],
    apart: seed % 5 === 0 ? [[0, 1]] : [],
    bagMinutes: (of, coupler) => {
      const key = `${coupler} ${[...of].sort((a, b) => a - b).join()}`
      if (!price.has(key)) price.set(key, 3 + (coupler ? 0.8 : 0) + random() * 2)
      return price.get(key)!
    },
    ...more,
  }
}

/** Changes on one bag, counted mount by mount with every repeat written out. */
function changesWrittenOut(problem: BagProblem, own: readonly number[]): number {
  const mounts = inOrder(problem)
    .flatMap((j) => Array.from({ length: problem.jobs[j]!.repeats }, () => problem.jobs[j]!.pairs).flat())
    .filter((p) => own.includes(p))
    .map((p) => problem.pairs[p]!.tip)
  return mounts.filter((tip, i) => i > 0 && tip !== mounts[i - 1]).length
}

/** The joining said in one sentence, done without remembering anything: try every two, take the best, begin again. */
function joinedByTrying(problem: BagProblem): number[][] {
  const cost = (of: readonly number[]) =>
    problem.bagMinutes(of, of.length > 1) + changesWrittenOut(problem, of) * problem.changeMinutes
  const fitted = (of: readonly number[]) => problem.tips[problem.pairs[of[0]!]!.tip]!.fit
  let bags = problem.pairs.map((_, p) => [p])
  for (;;) {
    let best: { saved: number; bags: number[][] } = { saved: 1e-9, bags: [] }
    for (const a of bags)
      for (const b of bags) {
        if (a[0]! >= b[0]!) continue
        const both = [...a, ...b]
        const loads = new Set(both.map((p) => problem.pairs[p]!.load))
        const fits = new Set(both.map((p) => problem.tips[problem.pairs[p]!.tip]!.fit))
        if (loads.size > 1 || fits.size > 1 || fitted(a) === 'none') continue
        if ([...loads].some((l) => problem.loads[l]!.fixed)) continue
        if (both.some((p) => problem.alone.includes(p))) continue
        if (problem.apart.some(([x, y]) => both.includes(x) && both.includes(y))) continue
        const next = [...bags.filter((o) => o !== a && o !== b), both]
        const coupled = next.filter((o) => o.length > 1 && fitted(o) === fitted(a)).length
        if (coupled > problem.couplers[fitted(a) as 'standard' | 'large']) continue
        const saved = cost(a) + cost(b) - cost(both)
        if (saved > best.saved) best = { saved, bags: next }
      }
    if (best.bags.length === 0) return bags
    bags = best.bags
  }
}

const sorted = (bags: readonly (readonly number[])[]) => bags.map((b) => [...b].sort((x, y) => x - y)).sort()

describe('the first plan', () => {
  it('joins the two bags that save most, again and again, as trying every two does', () => {
    let joined = 0
    for (let seed = 1; seed <= 60; seed++) {
      const problem = uneven(seed)
      const bags = greedy(problem).groups
      expect(sorted(bags.map((g) => g.pairs)), `seed ${seed}`).toEqual(sorted(joinedByTrying(problem)))
      for (const g of bags) expect(g.coupler).toBe(g.pairs.length > 1)
      joined += bags.filter((g) => g.pairs.length > 1).length
    }
    expect(joined).toBeGreaterThan(60)
  })

  it('leaves two bags apart where joining saves nothing at all', () => {
    const same = uneven(2, { bagMinutes: (of) => 2 * of.length, changeMinutes: 0 })
    expect(greedy(same).groups).toEqual(onePerPair(same))
  })

  it('does work in the order of the list, each as soon as what it waits for is done', () => {
    const jobs = [[2], [], [3], [], [0, 1]].map((after): Job => ({ pairs: [0], repeats: 1, after }))
    expect(inOrder(uneven(1, { jobs }))).toEqual([1, 3, 2, 0, 4])
    expect(() => inOrder(uneven(1, { jobs: jobs.with(3, { ...jobs[3]!, after: [0] }) }))).toThrow(/circle/)
  })
})

/** One tip for two colours without couplers enough: white, pink, white again. */
const backAndForth = (couplers: number): BagProblem => ({
  pairs: [
    { load: 0, tip: 0 },
    { load: 1, tip: 0 },
  ],
  loads: [{ fixed: false }, { fixed: false }],
  tips: [{ copies: 1, fit: 'standard', once: false }],
  jobs: [0, 1, 0, 1].map((p): Job => ({ pairs: [p], repeats: 1, after: [] })),
  couplers: { standard: couplers, large: 0 },
  mostBags: 5,
  changeMinutes: 0.7,
  washMinutes: 1,
  bagMinutes: (_, coupler) => (coupler ? 5 : 4),
  alone: [],
  apart: [],
})

describe('a tip that two bags want', () => {
  it('goes from one to the other once, all of one colour first, where there is no coupler to lend it by', () => {
    const problem = backAndForth(0)
    const plan = greedy(problem)
    expect(simulate(problem, plan)).toMatchObject({ missing: 0, washes: 1, minutes: 9 })
    expect(arrangementFaults(problem, plan)).toEqual([])
  })

  it('is lent by as few couplers as that takes, and by no more than there are', () => {
    const first = (couplers: number) => {
      const problem = backAndForth(couplers)
      return lendTips(problem, { groups: onePerPair(problem), sequence: [0, 1, 2, 3] })
    }
    const coupled = (couplers: number) => first(couplers).groups.map((g) => g.coupler)
    expect(coupled(0)).toEqual([false, false])
    // white gives its tip up between its two turns; pink is done with it only at the end
    expect(coupled(2)).toEqual([true, true])
    expect(simulate(backAndForth(2), first(2))).toMatchObject({ missing: 0, washes: 3 })
  })

  it('is lent wherever one more coupler would help: none that is left over makes it cheaper', () => {
    let lent = 0
    for (let seed = 1; seed <= 60; seed++) {
      const whole = instance(seed, 7)
      const problem = {
        ...whole,
        tips: whole.tips.map((t) => ({ ...t, copies: 1 })),
        couplers: { standard: 6, large: 4 },
      }
      const start = { groups: onePerPair(problem), sequence: inOrder(problem) }
      const plan = lendTips(problem, start)
      const { minutes, missing } = simulate(problem, plan)
      lent += plan.groups.filter((g) => g.coupler).length
      expect(minutes).toBeLessThanOrEqual(simulate(problem, start).minutes)
      if (simulate(problem, start).missing === 0) expect(plan).toEqual(start)
      if (missing === 0) continue
      plan.groups.forEach((group, g) => {
        if (problem.loads[problem.pairs[group.pairs[0]!]!.load]!.fixed || group.coupler) return
        const groups = plan.groups.with(g, { ...group, coupler: true })
        expect(simulate(problem, { ...plan, groups }).minutes).toBeGreaterThanOrEqual(minutes - 1e-9)
      })
    }
    expect(lent).toBeGreaterThan(20)
  })
})

describe('a search that is stopped', () => {
  it('says how far it is, never loses what it had, and has a whole plan at every report', () => {
    const problem = instance(3, 8)
    const reports = [...search(problem, 1, 1500)]
    expect(reports.map((r) => r.done)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => n / 9))
    reports.forEach((report, i) => {
      expect(report.minutes).toBeLessThanOrEqual(reports[i - 1]?.minutes ?? Number.POSITIVE_INFINITY)
      expect(simulate(problem, report.best).minutes).toBeCloseTo(report.minutes, 9)
    })
  })

  it('comes out the same for the same seed', () => {
    const last = (seed: number) => [...search(instance(11, 8), seed, 1000)].at(-1)
    expect(last(4)).toEqual(last(4))
  })
})
