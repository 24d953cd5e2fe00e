import type { BowlTask } from '../colour/bowl.ts'
import type { Stiffness } from '../common.ts'
import type { Order } from '../model/order.ts'
import type { Plan } from '../model/plan.ts'
import type { School, SchoolStep } from './schools.ts'

/** A bowl of one colour: its task, and how its icing is thinned afterwards. */
export interface ColourBowl extends BowlTask {
  name: string
  /** Stiff base that is tinted, and what is taken on from a bowl before it, g. */
  baseGrams: number
  carriedGrams: number
  /** What of it is thinned to which stiffness. */
  parts: { stiffness: Stiffness; grams: number; liquidGrams: number; bagNumbers: number[] }[]
}

/**
 * Every bowl to be tinted, in mixing order: one for each colour of each icing kind. The same colour at two stiffnesses
 * is one bowl, thinned afterwards.
 */
export function colourBowls(order: Order, plan: Plan): ColourBowl[] {
  const bowls = new Map<string, ColourBowl>()
  for (const batch of plan.batches) {
    const key = `${batch.icingKindId} ${batch.colourId}`
    const colour = plan.colours.find((c) => c.id === batch.colourId)!
    const bowl = bowls.get(key) ?? {
      colourId: batch.colourId,
      name: colour.name,
      targetHex: colour.hex,
      icingKindId: batch.icingKindId,
      grams: 0,
      dyeIds: order.colours.find((c) => c.id === batch.colourId)?.dyeIds ?? null,
      baseGrams: 0,
      carriedGrams: 0,
      parts: [],
    }
    bowl.grams += batch.grams
    bowl.baseGrams += batch.baseGrams
    bowl.carriedGrams += batch.carriedGrams
    bowl.parts.push({
      stiffness: batch.stiffness,
      grams: batch.grams,
      liquidGrams: batch.liquidGrams,
      bagNumbers: batch.bagNumbers,
    })
    bowls.set(key, bowl)
  }
  return [...bowls.values()]
}

/** Below this nothing worth scraping comes from the bowl before, g. */
const CARRIED_GRAMS = 0.5

/** Whether a bowl is tinted on from the one before it in a chain. */
export const isCarried = ({ carriedGrams }: Pick<ColourBowl, 'carriedGrams'>): boolean =>
  carriedGrams > CARRIED_GRAMS

/** The colour that a chain of an order ends with; null where each colour has a bowl of its own. */
export const lastOfChain = ({ mixing }: Pick<Order, 'mixing'>): string | null =>
  mixing.school === 'carryOver' ? (mixing.chain.at(-1)?.colourId ?? null) : null

/** What is added to a colour in a chain of one bowl, among the schools of mixing; undefined where it is in none. */
export const chainStep = (schools: readonly School[], colourId: string): SchoolStep | undefined =>
  schools.flatMap((s) => (s.id === 'separate' ? [] : s.steps)).find((s) => s.colourId === colourId)

/** What the worker needs of a bowl, and no more: a new name must not be a new formula. */
export function taskOf({ colourId, targetHex, icingKindId, grams, dyeIds }: ColourBowl): BowlTask {
  return { colourId, targetHex, icingKindId, grams: Math.max(1, Math.round(grams)), dyeIds }
}
