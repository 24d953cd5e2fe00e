/**
 * Days and times as a bakery writes them: local, without a zone, as `2026-11-28T14:00`. Reckoning with days is done on
 * the calendar and never on hours: days on which the clocks change have 23 or 25.
 */

const DAY_MS = 86_400_000

/** Days since 1970 of the day that a local moment lies on. */
export function dayNumber(at: string): number {
  const [year, month, day] = at.slice(0, 10).split('-').map(Number)
  return Date.UTC(year!, month! - 1, day!) / DAY_MS
}

/** Whole days from one local moment's day to another's; negative when the second is earlier. */
export const daysBetween = (from: string, to: string): number => dayNumber(to) - dayNumber(from)

/** The day so many days after a local moment's, as YYYY-MM-DD. */
export function dayAfter(at: string, days: number): string {
  return new Date((dayNumber(at) + days) * DAY_MS).toISOString().slice(0, 10)
}

const pad = (n: number) => String(n).padStart(2, '0')

/** What the clocks show at a moment, in the zone of this machine. */
export function localMoment(moment: Date): string {
  const day = `${moment.getFullYear()}-${pad(moment.getMonth() + 1)}-${pad(moment.getDate())}`
  return `${day}T${pad(moment.getHours())}:${pad(moment.getMinutes())}`
}

/**
 * The time that the clocks show instead when a local moment is one that they skip on going forward; null when the moment
 * is one that comes. By the zone of this machine.
 */
export function skippedTo(at: string): string | null {
  const [date = '', time = ''] = at.split('T')
  const [year, month, day] = date.split('-').map(Number)
  const [hour, minute] = time.split(':').map(Number)
  const shown = localMoment(new Date(year!, month! - 1, day!, hour!, minute!))
  return shown === at ? null : shown
}
