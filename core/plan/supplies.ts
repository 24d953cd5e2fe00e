import type { Bag, Base, Batch, Plan, Supply, Use } from '../model/plan.ts'
import { describeOpening } from '../tips/index.ts'
import type { Lookup } from './lookup.ts'
import { flowersPiped } from './piped.ts'
import { setOnSupplies } from './setOns.ts'

/** What must be on hand, what the drawer lacks, and what the ingredients cost. */
export function supplies(
  at: Lookup,
  uses: readonly Use[],
  bags: readonly Bag[],
  batches: readonly Batch[],
  bases: readonly Base[],
  things: Plan['setOns'],
): Supply[] {
  return [
    ...tipSupplies(at, bags),
    ...couplerSupplies(at, bags),
    ...bagSupplies(at, bags),
    ...nailSupplies(at, uses),
    ...ingredientSupplies(at, bases),
    ...liquidSupply(batches),
    ...setOnSupplies(at, things),
  ]
}

function piece(kind: Supply['kind'], id: string, name: string, needed: number, owned: number | null): Supply {
  const short = owned === null ? 0 : Math.max(0, needed - owned)
  return { kind, id, name, needed, unit: 'pieces', owned, short, packs: null, cost: null }
}

/** One of each tip: a tip on several bags is washed between, unless more are owned (see the advice). */
function tipSupplies(at: Lookup, bags: readonly Bag[]): Supply[] {
  return [...new Set(bags.flatMap((b) => b.tipIds))]
    .map((id) => at.tip(id))
    .filter((tip) => tip.base !== 'none')
    .map((tip) => piece('tip', tip.id, describeOpening(tip.opening), 1, tip.owned))
}

function couplerSupplies(at: Lookup, bags: readonly Bag[]): Supply[] {
  const { couplersStandard, couplersLarge } = at.workshop.settings
  const needed = (size: Bag['coupler']) => bags.filter((b) => b.coupler === size && b.reuses === null).length
  return [
    piece('coupler', 'standard', 'Standard coupler', needed('standard'), couplersStandard),
    piece('coupler', 'large', 'Large coupler', needed('large'), couplersLarge),
  ].filter((s) => s.needed > 0)
}

function bagSupplies(at: Lookup, bags: readonly Bag[]): Supply[] {
  return at.workshop.bags
    .map((stock) =>
      piece(
        'bag',
        stock.id,
        stock.name,
        bags.filter((b) => b.bagStockId === stock.id && b.reuses === null).length,
        stock.owned,
      ),
    )
    .filter((s) => s.needed > 0)
}

function nailSupplies(at: Lookup, uses: readonly Use[]): Supply[] {
  const firstLayers = new Map<string, Use>()
  for (const use of uses) if (use.setting === 'nail') firstLayers.set(`${use.pieceId}.${use.placedId}`, use)
  const lifted = [...firstLayers.values()]
  if (lifted.length === 0) return []
  const heads = new Set(lifted.map((use) => at.flower(use.flowerId!).nailMm))
  const squares = lifted.reduce((sum, use) => sum + flowersPiped(use), 0)
  return [
    ...[...heads].map((mm) => piece('nail', `nail-${mm}`, `Nail, ${mm} mm head`, 1, null)),
    piece('square', 'square', 'Parchment squares', squares, null),
  ]
}

function ingredientSupplies(at: Lookup, bases: readonly Base[]): Supply[] {
  const byName = new Map<string, Supply>()
  for (const made of bases)
    for (const { name, grams } of made.ingredients) {
      const recipe = at.icing(made.kind).ingredients.find((i) => i.name === name)!
      const needed = (byName.get(name)?.needed ?? 0) + grams
      const owned = at.workshop.settings.pantry[name] ?? 0
      const short = Math.max(0, needed - owned)
      byName.set(name, {
        kind: 'ingredient',
        id: name,
        name,
        needed,
        unit: 'g',
        owned,
        short,
        packs: Math.max(0, Math.ceil(short / recipe.packGrams - 1e-9)),
        cost: (needed / recipe.packGrams) * recipe.pricePerPack,
      })
    }
  return [...byName.values()].filter((s) => s.needed > 0)
}

function liquidSupply(batches: readonly Batch[]): Supply[] {
  const needed = batches.reduce((sum, b) => sum + b.liquidGrams, 0)
  if (needed === 0) return []
  return [
    {
      kind: 'ingredient',
      id: 'thinning',
      name: 'Milk or water for thinning',
      needed,
      unit: 'g',
      owned: null,
      short: 0,
      packs: null,
      cost: null,
    },
  ]
}
