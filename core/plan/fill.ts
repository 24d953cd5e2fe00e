import type { Bag, Use } from '../model/plan.ts'
import type { OwnedTip } from '../model/tip.ts'
import { chooseBag, leastGrams, usableGrams } from './bagStock.ts'
import { pairKey } from './keys.ts'
import type { Lookup } from './lookup.ts'
import { needed, partGrams } from './reserve.ts'

/**
 * One bag that does all the given uses: which bag, how much of what is in it, what stays behind, how often it is
 * filled. Not yet numbered. A load below what the bag can be worked with is topped up.
 */
export function fillBag(at: Lookup, uses: readonly Use[], coupler: Bag['coupler']): Bag {
  const first = uses[0]!
  const tips = tipsInOrder(at, uses)
  const wanted = gramsOf(uses, partGrams)
  const need = sumOf(wanted)
  const density = at.icing(first.icingKindId).density
  const pinned = at.order.bagPins.find((p) => p.kind === 'bagSize' && uses.some((u) => p.pair === pairKey(u)))
  const stock =
    (pinned?.kind === 'bagSize' && at.workshop.bags.find((b) => b.id === pinned.bagStockId)) ||
    chooseBag(at.workshop, tips, need, density, coupler !== 'none')
  const { couplerResidueGrams } = at.workshop.settings
  const residueGrams = (stock?.residueGrams ?? 0) + (coupler === 'none' ? 0 : couplerResidueGrams)
  const least = leastGrams(stock, at.workshop.settings)
  // what stays behind and what tops it up lie in the bag as the colours are needed, whatever the margin: so a higher
  // safety never takes from one colour for another
  const bare = gramsOf(uses, needed)
  const bareNeed = sumOf(bare)
  const load = [...wanted].map(([colourId, g]) => {
    const part = bareNeed > 0 ? bare.get(colourId)! / bareNeed : 1 / wanted.size
    const grams = Math.max(part * least, g + part * residueGrams)
    return { colourId, grams, staysGrams: Math.max(0, grams - g) }
  })
  const grams = load.reduce((sum, l) => sum + l.grams, 0)
  const topUpGrams = Math.max(0, grams - need - residueGrams)
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

function gramsOf(uses: readonly Use[], of: (part: Use['parts'][number]) => number): Map<string, number> {
  const grams = new Map<string, number>()
  for (const use of uses)
    for (const part of use.parts) grams.set(part.colourId, (grams.get(part.colourId) ?? 0) + of(part))
  return grams
}

const sumOf = (grams: ReadonlyMap<string, number>) => [...grams.values()].reduce((a, b) => a + b, 0)

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
