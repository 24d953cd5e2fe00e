import type { CSSProperties, ReactNode, Ref } from 'react'
import type { LayerMeasure } from '#core/flowers/measure'
import { loadRoles } from '#core/loads/index'
import type { Flower, Layer } from '#core/model/flower'
import type { Tip } from '#core/model/tip'
import { strokeDefinition } from '#core/strokes/index'
import { shortOpening } from '#core/tips/index'
import { Dab } from '../../parts/Swatch.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { MuteButton } from './MuteButton.tsx'
import css from './Studio.module.css'

export interface LayerRowProps {
  flower: Flower
  layer: Layer
  tip: Tip | undefined
  measure: LayerMeasure | undefined
  density: number
  editable: boolean
  open: boolean
  muted: boolean
  select: () => void
  mute: () => void
  children: ReactNode
  /** For a row that can be dragged: the row itself, where it is meanwhile, and what it is taken by. */
  row?: Ref<HTMLLIElement>
  style?: CSSProperties
  grip?: ReactNode
}

/** One layer in the list: pressed it opens, muted it is left out of the picture. */
export function LayerRow(props: LayerRowProps) {
  const { flower, layer, tip, measure, density, editable, open, muted } = props
  const weight = useWeight()
  const hex = flower.roles.find((r) => r.id === loadRoles(layer.load).at(-1))?.hex ?? UNKNOWN_HEX
  const strokes = measure?.strokes ?? layer.count
  return (
    <li
      ref={props.row}
      className={css.layer}
      data-open={open}
      data-muted={muted}
      data-floret={layer.floretId !== null}
      style={props.style}
    >
      <div className={css.layerLine}>
        {props.grip}
        <button
          type="button"
          className={css.layerHead}
          aria-expanded={editable ? open : undefined}
          aria-pressed={editable ? undefined : open}
          onClick={props.select}
        >
          <Dab hex={hex} size={22} />
          <strong>{layer.name}</strong>
          <span className={css.amount}>{measure ? weight((measure.volumeMm3 / 1000) * density) : ''}</span>
          <span className="quiet">
            {strokes} × {strokeDefinition(layer.stroke.kind).label},{' '}
            {tip ? shortOpening(tip.opening) : layer.tipId}
          </span>
        </button>
        <MuteButton name={layer.name} muted={muted} mute={props.mute} />
      </div>
      {props.children}
    </li>
  )
}

/** Shown where a layer names a part that is not there. */
const UNKNOWN_HEX = '#b9b9b9'
