import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Supply } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { cupcakes } from './advice/testing.ts'
import { planFigures } from './index.ts'

const placed = (flowerId: string, perPiece = 1, more: object = {}) => ({
  id: flowerId,
  flowerId,
  placement: { kind: 'each', perPiece },
  colours: Object.fromEntries(
    starterWorkshop.flowers.find((f) => f.id === flowerId)!.roles.map((r) => [r.id, 'rose']),
  ),
  ...more,
})
const supplies = (piece: object, workshop: Workshop = starterWorkshop) =>
  planFigures(cupcakes(piece), workshop).supplies
const of = (list: readonly Supply[], kind: Supply['kind'], id?: string) =>
  list.filter((s) => s.kind === kind && (id === undefined || s.id === id))
const withSettings = (settings: Partial<Workshop['settings']>): Workshop => ({
  ...starterWorkshop,
  settings: { ...starterWorkshop.settings, ...settings },
})

describe('what must be on hand', () => {
  it('is one of each tip that a bag carries, and no cut bag', () => {
    const flowers = [placed('rose'), placed('hellebore')]
    const plan = planFigures(cupcakes({ flowers }), starterWorkshop)
    const carried = new Set(plan.bags.flatMap((b) => b.tipIds).filter((id) => !id.startsWith('cut-')))
    const tips = of(plan.supplies, 'tip')
    expect(tips.map((t) => t.id).sort()).toEqual([...carried].sort())
    for (const tip of tips) expect([tip.needed, tip.owned, tip.short]).toEqual([1, 1, 0])
  })

  it('says what is short by as many as are missing', () => {
    const none: Workshop = {
      ...starterWorkshop,
      tips: starterWorkshop.tips.map((t) => ({ ...t, owned: 0 })),
      bags: starterWorkshop.bags.map((b) => ({ ...b, owned: b.kind === 'parchment' ? 0 : 1 })),
    }
    const list = supplies({ flowers: [placed('rose'), placed('hellebore')] }, none)
    for (const tip of of(list, 'tip')) expect([tip.owned, tip.short]).toEqual([0, 1])
    for (const bag of of(list, 'bag')) expect(bag.short).toBe(Math.max(0, bag.needed - 1))
    expect(of(list, 'bag').some((b) => b.short > 0)).toBe(true)
  })

  it('counts a square for every flower on a nail, spares and practice too, and a nail for each head', () => {
    const flowers = [placed('rose', 2), placed('hellebore', 1)]
    const plan = planFigures(cupcakes({ flowers }), starterWorkshop)
    const piped = ['rose', 'hellebore'].map((id) => {
      const use = plan.uses.find((u) => u.flowerId === id)!
      return use.flowers + use.spares + use.practice
    })
    // 24 roses and 12 hellebores, and a little more of each
    expect(piped[0]).toBeGreaterThan(24)
    expect(of(plan.supplies, 'square')[0]!.needed).toBe(piped[0]! + piped[1]!)
    const heads = ['rose', 'hellebore'].map((id) => starterWorkshop.flowers.find((f) => f.id === id)!.nailMm)
    expect(
      of(plan.supplies, 'nail')
        .map((n) => n.id)
        .sort(),
    ).toEqual([...new Set(heads.map((mm) => `nail-${mm}`))].sort())
  })

  it('names no square and no nail where nothing is lifted, and nothing twice', () => {
    const list = supplies({ flowers: [placed('swirl')] })
    expect([...of(list, 'nail'), ...of(list, 'square')]).toEqual([])
    const keys = list.map((s) => `${s.kind} ${s.id}`)
    expect(new Set(keys).size).toBe(keys.length)
  })

  it('counts couplers of bags that have one', () => {
    const flowers = [placed('rose', 6), placed('camellia', 4), placed('ranunculus', 3)]
    const plan = planFigures(cupcakes({ flowers }), starterWorkshop)
    for (const size of ['standard', 'large'] as const) {
      const wanted = plan.bags.filter((b) => b.coupler === size).length
      expect(of(plan.supplies, 'coupler', size)[0]?.needed ?? 0).toBe(wanted)
    }
  })
})

describe('ingredients', () => {
  it('cost what their share of a pack does, and are bought in whole packs beyond the pantry', () => {
    const icing = starterWorkshop.icings.find((i) => i.id === 'butter-sugar')!
    const stocked = withSettings({ pantry: { [icing.ingredients[0]!.name]: 100 } })
    const list = supplies({ count: 60, flowers: [placed('rose', 2)] }, stocked)
    icing.ingredients.forEach(({ name, packGrams, pricePerPack }, i) => {
      const [supply] = of(list, 'ingredient', name)
      const owned = i === 0 ? 100 : 0
      expect(supply!.owned).toBe(owned)
      expect(supply!.short).toBeCloseTo(Math.max(0, supply!.needed - owned), 9)
      expect(supply!.packs).toBe(Math.ceil(supply!.short / packGrams))
      expect(supply!.cost).toBeCloseTo((supply!.needed * pricePerPack) / packGrams, 9)
    })
  })

  it('of two icings are told together, and a full pantry buys nothing', () => {
    const royal = cupcakes({ id: 'q', icingKindId: 'royal', flowers: [placed('blossom', 3)] })
    const order = cupcakes({ flowers: [placed('rose')] })
    const both = { ...order, pieces: [...order.pieces, ...royal.pieces] }
    const full = withSettings({
      pantry: Object.fromEntries(
        starterWorkshop.icings.flatMap((i) => i.ingredients.map((x) => [x.name, 100_000])),
      ),
    })
    const plan = planFigures(both, full)
    const bases = [plan.base, ...plan.otherBases]
    expect(bases.map((b) => b.kind).sort()).toEqual(['butter-sugar', 'royal'])
    for (const supply of of(plan.supplies, 'ingredient').filter((s) => s.id !== 'thinning')) {
      const grams = bases.flatMap((b) => b.ingredients).filter((i) => i.name === supply.name)
      expect(supply.needed).toBeCloseTo(
        grams.reduce((sum, i) => sum + i.grams, 0),
        9,
      )
      expect([supply.short, supply.packs]).toEqual([0, 0])
    }
  })

  it('for thinning are what all bowls take, and none where all is stiff', () => {
    const soft = planFigures(cupcakes({ flowers: [placed('dot-blossom', 4)] }), starterWorkshop)
    const liquid = soft.batches.reduce((sum, b) => sum + b.liquidGrams, 0)
    expect(of(soft.supplies, 'ingredient', 'thinning')[0]?.needed ?? 0).toBeCloseTo(liquid, 9)
    const stiff = supplies({ coat: null, flowers: [placed('camellia')] })
    expect(of(stiff, 'ingredient', 'thinning')).toEqual([])
  })
})
