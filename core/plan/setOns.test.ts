import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFaults } from '../model/faults.ts'
import { layoutSchema, siteSchema } from '../model/layout.ts'
import { takeOff } from '../model/onPiece.ts'
import { type Order, orderSchema } from '../model/order.ts'
import { type SetOn, setOnSchema } from '../model/setOn.ts'
import { changeSetOn, newSetOn, putOnPiece, withoutLooseSetOns } from '../orders/setOns.ts'
import { cupcakes } from './advice/testing.ts'
import { planOrder } from './index.ts'
import { allergenProof } from './proof.ts'
import { quote } from './quote.ts'

const thing = (more: Partial<SetOn> = {}): SetOn =>
  setOnSchema.parse({
    ...{ id: 'pearl', name: 'Pearl', kind: 'pearl', widthMm: 4, heightMm: 4, grams: 0.1, cost: 0.02 },
    ...{ hex: '#eeeeee', edible: 'yes', ...more },
  })
const counting = () => {
  let n = 0
  return () => `n-${++n}`
}
/** A dozen cupcakes with a coat, and something put on each. */
const with12 = (things: SetOn[], more: object = {}): Order => {
  const bare = orderSchema.parse({
    ...cupcakes({ coat: { colourId: 'c1', thicknessMm: 2, stiffness: 'medium' } }),
    colours: [{ id: 'c1', name: 'Chalk', hex: '#efe6cd' }],
    collectAt: '2026-12-05T14:00',
    ...more,
  })
  const newId = counting()
  return things.reduce((order, t) => putOnPiece(order, bare.pieces[0]!.id, t, newId), bare)
}
const plan = (order: Order) => planOrder(order, starterWorkshop)
const said = (order: Order) => plan(order).advice

describe('things that are put on', () => {
  it('are counted, costed, and take their time: 3 on each of 12 at 6 s and 0.02', () => {
    const order = with12([thing({ owned: 20 })])
    const made = plan(order)
    expect(made.setOns).toMatchObject([{ amount: 36, minutes: 3.6 }])
    const supply = made.supplies.find((s) => s.kind === 'setOn')!
    expect(supply).toMatchObject({ name: 'Pearl', needed: 36, owned: 20, short: 16, unit: 'pieces' })
    expect(supply.cost).toBeCloseTo(0.72, 9)
    const without = plan({ ...order, pieces: order.pieces.map((p) => ({ ...p, setOns: [] })) })
    expect(made.totals.cost - without.totals.cost).toBeCloseTo(0.72, 9)
    expect(made.totals.handsOnMinutes - without.totals.handsOnMinutes).toBeCloseTo(3.6, 9)
    // the quote sums to the order all the same
    const quoted = quote(order, made, starterWorkshop.settings)
    expect(quoted.reduce((sum, q) => sum + q.count * q.ingredientsEach, 0)).toBeCloseTo(made.totals.cost, 6)
    expect(quoted.reduce((sum, q) => sum + q.count * q.minutesEach, 0)).toBeCloseTo(
      made.totals.handsOnMinutes,
      6,
    )
  })

  it('that are strewn go by weight: 2 g on each of 12', () => {
    const made = plan(with12([thing({ kind: 'sprinkle', cost: 0.5 })]))
    expect(made.supplies.find((s) => s.kind === 'setOn')).toMatchObject({ needed: 24, unit: 'g', cost: 12 })
    // twelve seconds a piece, however much it is
    expect(made.setOns[0]!.minutes).toBeCloseTo(2.4, 9)
  })

  it('that have places are counted by them, over pieces that are not arranged alike', () => {
    const order = with12([thing()])
    const placedId = order.pieces[0]!.setOns[0]!.id
    const site = (id: string) =>
      siteSchema.parse({
        ...{ id, placedId, role: 'filler' },
        place: { zone: 'top', tier: 0, from: 'middle', a: 5, b: 0 },
      })
    const layout = (id: string, sites: string[]) =>
      layoutSchema.parse({ id, schoolId: 'dome', sites: sites.map(site) })
    const layouts = [layout('a', ['s1', 's2', 's3', 's4', 's5']), layout('b', ['s1'])]
    const placed = { ...order, pieces: order.pieces.map((p) => ({ ...p, layouts })) }
    expect(orderFaults(placed, starterWorkshop)).toEqual([])
    // six of each arrangement
    expect(plan(placed).setOns[0]!.amount).toBe(36)
    const off = takeOff(placed, order.pieces[0]!.id, placedId)
    expect(off.pieces[0]!.layouts.flatMap((l) => l.sites)).toEqual([])
    expect(withoutLooseSetOns(off).setOns).toEqual([])
  })

  it('go on while the coat is wet, or when all else is done', () => {
    const order = with12([thing({ when: 'last' }), thing({ id: 'bead', name: 'Bead', when: 'wet' })])
    const steps = plan(order).sequence.map((s) => [s.kind, ...s.setOnIds])
    expect(steps).toEqual([['spread'], ['setOn', 'n-2'], ['setOn', 'n-1']])
  })

  it('are looked at for what must not be in it, for what is no food, and for small children', () => {
    const codes = (part: Partial<SetOn>, more: object = {}) =>
      said(with12([thing(part)], more)).map((a) => `${a.code} ${a.severity}`)
    expect(codes({ allergens: ['nuts'] }, { avoid: ['nuts'] })).toContain('set-on-allergen stop')
    expect(codes({ allergens: ['nuts'] })).not.toContain('set-on-allergen stop')
    expect(codes({ edible: 'unread' })).toContain('label-unread decide')
    expect(codes({ edible: 'no', kind: 'pick' })).toContain('not-edible decide')
    // what is brushed on cannot be taken off again
    expect(codes({ edible: 'no', kind: 'dust' })).toContain('not-edible stop')
    expect(codes({ smallHard: true })).toContain('small-and-hard note')
    expect(codes({})).toEqual(codes({ heightMm: 5 }))
  })

  it('quote their label as it was typed, and say when they have to be made', () => {
    const advice = said(
      with12([thing({ edible: 'no', kind: 'pick', labelWords: 'For decoration only', daysAhead: 3 })]),
    )
    expect(advice.find((a) => a.code === 'not-edible')!.message).toContain('count 36 on')
    expect(advice.find((a) => a.code === 'not-edible')!.message).toContain('“For decoration only”')
    expect(advice.find((a) => a.code === 'made-ahead')!.message).toContain('by Wed 2 Dec')
  })

  it('belong to the proof of what is not in it', () => {
    const order = with12([thing({ allergens: ['nuts'] }), thing({ id: 'b', name: 'Bead' })], {
      avoid: ['nuts'],
    })
    const [proof] = allergenProof(order, plan(order), starterWorkshop)
    expect(proof!.contains).toEqual(['Pearl'])
    expect(proof!.unknown.join()).toContain('the label of Bead')
  })

  it('are taken over by the order once, and described otherwise for it alone', () => {
    const order = with12([thing(), thing()])
    expect(order.setOns).toHaveLength(1)
    expect(order.pieces[0]!.setOns).toHaveLength(2)
    expect(changeSetOn(order, 'pearl', { name: 'Opal' }).setOns[0]!.name).toBe('Opal')
    expect(newSetOn('x').edible).toBe('unread')
    expect(orderFaults({ ...order, setOns: [] }, starterWorkshop).map((f) => f.path.join('/'))).toEqual([
      'pieces/0/setOns/0/setOnId',
      'pieces/0/setOns/1/setOnId',
    ])
  })
})
