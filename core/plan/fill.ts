import type { Bag, Use } from '../model/plan.ts'
import type { OwnedTip } from '../model/tip.ts'
import { chooseBag, usableGrams } from './bagStock.ts'
import { tipChanges } from './changes.ts'
import type { Lookup } from './lookup.ts'
import { partGrams } from './reserve.ts'

/**
 * One bag that does all the given uses: which bag, how much of what is in it, what stays behind, how often it is
 * filled. Not yet numbered. A load below what the bag can be worked with is topped up.
 */
export function fillBag(at: Lookup, uses: readonly Use[], coupler: Bag['coupler']): Bag {
  const first = uses[0]!
  const tips = tipsInOrder(at, uses)
  const wanted = new Map<string, number>()
  for (const use of uses)
    for (const part of use.parts)
      wanted.set(part.colourId, (wanted.get(part.colourId) ?? 0) + partGrams(part))
  const need = [...wanted.values()].reduce((a, b) => a + b, 0)
  const density = at.icing(first.icingKindId).density
  const stock = chooseBag(at.workshop, tips, need, density)
  const { couplerResidueGrams, leastBagGrams, leastConeGrams } = at.workshop.settings
  const residueGrams = (stock?.residueGrams ?? 0) + (coupler === 'none' ? 0 : couplerResidueGrams)
  const least = stock?.kind === 'parchment' ? leastConeGrams : leastBagGrams
  const topUpGrams = Math.max(0, least - need - residueGrams)
  const grams = need + residueGrams + topUpGrams
  // residue and top-up lie in the bag in the same proportion as the load
  const load = [...wanted].map(([colourId, g]) => ({
    colourId,
    grams: need > 0 ? (g / need) * grams : grams / wanted.size,
  }))
  return {
    number: 0,
    label: '',
    icingKindId: first.icingKindId,
    stiffness: first.stiffness,
    coupler,
    bagStockId: stock?.id ?? null,
    tipIds: tips.map((t) => t.id),
    striped: first.striped,
    border: first.border,
    load,
    grams,
    residueGrams,
    topUpGrams,
    fillings: stock ? Math.max(1, Math.ceil(grams / usableGrams(stock, density, at.workshop.settings))) : 1,
    changes: tipChanges(uses),
    reuses: null,
    useIds: uses.map((u) => u.id),
  }
}

function tipsInOrder(at: Lookup, uses: readonly Use[]): OwnedTip[] {
  return [...new Set(uses.map((u) => u.tipId!))].map((id) => at.tip(id))
}

/** What a gram thrown away is worth in minutes, against minutes of handling. */
const MINUTES_PER_GRAM = 0.08
const COUPLER_MINUTES = 0.5

/** Minutes that a bag costs, its waste counted in: what two ways of sharing tips are compared by. */
export function bagMinutes(at: Lookup, bag: Bag): number {
  const { bagMinutes, changeMinutes } = at.workshop.settings
  return (
    bag.fillings * bagMinutes +
    (bag.coupler === 'none' ? 0 : COUPLER_MINUTES) +
    bag.changes * changeMinutes +
    (bag.residueGrams + bag.topUpGrams) * MINUTES_PER_GRAM
  )
}
