import type { Order } from '../model/order.ts'
import type { PlanFigures } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { demand } from '../plan/demand.ts'
import { planFigures } from '../plan/index.ts'
import { lookKept, orderLook } from '../plan/look/kept.ts'
import { shownPieces } from '../plan/look/shown.ts'
import { lookUp } from '../plan/lookup.ts'
import { type LighterChange, lightened } from './change.ts'
import type { LighterMove } from './move.ts'
import { movesFor } from './moves.ts'
import { lighten, type Version, type Wish } from './search.ts'
import { tipMoves } from './tips.ts'
import { inTheirOrder, paintedLook, Scales, unpainted } from './weigh.ts'
import { changeWords } from './words.ts'

/** What an order, or a version of it, takes. */
export interface LighterTakes {
  minutes: number
  /** Of them, piping, spares and practice included. */
  pipingMinutes: number
  grams: number
  bags: number
  colours: number
  cost: number
}

/** A version of the same look with less work. */
export interface LighterVersion {
  changes: LighterChange[]
  /** What is done otherwise, a line each, beside the changes that it stands for. */
  steps: { words: string; changes: LighterChange[] }[]
  takes: LighterTakes
  /** Share of the look that is kept (core/plan/look), and of the piece that keeps least of it. */
  look: number
  leastPiece: number
}

export interface LighterOffer {
  now: LighterTakes
  /** The nearest first; none is worse than another in everything. */
  versions: LighterVersion[]
}

/** Looks that somebody asks for: hardly anything, a little, more. */
const LOOKS = [0.97, 0.93, 0.9, 0.85, 0.8, 0.72]
const WISHES: readonly Wish[] = ['minutes', 'piping']
/** Openings that save less by themselves, or take more of the look, are left to later. */
const TIP_SAVES = 1
const TIP_LOOK = 0.97

/**
 * Versions of an order that are less work, from the nearest look to the furthest that is still near. Yields how far it is, and the
 * offer as soon as there is a first one; openings that could be done without make it better afterwards.
 * @param pieceId only this piece is changed; null for all.
 */
export function* lighterOffer(
  order: Order,
  workshop: Workshop,
  pieceId: string | null,
): Generator<{ done: number; offer: LighterOffer | null }, LighterOffer> {
  const scales = new Scales(order, workshop)
  scales.moves = movesFor(scales, pieceId)
  yield { done: 0.4, offer: null }
  const found: Version[] = []
  const search = function* (wishes: readonly Wish[], from: number, to: number) {
    for (const [i, wish] of wishes.entries()) {
      const path = lighten(scales, wish)
      for (;;) {
        const { value, done } = path.next()
        if (done) {
          found.push(...value)
          break
        }
        yield { done: from + ((i + value) / wishes.length) * (to - from), offer: null }
      }
    }
  }
  yield* search(['minutes'], 0.4, 0.55)
  yield { done: 0.55, offer: offerOf(scales, found) }
  yield* search(['piping'], 0.55, 0.6)
  if (pieceId !== null) return offerOf(scales, found)
  const own = scales.moves.length
  const tips = tipMoves(scales)
  scales.moves = [...scales.moves, ...tips]
  const none = scales.weigh([])
  const worth: LighterMove[] = []
  for (const [k, move] of tips.entries()) {
    const { minutes, look } = scales.weigh([own + k])
    if (none.minutes - minutes >= TIP_SAVES && look >= TIP_LOOK) worth.push(move)
    if (k % 10 === 0) yield { done: 0.6 + (0.2 * k) / tips.length, offer: null }
  }
  scales.moves = [...scales.moves.slice(0, own), ...worth]
  yield* search(['minutes'], 0.8, 1)
  return offerOf(scales, found)
}

/** The order as one version has it. */
export const asVersion = (order: Order, changes: readonly LighterChange[]): Order =>
  lightened(order, inTheirOrder(changes))

/** What a version comes to, counted and not estimated. */
export function versionOf(
  order: Order,
  workshop: Workshop,
  changes: readonly LighterChange[],
): LighterVersion {
  const then = asVersion(order, changes)
  const shown = (o: Order) => {
    const at = lookUp(o, workshop)
    return shownPieces(at, demand(at).placements)
  }
  const kept = lookKept(shown(order), shown(asVersion(order, unpainted(changes))))
  const pieces = [...kept.pieces].map(
    ([id, look]) => look * paintedLook(changes.filter((c) => c.kind === 'painted' && c.pieceId === id)),
  )
  const look = orderLook(shown(order), pieces)
  return {
    changes: [...changes],
    steps: changes.map((c) => ({ words: changeWords(order, workshop, c), changes: [c] })),
    takes: takes(planFigures(then, workshop)),
    look,
    leastPiece: Math.min(1, ...pieces),
  }
}

function offerOf(scales: Scales, found: readonly Version[]): LighterOffer {
  const { order, workshop } = scales
  const wanted = new Map<string, Version>()
  for (const wish of WISHES)
    for (const look of LOOKS) {
      const best = found
        .filter((v) => v.look >= look && v.taken.length > 0)
        .reduce<Version | null>((b, v) => (b && b[wish] <= v[wish] ? b : v), null)
      if (best) wanted.set(JSON.stringify(best.taken), best)
    }
  const versions = [...wanted.values()].map((v) =>
    versionOf(order, workshop, inTheirOrder(v.taken.flatMap((m) => scales.moves[m]!.changes))),
  )
  return { now: takes(planFigures(order, workshop)), versions: front(versions) }
}

/** Shares of what another version saves from which two are told apart, and of the look. */
const TOLD_MINUTES = 8
const TOLD_LOOK = 0.012

/** Those that no other beats in minutes, piping and look at once, the nearest first. */
function front(versions: readonly LighterVersion[]): LighterVersion[] {
  const beats = (a: LighterVersion, b: LighterVersion) =>
    a.takes.minutes <= b.takes.minutes + TOLD_MINUTES &&
    a.takes.pipingMinutes <= b.takes.pipingMinutes + TOLD_MINUTES &&
    a.look >= b.look - TOLD_LOOK
  return versions
    .filter((v, i) => !versions.some((o, k) => k !== i && beats(o, v) && (!beats(v, o) || k < i)))
    .sort((a, b) => b.look - a.look || a.takes.minutes - b.takes.minutes)
}

const takes = (plan: PlanFigures): LighterTakes => ({
  minutes: plan.totals.handsOnMinutes,
  pipingMinutes: plan.hands.piping,
  grams: plan.totals.mixedGrams,
  bags: plan.bags.length,
  colours: plan.colours.filter((c) => c.grams > 0).length,
  cost: plan.totals.cost,
})
