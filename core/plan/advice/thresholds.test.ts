import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../../catalogue/flowers/index.ts'
import { catalogueIcings } from '../../catalogue/icings.ts'
import { starterWorkshop } from '../../catalogue/starter.ts'
import type { IcingKind } from '../../model/icing.ts'
import type { Order } from '../../model/order.ts'
import type { Advice, Bag, Batch, Supply } from '../../model/plan.ts'
import type { OwnedTip } from '../../model/tip.ts'
import type { Workshop } from '../../model/workshop.ts'
import { planOrder } from '../index.ts'
import { lookUp } from '../lookup.ts'
import type { AdviceCheck, Planned } from './check.ts'
import { closeColours, deepColours, tinyBatches } from './colours.ts'
import { handStrain, missingTips, sharedTips, shortStock, tipConflicts } from './drawer.ts'
import { cupcakes } from './testing.ts'

/** What earlier stages would hand to a check; a test fills in what its check looks at. */
function asked(
  check: AdviceCheck,
  part: Partial<Planned>,
  order: Order,
  workshop = starterWorkshop,
): Advice[] {
  const nothing = {
    placements: [],
    uses: [],
    bags: [],
    conflicts: [],
    batches: [],
    otherBases: [],
    supplies: [],
    setOns: [],
  }
  return check({ ...nothing, base: null as never, at: lookUp(order, workshop), ...part })
}
const order = (more: object = {}) => cupcakes({}, more)
const tip = (id: string, diameterMm: number, more: Partial<OwnedTip> = {}): OwnedTip => ({
  ...{ id, opening: { family: 'round', diameterMm }, base: 'standard', owned: 1, stamp: '', source: 'own' },
  ...more,
})
const drawer = (tips: OwnedTip[], settings: object = {}): Workshop => ({
  ...starterWorkshop,
  tips,
  settings: { ...starterWorkshop.settings, ...settings },
})
const bag = (number: number, tipIds: string[], more: Partial<Bag> = {}): Bag =>
  ({ number, tipIds, reuses: null, coupler: 'none', bagStockId: 'b', stiffness: 'medium', ...more }) as Bag
const bowl = (colourId: string, pipedGrams: number, more: Partial<Batch> = {}): Batch =>
  ({
    ...{ id: `${colourId}${pipedGrams}`, colourId, icingKindId: 'butter-sugar', stiffness: 'medium' },
    ...{
      grams: pipedGrams + 10,
      pipedGrams,
      useIds: [],
      bagResidueGrams: 4,
      bowlResidueGrams: 5,
      roundingGrams: 1,
    },
    ...more,
  }) as Batch

describe('a tip that is not in the drawer', () => {
  it('is told for each once; what is owned, and what is cut from a bag, is not', () => {
    const tips = [
      tip('have', 3),
      tip('want', 4, { owned: 0 }),
      tip('cut', 2, { owned: 0, base: 'none', opening: { family: 'cutBag', diameterMm: 2 } }),
    ]
    const bags = [bag(1, ['have', 'want']), bag(2, ['want']), bag(3, ['cut'])]
    const said = asked(missingTips, { bags }, order(), drawer(tips))
    expect(said.map((a) => a.about.id)).toEqual(['want'])
    expect(said[0]!.remedy?.change).toEqual({ kind: 'useTip', fromTipId: 'want', toTipId: 'have' })
  })

  it('has no stand-in where nothing owned can do its work', () => {
    const tips = [
      tip('want', 4, { owned: 0 }),
      tip('slot', 1, { opening: { family: 'petal', lengthMm: 10, wideMm: 2, narrowMm: 1 } }),
    ]
    const [said] = asked(missingTips, { bags: [bag(1, ['want'])] }, order(), drawer(tips))
    expect(said!.remedy).toBeNull()
    expect(said!.message).toMatch(/Nothing in it can stand in: buy one/)
  })
})

describe('one tip on several bags', () => {
  const told = (
    bags: Bag[],
    owned: number,
    more: Partial<Planned> = {},
    base: OwnedTip['base'] = 'standard',
  ) => asked(sharedTips, { bags, ...more }, order(), drawer([tip('t', 3, { owned, base })]))
  const three = [bag(1, ['t']), bag(2, ['t']), bag(4, ['t'])]
  it('is told from the first bag that has none of its own, and by number', () => {
    expect(told(three, 3)).toEqual([])
    expect(told(three, 2)[0]).toMatchObject({
      severity: 'note',
      message: expect.stringMatching(/Bags 1, 2, 4 .* there are 2/),
    })
    expect(told(three, 1)[0]!.message).toMatch(/there is one.*with 3 of them nothing is washed/)
  })
  it('is not told of a bag scraped from an earlier one, of cut bags, of a tip not owned, nor twice with a clash', () => {
    expect(told([three[0]!, { ...three[1]!, reuses: 1 }], 1)).toEqual([])
    expect(told(three, 1, {}, 'none')).toEqual([])
    expect(told(three, 0)).toEqual([])
    expect(told(three, 1, { conflicts: [{ tipId: 't', bagNumbers: [1, 2] }] as never })).toEqual([])
  })
})

describe('a tip wanted at once', () => {
  const clash = [{ tipId: 't', bagNumbers: [1, 2] }] as never
  const told = (tips: OwnedTip[], settings: object, bags: Bag[] = []) =>
    asked(tipConflicts, { conflicts: clash, bags }, order(), drawer(tips, settings))[0]!
  const coupled = (n: number, coupler: Bag['coupler']) =>
    Array.from({ length: n }, (_, i) => bag(i + 1, ['t'], { coupler }))
  const buys = 'buy another standard coupler'

  it('names the coupler only where every coupler of its size is on a bag', () => {
    const have = { couplersStandard: 2, couplersLarge: 5 }
    expect(told([tip('t', 3)], have, coupled(1, 'standard')).message).not.toContain('coupler')
    expect(told([tip('t', 3)], have, coupled(2, 'standard')).message).toContain(buys)
    expect(told([tip('t', 3)], have, coupled(4, 'large')).message).not.toContain('coupler')
    const large = [tip('t', 3, { base: 'large' })]
    expect(told(large, { couplersStandard: 5, couplersLarge: 1 }, coupled(1, 'large')).message).toContain(
      'buy another large coupler',
    )
    expect(
      told(large, { couplersStandard: 1, couplersLarge: 2 }, coupled(1, 'standard')).message,
    ).not.toContain('coupler')
  })

  it('offers another tip throughout only where there are as many of it as bags that want one', () => {
    const near = (owned: number) =>
      told([tip('t', 3), tip('near', 3.2, { owned }), tip('far', 6, { owned: 1 })], {})
    expect(near(1).remedy).toBeNull()
    expect(near(1).message).toContain('pipe one of them with')
    expect(near(2).remedy?.change).toEqual({ kind: 'useTip', fromTipId: 't', toTipId: 'near' })
    // the farther one does where only of it there are enough; cut bags are no tip to be mounted
    const far = told([tip('t', 3), tip('near', 3.2), tip('far', 6, { owned: 2 })], {})
    expect(far.remedy?.change).toMatchObject({ toTipId: 'far' })
    expect(told([tip('t', 3), tip('cut', 3, { owned: 9, base: 'none' })], {}).remedy).toBeNull()
    expect(told([tip('t', 3)], {}).message).not.toContain('pipe one of them')
    expect(told([tip('t', 3)], {}).severity).toBe('stop')
  })
})

describe('stock', () => {
  const supply = (kind: Supply['kind'], short: number): Supply =>
    ({
      kind,
      id: kind,
      name: kind,
      needed: 5,
      unit: 'pieces',
      owned: 5 - short,
      short,
      packs: null,
      cost: null,
    }) as Supply
  it('is short of couplers and bags only where one is missing; ingredients are bought and not argued about', () => {
    const said = (short: number) =>
      asked(
        shortStock,
        { supplies: (['coupler', 'bag', 'ingredient', 'tip', 'nail'] as const).map((k) => supply(k, short)) },
        order(),
      )
    expect(said(0)).toEqual([])
    expect(said(2).map((a) => a.code)).toEqual(['couplers-short', 'bags-short'])
    expect(said(1)[0]!.message).toMatch(/5 needed, 4 in the drawer. Wash one between bags, or buy 1 more/)
    expect(said(1)[1]!.message).toMatch(/in the drawer. Buy 1 more/)
  })
  it('stops where nothing holds a bag’s icing', () => {
    const bags = [bag(1, ['t']), bag(2, ['t'], { bagStockId: null })]
    expect(asked(shortStock, { bags }, order())).toMatchObject([
      { code: 'no-bag', severity: 'stop', about: { id: '2' } },
    ])
  })
  it('warns of stiff icing through less than 2 mm²: a round of 1.5 mm has 1.77, one of 1.6 has 2.01', () => {
    const tips = [
      tip('a', 1.5),
      tip('b', 1.6),
      tip('slot', 1, { opening: { family: 'petal', lengthMm: 2, wideMm: 0.5, narrowMm: 0.5 } }),
    ]
    const strained = (stiffness: Bag['stiffness']) =>
      asked(
        handStrain,
        { bags: [bag(1, ['a']), bag(2, ['b']), bag(3, ['slot'])].map((b) => ({ ...b, stiffness })) },
        order(),
        drawer(tips),
      ).map((a) => a.about.id)
    expect(strained('stiff')).toEqual(['1'])
    expect(strained('medium')).toEqual([])
  })
})

describe('colours', () => {
  const colours = (a: string, b: string) => [
    { id: 'a', name: 'A', hex: a },
    { id: 'b', name: 'B', hex: b },
  ]
  it('that are hardly told apart go into the larger bowl; what is spared is what the smaller one leaves behind', () => {
    const close = (a: number, b: number) =>
      asked(
        closeColours,
        { batches: [bowl('a', a), bowl('b', b)] },
        order({ colours: colours('#d98fa0', '#d98ea1') }),
      )[0]!
    expect(close(100, 40).remedy?.change).toEqual({
      kind: 'mergeColours',
      fromColourId: 'b',
      intoColourId: 'a',
    })
    expect(close(40, 100).remedy?.change).toEqual({
      kind: 'mergeColours',
      fromColourId: 'a',
      intoColourId: 'b',
    })
    // 4 g in bags, 5 g in the bowl, 1 g of rounding
    expect(close(100, 40).message).toMatch(/saves 1 bowl and about 10 g/)
    const soft = [bowl('a', 100), bowl('b', 30), bowl('b', 20, { stiffness: 'soft' })]
    const [said] = asked(closeColours, { batches: soft }, order({ colours: colours('#d98fa0', '#d98ea1') }))
    // two portions of one bowl
    expect(said!.message).toMatch(/saves 1 bowl and about 20 g/)
  })
  it('that are told apart, or of which one is not mixed, are left', () => {
    const batches = [bowl('a', 50), bowl('b', 40)]
    expect(asked(closeColours, { batches }, order({ colours: colours('#d98fa0', '#c0607a') }))).toEqual([])
    expect(
      asked(closeColours, { batches: [batches[0]!] }, order({ colours: colours('#d98fa0', '#d98ea1') })),
    ).toEqual([])
  })
  it('that are deep are told from a lightness of 34 down, where they are mixed', () => {
    // greys: L* of #4e4e4e is 33.2, of #525252 it is 34.9
    const said = (batches: Batch[]) =>
      asked(deepColours, { batches }, order({ colours: colours('#4e4e4e', '#525252') })).map(
        (a) => a.about.id,
      )
    expect(said([bowl('a', 50), bowl('b', 50)])).toEqual(['a'])
    expect(said([bowl('b', 50)])).toEqual([])
  })
  it('of a few grams are told under 20 g piped, with what is mixed besides and what it is for', () => {
    const uses = [
      { id: 'u', layerName: 'Stamens' },
      { id: 'v', layerName: 'Petals' },
    ] as never
    const said = (g: number) =>
      asked(tinyBatches, { batches: [bowl('rose', g, { useIds: ['u'] })], uses }, order())
    expect(said(20)).toEqual([])
    expect(said(0)).toEqual([])
    expect(said(19.9)[0]!.message).toMatch(/only 20 g is piped \(stamens\) and 10 g mixed besides/)
  })
})

describe('flowers, icing and pieces', () => {
  const round = catalogueFlowers.find((f) => f.id === 'drop-star-flower')!
  const placed = (flowerId: string, perPiece: number, more: object = {}) => ({
    id: 'f',
    flowerId,
    placement: { kind: 'each', perPiece },
    colours: {},
    ...more,
  })
  const said = (o: Order, workshop: Workshop = starterWorkshop) => planOrder(o, workshop).advice
  const codes = (o: Order, workshop?: Workshop) => said(o, workshop).map((a) => a.code)

  it('as wide as its cupcake a flower stays on it', () => {
    const wide = (sizeMm: number) => codes(cupcakes({ flowers: [placed('rose', 1, { sizeMm })] }))
    expect(wide(59)).not.toContain('wider-than-piece')
    expect(wide(61)).toContain('wider-than-piece')
  })

  it('round things cover 85 % of a top at the most; leaves count half', () => {
    // a top of 60 mm has 2,827 mm²; a flower of 15 mm covers 177: thirteen are 81 %, fourteen 88 %
    const many = (perPiece: number) =>
      codes(cupcakes({ flowers: [placed(round.id, perPiece, { sizeMm: 15 })] }))
    expect(many(13)).not.toContain('too-many-flowers')
    expect(many(14)).toContain('too-many-flowers')
    const advice = said(cupcakes({ flowers: [placed(round.id, 20, { sizeMm: 15 })] })).find(
      (a) => a.code === 'too-many-flowers',
    )!
    expect(advice.remedy?.change).toMatchObject({ perPiece: 13 })
    const leaves = (perPiece: number) =>
      codes(cupcakes({ flowers: [placed('leaf', perPiece, { sizeMm: 15 })] }))
    expect(leaves(26)).not.toContain('too-many-flowers')
    expect(leaves(28)).toContain('too-many-flowers')
  })

  it('an icing that holds nothing up takes no standing petals, one that neither freezes nor dries no nail', () => {
    const able = (can: Partial<IcingKind['can']>): Workshop => ({
      ...starterWorkshop,
      icings: starterWorkshop.icings.map((i) =>
        i.id === 'butter-sugar' ? { ...i, can: { ...i.can, ...can } } : i,
      ),
    })
    const rose = cupcakes({ flowers: [placed('rose', 1)] })
    const has = (can: Partial<IcingKind['can']>) => {
      const found = codes(rose, able(can))
      return [found.includes('petals-fall'), found.includes('cannot-lift')]
    }
    expect(has({})).toEqual([false, false])
    expect(has({ standUpright: false })).toEqual([true, false])
    expect(has({ freeze: false, dryHard: false })).toEqual([false, true])
    expect(has({ freeze: false, dryHard: true })).toEqual([false, false])
    // the icing of the piece counts, not that of the order
    const royal = catalogueIcings.find((i) => i.id === 'royal')!
    expect(royal.can.dryHard).toBe(true)
    const onPiece = { ...rose, pieces: rose.pieces.map((p) => ({ ...p, icingKindId: 'royal' })) }
    expect(codes(onPiece, able({ freeze: false, standUpright: false }))).not.toContain('cannot-lift')
  })

  it('a flower made larger than its nail and 8 mm asks for another', () => {
    const rose = catalogueFlowers.find((f) => f.id === 'rose')!
    const at = (over: number) =>
      codes(
        cupcakes({
          shape: { kind: 'cupcake', diameterMm: 110, domeMm: 0 },
          flowers: [placed('rose', 1, { sizeMm: rose.nailMm! + over })],
        }),
      )
    expect(at(7)).not.toContain('wider-than-nail')
    expect(at(9)).toContain('wider-than-nail')
  })

  it('the lid is touched by what stands on dome and coat, not where it is finished on site', () => {
    const touches = (boxMm: number, domeMm: number, more: object = {}) =>
      codes(
        cupcakes(
          { shape: { kind: 'cupcake', diameterMm: 60, domeMm }, flowers: [placed('rose', 1)] },
          { boxMm, ...more },
        ),
      ).includes('touches-the-lid')
    // the lowest box that does on a flat cupcake is too low by the dome on a domed one
    const lowest = Array.from({ length: 60 }, (_, i) => 10 + i).find((mm) => !touches(mm, 0))!
    expect(lowest).toBeGreaterThan(15)
    expect(touches(lowest, 12)).toBe(true)
    expect(touches(lowest + 12, 12)).toBe(false)
    expect(touches(lowest - 5, 0, { travel: 'onSite' })).toBe(false)
  })

  it('raw egg is a decision, an allergen a stop that comes first', () => {
    const raw: Workshop = {
      ...starterWorkshop,
      icings: starterWorkshop.icings.map((i) => (i.id === 'butter-sugar' ? { ...i, rawEgg: true } : i)),
    }
    const o = cupcakes({ flowers: [placed('rose', 1)] }, { avoid: ['milk', 'egg'] })
    const found = said(o, raw)
    expect(found[0]).toMatchObject({ code: 'allergen', severity: 'stop' })
    expect(found.filter((a) => a.code === 'allergen')).toHaveLength(1)
    expect(found.find((a) => a.code === 'raw-egg')).toMatchObject({ severity: 'decide' })
    const ranks = found.map((a) => ['stop', 'decide', 'note'].indexOf(a.severity))
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
  })
})
