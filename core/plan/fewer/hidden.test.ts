import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import { orderFaults } from '../../model/faults.ts'
import type { Order } from '../../model/order.ts'
import { planOrder } from '../index.ts'
import { replaceColour } from '../remedies.ts'
import { allIn, wearing } from '../testing.ts'
import { hiddenOffer, piped } from './hidden.ts'

const order = (flowers: readonly object[]): Order =>
  wearing(12, flowers, {
    colours: [
      { id: 'dusk', name: 'Dusk', hex: '#8f86b2' },
      { id: 'brass', name: 'Brass', hex: '#b98b2f' },
    ],
  })
const grams = (of: Order, colourId: string) =>
  planOrder(of, starterWorkshop).uses.reduce(
    (sum, u) => sum + u.parts.reduce((s, p) => s + (p.colourId === colourId ? p.piped : 0), 0),
    0,
  )

describe('what nobody sees', () => {
  const own = order([allIn('rose', 'dusk'), allIn('dahlia', 'brass')])
  const offer = hiddenOffer(own, starterWorkshop)!

  it('is the cone and the dome under petals, and no centre', () => {
    expect(offer.layers.map((l) => l.words)).toEqual(['classic rose cone', 'dahlia dome'])
    const centre = order([allIn('daisy', 'brass')])
    expect(hiddenOffer(centre, starterWorkshop)).toBeNull()
  })

  it('goes into plain icing gram for gram, which needs no dye and is no fault', () => {
    const then = piped(own, starterWorkshop, offer.layers, null)
    expect(orderFaults(then, starterWorkshop)).toEqual([])
    expect(grams(then, 'plain')).toBeCloseTo(offer.grams, 6)
    const both = (of: Order) => grams(of, 'dusk') + grams(of, 'brass')
    expect(both(then)).toBeCloseTo(both(own) - offer.grams, 6)
    expect(then.colours.find((c) => c.id === 'plain')!.dyeIds).toEqual([])
  })

  it('saves what each choice says, the whole plan worked out again', () => {
    const before = planOrder(own, starterWorkshop)
    for (const { colourId, saves } of offer.choices) {
      const then = planOrder(piped(own, starterWorkshop, offer.layers, colourId), starterWorkshop)
      expect(before.totals.handsOnMinutes - then.totals.handsOnMinutes).toBeCloseTo(saves.minutes, 9)
      expect(before.bags.length - then.bags.length).toBe(saves.bags)
    }
    expect(offer.choices.at(-1)!.colourId).toBeNull()
  })

  it('is settled once chosen, and follows its colour when that is given up', () => {
    const then = piped(own, starterWorkshop, offer.layers, 'brass')
    expect(hiddenOffer(then, starterWorkshop)).toBeNull()
    const given = replaceColour(then, 'brass', 'dusk')
    expect(given.pieces[0]!.flowers[0]!.layerColours).toEqual({ cone: 'dusk' })
  })
})
