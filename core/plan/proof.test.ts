import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFileSchema } from '../files/orderFile.ts'
import { planOrder } from './index.ts'
import { allergenProof } from './proof.ts'

const { order: demo } = orderFileSchema.parse(
  JSON.parse(readFileSync(new URL('../../demo/observatory.json', import.meta.url), 'utf8')),
)
const proofOf = (avoid: typeof demo.avoid, workshop = starterWorkshop) => {
  const order = { ...demo, avoid }
  return allergenProof(order, planOrder(order, workshop), workshop)
}

describe('the proof of what must not be in it', () => {
  it('names every ingredient that was looked at, and what nobody knows', () => {
    const [nuts, egg] = proofOf(['nuts', 'egg'])
    const all = starterWorkshop.icings.find((i) => i.id === demo.icingKindId)!.ingredients
    for (const one of [nuts!, egg!]) {
      expect(one.contains).toEqual([])
      expect(one.without).toHaveLength(all.length)
      for (const { name } of all) expect(one.without.join()).toContain(name)
      expect(one.unknown.join()).toMatch(/dyes.*Hellebore cupcakes.*same bowls/)
    }
  })

  it('says what contains it', () => {
    const [milk] = proofOf(['milk'])
    expect(milk!.contains.join()).toContain('Butter')
    expect(milk!.without.join()).toContain('Icing sugar')
  })

  it('doubts an ingredient whose name says what its entry does not', () => {
    const icings = starterWorkshop.icings.map((icing) => ({
      ...icing,
      ingredients: [
        ...icing.ingredients,
        { name: 'Almond paste', parts: 5, allergens: [], packGrams: 100, pricePerPack: 1, cupGrams: null },
        { name: 'Coconut milk', parts: 5, allergens: [], packGrams: 100, pricePerPack: 1, cupGrams: null },
      ],
    }))
    const [nuts] = proofOf(['nuts'], { ...starterWorkshop, icings })
    expect(nuts!.doubtful).toHaveLength(1)
    expect(nuts!.doubtful[0]).toContain('Almond paste')
    expect(nuts!.without.join()).toContain('Coconut milk')
  })
})
