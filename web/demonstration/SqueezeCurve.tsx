import { Slider } from '@mantine/core'
import { useMemo } from 'react'
import type { ShownStroke } from '#core/demonstration/show'
import { steppedTo } from '#core/demonstration/stops'
import { squeezeAt } from '#core/demonstration/timing'
import { phaseWords } from './phaseWords.ts'
import css from './Watch.module.css'

const WIDE = 1000
const HIGH = 100
const SAMPLES = 160
/** Narrower than this share, a phase has no room for its word. */
const ROOM_FOR_WORD = 0.045
const FINE_S = 0.01

/** How hard one stroke is squeezed, what the hand does meanwhile, and where it is now; dragged to go elsewhere. */
export function SqueezeCurve(props: {
  stroke: ShownStroke
  flow: number
  /** Seconds into the stroke. */
  second: number
  seek: (second: number) => void
}) {
  const { stroke, flow, second, seek } = props
  const { timing, moments } = stroke
  const from = timing.begins.touch
  const whole = timing.seconds - from
  const line = useMemo(() => {
    const points = Array.from({ length: SAMPLES + 1 }, (_, i) => {
      const squeeze = squeezeAt(timing, moments, flow, from + (whole * i) / SAMPLES)
      return `${((i / SAMPLES) * WIDE).toFixed(1)},${((1 - squeeze) * HIGH).toFixed(1)}`
    })
    return points.join(' L')
  }, [timing, moments, flow, from, whole])
  const now = Math.max(0, second - from)
  const letGo = ((timing.letGo - from) / whole) * 100
  return (
    <div className={css.curve}>
      <div className={css.graph}>
        <svg viewBox={`0 0 ${WIDE} ${HIGH}`} preserveAspectRatio="none" aria-hidden="true">
          <path d={`M${line} L${WIDE},${HIGH} L0,${HIGH} Z`} className={css.area} />
          <path d={`M${line}`} className={css.line} vectorEffect="non-scaling-stroke" />
        </svg>
        <span className={css.letGo} style={{ left: `${letGo}%` }}>
          let go
        </span>
        <span className={css.head} style={{ left: `${(now / whole) * 100}%` }} />
      </div>
      <div className={css.phases}>
        {steppedTo.map((phase, i) => {
          const begins = timing.begins[phase]
          const next = steppedTo[i + 1]
          const share = ((next ? timing.begins[next] : timing.seconds) - begins) / whole
          const on = second >= begins && (!next || second < timing.begins[next])
          return (
            <span
              key={phase}
              data-on={on || undefined}
              style={{ flexGrow: Math.max(0, share) }}
              title={phaseWords[phase].long}
            >
              {share > ROOM_FOR_WORD ? phaseWords[phase].short : ''}
            </span>
          )
        })}
      </div>
      <Slider
        thumbLabel="Time in this stroke"
        className={css.slider}
        min={0}
        max={Math.round(whole / FINE_S) * FINE_S}
        step={FINE_S}
        value={Number(now.toFixed(3))}
        label={null}
        // arrows go on to the next stop elsewhere
        onKeyDown={(e) => e.stopPropagation()}
        onChange={(v) => seek(from + v)}
        size="sm"
        thumbSize={26}
      />
    </div>
  )
}
