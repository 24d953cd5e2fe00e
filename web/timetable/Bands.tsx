import { Popover } from '@mantine/core'
import { useElementSize } from '@mantine/hooks'
import { IconLock } from '@tabler/icons-react'
import { type ReactNode, useMemo } from 'react'
import { DAY_MINUTES, momentOf } from '#core/timeline/clock'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { stayWords, taskWords, whyWords } from '#core/timeline/words'
import { formatMinutes } from '#core/units'
import { Term } from '../glossary/Term.tsx'
import { useCalendar } from '../parts/calendar.ts'
import css from './Bands.module.css'
import { bandLayout, chainPath, HEAD_PX } from './layout.ts'
import { scaleOf } from './scale.ts'
import { useDragged } from './useDragged.ts'

/** Room left of the first bar and after collection, min. */
const BEFORE_MINUTES = 8
const AFTER_MINUTES = 10
/** A bar narrower than this says nothing in itself: its words come when it is pressed; one narrower than that says it upright. */
const WORDS_PX = 15
const UPRIGHT_PX = 50
const PICTURE_PX = 92

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
  const { clock, dayName } = useCalendar()
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
  const chain = chainPath(seen.tasks, layout, scale.x)
  const box = (t: { from: number; to: number }) => {
    const left = Math.max(0, scale.x(t.from))
    return { left, width: Math.max(3, Math.min(scale.width, scale.x(t.to)) - left) }
  }
  const at = (minute: number) => clock(momentOf(minute))
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
        <div ref={ref} className={css.plot} style={{ height: layout.height }}>
          {scale.gaps.map((g) => (
            <div
              key={g.from}
              className={css.gap}
              style={{ left: g.x, width: g.width, top: HEAD_PX, height: layout.height - HEAD_PX }}
            >
              <span>closed</span>
            </div>
          ))}
          <svg width={scale.width} height={layout.height} aria-hidden="true">
            {scale.ticks.map((t) => (
              <path key={t.minute} d={`M${t.x} ${HEAD_PX - 4}V${layout.height}`} stroke="var(--line)" />
            ))}
            {seen.orders.map((o) => (
              <path
                key={o.id}
                d={`M${scale.x(o.collect)} ${HEAD_PX - 16}V${layout.height}`}
                stroke="var(--text)"
                strokeWidth={2}
              />
            ))}
            {now > from && now < to && (
              <path
                d={`M${scale.x(now)} ${HEAD_PX - 8}V${layout.height}`}
                stroke="var(--text)"
                strokeDasharray="2 3"
              />
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
          {seen.orders.map((o) => (
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
          {now > from && now < to && (
            <strong
              className={css.head}
              style={{ left: Math.max(0, scale.x(now) - 34), top: 4, color: 'var(--text)' }}
            >
              now {at(now)}
            </strong>
          )}
          {layout.stays.map((s) => (
            <div
              key={`${s.place} ${s.kind} ${s.orderId} ${s.taskId ?? s.what} ${s.from}`}
              className={css.stay}
              data-kind={s.kind}
              title={`${s.what}: ${stayWords(s)}, ${at(s.from)} to ${at(s.to)}`}
              style={{ ...box(s), top: s.top, height: s.height }}
            >
              <StayWords
                all={`${s.what}: ${stayWords(s)}`}
                short={s.kind === 'kept' ? '' : stayWords(s)}
                width={box(s).width}
              />
            </div>
          ))}
          {seen.rests.map((r) => (
            <div
              key={`${r.hand} ${r.from}`}
              className={css.rest}
              title={`The hand rests from ${at(r.from)} to ${at(r.to)}`}
              style={{ ...box(r), top: layout.handTop(r.hand), height: layout.handHeight }}
            >
              rest
            </div>
          ))}
          {seen.tasks.map((t) => {
            const shown =
              dragged?.task === t ? { ...t, from: dragged.from, to: dragged.from + t.to - t.from } : t
            const size = box(shown)
            const bar = (
              <button
                type="button"
                key={`${t.orderId} ${t.id}`}
                className={css.task}
                // as wide as it takes: the same task has a row of its own in the table
                data-to-scale
                data-settled={t.settled || undefined}
                data-other={(orderId !== null && t.orderId !== orderId) || undefined}
                data-open={openId === `${t.orderId} ${t.id}` || undefined}
                data-dragged={dragged?.task === t || undefined}
                style={{ ...size, top: layout.handTop(t.hand), height: layout.handHeight }}
                aria-label={`${taskWords(t)}, ${at(shown.from)} to ${at(shown.to)}, ${table.hands[t.hand]?.name}${t.settled ? ', locked' : ''}${t.noSlack ? ', no slack' : ''}`}
                title={`${taskWords(t)}, ${at(shown.from)} to ${at(shown.to)}. ${whyWords(table, t, at)}`}
                onClick={() => !justDragged() && open(t)}
                onPointerDown={(e) => begin(e, t)}
                onKeyDown={(e) => {
                  const by = { ArrowLeft: -5, ArrowRight: 5 }[e.key]
                  if (!by || !e.shiftKey || !move) return
                  e.preventDefault()
                  move(t, t.from + by)
                }}
              >
                {t.settled && size.width > UPRIGHT_PX && (
                  <IconLock size={13} aria-hidden="true" style={{ flex: 'none' }} />
                )}
                {size.width >= PICTURE_PX && picture?.(t, 30)}
                {size.width > WORDS_PX && (
                  <span className={size.width < UPRIGHT_PX ? css.upright : css.words}>
                    {t.kind === 'mix' || t.kind === 'fill' ? (
                      <Bowls task={t} hexOf={hexOf} />
                    ) : (
                      shortWords(t, size.width < UPRIGHT_PX)
                    )}
                  </span>
                )}
              </button>
            )
            if (openId !== `${t.orderId} ${t.id}`) return bar
            return (
              <Popover
                key={`${t.orderId} ${t.id}`}
                opened
                onChange={(on) => !on && open(null)}
                position="bottom"
                width={460}
                shadow="none"
                withArrow
                trapFocus
              >
                <Popover.Target>{bar}</Popover.Target>
                <Popover.Dropdown>{panel(t)}</Popover.Dropdown>
              </Popover>
            )
          })}
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

const shortWords = (t: TimedTask, upright: boolean): string => {
  if (t.kind === 'wash') return 'wash up'
  if (t.kind === 'base') return 'base'
  if (t.kind === 'stack') return 'stack'
  if (t.kind === 'box') return 'box'
  const what = t.what.charAt(0).toUpperCase() + t.what.slice(1)
  return !upright && t.kind === 'pipe' && t.count !== null && t.count > 1 ? `${what} ${t.count}` : what
}

function Bowls({
  task,
  hexOf,
}: {
  task: TimedTask
  hexOf: (orderId: string, colourId: string) => string | undefined
}) {
  return (
    <>
      {task.kind === 'mix' ? 'mix' : 'bags'}
      <span className={css.dabs}>
        {task.colourIds.map((id) => (
          <span
            key={id}
            style={{
              width: 9,
              height: 9,
              borderRadius: 9,
              border: '1px solid var(--line-strong)',
              background: hexOf(task.orderId, id),
            }}
          />
        ))}
      </span>
    </>
  )
}

const LEGEND = [
  ['freeze', 'freezing'],
  ['firm', 'becoming firm'],
  ['chill', 'chilling'],
  ['dry', 'drying'],
  ['kept', 'kept until it is wanted'],
] as const

/** A letter of a stay's words, px across, and their margins. */
const LETTER_PX = 6.1
const STAY_MARGIN_PX = 14

/** What lies there, as much of it as has room: all of it, what becomes of it, or nothing rather than half a word. */
function StayWords({ all, short, width }: { all: string; short: string; width: number }) {
  const fits = (words: string) => words !== '' && words.length * LETTER_PX + STAY_MARGIN_PX < width
  const words = fits(all) ? all : fits(short) ? short : null
  return words && <span>{words}</span>
}

function Legend({ kinds, rests, canMove }: { kinds: ReadonlySet<string>; rests: boolean; canMove: boolean }) {
  return (
    <div className={css.legend}>
      <span>
        <svg width="34" height="10" aria-hidden="true" style={{ marginRight: 6 }}>
          <path d="M4 5H33" stroke="var(--text)" strokeWidth={2.5} />
          <circle cx={5} cy={5} r={3.6} fill="var(--card)" stroke="var(--text)" strokeWidth={2} />
        </svg>
        <Term id="noSlack">no slack</Term>: sets the start
      </span>
      <span>
        <i className={css.task} />
        hands-on
      </span>
      {LEGEND.filter(([kind]) => kinds.has(kind)).map(([kind, words]) => (
        <span key={kind}>
          <i className={css.stay} data-kind={kind} />
          {words}
        </span>
      ))}
      {rests && (
        <span>
          <i className={css.rest} />
          rest for the hand
        </span>
      )}
      <span className={css.tip}>
        {canMove ? 'press a bar to read why then; drag it to lock it' : 'press a bar to read why then'}
      </span>
    </div>
  )
}
