import { hexToLab } from '../colour/lab.ts'
import type { Bag, Use } from '../model/plan.ts'
import { shortOpening } from '../tips/index.ts'
import type { Lookup } from './lookup.ts'
import { partition } from './partition.ts'

/**
 * Which bags to fill with what: one per load, stiffness and icing kind; tips that take the same load share it on
 * a coupler where that saves more than the changes cost. Striped loads keep their tip fixed, because the stripe
 * must stay aligned with the slot. Numbered in the order of work.
 */
export function bags(at: Lookup, uses: readonly Use[]): Bag[] {
  const { couplersStandard, couplersLarge } = at.workshop.settings
  const left = { standard: couplersStandard, large: couplersLarge }
  const stageOf = new Map(uses.map((u) => [u.id, u.setting === 'nail' ? 1 : stages[u.form]]))
  const place = (bag: Bag) => ({
    link: linkOf(at, bag),
    stage: Math.min(...bag.useIds.map((id) => stageOf.get(id)!)),
    lightness: hexToLab(at.colour(bag.load[0]!.colourId).hex)[0],
  })
  const numbered = byLoad(uses)
    .flatMap((group) => partition(at, group, left))
    .map((bag) => ({ bag, ...place(bag) }))
    .sort((a, b) => a.link - b.link || a.stage - b.stage || b.lightness - a.lightness)
    .map(({ bag }, i) => ({ ...bag, number: i + 1, label: labelOf(at, bag, i + 1) }))
  return reused(at, numbered)
}

/** Where a bag's colour stands in the chain, when one bowl passes through all colours; bags beside the chain come last. */
function linkOf(at: Lookup, bag: Bag): number {
  const { mixing, icingKindId } = at.order
  if (mixing.school === 'separate' || bag.icingKindId !== icingKindId) return Number.MAX_SAFE_INTEGER
  const link = mixing.chain.findIndex((l) => l.colourId === bag.load.at(-1)!.colourId)
  return link < 0 ? Number.MAX_SAFE_INTEGER : link
}

/** In a chain, a bag with the same tips and of the same size is scraped out and goes on with the next colour. */
function reused(at: Lookup, numbered: Bag[]): Bag[] {
  const last = new Map<string, Bag>()
  return numbered.map((bag) => {
    if (bag.striped || linkOf(at, bag) === Number.MAX_SAFE_INTEGER) return bag
    const key = [bag.bagStockId, bag.coupler, ...bag.tipIds].join()
    const before = last.get(key)
    last.set(key, bag)
    const another = before && before.load[0]!.colourId !== bag.load[0]!.colourId
    return another ? { ...bag, reuses: before.number } : bag
  })
}

/** Flowers on nails come first, then those piped in place, borders, and leaves last to bridge the gaps. */
const stages: Record<Use['form'], number> = { coat: 0, flower: 2, border: 3, leaf: 4, vine: 4 }

function byLoad(uses: readonly Use[]): Use[][] {
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

function labelOf(at: Lookup, bag: Bag, number: number): string {
  const colours = bag.load.map((l) => at.colour(l.colourId).name).join(' + ')
  const tips = bag.tipIds.map((id) => {
    const tip = at.tip(id)
    return shortOpening(tip.opening) + (tip.stamp ? ` (${tip.stamp})` : '')
  })
  return `${number} · ${colours}, ${bag.stiffness} · ${tips.join(', ')}`
}
