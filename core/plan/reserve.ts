import type { Safety } from '../model/order.ts'
import type { PlanFigures, Use } from '../model/plan.ts'
import type { Lookup } from './lookup.ts'

/** Chance of a colour running short, and the standard normal deviate that gives it, per wanted safety. */
export const safetyLevels: Record<Safety, { chanceShort: number; deviate: number; words: string }> = {
  tight: { chanceShort: 0.2, deviate: 0.8416, words: 'Tight: 1 colour in 5 may run short' },
  safe: { chanceShort: 0.05, deviate: 1.6449, words: 'Safe: 1 colour in 20 may run short' },
  unmatchable: { chanceShort: 0.01, deviate: 2.3263, words: 'Cannot be matched again: 1 in 100' },
}

/** Spread of a coat's weight: a spatula is steadier over a tray than a bag. */
const COAT_SPREAD = 0.08
/** Of words: a line is thicker or thinner as the hand goes slower or faster. */
const WORDS_SPREAD = 0.15

/** What one bowl is: uses of one colour at one stiffness of one icing kind. */
export function bowlKey(use: Pick<Use, 'icingKindId' | 'stiffness'>, colourId: string): string {
  return `${use.icingKindId}|${colourId}|${use.stiffness}`
}

/**
 * Adds what is mixed beyond what lands on the pieces: spares and spoiled flowers, practice, and the margin for
 * the chosen chance of running short.
 *
 * The weight of one kind of flower is taken as normal around its computed weight with that flower's spread; all
 * flowers of a kind vary together (one hand, one bowl), different kinds independently. A bowl's margin is then
 * `deviate × √Σ(spread × grams)²` over its kinds (docs/calculations.md, "Reserve").
 */
export function reserve(at: Lookup, uses: readonly Use[]): Use[] {
  const practised = practisedOn(uses)
  const counted = uses.map((use) => countReserve(at, use, practised))
  return addMargins(at, counted)
}

/** A flower on several pieces is practised once: as it is piped most often, and the largest where that is equal. */
function practisedOn(uses: readonly Use[]): ReadonlySet<string> {
  const best = new Map<string, Use>()
  for (const use of uses) {
    if (use.flowerId === null) continue
    const other = best.get(use.flowerId)
    if (!other || comesFirst(use, other)) best.set(use.flowerId, use)
  }
  return new Set([...best.values()].map(placedKey))
}

const placedKey = (use: Use) => `${use.pieceId}.${use.placedId}`

function comesFirst(a: Use, b: Use): boolean {
  const each = (use: Use) => sumPiped(use) / use.flowers
  // which of two equal ones it is must not depend on how the pieces stand in the order
  return (a.flowers - b.flowers || each(a) - each(b) || (placedKey(a) < placedKey(b) ? 1 : -1)) > 0
}

function countReserve(at: Lookup, use: Use, practised: ReadonlySet<string>): Use {
  if (use.flowerId === null) return { ...use, parts: use.parts.map((p) => ({ ...p })) }
  const flower = at.flower(use.flowerId)
  const spoiled = Math.ceil(use.flowers * flower.spoilRate)
  const spares = flower.setting === 'nail' ? Math.max(1, spoiled) : spoiled
  const practice = practised.has(placedKey(use)) ? at.order.practicePerFlower : 0
  return {
    ...use,
    spares,
    practice,
    parts: use.parts.map((part) => ({
      ...part,
      spoiled: (part.piped / use.flowers) * spares,
      practice: (part.piped / use.flowers) * practice,
    })),
  }
}

function addMargins(at: Lookup, uses: Use[]): Use[] {
  const { deviate } = safetyLevels[at.order.safety]
  // grams per bowl and kind of flower: the unit that varies together
  const kinds = new Map<string, Map<string, number>>()
  const kindOf = (use: Use) => use.flowerId ?? `${use.form}.${use.pieceId}`
  for (const use of uses)
    for (const part of use.parts) {
      const bowl = bowlKey(use, part.colourId)
      const inBowl = kinds.get(bowl) ?? new Map<string, number>()
      kinds.set(bowl, inBowl.set(kindOf(use), (inBowl.get(kindOf(use)) ?? 0) + needed(part)))
    }
  const spreadOf = (use: Use) =>
    use.flowerId ? at.flower(use.flowerId).spread : use.form === 'words' ? WORDS_SPREAD : COAT_SPREAD
  const variance = new Map<string, number>()
  const spreads = new Map(uses.map((use) => [kindOf(use), spreadOf(use)]))
  for (const [bowl, inBowl] of kinds)
    variance.set(
      bowl,
      [...inBowl].reduce((sum, [kind, grams]) => sum + (spreads.get(kind)! * grams) ** 2, 0),
    )
  return uses.map((use) => ({
    ...use,
    parts: use.parts.map((part) => {
      const bowl = bowlKey(use, part.colourId)
      const total = variance.get(bowl)!
      const kindGrams = kinds.get(bowl)!.get(kindOf(use))!
      if (total === 0 || kindGrams === 0) return part
      // each kind carries its share of the variance, each use its share of the kind's grams
      const ofKind = (spreadOf(use) * kindGrams) ** 2 / total
      const margin = deviate * Math.sqrt(total) * ofKind * (needed(part) / kindGrams)
      return { ...part, margin }
    }),
  }))
}

const sumPiped = (use: Use) => use.parts.reduce((sum, p) => sum + p.piped, 0)

/** Grams of a part without its margin: what the chosen safety has no say in. */
export function needed(part: Use['parts'][number]): number {
  return part.piped + part.spoiled + part.practice
}

/** All grams of a part: what lands on the pieces and its reserve. */
export function partGrams(part: Use['parts'][number]): number {
  return needed(part) + part.margin
}

/** What each level of safety would add to this plan: grams against running short, and what their ingredients cost. */
export function safetyChoices(
  plan: PlanFigures,
  chosen: Safety,
): Record<Safety, { grams: number; cost: number; words: string }> {
  const made = [plan.base, ...plan.otherBases].reduce((sum, b) => sum + b.grams, 0)
  const perGram = made > 0 ? plan.totals.cost / made : 0
  const own = safetyLevels[chosen].deviate
  const choice = (level: Safety) => {
    const grams = (plan.reserve.margin * safetyLevels[level].deviate) / own
    return { grams, cost: grams * perGram, words: safetyLevels[level].words }
  }
  return { tight: choice('tight'), safe: choice('safe'), unmatchable: choice('unmatchable') }
}
