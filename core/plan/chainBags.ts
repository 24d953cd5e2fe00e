import type { Group } from '../bags/problem.ts'
import type { Bag, Use } from '../model/plan.ts'
import type { OrderBags } from './bagProblem.ts'
import type { BagStage } from './bagStage.ts'
import type { Lookup } from './lookup.ts'
import { passes } from './work/passes.ts'
import { type PipedStep, workSteps } from './work/steps.ts'

/** Colours of the chain that are still in the order, in its order. */
export function chainColours(at: Lookup, uses: readonly Use[]): string[] {
  const { mixing, icingKindId } = at.order
  if (mixing.school === 'separate') return []
  const own = new Set(
    uses.filter((u) => u.icingKindId === icingKindId).flatMap((u) => u.parts.map((p) => p.colourId)),
  )
  return mixing.chain.map((link) => link.colourId).filter((id) => own.has(id))
}

/**
 * With one bowl that passes from colour to colour, a pass a colour: all of it is piped for which the ground is there,
 * layer by layer over all nails. A bag whose layer has to wait is kept aside; one with the same tips as an earlier bag
 * that is empty by then goes on from it, scraped.
 */
export function alongChain(
  at: Lookup,
  groups: readonly Group[],
  of: OrderBags,
  uses: readonly Use[],
  make: (group: Group, number: number) => Bag,
): BagStage {
  const chain = chainColours(at, uses)
  const groupOfUse = new Map<string, number>(
    groups.flatMap((g, i) => g.pairs.flatMap((p) => of.usesOfPair[p]!.map((u) => [u.id, i] as const))),
  )
  const beside = (use: Use) => use.icingKindId !== at.order.icingKindId
  const places = new Map(chain.map((id, i) => [id, i]))
  const done = passes(
    uses,
    Math.max(1, chain.length),
    (use) => (beside(use) ? [] : use.parts.map((p) => places.get(p.colourId) ?? -1)),
    (use) => groupOfUse.get(use.id) ?? -1,
  )
  const taken = [...new Set(done.flatMap((pass) => pass.uses.flatMap((u) => groupOfUse.get(u.id) ?? [])))]
  const numbers = new Map(taken.map((g, i) => [g, i + 1]))
  const bags = taken.map((g, i) => {
    const bag = make(groups[g]!, i + 1)
    const filled = beside(first(of, groups[g]!))
      ? -1
      : Math.max(-1, ...bag.load.map((part) => places.get(part.colourId) ?? -1))
    const last = done.findLastIndex((pass) => pass.uses.some((u) => groupOfUse.get(u.id) === g))
    // a stripe's earlier colour waits in its half of the bag for the later one
    const begun = Math.min(...bag.load.map((part) => places.get(part.colourId) ?? filled))
    const keptFor = filled >= 0 && (last > filled || begun < filled) ? chain[last]! : null
    return { bag: { ...bag, keptFor, changes: changesOf(done, g, groupOfUse) }, filled, last }
  })
  return {
    bags: reused(bags),
    sequence: workSteps(
      at,
      done.flatMap(({ link, uses: now }) =>
        now.map((use): PipedStep => {
          const g = groupOfUse.get(use.id)
          return {
            uses: [use],
            bagNumbers: g === undefined ? [] : [numbers.get(g)!],
            repeats: 1,
            colourId: chain[link] ?? null,
          }
        }),
      ),
    ),
    conflicts: [],
  }
}

const first = (of: OrderBags, group: Group): Use => of.usesOfPair[group.pairs[0]!]![0]!

/** Changes of tip on one bag over all passes. */
function changesOf(
  done: readonly { uses: readonly Use[] }[],
  group: number,
  groupOfUse: ReadonlyMap<string, number>,
): number {
  const tips = done.flatMap((pass) =>
    pass.uses.flatMap((u) => (groupOfUse.get(u.id) === group ? [u.tipId] : [])),
  )
  return tips.filter((tip, i) => i > 0 && tip !== tips[i - 1]).length
}

/** A bag goes on from an earlier one of the same kind with the same tips that is done before it is filled. */
function reused(bags: readonly { bag: Bag; filled: number; last: number }[]): Bag[] {
  const free = new Map<string, { bag: Bag; last: number }>()
  return bags.map(({ bag, filled, last }) => {
    if (bag.fixedTip || filled < 0) return bag
    const key = [bag.bagStockId, bag.coupler, ...bag.tipIds].join()
    const before = free.get(key)
    if (bag.keptFor === null) free.set(key, { bag, last })
    return before && before.last < filled ? { ...bag, reuses: before.bag.number } : bag
  })
}
