import { greedy } from '../../bags/greedy.ts'
import { simulate } from '../../bags/simulate.ts'
import type { Order } from '../../model/order.ts'
import type { Use } from '../../model/plan.ts'
import type { Workshop } from '../../model/workshop.ts'
import { orderBags } from '../bagProblem.ts'
import { demand, type FittedPlacement } from '../demand.ts'
import { type LookKept, lookKept, SAME_LOOK } from '../look/kept.ts'
import { shownPieces } from '../look/shown.ts'
import { lookUp } from '../lookup.ts'
import { bowlKey, reserve } from '../reserve.ts'
import { allowedStiffness, allowedTips, staysNear } from './allowed.ts'
import { type Changed, withChanges } from './change.ts'

/** What a set of changes costs. */
export interface Costs {
  /** All minutes that change: bags, tip changes and washes, grams left in bags, piping, portions. */
  minutes: number
  bags: number
  tips: number
  portions: number
  /** Share of the icing that is mixed stiffer or softer than its recipe: the picture does not show it. */
  otherStiffness: number
}

/** Minutes that a portion costs. */
const PORTION_MINUTES = 5

/** Cannot be: too far from the recipes. */
const REFUSED: Costs = {
  minutes: Number.POSITIVE_INFINITY,
  bags: 0,
  tips: 0,
  portions: 0,
  otherStiffness: 0,
}

/** A layer of the order that may change, as it is, and to what. */
export interface LayerFacts {
  use: Use
  tips: ReadonlySet<string>
  stiffness: ReadonlySet<string>
}

/** An order ready to be weighed with its layers changed; every set of changes is worked out once. */
export interface Scales {
  facts: readonly LayerFacts[]
  costs(changed: Changed): Costs
  /**
   * Share of the order's look that is kept, 0 to 1, as core/plan/look measures it; 0 for another look. Takes as long as
   * the costs, and is asked for only where they are good.
   */
  look(changed: Changed): number
  /** The same for the order and each of its pieces. */
  kept(changed: Changed): LookKept
  /** Sets of changes whose costs were worked out so far. */
  tries(): number
}

/** @param order with bowls of their own and no chosen arrangement. */
export function scalesFor(order: Order, workshop: Workshop): Scales {
  const at = lookUp(order, workshop)
  const { placements, uses } = demand(at)
  const facts = factsOf(placements, uses, workshop)
  const own = new Map(facts.map((f) => [f.use.id, f.use]))
  const shown = shownPieces(at, placements)
  const costs = new Map<string, Costs>()
  const looks = new Map<string, number>()
  const costsOf = (changed: Changed): Costs => {
    const then = lookUp(withChanges(order, changed), workshop)
    const wanted = demand(then)
    const near = wanted.placements.every((p, i) =>
      staysNear(p.flower, placements[i]!.fitted.measure, p.fitted.measure),
    )
    if (!near) return REFUSED
    const all = reserve(then, wanted.uses)
    const of = orderBags(then, all)
    const tally = simulate(of.problem, greedy(of.problem))
    const portions = new Set(all.flatMap((u) => u.parts.map((p) => bowlKey(u, p.colourId)))).size
    return {
      minutes: tally.minutes + all.reduce((sum, u) => sum + u.seconds / 60, 0) + PORTION_MINUTES * portions,
      bags: tally.bags,
      tips: of.tipIds.filter((id) => then.tip(id).base !== 'none').length,
      portions,
      otherStiffness: otherStiffness(all, own, changed),
    }
  }
  const kept = (changed: Changed): LookKept => {
    const then = lookUp(withChanges(order, changed), workshop)
    return lookKept(shown, shownPieces(then, demand(then).placements))
  }
  const lookOf = (changed: Changed): number => {
    const look = kept(changed).order
    return look < SAME_LOOK ? 0 : look
  }
  return {
    facts,
    costs: (changed) => remembered(costs, changed, costsOf),
    look: (changed) => remembered(looks, changed, lookOf),
    kept,
    tries: () => costs.size,
  }
}

function remembered<T>(known: Map<string, T>, changed: Changed, of: (changed: Changed) => T): T {
  const key = changedKey(changed)
  const before = known.get(key)
  if (before !== undefined) return before
  const result = of(changed)
  known.set(key, result)
  return result
}

const changedKey = (changed: Changed) =>
  [...changed]
    .map(([id, { tipId, stiffness }]) => `${id} ${tipId ?? ''} ${stiffness ?? ''}`)
    .sort()
    .join('\n')

function otherStiffness(uses: readonly Use[], own: ReadonlyMap<string, Use>, changed: Changed): number {
  const grams = (u: Use) => u.parts.reduce((sum, p) => sum + p.piped, 0)
  const piped = uses.filter((u) => u.tipId !== null)
  const other = piped.filter((u) => {
    const stiffness = changed.get(u.id)?.stiffness
    return stiffness !== undefined && stiffness !== own.get(u.id)?.stiffness
  })
  const all = piped.reduce((sum, u) => sum + grams(u), 0)
  return other.reduce((sum, u) => sum + grams(u), 0) / Math.max(1e-9, all)
}

function factsOf(
  placements: readonly FittedPlacement[],
  uses: readonly Use[],
  workshop: Workshop,
): LayerFacts[] {
  const usesById = new Map(uses.map((u) => [u.id, u]))
  const known = new Map<string, ReadonlySet<string>>()
  // layers move to tips that are on the table anyway
  const inUse = new Set(uses.flatMap((u) => u.tipId ?? []))
  return placements.flatMap((p) =>
    p.fitted.layers.flatMap(({ layer, tip }, i) => {
      const use = usesById.get(`${p.piece.id}.${p.placed.id}.${layer.id}`)
      if (!use || use.fixedTip) return []
      const settled = p.placed.tips[layer.id] !== undefined
      const key = JSON.stringify([p.flower.id, p.placed.sizeMm, p.placed.tips, layer.id])
      const tips =
        known.get(key) ??
        new Set(settled ? [] : allowedTips(p, i, workshop.tips, inUse).map((choice) => choice.tipId))
      known.set(key, tips)
      const stiffness = p.placed.stiffness[layer.id] ? [] : allowedStiffness(layer, use.stiffness)
      return [{ use: { ...use, tipId: tip.id }, tips, stiffness: new Set<string>(stiffness) }]
    }),
  )
}
