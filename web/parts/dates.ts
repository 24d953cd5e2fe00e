import dayjs from 'dayjs'

/** "Sat 28 Nov, 14:00" */
export const shortMoment = (at: string): string => dayjs(at).format('ddd D MMM, HH:mm')

/** "Saturday 28 November" */
export const longDay = (at: string): string => dayjs(at).format('dddd D MMMM YYYY')

export const clock = (at: string): string => dayjs(at).format('HH:mm')

/** A heading for a due day as seen from today. */
export function dayHeading(at: string): string {
  const days = dayjs(at).startOf('day').diff(dayjs().startOf('day'), 'day')
  const day = longDay(at)
  if (days === 0) return `Today, ${day}`
  if (days === 1) return `Tomorrow, ${day}`
  if (days < 0) return `Past, ${day}`
  return day
}

/** A week from now at two in the afternoon, as a field's first value. */
export const nextWeek = (): string => dayjs().add(7, 'day').format('YYYY-MM-DD[T]14:00')
