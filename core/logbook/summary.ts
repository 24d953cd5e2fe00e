import type { LogEntry } from '../model/logEntry.ts'

/** An entry of the logbook in its figures: planned against done. */
export interface LogSummary {
  id: string
  orderId: string | null
  title: string
  at: string
  people: string[]
  /** Icing mixed by plan, and what of it was weighed or estimated as left; null where nobody told. */
  plannedGrams: number
  leftGrams: number | null
  ranShort: string[]
  /** Flowers alone, as the order counts them. */
  wanted: number
  piped: number
  spoiled: number
  spoiledShare: number | null
  plannedMinutes: number | null
  minutes: number | null
}

/** Of all that were begun, those that were spoiled; null where none were. */
export const spoiledShare = ({ piped, spoiled }: { piped: number; spoiled: number }): number | null =>
  piped + spoiled > 0 ? spoiled / (piped + spoiled) : null

export function summaryOf(entry: LogEntry): LogSummary {
  const told = [...entry.batches, ...entry.bags].flatMap((x) => x.leftGrams ?? [])
  // as the order counts them: no leaves, no borders
  const flowers = entry.flowers.filter((f) => f.form === 'flower')
  const sum = (of: (f: LogEntry['flowers'][number]) => number) => flowers.reduce((all, f) => all + of(f), 0)
  return {
    ...{ id: entry.id, orderId: entry.orderId, title: entry.title, at: entry.at, people: entry.people },
    plannedGrams: entry.batches.reduce((all, b) => all + b.plannedGrams, 0),
    leftGrams: told.length > 0 ? told.reduce((a, b) => a + b, 0) : null,
    ranShort: [...new Set(entry.batches.filter((b) => b.ranShort).map((b) => b.colour))],
    wanted: sum((f) => f.wanted),
    piped: sum((f) => f.piped),
    spoiled: sum((f) => f.spoiled),
    spoiledShare: spoiledShare({ piped: sum((f) => f.piped), spoiled: sum((f) => f.spoiled) }),
    ...{ plannedMinutes: entry.plannedMinutes, minutes: entry.minutes },
  }
}

/** Everything in an entry that somebody may look for it by. */
export function searchWords(entry: LogEntry): string {
  return [
    entry.title,
    ...entry.people,
    ...entry.batches.map((b) => b.colour),
    ...entry.flowers.flatMap((f) => [f.name, f.piece]),
    ...entry.remarks,
  ]
    .join(' ')
    .toLowerCase()
}

/** Entries that have every word that is looked for, the latest first. */
export function found(entries: readonly LogEntry[], search: string): LogEntry[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  return entries
    .filter((e) => {
      const text = searchWords(e)
      return words.every((w) => text.includes(w))
    })
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? -1 : 1))
}
