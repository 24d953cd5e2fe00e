import type { Timetable } from '../timeline/timetable.ts'

/** When each activity begins by a timetable, in minutes of its long clock; empty where there is none. */
export function startsOf(table: Timetable | null): ReadonlyMap<string, number> {
  const starts = new Map<string, number>()
  for (const { id, from } of table?.tasks ?? []) {
    // stretches of one activity are numbered
    const own = id.replace(/ #\d+$/, '')
    starts.set(own, Math.min(from, starts.get(own) ?? Number.POSITIVE_INFINITY))
  }
  return starts
}
