import { stiffnesses } from '../common.ts'
import { type Safety, safetySchema } from '../model/order.ts'
import type { PlanFigures, Promised, Use } from '../model/plan.ts'
import { type Cell, type Lot, needsOf } from '../promise/needs.ts'
import { chancesOf, type Lasting, lastingOf, multiplesFor, scopes } from '../promise/promise.ts'
import type { Lookup } from './lookup.ts'

/** Chance of running short per wanted safety: of each colour, or of anything in the order. */
export const safetyLevels: Record<Safety, { chanceShort: number; words: string; name: string }> = {
  tight: { chanceShort: 0.2, words: '1 in 5', name: 'Tight' },
  safe: { chanceShort: 0.05, words: '1 in 20', name: 'Safe' },
  unmatchable: { chanceShort: 0.01, words: '1 in 100', name: 'Cannot be matched again' },
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
 * Adds what is mixed beyond what lands on the pieces: spares and spoiled flowers, practice, and the margin for the chosen
 * chance of running short (docs/calculations.md, "Reserve").
 */
export const reserve = (at: Lookup, uses: readonly Use[]): Use[] => reserved(at, uses).uses

/** The same, with what it promises: worked out only where somebody wants to read it. */
export function reserved(at: Lookup, uses: readonly Use[]): { uses: Use[]; promise: () => Promised } {
  const practised = practisedOn(uses)
  const counted = uses.map((use) => countReserve(at, use, practised))
  const { cells, lots, cellOf } = imagine(at, counted)
  const lasting = lastingOf(cells, needsOf(lots, cells.length))
  const { safety, promiseFor } = at.order
  const multiples = multiplesFor(lasting, promiseFor, safetyLevels[safety].chanceShort)
  const ofColour = new Map(lasting.colourIds.map((id, c) => [id, multiples[c]!]))
  const margins = Float64Array.from(cells, (cell, c) => ofColour.get(cell.colourId)! * lasting.strays[c]!)
  return {
    uses: shareOut(at, counted, margins, cellOf),
    promise: () => {
      const { colours, order } = chancesOf(lasting, multiples)
      return {
        colours: lasting.colourIds.map((colourId, c) => ({ colourId, chanceShort: colours[c]! })),
        order,
        choices: choicesOf(cells, lasting),
      }
    },
  }
}

/** What each level of safety would add, g, and the chances it would leave, for each of what it can be promised for. */
function choicesOf(cells: readonly Cell[], lasting: Lasting): Promised['choices'] {
  return scopes.flatMap((scope) =>
    safetySchema.options.map((safety) => {
      const multiples = multiplesFor(lasting, scope, safetyLevels[safety].chanceShort)
      const { colours, order } = chancesOf(lasting, multiples)
      const grams = cells.reduce(
        (sum, cell, c) => sum + multiples[lasting.colourIds.indexOf(cell.colourId)]! * lasting.strays[c]!,
        0,
      )
      return { scope, safety, grams, colour: Math.max(0, ...colours), order }
    }),
  )
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

/** The kind that a use varies with: a flower wherever it is piped; a coat or words, each by itself. */
const kindOf = (use: Use) => use.flowerId ?? `${use.form}.${use.pieceId}`

const spreadOf = (at: Lookup, use: Use): number =>
  use.flowerId ? at.flower(use.flowerId).spread : use.form === 'words' ? WORDS_SPREAD : COAT_SPREAD

/** The bowls of an order, and what is piped out of them together. */
export function imagine(
  at: Lookup,
  uses: readonly Use[],
): { cells: Cell[]; lots: Lot[]; cellOf: (use: Use, colourId: string) => number } {
  const places = new Map<string, number>()
  const cells: Cell[] = []
  const cellOf = (use: Use, colourId: string): number => {
    const key = bowlKey(use, colourId)
    const known = places.get(key)
    if (known !== undefined) return known
    cells.push({ colourId, icingKindId: use.icingKindId, softness: stiffnesses.indexOf(use.stiffness) })
    places.set(key, cells.length - 1)
    return cells.length - 1
  }
  const together = new Map<string, Use[]>()
  for (const use of uses) {
    const key = use.flowerId === null ? use.id : placedKey(use)
    together.set(key, [...(together.get(key) ?? []), use])
  }
  // named by what they are and by how much of it there is: a copy of an order draws as the order does
  const groups = [...together.values()].sort(
    (a, b) => total(b) - total(a) || (kindOf(a[0]!) < kindOf(b[0]!) ? -1 : 1),
  )
  const nth = new Map<string, number>()
  const lots = groups.map((own): Lot => {
    const use = own[0]!
    const name = use.flowerId ?? use.form
    nth.set(name, (nth.get(name) ?? 0) + 1)
    const flower = use.flowerId === null ? null : at.flower(use.flowerId)
    return {
      kind: flower ? flower.id : `${name} ${nth.get(name)}`,
      wanted: flower ? use.flowers : 0,
      spares: use.spares,
      practice: use.practice,
      spoilRate: flower?.spoilRate ?? 0,
      spread: spreadOf(at, use),
      byHand: flower !== null || use.form === 'words',
      parts: merged(
        own.flatMap((u) => u.parts.map((p) => ({ cell: cellOf(u, p.colourId), grams: p.piped }))),
      ),
    }
  })
  return { cells, lots, cellOf }
}

/** Layers that are piped from one bowl are one part of it. */
function merged(parts: readonly { cell: number; grams: number }[]): { cell: number; grams: number }[] {
  const grams = new Map<number, number>()
  for (const part of parts) grams.set(part.cell, (grams.get(part.cell) ?? 0) + part.grams)
  return [...grams].map(([cell, of]) => ({ cell, grams: of }))
}

const total = (uses: readonly Use[]): number => uses.reduce((sum, use) => sum + sumPiped(use), 0)

/** Shares the margin of every bowl out among what is piped from it: each kind by its variance, each use by its kind's grams. */
function shareOut(
  at: Lookup,
  uses: readonly Use[],
  margins: Float64Array,
  cellOf: (use: Use, colourId: string) => number,
): Use[] {
  const kinds = new Map<number, Map<string, number>>()
  for (const use of uses)
    for (const part of use.parts) {
      const cell = cellOf(use, part.colourId)
      const inBowl = kinds.get(cell) ?? new Map<string, number>()
      kinds.set(cell, inBowl.set(kindOf(use), (inBowl.get(kindOf(use)) ?? 0) + needed(part)))
    }
  const spreads = new Map(uses.map((use) => [kindOf(use), spreadOf(at, use)]))
  const variances = new Map(
    [...kinds].map(([cell, inBowl]) => [
      cell,
      [...inBowl].reduce((sum, [kind, grams]) => sum + (spreads.get(kind)! * grams) ** 2, 0),
    ]),
  )
  return uses.map((use) => ({
    ...use,
    parts: use.parts.map((part) => {
      const cell = cellOf(use, part.colourId)
      const kindGrams = kinds.get(cell)!.get(kindOf(use))!
      const variance = variances.get(cell)!
      if (variance === 0 || kindGrams === 0) return part
      const ofKind = (spreadOf(at, use) * kindGrams) ** 2 / variance
      return { ...part, margin: margins[cell]! * ofKind * (needed(part) / kindGrams) }
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

/** What each choice would add to this plan: grams against running short, what their ingredients cost, and the chances left. */
export function safetyChoices(plan: PlanFigures): (Promised['choices'][number] & { cost: number })[] {
  const made = [plan.base, ...plan.otherBases].reduce((sum, b) => sum + b.grams, 0)
  const perGram = made > 0 ? plan.totals.cost / made : 0
  return plan.promise.choices.map((choice) => ({ ...choice, cost: choice.grams * perGram }))
}
