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
 * apart by piece (base, bowls, bags) are shared out by its own minutes, ingredients by the icing it wears. The pieces
 * sum to the order.
 */
export function quote(order: Order, plan: PlanFigures, settings: Settings): PieceQuote[] {
  const { pipedGrams, cost, handsOnMinutes } = plan.totals
  const ownMinutes = (uses: readonly Use[]) =>
    uses.reduce((sum, u) => sum + pipingMinutes(u), 0) + nailMinutes(uses)
  const all = ownMinutes(plan.uses)
  return order.pieces.map((piece) => {
    const own = plan.uses.filter((u) => u.pieceId === piece.id)
    const grams = own.reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
    const minutes = all > 0 ? (ownMinutes(own) / all) * handsOnMinutes : 0
    return {
      pieceId: piece.id,
      name: piece.name,
      count: piece.count,
      gramsEach: grams / piece.count,
      minutesEach: minutes / piece.count,
      ingredientsEach: pipedGrams > 0 ? ((grams / pipedGrams) * cost) / piece.count : 0,
      labourEach: ((minutes / 60) * settings.hourlyRate) / piece.count,
    }
  })
}
