import { describe, expect, it } from 'vitest'
import { catalogueIcings } from '../catalogue/icings.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderSchema } from '../model/order.ts'
import { newOrder } from '../orders/new.ts'
import { planOrder } from '../plan/index.ts'
import { icingConsequences } from './consequences.ts'
import { settingOf, stiffnessWord } from './setting.ts'

const icing = (id: string) => catalogueIcings.find((i) => i.id === id)!

describe('another icing kind', () => {
  it('says for royal that flowers dry, what its thickness is called, what it weighs and what is in it', () => {
    const said = icingConsequences(icing('butter-sugar'), icing('royal')).join(' ')
    expect(said).toMatch(/dry on their squares.*stiff is now stiff peak/)
    // 1.25 over 0.9 g/ml
    expect(said).toContain('39 % more')
    expect(said).toMatch(/contains egg.*without milk/)
    const back = icingConsequences(icing('royal'), icing('butter-sugar')).join(' ')
    expect(back).toMatch(/frozen or chilled.*stiff peak is now stiff.*28 % less.*contains milk.*without egg/)
  })

  it('says nothing of itself, and no more than what differs', () => {
    expect(icingConsequences(icing('royal'), icing('royal'))).toEqual([])
    const said = icingConsequences(icing('butter-sugar'), icing('part-shortening')).join(' ')
    expect(said).not.toMatch(/squares|peak|contains/)
    expect(said).toMatch(/sets in about 10 minutes.*48 h/)
  })

  it('can be told apart by how it sets', () => {
    expect(['butter-sugar', 'meringue-butter', 'royal'].map((id) => settingOf(icing(id)))).toEqual([
      'cold',
      'cold',
      'drying',
    ])
    expect([stiffnessWord(icing('royal'), 'medium'), stiffnessWord(icing('cocoa-butter'), 'medium')]).toEqual(
      ['soft peak', 'medium'],
    )
  })

  it('dries a royal coat where a butter one is chilled', () => {
    const cake = (icingKindId: string) =>
      planOrder(
        orderSchema.parse({
          ...newOrder('a', 'Cake', '2026-12-01T10:00', icingKindId),
          colours: [{ id: 'c', name: 'Cream', hex: '#f0e6d0' }],
          pieces: [
            {
              id: 'p',
              name: 'Cake',
              count: 1,
              shape: { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 0 },
              coat: { colourId: 'c', thicknessMm: 3, stiffness: 'medium' },
            },
          ],
        }),
        starterWorkshop,
      ).sequence.map((s) => s.kind)
    expect([cake('butter-sugar'), cake('royal')]).toEqual([
      ['spread', 'chill'],
      ['spread', 'dry'],
    ])
  })
})
