import { useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { IconGripVertical } from '@tabler/icons-react'
import { LayerRow, type LayerRowProps } from './LayerRow.tsx'
import css from './Studio.module.css'

/** A layer in the list that is dragged by its grip. */
export function MovableRow(props: LayerRowProps) {
  const { layer } = props
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition } = useSortable({
    id: layer.id,
  })
  return (
    <LayerRow
      {...props}
      row={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      grip={
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
      }
    />
  )
}
