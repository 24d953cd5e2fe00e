import { useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { IconGripVertical } from '@tabler/icons-react'
import type { ReactNode } from 'react'
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

/** One layer in the list: taken by its grip it is dragged, pressed it opens, muted it is left out of the picture. */
export function LayerRow(props: {
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
}) {
  const { flower, layer, tip, measure, density, editable, open, muted } = props
  const weight = useWeight()
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition } = useSortable({
    id: layer.id,
    disabled: !editable,
  })
  const hex = flower.roles.find((r) => r.id === loadRoles(layer.load).at(-1))?.hex ?? UNKNOWN_HEX
  const strokes = measure?.strokes ?? layer.count
  return (
    <li
      ref={setNodeRef}
      className={css.layer}
      data-open={open}
      data-muted={muted}
      data-floret={layer.floretId !== null}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <div className={css.layerLine}>
        {editable && (
          <button
            type="button"
            ref={setActivatorNodeRef}
            className={css.grip}
            aria-label={`Move ${layer.name}`}
            {...attributes}
            {...listeners}
          >
            <IconGripVertical size={16} stroke={1.6} />
          </button>
        )}
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
