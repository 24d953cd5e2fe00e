import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react'
import type { Sample } from '#core/practice/attempt'
import { pointAt } from '#core/practice/drill'
import type { Ideal } from '#core/practice/ideal'
import { sized } from './canvas.ts'
import { lookOf, shadowOf } from './look.ts'
import { Marks } from './Marks.tsx'
import { NailDisc } from './NailDisc.tsx'
import { newPainter, type Painter } from './paint.ts'
import { newPiping, type OtherHand, type Piping, type Squeezes } from './piping.ts'
import type { Prefs } from './prefs.ts'
import css from './Sheet.module.css'
import { usePointed } from './usePointed.ts'

/** Nothing has been touched for so long after the last stroke: it is done, ms. */
const DONE_AFTER_MS = 1600
/** Grey that the ideal lies in. */
export const IDEAL_GREY = '#cfcfcf'

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

  const pointed = usePointed({ sheet, cursor, piping, by, squeezes, pxPerMm, range, onBegun: setBegun })
  const next = drill.strokes[Math.min(begun, drill.strokes.length - 1)]!

  return (
    <div
      ref={sheet}
      className={css.sheet}
      style={{ width: wide, height: high }}
      role="application"
      aria-label={`Sheet for ${drill.label}: pipe with a stylus, a finger or the mouse held down`}
      {...pointed}
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
