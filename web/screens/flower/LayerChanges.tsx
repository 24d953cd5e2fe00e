import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { moveLayerTo } from '#core/flowers/edit'
import { useDragSensors } from '../../parts/dragging.ts'
import { tell } from '../../parts/notify.tsx'
import { AddMenu } from './AddMenu.tsx'
import { FloretEditor } from './FloretEditor.tsx'
import { LayerEditor } from './LayerEditor.tsx'
import { LayerList, type LayerListProps } from './LayerList.tsx'
import { MovableRow } from './MovableRow.tsx'
import { ToolEditor } from './ToolEditor.tsx'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** How wide a flower is taken to be until it is measured, mm. */
const WIDE_MM = 30

/** The layers of a flower of our own: dragged, added to, and the chosen one changed. */
export function LayerChanges({ draft, ...shown }: LayerListProps & { draft: FlowerDraft }) {
  const { flower, workshop, picture, selected, select } = shown
  const sensors = useDragSensors()
  const editing = { draft, workshop, select, wideMm: picture?.measure.diameterMm ?? WIDE_MM }

  function drop({ active, over }: DragEndEvent) {
    if (!over || active.id === over.id) return
    const to = flower.layers.findIndex((l) => l.id === over.id)
    if (moveLayerTo(flower, String(active.id), to) === flower)
      tell('It stays: what is set on another layer is piped after it.')
    else draft.edit(`drag ${Date.now()}`, (f) => moveLayerTo(f, String(active.id), to))
  }

  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={flower.layers.map((l) => l.id)} strategy={verticalListSortingStrategy}>
        <LayerList
          {...shown}
          changing={{
            actions: <AddMenu {...{ draft, workshop, picture, selected, select }} />,
            Row: MovableRow,
            layer: (layer) => <LayerEditor layer={layer} {...editing} />,
            floret: (floret) => <FloretEditor floret={floret} {...editing} />,
            tool: (layer, step, strokes) => <ToolEditor {...{ layer, step, strokes, draft, select }} />,
          }}
        />
      </SortableContext>
    </DndContext>
  )
}
