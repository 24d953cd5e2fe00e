import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import { flowerSchema } from '../../model/flower.ts'
import type { Plan } from '../../model/plan.ts'
import { beginStep } from '../../model/toolStep.ts'
import type { Workshop } from '../../model/workshop.ts'
import { planOrder } from '../index.ts'
import { allIn, wearing } from '../testing.ts'
import { brokenLayers } from './broken.ts'

const pansy = starterWorkshop.flowers.find((f) => f.id === 'pansy')!
const fresh = beginStep({ kind: 'notch', deepMm: 1, widthMm: 3, count: 1 }, 'n', { secondsEach: 6 })
const dry = beginStep({ kind: 'wash', to: 0.4, widthMm: 0.8 }, 'w', { secondsEach: 9 })
/** The pansy with these steps on its two back petals, and none elsewhere. */
function workshopWith(steps: (typeof fresh)[], more: object = {}): Workshop {
  const layers = pansy.layers.map((l) => ({ ...l, tools: l.name === 'Back petals' ? steps : [] }))
  const flower = flowerSchema.parse({ ...pansy, ...more, layers })
  return {
    ...starterWorkshop,
    flowers: starterWorkshop.flowers.map((f) => (f.id === 'pansy' ? flower : f)),
  }
}
const order = wearing(6, [{ ...allIn('pansy', 'c'), id: 'f' }], {
  practicePerFlower: 0,
  colours: [{ id: 'c', name: 'Cream', hex: '#efe6cd' }],
})
const backs = (plan: Plan) => plan.uses.find((u) => u.layerName === 'Back petals')!
const kinds = (plan: Plan) =>
  plan.sequence.map((s) => s.kind).filter((k) => ['pipe', 'work', 'lift'].includes(k))

describe('tool steps in a plan', () => {
  const [none, wet, both] = [[], [fresh], [fresh, dry]].map((s) => planOrder(order, workshopWith(s)))

  it('take the seconds of each stroke, and add no icing, bag, tip or bowl', () => {
    // two petals on each of six flowers
    expect(backs(wet!).seconds - backs(none!).seconds).toBeCloseTo(6 * 2 * 6, 9)
    expect(backs(both!).seconds - backs(wet!).seconds).toBeCloseTo(6 * 2 * 9, 9)
    expect(both!.hands.piping).toBeGreaterThan(none!.hands.piping)
    for (const plan of [wet!, both!]) {
      expect(plan.totals.mixedGrams).toBeCloseTo(none!.totals.mixedGrams, 9)
      expect(plan.totals.pipedGrams).toBeCloseTo(none!.totals.pipedGrams, 9)
      expect(plan.bags.map((b) => [b.number, b.grams])).toEqual(none!.bags.map((b) => [b.number, b.grams]))
      expect(plan.supplies).toEqual(none!.supplies)
    }
  })

  it('that are done while it is fresh belong to the piping; on dry icing they are work of their own, before lifting', () => {
    expect(kinds(wet!)).toEqual(kinds(none!))
    const order = kinds(both!)
    expect(order.filter((k) => k === 'work')).toHaveLength(1)
    expect(order.indexOf('work')).toBeGreaterThan(order.lastIndexOf('pipe'))
    expect(order.indexOf('work')).toBeLessThan(order.indexOf('lift'))
    const step = both!.sequence.find((s) => s.kind === 'work')!
    expect(step).toMatchObject({ useIds: [backs(both!).id], bagNumbers: [], repeats: 1 })
    expect(backs(both!).tools).toEqual([
      { words: 'Notch the edge, with a toothpick, while it is fresh', fresh: true },
      {
        words:
          'Wash the heart with colour, with a fine paint brush in brown food colour, when dry, the next day',
        fresh: false,
      },
    ])
  })

  it('come once for each flower where it is piped on several pieces', () => {
    const [piece] = order.pieces
    const two = { ...order, pieces: [piece!, { ...piece!, id: 'other', name: 'Other' }] }
    const plan = planOrder(two, workshopWith([dry]))
    const steps = plan.sequence.filter((s) => s.kind === 'work')
    expect(steps.flatMap((s) => s.pieceIds).sort()).toEqual([piece!.id, 'other'].sort())
  })

  it('are there in one bowl through all colours too', () => {
    const chain = { school: 'carryOver' as const, chain: [{ colourId: 'c', carriedShare: 0.2 }] }
    const plan = planOrder({ ...order, mixing: chain }, workshopWith([dry]))
    expect(kinds(plan).filter((k) => k === 'work')).toHaveLength(1)
    expect(brokenLayers(plan, workshopWith([dry]))).toEqual([])
  })

  it('before their layer is piped, or left out, are found by the reader of plans', () => {
    const workshop = workshopWith([dry])
    expect(brokenLayers(both!, workshop)).toEqual([])
    const work = both!.sequence.find((s) => s.kind === 'work')!
    const rest = both!.sequence.filter((s) => s !== work)
    expect(brokenLayers({ ...both!, sequence: [work, ...rest] }, workshop)).toEqual([backs(both!).id])
    expect(brokenLayers({ ...both!, sequence: rest }, workshop)).toEqual([backs(both!).id])
  })

  it('go with a layer that an order leaves out', () => {
    const [piece] = order.pieces
    const flowers = [
      { ...piece!.flowers[0]!, leftOut: [pansy.layers.find((l) => l.name === 'Back petals')!.id] },
    ]
    const plan = planOrder({ ...order, pieces: [{ ...piece!, flowers }] }, workshopWith([dry]))
    expect(kinds(plan)).not.toContain('work')
    expect(plan.uses.every((u) => u.tools.length === 0)).toBe(true)
  })
})
