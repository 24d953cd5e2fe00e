import { Button, Group } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useCallback, useEffect, useRef, useState } from 'react'
import { compared, outstanding } from '#core/practice/compared'
import type { Ideal } from '#core/practice/ideal'
import { PipeSheet, type SheetActs } from '../../practice/PipeSheet.tsx'
import type { Prefs } from '../../practice/prefs.ts'
import { Replay } from '../../practice/Replay.tsx'
import { HIGHEST, OtherThumb, USUAL_LEVER } from './OtherThumb.tsx'
import css from './Practice.module.css'
import type { Trying } from './useTried.ts'

/** One notch of the wheel or a key: of the lever, and of the nail in radians. */
const NOTCH = 0.04
const NAIL_NOTCH = 0.07
/** The lever's foot is a tip that is pressed as low as it can be. */
const LOWEST = 0.2

/** The sheet with its lever while it is piped, and the try beside the ideal when it is done. */
export function Tryout(props: {
  ideal: Ideal
  prefs: Prefs
  tried: Trying
  done: Trying['done']
  pxPerMm: number
  roomPx: number
  hand: 'right' | 'left'
}) {
  const { ideal, prefs, tried, done, pxPerMm, roomPx, hand } = props
  const { other } = prefs
  const acts = useRef<SheetActs | null>(null)
  const [squeeze, setSqueeze] = useState(0)
  const [lever, setLever] = useState(other === 'height' ? USUAL_LEVER : 0)
  const piping = !tried.result
  const isOwn = other === 'nail' && !ideal.drill.nail ? 'nothing' : other
  const move = (value: number) => {
    const to = Math.min(1, Math.max(0, value))
    if (isOwn === 'nail') {
      acts.current?.turn((to - lever) * 2 * Math.PI)
      setLever(to)
      return
    }
    setLever(to)
    acts.current?.lever(isOwn === 'height' ? Math.max(LOWEST, to * HIGHEST) : to)
  }
  const notch = (way: number) => {
    if (!piping || isOwn === 'nothing') return
    if (isOwn === 'nail') acts.current?.turn(way * NAIL_NOTCH)
    else move(lever + way * NOTCH)
  }
  useHotkeys([
    ['ArrowUp', () => notch(1)],
    ['ArrowDown', () => notch(-1)],
    // undo itself belongs to the order that lies around it
    ['Backspace', () => piping && acts.current?.undo()],
    // a button that has the focus is pressed by the key itself
    [
      'Enter',
      (e) => {
        const onButton = e.target instanceof Element && e.target.closest('button, a')
        if (piping && !onButton) acts.current?.done()
      },
      { preventDefault: false },
    ],
  ])
  const stage = useRef<HTMLDivElement>(null)
  const turn = useRef(notch)
  turn.current = notch
  useEffect(() => {
    const on = stage.current
    const wheel = (e: WheelEvent) => {
      e.preventDefault()
      turn.current(e.deltaY < 0 ? 1 : -1)
    }
    // a page that scrolls under a lever would be both: only here is the wheel the lever's
    if (isOwn !== 'nothing' && piping) on?.addEventListener('wheel', wheel, { passive: false })
    return () => on?.removeEventListener('wheel', wheel)
  }, [isOwn, piping])
  const shows = useCallback(
    (now: number) => setSqueeze((was) => (Math.abs(was - now) > 0.01 ? now : was)),
    [],
  )

  if (roomPx > 0 && ideal.drill.wide * pxPerMm > roomPx - LEVER_PX)
    return (
      <p role="alert" className={css.tooWide}>
        This drill is {Math.round(ideal.drill.wide)} mm wide at true size, and here are{' '}
        {Math.floor((roomPx - LEVER_PX) / pxPerMm)} mm. Turn the tablet, widen the window, or print it to lie
        under parchment.
      </p>
    )
  if (tried.result)
    return (
      <Replay
        ideal={ideal}
        pxPerMm={pxPerMm}
        samples={tried.result.samples}
        laid={tried.result.laid}
        reads={tried.result.reads}
        stand={new Set(outstanding(compared(ideal, tried.result.reads)))}
      />
    )
  return (
    <div ref={stage} className={css.tryout} data-hand={hand}>
      <OtherThumb {...{ isOwn, hand, squeeze, lever, move }} />
      <div className={css.paper}>
        <PipeSheet
          ideal={ideal}
          pxPerMm={pxPerMm}
          squeezes={isOwn === 'squeeze' ? 'lever' : 'auto'}
          other={isOwn}
          range={prefs.range}
          acts={acts}
          onSqueeze={shows}
          onDone={done}
        />
        <p className={css.rule}>
          <i style={{ width: 10 * pxPerMm }} /> 10 mm
        </p>
      </div>
      <Group gap={8} className={css.acts}>
        <Button size="md" onClick={() => acts.current?.done()}>
          That is all of it
        </Button>
        <Button size="md" onClick={() => acts.current?.undo()}>
          Take the last stroke away
        </Button>
        <p className="quiet">{HOW[isOwn]}</p>
      </Group>
    </div>
  )
}

/** What the lever takes of the room beside the sheet, px. */
const LEVER_PX = 88

const HOW = {
  nothing: 'A stylus squeezes as it presses; a finger or the mouse squeezes half while held down.',
  squeeze: 'Hold down to lay the tip on; the lever, the wheel or the arrow keys squeeze.',
  height: 'The lever, the wheel or the arrow keys lift the tip; holding down squeezes.',
  nail: 'The lever, the wheel or the arrow keys turn the nail; holding down squeezes.',
}
