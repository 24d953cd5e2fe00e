import { DateTimePicker } from '@mantine/dates'
import { useEffect, useState } from 'react'
import { orderSchema } from '#core/model/order'
import { skippedTo } from '#core/time'
import { longDay, useCalendar } from './calendar.ts'

/**
 * A local day and time, picked. One that cannot be, or that the clocks skip, stays in the field with the reason, and the
 * document keeps its last good one.
 */
export function MomentField(props: {
  label: string
  value: string
  onChange: (value: string) => void
  error?: string
}) {
  const { value, onChange } = props
  const [picked, setPicked] = useState<string | null>(value)
  const [error, setError] = useState<string | null>(null)
  const { hour12, firstDay, clock } = useCalendar()
  useEffect(() => {
    setPicked(value)
    setError(null)
  }, [value])

  function accept(next: string | null) {
    const at = next?.replace(' ', 'T').slice(0, 16) ?? null
    setPicked(at)
    const parsed = orderSchema.shape.collectAt.safeParse(at)
    if (!parsed.success) return setError('Give the day and the time.')
    const shown = skippedTo(parsed.data)
    if (shown)
      return setError(
        `The clocks go forward on ${longDay(parsed.data)}: ${clock(parsed.data)} does not come. Take ${clock(shown)}.`,
      )
    setError(null)
    onChange(parsed.data)
  }

  return (
    <DateTimePicker
      label={props.label}
      value={picked ? `${picked.replace('T', ' ')}:00` : null}
      onChange={accept}
      valueFormat={hour12 ? 'ddd D MMM YYYY, h:mm a' : 'ddd D MMM YYYY, HH:mm'}
      firstDayOfWeek={firstDay}
      timePickerProps={{ format: hour12 ? '12h' : '24h', withDropdown: false }}
      error={error ?? props.error}
      highlightToday
      // the room is neutral: a red Sunday would be the only colour in it
      weekendDays={[]}
    />
  )
}
