import type { Order } from '../../model/order.ts'
import type { PlanFigures, Use } from '../../model/plan.ts'
import type { Workshop } from '../../model/workshop.ts'
import { demand, type FittedPlacement } from '../demand.ts'
import { planFigures } from '../index.ts'
import { lookUp } from '../lookup.ts'
import { type Change, withChanges } from './change.ts'
import { allOf, fewer, type Move, WISHES, type Wish } from './search.ts'
import { scalesFor } from './weigh.ts'
import { changeWords, effectWords, touchedUses } from './words.ts'

/** What a plan takes, as far as tips and stiffness have a say in it. */
export interface Takes {
  bags: number
  tips: number
  /** Colours at one stiffness each, to be weighed and thinned. */
  portions: number
  minutes: number
  grams: number
}

/** One move in words, with what it saves on top of those before it. */
export interface FewerMove {
  changes: Change[]
  what: string
  /** What it does to the flowers; empty where nobody would see or weigh it. */
  effect: string
  /** Openings before and after; empty where only the stiffness changes. */
  fromTipIds: string[]
  toTipId: string | null
  /** A flower that it changes, for its picture: "piece.placed"; null where only the stiffness changes. */
  shows: string | null
  /** All the changes up to it, and with it, for the pictures before and after. */
  before: Change[]
  saves: Move['saves']
}

/** One way to do the order with fewer bags, tips and bowls. */
export interface FewerChoice {
  id: Wish['id']
  /** What nothing else offered does better. */
  best: ('bags' | 'minutes' | 'tips' | 'look')[]
  after: Takes
  /** Share of the look that is kept (core/plan/look), and of the piece that keeps least. */
  look: number
  leastPiece: number
  /** The flower whose icing and the one whose width changes most, in words; empty where nothing to speak of. */
  effect: string
  moves: FewerMove[]
  changes: Change[]
}

/** The order as it is, and what could be had instead: none of the choices is worse than another in everything. */
export interface FewerOffer {
  before: Takes
  choices: FewerChoice[]
}

/** Searches for them; yields how far it is, 0 to 1. An offer without choices says that there is none. */
export function* fewerOffer(order: Order, workshop: Workshop): Generator<number, FewerOffer> {
  const separate: Order = { ...order, arrangement: null, mixing: { school: 'separate' } }
  const scales = scalesFor(separate, workshop)
  const found: { wish: Wish; moves: Move[] }[] = []
  const seen: Parameters<typeof fewer>[3] = new Map()
  for (const [i, wish] of WISHES.entries()) {
    const search = fewer(
      scales,
      wish,
      found.map((f) => f.moves.map((m) => m.changes)),
      seen,
    )
    for (;;) {
      const { value, done } = search.next()
      if (done) {
        if (value.length > 0) found.push({ wish, moves: value })
        break
      }
      yield (i + value) / WISHES.length
    }
  }
  const before = takes(planFigures(separate, workshop), workshop)
  const choices = found.map(({ wish, moves }) => choice(separate, workshop, wish, moves, scales.kept))
  return { before, choices: front(choices) }
}

/** The order with all these changes; the bags are planned anew. */
export function applied(order: Order, changes: readonly Change[]): Order {
  return { ...withChanges(order, allOf([changes])), arrangement: null }
}

function choice(
  separate: Order,
  workshop: Workshop,
  wish: Wish,
  moves: readonly Move[],
  kept: ReturnType<typeof scalesFor>['kept'],
): FewerChoice {
  const changes = moves.flatMap((m) => m.changes)
  const then = applied(separate, changes)
  const look = kept(allOf([changes]))
  return {
    id: wish.id,
    best: [],
    after: takes(planFigures(then, workshop), workshop),
    look: look.order,
    leastPiece: Math.min(1, ...look.pieces.values()),
    effect: effectWords(fittings(separate, workshop), fittings(then, workshop)),
    moves: told(separate, workshop, moves),
    changes,
  }
}

const MEASURES = [
  { id: 'bags', of: (c: FewerChoice) => c.after.bags },
  { id: 'minutes', of: (c: FewerChoice) => Math.round(c.after.minutes) },
  { id: 'tips', of: (c: FewerChoice) => c.after.tips },
  { id: 'look', of: (c: FewerChoice) => -Math.round(1000 * c.look) },
] as const

/** Those that no other beats, each with what it is best in; alike ones once. */
function front(choices: readonly FewerChoice[]): FewerChoice[] {
  const noWorse = (a: FewerChoice, b: FewerChoice) => MEASURES.every(({ of }) => of(a) <= of(b))
  const left = choices.filter(
    (c, i) => !choices.some((o, k) => k !== i && noWorse(o, c) && (!noWorse(c, o) || k < i)),
  )
  return left.map((c) => ({
    ...c,
    best: MEASURES.filter(({ of }) => of(c) === Math.min(...left.map(of))).map(({ id }) => id),
  }))
}

function takes(plan: PlanFigures, workshop: Workshop): Takes {
  const tips = new Set(plan.bags.flatMap((b) => b.tipIds))
  const metal = [...tips].filter((id) => workshop.tips.find((t) => t.id === id)?.base !== 'none')
  return {
    bags: plan.bags.length,
    tips: metal.length,
    portions: plan.batches.length,
    minutes: plan.totals.handsOnMinutes,
    grams: plan.totals.mixedGrams,
  }
}

const fittings = (order: Order, workshop: Workshop): FittedPlacement[] =>
  demand(lookUp(order, workshop)).placements

/** The moves in words, each told of the order as those before it leave it. */
function told(separate: Order, workshop: Workshop, moves: readonly Move[]): FewerMove[] {
  return moves.map(({ changes, saves }, i) => {
    const earlier = moves.slice(0, i).flatMap((m) => m.changes)
    const from = applied(separate, earlier)
    const now = demand(lookUp(from, workshop))
    const uses = new Map<string, Use>(now.uses.map((u) => [u.id, u]))
    const touched = touchedUses(changes, uses)
    const tipId = changes[0]!.tipId ?? null
    const first = touched.find((u) => tipId !== null && u.tipId !== tipId)
    return {
      changes,
      what: changeWords(changes, touched, workshop),
      effect: effectWords(now.placements, fittings(applied(from, changes), workshop)),
      fromTipIds: tipId ? [...new Set(touched.map((u) => u.tipId!).filter((id) => id !== tipId))] : [],
      toTipId: tipId,
      shows: first ? `${first.pieceId}.${first.placedId}` : null,
      before: earlier,
      saves,
    }
  })
}
