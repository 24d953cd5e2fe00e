import loadHighs from 'highs'
import { expect, it } from 'vitest'
import type { Problem } from './problem.ts'
import { search } from './search.ts'
import { randomProblem, wrongIn } from './testing.ts'

const STEP = 5

/**
 * The least span by another program altogether: which slot each task begins in, and on which hand, as a mixed-integer programme in
 * slots of five minutes. Without rests, nights and stores.
 * @param slots horizon, counted back from the last moment.
 */
function programme(problem: Problem, slots: number): string {
  const { tasks, hands, resources } = problem
  const end = Math.max(...tasks.map((t) => t.due))
  const rows: string[] = []
  const names = new Set<string>()
  const x = (i: number, h: number, s: number) => {
    const name = `x${i}_${h}_${s}`
    names.add(name)
    return name
  }
  const row = (terms: [number, string][], relation: string, bound: number) =>
    rows.push(
      `r${rows.length}: ${terms.map(([w, n]) => `${w < 0 ? '-' : '+'} ${Math.abs(w)} ${n}`).join(' ')} ${relation} ${bound}`,
    )
  const long = tasks.map((t) => t.minutes / STEP)
  /** Slots, counted from the horizon's beginning, in which a task may begin, and the hands that may do it. */
  const starts = tasks.map((t, i) =>
    Array.from({ length: slots - long[i]! - (end - t.due) / STEP + 1 }, (_, s) => s),
  )
  const may = tasks.map((t) => hands.flatMap((h, k) => (t.pipes && !h.pipes ? [] : [k])))
  const all = (i: number) => starts[i]!.flatMap((s) => may[i]!.map((h) => ({ s, h, name: x(i, h, s) })))
  for (let i = 0; i < tasks.length; i++) {
    const once = all(i).map(({ name }): [number, string] => [1, name])
    row(once, '=', 1)
  }
  tasks.forEach((t, i) => {
    for (const { task: j, lag } of t.next)
      row(
        [
          ...all(j).map(({ s, name }): [number, string] => [s, name]),
          ...all(i).map(({ s, name }): [number, string] => [-s, name]),
        ],
        '>=',
        long[i]! + lag / STEP,
      )
    // the span is what lies between the first start and the horizon's end
    row([[1, 'first'], ...all(i).map(({ s, name }): [number, string] => [-s, name])], '<=', 0)
  })
  const busy = (at: number, of: (i: number, h: number) => number | null) =>
    tasks.flatMap((_, i) =>
      all(i).flatMap(({ s, h, name }): [number, string][] => {
        const extra = of(i, h)
        return extra !== null && s <= at && at < s + long[i]! + extra ? [[1, name]] : []
      }),
    )
  for (let at = 0; at < slots; at++) {
    hands.forEach((_, h) => {
      const terms = busy(at, (_i, k) => (k === h ? 0 : null))
      if (terms.length > 1) row(terms, '<=', 1)
    })
    resources.forEach((units, r) => {
      const terms = busy(at, (i) => {
        const held = tasks[i]!.holds.find((o) => o.resource === r)
        return held ? held.extra / STEP : null
      })
      if (terms.length > units) row(terms, '<=', units)
    })
  }
  return `Maximize\n obj: first\nSubject To\n ${rows.join('\n ')}\nBounds\n 0 <= first <= ${slots}\nBinary\n ${[...names].join(' ')}\nEnd`
}

it('finds the latest start that a programme proves, for one to three pairs of hands', async () => {
  const highs = await loadHighs()
  for (let seed = 0; seed < 18; seed++) {
    const made = randomProblem(seed, { tasks: 6 + (seed % 3), hands: 1 + (seed % 3), step: STEP })
    const problem = { ...made, rest: { after: 10_000, minutes: 0 }, keeps: [] }
    const found = search(problem)
    expect(wrongIn(problem, found)).toEqual([])
    const slots = found.span / STEP
    const { Status, ObjectiveValue } = highs.solve(programme(problem, slots)) as {
      Status: string
      ObjectiveValue: number
    }
    expect(Status).toBe('Optimal')
    // the horizon is as long as what was found: nothing later than its beginning means that nothing is better
    expect(ObjectiveValue, `seed ${seed}: ${ObjectiveValue * STEP} min later is possible`).toBeLessThan(1e-6)
  }
}, 60_000)
