import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import type { Order } from '../../model/order.ts'
import type { Workshop } from '../../model/workshop.ts'
import { planOrder } from '../index.ts'
import { applyRemedy } from '../remedies.ts'
import { cupcakes } from './testing.ts'

/** Blossoms on a nail, each piped with one petal tip in two colours: nobody can do that with a single tip. */
const twoTone = {
  ...starterWorkshop.flowers.find((f) => f.id === 'two-row-blossom')!,
  id: 'two-tone',
}
const petals = twoTone.layers.filter((l) => l.stroke.kind === 'fan')
const flower = {
  ...twoTone,
  roles: [
    { id: 'a', name: 'A', hex: '#d98fa0' },
    { id: 'b', name: 'B', hex: '#6f8a4a' },
  ],
  layers: petals.map((l, i) => ({
    ...l,
    tipId: 'petal-13',
    load: { kind: 'striped' as const, wideEnd: i === 0 ? 'a' : 'b', rest: i === 0 ? 'b' : 'a', border: 0.4 },
  })),
}
const workshop = (owned: number): Workshop => ({
  ...starterWorkshop,
  flowers: [...starterWorkshop.flowers, flower],
  tips: starterWorkshop.tips.map((t) => (t.id === 'petal-13' ? { ...t, owned } : t)),
})
const order = (more: object = {}, piece: object = {}): Order =>
  cupcakes(
    {
      shape: { kind: 'cupcake', diameterMm: 60, domeMm: 5 },
      coat: { colourId: 'rose', thicknessMm: 2, stiffness: 'medium' },
      flowers: [
        {
          id: 'f',
          flowerId: 'two-tone',
          placement: { kind: 'each', perPiece: 1 },
          colours: { a: 'rose', b: 'leaf' },
        },
      ],
      ...piece,
    },
    more,
  )

describe('a tip wanted at once', () => {
  it('on two striped bags stops the plan, says what would lift it, and a second tip lifts it', () => {
    expect(petals.length).toBe(2)
    const plan = planOrder(order(), workshop(1))
    expect(plan.conflicts).toEqual([{ tipId: 'petal-13', bagNumbers: [1, 2] }])
    const stop = plan.advice.find((a) => a.code === 'tip-wanted-at-once')!
    expect(stop.severity).toBe('stop')
    expect(stop.message).toMatch(
      /Bags 1, 2 want the petal 13 mm tip.*buy another petal 13 mm.*pipe one of them/,
    )
    expect(planOrder(order(), workshop(2)).conflicts).toEqual([])
  })
  it('is mended by a stand-in only where there are enough of it', () => {
    const conflict = (w: Workshop) =>
      planOrder(order(), w).advice.find((a) => a.code === 'tip-wanted-at-once')!
    expect(conflict(workshop(1)).remedy).toBeNull()
    const twice = {
      ...workshop(1),
      tips: workshop(1).tips.map((t) => (t.id === 'petal-10' ? { ...t, owned: 2 } : t)),
    }
    const { remedy } = conflict(twice)
    const mended = applyRemedy(order(), remedy!.change, planOrder(order(), twice))
    expect(planOrder(mended, twice).conflicts).toEqual([])
  })
})

describe('the box an order travels in', () => {
  const codes = (o: Order) => planOrder(o, workshop(2)).advice.map((a) => a.code)
  // dome 5, coat 2, and a flower of a few millimetres
  it('touches what stands too high, unless the order is finished on site or nobody has measured', () => {
    expect(codes(order({ boxMm: 8 }))).toContain('touches-the-lid')
    expect(codes(order({ boxMm: 60 }))).not.toContain('touches-the-lid')
    expect(codes(order({ boxMm: 8, travel: 'onSite' }))).not.toContain('touches-the-lid')
    expect(codes(order())).not.toContain('touches-the-lid')
  })
})

describe('colours of coats and fillings', () => {
  it('must be colours of the order, each named by its field', () => {
    const spread = { colourId: 'gone', thicknessMm: 2, stiffness: 'soft' }
    const bad = order({}, { crumbCoat: spread, filling: { ...spread, layers: 2 } })
    expect(() => planOrder(bad, workshop(2))).toThrow(
      /pieces\/0\/crumbCoat\/colourId.*\n.*pieces\/0\/filling\/colourId/,
    )
  })
})
