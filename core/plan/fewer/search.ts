import { greedy } from '../../bags/greedy.ts'
import { simulate } from '../../bags/simulate.ts'
import type { Order } from '../../model/order.ts'
import type { Use } from '../../model/plan.ts'
import type { Workshop } from '../../model/workshop.ts'
import { orderBags } from '../bagProblem.ts'
import { demand, type FittedPlacement } from '../demand.ts'
import { loadKey } from '../keys.ts'
import { lookUp } from '../lookup.ts'
import { bowlKey, reserve } from '../reserve.ts'
import { allowedStiffness, allowedTips, STIFFNESS_LOOK, staysNear, type TipChoice } from './allowed.ts'
import { type Change, type Changed, withChanges } from './change.ts'

/** What a set of changes is weighed by. */
export interface Weighed {
  /** All minutes that change: bags, tip changes and washes, grams left in bags, piping, bowls. */
  minutes: number
  bags: number
  tips: number
  bowls: number
  /** Share of the icing by volume times how far its layers are from their recipes. */
  look: number
}

/** Minutes that a bowl costs, that a tip more to look for and wash at the end of the day costs, and that all of the look is worth. */
const BOWL_MINUTES = 5
const TIP_MINUTES = 1
const LOOK_MINUTES = 30
/** A move that saves less is not worth telling. */
const LEAST_GAIN = 0.2
/** Evaluations of a whole plan; the demo order needs a third of them. */
const MOST_TRIES = 1500

export const worth = (w: Weighed): number => w.minutes + TIP_MINUTES * w.tips + LOOK_MINUTES * w.look

/** One move: a set of layers changed alike. */
export interface Move {
  kind: 'tip' | 'stiffness' | 'both'
  changes: Change[]
  saves: Weighed
}

interface LayerFacts {
  use: Use
  tips: ReadonlyMap<string, TipChoice>
  stiffness: ReadonlySet<string>
}

/**
 * Fewer bags, tips and bowls by piping layers through openings and at stiffnesses that others of the order use already,
 * within bounds of look: steepest descent over moves that end a load through a tip, a tip, or a bowl. Gains are worked
 * out anew only for moves that still look best. What a person chose stays. A generator: tells how far it is.
 */
export function* fewer(order: Order, workshop: Workshop): Generator<number, Move[]> {
  const free: Order = { ...order, arrangement: null, mixing: { school: 'separate' } }
  const at = lookUp(free, workshop)
  const { placements, uses } = demand(at)
  const facts = factsOf(placements, uses, workshop)
  const looks = new Map(facts.map((f) => [f.use.id, f]))
  const taken: Move[] = []
  let changed: Changed = new Map()
  let tries = 0
  const weigh = (of: Changed): Weighed => {
    tries += 1
    return weighed(withChanges(free, of), workshop, of, looks, placements)
  }
  let now = weigh(changed)
  let moves = movesFrom(facts, changed).map((changes) => ({ changes, gain: Number.POSITIVE_INFINITY }))
  while (tries < MOST_TRIES) {
    let best: { changes: Change[]; gain: number; then: Weighed } | null = null
    for (const move of moves.sort((a, b) => b.gain - a.gain)) {
      if (tries >= MOST_TRIES || move.gain <= (best?.gain ?? LEAST_GAIN)) break
      const then = weigh(merged(changed, move.changes))
      move.gain = worth(now) - worth(then)
      if (move.gain > (best?.gain ?? LEAST_GAIN)) best = { changes: move.changes, gain: move.gain, then }
      if (tries % 20 === 0) yield Math.min(0.99, tries / MOST_TRIES)
    }
    if (!best) break
    changed = merged(changed, best.changes)
    taken.push({ kind: kindOf(best.changes), changes: best.changes, saves: difference(now, best.then) })
    now = best.then
    const gains = new Map(moves.map((m) => [keyOf(m.changes), m.gain]))
    moves = movesFrom(facts, changed).map((changes) => ({
      changes,
      gain: gains.get(keyOf(changes)) ?? Number.POSITIVE_INFINITY,
    }))
  }
  return taken
}

const keyOf = (changes: readonly Change[]) => JSON.stringify(changes)

function merged(changed: Changed, changes: readonly Change[]): Changed {
  const next = new Map(changed)
  for (const { useId, tipId, stiffness } of changes) {
    const before = next.get(useId)
    next.set(useId, { tipId: tipId ?? before?.tipId, stiffness: stiffness ?? before?.stiffness })
  }
  return next
}

function kindOf(changes: readonly Change[]): Move['kind'] {
  const tip = changes.some((c) => c.tipId)
  const stiffness = changes.some((c) => c.stiffness)
  return tip && stiffness ? 'both' : tip ? 'tip' : 'stiffness'
}

const difference = (a: Weighed, b: Weighed): Weighed => ({
  minutes: a.minutes - b.minutes,
  bags: a.bags - b.bags,
  tips: a.tips - b.tips,
  bowls: a.bowls - b.bowls,
  look: a.look - b.look,
})

function factsOf(
  placements: readonly FittedPlacement[],
  uses: readonly Use[],
  workshop: Workshop,
): LayerFacts[] {
  const usesById = new Map(uses.map((u) => [u.id, u]))
  const known = new Map<string, ReadonlyMap<string, TipChoice>>()
  return placements.flatMap((p) =>
    p.fitted.layers.flatMap(({ layer, tip }, i) => {
      const use = usesById.get(`${p.piece.id}.${p.placed.id}.${layer.id}`)
      if (!use || use.fixedTip) return []
      const settled = p.placed.tips[layer.id] !== undefined
      const key = JSON.stringify([p.flower.id, p.placed.sizeMm, p.placed.tips, layer.id])
      const tips =
        known.get(key) ??
        new Map(settled ? [] : allowedTips(p, i, workshop.tips).map((choice) => [choice.tipId, choice]))
      known.set(key, tips)
      const stiffness = p.placed.stiffness[layer.id] ? [] : allowedStiffness(layer, use.stiffness)
      return [{ use: { ...use, tipId: tip.id }, tips, stiffness: new Set<string>(stiffness) }]
    }),
  )
}

/** Every move from here: a load's or everybody's tip to one in use, a load's stiffness to another of its colours, both. */
function movesFrom(facts: readonly LayerFacts[], changed: Changed): Change[][] {
  const present = facts.map((f) => {
    const change = changed.get(f.use.id)
    const use = {
      ...f.use,
      tipId: change?.tipId ?? f.use.tipId,
      stiffness: change?.stiffness ?? f.use.stiffness,
    }
    return {
      ...f,
      now: use,
      load: loadKey(use),
      colours: `${use.icingKindId} ${use.parts.map((p) => p.colourId).join('+')}`,
    }
  })
  const mayTip = (f: LayerFacts, tipId: string) => tipId === f.use.tipId || f.tips.has(tipId)
  const mayBe = (f: LayerFacts, stiffness: string) =>
    stiffness === f.use.stiffness || f.stiffness.has(stiffness)
  const tips = [...new Set(present.map((f) => f.now.tipId!))]
  const moves: Change[][] = []
  const add = (of: typeof present, tipId: string | undefined, stiffness: Use['stiffness'] | undefined) => {
    if (of.length === 0) return
    if (tipId !== undefined && !of.every((f) => mayTip(f, tipId))) return
    if (stiffness !== undefined && !of.every((f) => mayBe(f, stiffness))) return
    moves.push(of.map((f) => ({ useId: f.use.id, tipId, stiffness })))
  }
  for (const from of tips)
    for (const to of tips)
      if (from !== to) {
        add(
          present.filter((f) => f.now.tipId === from && mayTip(f, to)),
          to,
          undefined,
        )
      }
  const pairs = new Map(present.map((f) => [`${f.load}|${f.now.tipId}`, f]))
  for (const pair of pairs.values()) {
    const own = present.filter((f) => f.load === pair.load && f.now.tipId === pair.now.tipId)
    for (const to of tips) if (to !== pair.now.tipId) add(own, to, undefined)
    for (const other of pairs.values()) {
      if (other.colours !== pair.colours || other.now.stiffness === pair.now.stiffness) continue
      const whole = present.filter((f) => f.load === pair.load)
      // two that cannot become each other may meet halfway
      add(
        present.filter((f) => f.load === pair.load || f.load === other.load),
        undefined,
        'medium',
      )
      add(whole, undefined, other.now.stiffness)
      add(own, undefined, other.now.stiffness)
      add(own, other.now.tipId!, other.now.stiffness)
    }
  }
  const seen = new Set<string>()
  return moves.filter((m) => {
    const key = keyOf(m)
    return !seen.has(key) && seen.add(key)
  })
}

function weighed(
  order: Order,
  workshop: Workshop,
  changed: Changed,
  looks: ReadonlyMap<string, LayerFacts>,
  before: readonly FittedPlacement[],
): Weighed {
  const at = lookUp(order, workshop)
  const wanted = demand(at)
  const near = wanted.placements.every((p, i) =>
    staysNear(p.flower, before[i]!.fitted.measure, p.fitted.measure),
  )
  if (!near) return { minutes: Number.POSITIVE_INFINITY, bags: 0, tips: 0, bowls: 0, look: 0 }
  const uses = reserve(at, wanted.uses)
  const of = orderBags(at, uses)
  const tally = simulate(of.problem, greedy(of.problem))
  const bowls = new Set(uses.flatMap((u) => u.parts.map((p) => bowlKey(u, p.colourId)))).size
  const grams = (u: Use) => u.parts.reduce((sum, p) => sum + p.piped, 0)
  const piped = uses.filter((u) => u.tipId !== null)
  const all = piped.reduce((sum, u) => sum + grams(u), 0)
  const look = piped.reduce((sum, u) => {
    const change = changed.get(u.id)
    const facts = looks.get(u.id)
    if (!change || !facts) return sum
    const tip = change.tipId ? (facts.tips.get(change.tipId)?.look ?? 0) : 0
    const softer = change.stiffness && change.stiffness !== facts.use.stiffness ? STIFFNESS_LOOK : 0
    return sum + (grams(u) / Math.max(1e-9, all)) * (tip + softer)
  }, 0)
  const piping = uses.reduce((sum, u) => sum + u.seconds / 60, 0)
  const metal = of.tipIds.filter((id) => at.tip(id).base !== 'none').length
  return {
    minutes: tally.minutes + piping + BOWL_MINUTES * bowls,
    bags: tally.bags,
    tips: metal,
    bowls,
    look,
  }
}
