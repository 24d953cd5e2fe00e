import {
  type PointerEvent as ReactPointer,
  type RefObject,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
} from 'react'
import type { Sample } from '#core/practice/attempt'
import { pointAt } from '#core/practice/drill'
import type { Ideal } from '#core/practice/ideal'
import { sized } from './canvas.ts'
import { lookOf, shadowOf } from './look.ts'
import { Marks } from './Marks.tsx'
import { newPainter, type Painter } from './paint.ts'
import { newPiping, type OtherHand, type Piping, type Squeezes, type Touch } from './piping.ts'
import type { Prefs } from './prefs.ts'
import css from './Sheet.module.css'

/** Nothing has been touched for so long after the last stroke: it is done, ms. */
const DONE_AFTER_MS = 1600
/** Grey that the ideal lies in. */
export const IDEAL_GREY = '#cfcfcf'

/** A stylus's own figure between the lightest and the hardest that a hand presses. */
const pressed = (raw: number, range: Prefs['range']): number =>
  range ? Math.min(1, Math.max(0, (raw - range.least) / (range.most - range.least))) : raw

/** What may be asked of a sheet from beside it. */
export interface SheetActs {
  done(): void
  undo(): void
  lever(value: number): void
  turn(radians: number): void
}

/** A sheet at true scale that is piped on. */
export function PipeSheet(props: {
  ideal: Ideal
  pxPerMm: number
  squeezes: 'auto' | 'lever'
  other: OtherHand
  /** What a stylus tells at its lightest and hardest. */
  range: Prefs['range']
  acts: RefObject<SheetActs | null>
  onSqueeze: (squeeze: number) => void
  onDone: (samples: readonly Sample[], squeezed: Squeezes) => void
}) {
  const { ideal, pxPerMm, squeezes, other, range, acts, onSqueeze, onDone } = props
  const { drill } = ideal
  const [wide, high] = [drill.wide * pxPerMm, drill.high * pxPerMm]
  const under = useRef<HTMLCanvasElement>(null)
  const over = useRef<HTMLCanvasElement>(null)
  const nail = useRef<HTMLDivElement>(null)
  const cursor = useRef<HTMLDivElement>(null)
  const sheet = useRef<HTMLDivElement>(null)
  const piping = useRef<Piping | null>(null)
  const painter = useRef<Painter | null>(null)
  const pointer = useRef<number | null>(null)
  const by = useRef<Squeezes>('hold')
  const [begun, setBegun] = useState(0)

  useLayoutEffect(() => {
    piping.current = newPiping(ideal, other)
    const look = lookOf(ideal)
    newPainter(sized(under.current!, wide, high), pxPerMm, shadowOf(look, IDEAL_GREY)).go(
      ideal.laid,
      Number.POSITIVE_INFINITY,
    )
    painter.current = newPainter(sized(over.current!, wide, high), pxPerMm, look)
    setBegun(0)
  }, [ideal, other, wide, high, pxPerMm])

  const finish = () => {
    const { samples } = piping.current!
    if (samples.length > 0) onDone(samples, by.current)
  }
  acts.current = {
    done: finish,
    undo: () => {
      piping.current?.undo()
      painter.current = newPainter(sized(over.current!, wide, high), pxPerMm, lookOf(ideal))
      setBegun(piping.current?.strokes ?? 0)
    },
    lever: (value) => piping.current?.lever(value),
    turn: (radians) => piping.current?.turn(radians),
  }

  const finished = useRef(finish)
  finished.current = finish
  useEffect(() => {
    let asked = requestAnimationFrame(function frame() {
      const p = piping.current!
      const now = performance.now()
      p.tick(now)
      painter.current?.go(p.laid, Number.POSITIVE_INFINITY)
      if (nail.current) nail.current.style.transform = `rotate(${p.nail}rad)`
      onSqueeze(p.squeeze)
      const isDone =
        p.strokes >= drill.strokes.length &&
        !p.down &&
        p.liftedAt !== null &&
        now - p.liftedAt > DONE_AFTER_MS
      if (isDone) finished.current()
      else asked = requestAnimationFrame(frame)
    })
    return () => cancelAnimationFrame(asked)
  }, [drill, onSqueeze])

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
  const next = drill.strokes[Math.min(begun, drill.strokes.length - 1)]!

  return (
    <div
      ref={sheet}
      className={css.sheet}
      style={{ width: wide, height: high }}
      role="application"
      aria-label={`Sheet for ${drill.label}: pipe with a stylus, a finger or the mouse held down`}
      onPointerDown={(e) => {
        if (pointer.current !== null || (e.pointerType === 'mouse' && e.button !== 0)) return
        e.preventDefault()
        e.currentTarget.setPointerCapture(e.pointerId)
        pointer.current = e.pointerId
        by.current =
          squeezes === 'lever' ? 'lever' : e.pointerType === 'pen' && e.pressure > 0 ? 'pen' : 'hold'
        piping.current!.press(touchOf(e.nativeEvent), by.current)
        setBegun(piping.current!.strokes)
        show(e)
      }}
      onPointerMove={(e) => {
        show(e)
        if (pointer.current !== null && pointer.current !== e.pointerId) return
        // a screen is drawn less often than a pointer is read: what came between belongs to the way
        const between = e.nativeEvent.getCoalescedEvents?.() ?? []
        for (const event of between.length > 0 ? between : [e.nativeEvent])
          piping.current!.move(touchOf(event))
      }}
      onPointerUp={(e) => {
        if (pointer.current !== e.pointerId) return
        pointer.current = null
        // a mouse stays where it is and goes on; a finger and a stylus are off the sheet
        piping.current!.release(touchOf(e.nativeEvent), e.pointerType === 'mouse' && by.current === 'hold')
      }}
      onPointerCancel={(e) => {
        if (pointer.current !== e.pointerId) return
        pointer.current = null
        piping.current!.release(touchOf(e.nativeEvent), false)
      }}
    >
      <div
        ref={nail}
        className={css.turns}
        style={
          drill.nail
            ? { transformOrigin: `${drill.nail.middle.x * pxPerMm}px ${drill.nail.middle.y * pxPerMm}px` }
            : undefined
        }
      >
        {drill.nail && <NailDisc ideal={ideal} pxPerMm={pxPerMm} />}
        <canvas ref={under} className={css.layer} />
        <canvas ref={over} className={css.layer} data-icing />
        <Marks
          ideal={ideal}
          pxPerMm={pxPerMm}
          next={begun < drill.strokes.length ? pointAt(next.path, 0) : null}
        />
      </div>
      <div ref={cursor} className={css.cursor} aria-hidden="true">
        <i
          style={{
            width: ideal.outlet.mouth.acrossMm * pxPerMm,
            height: ideal.outlet.mouth.acrossMm * pxPerMm,
          }}
        />
      </div>
    </div>
  )
}

/** The nail under a drill, with its mark. */
export function NailDisc({ ideal: { drill }, pxPerMm }: { ideal: Ideal; pxPerMm: number }) {
  const { middle, radiusMm } = drill.nail!
  return (
    <svg className={css.layer} width={drill.wide * pxPerMm} height={drill.high * pxPerMm} aria-hidden="true">
      <g transform={`scale(${pxPerMm})`}>
        <circle cx={middle.x} cy={middle.y} r={radiusMm} className={css.nail} />
        <rect x={middle.x - 0.7} y={middle.y - radiusMm} width={1.4} height={4} className={css.nailMark} />
      </g>
    </svg>
  )
}
