import { DAY_MINUTES, momentOf } from '#core/timeline/clock'
import type { Timetable } from '#core/timeline/timetable'
import { useCalendar } from '../parts/calendar.ts'
import css from './Bands.module.css'
import { HEAD_PX } from './layout.ts'
import type { Scale } from './scale.ts'

/** How wide the word and its time are. */
const NOW_PX = 62

/** The days and hours over the bands, when orders are fetched, and where now is. */
export function Ruler(props: {
  scale: Scale
  orders: Timetable['orders']
  height: number
  /** Null where it is not in view. */
  now: number | null
  view: { from: number; to: number } | null
  look?: ((day: number | null) => void) | undefined
}) {
  const { scale, orders, height, now, view, look } = props
  const { clock, dayName } = useCalendar()
  const at = (minute: number) => clock(momentOf(minute))
  return (
    <>
      <svg width={scale.width} height={height} aria-hidden="true">
        {scale.ticks.map((t) => (
          <path key={t.minute} d={`M${t.x} ${HEAD_PX - 4}V${height}`} stroke="var(--line)" />
        ))}
        {orders.map((o) => (
          <path
            key={o.id}
            d={`M${scale.x(o.collect)} ${HEAD_PX - 16}V${height}`}
            stroke="var(--text)"
            strokeWidth={2}
          />
        ))}
        {now !== null && (
          <path d={`M${scale.x(now)} ${HEAD_PX - 8}V${height}`} stroke="var(--text)" strokeDasharray="2 3" />
        )}
      </svg>
      {scale.days.map((d) => (
        <button
          type="button"
          key={d.minute}
          className={css.day}
          style={{ left: d.x }}
          title={look && (view ? 'All days' : 'Only this day')}
          disabled={!look}
          onClick={() => look?.(view ? null : Math.floor(d.minute / DAY_MINUTES))}
        >
          {dayName(momentOf(d.minute))}
          {look && view && ' · all days'}
        </button>
      ))}
      {orders.map((o) => (
        <span
          key={o.id}
          className={css.head}
          style={{ left: Math.min(scale.x(o.collect) - 26, scale.width - 56), top: 3 }}
        >
          fetched
        </span>
      ))}
      {scale.ticks
        .filter((t) => t.x < scale.width - 36)
        .map((t) => (
          <span key={t.minute} className={css.head} style={{ left: t.x - 1, top: 20 }}>
            {at(t.minute)}
          </span>
        ))}
      {now !== null && (
        // at the foot of its line: over the bands stand the days, and what is fetched
        <strong
          className={css.head}
          style={{
            left: Math.min(Math.max(0, scale.x(now) - NOW_PX / 2), scale.width - NOW_PX),
            top: height,
            color: 'var(--text)',
          }}
        >
          now {at(now)}
        </strong>
      )}
    </>
  )
}
