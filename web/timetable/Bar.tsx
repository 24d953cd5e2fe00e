import { Popover } from '@mantine/core'
import { IconLock } from '@tabler/icons-react'
import type { PointerEvent, ReactNode } from 'react'
import { momentOf } from '#core/timeline/clock'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { taskWords, whyWords } from '#core/timeline/words'
import { useCalendar } from '../parts/calendar.ts'
import css from './Bands.module.css'
import type { BandLayout } from './layout.ts'

/** A bar narrower than this says nothing in itself: its words come when it is pressed; one narrower than that says it upright. */
const WORDS_PX = 15
const UPRIGHT_PX = 50
const PICTURE_PX = 92

/** A task as a bar: moved by hand or by Shift and the arrow keys, and with what is said of it beside it when it is pressed. */
export function Bar(props: {
  task: TimedTask
  table: Timetable
  layout: BandLayout
  box(of: { from: number; to: number }): { left: number; width: number }
  /** The one that is being dragged, and to where. */
  dragged: { task: TimedTask; from: number } | null
  begin(event: PointerEvent<HTMLElement>, task: TimedTask): void
  justDragged(): boolean
  openId: string | null
  open(task: TimedTask | null): void
  move?: ((task: TimedTask, from: number) => void) | undefined
  orderId: string | null
  hexOf(orderId: string, colourId: string): string | undefined
  picture?: ((task: TimedTask, size: number) => ReactNode) | undefined
  panel: (task: TimedTask) => ReactNode
}) {
  const { task: t, table, layout, box, dragged, begin, justDragged } = props
  const { openId, open, move, orderId, hexOf, picture, panel } = props
  const { clock } = useCalendar()
  const at = (minute: number) => clock(momentOf(minute))
  const shown = dragged?.task === t ? { ...t, from: dragged.from, to: dragged.from + t.to - t.from } : t
  const size = box(shown)
  const bar = (
    <button
      type="button"
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
