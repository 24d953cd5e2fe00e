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
  Math.max(1, Math.floor(stiff ? Math.min(day.restAfterMinutes, day.stretchMinutes) : day.stretchMinutes))

/**
 * Activities in stretches that one pair of hands does without a break, in whole minutes: what is lost or won by rounding goes on
 * to the next, so that all together take as long as they are said to.
 * @param grown minutes that single activities take longer, by id.
 */
export function stretches(
  activities: readonly Activity[],
  day: Pick<DaySettings, 'restAfterMinutes' | 'stretchMinutes'>,
  grown: ReadonlyMap<string, number>,
): Stretch[] {
  let left = 0
  const whole = (minutes: number) => {
    const given = Math.max(1, Math.round(minutes + left))
    left += minutes - given
    return given
  }
  return activities.flatMap((of) => {
    const parts = Math.max(1, Math.ceil(of.minutes / longest(of, day) - 1e-9))
    return Array.from({ length: parts }, (_, part): Stretch => {
      const id = parts === 1 ? of.id : `${of.id} #${part + 1}`
      const more = grown.get(id) ?? 0
      return {
        id,
        of,
        part: part + 1,
        parts,
        minutes: Math.min(whole(of.minutes / parts + more), Math.max(1, Math.ceil(longest(of, day) + more))),
      }
    })
  })
}
