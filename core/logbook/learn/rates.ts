import type { Records } from './records.ts'
import { agedBy, counts, dayOf } from './records.ts'

/** A flower's own rate of spoiling at the start counts for so many flowers. */
export const RATE_PRIOR = 40

export interface Rate {
  start: number
  now: number
  /** Flowers that told it, as far as they are not forgotten. */
  flowers: number
  records: number
}

/** Of all that were begun, those that were spoiled: beta-binomial, from a start that counts for forty. */
export function spoilRates(records: Records, startOf: (flowerId: string) => number): Map<string, Rate> {
  const aged = agedBy(records)
  const found = new Map<string, { spoiled: number; begun: number; records: number }>()
  for (const { id, flowers, at, counted } of records.entries)
    for (const f of flowers) {
      if (!counted) continue
      if (!f.flowerId || f.piped + f.spoiled === 0) continue
      if (!counts(records, `spoiled flower ${f.flowerId}`, { id, at })) continue
      const sum = found.get(f.flowerId) ?? { spoiled: 0, begun: 0, records: 0 }
      const weight = aged(dayOf(at))
      sum.spoiled += weight * f.spoiled
      sum.begun += weight * (f.piped + f.spoiled)
      sum.records++
      found.set(f.flowerId, sum)
    }
  return new Map(
    [...found].map(([id, { spoiled, begun, records: n }]) => {
      const start = startOf(id)
      return [
        id,
        { start, now: (start * RATE_PRIOR + spoiled) / (RATE_PRIOR + begun), flowers: begun, records: n },
      ]
    }),
  )
}

/** What is supposed to stay in an emptied bag counts, at the start, for so many bags. */
const RESIDUE_PRIOR = 8
/** More than this times what is supposed to stay is not what stays: the bag was not emptied. */
const MOST_TIMES = 4

/** What stays in an emptied bag, over what is supposed to: from bags that gave no more and were put on the scale then. */
export function residueTimes(records: Records): { now: number; records: number } {
  const aged = agedBy(records)
  let [sum, weights, n] = [RESIDUE_PRIOR, RESIDUE_PRIOR, 0]
  for (const { id, bags, at } of records.entries) {
    if (!counts(records, 'residue bags', { id, at })) continue
    for (const { leftGrams, residueGrams, estimated, emptied } of bags) {
      if (!emptied || estimated || leftGrams === null || !residueGrams) continue
      const times = leftGrams / residueGrams
      if (times > MOST_TIMES) continue
      const weight = aged(dayOf(at))
      sum += weight * times
      weights += weight
      n++
    }
  }
  return { now: sum / weights, records: n }
}

/** What stays in a bowl that was scraped, g: from bowls that were put on the scale then, and the bakery's own figure for eight of them. */
export function bowlResidue(
  records: Records,
  start: number,
): { start: number; now: number; records: number } {
  const aged = agedBy(records)
  let [sum, weights, n] = [RESIDUE_PRIOR * start, RESIDUE_PRIOR, 0]
  for (const { id, batches, at } of records.entries) {
    if (!counts(records, 'residue bowls', { id, at })) continue
    for (const { stayedGrams } of batches) {
      if (stayedGrams === null || stayedGrams > MOST_IN_BOWL) continue
      const weight = aged(dayOf(at))
      sum += weight * stayedGrams
      weights += weight
      n++
    }
  }
  return { start, now: sum / weights, records: n }
}

/** More than this stays in no bowl that was scraped, g: settings allow no more. */
const MOST_IN_BOWL = 100
