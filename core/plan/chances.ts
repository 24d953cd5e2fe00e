import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { needsOf } from '../promise/needs.ts'
import { chainsOf } from '../promise/promise.ts'
import { demand } from './demand.ts'
import { lookUp } from './lookup.ts'
import { imagine, needed, partGrams, reserve } from './reserve.ts'

/** Orders that are shown. */
export const SHOWN = 1000

/** What is left of a colour, or of the colour that was nearest to running short, in each of the shown orders. */
export interface Chances {
  /** Grams to spare where it was tightest; negative is what was lacking. */
  colours: { colourId: string; spare: number[] }[]
  /** Of the colour that was tightest, what was to spare, as a share of what was planned of it. */
  orders: number[]
}

/**
 * The same order made a thousand times, with what the plan has of every bowl: rounding up to the scale's step and what stays
 * in bags and bowls left out. @throws as a plan does.
 */
export function chances(order: Order, workshop: Workshop): Chances {
  const at = lookUp(order, workshop)
  const uses = reserve(at, demand(at).uses)
  const { cells, lots, cellOf } = imagine(at, uses)
  const needs = needsOf(lots, cells.length)
  const margins = new Float64Array(cells.length)
  for (const use of uses)
    for (const part of use.parts) margins[cellOf(use, part.colourId)]! += partGrams(part) - needed(part)
  const tightest = (chains: readonly number[][], i: number, of: (left: number, had: number) => number) => {
    let least = Number.POSITIVE_INFINITY
    for (const chain of chains) {
      let [left, had] = [0, 0]
      for (const c of chain) {
        had += needs.planned[c]! + margins[c]!
        left += needs.planned[c]! + margins[c]! - needs.needed[c]![i]!
        least = Math.min(least, of(left, had))
      }
    }
    return least
  }
  const each = <T>(make: (i: number) => T) => Array.from({ length: SHOWN }, (_, i) => make(i))
  const chains = [...chainsOf(cells)]
  return {
    colours: chains.map(([colourId, of]) => ({
      colourId,
      spare: each((i) => tightest(of, i, (left) => left)),
    })),
    orders: each((i) =>
      Math.min(...chains.map(([, of]) => tightest(of, i, (left, had) => left / Math.max(1e-9, had)))),
    ),
  }
}
