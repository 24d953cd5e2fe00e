import { useElementSize } from '@mantine/hooks'
import { type ReactNode, useMemo } from 'react'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { formatMinutes } from '#core/units'
import css from './Bands.module.css'
import { Bar } from './Bar.tsx'
import { Legend } from './Legend.tsx'
import { bandLayout, chainPath, HEAD_PX } from './layout.ts'
import { Passive } from './Passive.tsx'
import { Ruler } from './Ruler.tsx'
import { scaleOf } from './scale.ts'
import { useDragged } from './useDragged.ts'

/** Room left of the first bar and after collection, min. */
const BEFORE_MINUTES = 8
const AFTER_MINUTES = 10
/** Room under the bands for the word at the line of now. */
const FOOT_PX = 18

/** The day as bands: each pair of hands, the mixer, what stands in freezer, fridge and on the rack; passive time as what it is. */
export function Bands(props: {
  table: Timetable
  now: number
  /** Only what lies between these; null for all. */
  view: { from: number; to: number } | null
  /** Looks at one day, or at all of them. */
  look?: (day: number | null) => void
  openId: string | null
  open(task: TimedTask | null): void
  /** A task dragged to another start. */
  move?: (task: TimedTask, from: number) => void
  /** Tasks of this order alone are told in full strength; null for all. */
  orderId: string | null
  hexOf(orderId: string, colourId: string): string | undefined
  picture?: (task: TimedTask, size: number) => ReactNode
  /** What is said about a task that is open, beside its bar. */
  panel: (task: TimedTask) => ReactNode
}) {
  const { table, now, view, look, openId, open, move, orderId, hexOf, picture, panel } = props
  const { ref, width } = useElementSize()
  const [from, to] = view
    ? [view.from, view.to]
    : [table.from - BEFORE_MINUTES, table.collect + AFTER_MINUTES]
  const seen = useMemo(() => {
    const inView = (t: { from: number; to: number }) => t.to > from && t.from < to
    return {
      ...table,
      tasks: table.tasks.filter(inView),
      stays: table.stays.filter(inView),
      rests: table.rests.filter(inView),
      orders: table.orders.filter((o) => o.collect > from && o.collect < to),
    }
  }, [table, from, to])
  const layout = useMemo(() => bandLayout(seen, formatMinutes), [seen])
  const scale = useMemo(
    () => scaleOf(from, to, table.closed, Math.max(200, width)),
    [from, to, table.closed, width],
  )
  const { dragged, begin, justDragged } = useDragged(scale, move)
  const nowSeen = now > from && now < to ? now : null
  const chain = chainPath(seen.tasks, layout, scale.x)
  const box = (t: { from: number; to: number }) => {
    const left = Math.max(0, scale.x(t.from))
    return { left, width: Math.max(3, Math.min(scale.width, scale.x(t.to)) - left) }
  }
  return (
    <>
      <div className={css.frame}>
        <div className={css.labels}>
          {layout.bands.map((b) => (
            <div key={b.key} className={css.label} style={{ top: b.top }}>
              {b.name}
              {b.note && <small>{b.note}</small>}
            </div>
          ))}
        </div>
        <div
          ref={ref}
          className={css.plot}
          style={{ height: layout.height + (nowSeen === null ? 0 : FOOT_PX) }}
        >
          {scale.gaps.map((g) => (
            <div
              key={g.from}
              className={css.gap}
              style={{ left: g.x, width: g.width, top: HEAD_PX, height: layout.height - HEAD_PX }}
            >
              <span>closed</span>
            </div>
          ))}
          <Ruler {...{ scale, view, look }} now={nowSeen} orders={seen.orders} height={layout.height} />
          <Passive {...{ layout, box }} rests={seen.rests} />
          {seen.tasks.map((t) => (
            <Bar
              key={`${t.orderId} ${t.id}`}
              task={t}
              {...{
                table,
                box,
                layout,
                dragged,
                begin,
                justDragged,
                openId,
                open,
                move,
                orderId,
                hexOf,
                picture,
                panel,
              }}
            />
          ))}
          {chain && (
            <svg width={scale.width} height={layout.height} aria-hidden="true" style={{ zIndex: 2 }}>
              <path d={chain.path} fill="none" stroke="var(--text)" strokeWidth={2.5} />
              {[chain.from, chain.to].map(({ x, y }) => (
                <circle key={x} cx={x} cy={y} r={4} fill="var(--card)" stroke="var(--text)" strokeWidth={2} />
              ))}
            </svg>
          )}
        </div>
      </div>
      <Legend kinds={new Set(seen.stays.map((s) => s.kind))} rests={seen.rests.length > 0} canMove={!!move} />
    </>
  )
}
