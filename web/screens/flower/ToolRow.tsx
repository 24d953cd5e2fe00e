import { IconBrush, IconHandFinger, IconNeedle } from '@tabler/icons-react'
import type { ReactNode } from 'react'
import type { Layer } from '#core/model/flower'
import { stepKey, type ToolStep } from '#core/model/toolStep'
import { type Instrument, instruments, whens } from '#core/tools/tool'
import { Dab } from '../../parts/Swatch.tsx'
import { MuteButton } from './MuteButton.tsx'
import css from './Studio.module.css'

/** A tool step under the layer that it is done to: what, with what, and when; pressed it opens to be changed. */
export function ToolRow(props: {
  layer: Layer
  step: ToolStep
  editable: boolean
  strokes: number
  open: boolean
  muted: boolean
  select: (id: string) => void
  mute: () => void
  children: ReactNode
}) {
  const { layer, step, editable, strokes, open, muted, select, mute } = props
  const seconds = step.secondsEach * strokes
  const Icon = icons[step.instrument]
  return (
    <li className={css.layer} data-open={open} data-muted={muted} data-tool>
      <div className={css.layerLine}>
        <button
          type="button"
          className={css.layerHead}
          aria-expanded={editable ? open : undefined}
          onClick={() => select(stepKey(layer, step))}
        >
          {step.paint ? <Dab hex={step.paint.hex} size={22} /> : <Icon size={22} stroke={1.5} aria-hidden />}
          <strong>{step.name}</strong>
          <span className={css.amount}>{Math.round(seconds)} s</span>
          <span className="quiet">
            {instruments[step.instrument]}, {whens[step.when]}
          </span>
        </button>
        <MuteButton name={`${step.name} of ${layer.name}`} muted={muted} mute={mute} />
      </div>
      {props.children}
    </li>
  )
}

const icons: Record<Instrument, typeof IconBrush> = {
  dampBrush: IconBrush,
  dryBrush: IconBrush,
  paintBrush: IconBrush,
  scribe: IconNeedle,
  toothpick: IconNeedle,
  finger: IconHandFinger,
}
