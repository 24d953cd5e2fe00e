import { setOnsOn } from '../model/arrangements.ts'
import type { Plan, Supply } from '../model/plan.ts'
import { isStrewn, type SetOn } from '../model/setOn.ts'
import type { Lookup } from './lookup.ts'

/** Seconds to strew or brush one piece, whatever goes on it. */
const STREW_SECONDS = 12

/** What is put on every kind of piece, with the time that it takes. */
export function setOns(at: Lookup): Plan['setOns'] {
  const { setOnSeconds } = at.workshop.settings
  return at.order.pieces.flatMap((piece) =>
    piece.setOns.map((placed) => {
      const { kind, when } = at.setOn(placed.setOnId)
      const amount = setOnsOn(piece, placed)
      const seconds = isStrewn(kind) ? piece.count * STREW_SECONDS : amount * setOnSeconds
      return {
        pieceId: piece.id,
        placedId: placed.id,
        setOnId: placed.setOnId,
        amount,
        when,
        minutes: seconds / 60,
      }
    }),
  )
}

/** How much of each thing the order takes, and what of it is not on hand. */
export function setOnSupplies(at: Lookup, placed: Plan['setOns']): Supply[] {
  return at.order.setOns.flatMap((thing): Supply[] => {
    const amount = placed.filter((p) => p.setOnId === thing.id).reduce((sum, p) => sum + p.amount, 0)
    if (amount === 0) return []
    const strewn = isStrewn(thing.kind)
    // what is counted comes whole
    const needed = strewn ? amount : Math.ceil(amount - 1e-9)
    return [
      {
        kind: 'setOn',
        id: thing.id,
        name: thing.name,
        needed,
        unit: strewn ? 'g' : 'pieces',
        owned: thing.owned,
        short: thing.owned === null ? 0 : Math.max(0, needed - thing.owned),
        packs: null,
        cost: needed * thing.cost,
      },
    ]
  })
}

/** What all of a kind of thing on one piece weighs, g. */
export const setOnGrams = (thing: SetOn, amount: number): number =>
  isStrewn(thing.kind) ? amount : amount * thing.grams
