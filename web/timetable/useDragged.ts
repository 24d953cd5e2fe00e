import { type PointerEvent, useCallback, useRef, useState } from 'react'
import type { TimedTask } from '#core/timeline/timetable'
import type { Scale } from './scale.ts'

/** A press that moves by less is a press, px. */
const SLACK_PX = 6
/** A dragged start snaps to so many minutes. */
const SNAP_MINUTES = 5

/** A bar dragged along the time: where it would begin; told when it is let go. */
export function useDragged(scale: Scale, move: ((task: TimedTask, from: number) => void) | undefined) {
  const [dragged, setDragged] = useState<{ task: TimedTask; from: number } | null>(null)
  const ended = useRef(false)
  const latest = useRef<{ task: TimedTask; from: number } | null>(null)
  const begin = useCallback(
    (e: PointerEvent<HTMLElement>, task: TimedTask) => {
      if (!move || e.button !== 0) return
      const bar = e.currentTarget
      const pointer = e.pointerId
      const at = e.clientX
      const show = (next: typeof dragged) => {
        latest.current = next
        setDragged(next)
      }
      const on = (next: globalThis.PointerEvent) => {
        const by = next.clientX - at
        if (!latest.current && Math.abs(by) < SLACK_PX) return
        if (!latest.current) bar.setPointerCapture(pointer)
        const minute = scale.minuteAt(scale.x(task.from) + by)
        show({ task, from: Math.round(minute / SNAP_MINUTES) * SNAP_MINUTES })
      }
      const end = (commit: boolean) => {
        bar.removeEventListener('pointermove', on)
        bar.removeEventListener('pointerup', up)
        bar.removeEventListener('pointercancel', cancel)
        const last = latest.current
        show(null)
        if (!last) return
        // the press that ends a drag opens nothing
        ended.current = true
        setTimeout(() => {
          ended.current = false
        })
        if (commit && last.from !== task.from) move(task, last.from)
      }
      const up = () => end(true)
      const cancel = () => end(false)
      bar.addEventListener('pointermove', on)
      bar.addEventListener('pointerup', up)
      bar.addEventListener('pointercancel', cancel)
    },
    [scale, move],
  )
  return { dragged, begin, justDragged: () => ended.current }
}
