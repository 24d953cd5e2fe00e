import { greedy, inOrder, lendTips } from '../bags/greedy.ts'
import { type Arrangement, fitOf, type Group, mayShare } from '../bags/problem.ts'
import { simulate } from '../bags/simulate.ts'
import { stiffnessWord } from '../icings/setting.ts'
import type { ArrangementChoice } from '../model/order.ts'
import type { Bag, Use } from '../model/plan.ts'
import { shortOpening } from '../tips/index.ts'
import { type OrderBags, orderBags } from './bagProblem.ts'
import type { BagStage } from './bagStage.ts'
import { alongChain } from './chainBags.ts'
import { fillBag } from './fill.ts'
import type { Lookup } from './lookup.ts'
import { stageOf } from './work/stages.ts'
import { type PipedStep, workSteps } from './work/steps.ts'

/**
 * Which bags to fill with what, and in which order to pipe: the arrangement somebody has chosen, or a good one found at
 * once (core/bags). Striped loads keep their tip fixed. Numbered in the order in which they are taken up.
 */
export function bags(at: Lookup, uses: readonly Use[]): BagStage {
  const of = orderBags(at, uses)
  if (of.problem.pairs.length === 0) return { bags: [], sequence: workSteps(at, spread(uses)), conflicts: [] }
  const chosen = at.order.arrangement
  const arrangement = chosen ? adopt(of, chosen) : greedy(of.problem)
  return at.order.mixing.school === 'separate'
    ? inSequence(at, of, arrangement, uses)
    : alongChain(at, arrangement.groups, of, uses, (group, number) => ({
        ...fill(at, of, group),
        ...numbered(at, of, group, number),
      }))
}

/** What is spread with a spatula: filling before crumb coats before coats, one piece after the other. */
function spread(uses: readonly Use[]): PipedStep[] {
  return uses
    .filter((u) => u.form === 'coat')
    .sort((a, b) => stageOf(a) - stageOf(b))
    .map((use) => ({ uses: [use], bagNumbers: [], repeats: 1, colourId: null }))
}

/**
 * A chosen arrangement fitted to the order as it is now: bags of what is still there, new loads on bags of their own,
 * jobs in the chosen order as far as what they wait for lets them.
 */
export function adopt({ problem, pairKeys, jobKeys }: OrderBags, chosen: ArrangementChoice): Arrangement {
  const left = new Set(problem.pairs.map((_, p) => p))
  const groups: Group[] = chosen.bags.flatMap(({ pairs: keys, coupler }) => {
    const pairs = keys.map((k) => pairKeys.indexOf(k)).filter((p) => left.delete(p))
    if (pairs.length === 0) return []
    if (!mayShare(problem, pairs)) return pairs.map((p) => ({ pairs: [p], coupler: false }))
    const lone = pairs.length === 1
    const can = fitOf(problem, pairs) !== 'none' && !problem.loads[problem.pairs[pairs[0]!]!.load]!.fixed
    return [{ pairs, coupler: can && (!lone || coupler) }]
  })
  for (const p of left) groups.push({ pairs: [p], coupler: false })
  const place = new Map(chosen.sequence.map((key, i) => [key, i]))
  const wanted = jobKeys
    .map((key, j) => ({ j, at: place.get(key) ?? Number.MAX_SAFE_INTEGER }))
    .sort((a, b) => a.at - b.at || a.j - b.j)
    .map(({ j }) => j)
  // the stored order as a list of jobs, then whatever must come first is put first
  const renumbered = {
    ...problem,
    jobs: wanted.map((j) => ({
      ...problem.jobs[j]!,
      after: problem.jobs[j]!.after.map((a) => wanted.indexOf(a)),
    })),
  }
  const sequence = inOrder(renumbered).map((i) => wanted[i]!)
  return lendTips(problem, { groups, sequence })
}

/** An arrangement as an order stores it. */
export function asChoice(
  { pairKeys, jobKeys }: OrderBags,
  { groups, sequence }: Arrangement,
): ArrangementChoice {
  return {
    bags: groups.map((g) => ({ pairs: g.pairs.map((p) => pairKeys[p]!), coupler: g.coupler })),
    sequence: sequence.map((j) => jobKeys[j]!),
  }
}

function inSequence(at: Lookup, of: OrderBags, arrangement: Arrangement, uses: readonly Use[]): BagStage {
  const { groups, sequence } = arrangement
  const tally = simulate(of.problem, arrangement)
  const groupOf = new Map(groups.flatMap((g, i) => g.pairs.map((p) => [p, i] as const)))
  const places = new Map(sequence.map((j, i) => [j, i]))
  const firstAt = groups.map((g) =>
    Math.min(
      ...of.problem.jobs.flatMap((job, j) =>
        job.pairs.some((p) => g.pairs.includes(p)) ? [places.get(j)!] : [],
      ),
    ),
  )
  const order = groups.map((_, g) => g).sort((a, b) => firstAt[a]! - firstAt[b]! || a - b)
  const numbers = new Map(order.map((g, i) => [g, i + 1]))
  return {
    bags: order.map((g) => ({
      ...fill(at, of, groups[g]!),
      changes: tally.perGroup[g]!.changes,
      washes: tally.perGroup[g]!.washes,
      ...numbered(at, of, groups[g]!, numbers.get(g)!),
    })),
    sequence: workSteps(at, [
      ...spread(uses),
      ...sequence.map((j) => ({
        uses: of.usesOfJob[j]!,
        bagNumbers: of.problem.jobs[j]!.pairs.map((p) => numbers.get(groupOf.get(p)!)!),
        repeats: of.problem.jobs[j]!.repeats,
        colourId: null,
      })),
    ]),
    conflicts: tally.missingTips.map((t) => ({
      tipId: of.tipIds[t]!,
      bagNumbers: order.flatMap((g) =>
        groups[g]!.pairs.some((p) => of.problem.pairs[p]!.tip === t) ? [numbers.get(g)!] : [],
      ),
    })),
  }
}

function fill(at: Lookup, of: OrderBags, group: Group): Bag {
  const fit = fitOf(of.problem, group.pairs)
  return fillBag(
    at,
    group.pairs.flatMap((p) => of.usesOfPair[p]!),
    group.coupler && fit !== 'none' ? fit : 'none',
  )
}

function numbered(at: Lookup, of: OrderBags, group: Group, number: number): Pick<Bag, 'number' | 'label'> {
  const uses = group.pairs.flatMap((p) => of.usesOfPair[p]!)
  const first = uses[0]!
  const colours = first.parts.map((p) => at.colour(p.colourId).name).join(' + ')
  const tips = [...new Set(uses.map((u) => u.tipId!))].map((id) => {
    const tip = at.tip(id)
    return shortOpening(tip.opening) + (tip.stamp ? ` (${tip.stamp})` : '')
  })
  return {
    number,
    label: `${number} · ${colours}, ${stiffnessWord(at.icing(first.icingKindId), first.stiffness)} · ${tips.join(', ')}`,
  }
}
