import { useHotkeys } from '@mantine/hooks'
import { type ReactNode, useEffect, useMemo, useState } from 'react'
import { poseAt } from '#core/demonstration/pose'
import { spanOf, stopNear, stopsOf } from '#core/demonstration/stops'
import { turnWords } from '#core/demonstration/turnWords'
import { Dial } from './Dial.tsx'
import { type Filmed, filmedBy } from './filmed.ts'
import { phaseWords } from './phaseWords.ts'
import { SqueezeCurve } from './SqueezeCurve.tsx'
import { Stage } from './Stage.tsx'
import { Transport } from './Transport.tsx'
import { usePlayer } from './usePlayer.ts'
import type { Piped } from './useShow.ts'
import css from './Watch.module.css'

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
        <Transport
          {...{ player, show, pose, layer, nth, before, after, left, setLeft }}
          of={siblings.length}
          actions={props.actions}
        />
      </div>
    </div>
  )
}

/** "nail turns against the clock, 63° of 112°, a third of a turn". A right hand turns it against the clock. */
function turning(turned: number, whole: number, ground: string, left: boolean): string {
  const deg = (rad: number) => `${Math.round((Math.abs(rad) * 180) / Math.PI)}°`
  const way = left ? 'with the clock' : 'against the clock'
  return `${ground} turns ${way}: ${deg(turned)} of ${deg(whole)}, ${turnWords((whole * 180) / Math.PI, ground).replace(` of the ${ground}`, '')}`
}
