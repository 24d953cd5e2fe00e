import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFaults } from '../model/faults.ts'
import { type Order, orderSchema } from '../model/order.ts'
import { mergeOrders } from '../orders/day.ts'
import { newOrder } from '../orders/new.ts'
import { planOrder } from '../plan/index.ts'
import { replaceColour } from '../plan/remedies.ts'
import { openingSlot } from '../tips/index.ts'
import { areaShare } from '../tips/slot.ts'
import { flowerForOrder } from './forOrder.ts'

const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
const order = (more: object): Order =>
  orderSchema.parse({
    ...newOrder('a', 'Roses', '2026-12-01T10:00', 'butter-sugar'),
    practicePerFlower: 0,
    safety: 'tight',
    colours: [
      { id: 'pink', name: 'Pink', hex: '#e8a0b4' },
      { id: 'plum', name: 'Plum', hex: '#703050' },
    ],
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
            colours: Object.fromEntries(rose.roles.map((r) => [r.id, 'pink'])),
            ...more,
          },
        ],
      },
    ],
  })
const piped = (of: Order, colourId: string) =>
  planOrder(of, starterWorkshop).uses.reduce(
    (sum, u) => sum + u.parts.reduce((s, p) => s + (p.colourId === colourId ? p.piped : 0), 0),
    0,
  )
const petal = rose.roles.find((r) => r.id === 'petal')!.id

describe('a flower otherwise than its recipe', () => {
  it('in two tones weighs the same, and its second colour takes its side of every slot', () => {
    const plain = order({})
    const toned = order({ twoTone: { [petal]: { kind: 'striped', colourId: 'plum', share: 0.3 } } })
    expect(orderFaults(toned, starterWorkshop)).toEqual([])
    expect(piped(toned, 'pink') + piped(toned, 'plum')).toBeCloseTo(piped(plain, 'pink'), 6)
    const uses = planOrder(toned, starterWorkshop).uses
    const striped = uses.filter((u) => u.layout === 'striped')
    expect(striped.length).toBeGreaterThan(2)
    for (const use of striped) {
      const slot = openingSlot(starterWorkshop.tips.find((t) => t.id === use.tipId)!.opening)!
      const all = use.parts.reduce((sum, p) => sum + p.piped, 0)
      const plum = use.parts.find((p) => p.colourId === 'plum')!
      expect(plum.piped / all).toBeCloseTo(areaShare(slot, 0.3), 9)
      expect(use.fixedTip).toBe(true)
    }
  })

  it('without a layer is lighter by just that layer', () => {
    const plain = planOrder(order({}), starterWorkshop)
    const last = rose.layers.at(-1)!
    const without = planOrder(order({ leftOut: [last.id] }), starterWorkshop)
    const layer = plain.uses.find((u) => u.layerId === last.id)!
    expect(without.uses.some((u) => u.layerId === last.id)).toBe(false)
    expect(plain.totals.pipedGrams - without.totals.pipedGrams).toBeCloseTo(layer.parts[0]!.piped, 6)
  })

  it('is refused when nothing is left of it, or its colour is not there', () => {
    const none = order({ leftOut: rose.layers.map((l) => l.id) })
    expect(orderFaults(none, starterWorkshop)[0]!.message).toMatch(/Nothing is left of Classic rose/)
    const strange = order({ twoTone: { [petal]: { kind: 'halves', colourId: 'teal', share: 0.3 } } })
    expect(orderFaults(strange, starterWorkshop)[0]!.path.join('/')).toBe(
      'pieces/0/flowers/0/twoTone/petal/colourId',
    )
  })

  it('goes along when colours are merged, and into a bench day', () => {
    const toned = order({ twoTone: { [petal]: { kind: 'halves', colourId: 'plum', share: 0.3 } } })
    expect(replaceColour(toned, 'plum', 'pink').pieces[0]!.flowers[0]!.twoTone[petal]!.colourId).toBe('pink')
    const day = mergeOrders([toned, toned])
    expect(orderFaults(day, starterWorkshop)).toEqual([])
    expect(piped(day, day.pieces[0]!.flowers[0]!.twoTone[petal]!.colourId)).toBeCloseTo(
      2 * piped(toned, 'plum'),
      6,
    )
  })

  it('is the recipe itself where nothing is otherwise, and the same object for the same wish', () => {
    const same = { leftOut: [], twoTone: {}, colours: {} }
    expect(flowerForOrder(rose, same).flower).toBe(rose)
    const wish = { ...same, leftOut: [rose.layers[0]!.id] }
    expect(flowerForOrder(rose, wish).flower).toBe(flowerForOrder(rose, { ...wish }).flower)
  })
})
