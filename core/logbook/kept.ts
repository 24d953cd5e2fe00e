import type { LogEntry } from '../model/logEntry.ts'
import { bowlsOf } from './learn/records.ts'

/** How a promise was kept: of so many colours that were promised a chance, so many ran short. */
export interface KeptPromise {
  promised: number
  colours: number
  short: number
  /** Colours that may run short by mere chance, least and most: two standard deviations of a binomial around what is promised. */
  band: readonly [number, number]
}

/** Over all entries that know what was promised, the surest promise first. */
export function keptPromises(entries: readonly LogEntry[]): KeptPromise[] {
  const found = new Map<number, { colours: number; short: number }>()
  for (const { promised, batches, counted } of entries) {
    if (promised === null || !counted) continue
    const sum = found.get(promised) ?? { colours: 0, short: 0 }
    // a colour in several bowls is one colour
    const names = new Set(batches.map((b) => b.colour))
    sum.colours += names.size
    sum.short += new Set(batches.filter((b) => b.ranShort).map((b) => b.colour)).size
    found.set(promised, sum)
  }
  return [...found]
    .sort(([a], [b]) => a - b)
    .map(([promised, { colours, short }]) => {
      const stray = 2 * Math.sqrt(colours * promised * (1 - promised))
      return {
        promised,
        colours,
        short,
        band: [
          Math.max(0, Math.floor(colours * promised - stray)),
          Math.ceil(colours * promised + stray),
        ] as const,
      }
    })
}

/** One order: what was expected and what it came to. */
export interface ExpectedDone {
  id: string
  title: string
  expected: number
  done: number
}

/** Grams that shapes alone expect, against those that were used, of orders where somebody told what was left. */
export const gramsDone = (entries: readonly LogEntry[]): ExpectedDone[] =>
  entries.flatMap((e) => {
    const bowls = bowlsOf(e)
    return bowls && bowls.used > 0
      ? [{ id: e.id, title: e.title, expected: bowls.expected, done: bowls.used }]
      : []
  })

/** Minutes that were planned, against those that were timed. */
export const minutesDone = (entries: readonly LogEntry[]): ExpectedDone[] =>
  entries.flatMap((e) =>
    e.minutes !== null && e.plannedMinutes !== null && e.plannedMinutes > 0
      ? [{ id: e.id, title: e.title, expected: e.plannedMinutes, done: e.minutes }]
      : [],
  )
