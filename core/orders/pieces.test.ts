import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFaults } from '../model/faults.ts'
import { orderSchema, pieceSchema } from '../model/order.ts'
import { surfaces } from '../surfaces/index.ts'
import { duplicatePiece, newOrder, newPiece } from './new.ts'
import { placeFlower } from './place.ts'

const empty = newOrder('o', 'Tea', '2026-12-01T10:00', 'butter-sugar')
const counting = () => {
  let made = 0
  return () => `id-${++made}`
}
const flower = (id: string) => catalogueFlowers.find((f) => f.id === id)!
const kinds = Object.keys(surfaces) as (keyof typeof surfaces)[]

describe('beginning', () => {
  it('an order is one that can be stored, with nothing in it', () => {
    expect(orderSchema.parse(empty)).toEqual(empty)
    expect(orderFaults(empty, starterWorkshop)).toEqual([])
  })

  it.each(kinds)('a %s is one that can be stored, of a size that is baked, and bare', (kind) => {
    const piece = newPiece('p', kind)
    expect(pieceSchema.parse(piece)).toEqual(piece)
    expect(piece).toMatchObject({ id: 'p', shape: { kind }, coat: null, filling: null, flowers: [] })
    // what is changed in one must not turn up in the next
    piece.flowers.push({} as never)
    expect(newPiece('q', kind).flowers).toEqual([])
  })

  it('a copy of a piece shares nothing by id with it, and wears the same', () => {
    const newId = counting()
    const { order } = placeFlower(
      { ...empty, pieces: [newPiece('p', 'cupcake')] },
      'p',
      flower('rose'),
      newId,
    )
    const [piece] = order.pieces
    const copy = duplicatePiece({ ...piece!, name: 'x'.repeat(80) }, newId)
    expect(copy.id).not.toBe('p')
    expect(copy.flowers[0]!.id).not.toBe(piece!.flowers[0]!.id)
    expect({ ...copy.flowers[0]!, id: '' }).toEqual({ ...piece!.flowers[0]!, id: '' })
    expect(pieceSchema.safeParse(copy).success).toBe(true)
    expect(orderFaults({ ...order, pieces: [piece!, copy] }, starterWorkshop)).toEqual([])
  })
})

describe('putting a flower on a piece', () => {
  const bare = { ...empty, pieces: [newPiece('p', 'cupcake'), newPiece('q', 'cookie')] }

  it.each(catalogueFlowers.map((f) => [f.id] as const))(
    '%s comes with all its colours, ready to be planned',
    (id) => {
      const { order, placedId } = placeFlower(bare, 'p', flower(id), counting())
      expect(orderFaults(order, starterWorkshop)).toEqual([])
      const placed = order.pieces[0]!.flowers[0]!
      expect(placed.id).toBe(placedId)
      const roles = flower(id).roles
      for (const role of roles) {
        const colour = order.colours.find((c) => c.id === placed.colours[role.id])!
        expect(colour.hex).toBe(role.hex)
      }
      // a colour for each different hex, no more
      expect(order.colours).toHaveLength(new Set(roles.map((r) => r.hex)).size)
      expect(order.pieces[1]!.flowers).toEqual([])
      expect(bare.colours).toEqual([])
    },
  )

  it('once, goes round the rim for a border, and one to a piece for all else', () => {
    for (const f of catalogueFlowers) {
      const placement = placeFlower(bare, 'p', f, counting()).order.pieces[0]!.flowers[0]!.placement
      expect(placement).toEqual(
        f.form === 'border' ? { kind: 'border', edge: 'top', tier: 0 } : { kind: 'each', perPiece: 1 },
      )
    }
  })

  it('takes a colour of the order that is near, and leaves one that is not', () => {
    const rose = flower('rose')
    const petal = rose.roles.find((r) => r.id === 'petal')!
    const rgb = [1, 3, 5].map((i) => Number.parseInt(petal.hex.slice(i, i + 2), 16))
    const shifted = (by: number) =>
      `#${rgb
        .map((c) =>
          Math.min(255, Math.max(0, c - by))
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`
    const colourOf = (hex: string) => {
      const order = { ...bare, colours: [{ id: 'own', name: 'Own', hex, dyeIds: null }] }
      const placed = placeFlower(order, 'p', rose, counting()).order.pieces[0]!.flowers[0]!
      return placed.colours.petal
    }
    expect(colourOf(petal.hex)).toBe('own')
    expect(colourOf(shifted(12))).toBe('own')
    expect(colourOf(shifted(110))).not.toBe('own')
  })

  it('a second flower of the same kind brings no colour again', () => {
    const newId = counting()
    const once = placeFlower(bare, 'p', flower('rose'), newId).order
    const twice = placeFlower(once, 'q', flower('rose'), newId).order
    expect(twice.colours).toEqual(once.colours)
    expect(twice.pieces[1]!.flowers[0]!.colours).toEqual(twice.pieces[0]!.flowers[0]!.colours)
  })
})
