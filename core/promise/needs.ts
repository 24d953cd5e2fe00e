import { IMAGINED, kept, normalsAt, SOBOL_PLACES, sharesAt } from './draws.ts'
import { spoiledAt, spoiledShares } from './spoiled.ts'

/** Icing of one colour at one stiffness of one kind: what is mixed in a bowl. */
export interface Cell {
  colourId: string
  icingKindId: string
  /** 0 is the stiffest. What is stiffer can be thinned for what is softer, never the other way. */
  softness: number
}

/** Flowers of a kind on a kind of piece, or a coat, or words: what is piped together and spoiled together. */
export interface Lot {
  /** What varies together: one hand, one tip, one bowl. */
  kind: string
  /** Wanted; 0 for what is not counted in pieces, which is not spoiled either. */
  wanted: number
  spares: number
  practice: number
  spoilRate: number
  /** Of the grams from one day to the next, as a share of them. */
  spread: number
  /** Whether the hand of the day is in it: a spatula's coat has none. */
  byHand: boolean
  /** Grams that land on the pieces, by place of the cell. */
  parts: readonly { cell: number; grams: number }[]
}

/** What the common hand of a day adds to everything that it pipes, as a share: a squeeze is a little more or less all day. */
export const DAY_SPREAD = 0.06
/** Even a kind that is weighed every day varies by this much by itself. */
const LEAST_OWN = 0.02

/** Grams needed of every cell in each imagined order, and what is planned for without any margin. */
export interface Needs {
  needed: readonly Float64Array[]
  planned: Float64Array
}

/** How much heavier or lighter everything of a kind comes out in each imagined order; searches ask for the same ones again. */
const weights = kept((name: string): Float64Array => {
  const [place, alone, common] = JSON.parse(name) as [number, number, number]
  const [day, own] = [normalsAt('0'), normalsAt(String(place))]
  return own.map((z, i) => Math.exp(common * day[i]! + alone * z))
})

/** How many of a lot are piped in each imagined order, until so many good ones lie there. */
const begun = kept((name: string): Float64Array => {
  const [place, wanted, rate] = JSON.parse(name) as [number, number, number]
  const shares = spoiledShares(wanted, rate)
  return sharesAt(String(place)).map((share) => wanted + spoiledAt(shares, share))
})

/** Of the even places, how many are for kinds; the hand of the day has the first, spoiling the rest. */
const KINDS_EVENLY = 12

/** Where kinds and lots draw from: those with the most grams first, each somewhere of its own. */
function placesOf(lots: readonly Lot[]): { kinds: Map<string, number>; spoils: number[] } {
  const kinds = new Map<string, number>()
  for (const { kind } of lots)
    if (!kinds.has(kind))
      kinds.set(kind, kinds.size < KINDS_EVENLY ? 1 + kinds.size : SOBOL_PLACES + 2 * kinds.size)
  const evenly = SOBOL_PLACES - 1 - KINDS_EVENLY
  const spoils = lots.map((_, i) => (i < evenly ? 1 + KINDS_EVENLY + i : SOBOL_PLACES + 2 * i + 1))
  return { kinds, spoils }
}

/**
 * Imagines an order a great many times, from its lots, the heaviest first: the hand of the day in everything that is piped, each kind by itself beside it, and
 * spoiled flowers as they really fall, whole ones with all their colours.
 */
export function needsOf(lots: readonly Lot[], cells: number, daySpread = DAY_SPREAD): Needs {
  const needed = Array.from({ length: cells }, () => new Float64Array(IMAGINED))
  const planned = new Float64Array(cells)
  const placeOf = placesOf(lots)
  for (const [at, lot] of lots.entries()) {
    const common = lot.byHand ? daySpread : 0
    const alone = Math.max(LEAST_OWN, Math.sqrt(Math.max(0, lot.spread ** 2 - common ** 2)))
    const weight = weights(JSON.stringify([placeOf.kinds.get(lot.kind)!, alone, common]))
    const counted = lot.wanted > 0
    const count = counted ? begun(JSON.stringify([placeOf.spoils[at]!, lot.wanted, lot.spoilRate])) : null
    const each = counted ? 1 / lot.wanted : 1
    for (const { cell, grams } of lot.parts) {
      planned[cell]! += counted ? grams * each * (lot.wanted + lot.spares + lot.practice) : grams
      const column = needed[cell]!
      if (count)
        for (let i = 0; i < IMAGINED; i++)
          column[i]! += grams * each * (count[i]! + lot.practice) * weight[i]!
      else for (let i = 0; i < IMAGINED; i++) column[i]! += grams * weight[i]!
    }
  }
  return { needed, planned }
}

/** Imagined orders that tell how far a need strays: the shares of bowls in a margin need no more. */
const TOLD_BY = 512

/** About how far the need of every cell strays, g: the standard deviation over some of the imagined orders. */
export function straysOf({ needed }: Needs): Float64Array {
  return Float64Array.from(needed, (column) => {
    let [sum, squares] = [0, 0]
    for (let i = 0; i < TOLD_BY; i++) {
      sum += column[i]!
      squares += column[i]! ** 2
    }
    return Math.sqrt(Math.max(0, squares / TOLD_BY - (sum / TOLD_BY) ** 2))
  })
}
