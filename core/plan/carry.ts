import type { Batch } from '../model/plan.ts'
import type { Lookup } from './lookup.ts'

/** Of what stays in bags and bowls, the share that a spatula brings back. */
const SCRAPED = 0.7
/** What is lost each time a bowl is tinted on, g. */
const LOST_GRAMS = 3

/** What will be left of a colour when it has been piped and can be tinted on, g: all its bowls together. */
export function leftGrams(bowls: readonly Batch[]): number {
  const left = bowls.reduce(
    (sum, b) =>
      sum +
      b.marginGrams +
      b.roundingGrams +
      SCRAPED * (b.bagResidueGrams - b.keptGrams + b.bowlResidueGrams),
    0,
  )
  return Math.max(0, left - LOST_GRAMS)
}

/** Stiff base and liquid in so much of a bowl's icing. */
export function baseAndLiquid(
  at: Lookup,
  bowl: Pick<Batch, 'icingKindId' | 'stiffness'>,
  grams: number,
): Pick<Batch, 'baseGrams' | 'liquidGrams'> {
  const liquidPer100 = at.icing(bowl.icingKindId).liquidPer100[bowl.stiffness]
  const baseGrams = (grams * 100) / (100 + liquidPer100)
  return { baseGrams, liquidGrams: grams - baseGrams }
}

/**
 * With the carry-over school, every colour of the chain takes on what it may from the one before it, and its bowls
 * stand in the chain's order. A colour that is no longer in the order drops out; one that is new stands by itself, at
 * the end. Bowls of other icing kinds than the order's own are mixed by themselves.
 */
export function carry(at: Lookup, bowls: readonly Batch[]): Batch[] {
  const { mixing, icingKindId } = at.order
  if (mixing.school === 'separate') return [...bowls]
  const own = bowls.filter((b) => b.icingKindId === icingKindId)
  const inChain = mixing.chain
    .map((link) => ({ ...link, bowls: own.filter((b) => b.colourId === link.colourId) }))
    .filter((link) => link.bowls.length > 0)
  const carried = inChain.flatMap((link, i) => {
    const before = inChain[i - 1]
    const need = link.bowls.reduce((sum, b) => sum + b.grams, 0)
    const share = before ? Math.min(link.carriedShare, leftGrams(before.bowls) / need) : 0
    return link.bowls.map((b) => {
      const carriedGrams = b.grams * share
      return { ...b, carriedGrams, ...baseAndLiquid(at, b, b.grams - carriedGrams) }
    })
  })
  const chained = new Set(carried.map((b) => b.id))
  return [...carried, ...bowls.filter((b) => !chained.has(b.id))]
}
