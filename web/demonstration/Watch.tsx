import { Button, SegmentedControl } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { IconPlayerPauseFilled, IconPlayerPlayFilled } from '@tabler/icons-react'
import { type ReactNode, useEffect, useMemo, useState } from 'react'
import { type Pose, poseAt } from '#core/demonstration/pose'
import { spanOf, stopNear, stopsOf } from '#core/demonstration/stops'
import { turnWords } from '#core/demonstration/turnWords'
import { Dial } from './Dial.tsx'
import type { DemoScene } from './demoScene.ts'
import { phaseWords } from './phaseWords.ts'
import { SqueezeCurve } from './SqueezeCurve.tsx'
import { Stage } from './Stage.tsx'
import { usePlayer } from './usePlayer.ts'
import type { Piped } from './useShow.ts'
import css from './Watch.module.css'

const RATES = [
  { value: '1', label: '×1' },
  { value: '0.5', label: '½' },
  { value: '0.25', label: '¼' },
]
const HANDS = [
  { value: 'left', label: 'left hand' },
  { value: 'right', label: 'right hand' },
]

/** What is needed to make pictures of it. */
export interface Filmed {
  /** Draws moments one after the other, at once; then what was shown is shown again. */
  still(take: (draw: Draw, canvas: HTMLCanvasElement) => void): void
  /** The same for as long as it takes. */
  moving<T>(take: (draw: Draw, canvas: HTMLCanvasElement) => Promise<T>): Promise<T>
}
type Draw = (pose: Pose, layer: number) => void

/** A flower, or one of its layers, piped before one's eyes. */
export function Watch(props: {
  piped: Piped
  colours: Readonly<Record<string, string>>
  ground: 'nail' | 'turntable'
  hand: 'left' | 'right'
  /** Said over the picture of a layer. */
  headline: (layer: number) => string
  names: readonly string[]
  /** More buttons beside those that play. */
  actions?: ReactNode
  onFilmed?: (filmed: Filmed | null) => void
}) {
  const { piped, colours, names, ground } = props
  const { show, watched: layer } = piped
  const span = useMemo(() => spanOf(show, layer), [show, layer])
  const stops = useMemo(() => stopsOf(show, span), [show, span])
  const player = usePlayer(span)
  const [left, setLeft] = useState(props.hand === 'left')
  const pose = useMemo(() => poseAt(show, player.second), [show, player.second])
  const stroke = show.strokes[pose.stroke]!
  const siblings = show.strokes.filter((s) => s.layer === stroke.layer)
  const nth = siblings.indexOf(stroke) + 1
  const before = stopNear(stops, player.second, false)
  const after = stopNear(stops, player.second, true)
  const { onFilmed } = props
  const whole = Math.abs(stroke.nail.at(-1)! - stroke.nail[0]!)
  useEffect(() => () => onFilmed?.(null), [onFilmed])
  useHotkeys([
    // not the space bar: that presses whatever button is in focus
    ['P', () => (player.playing ? player.pause() : player.play())],
    ['ArrowLeft', () => before && player.seek(before.second)],
    ['ArrowRight', () => after && player.seek(after.second)],
  ])
  const go = (by: number) => {
    const to = show.strokes[pose.stroke + by]
    if (to) player.seek(to.begins + to.timing.begins.touch)
  }

  return (
    <div className={css.watch}>
      <div className={css.seen}>
        <div className={css.words}>
          <h2>{props.headline(stroke.layer)}</h2>
          <p className="quiet" aria-live="polite">
            {names[stroke.layer]}, {nth} of {siblings.length}: {phaseWords[pose.phase].long}
          </p>
        </div>
        <Stage
          piped={piped}
          pose={pose}
          layer={stroke.layer}
          left={left}
          colours={colours}
          label={`Being piped: ${names[stroke.layer]}, ${nth} of ${siblings.length}`}
          onScene={(scene, canvas) =>
            onFilmed?.(scene && canvas ? filmedBy(scene, canvas, player.pause) : null)
          }
        >
          <Dial clock={show.clocks[stroke.layer]!} left={left} />
          <p className={css.turned}>
            {whole < 0.1 ? `the ${ground} stands still` : turning(pose.turned, whole, ground, left)}
          </p>
        </Stage>
      </div>
      <div className={css.below}>
        <div className={css.squeeze}>
          <div className={css.side}>
            <span className="quiet">squeeze</span>
            <strong>{Math.round(pose.squeeze * 100)} %</strong>
            <span className="quiet">
              {Math.max(0, pose.second - stroke.timing.begins.touch).toFixed(1)} of{' '}
              {(stroke.timing.seconds - stroke.timing.begins.touch).toFixed(1)} s
            </span>
            <span className="quiet">{pose.faded > 0.3 ? 'bag faded: icing is there' : ''}</span>
          </div>
          <SqueezeCurve
            stroke={stroke}
            flow={show.flows[stroke.layer]!}
            second={pose.second}
            seek={(second) => player.seek(stroke.begins + second)}
          />
        </div>
        <div className={css.transport}>
          <Button
            variant="filled"
            className={css.play}
            leftSection={
              player.playing ? <IconPlayerPauseFilled size={18} /> : <IconPlayerPlayFilled size={18} />
            }
            onClick={() => (player.playing ? player.pause() : player.play())}
          >
            {player.playing ? 'Pause' : 'Play'}
          </Button>
          <Button disabled={!before} onClick={() => before && player.seek(before.second)}>
            ‹ {before ? phaseWords[before.phase].short : 'Back'}
          </Button>
          <Button disabled={!after} onClick={() => after && player.seek(after.second)}>
            {after ? phaseWords[after.phase].short : 'On'} ›
          </Button>
          {show.strokes.length > 1 && (
            <Button.Group>
              <Button
                aria-label="The stroke before"
                disabled={pose.stroke === 0 || (layer !== null && nth === 1)}
                onClick={() => go(-1)}
              >
                ‹ {nth > 1 ? nth - 1 : ''}
              </Button>
              <Button
                aria-label="The next stroke"
                disabled={
                  pose.stroke === show.strokes.length - 1 || (layer !== null && nth === siblings.length)
                }
                onClick={() => go(1)}
              >
                {nth < siblings.length ? nth + 1 : ''} ›
              </Button>
            </Button.Group>
          )}
          <SegmentedControl
            aria-label="How fast"
            data={RATES}
            value={String(player.rate)}
            onChange={(v) => player.setRate(Number(v))}
          />
          <SegmentedControl
            className={css.hands}
            aria-label="Hand"
            data={HANDS}
            value={left ? 'left' : 'right'}
            onChange={(v) => setLeft(v === 'left')}
          />
          {props.actions}
        </div>
      </div>
    </div>
  )
}

function filmedBy(scene: DemoScene, canvas: HTMLCanvasElement, pause: () => void): Filmed {
  const draw: Draw = (pose, layer) => {
    scene.pose(pose, layer)
    scene.drawNow()
  }
  const again = () => {
    const shown = scene.shown()
    scene.onPaper(true)
    return () => {
      scene.onPaper(false)
      if (shown) scene.pose(shown.pose, shown.layer)
    }
  }
  return {
    still(take) {
      const back = again()
      take(draw, canvas)
      back()
    },
    async moving(take) {
      pause()
      const back = again()
      try {
        return await take(draw, canvas)
      } finally {
        back()
      }
    },
  }
}

/** "nail turns against the clock, 63° of 112°, a third of a turn". A right hand turns it against the clock. */
function turning(turned: number, whole: number, ground: string, left: boolean): string {
  const deg = (rad: number) => `${Math.round((Math.abs(rad) * 180) / Math.PI)}°`
  const way = left ? 'with the clock' : 'against the clock'
  return `${ground} turns ${way}: ${deg(turned)} of ${deg(whole)}, ${turnWords((whole * 180) / Math.PI, ground).replace(` of the ${ground}`, '')}`
}
