import { DatePickerInput, TimePicker } from '@mantine/dates'
import { useEffect, useState } from 'react'
import { orderFields } from '#core/model/order'
import { longDay, useCalendar } from './calendar.ts'
import css from './MomentField.module.css'
import { skippedTo } from './time.ts'

/**
 * A local day and time. One that is not whole, or that the clocks skip, stays in the fields with the reason, and the
 * document keeps its last good one. Day and time are two fields, because one that makes a moment of both moves a skipped
 * time without a word.
 */
export function MomentField(props: {
  label: string
  value: string
  onChange: (value: string) => void
  error?: string
}) {
  const { value, onChange } = props
  const [day, setDay] = useState<string | null>(value.slice(0, 10))
  const [time, setTime] = useState(value.slice(11, 16))
  const [error, setError] = useState<string | null>(null)
  const { hour12, firstDay, clock } = useCalendar()
  useEffect(() => {
    setDay(value.slice(0, 10))
    setTime(value.slice(11, 16))
    setError(null)
  }, [value])

  function accept(nextDay: string | null, nextTime: string) {
    setDay(nextDay)
    setTime(nextTime)
    const parsed = orderFields.shape.collectAt.safeParse(`${nextDay}T${nextTime}`)
    if (!parsed.success) return setError('Give the day and the time.')
    const shown = skippedTo(parsed.data)
    if (shown)
      return setError(
        `The clocks go forward on ${longDay(parsed.data)}: ${clock(parsed.data)} does not come. Take ${clock(shown)}.`,
      )
    setError(null)
    if (parsed.data !== value) onChange(parsed.data)
  }

  const wrong = error ?? props.error
  return (
    <div>
      <div className={css.fields}>
        <DatePickerInput
          label={props.label}
          value={day}
          onChange={(next) => accept(next, time)}
          valueFormat="ddd D MMM YYYY"
          firstDayOfWeek={firstDay}
          error={wrong ? true : undefined}
          highlightToday
          // the room is neutral: a red Sunday would be the only colour in it
          weekendDays={[]}
        />
        <TimePicker
          label="at"
          value={time}
          onChange={(next) => accept(day, next.slice(0, 5))}
          format={hour12 ? '12h' : '24h'}
          error={wrong ? true : undefined}
          hoursInputLabel={`${props.label}, hours`}
          minutesInputLabel={`${props.label}, minutes`}
          amPmInputLabel={`${props.label}, am or pm`}
        />
      </div>
      {wrong && (
        <p role="alert" className={css.wrong}>
          {wrong}
        </p>
      )}
    </div>
  )
}
