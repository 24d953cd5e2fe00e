import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Flower } from '../model/flower.ts'
import type { IcingKind } from '../model/icing.ts'
import { orderSchema } from '../model/order.ts'
import type { Tip } from '../model/tip.ts'
import type { Workshop } from '../model/workshop.ts'
import { allIn, wearing } from '../plan/testing.ts'
import { type OrderFile, orderFileSchema, writeOrderFile } from './orderFile.ts'
import { type Reserved, takeInFlower, takeInOrder } from './takeIn.ts'

const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
const royal = starterWorkshop.icings.find((i) => i.id === 'royal')!
const OURS: Tip = { id: 'own-tip', opening: { family: 'round', diameterMm: 2.2 }, base: 'standard' }
const THEIRS: Tip = { ...OURS, opening: { family: 'round', diameterMm: 5 } }
const ownRose: Flower = {
  ...rose,
  id: 'own-rose',
  name: 'Our rose',
  source: 'own',
  layers: rose.layers.map((l, i) => (i === 0 ? { ...l, tipId: OURS.id } : l)),
}
const ownRoyal: IcingKind = { ...royal, id: 'own-royal', name: 'Our royal', source: 'own' }
const NONE: Reserved = { flowers: new Set(), icings: new Set(), tips: new Set() }

/** A workshop with our own tip, recipe and icing kind. */
const here: Workshop = {
  ...starterWorkshop,
  tips: [...starterWorkshop.tips, { ...OURS, owned: 2, stamp: 'two and a bit', source: 'own' }],
  flowers: [...starterWorkshop.flowers, ownRose],
  icings: [...starterWorkshop.icings, ownRoyal],
}

/** An order that names our things in every place where an order can. */
const order = orderSchema.parse({
  ...wearing(
    4,
    [
      {
        ...allIn('rose', 'pink'),
        id: 'f',
        flowerId: ownRose.id,
        tips: { [rose.layers[1]!.id]: OURS.id },
        added: [
          {
            layer: { ...rose.layers[0], id: 'extra', tipId: OURS.id, load: { kind: 'plain', role: 'added' } },
            colourId: 'pink',
          },
        ],
      },
    ],
    { icingKindId: ownRoyal.id },
  ),
})
const pieces = order.pieces.map((p) => ({ ...p, icingKindId: ownRoyal.id }))
const theirs = (change: Partial<OrderFile> = {}): OrderFile =>
  orderFileSchema.parse({ ...writeOrderFile({ ...order, pieces }, here), ...change })

const taking = (file: OrderFile, into: Workshop, reserved = NONE) => {
  let made = 0
  return takeInOrder(file, into, reserved, () => `new-${++made}`)
}
const placed = (taken: ReturnType<typeof taking>) => taken.order.pieces[0]!.flowers[0]!

describe('the file of an order', () => {
  it('carries what of ours it is made with, and nothing from the catalogue', () => {
    const file = theirs()
    expect(file.flowers.map((f) => f.id)).toEqual(['own-rose'])
    expect(file.icings.map((i) => i.id)).toEqual(['own-royal'])
    expect(file.tips).toEqual([OURS])
  })

  it('carries a tip that only an added layer, or only a chosen tip, names', () => {
    const only = (change: object) => {
      const flowers = [{ ...order.pieces[0]!.flowers[0]!, flowerId: 'rose', tips: {}, added: [], ...change }]
      return writeOrderFile({ ...order, pieces: [{ ...order.pieces[0]!, flowers }] }, here).tips
    }
    expect(only({})).toEqual([])
    expect(only({ added: order.pieces[0]!.flowers[0]!.added })).toEqual([OURS])
    expect(only({ tips: { [rose.layers[1]!.id]: OURS.id } })).toEqual([OURS])
  })
})

describe('taking a file in', () => {
  it('brings everything to where it is not, under the ids that it has', () => {
    const taken = taking(theirs(), starterWorkshop)
    expect([taken.flowers.length, taken.icings.length, taken.tips]).toEqual([1, 1, [OURS]])
    expect(taken.notes).toEqual([])
    expect(taken.order).toEqual({ ...order, pieces })
  })

  it('brings nothing to where all of it is already, whatever it is called there', () => {
    const calledOtherwise = {
      ...here,
      flowers: here.flowers.map((f) =>
        f.id === ownRose.id ? { ...f, name: 'Rosy', note: 'x', spoilRate: 0.2, calibration: 1.3 } : f,
      ),
      icings: here.icings.map((i) => (i.id === ownRoyal.id ? { ...i, name: 'Hard' } : i)),
    }
    for (const into of [here, calledOtherwise]) {
      const taken = taking(theirs(), into)
      expect([taken.flowers, taken.icings, taken.tips, taken.notes]).toEqual([[], [], [], []])
      expect(taken.order.pieces[0]!.flowers[0]!.flowerId).toBe('own-rose')
    }
  })

  it('a tip of the same id and another opening comes in as a new one, wherever the order or its recipe names it', () => {
    const taken = taking(theirs({ tips: [THEIRS] }), here)
    expect(taken.tips).toEqual([{ ...THEIRS, id: 'new-1' }])
    expect(taken.notes.some((n) => n.includes('another opening'))).toBe(true)
    expect(placed(taken).tips).toEqual({ [rose.layers[1]!.id]: 'new-1' })
    expect(placed(taken).added.map((a) => a.layer.tipId)).toEqual(['new-1'])
    // the recipe is piped through it, so it is another recipe than ours
    const [recipe] = taken.flowers
    expect(recipe).toMatchObject({ id: placed(taken).flowerId, source: 'own' })
    expect(recipe!.layers[0]!.tipId).toBe('new-1')
    expect(recipe!.layers[1]!.tipId).toBe(rose.layers[1]!.tipId)
  })

  it('a recipe that differs in anything that is piped is another one; ours keeps its name', () => {
    const changes: Partial<Flower>[] = [
      { layers: ownRose.layers.slice(1) },
      { setting: 'inPlace', nailMm: null },
      { roles: ownRose.roles.map((r) => ({ ...r, hex: '#010203' })) },
      { layers: ownRose.layers.map((l) => ({ ...l, count: l.count + 1 })) },
    ]
    for (const change of changes) {
      const taken = taking(theirs({ flowers: [{ ...ownRose, ...change }] }), here)
      expect(taken.flowers).toMatchObject([{ id: 'new-1', name: 'Our rose (from the file)' }])
      expect(placed(taken).flowerId).toBe('new-1')
      expect(taken.notes).toHaveLength(1)
      expect(taken.notes[0]).toMatch(
        /“Our rose” in the file is another recipe .* “Our rose \(from the file\)”/,
      )
    }
    // capitals in a hex are the same colour
    const capitals = ownRose.roles.map((r) => ({ ...r, hex: r.hex.toUpperCase() }))
    expect(taking(theirs({ flowers: [{ ...ownRose, roles: capitals }] }), here).flowers).toEqual([])
  })

  it('an icing kind that differs comes in beside ours, and order and pieces follow it', () => {
    const taken = taking(theirs({ icings: [{ ...ownRoyal, density: 1.5 }] }), here)
    expect(taken.icings).toMatchObject([{ id: 'new-1', density: 1.5, name: 'Our royal (from the file)' }])
    expect(taken.order.icingKindId).toBe('new-1')
    expect(taken.order.pieces[0]!.icingKindId).toBe('new-1')
  })

  it('a second one of the same name is told apart from the first', () => {
    const once: Workshop = {
      ...here,
      flowers: [...here.flowers, { ...ownRose, id: 'before', name: 'Our rose (from the file)' }],
    }
    const [flower] = taking(theirs({ flowers: [{ ...ownRose, pitchMm: 9 }] }), once).flowers
    expect(new Set([...once.flowers.map((f) => f.name), flower!.name]).size).toBe(once.flowers.length + 1)
  })

  it('what was deleted here keeps its id: it can be brought back', () => {
    const deleted = {
      flowers: new Set(['own-rose']),
      icings: new Set(['own-royal']),
      tips: new Set(['own-tip']),
    }
    const taken = taking(theirs(), starterWorkshop, deleted)
    expect(taken.tips[0]!.id).not.toBe('own-tip')
    expect(taken.icings[0]!.id).not.toBe('own-royal')
    expect(taken.flowers[0]!.id).not.toBe('own-rose')
    expect(taken.flowers[0]!.layers[0]!.tipId).toBe(taken.tips[0]!.id)
    expect(taken.order.icingKindId).toBe(taken.icings[0]!.id)
  })
})

describe('taking a flower in', () => {
  const file = { format: 'kanten-flower', schemaVersion: 1, flower: ownRose, tips: [OURS] } as const
  const into = (workshop: Workshop, tips: Tip[] = [OURS], reserved = NONE) =>
    takeInFlower({ ...file, tips }, workshop, reserved, () => 'new')

  it('it always comes in, by another name and id where both are taken', () => {
    expect(into(starterWorkshop).flower).toMatchObject({ id: 'own-rose', name: 'Our rose', source: 'own' })
    const again = into(here).flower
    expect(again.id).toBe('new')
    expect(again.name).not.toBe('Our rose')
    expect(into(starterWorkshop, [OURS], { ...NONE, flowers: new Set(['own-rose']) }).flower.id).toBe('new')
  })

  it('with its tip, once', () => {
    expect(into(starterWorkshop).tips).toEqual([OURS])
    expect(into(here).tips).toEqual([])
    const other = into(here, [THEIRS])
    expect(other.tips).toMatchObject([{ id: 'new', opening: THEIRS.opening }])
    expect(other.flower.layers[0]!.tipId).toBe('new')
    expect(other.notes).toHaveLength(1)
  })
})
