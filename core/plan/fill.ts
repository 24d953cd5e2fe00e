import type { Bag, Use } from '../model/plan.ts'
import type { OwnedTip } from '../model/tip.ts'
import type { BagStock } from '../model/workshop.ts'
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
  const { stock, residueGrams, least } = bagFor(at, uses.map(pairKey), tips, need, density, coupler)
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
    fillings: fillingsOf(at, stock, grams, density),
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

/** The bag for a load through some tips, what stays in it, and the least it can be worked with, g. */
function bagFor(
  at: Lookup,
  pairKeys: readonly string[],
  tips: readonly OwnedTip[],
  need: number,
  density: number,
  coupler: Bag['coupler'],
): { stock: BagStock | null; residueGrams: number; least: number } {
  const pinned = at.order.bagPins.find((p) => p.kind === 'bagSize' && pairKeys.includes(p.pair))
  const stock =
    (pinned?.kind === 'bagSize' && at.workshop.bags.find((b) => b.id === pinned.bagStockId)) ||
    chooseBag(at.workshop, tips, need, density, coupler !== 'none')
  const { couplerResidueGrams } = at.workshop.settings
  return {
    stock,
    residueGrams: (stock?.residueGrams ?? 0) + (coupler === 'none' ? 0 : couplerResidueGrams),
    least: leastGrams(stock, at.workshop.settings),
  }
}

const fillingsOf = (at: Lookup, stock: BagStock | null, grams: number, density: number): number =>
  stock ? Math.max(1, Math.ceil(grams / usableGrams(stock, density, at.workshop.settings))) : 1

/** A load through one tip, as far as it has a say in which bag it is filled into. */
export interface BarePair {
  key: string
  tip: OwnedTip
  icingKindId: string
  /** Without its margin, g: a higher safety makes bags fuller, not other ones. */
  grams: number
}

export const barePair = (at: Lookup, uses: readonly Use[]): BarePair => ({
  key: pairKey(uses[0]!),
  tip: at.tip(uses[0]!.tipId!),
  icingKindId: uses[0]!.icingKindId,
  grams: sumOf(gramsOf(uses, needed)),
})

/** Minutes that one bag for these pairs costs: `fillingMinutes` of `fillBag`, if no use had a margin. */
export function bareMinutes(at: Lookup, pairs: readonly BarePair[], coupler: Bag['coupler']): number {
  const need = pairs.reduce((sum, p) => sum + p.grams, 0)
  const density = at.icing(pairs[0]!.icingKindId).density
  const tips = [...new Set(pairs.map((p) => p.tip))]
  const keys = pairs.map((p) => p.key)
  const { stock, residueGrams, least } = bagFor(at, keys, tips, need, density, coupler)
  const grams = Math.max(least, need + residueGrams)
  const fillings = fillingsOf(at, stock, grams, density)
  return fillingMinutes(at, { coupler, fillings, residueGrams, topUpGrams: grams - need - residueGrams })
}

/** Minutes that filling a bag costs, what stays in it counted in; its changes are another matter. */
export function fillingMinutes(
  at: Lookup,
  bag: Pick<Bag, 'coupler' | 'fillings' | 'residueGrams' | 'topUpGrams'>,
): number {
  const { bagMinutes, refillMinutes, couplerMinutes, minutesPerGram } = at.workshop.settings
  return (
    bagMinutes +
    (bag.fillings - 1) * refillMinutes +
    (bag.coupler === 'none' ? 0 : couplerMinutes) +
    (bag.residueGrams + bag.topUpGrams) * minutesPerGram
  )
}
