import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import type { Order } from '../../model/order.ts'
import type { Workshop } from '../../model/workshop.ts'
import { planOrder } from '../index.ts'
import { applyRemedy } from '../remedies.ts'
import { cupcakes as order } from './testing.ts'

const placed = (flowerId: string, more: object = {}) => ({
  id: flowerId,
  flowerId,
  placement: { kind: 'each', perPiece: 1 },
  colours: { heart: 'rose', petal: 'rose', leaf: 'leaf', rope: 'rose' },
  ...more,
})
const codes = (o: Order, w: Workshop = starterWorkshop) => planOrder(o, w).advice.map((a) => a.code)
const withTip = (id: string, owned: number): Workshop => ({
  ...starterWorkshop,
  tips: starterWorkshop.tips.map((t) => (t.id === id ? { ...t, owned } : t)),
})

describe('advice', () => {
  it('has nothing against a rose that fits', () => {
    const quiet = codes(order({ flowers: [placed('rose')] }))
    expect(quiet.filter((c) => c !== 'tip-on-several-bags')).toEqual([])
  })

  it('stops at an allergen that must not be in it', () => {
    const o = order({ flowers: [placed('rose')] }, { avoid: ['milk'] })
    expect(planOrder(o, starterWorkshop).advice[0]).toMatchObject({ code: 'allergen', severity: 'stop' })
    expect(codes({ ...o, icingKindId: 'royal' })).not.toContain('allergen')
  })

  it('names a missing tip and swaps in the nearest one on request', () => {
    const bare = withTip('petal-13', 0)
    const o = order({ flowers: [placed('rose')] })
    const plan = planOrder(o, bare)
    const missing = plan.advice.find((a) => a.code === 'tip-not-owned')!
    expect(missing.message).toMatch(/Classic rose: \d+ % less icing, \d+ % narrower/)
    expect(missing.remedy?.change).toEqual({ kind: 'useTip', fromTipId: 'petal-13', toTipId: 'petal-10' })
    const after = planOrder(applyRemedy(o, missing.remedy!.change, plan), bare)
    expect(after.advice.map((a) => a.code)).not.toContain('tip-not-owned')
    expect(after.bags.flatMap((b) => b.tipIds)).not.toContain('petal-13')
  })

  it('sees a flower wider than its cupcake, and the remedy makes it fit', () => {
    const o = order({ flowers: [placed('rose', { sizeMm: 75 })] })
    const plan = planOrder(o, starterWorkshop)
    const wide = plan.advice.find((a) => a.code === 'wider-than-piece')!
    expect(wide.message).toContain('Cupcakes only 60 mm')
    expect(codes(applyRemedy(o, wide.remedy!.change, plan))).not.toContain('wider-than-piece')
  })

  it('sees that not all of them fit, and the remedy takes some off', () => {
    const o = order({ flowers: [placed('leaf', { placement: { kind: 'each', perPiece: 60 } })] })
    const plan = planOrder(o, starterWorkshop)
    const many = plan.advice.find((a) => a.code === 'too-many-flowers')!
    const after = applyRemedy(o, many.remedy!.change, plan)
    expect(codes(after)).not.toContain('too-many-flowers')
  })

  it('offers a coat where cake would show', () => {
    const o = order({ coat: null, flowers: [placed('rose')] })
    const plan = planOrder(o, starterWorkshop)
    const bare = plan.advice.find((a) => a.code === 'no-coat')!
    expect(codes(applyRemedy(o, bare.remedy!.change, plan))).not.toContain('no-coat')
  })

  it('merges two colours the eye hardly tells apart', () => {
    const colours = [
      { id: 'rose', name: 'Rose', hex: '#d98fa0' },
      { id: 'leaf', name: 'Also rose', hex: '#d98ea1' },
    ]
    const o = order({ flowers: [placed('rose'), placed('leaf')] }, { colours })
    const plan = planOrder(o, starterWorkshop)
    const close = plan.advice.find((a) => a.code === 'close-colours')!
    const merged = applyRemedy(o, close.remedy!.change, plan)
    expect(merged.colours).toHaveLength(1)
    expect(planOrder(merged, starterWorkshop).colours.filter((c) => c.grams > 0)).toHaveLength(1)
  })

  it('plans a role without a colour in its own, and says so', () => {
    const o = order({ flowers: [placed('rose', { colours: {} })] })
    const plan = planOrder(o, starterWorkshop)
    expect(plan.advice.filter((a) => a.code === 'colour-not-chosen')).toHaveLength(2)
    expect(plan.colours.map((c) => c.name)).toContain('Classic rose: Petals (not chosen)')
  })

  it('says when nothing in the drawer holds the icing', () => {
    const o = order({ flowers: [placed('swirl')] })
    const plan = planOrder(o, { ...starterWorkshop, bags: [] })
    expect(plan.advice[0]).toMatchObject({ code: 'no-bag', severity: 'stop' })
  })

  it('counts in the bakery’s units', () => {
    const ounces = { ...starterWorkshop, settings: { ...starterWorkshop.settings, units: 'ounces' as const } }
    const o = order({ count: 1, flowers: [placed('leaf')] })
    const tiny = planOrder(o, ounces).advice.find((a) => a.code === 'tiny-batch')!
    expect(tiny.message).toMatch(/oz is piped/)
  })
})
