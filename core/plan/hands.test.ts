import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFileSchema } from '../files/orderFile.ts'
import { orderSchema } from '../model/order.ts'
import { newOrder } from '../orders/new.ts'
import { planFigures } from './index.ts'
import { quote } from './quote.ts'

const { order: demo } = orderFileSchema.parse(
  JSON.parse(readFileSync(new URL('../../demo/observatory.json', import.meta.url), 'utf8')),
)

describe('minutes of hands', () => {
  it('sum to the total, and over the pieces to the order', () => {
    const plan = planFigures(demo, starterWorkshop)
    const parts = Object.values(plan.hands)
    for (const minutes of parts) expect(minutes).toBeGreaterThanOrEqual(0)
    expect(parts.reduce((a, b) => a + b)).toBeCloseTo(plan.totals.handsOnMinutes, 9)
    const pieces = quote(demo, plan, starterWorkshop.settings)
    expect(pieces.reduce((sum, p) => sum + p.count * p.minutesEach, 0)).toBeCloseTo(
      plan.totals.handsOnMinutes,
      9,
    )
  })

  it('count squares for every flower on a nail, lifting for those wanted, a base and a bowl', () => {
    const order = orderSchema.parse({
      ...newOrder('a', 'Roses', '2026-12-01T10:00', 'butter-sugar'),
      colours: [{ id: 'c', name: 'Cream', hex: '#f0e6d0' }],
      practicePerFlower: 2,
      pieces: [
        {
          id: 'p',
          name: 'Cupcakes',
          count: 10,
          shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
          flowers: [
            {
              id: 'f',
              flowerId: 'rose',
              placement: { kind: 'each', perPiece: 1 },
              colours: { heart: 'c', petal: 'c' },
            },
          ],
        },
      ],
    })
    const { hands, uses, batches } = planFigures(order, starterWorkshop)
    const { spares, practice } = uses[0]!
    // ten wanted; a square each, spares and practice too, 0.15 min; lifting 0.2 min for the ten
    expect(hands.nails).toBeCloseTo((10 + spares + practice) * 0.15 + 10 * 0.2, 9)
    expect([hands.base, hands.bowls]).toEqual([8, 5 * batches.length])
  })

  it('do not slow a swirl down: a large opening gives more', () => {
    const swirl = orderSchema.parse({
      ...newOrder('a', 'Swirls', '2026-12-01T10:00', 'butter-sugar'),
      practicePerFlower: 0,
      pieces: [
        {
          id: 'p',
          name: 'Cupcakes',
          count: 1,
          shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
          flowers: [{ id: 'f', flowerId: 'swirl', placement: { kind: 'each', perPiece: 1 } }],
        },
      ],
    })
    const [use] = planFigures(swirl, starterWorkshop).uses
    expect(use!.seconds).toBeGreaterThan(5)
    expect(use!.seconds).toBeLessThan(11)
  })
})
