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
  /** The colour that was tightest for what was planned of it, place in `colours`, and its grams to spare. */
  orders: { colour: number; spare: number }[]
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
  const colours = [...chainsOf(cells)].map(([colourId, chains]) => ({
    colourId,
    planned: chains.flat().reduce((sum, c) => sum + needs.planned[c]! + margins[c]!, 0),
    spare: Array.from({ length: SHOWN }, (_, i) =>
      Math.min(
        ...chains.flatMap((chain) => {
          let left = 0
          return chain.map((c) => {
            left += needs.planned[c]! + margins[c]! - needs.needed[c]![i]!
            return left
          })
        }),
      ),
    ),
  }))
  const orders = Array.from({ length: SHOWN }, (_, i) => {
    const shares = colours.map((c) => c.spare[i]! / Math.max(1e-9, c.planned))
    const colour = shares.reduce((worst, share, c) => (share < shares[worst]! ? c : worst), 0)
    return { colour, spare: colours[colour]?.spare[i] ?? 0 }
  })
  return { colours: colours.map(({ colourId, spare }) => ({ colourId, spare })), orders }
}
