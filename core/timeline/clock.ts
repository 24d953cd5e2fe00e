/**
 * Local moments as minutes of one long clock, so that timetables reckon in whole numbers: minutes since the beginning of 1970 as
 * calendars and clocks on the wall show them. Days on which clocks change have 24 hours here, as in every calendar on paper.
 */
export const DAY_MINUTES = 1440

/** Minutes of a moment like 2026-11-28T14:00. */
export const minuteOf = (moment: string): number => Date.parse(`${moment}Z`) / 60_000

/** The moment of so many minutes, like 2026-11-28T14:00. */
export const momentOf = (minute: number): string => new Date(minute * 60_000).toISOString().slice(0, 16)

/** Days since 1970 of a minute. */
export const dayOf = (minute: number): number => Math.floor(minute / DAY_MINUTES)

/** 1 January 1970 was a Thursday, the fourth of a week that begins on Monday. */
const FIRST_DAY = 3

/** Day of the week of a day since 1970: 0 for Monday to 6 for Sunday. */
export const weekdayOf = (day: number): number => (((day + FIRST_DAY) % 7) + 7) % 7
