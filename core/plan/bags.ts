import { hexToLab } from '../colour/lab.ts'
import type { Bag, Use } from '../model/plan.ts'
import type { OwnedTip } from '../model/tip.ts'
import { shortOpening } from '../tips/index.ts'
import { chooseBag, usableGrams } from './bagStock.ts'
import { tipChanges } from './changes.ts'
import type { Lookup } from './lookup.ts'
import { partGrams } from './reserve.ts'

/** What a gram thrown away is worth in minutes, for choosing between a coupler and a bag of its own. */
const MINUTES_PER_GRAM = 0.08

/**
 * Which bags to fill with what: one per load, stiffness and icing kind; tips that take the same load share it on
 * a coupler, unless changing tips would cost more than another bag. Striped loads keep their tip fixed, because
 * the stripe must stay aligned with the slot. Numbered in the order of work.
 */
export function bags(at: Lookup, uses: readonly Use[]): Bag[] {
  const made = groupByLoad(uses).flatMap((group) => splitGroup(at, group).map((part) => fillBag(at, part)))
  made.sort((a, b) => a.stage - b.stage || b.lightness - a.lightness)
  return made.map(({ bag }, i) => ({ ...bag, number: i + 1, label: labelOf(at, bag, i + 1) }))
}

/** Uses that could come from one bag. */
interface LoadGroup {
  uses: Use[]
  coupler: Bag['coupler']
}

function groupByLoad(uses: readonly Use[]): Use[][] {
  const groups = new Map<string, Use[]>()
  for (const use of uses) {
    if (use.tipId === null) continue
    const load = use.parts.map((p) => p.colourId).join('+')
    const fixed = use.striped ? `|${use.border}|${use.tipId}` : ''
    const key = `${use.icingKindId}|${use.stiffness}|${load}${fixed}`
    groups.set(key, [...(groups.get(key) ?? []), use])
  }
  return [...groups.values()]
}

/** Tips by what they fit; a cut bag is a bag of its own for each size of cut. */
function splitGroup(at: Lookup, uses: Use[]): LoadGroup[] {
  const byFit = new Map<string, Use[]>()
  for (const use of uses) {
    const tip = at.tip(use.tipId!)
    const fit = tip.base === 'none' ? `cut ${tip.id}` : tip.base
    byFit.set(fit, [...(byFit.get(fit) ?? []), use])
  }
  return [...byFit].flatMap(([fit, fitting]) => {
    const tips = new Set(fitting.map((u) => u.tipId!))
    if (tips.size === 1) return [{ uses: fitting, coupler: 'none' as const }]
    const coupler = fit === 'large' ? ('large' as const) : ('standard' as const)
    const shared: LoadGroup = { uses: fitting, coupler }
    return sharingPays(at, fitting, tips.size) && couplersOwned(at, coupler) > 0
      ? [shared]
      : [...tips].map((id) => ({
          uses: fitting.filter((u) => u.tipId === id),
          coupler: 'none' as const,
        }))
  })
}

function couplersOwned(at: Lookup, coupler: 'standard' | 'large'): number {
  const { couplersStandard, couplersLarge } = at.workshop.settings
  return coupler === 'large' ? couplersLarge : couplersStandard
}

/** Whether changing tips on one bag costs fewer minutes than filling a bag for each tip. */
function sharingPays(at: Lookup, uses: readonly Use[], tips: number): boolean {
  const { bagMinutes, changeMinutes } = at.workshop.settings
  const residue = at.workshop.bags.find((b) => b.kind !== 'parchment')?.residueGrams ?? 0
  const extraBags = (tips - 1) * (bagMinutes + residue * MINUTES_PER_GRAM)
  return tipChanges(uses) * changeMinutes <= extraBags
}

const stages: Record<Use['form'], number> = { coat: 0, flower: 2, border: 3, leaf: 4, vine: 4 }

function fillBag(at: Lookup, { uses, coupler }: LoadGroup) {
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
  const bag: Bag = {
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
    useIds: uses.map((u) => u.id),
  }
  const stage = Math.min(...uses.map((u) => (u.setting === 'nail' ? 1 : stages[u.form])))
  return { bag, stage, lightness: hexToLab(at.colour(load[0]!.colourId).hex)[0] }
}

function tipsInOrder(at: Lookup, uses: readonly Use[]): OwnedTip[] {
  return [...new Set(uses.map((u) => u.tipId!))].map((id) => at.tip(id))
}

function labelOf(at: Lookup, bag: Bag, number: number): string {
  const colours = bag.load.map((l) => at.colour(l.colourId).name).join(' + ')
  const tips = bag.tipIds.map((id) => {
    const tip = at.tip(id)
    return shortOpening(tip.opening) + (tip.stamp ? ` (${tip.stamp})` : '')
  })
  return `${number} · ${colours}, ${bag.stiffness} · ${tips.join(', ')}`
}
