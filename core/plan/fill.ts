import type { Bag, Use } from '../model/plan.ts'
import type { OwnedTip } from '../model/tip.ts'
import { chooseBag, usableGrams } from './bagStock.ts'
import { pairKey } from './keys.ts'
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
  const pinned = at.order.bagPins.find((p) => p.kind === 'bagSize' && uses.some((u) => p.pair === pairKey(u)))
  const stock =
    (pinned?.kind === 'bagSize' && at.workshop.bags.find((b) => b.id === pinned.bagStockId)) ||
    chooseBag(at.workshop, tips, need, density, coupler !== 'none')
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
    layout: first.layout,
    border: first.border,
    fixedTip: first.fixedTip,
    load,
    grams,
    residueGrams,
    topUpGrams,
    fillings: stock ? Math.max(1, Math.ceil(grams / usableGrams(stock, density, at.workshop.settings))) : 1,
    changes: 0,
    washes: 0,
    reuses: null,
    keptFor: null,
    useIds: uses.map((u) => u.id),
  }
}

function tipsInOrder(at: Lookup, uses: readonly Use[]): OwnedTip[] {
  return [...new Set(uses.map((u) => u.tipId!))].map((id) => at.tip(id))
}

/** Minutes that filling a bag costs, what stays in it counted in; its changes are another matter. */
export function fillingMinutes(at: Lookup, bag: Bag): number {
  const { bagMinutes, refillMinutes, couplerMinutes, minutesPerGram } = at.workshop.settings
  return (
    bagMinutes +
    (bag.fillings - 1) * refillMinutes +
    (bag.coupler === 'none' ? 0 : couplerMinutes) +
    (bag.residueGrams + bag.topUpGrams) * minutesPerGram
  )
}
