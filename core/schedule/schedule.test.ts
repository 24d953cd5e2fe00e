import { describe, expect, it } from 'vitest'
import { lowerBound } from './bound.ts'
import { CircleError, inOrder, openMinutes, type Problem, type Task } from './problem.ts'
import { search } from './search.ts'
import { overfilled, randomProblem, wrongIn } from './testing.ts'
import { criticalChain, reasons } from './why.ts'

const task = (minutes: number, more: Partial<Task> = {}): Task => ({
  ...{ minutes, pipes: false, tiring: false, holds: [], next: [], due: 1000, fixed: null },
  ...more,
})
const then = (...after: [task: number, lag: number][]) => ({
  next: after.map(([to, lag]) => ({ task: to, lag })),
})
const problem = (tasks: Task[], more: Partial<Problem> = {}): Problem => ({
  ...{ tasks, keeps: [], resources: [], stores: [], hands: [{ pipes: true }] },
  ...{ open: [{ from: 0, to: 1000 }], rest: { after: 40, minutes: 10 }, groups: [tasks.map((_, i) => i)] },
  ...more,
})

describe('a timetable worked out by hand', () => {
  it('fills a wait with other work', () => {
    // ten minutes, half an hour in the cold, twenty minutes; fifteen minutes of something else fit between
    const of = problem([task(10, then([1, 30])), task(20), task(15)])
    const found = search(of)
    expect(found.start[1]).toBe(980)
    expect(found.start[0]).toBe(940)
    expect(found.start[2]).toBe(965)
    expect(lowerBound(of, found.start)).toEqual({ minutes: 60, chains: true })
  })

  it('works in open hours only, and lets the night pass over what waits', () => {
    const open = [
      { from: 0, to: 600 },
      { from: 900, to: 1000 },
    ]
    // 40 minutes before eight hours of drying, 30 minutes after it, 90 minutes of anything
    const of = problem([task(40, then([1, 300])), task(30), task(60), task(30)], { open })
    const found = search(of)
    expect(wrongIn(of, found)).toEqual([])
    expect(found.start[1]! >= 900).toBe(true)
    // 30 and 60 minutes of the hundred after the night; what is left does not fit into ten, and is done before it with the first
    expect(found.span).toBe(170)
    expect(lowerBound(of, found.start)).toEqual({ minutes: 160, chains: false })
  })

  it('has a hand rest when it has piped stiff icing for long enough, and lets it do something else meanwhile', () => {
    const stiff = [task(30, { tiring: true }), task(30, { tiring: true })]
    expect(search(problem(stiff)).span).toBe(70)
    expect(search(problem([...stiff, task(10)])).span).toBe(70)
    const two = problem(stiff, { hands: [{ pipes: true }, { pipes: true }] })
    expect(search(two).span).toBe(30)
  })

  it('gives piping to hands that pipe, and what they hold to one at a time', () => {
    const hands = [{ pipes: true }, { pipes: false }]
    const piped = [task(20, { pipes: true }), task(20, { pipes: true })]
    expect(search(problem(piped, { hands })).span).toBe(40)
    expect(search(problem([piped[0]!, task(20)], { hands })).span).toBe(20)
    const held = [
      task(20, { holds: [{ resource: 0, extra: 5 }] }),
      task(20, { holds: [{ resource: 0, extra: 5 }] }),
    ]
    const both = [{ pipes: true }, { pipes: true }]
    // the mixer runs on for five minutes after the first; after the last it may do so when all is done
    expect(search(problem(held, { hands: both, resources: [1] })).span).toBe(45)
    expect(search(problem(held, { hands: both, resources: [2] })).span).toBe(20)
  })

  it('keeps a start that is settled, and places the rest around it', () => {
    const of = problem([task(20, { fixed: 900 }), task(30), task(25, then([0, 10]))])
    const found = search(of)
    expect(wrongIn(of, found)).toEqual([])
    expect(found.start).toEqual([900, 970, 865])
    expect(found.broken).toBe(0)
    // what must come after it has no room before its own end
    const late = problem([task(20, { fixed: 950, ...then([1, 60]) }), task(30)])
    expect(search(late).broken).toBeGreaterThan(0)
  })

  it('begins later to keep a small store from overflowing', () => {
    // two batches of two trays each, frozen for an hour, then placed for 20 minutes; there is room for two trays
    const tasks = [task(30, then([1, 60])), task(20), task(30, then([3, 60])), task(20)]
    const keeps = [0, 2].map((i) => ({ store: 0, units: 2, from: [i], until: { task: i + 1 } }))
    const tight = problem(tasks, { keeps, stores: [2] })
    const roomy = problem(tasks, { keeps, stores: [4] })
    expect(search(roomy)).toMatchObject({ overflow: 0, span: 140 })
    // the one is placed before the other is done: 30 + 60 + 20 + 30 + 60 + 20, less the 20 in which one is placed while the other freezes
    expect(search(tight).overflow).toBe(0)
    expect(search(tight).span).toBeGreaterThan(150)
    const never = problem(tasks, { keeps, stores: [1] })
    expect(search(never).overflow).toBeGreaterThanOrEqual(2 * 60)
  })

  it('says why each task is not later, and which chain sets the start', () => {
    const of = problem([task(10, then([1, 30])), task(20), task(15), task(5, { fixed: 700 })], {
      groups: [[0, 1, 2], [3]],
    })
    const found = search(of)
    const why = reasons(of, found)
    expect(why[0]).toEqual({ kind: 'next', task: 1, lag: 30 })
    expect(why[1]).toEqual({ kind: 'due' })
    expect(why[2]).toEqual({ kind: 'hand', task: 1 })
    expect(why[3]).toEqual({ kind: 'settled' })
    expect(criticalChain(of, found, why, of.groups[0]!)).toEqual([0, 1])
  })

  it('refuses tasks that wait for each other', () => {
    const round = [task(5, then([1, 0])), task(5, then([2, 0])), task(5, then([0, 0]))]
    expect(() => inOrder(round)).toThrow(CircleError)
    expect(inOrder([task(5), task(5, then([0, 0]))])).toEqual([1, 0])
    expect(
      openMinutes(
        [
          { from: 0, to: 10 },
          { from: 20, to: 30 },
        ],
        5,
        24,
      ),
    ).toBe(9)
  })
})

describe('timetables of random problems', () => {
  const kinds = [1, 2, 3].flatMap((hands) =>
    [false, true].flatMap((nights) => [12, 40].map((tasks) => ({ hands, nights, tasks }))),
  )
  it.each(kinds)('can be worked: %o', ({ hands, nights, tasks }) => {
    for (let seed = 0; seed < 8; seed++) {
      const of = randomProblem(seed + 100 * tasks, { tasks, hands, nights, groups: 1 + (seed % 4) })
      const found = search(of, 60)
      expect(wrongIn(of, found)).toEqual([])
      expect(found.broken).toBe(0)
      expect(found.overflow).toBeCloseTo(overfilled(of, found), 6)
      if (of.groups.length === 1) expect(lowerBound(of, found.start).minutes).toBeLessThanOrEqual(found.span)
      // the same question has the same answer
      expect(search(of, 60)).toEqual(found)
    }
  })

  it('are known as wrong by whoever looks when they are', () => {
    const of = randomProblem(3, { tasks: 20, hands: 2, nights: true })
    const found = search(of)
    const shifted = (i: number, by: number) => ({
      ...found,
      start: found.start.map((s, k) => (k === i ? s + by : s)),
    })
    const early = found.start.indexOf(Math.min(...found.start))
    expect(wrongIn(of, { ...found, hand: found.hand.map(() => 0) }).length).toBeGreaterThan(0)
    expect(wrongIn(of, shifted(early, 20_000)).join()).toMatch(/due/)
    expect(wrongIn(of, shifted(early, -8 * 60)).join()).toMatch(/closed/)
    const before = of.tasks.findIndex((t) => t.next.length > 0)
    expect(wrongIn(of, shifted(before, of.tasks[before]!.minutes + 1000)).length).toBeGreaterThan(0)
  })
})
