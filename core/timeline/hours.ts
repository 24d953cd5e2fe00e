import type { DaySettings } from '../model/day.ts'
import type { Window } from '../schedule/problem.ts'
import { DAY_MINUTES, dayOf, weekdayOf } from './clock.ts'

/** When hands work between two minutes, day by day. */
export function openWindows({ week }: Pick<DaySettings, 'week'>, from: number, to: number): Window[] {
  const windows: Window[] = []
  for (let day = dayOf(from); day <= dayOf(to); day++) {
    const hours = week[weekdayOf(day)]
    if (!hours || hours.to <= hours.from) continue
    const stretch = {
      from: Math.max(from, day * DAY_MINUTES + hours.from),
      to: Math.min(to, day * DAY_MINUTES + hours.to),
    }
    if (stretch.to <= stretch.from) continue
    const last = windows.at(-1)
    // open through midnight: one stretch
    if (last && last.to === stretch.from) last.to = stretch.to
    else windows.push(stretch)
  }
  return windows
}
