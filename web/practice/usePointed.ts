import { type PointerEvent as ReactPointer, type RefObject, useRef } from 'react'
import type { Piping, Squeezes, Touch } from './piping.ts'
import type { Prefs } from './prefs.ts'

/** A stylus's own figure between the lightest and the hardest that a hand presses. */
const pressed = (raw: number, range: Prefs['range']): number =>
  range ? Math.min(1, Math.max(0, (raw - range.least) / (range.most - range.least))) : raw

/** What a stylus, a finger or the mouse does on a sheet: the first that touches it pipes, the others wait. */
export function usePointed(props: {
  sheet: RefObject<HTMLElement | null>
  cursor: RefObject<HTMLElement | null>
  piping: RefObject<Piping | null>
  /** What squeezed last. */
  by: RefObject<Squeezes>
  squeezes: 'auto' | 'lever'
  pxPerMm: number
  range: Prefs['range']
  /** Told how many strokes have been begun. */
  onBegun: (strokes: number) => void
}) {
  const { sheet, cursor, piping, by, squeezes, pxPerMm, range, onBegun } = props
  const pointer = useRef<number | null>(null)
  const touchOf = (e: Pick<PointerEvent, 'clientX' | 'clientY' | 'timeStamp' | 'pressure'>): Touch => {
    const box = sheet.current!.getBoundingClientRect()
    return {
      x: (e.clientX - box.left) / pxPerMm,
      y: (e.clientY - box.top) / pxPerMm,
      ...{ ms: e.timeStamp, pressure: pressed(e.pressure, range) },
    }
  }
  const show = (e: ReactPointer) => {
    const { x, y } = touchOf(e.nativeEvent)
    if (!cursor.current) return
    cursor.current.style.opacity = '1'
    cursor.current.style.transform = `translate(${x * pxPerMm}px, ${y * pxPerMm}px)`
  }
  return {
    onPointerDown: (e: ReactPointer<HTMLElement>) => {
      if (pointer.current !== null || (e.pointerType === 'mouse' && e.button !== 0)) return
      e.preventDefault()
      e.currentTarget.setPointerCapture(e.pointerId)
      pointer.current = e.pointerId
      by.current = squeezes === 'lever' ? 'lever' : e.pointerType === 'pen' && e.pressure > 0 ? 'pen' : 'hold'
      piping.current!.press(touchOf(e.nativeEvent), by.current)
      onBegun(piping.current!.strokes)
      show(e)
    },
    onPointerMove: (e: ReactPointer<HTMLElement>) => {
      show(e)
      if (pointer.current !== null && pointer.current !== e.pointerId) return
      // a screen is drawn less often than a pointer is read: what came between belongs to the way
      const between = e.nativeEvent.getCoalescedEvents?.() ?? []
      for (const event of between.length > 0 ? between : [e.nativeEvent]) piping.current!.move(touchOf(event))
    },
    onPointerUp: (e: ReactPointer<HTMLElement>) => {
      if (pointer.current !== e.pointerId) return
      pointer.current = null
      // a mouse stays where it is and goes on; a finger and a stylus are off the sheet
      piping.current!.release(touchOf(e.nativeEvent), e.pointerType === 'mouse' && by.current === 'hold')
    },
    onPointerCancel: (e: ReactPointer<HTMLElement>) => {
      if (pointer.current !== e.pointerId) return
      pointer.current = null
      piping.current!.release(touchOf(e.nativeEvent), false)
    },
  }
}
