import type { PlanFigures } from '../model/plan.ts'
import { partGrams } from './reserve.ts'

/** A stop on the way of the icing; `column` 0 ingredient, 1 base, 2 bowl, 3 bag or spatula, 4 flower, 5 piece. */
export interface FlowNode {
  id: string
  column: 0 | 1 | 2 | 3 | 4 | 5
  name: string
  /** Colour of what lies in it; null for mixed ends. */
  colourId: string | null
}

export interface FlowLink {
  from: string
  to: string
  grams: number
  /** null for base that is never coloured. */
  colourId: string | null
}

/** Stops that are not bowls, bags or flowers. */
const LIQUID = 'base.liquid'
const CARRIED = 'base.carried'
const SPATULA = 'spatula'
const RESERVE = 'end.reserve'
const IN_BAGS = 'end.bags'
const IN_MIXER = 'bowl.mixer'
const IN_BOWLS = 'end.bowls'

/**
 * Where every gram goes: ingredients to base to bowls to bags (or the spatula) to flowers to pieces, with reserve and
 * residues as ends of their own. What flows into anything but an ingredient or an end equals what flows out of it.
 */
export function icingFlow(
  plan: PlanFigures,
  pieceNames: ReadonlyMap<string, string>,
): { nodes: FlowNode[]; links: FlowLink[] } {
  const nodes = new Map<string, FlowNode>()
  const links = new Map<string, FlowLink>()
  const node = (id: string, column: FlowNode['column'], name: string, colourId: string | null = null) =>
    nodes.has(id) || nodes.set(id, { id, column, name, colourId })
  const flow = (from: string, to: string, grams: number, colourId: string | null) => {
    if (grams <= 1e-9) return
    const key = `${from}>${to}>${colourId}`
    const link = links.get(key)
    if (link) link.grams += grams
    else links.set(key, { from, to, grams, colourId })
  }
  const names = new Map(plan.colours.map((c) => [c.id, c.name]))
  const bagOfUse = new Map(plan.bags.flatMap((b) => b.useIds.map((id) => [id, b] as const)))
  const batchOf = (of: { icingKindId: string; stiffness: string }, colourId: string) =>
    plan.batches.find(
      (b) => b.icingKindId === of.icingKindId && b.stiffness === of.stiffness && b.colourId === colourId,
    )!

  for (const base of [plan.base, ...plan.otherBases]) {
    if (base.grams === 0) continue
    node(`base.${base.kind}`, 1, base.name)
    flow(`base.${base.kind}`, IN_MIXER, base.mixerResidueGrams, null)
    const weighedIn = base.ingredients.reduce((sum, i) => sum + i.grams, 0)
    for (const { name, grams } of base.ingredients) {
      node(`ingredient.${name}`, 0, name)
      // what boils off or sticks to the pan never becomes icing
      flow(`ingredient.${name}`, `base.${base.kind}`, (grams / weighedIn) * base.grams, null)
    }
  }
  node(LIQUID, 1, 'Liquid')
  node(CARRIED, 1, 'Tinted on')
  node(RESERVE, 4, 'Spares, practice, margin')
  node(IN_BAGS, 4, 'Stays in bags')
  node(IN_MIXER, 2, 'Stays in the mixer')
  node(IN_BOWLS, 4, 'Stays in bowls, rounding')

  for (const batch of plan.batches) {
    node(batch.id, 2, `${names.get(batch.colourId)}, ${batch.stiffness}`, batch.colourId)
    flow(`base.${batch.icingKindId}`, batch.id, batch.baseGrams, batch.colourId)
    flow(LIQUID, batch.id, batch.liquidGrams, batch.colourId)
    flow(CARRIED, batch.id, batch.carriedGrams, batch.colourId)
    flow(batch.id, IN_BOWLS, batch.bowlResidueGrams + batch.roundingGrams, batch.colourId)
  }
  for (const bag of plan.bags) {
    node(`bag.${bag.number}`, 3, `Bag ${bag.number}`, bag.load[0]!.colourId)
    for (const { colourId, grams, staysGrams } of bag.load) {
      flow(batchOf(bag, colourId).id, `bag.${bag.number}`, grams, colourId)
      flow(`bag.${bag.number}`, IN_BAGS, staysGrams, colourId)
    }
  }
  for (const use of plan.uses) {
    const bag = bagOfUse.get(use.id)
    const via = bag ? `bag.${bag.number}` : SPATULA
    if (!bag) node(SPATULA, 3, 'Spread on')
    const end = `flower.${use.flowerId ?? use.flowerName}`
    node(end, 4, use.flowerName)
    const piece = `piece.${use.pieceId}`
    node(piece, 5, pieceNames.get(use.pieceId) ?? use.pieceId)
    for (const part of use.parts) {
      if (!bag) flow(batchOf(use, part.colourId).id, SPATULA, partGrams(part), part.colourId)
      flow(via, end, part.piped, part.colourId)
      flow(end, piece, part.piped, part.colourId)
      flow(via, RESERVE, partGrams(part) - part.piped, part.colourId)
    }
  }
  const used = new Set([...links.values()].flatMap((l) => [l.from, l.to]))
  return { nodes: [...nodes.values()].filter((n) => used.has(n.id)), links: [...links.values()] }
}
