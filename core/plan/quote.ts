import type { Order } from '../model/order.ts'
import type { PlanFigures, Use } from '../model/plan.ts'
import type { Settings } from '../model/workshop.ts'
import { nailMinutes, pipingMinutes } from './hands.ts'

/** What one kind of piece comes to, each: a base for a quote. */
export interface PieceQuote {
  pieceId: string
  name: string
  count: number
  /** Icing on each, g. */
  gramsEach: number
  minutesEach: number
  ingredientsEach: number
  labourEach: number
}

/**
 * Ingredients and hands for each piece. Piping, coats, nails and lifting are the piece's own; hands that cannot be told
 * apart by piece (base, bowls, bags) are shared out by its own minutes, ingredients by the icing it wears; what is put on
 * costs what it costs. The pieces
 * sum to the order.
 */
export function quote(order: Order, plan: PlanFigures, settings: Settings): PieceQuote[] {
  const { pipedGrams, cost, handsOnMinutes } = plan.totals
  const thingCost = (pieceId: string) =>
    plan.setOns
      .filter((s) => s.pieceId === pieceId)
      .reduce((sum, s) => sum + s.amount * (order.setOns.find((t) => t.id === s.setOnId)?.cost ?? 0), 0)
  const things = order.pieces.reduce((sum, p) => sum + thingCost(p.id), 0)
  const ownMinutes = (uses: readonly Use[], setOns: PlanFigures['setOns']) =>
    uses.reduce((sum, u) => sum + pipingMinutes(u), 0) +
    nailMinutes(uses, settings) +
    setOns.reduce((sum, s) => sum + s.minutes, 0)
  const all = ownMinutes(plan.uses, plan.setOns)
  return order.pieces.map((piece) => {
    const own = plan.uses.filter((u) => u.pieceId === piece.id)
    const put = plan.setOns.filter((s) => s.pieceId === piece.id)
    const grams = own.reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
    const minutes = all > 0 ? (ownMinutes(own, put) / all) * handsOnMinutes : 0
    return {
      pieceId: piece.id,
      name: piece.name,
      count: piece.count,
      gramsEach: grams / piece.count,
      minutesEach: minutes / piece.count,
      ingredientsEach:
        ((pipedGrams > 0 ? (grams / pipedGrams) * (cost - things) : 0) + thingCost(piece.id)) / piece.count,
      labourEach: ((minutes / 60) * settings.hourlyRate) / piece.count,
    }
  })
}
