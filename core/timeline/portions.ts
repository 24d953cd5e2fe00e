import type { DaySettings } from '../model/day.ts'
import type { Activity } from './activity.ts'

/** One stretch of an activity, in whole minutes. */
export interface Stretch {
  id: string
  of: Activity
  minutes: number
  /** Which of how many. */
  part: number
  parts: number
}

/** Longest that an activity is gone on with: stiff piping as long as the hand is not to rest, anything else a stretch. */
const longest = (
  { stiff }: Activity,
  day: Pick<DaySettings, 'restAfterMinutes' | 'stretchMinutes'>,
): number =>
  Math.max(2, Math.floor(stiff ? Math.min(day.restAfterMinutes, day.stretchMinutes) : day.stretchMinutes)) -
  // rounding may add to it
  1

/** Most that a stretch takes on of what rounding has won or lost elsewhere, min. */
const MOST_CARRIED = 1

/**
 * Activities in stretches that one pair of hands does without a break, in whole minutes and never less than one. What rounding adds to
 * the short ones is taken off the longer, a minute each at the most, so that all together take about as long as they are said to.
 * @param grown minutes that single stretches take longer, by id: whole ones on top, so that no other stretch changes with them.
 */
export function stretches(
  activities: readonly Activity[],
  day: Pick<DaySettings, 'restAfterMinutes' | 'stretchMinutes'>,
  grown: ReadonlyMap<string, number>,
): Stretch[] {
  const exact = activities.flatMap((of) => {
    const parts = Math.max(1, Math.ceil(of.minutes / longest(of, day) - 1e-9))
    return Array.from({ length: parts }, (_, part) => {
      const id = parts === 1 ? of.id : `${of.id} #${part + 1}`
      return { id, of, part: part + 1, parts, minutes: of.minutes / parts }
    })
  })
  let left = 0
  const whole = new Map<string, number>()
  for (const { id, minutes } of [...exact].sort((a, b) => a.minutes - b.minutes)) {
    const carried = Math.max(-MOST_CARRIED, Math.min(MOST_CARRIED, left))
    const given = Math.max(1, Math.round(minutes + carried))
    left += minutes - given
    whole.set(id, given)
  }
  return exact.map((s) => ({ ...s, minutes: whole.get(s.id)! + Math.round(grown.get(s.id) ?? 0) }))
}
