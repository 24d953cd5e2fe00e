import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { readBakeryFile, withBakery } from '../files/bakeryFile.ts'
import { orderFileSchema } from '../files/orderFile.ts'
import { type Order, orderSchema } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { newOrder } from '../orders/new.ts'

/** Colours of every order that is made at random. */
export const COLOURS = ['a', 'b', 'c']
const placed = fc
  .record({
    flower: fc.constantFrom(...catalogueFlowers.filter((f) => f.form !== 'border')),
    perPiece: fc.integer({ min: 1, max: 6 }),
    picks: fc.array(fc.constantFrom(...COLOURS), { minLength: 6, maxLength: 6 }),
  })
  .map(({ flower, perPiece, picks }) => ({
    flowerId: flower.id,
    placement: { kind: 'each', perPiece },
    colours: Object.fromEntries(flower.roles.map((r, i) => [r.id, picks[i % 6]])),
  }))
const piece = fc.record({
  count: fc.integer({ min: 1, max: 40 }),
  coated: fc.boolean(),
  flowers: fc.array(placed, { minLength: 1, maxLength: 4 }),
})
/** Orders of a few pieces in three colours, made at random: for rules that hold whatever is ordered. */
export const orders = fc.array(piece, { minLength: 2, maxLength: 5 }).map((pieces) =>
  orderSchema.parse({
    ...newOrder('a', 'Fair', '2026-12-01T10:00', 'butter-sugar'),
    colours: COLOURS.map((id, i) => ({ id, name: id, hex: ['#f0e0c0', '#a04060', '#405030'][i] })),
    pieces: pieces.map((p, i) => ({
      id: `p${i}`,
      name: `Piece ${i}`,
      count: p.count,
      shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
      coat: p.coated ? { colourId: 'a', thicknessMm: 2, stiffness: 'medium' } : null,
      flowers: p.flowers.map((f, k) => ({ id: `f${k}`, ...f })),
    })),
  }),
)

const demoFile = (name: string): unknown => JSON.parse(readFileSync(`demo/${name}.json`, 'utf8'))

/** An order of the demo bakery. */
export const demoOrder = (name: 'observatory' | 'allotment' | 'reading-room'): Order =>
  orderFileSchema.parse(demoFile(name)).order

/** The starter workshop as the demo bakery has it: its own tips, dyes and settings. */
export function demoWorkshop(): Workshop {
  const bakery = readBakeryFile(demoFile('bakery'), starterWorkshop)
  if (!bakery.ok) throw new Error('The demo bakery does not read.')
  return withBakery(starterWorkshop, bakery.value)
}

/** Every role of a library flower in one colour. */
export const allIn = (flowerId: string, colourId: string) => ({
  flowerId,
  colours: Object.fromEntries(
    starterWorkshop.flowers.find((f) => f.id === flowerId)!.roles.map((r) => [r.id, colourId]),
  ),
})

/** An order for cupcakes that each wear one of every flower given; `more` is the order's own. */
export const wearing = (count: number, flowers: readonly object[], more: object): Order =>
  orderSchema.parse({
    ...newOrder('a', 'Cupcakes', '2026-12-01T10:00', 'butter-sugar'),
    pieces: [
      {
        id: 'p',
        name: 'Cupcakes',
        count,
        shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
        flowers: flowers.map((f, i) => ({ id: `f${i}`, placement: { kind: 'each', perPiece: 1 }, ...f })),
      },
    ],
    ...more,
  })
