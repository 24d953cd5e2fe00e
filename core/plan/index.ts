import { type Fault, orderFaults } from '../model/faults.ts'
import type { Order } from '../model/order.ts'
import {
  type Bag,
  type Batch,
  type Plan,
  type PlanFigures,
  planVersion,
  type Supply,
  type Use,
} from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import type { Planned } from './advice/check.ts'
import { advice } from './advice/index.ts'
import { bags } from './bags.ts'
import { base } from './base.ts'
import { batches } from './batches.ts'
import { boardSupplies, boards } from './boards.ts'
import { cakes } from './cakes.ts'
import { demand } from './demand.ts'
import { hands } from './hands.ts'
import { sizeFaults } from './limits.ts'
import { type Lookup, lookUp } from './lookup.ts'
import { reserved, safetyLevels } from './reserve.ts'
import { setOns } from './setOns.ts'
import { supplies } from './supplies.ts'
import { withSetOns } from './work/setOns.ts'

/** Raised when an order points at things that are not there; every fault carries its path. */
export class UnplannableOrderError extends Error {
  constructor(readonly faults: Fault[]) {
    super(faults.map((f) => `${f.path.join('/')}: ${f.message}`).join('\n'))
  }
}

/**
 * From an order and the workshop it is made in to grams, bags, bowls, base icing, what to buy and what to look out for.
 * Pure: the same order and workshop give the same plan. Each stage adds its part to what earlier ones made.
 * @throws UnplannableOrderError when `orderFaults` finds anything, or the order is too large for one plan.
 */
export function planOrder(order: Order, workshop: Workshop): Plan {
  const { figures, planned } = worked(order, workshop)
  const { at, placements, uses } = planned
  const standing = { cakes: cakes(at, placements, uses), boards: boards(at, placements) }
  return {
    ...figures,
    ...standing,
    supplies: [...figures.supplies, ...boardSupplies(at, standing.cakes, standing.boards)],
    advice: advice(planned),
  }
}

/** The same without advice, cakes and boards, for whoever compares one plan with another: all look at flowers' piles. */
export const planFigures = (order: Order, workshop: Workshop): PlanFigures => worked(order, workshop).figures

function worked(order: Order, workshop: Workshop): { figures: PlanFigures; planned: Planned } {
  const faults = [...orderFaults(order, workshop), ...sizeFaults(order, workshop)]
  if (faults.length > 0) throw new UnplannableOrderError(faults)
  const at = lookUp(order, workshop)
  const { placements, uses: wanted } = demand(at)
  const { uses, promise } = reserved(at, wanted)
  const things = setOns(at)
  const { bags: filled, sequence, conflicts } = bags(at, uses)
  const bowls = batches(at, uses, filled)
  const made = base(at, bowls)
  const allBases = [made.base, ...made.otherBases]
  const minutes = hands(workshop.settings, uses, filled, bowls, allBases, things)
  const needed = supplies(at, uses, filled, bowls, allBases, things)
  const figures: PlanFigures = {
    schemaVersion: planVersion,
    orderId: order.id,
    totals: totals(at, uses, filled, bowls, needed, minutes),
    hands: minutes,
    colours: colourTotals(at, bowls),
    uses,
    reserve: {
      spoiled: sumParts(uses, 'spoiled'),
      practice: sumParts(uses, 'practice'),
      margin: sumParts(uses, 'margin'),
      chanceShort: safetyLevels[order.safety].chanceShort,
    },
    promise: promise(),
    setOns: things,
    bags: filled,
    sequence: withSetOns(sequence, things),
    conflicts,
    batches: bowls,
    ...made,
    residues: {
      bags: sum(filled, (b) => b.residueGrams),
      topUps: sum(filled, (b) => b.topUpGrams),
      bowls: sum(bowls, (b) => b.bowlResidueGrams),
      rounding: sum(bowls, (b) => b.roundingGrams),
      mixer: sum([made.base, ...made.otherBases], (b) => b.mixerResidueGrams),
    },
    supplies: needed,
  }
  const planned = {
    at,
    placements,
    uses,
    bags: filled,
    conflicts,
    batches: bowls,
    ...made,
    supplies: needed,
    setOns: things,
  }
  return { figures, planned }
}

const sum = <T>(items: readonly T[], of: (item: T) => number) => items.reduce((total, i) => total + of(i), 0)

function sumParts(uses: readonly Use[], key: 'piped' | 'spoiled' | 'practice' | 'margin'): number {
  return sum(uses, (use) => sum(use.parts, (part) => part[key]))
}

function totals(
  at: Lookup,
  uses: readonly Use[],
  filled: readonly Bag[],
  bowls: readonly Batch[],
  needed: readonly Supply[],
  minutes: Plan['hands'],
): Plan['totals'] {
  const flowers = new Map<string, number>()
  for (const use of uses)
    if (use.form === 'flower') flowers.set(`${use.pieceId}.${use.placedId}`, use.flowers)
  return {
    pieces: sum(at.order.pieces, (p) => p.count),
    flowers: sum([...flowers.values()], (n) => n),
    mixedGrams: sum(bowls, (b) => b.grams - b.carriedGrams),
    pipedGrams: sumParts(uses, 'piped'),
    handsOnMinutes: sum(Object.values(minutes), (spent) => spent),
    changes: sum(filled, (b) => b.changes),
    washes: sum(filled, (b) => b.washes),
    cost: sum(needed, (s) => s.cost ?? 0),
  }
}

/** Every colour that is mixed, with the order's own first and in its order. */
function colourTotals(at: Lookup, bowls: readonly Batch[]): Plan['colours'] {
  const grams = new Map<string, number>(at.order.colours.map((c) => [c.id, 0]))
  for (const bowl of bowls) grams.set(bowl.colourId, (grams.get(bowl.colourId) ?? 0) + bowl.grams)
  return [...grams].map(([id, total]) => {
    const { name, hex } = at.colour(id)
    return { id, name, hex, grams: total }
  })
}
