import dayjs from 'dayjs'
import utc from 'dayjs/plugin/utc'
import { useMemo } from 'react'
import type { Settings } from '#core/model/workshop'
import { useWorkshop } from '../data/workshop.ts'
import { dayAfter, daysBetween, localMoment } from './time.ts'

dayjs.extend(utc)

/** How this bakery writes days and times. */
export interface Calendar {
  /** "14:00" or "2:00 pm" */
  clock(at: string): string
  /** "Sat 28 Nov, 14:00" */
  shortMoment(at: string): string
  /** "Sat 14:00" */
  weekMoment(at: string): string
  /** "Fri 27" */
  shortDay(at: string): string
  /** "Friday 27" */
  dayName(at: string): string
  /** A heading for a due day as seen from today: "Tomorrow, Saturday 28 November 2026". */
  dayHeading(at: string): string
  hour12: boolean
  /** 0 for Sunday to 6 for Saturday. */
  firstDay: 0 | 1 | 2 | 3 | 4 | 5 | 6
}

export const today = (): string => localMoment(new Date()).slice(0, 10)

/** A week from now at two in the afternoon, as a field's first value. */
export const nextWeek = (): string => `${dayAfter(today(), 7)}T14:00`

/** A local moment is shown as it is written: read as one of Greenwich, no change of clocks moves it. */
const written = (at: string, pattern: string) => dayjs.utc(`${at}Z`).format(pattern)

/** "Saturday 28 November 2026" */
export const longDay = (at: string): string => written(`${at.slice(0, 10)}T12:00`, 'dddd D MMMM YYYY')

/** Days and times by the bakery's settings, which start as the browser's. */
export function calendarFor(settings: Pick<Settings, 'clock' | 'firstDay'>, locale: string): Calendar {
  const hour12 = settings.clock === 'browser' ? browserHour12(locale) : settings.clock === '12'
  const time = hour12 ? 'h:mm a' : 'HH:mm'
  return {
    hour12,
    firstDay:
      settings.firstDay === 'browser'
        ? browserFirstDay(locale)
        : ({ sunday: 0, monday: 1, saturday: 6 } as const)[settings.firstDay],
    clock: (at) => written(at, time),
    shortMoment: (at) => written(at, `ddd D MMM, ${time}`),
    weekMoment: (at) => written(at, `ddd ${time}`),
    shortDay: (at) => written(at, 'ddd D'),
    dayName: (at) => written(at, 'dddd D'),
    dayHeading: (at) => {
      const days = daysBetween(today(), at)
      const day = longDay(at)
      if (days === 0) return `Today, ${day}`
      if (days === 1) return `Tomorrow, ${day}`
      if (days === -1) return `Yesterday, ${day}`
      return day
    },
  }
}

function browserHour12(locale: string): boolean {
  return new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions().hour12 ?? false
}

function browserFirstDay(locale: string): Calendar['firstDay'] {
  const known = new Intl.Locale(locale) as Intl.Locale & {
    getWeekInfo?: () => { firstDay: number }
    weekInfo?: { firstDay: number }
  }
  // counted from Monday as 1 to Sunday as 7; where the browser does not know, Monday
  const first = (known.getWeekInfo?.() ?? known.weekInfo)?.firstDay ?? 1
  return (first % 7) as Calendar['firstDay']
}

const asBrowser = { clock: 'browser', firstDay: 'browser' } as const

export function useCalendar(): Calendar {
  const settings = useWorkshop().workshop?.settings
  const { clock, firstDay } = settings ?? asBrowser
  return useMemo(() => calendarFor({ clock, firstDay }, navigator.language), [clock, firstDay])
}
