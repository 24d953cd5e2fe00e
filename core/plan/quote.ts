import type { Order } from '../model/order.ts'
import type { Plan } from '../model/plan.ts'
import type { Settings } from '../model/workshop.ts'

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
 * Ingredients and hands for each piece. What cannot be told apart by piece (mixing, bags, reserve, what stays behind)
 * is shared out by the icing each piece wears, hands by piping minutes; so the pieces sum to the order.
 */
export function quote(order: Order, plan: Plan, settings: Settings): PieceQuote[] {
  const { pipedGrams, cost, handsOnMinutes } = plan.totals
  const seconds = plan.uses.reduce((sum, u) => sum + u.seconds, 0)
  return order.pieces.map((piece) => {
    const own = plan.uses.filter((u) => u.pieceId === piece.id)
    const grams = own.reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
    const piping = own.reduce((sum, u) => sum + u.seconds, 0)
    const minutes = seconds > 0 ? (piping / seconds) * handsOnMinutes : 0
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
