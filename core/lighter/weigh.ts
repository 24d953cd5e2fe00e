import { rememberingFitter } from '../flowers/resolve.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { demand, type FittedPlacement } from '../plan/demand.ts'
import { nailMinutes, pipingMinutes } from '../plan/hands.ts'
import { planFigures } from '../plan/index.ts'
import { pairKey } from '../plan/keys.ts'
import { lookKept, orderLook } from '../plan/look/kept.ts'
import { type ShownPiece, shownPieces } from '../plan/look/shown.ts'
import { type Lookup, lookUp } from '../plan/lookup.ts'
import { bowlKey, reserve } from '../plan/reserve.ts'
import { setOns } from '../plan/setOns.ts'
import { type LighterChange, lightened } from './change.ts'
import type { LighterMove } from './move.ts'

/** What one piece takes and shows, with some changes. */
interface WeighedPiece {
  /** Minutes at the piece and the nail; of them, what is piped and not spread. */
  minutes: number
  piping: number
  pairs: ReadonlySet<string>
  portions: ReadonlySet<string>
  look: number
}

/** What a version comes to: minutes as they are estimated, and how much of the look is kept. */
export interface Weighed {
  minutes: number
  piping: number
  look: number
}

/** A set of moves, by their places in the list: of one slot no more than one. */
export type Taken = readonly number[]

/** An order that is weighed with its pieces changed; a piece with the same changes is worked out once. */
export class Scales {
  readonly at: Lookup
  /** Every move that may be taken, set once they are known. */
  moves: readonly LighterMove[] = []
  readonly #shown: readonly ShownPiece[]
  readonly #known = new Map<string, WeighedPiece>()
  readonly #baseMinutes: number
  /** A load through a tip takes its share of all bags and of what is changed on them. */
  readonly #perPair: number

  constructor(
    readonly order: Order,
    readonly workshop: Workshop,
  ) {
    this.at = { ...lookUp(order, workshop), fit: rememberingFitter(workshop.tips) }
    this.#shown = shownPieces(this.at, demand(this.at).placements)
    const { hands } = planFigures(order, workshop)
    this.#baseMinutes = hands.base
    const pairs = new Set(order.pieces.flatMap((_, i) => [...this.#piece(i, []).pairs]))
    this.#perPair = (hands.bags + hands.changes) / Math.max(1, pairs.size)
  }

  /** What one change by itself leaves of the look of the order. */
  lookOf(change: LighterChange & { pieceId: string }): number {
    const i = this.order.pieces.findIndex((p) => p.id === change.pieceId)
    const looks = this.order.pieces.map((_, k) => (k === i ? this.#piece(k, [change]).look : 1))
    return orderLook(this.#shown, looks)
  }

  weigh(taken: Taken): Weighed {
    return this.#sum(this.order.pieces.map((_, i) => this.#piece(i, this.#on(i, taken))))
  }

  /** The same, many times over with one move more or instead of another: only the piece that it is about is looked at again. */
  around(taken: Taken): (next: Taken, move: number) => Weighed {
    const pieces = this.order.pieces.map((_, i) => this.#piece(i, this.#on(i, taken)))
    return (next, move) => {
      const { pieceId } = this.moves[move]!
      if (pieceId === null) return this.weigh(next)
      const i = this.order.pieces.findIndex((p) => p.id === pieceId)
      return this.#sum(pieces.with(i, this.#piece(i, this.#on(i, next))))
    }
  }

  #on(i: number, taken: Taken): LighterChange[] {
    const { id } = this.order.pieces[i]!
    const own = taken.filter((m) => this.moves[m]!.pieceId === id)
    const all = taken.filter((m) => this.moves[m]!.pieceId === null)
    // of what is painted in several places, only what is here
    return inTheirOrder([...own, ...all].flatMap((m) => this.moves[m]!.changes)).filter(
      (c) => !('pieceId' in c) || c.pieceId === id,
    )
  }

  #piece(i: number, changes: readonly LighterChange[]): WeighedPiece {
    const key = `${i} ${JSON.stringify(changes)}`
    const before = this.#known.get(key)
    if (before) return before
    const { order, workshop } = this
    const alone = lightened({ ...order, pieces: [order.pieces[i]!] }, changes)
    const there = { ...lookUp({ ...alone, colours: order.colours }, workshop), fit: this.at.fit }
    const wanted = demand(there)
    const uses = reserve(there, wanted.uses)
    const look = this.#lookOf(i, changes, there, wanted.placements)
    const painted = setOns(there).reduce((sum, s) => sum + s.minutes, 0)
    const minutesOf = (list: typeof uses) => list.reduce((sum, u) => sum + pipingMinutes(u), 0)
    const piped = uses.filter((u) => u.tipId !== null)
    const made: WeighedPiece = {
      minutes: minutesOf(uses) + nailMinutes(uses, workshop.settings) + painted,
      piping: minutesOf(piped),
      pairs: new Set(piped.map(pairKey)),
      portions: new Set(uses.flatMap((u) => u.parts.map((p) => bowlKey(u, p.colourId)))),
      look,
    }
    this.#known.set(key, made)
    return made
  }

  /** What is painted still shows as what it was, a little flatter. */
  #lookOf(
    i: number,
    changes: readonly LighterChange[],
    there: Lookup,
    placements: FittedPlacement[],
  ): number {
    if (changes.length === 0) return 1
    const piped = unpainted(changes)
    let [then] = shownPieces(there, placements)
    if (piped.length < changes.length) {
      const { order, workshop } = this
      const alone = lightened({ ...order, pieces: [order.pieces[i]!] }, piped)
      const at = { ...lookUp({ ...alone, colours: order.colours }, workshop), fit: this.at.fit }
      then = shownPieces(at, demand(at).placements)[0]
    }
    const kept = [...lookKept([this.#shown[i]!], [then!]).pieces.values()][0]!
    return kept * paintedLook(changes)
  }

  #sum(pieces: readonly WeighedPiece[]): Weighed {
    const pairs = new Set<string>()
    const portions = new Set<string>()
    let minutes = this.#baseMinutes
    let piping = 0
    for (const p of pieces) {
      minutes += p.minutes
      piping += p.piping
      for (const key of p.pairs) pairs.add(key)
      for (const key of p.portions) portions.add(key)
    }
    return {
      minutes: minutes + this.#perPair * pairs.size + this.workshop.settings.bowlMinutes * portions.size,
      piping,
      look: orderLook(
        this.#shown,
        pieces.map((p) => p.look),
      ),
    }
  }
}

/** Paint is flat where icing stood up: so much of the look of a piece is left for every flower that is painted. */
const PAINTED_KEEPS = 0.985

/** The changes without what is painted, which shows as it did. */
export const unpainted = (changes: readonly LighterChange[]): LighterChange[] =>
  changes.filter((c) => c.kind !== 'painted')

/** The share of a piece's look that paint leaves. */
export const paintedLook = (changes: readonly LighterChange[]): number =>
  PAINTED_KEEPS ** (changes.length - unpainted(changes).length)

/**
 * Changes in the order in which they hold for each other: other openings first, because another flower has none of them, and colours
 * last, because what takes a flower's place takes its colours first.
 */
export function inTheirOrder(changes: readonly LighterChange[]): LighterChange[] {
  const place = (c: LighterChange) => (c.kind === 'tips' ? 0 : c.kind === 'colour' ? 2 : 1)
  return [...changes].sort((a, b) => place(a) - place(b))
}
