import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import { orderFileSchema } from '#core/files/orderFile'
import { colourBowls, taskOf } from '#core/plan/colourBowls'
import { planOrder } from '#core/plan/index'

const { order } = orderFileSchema.parse(JSON.parse(readFileSync('demo/observatory.json', 'utf8')))
const plan = planOrder(order, starterWorkshop)
const bowls = colourBowls(order, plan)

it('tints a colour wanted at several stiffnesses in one bowl, and divides it without loss', () => {
  expect(bowls.length).toBeLessThan(plan.batches.length)
  expect(bowls).toHaveLength(order.colours.length)
  for (const bowl of bowls) {
    expect(bowl.parts.reduce((sum, p) => sum + p.grams, 0)).toBeCloseTo(bowl.grams, 9)
    const liquid = bowl.parts.reduce((sum, p) => sum + p.liquidGrams, 0)
    expect(bowl.baseGrams + liquid).toBeCloseTo(bowl.grams, 9)
  }
})

it('asks for the same formula when only a name has changed', () => {
  const renamed = { ...order, colours: order.colours.map((c) => ({ ...c, name: `${c.name}!` })) }
  const again = colourBowls(renamed, planOrder(renamed, starterWorkshop))
  expect(again.map(taskOf)).toEqual(bowls.map(taskOf))
  expect(again[0]!.name).not.toBe(bowls[0]!.name)
})
