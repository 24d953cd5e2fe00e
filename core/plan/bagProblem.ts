import type { BagProblem, Job } from '../bags/problem.ts'
import type { Use } from '../model/plan.ts'
import { bareMinutes, barePair } from './fill.ts'
import { loadKey, pairKey } from './keys.ts'
import type { Lookup } from './lookup.ts'
import { flowersPiped } from './piped.ts'
import { onNail, STAGE, stageOf } from './work/stages.ts'

/** The bags of an order as a problem to solve, and what its numbers stand for. */
export interface OrderBags {
  problem: BagProblem
  /** Names of pairs and jobs, as an order's choices write them. */
  pairKeys: string[]
  jobKeys: string[]
  tipIds: string[]
  usesOfPair: Use[][]
  usesOfJob: Use[][]
}

/**
 * Builds the problem: pairs from loads and tips, a job for each flower on nails (all its layers, one flower after the
 * other) and for each layer in place (a stage over the tray), what must come before what, and the drawer's limits.
 */
export function orderBags(at: Lookup, uses: readonly Use[]): OrderBags {
  const piped = inOwnOrder(at, uses).filter((u) => u.tipId !== null)
  const loadOf = new Map(piped.map((u) => [u, loadKey(u)]))
  const pairOf = new Map(piped.map((u) => [u, pairKey(u)]))
  const pairKeys = [...new Set(pairOf.values())]
  const loadKeys = [...new Set(loadOf.values())]
  const tipIds = [...new Set(piped.map((u) => u.tipId!))]
  const usesOfPair = groupBy(piped, (u) => pairOf.get(u)!, pairKeys)
  const bare = usesOfPair.map((of) => barePair(at, of))
  const pairNumber = new Map(pairKeys.map((k, i) => [k, i]))
  const { jobKeys, usesOfJob, repeats } = jobsOf(piped)
  const onPiece = new Map<string, number[]>()
  usesOfJob.forEach(([first], j) => {
    onPiece.set(first!.pieceId, [...(onPiece.get(first!.pieceId) ?? []), j])
  })
  const { settings, bags } = at.workshop
  const pins = at.order.bagPins
  const numberOf = (key: string) => pairNumber.get(key)
  const costs = new Map<string, number>()
  const problem: BagProblem = {
    pairs: usesOfPair.map((of) => ({
      load: loadKeys.indexOf(loadOf.get(of[0]!)!),
      tip: tipIds.indexOf(of[0]!.tipId!),
    })),
    loads: loadKeys.map((key) => ({ fixed: piped.find((u) => loadOf.get(u) === key)!.fixedTip })),
    tips: tipIds.map((id) => {
      const tip = at.tip(id)
      return {
        // a tip that is not owned is planned as if it were bought: the advice says so
        copies: Math.max(1, tip.owned),
        fit: tip.base,
        once: pins.some((p) => p.kind === 'tipOnce' && p.tipId === id),
      }
    }),
    jobs: usesOfJob.map(
      (of, j): Job => ({
        pairs: of.map((u) => pairNumber.get(pairOf.get(u)!)!),
        repeats: repeats[j]!,
        after: waitsFor(usesOfJob, onPiece, j),
      }),
    ),
    couplers: { standard: settings.couplersStandard, large: settings.couplersLarge },
    mostBags: bags.reduce((sum, b) => sum + b.owned, 0),
    changeMinutes: settings.changeMinutes,
    washMinutes: settings.washMinutes,
    bagMinutes(pairs, coupler) {
      const key = `${coupler} ${pairs.join()}`
      const known = costs.get(key)
      if (known !== undefined) return known
      const fit = problem.tips[problem.pairs[pairs[0]!]!.tip]!.fit
      const of = pairs.map((p) => bare[p]!)
      const cost = bareMinutes(at, of, coupler && fit !== 'none' ? fit : 'none')
      costs.set(key, cost)
      return cost
    },
    alone: pins.flatMap((p) => (p.kind === 'alone' ? (numberOf(p.pair) ?? []) : [])),
    apart: pins.flatMap((p) => {
      if (p.kind !== 'apart') return []
      const [a, b] = p.pairs.map(numberOf)
      return a === undefined || b === undefined ? [] : [[a, b] as const]
    }),
  }
  return { problem, pairKeys, jobKeys, tipIds, usesOfPair, usesOfJob }
}

/**
 * Uses by the names of their pieces, the layers of a flower as its recipe has them: what is found must not depend on how
 * the pieces happen to stand in the order.
 */
function inOwnOrder(at: Lookup, uses: readonly Use[]): Use[] {
  const names = new Map(at.order.pieces.map((p) => [p.id, `${p.name}\n${p.id}`]))
  const key = (use: Use) => `${names.get(use.pieceId)}\n${use.placedId ?? ''}`
  const keys = new Map(uses.map((u) => [u, key(u)]))
  return [...uses].sort((a, b) => compare(keys.get(a)!, keys.get(b)!))
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

function groupBy(uses: readonly Use[], keyOf: (use: Use) => string, keys: readonly string[]): Use[][] {
  const groups = new Map<string, Use[]>(keys.map((k) => [k, []]))
  for (const use of uses) groups.get(keyOf(use))!.push(use)
  return [...groups.values()]
}

interface PlannedJob {
  key: string
  uses: Use[]
  repeats: number
}

/** Jobs in the order of the pieces: nails first, which have to set, then what is piped in place by its stage. */
function jobsOf(piped: readonly Use[]): { jobKeys: string[]; usesOfJob: Use[][]; repeats: number[] } {
  const whole = new Map<string, Use[]>()
  for (const use of piped) {
    const key = onNail(use) ? `${use.pieceId}.${use.placedId}` : use.id
    const job = whole.get(key)
    if (job) job.push(use)
    else whole.set(key, [use])
  }
  const rank = (use: Use) => (onNail(use) ? -1 : stageOf(use))
  const sorted = [...whole]
    .sort(([, a], [, b]) => rank(a[0]!) - rank(b[0]!))
    .flatMap(([key, uses]) => inBatches(key, uses))
  return {
    jobKeys: sorted.map((j) => j.key),
    usesOfJob: sorted.map((j) => j.uses),
    repeats: sorted.map((j) => j.repeats),
  }
}

/**
 * A flower as the jobs it is piped in. One after another it is one job, many times over; in batches of squares it is
 * the layers up to one that may wait over the batch, then those from there on, batch after batch.
 */
function inBatches(key: string, uses: Use[]): PlannedJob[] {
  const first = uses[0]!
  if (!onNail(first)) return [{ key, uses, repeats: 1 }]
  const all = flowersPiped(first)
  const parts: Use[][] = []
  for (const use of uses) {
    if (use.waited || parts.length === 0) parts.push([])
    parts.at(-1)!.push(use)
  }
  if (parts.length === 1) return [{ key, uses, repeats: all }]
  const rounds = Math.ceil(all / first.batch)
  return Array.from({ length: rounds }, (_, round) =>
    parts.map((part, k) => ({
      key: `${key}#${round + 1}.${k + 1}`,
      uses: part,
      repeats: Math.min(first.batch, all - round * first.batch),
    })),
  ).flat()
}

/**
 * Jobs that must be done before one: earlier layers of the same flower in place; and on the same piece everything of an
 * earlier stage, save that flowers on nails only have to be there before the leaves that cover their feet.
 */
function waitsFor(
  jobs: readonly Use[][],
  onPiece: ReadonlyMap<string, readonly number[]>,
  j: number,
): number[] {
  const first = jobs[j]![0]!
  return onPiece.get(first.pieceId)!.filter((i) => {
    const use = jobs[i]![0]!
    if (i === j) return false
    // a flower in batches waits for the part before it, which waits for those before that
    if (use.placedId === first.placedId) return onNail(use) ? i === j - 1 : i < j
    if (onNail(first)) return false
    return onNail(use) ? stageOf(first) >= STAGE.leaf : stageOf(use) < stageOf(first)
  })
}
