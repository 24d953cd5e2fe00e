import loadHighs from 'highs'
import { expect, it } from 'vitest'
import { anneal } from './anneal.ts'
import { allGroupings, leastCost } from './exact.ts'
import { instance } from './instances.ts'
import { type BagProblem, type Group, groupOfPairs } from './problem.ts'

/**
 * The same problem as a mixed-integer programme, solved by another program altogether: jobs at positions, tips held and
 * mounted at each of them. One programme for each way to group the tips.
 */
class Rows {
  private rows: string[] = []
  private names = new Set<string>()
  private terms: string[] = []
  cost(weight: number, name: string) {
    this.terms.push(`${weight} ${this.name(name)}`)
  }
  /** Σ weight · variable ≥ bound. */
  atLeast(parts: [number, string][], bound: number) {
    const sum = parts.map(([w, n]) => `${w < 0 ? '-' : '+'} ${Math.abs(w)} ${this.name(n)}`).join(' ')
    this.rows.push(`c${this.rows.length}: ${sum} >= ${bound}`)
  }
  equal(parts: [number, string][], value: number) {
    this.atLeast(parts, value)
    this.atLeast(
      parts.map(([w, n]) => [-w, n]),
      -value,
    )
  }
  name(n: string) {
    this.names.add(n)
    return n
  }
  text() {
    const binaries = [...this.names].filter((n) => !n.startsWith('w')).join('\n')
    return `Minimize\nobj: ${this.terms.join(' + ') || '0 x_0_0'}\nSubject To\n${this.rows.join('\n')}\nBinary\n${binaries}\nEnd\n`
  }
}

/** Minutes that an order of work adds to given bags at the least; infinity where there is none. */
function sequenceMinutes(
  solve: (text: string) => { Status: string; ObjectiveValue: number },
  problem: BagProblem,
  groups: readonly Group[],
): number {
  const rows = new Rows()
  const of = groupOfPairs(problem, groups)
  const n = problem.jobs.length
  const places = Array.from({ length: n }, (_, p) => p)
  const jobs = problem.jobs.map((job, j) => ({ ...job, j }))
  const x = (j: number, p: number) => `x_${j}_${p}`
  for (const { j, after } of jobs) {
    rows.equal(
      places.map((p) => [1, x(j, p)]),
      1,
    )
    rows.equal(
      jobs.map((k) => [1, x(k.j, j)]),
      1,
    )
    for (const a of after)
      rows.atLeast(
        [
          ...places.map((p): [number, string] => [p, x(j, p)]),
          ...places.map((p): [number, string] => [-p, x(a, p)]),
        ],
        1,
      )
  }
  let within = 0
  const uses = (g: number, t: number) =>
    jobs.filter((job) => job.pairs.some((p) => of[p] === g && problem.pairs[p]!.tip === t))
  problem.tips.forEach((tip, t) => {
    const wanting = groups.flatMap((_, g) => (uses(g, t).length > 0 ? [g] : []))
    for (const g of wanting)
      for (const p of places) {
        const h = `h_${g}_${t}_${p}`
        rows.atLeast([[1, h], ...uses(g, t).map((job): [number, string] => [-1, x(job.j, p)])], 0)
        if (!groups[g]!.coupler)
          for (const a of uses(g, t))
            for (const b of uses(g, t))
              rows.atLeast(
                [
                  [1, h],
                  ...places.filter((q) => q <= p).map((q): [number, string] => [-1, x(a.j, q)]),
                  ...places.filter((q) => q >= p).map((q): [number, string] => [-1, x(b.j, q)]),
                ],
                -1,
              )
        rows.atLeast(
          p > 0
            ? [
                [1, `a_${g}_${t}_${p}`],
                [-1, h],
                [1, `h_${g}_${t}_${p - 1}`],
              ]
            : [
                [1, `a_${g}_${t}_${p}`],
                [-1, h],
              ],
          0,
        )
      }
    for (const p of places)
      rows.atLeast(
        wanting.map((g) => [-1, `h_${g}_${t}_${p}`]),
        -tip.copies,
      )
    rows.atLeast(
      [
        [1, `w_${t}`],
        ...wanting.flatMap((g) => places.map((p): [number, string] => [-1, `a_${g}_${t}_${p}`])),
      ],
      -tip.copies,
    )
    rows.atLeast([[1, `w_${t}`]], 0)
    rows.cost(problem.washMinutes, `w_${t}`)
  })
  groups.forEach((group, g) => {
    const own = jobs
      .map((job) => ({
        ...job,
        tips: job.pairs.filter((p) => of[p] === g).map((p) => problem.pairs[p]!.tip),
      }))
      .filter((job) => job.tips.length > 0)
    for (const job of own) {
      const once = job.tips.filter((t, i) => i > 0 && t !== job.tips[i - 1]).length
      const round = job.tips[0] === job.tips.at(-1) ? 0 : 1
      within += once + (job.repeats - 1) * (once + round)
    }
    const tips = [...new Set(group.pairs.map((p) => problem.pairs[p]!.tip))]
    for (const p of places) {
      for (const q of places.filter((q) => q < p))
        rows.atLeast([[1, `b_${g}_${p}`], ...own.map((job): [number, string] => [-1, x(job.j, q)])], 0)
      for (const t of tips) {
        const m = `m_${g}_${t}_${p}`
        const leaving = own.filter((job) => job.tips.at(-1) === t)
        const others = own.filter((job) => job.tips.at(-1) !== t)
        rows.atLeast(
          [
            [-1, m],
            ...(p > 0 ? ([[1, `m_${g}_${t}_${p - 1}`]] as [number, string][]) : []),
            ...leaving.map((job): [number, string] => [1, x(job.j, p)]),
          ],
          0,
        )
        if (others.length > 0)
          rows.atLeast([[-1, m], ...others.map((job): [number, string] => [-1, x(job.j, p)])], -1)
        rows.atLeast(
          [
            [-1, m],
            [1, `h_${g}_${t}_${p}`],
          ],
          0,
        )
      }
      for (const job of own)
        rows.atLeast(
          [
            [1, `c_${g}_${p}`],
            [-1, x(job.j, p)],
            [-1, `b_${g}_${p}`],
            ...(p > 0 ? ([[1, `m_${g}_${job.tips[0]}_${p - 1}`]] as [number, string][]) : []),
          ],
          -1,
        )
      rows.cost(problem.changeMinutes, `c_${g}_${p}`)
    }
  })
  const solved = solve(rows.text())
  return solved.Status === 'Optimal'
    ? solved.ObjectiveValue + within * problem.changeMinutes
    : Number.POSITIVE_INFINITY
}

it('finds the same cost by mixed-integer programming, for orders of up to six jobs', async () => {
  const highs = await loadHighs()
  const solve = (text: string) => highs.solve(text) as { Status: string; ObjectiveValue: number }
  for (let seed = 0; seed < 6; seed++) {
    const problem = instance(seed, 4 + (seed % 3))
    const { minutes } = anneal(problem, 1, 1500)
    // what costs more by filling and the changes no order avoids needs no programme
    const groupings = allGroupings(problem, minutes + 1e-6)!.filter(
      (groups) => leastCost(problem, groups) <= minutes + 1e-6,
    )
    const least = Math.min(
      ...groupings.map(
        (groups) =>
          groups.reduce((sum, g) => sum + problem.bagMinutes(g.pairs, g.coupler), 0) +
          sequenceMinutes(solve, problem, groups),
      ),
    )
    expect(least, `seed ${seed}`).toBeCloseTo(minutes, 5)
  }
}, 120_000)
