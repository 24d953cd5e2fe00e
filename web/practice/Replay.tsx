import { Button, Group, SegmentedControl } from '@mantine/core'
import { IconPlayerPauseFilled, IconPlayerPlayFilled } from '@tabler/icons-react'
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import type { Sample } from '#core/practice/attempt'
import type { Laid } from '#core/practice/deposit'
import type { Ideal } from '#core/practice/ideal'
import type { StrokeRead } from '#core/practice/read'
import { usePlayer } from '../demonstration/usePlayer.ts'
import { sized } from './canvas.ts'
import { lookOf, shadowOf } from './look.ts'
import { Marks } from './Marks.tsx'
import { NailDisc } from './NailDisc.tsx'
import { IDEAL_GREY } from './PipeSheet.tsx'
import { newPainter, type Painter } from './paint.ts'
import replayCss from './Replay.module.css'
import { replayed } from './replay.ts'
import css from './Sheet.module.css'
import { StrokeCurve } from './StrokeCurve.tsx'

type Shown = 'both' | 'mine' | 'ideal'
const RATES = ['1', '0.5', '0.25']

/** A try beside the ideal on one clock. */
export function Replay(props: {
  ideal: Ideal
  pxPerMm: number
  samples: readonly Sample[]
  laid: readonly Laid[]
  reads: readonly StrokeRead[]
  /** Strokes that stand out. */
  stand: ReadonlySet<number>
}) {
  const { ideal, pxPerMm, samples, laid, reads, stand } = props
  const { drill } = ideal
  const [wide, high] = [drill.wide * pxPerMm, drill.high * pxPerMm]
  const seen = useMemo(() => replayed(ideal, samples, laid, reads), [ideal, samples, laid, reads])
  const player = usePlayer(useMemo(() => [0, seen.seconds] as const, [seen]))
  const [shown, setShown] = useState<Shown>('both')
  const [begun, setBegun] = useState(false)
  const at = begun ? player.second : seen.seconds
  const current = Math.max(
    0,
    seen.strokes.findLastIndex((s) => s.from <= at + 1e-6),
  )
  const firstOut = seen.strokes.findIndex((s) => stand.has(s.ideal))
  const [chosen, setChosen] = useState<number | null>(null)
  // before anything is played, a stroke that stands out is looked at
  const looked = begun ? current : (chosen ?? Math.max(0, firstOut))
  const stroke = seen.strokes[looked]

  const go = (index: number) => {
    const to = seen.strokes[index]
    if (!to) return
    setBegun(true)
    setChosen(index)
    player.seek(to.from)
  }
  const played = player.playing
  return (
    <div className={replayCss.replay}>
      <div className={replayCss.stage}>
        <div className={css.sheet} data-still style={{ width: wide, height: high }}>
          {drill.nail && <NailDisc ideal={ideal} pxPerMm={pxPerMm} />}
          <Painted
            laid={shown === 'ideal' || begun ? seen.its : ideal.laid}
            {...{ ideal, pxPerMm, at, wide, high }}
            flat={shown !== 'ideal'}
            hidden={shown === 'mine'}
          />
          <Painted
            laid={seen.mine}
            {...{ ideal, pxPerMm, at, wide, high }}
            flat={false}
            hidden={shown === 'ideal'}
          />
          <Marks ideal={ideal} pxPerMm={pxPerMm} next={null} chosen={stroke?.ideal ?? -1} stand={stand} />
        </div>
      </div>
      {stroke && (
        <StrokeCurve
          stroke={stroke}
          second={begun ? at - stroke.from : null}
          label={drill.strokes.length > 1 ? `stroke ${stroke.ideal + 1}` : 'squeeze'}
          seek={(second) => {
            setBegun(true)
            player.seek(stroke.from + second)
          }}
        />
      )}
      <Group gap={8} className={replayCss.bar}>
        <Button
          size="md"
          variant="filled"
          leftSection={played ? <IconPlayerPauseFilled size={18} /> : <IconPlayerPlayFilled size={18} />}
          onClick={() => {
            if (played) return player.pause()
            if (!begun) player.seek(0)
            setBegun(true)
            player.play()
          }}
        >
          {played ? 'Pause' : 'Replay'}
        </Button>
        {seen.strokes.length > 1 && (
          <>
            <Button
              size="md"
              disabled={looked <= 0}
              onClick={() => go(looked - 1)}
              aria-label="Stroke before"
            >
              ‹ {looked > 0 ? seen.strokes[looked - 1]!.ideal + 1 : ''}
            </Button>
            <Button
              size="md"
              disabled={looked >= seen.strokes.length - 1}
              onClick={() => go(looked + 1)}
              aria-label="Next stroke"
            >
              {looked < seen.strokes.length - 1 ? seen.strokes[looked + 1]!.ideal + 1 : ''} ›
            </Button>
          </>
        )}
        <SegmentedControl
          aria-label="Speed"
          value={String(player.rate)}
          onChange={(v) => player.setRate(Number(v))}
          data={RATES.map((value) => ({ value, label: { '1': '×1', '0.5': '½', '0.25': '¼' }[value] }))}
        />
        <SegmentedControl
          aria-label="What is shown"
          value={shown}
          onChange={(v) => setShown(v as Shown)}
          data={[
            { value: 'both', label: 'both' },
            { value: 'mine', label: 'mine' },
            { value: 'ideal', label: 'ideal' },
          ]}
        />
      </Group>
    </div>
  )
}

/** Icing up to a second; what is already there is not drawn again unless time goes back. */
function Painted(props: {
  ideal: Ideal
  laid: readonly Laid[]
  pxPerMm: number
  wide: number
  high: number
  at: number
  flat: boolean
  hidden: boolean
}) {
  const { ideal, laid, pxPerMm, wide, high, at, flat, hidden } = props
  const canvas = useRef<HTMLCanvasElement>(null)
  const painter = useRef<Painter | null>(null)
  const last = useRef(-1)
  useLayoutEffect(() => {
    painter.current = null
    void [ideal, laid, pxPerMm, wide, high, flat]
  }, [ideal, laid, pxPerMm, wide, high, flat])
  useEffect(() => {
    if (!painter.current || at < last.current) {
      const look = lookOf(ideal)
      painter.current = newPainter(
        sized(canvas.current!, wide, high),
        pxPerMm,
        flat ? shadowOf(look, IDEAL_GREY) : look,
      )
    }
    painter.current.go(laid, at)
    last.current = at
  })
  return (
    <canvas
      ref={canvas}
      className={css.layer}
      data-icing={flat ? undefined : true}
      style={{ visibility: hidden ? 'hidden' : 'visible' }}
    />
  )
}
