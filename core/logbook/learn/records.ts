import { calibrationRange } from '../../model/flower.ts'
import type { LogEntry } from '../../model/logEntry.ts'
import type { Settings } from '../../model/workshop.ts'
import type { Weighing } from '../weighing.ts'
import type { Seen } from './normal.ts'
import type { Recipes } from './shares.ts'

/** Half of what a record tells is forgotten after so many later days with records. */
const HALF_LIFE_DAYS = 40
/** Weights by thirds and by eye count for so much of one by the scale. */
const BY_EYE = 0.25
/** A bowl tells of its icing all in all, through what is left in bowl and bags: less surely than flowers on a scale. */
const BY_BOWLS = 0.5
/** What came out so many times more or less than it should is not a hand: somebody mistyped it. */
const FAR_OFF_TIMES = 3
/** Of a weighing somebody was asked about that already, and said that it is so: only more than a recipe can be off is left. */
const FAR_OFF_SURE = calibrationRange.most

/** A record that nothing is learnt from, and why. */
export interface SetAside {
  entryId: string
  title: string
  why: string
}

/** What everything with a date is read from, the oldest first. */
export interface Records {
  entries: readonly LogEntry[]
  weighings: readonly Pick<Weighing, 'flowerId' | 'at' | 'grams' | 'computedGrams' | 'id'>[]
  /** Figures that were set back, by key, and until when: moments as they are read by a clock there. */
  setBack: Settings['setBack']
}

/** Whether a record still counts for a figure. */
export function counts(
  { setBack }: Pick<Records, 'setBack'>,
  key: string,
  { id, at }: { id: string; at: string },
): boolean {
  const back = setBack[key]
  return !back || (Date.parse(at) > Date.parse(back.until) && !back.besides.includes(id))
}

/** How much a record of each day counts now, the latest fully. */
export function agedBy(records: Records): (day: string) => number {
  const days = [
    ...new Set([...records.entries.map((e) => dayOf(e.at)), ...records.weighings.map((w) => dayOf(w.at))]),
  ].sort()
  const later = new Map(days.map((day, i) => [day, days.length - 1 - i]))
  return (day) => 0.5 ** ((later.get(day) ?? 0) / HALF_LIFE_DAYS)
}

export const dayOf = (moment: string): string => moment.slice(0, 10)

/** Persons of an entry, each with a share: nobody knows who squeezed. */
const byPeople = (people: readonly string[]) =>
  people.map((name) => ({ key: `person ${name.trim().toLowerCase()}`, share: 1 / people.length }))

const THE_HAND = { key: 'hand', share: 1 }

/** Grams of flowers that were weighed, and of bowls that were told of, over what was computed. */
export function gramsSeen(records: Records, recipes: Recipes): { seen: Seen[]; aside: SetAside[] } {
  const aged = agedBy(records)
  const aside: SetAside[] = []
  const seen: Seen[] = []
  const add = (
    at: string,
    times: number,
    weight: number,
    effects: Seen['effects'],
    of: { id: string; title: string; what: string; farOff?: number },
  ) => {
    if (!(times > 0)) return
    const farOff = of.farOff ?? FAR_OFF_TIMES
    if (times > farOff || times < 1 / farOff) {
      aside.push({
        entryId: of.id,
        title: of.title,
        why: `${of.what} came out ${told(times)} of what was computed: mistyped, it seems.`,
      })
      return
    }
    const kept = effects.filter((e) => counts(records, `grams ${e.key}`, { id: of.id, at }))
    if (kept.length > 0)
      seen.push({ y: Math.log(times), weight: weight * aged(dayOf(at)), day: dayOf(at), effects: kept })
  }
  for (const w of records.weighings)
    add(w.at, w.grams / w.computedGrams, 1, [THE_HAND, ...recipes.effectsOf(w.flowerId)], {
      id: w.id,
      title: 'A weighing',
      farOff: FAR_OFF_SURE,
      what: recipes.nameOf(w.flowerId),
    })
  for (const entry of records.entries) {
    for (const f of entry.flowers)
      if (f.weighed && f.eachGrams && f.flowerId)
        add(
          entry.at,
          f.weighed.grams / (f.weighed.count * f.eachGrams),
          1,
          [THE_HAND, ...byPeople(entry.people), ...recipes.effectsOf(f.flowerId)],
          { id: entry.id, title: entry.title, what: f.name },
        )
    const bowls = bowlsOf(entry)
    if (bowls)
      add(
        entry.at,
        bowls.used / bowls.expected,
        bowls.estimated ? BY_EYE : BY_BOWLS,
        [THE_HAND, ...byPeople(entry.people)],
        {
          id: entry.id,
          title: entry.title,
          what: 'All icing together',
        },
      )
  }
  return { seen, aside }
}

const told = (times: number): string =>
  times > 1 ? `${Math.round(times * 10) / 10} times` : `a ${Math.round(1 / times)}th`

/** What was used of all bowls that somebody told of, against what the geometry expected; null where nobody did. */
export function bowlsOf(entry: LogEntry): { used: number; expected: number; estimated: boolean } | null {
  const known = entry.batches.filter(
    (b) => b.leftGrams !== null && b.expectedGrams !== null && b.expectedGrams > 0,
  )
  if (known.length === 0) return null
  const share =
    known.reduce((sum, b) => sum + b.plannedGrams, 0) /
    Math.max(
      1e-9,
      entry.batches.reduce((sum, b) => sum + b.plannedGrams, 0),
    )
  // bags name no colours: of what was left in them, as much as of the bowls is known
  const inBags = entry.bags.reduce((sum, b) => sum + (b.leftGrams ?? 0), 0) * share
  const used = known.reduce((sum, b) => sum + b.plannedGrams - b.leftGrams!, 0) - inBags
  const expected = known.reduce((sum, b) => sum + b.expectedGrams!, 0)
  return { used, expected, estimated: known.some((b) => b.estimated) || entry.bags.some((b) => b.estimated) }
}

/** Minutes at flowers over what was computed for those that were piped and those that were spoiled. */
export function secondsSeen(records: Records, recipes: Recipes): { seen: Seen[]; aside: SetAside[] } {
  const aged = agedBy(records)
  const aside: SetAside[] = []
  const seen: Seen[] = []
  for (const entry of records.entries)
    for (const f of entry.flowers) {
      const begun = f.piped + f.spoiled
      if (f.minutes === null || f.minutes === 0 || !f.eachSeconds || begun === 0 || !f.flowerId) continue
      const times = (f.minutes * 60) / (begun * f.eachSeconds)
      if (times > FAR_OFF_TIMES || times < 1 / FAR_OFF_TIMES) {
        aside.push({
          entryId: entry.id,
          title: entry.title,
          why: `${f.name} took ${told(times)} of what was computed: the clock ran on, it seems, or stood still.`,
        })
        continue
      }
      const effects = [THE_HAND, ...byPeople(entry.people), ...recipes.effectsOf(f.flowerId)].filter((e) =>
        counts(records, `seconds ${e.key}`, entry),
      )
      if (effects.length > 0)
        seen.push({ y: Math.log(times), weight: aged(dayOf(entry.at)), day: dayOf(entry.at), effects })
    }
  return { seen, aside }
}
