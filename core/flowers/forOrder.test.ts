import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFaults } from '../model/faults.ts'
import type { Order } from '../model/order.ts'
import { mergeOrders } from '../orders/day.ts'
import { planOrder } from '../plan/index.ts'
import { replaceColour } from '../plan/remedies.ts'
import { allIn, wearing } from '../plan/testing.ts'
import { brokenLayers } from '../plan/work/broken.ts'
import { openingSlot } from '../tips/index.ts'
import { areaShare } from '../tips/slot.ts'
import { extraKinds, extraLayer } from './extras.ts'
import { flowerForOrder } from './forOrder.ts'
import { fitFlower } from './resolve.ts'

const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
const order = (more: object): Order =>
  wearing(10, [{ ...allIn('rose', 'pink'), id: 'f', ...more }], {
    practicePerFlower: 0,
    safety: 'tight',
    colours: [
      { id: 'pink', name: 'Pink', hex: '#e8a0b4' },
      { id: 'plum', name: 'Plum', hex: '#703050' },
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
    const same = { leftOut: [], twoTone: {}, layerColours: {}, added: [], colours: {} }
    expect(flowerForOrder(rose, same).flower).toBe(rose)
    const wish = { ...same, leftOut: [rose.layers[0]!.id] }
    expect(flowerForOrder(rose, wish).flower).toBe(flowerForOrder(rose, { ...wish }).flower)
  })
})

describe('layers that an order adds', () => {
  const tips = starterWorkshop.tips
  const added = (flowerId: string, kindId: string, sizeMm: number | null = null) => {
    const flower = starterWorkshop.flowers.find((f) => f.id === flowerId)!
    const kind = extraKinds.find((k) => k.id === kindId)!
    const fitted = fitFlower(flower, { sizeMm, tips: {} }, tips)
    return { flower, fitted, layer: extraLayer(kind, fitted, tips, 'extra')! }
  }

  it('are mixed in their own colour, and leave the rest as it was', () => {
    const { layer } = added('rose', 'stamens')
    const more = order({ added: [{ layer, colourId: 'plum' }] })
    expect(orderFaults(more, starterWorkshop)).toEqual([])
    expect(piped(more, 'pink')).toBeCloseTo(piped(order({}), 'pink'), 9)
    expect(piped(more, 'plum')).toBeGreaterThan(0.1)
    const use = planOrder(more, starterWorkshop).uses.find((u) => u.layerId === 'extra')!
    expect([use.strokes, use.layerName, use.stiffness]).toEqual([9 * 10, 'Loose stamens', 'soft'])
    expect(brokenLayers(planOrder(more, starterWorkshop), starterWorkshop)).toEqual([])
  })

  it('stand on what is there and make no flower wider, whatever its size', () => {
    for (const flowerId of ['rose', 'daisy', 'hellebore', 'poppy', 'drop-star-flower'])
      for (const { id } of extraKinds)
        for (const sizeMm of flowerId === 'daisy' ? [null, 30] : [null]) {
          const { flower, fitted, layer } = added(flowerId, id, sizeMm)
          const wanted = flowerForOrder(flower, {
            ...{ leftOut: [], twoTone: {}, layerColours: {}, colours: {} },
            added: [{ layer, colourId: 'x' }],
          }).flower
          const { measure } = fitFlower(wanted, { sizeMm, tips: {} }, tips)
          expect(Math.abs(measure.diameterMm / fitted.measure.diameterMm - 1)).toBeLessThan(0.03)
          // not a gram of the flower itself changes
          measure.layers.slice(0, -1).forEach((l, i) => {
            expect(l.volumeMm3).toBeCloseTo(fitted.measure.layers[i]!.volumeMm3, 6)
          })
          expect(layer.heightMm * fitted.factor).toBeLessThanOrEqual(fitted.measure.heightMm)
          expect(layer.heightMm).toBeGreaterThan(0)
        }
  })

  it('are recoloured when their colour is given up, and refused where colour, tip or id cannot be', () => {
    const { layer } = added('rose', 'pips')
    const more = order({ added: [{ layer, colourId: 'plum' }] })
    expect(replaceColour(more, 'plum', 'pink').pieces[0]!.flowers[0]!.added[0]!.colourId).toBe('pink')
    const wrong = order({
      added: [
        { layer: { ...layer, tipId: 'petal-17' }, colourId: 'gone' },
        { layer: { ...layer, id: rose.layers[0]!.id }, colourId: 'pink' },
      ],
    })
    const there = ['pieces', 0, 'flowers', 0, 'added']
    expect(orderFaults(wrong, starterWorkshop).map((f) => f.path)).toEqual([
      [...there, 0, 'colourId'],
      [...there, 0, 'layer', 'tipId'],
      [...there, 1, 'layer', 'id'],
    ])
  })
})
