import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFileSchema } from '../files/orderFile.ts'
import { planFigures } from './index.ts'
import { greenOf, schools } from './schools.ts'

const { order } = orderFileSchema.parse(
  JSON.parse(readFileSync(new URL('../../demo/observatory.json', import.meta.url), 'utf8')),
)

describe('the schools of mixing, for the demo order', () => {
  const plain = planFigures(order, starterWorkshop)
  const green = greenOf(order, plain)
  const all = schools(order, starterWorkshop, green)
  const school = (id: string) => all.find((s) => s.id === id)!

  it('find the green that is last by habit', () => {
    expect(green).toBe('moss')
    expect(school('carryOver').steps.at(-1)!.colourId).toBe('moss')
  })
  it('agree with the plan that each makes', () => {
    for (const { mixing, mixedGrams, bags, minutes } of all) {
      const plan = planFigures({ ...order, mixing }, starterWorkshop)
      expect(plan.totals.mixedGrams).toBeCloseTo(mixedGrams, 6)
      expect(plan.bags.filter((b) => b.reuses === null)).toHaveLength(bags)
      expect(plan.totals.handsOnMinutes).toBe(minutes)
    }
  })
  it('save two minutes for every bowl that is tinted on and not washed', () => {
    const { mixing } = school('carryOver')
    const plan = planFigures({ ...order, mixing }, starterWorkshop)
    const on = new Set(plan.batches.filter((b) => b.carriedGrams > 0).map((b) => b.colourId)).size
    expect(on).toBeGreaterThan(2)
    expect(plan.hands.bowls).toBe(5 * plan.batches.length - 2 * on)
  })
  it('mix less and throw less away the more is carried over', () => {
    expect(school('separate').mixedGrams).toBeCloseTo(plain.totals.mixedGrams, 6)
    expect(school('both').mixedGrams).toBeLessThan(school('separate').mixedGrams)
    expect(school('carryOver').mixedGrams).toBeLessThan(school('both').mixedGrams)
    expect(school('carryOver').thrownGrams).toBeLessThan(school('separate').thrownGrams)
    expect(school('carryOver').bowls).toBeLessThan(school('separate').bowls)
  })
  it('step through every colour once, with the grams that its bowl needs', () => {
    const { steps } = school('carryOver')
    expect(new Set(steps.map((s) => s.colourId)).size).toBe(order.colours.length)
    for (const step of steps) {
      const bowl = plain.colours.find((c) => c.id === step.colourId)!
      expect(step.carriedGrams + step.freshGrams).toBeCloseTo(bowl.grams, 6)
      expect(step.fresh).toBe(step.carriedGrams === 0)
    }
  })
  it('bag a carried colour in the bag before it where the tips are the same', () => {
    const plan = planFigures({ ...order, mixing: school('carryOver').mixing }, starterWorkshop)
    for (const bag of plan.bags.filter((b) => b.reuses !== null)) {
      const before = plan.bags.find((b) => b.number === bag.reuses)!
      expect(before.number).toBeLessThan(bag.number)
      expect(before.tipIds).toEqual(bag.tipIds)
      expect(before.load[0]!.colourId).not.toBe(bag.load[0]!.colourId)
    }
  })
})
