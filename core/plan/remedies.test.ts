import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFileSchema } from '../files/orderFile.ts'
import { orderFaults } from '../model/faults.ts'
import { type Order, orderSchema } from '../model/order.ts'
import { planOrder } from './index.ts'
import { applyRemedy, replaceColour } from './remedies.ts'

const read = (name: string): Order =>
  orderFileSchema.parse(JSON.parse(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8')))
    .order
const demos = ['observatory', 'allotment', 'reading-room'].map(read)
const observatory = demos[0]!

/** Grams that are piped and spread of each colour, over the whole order. */
function piped(order: Order): Map<string, number> {
  const grams = new Map<string, number>()
  for (const use of planOrder(order, starterWorkshop).uses)
    for (const part of use.parts) grams.set(part.colourId, (grams.get(part.colourId) ?? 0) + part.piped)
  return grams
}
const all = (grams: ReadonlyMap<string, number>) => [...grams.values()].reduce((a, b) => a + b, 0)

describe('one colour given to another', () => {
  it.each(demos.map((o) => [o.title, o] as const))(
    'moves every gram of it and nothing else: %s',
    (_, order) => {
      for (const from of order.colours)
        for (const into of order.colours.slice(0, 3)) {
          if (from.id === into.id) continue
          const then = replaceColour(order, from.id, into.id)
          expect(orderFaults(then, starterWorkshop)).toEqual([])
          const [before, after] = [piped(order), piped(then)]
          expect(after.has(from.id)).toBe(false)
          expect(all(after)).toBeCloseTo(all(before), 6)
          expect(after.get(into.id) ?? 0).toBeCloseTo(
            (before.get(into.id) ?? 0) + (before.get(from.id) ?? 0),
            6,
          )
          expect(then.colours.map((c) => c.id)).toEqual(
            order.colours.map((c) => c.id).filter((id) => id !== from.id),
          )
        }
    },
  )

  it('keeps every filling, crumb coat and coat as thick as it was', () => {
    const spread = (o: Order) =>
      o.pieces.map((p) => [p.filling, p.crumbCoat, p.coat].map((c) => c && [c.thicknessMm, c.stiffness]))
    const order = orderSchema.parse({
      ...observatory,
      pieces: observatory.pieces.map((p) => ({
        ...p,
        crumbCoat: { colourId: 'dusk', thicknessMm: 0.8, stiffness: 'medium' },
        filling: { colourId: 'dusk', thicknessMm: 5, stiffness: 'medium', layers: 2 },
      })),
    })
    const then = replaceColour(order, 'dusk', 'brass')
    expect(spread(then)).toEqual(spread(order))
    for (const p of then.pieces)
      expect([p.crumbCoat!.colourId, p.filling!.colourId]).toEqual(['brass', 'brass'])
  })

  it('leaves a chain without the colour that is gone', () => {
    const chained: Order = {
      ...observatory,
      mixing: {
        school: 'carryOver',
        chain: observatory.colours.map((c) => ({ colourId: c.id, carriedShare: 0.3 })),
      },
    }
    const plan = planOrder(replaceColour(chained, 'dusk', 'brass'), starterWorkshop)
    expect(plan.batches.some((b) => b.colourId === 'dusk')).toBe(false)
  })
})

describe('advice taken', () => {
  const plan = planOrder(observatory, starterWorkshop)

  it('gives a tip to every layer that had the other, on every piece, and to none besides', () => {
    const from = plan.uses.find((u) => u.flowerId === 'dahlia' && u.tipId !== null)!.tipId!
    const then = applyRemedy(observatory, { kind: 'useTip', fromTipId: from, toTipId: 'moon-7' }, plan)
    const uses = new Map(planOrder(then, starterWorkshop).uses.map((u) => [u.id, u.tipId]))
    for (const use of plan.uses)
      expect(uses.get(use.id), use.id).toBe(use.tipId === from ? 'moon-7' : use.tipId)
  })

  it('changes one flower of one piece, and no other of that kind', () => {
    const { id: pieceId, flowers } = observatory.pieces[0]!
    const placedId = flowers[0]!.id
    const sized = applyRemedy(observatory, { kind: 'setSize', pieceId, placedId, sizeMm: 33 }, plan)
    const counted = applyRemedy(observatory, { kind: 'setPerPiece', pieceId, placedId, perPiece: 4 }, plan)
    for (const [i, piece] of observatory.pieces.entries())
      for (const [k, placed] of piece.flowers.entries()) {
        const own = i === 0 && k === 0
        expect(sized.pieces[i]!.flowers[k]).toEqual(own ? { ...placed, sizeMm: 33 } : placed)
        expect(counted.pieces[i]!.flowers[k]).toEqual(
          own ? { ...placed, placement: { kind: 'each', perPiece: 4 } } : placed,
        )
      }
  })

  it('coats one piece thinly in the colour it says', () => {
    const bare: Order = { ...observatory, pieces: observatory.pieces.map((p) => ({ ...p, coat: null })) }
    const { id: pieceId } = bare.pieces[1]!
    const then = applyRemedy(bare, { kind: 'addCoat', pieceId, colourId: 'brass' }, plan)
    expect(then.pieces.map((p) => p.coat)).toEqual(
      bare.pieces.map((_, i) =>
        i === 1 ? { colourId: 'brass', thicknessMm: 1.5, stiffness: 'medium' } : null,
      ),
    )
  })
})
