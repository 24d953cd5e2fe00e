import type { LogEntry } from '../model/logEntry.ts'
import { dropsText } from './drops.ts'

const round = (value: number | null, decimals = 1) =>
  value === null ? '' : Math.round(value * 10 ** decimals) / 10 ** decimals

/** A logbook as rows for a table outside: one for every bowl, bag and flower of every entry. */
export function logRows(entries: readonly LogEntry[]) {
  return entries.flatMap((e) => {
    const own = {
      date: e.at.replace('T', ' '),
      order: e.title,
      people: e.people.join(', '),
      room_c: round(e.roomC),
    }
    const none = {
      planned_grams: '',
      left_grams: '',
      stayed_grams: '',
      estimated: '',
      ran_short: '',
      wanted: '',
      piped: '',
      spoiled: '',
      minutes: '',
      piped_at: '',
      drops: '',
    }
    return [
      ...e.batches.map((b) => ({
        ...own,
        kind: 'bowl',
        name: b.colour,
        about: b.stiffness,
        ...none,
        planned_grams: round(b.plannedGrams),
        left_grams: round(b.leftGrams),
        stayed_grams: round(b.stayedGrams),
        estimated: b.estimated ? 'yes' : '',
        ran_short: b.ranShort ? 'yes' : '',
        piped_at: b.stiffnessUsed ?? '',
        drops: dropsText(b.drops),
      })),
      ...e.bags.map((b) => ({
        ...own,
        kind: 'bag',
        name: String(b.number),
        about: b.label,
        ...none,
        planned_grams: round(b.plannedGrams),
        left_grams: round(b.leftGrams),
        estimated: b.estimated ? 'yes' : '',
      })),
      ...e.flowers.map((f) => ({
        ...own,
        kind: 'flower',
        name: f.name,
        about: f.piece,
        ...none,
        wanted: f.wanted,
        piped: f.piped,
        spoiled: f.spoiled,
        minutes: round(f.minutes),
      })),
    ]
  })
}
