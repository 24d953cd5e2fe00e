import type { LogEntry } from '../model/logEntry.ts'

/** What the logbook says of one flower, over all orders. */
export interface OfFlower {
  name: string
  orders: number
  piped: number
  spoiled: number
  /** Minutes for one that was piped, over the orders where somebody was timed; null where nobody was. */
  minutesEach: number | null
  /** What one weighed, g, over the orders where some were; null where none were. */
  gramsEach: number | null
}

/** What it says of one colour. */
export interface OfColour {
  name: string
  hex: string
  orders: number
  plannedGrams: number
  /** Left of what was planned, over the bowls where somebody told; null where nobody did. */
  leftShare: number | null
  /** Orders in which it ran short. */
  short: number
}

/** What it says of one person; of an order that several made, each has their part in all of it. */
export interface OfPerson {
  name: string
  orders: number
  piped: number
  spoiled: number
  /** Minutes done for minutes planned; null where nobody was timed. */
  pace: number | null
}

/** Things under their names, however they are written. */
function grouped<T>(things: readonly T[], nameOf: (thing: T) => string): T[][] {
  const groups = new Map<string, T[]>()
  for (const thing of things) {
    const key = nameOf(thing).trim().toLowerCase()
    groups.set(key, [...(groups.get(key) ?? []), thing])
  }
  return [...groups.values()]
}
const sum = <T>(list: readonly T[], of: (x: T) => number): number => list.reduce((all, x) => all + of(x), 0)
const share = (part: number, whole: number): number | null => (whole > 0 ? part / whole : null)
const byName = <T extends { name: string }>(list: T[]): T[] =>
  list.sort((a, b) => a.name.localeCompare(b.name, 'en'))

export function overFlowers(entries: readonly LogEntry[]): OfFlower[] {
  const all = entries.flatMap((e) => e.flowers.map((f) => ({ ...f, entryId: e.id })))
  return byName(
    grouped(all, (f) => f.name).map((own) => {
      const timed = own.filter((f) => f.minutes !== null && f.piped > 0)
      const weighed = own.flatMap((f) => f.weighed ?? [])
      return {
        name: own[0]!.name,
        orders: new Set(own.map((f) => f.entryId)).size,
        piped: sum(own, (f) => f.piped),
        spoiled: sum(own, (f) => f.spoiled),
        minutesEach: share(
          sum(timed, (f) => f.minutes!),
          sum(timed, (f) => f.piped),
        ),
        gramsEach: share(
          sum(weighed, (w) => w.grams),
          sum(weighed, (w) => w.count),
        ),
      }
    }),
  )
}

export function overColours(entries: readonly LogEntry[]): OfColour[] {
  const all = entries.flatMap((e) => e.batches.map((b) => ({ ...b, entryId: e.id })))
  return byName(
    grouped(all, (b) => b.colour).map((own) => {
      const told = own.filter((b) => b.leftGrams !== null)
      return {
        name: own[0]!.colour,
        hex: own.at(-1)!.hex,
        orders: new Set(own.map((b) => b.entryId)).size,
        plannedGrams: sum(own, (b) => b.plannedGrams),
        leftShare: share(
          sum(told, (b) => b.leftGrams!),
          sum(told, (b) => b.plannedGrams),
        ),
        short: new Set(own.filter((b) => b.ranShort).map((b) => b.entryId)).size,
      }
    }),
  )
}

export function overPeople(entries: readonly LogEntry[]): OfPerson[] {
  const all = entries.flatMap((e) => e.people.map((name) => ({ name, entry: e })))
  return byName(
    grouped(all, (p) => p.name).map((own) => {
      const timed = own.filter(({ entry: e }) => e.minutes !== null && e.plannedMinutes !== null)
      return {
        name: own[0]!.name,
        orders: own.length,
        piped: sum(own, ({ entry: e }) => sum(e.flowers, (f) => f.piped)),
        spoiled: sum(own, ({ entry: e }) => sum(e.flowers, (f) => f.spoiled)),
        pace: share(
          sum(timed, ({ entry: e }) => e.minutes!),
          sum(timed, ({ entry: e }) => e.plannedMinutes!),
        ),
      }
    }),
  )
}
