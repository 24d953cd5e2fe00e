import { IMAGINED } from './draws.ts'
import { type Cell, type Needs, straysOf } from './needs.ts'

/**
 * How many times its stray each colour would have had to be given in every imagined order so that it just lasted. Bowls of a
 * colour are piped from the stiffest on: what is left of a stiffer one is thinned for the next. Row-major: colour, then order.
 */
export interface Lasting {
  colourIds: readonly string[]
  times: readonly Float64Array[]
  strays: Float64Array
}

/** For every colour, chains of its bowls from the stiffest on, one for each icing kind: kinds are not mixed. */
export function chainsOf(cells: readonly Cell[]): Map<string, number[][]> {
  const chains = new Map<string, Map<string, number[]>>()
  cells.forEach((cell, at) => {
    const ofColour = chains.get(cell.colourId) ?? new Map<string, number[]>()
    chains.set(cell.colourId, ofColour)
    ofColour.set(cell.icingKindId, [...(ofColour.get(cell.icingKindId) ?? []), at])
  })
  return new Map(
    [...chains].map(([colourId, of]) => [
      colourId,
      [...of.values()].map((chain) => chain.sort((a, b) => cells[a]!.softness - cells[b]!.softness)),
    ]),
  )
}

export function lastingOf(cells: readonly Cell[], needs: Needs): Lasting {
  const strays = straysOf(needs)
  const chains = chainsOf(cells)
  const times = [...chains.values()].map((of) => {
    const row = new Float64Array(IMAGINED).fill(Number.NEGATIVE_INFINITY)
    for (const chain of of) {
      const short = new Float64Array(IMAGINED)
      let [stray, planned] = [0, 0]
      // with the same multiple everywhere it lasts when no running sum from the stiffest on is short
      for (const c of chain) {
        stray += strays[c]!
        planned += needs.planned[c]!
        const need = needs.needed[c]!
        for (let i = 0; i < IMAGINED; i++) {
          short[i]! += need[i]!
          if (stray > 0) row[i] = Math.max(row[i]!, (short[i]! - planned) / stray)
        }
      }
    }
    return row
  })
  return { colourIds: [...chains.keys()], times, strays }
}

/** What is promised, and to what: each colour by itself, or the order as a whole. */
export const scopes = ['colour', 'order'] as const
export type Scope = (typeof scopes)[number]

/** Multiples of their stray that the bowls of every colour are given, never less than none. */
export function multiplesFor(lasting: Lasting, scope: Scope, chanceShort: number): number[] {
  if (scope === 'colour') return lasting.times.map((row) => Math.max(0, quantile(row, 1 - chanceShort)))
  const worst = worstOf(lasting)
  const common = Math.max(0, quantile(worst, 1 - chanceShort))
  return lasting.times.map(() => common)
}

/** The colour that is nearest to running short in every imagined order. */
function worstOf({ times }: Lasting): Float64Array {
  const worst = new Float64Array(IMAGINED).fill(Number.NEGATIVE_INFINITY)
  for (const row of times) for (let i = 0; i < IMAGINED; i++) worst[i] = Math.max(worst[i]!, row[i]!)
  return worst
}

/** A bowl that holds to a hair what is needed has not run short. */
const HAIR = 1e-9

/** The chance that each colour runs short, and that anything does, when its bowls are given such multiples. */
export function chancesOf(
  { times }: Lasting,
  multiples: readonly number[],
): { colours: number[]; order: number } {
  const lacking = new Uint8Array(IMAGINED)
  const colours = times.map((row, c) => {
    const most = multiples[c]! + HAIR
    let short = 0
    for (let i = 0; i < IMAGINED; i++)
      if (row[i]! > most) {
        short++
        lacking[i] = 1
      }
    return short / IMAGINED
  })
  return { colours, order: lacking.reduce((sum, one) => sum + one, 0) / IMAGINED }
}

/** The value that a share of all does not go over, by Hoare's selection. */
function quantile(values: Float64Array, share: number): number {
  const wanted = Math.min(values.length - 1, Math.ceil(share * values.length) - 1)
  const left = values.slice()
  let [from, to] = [0, left.length - 1]
  while (from < to) {
    const pivot = left[(from + to) >> 1]!
    let [i, j] = [from, to]
    while (i <= j) {
      while (left[i]! < pivot) i++
      while (left[j]! > pivot) j--
      if (i <= j) {
        ;[left[i], left[j]] = [left[j]!, left[i]!]
        i++
        j--
      }
    }
    if (wanted <= j) to = j
    else if (wanted >= i) from = i
    else break
  }
  return left[wanted]!
}
