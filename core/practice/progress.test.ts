import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { practiceSettingsSchema } from '../model/practice.ts'
import { planFigures } from '../plan/index.ts'
import { demoOrder, demoWorkshop } from '../plan/testing.ts'
import { beforeOrder } from './beforeOrder.ts'
import { drillNamed } from './drills.ts'
import { EXPERT, tryOf } from './madeUp.ts'
import { kept, pack, unpack } from './pack.ts'
import { progressOf } from './progress.ts'

describe('a try as it is kept', () => {
  it('is read again sample for sample, in a tenth of its size', () => {
    const drill = drillNamed('petals', practiceSettingsSchema.parse({}))
    const trace = tryOf(drill, 4, EXPERT).map(kept)
    const packed = pack(trace)
    expect(unpack(packed)).toEqual(trace)
    expect(packed.length).toBeLessThan(JSON.stringify(trace).length / 8)
  })
  it('holds whatever a pointer can say, and refuses what is cut short', () => {
    const number = fc.integer({ min: -40_000_000, max: 40_000_000 })
    const sample = fc.record({
      t: number,
      x: number,
      y: number,
      squeeze: number,
      height: number,
      nail: number,
      down: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(sample, { maxLength: 40 }), (samples) => {
        const trace = samples.map((s) =>
          kept({
            ...s,
            t: s.t / 1000,
            x: s.x / 100,
            y: s.y / 100,
            squeeze: s.squeeze / 1000,
            height: s.height / 100,
            nail: s.nail / 1000,
          }),
        )
        expect(unpack(pack(trace))).toEqual(trace.map((s) => kept(s)))
      }),
    )
    expect(() =>
      unpack(pack([{ t: 1, x: 1, y: 1, squeeze: 0, height: 1, nail: 0, down: true }]).slice(0, 4)),
    ).toThrow('cut short')
  })
})

describe('progress', () => {
  const at = (day: number) => `2027-03-${String(day).padStart(2, '0')}T10:00`
  const of = (...marks: number[]) => progressOf(marks.map((m, i) => ({ marks: m, at: at(1 + i) })))
  it('compares the last five with the first five, once they are not the same', () => {
    expect(of(30, 40, 50, 60, 70, 80, 90, 80, 70)).toMatchObject({ tries: 9, first: null, last: null })
    expect(of(30, 40, 50, 60, 70, 80, 90, 80, 70, 80)).toMatchObject({ first: 50, last: 80 })
  })
  it('says no slope before twenty tries, and then the right one', () => {
    // what is missing falls as 60·n^−½: it halves when there are four times as many
    const marks = Array.from({ length: 20 }, (_, i) => 100 - 60 * (i + 1) ** -0.5)
    expect(of(...marks.slice(0, 19)).halvesAfter).toBeNull()
    expect(of(...marks).halvesAfter).toBeCloseTo(4, 6)
    // one bad day does not move it
    expect(of(...marks.map((m, i) => (i === 11 ? 5 : m))).halvesAfter).toBeCloseTo(4, 0)
    expect(of(...Array.from({ length: 20 }, () => 60)).halvesAfter).toBeNull()
  })
  it('takes a drill to be in the hand after three steady tries on two days', () => {
    const steady = (...days: number[]) => progressOf(days.map((d) => ({ marks: 88, at: at(d) }))).inTheHand
    expect([steady(1, 2), steady(1, 1, 1), steady(1, 1, 2)]).toEqual([false, false, true])
    expect(progressOf([88, 84, 88].map((marks, i) => ({ marks, at: at(i + 1) }))).inTheHand).toBe(false)
  })
})

describe('before an order', () => {
  const workshop = demoWorkshop()
  const { uses } = planFigures(demoOrder('observatory'), workshop)
  it('are ten minutes of two drills that train its strokes, and those that the hand lacks', () => {
    const untried = beforeOrder(uses, workshop, () => [])
    expect(untried).toHaveLength(2)
    expect(untried.reduce((sum, d) => sum + d.minutes, 0)).toBe(10)
    const [first, second] = untried
    const learnt = beforeOrder(uses, workshop, (drill) => (drill === first!.drill ? [99, 99, 99] : []))
    expect(learnt[0]!.drill).toBe(second!.drill)
    expect(learnt.map((d) => d.drill)).not.toContain(first!.drill)
  })
  it('are none where nothing is piped', () => {
    expect(beforeOrder([], workshop, () => [])).toEqual([])
  })
})
