import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { Button } from '@mantine/core'
import { lazy, Suspense } from 'react'
import { moveLayerTo } from '#core/flowers/edit'
import { useDragSensors } from '../../parts/dragging.ts'
import { LaterMenu } from '../../parts/LaterMenu.tsx'
import { tell } from '../../parts/notify.tsx'
import { LayerList, type LayerListProps } from './LayerList.tsx'
import { MovableRow } from './MovableRow.tsx'
import type { FlowerDraft } from './useFlowerDraft.ts'

// with the first layer that is opened, and the first press on Add
const AddMenu = lazy(async () => ({ default: (await import('./AddMenu.tsx')).AddMenu }))
const LayerEditor = lazy(async () => ({ default: (await import('./LayerEditor.tsx')).LayerEditor }))
const FloretEditor = lazy(async () => ({ default: (await import('./FloretEditor.tsx')).FloretEditor }))
const ToolEditor = lazy(async () => ({ default: (await import('./ToolEditor.tsx')).ToolEditor }))

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
            actions: (
              <LaterMenu button={<Button>Add</Button>}>
                <AddMenu {...{ draft, workshop, picture, selected, select }} />
              </LaterMenu>
            ),
            Row: MovableRow,
            layer: (layer) => (
              <Suspense>
                <LayerEditor layer={layer} {...editing} />
              </Suspense>
            ),
            floret: (floret) => (
              <Suspense>
                <FloretEditor floret={floret} {...editing} />
              </Suspense>
            ),
            tool: (layer, step, strokes) => (
              <Suspense>
                <ToolEditor {...{ layer, step, strokes, draft, select }} />
              </Suspense>
            ),
          }}
        />
      </SortableContext>
    </DndContext>
  )
}
