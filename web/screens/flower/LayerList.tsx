import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { Fragment } from 'react'
import { moveLayerTo } from '#core/flowers/edit'
import { strokesOf } from '#core/model/placeFaults'
import { stepKey } from '#core/model/toolStep'
import type { Workshop } from '#core/model/workshop'
import { Card } from '../../parts/Card.tsx'
import { useDragSensors } from '../../parts/dragging.ts'
import { tell } from '../../parts/notify.tsx'
import type { Picture } from '../../workers/planner.worker.ts'
import { AddMenu } from './AddMenu.tsx'
import { FloretRow } from './FloretRow.tsx'
import { LayerEditor } from './LayerEditor.tsx'
import { LayerRow } from './LayerRow.tsx'
import css from './Studio.module.css'
import { ToolRow } from './ToolRow.tsx'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** The layers, first to last, with the florets that some are part of; the chosen one opens to be changed. */
export function LayerList(props: {
  draft: FlowerDraft
  workshop: Workshop
  picture: Picture | undefined
  density: number
  selected: string | null
  select: (id: string) => void
  muted: ReadonlySet<string>
  mute: (id: string) => void
}) {
  const { draft, workshop, picture, density, selected, select, muted, mute } = props
  const { flower, editable } = draft
  const sensors = useDragSensors()
  const wideMm = picture?.measure.diameterMm ?? 30

  /** All of them, or none where all are muted already. */
  const muteAll = (ids: readonly string[]) => {
    const all = ids.every((id) => muted.has(id))
    for (const id of ids) if (all || !muted.has(id)) mute(id)
  }

  function drop({ active, over }: DragEndEvent) {
    if (!over || active.id === over.id) return
    const to = flower.layers.findIndex((l) => l.id === over.id)
    if (moveLayerTo(flower, String(active.id), to) === flower)
      tell('It stays: what is set on another layer is piped after it.')
    else draft.edit(`drag ${Date.now()}`, (f) => moveLayerTo(f, String(active.id), to))
  }

  return (
    <Card
      title="Layers"
      aside={editable ? 'in the order they are piped' : 'copy the flower to change them'}
      actions={
        editable && (
          <AddMenu draft={draft} workshop={workshop} picture={picture} selected={selected} select={select} />
        )
      }
    >
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={flower.layers.map((l) => l.id)} strategy={verticalListSortingStrategy}>
          <ul className={css.layers}>
            {flower.layers.map((layer, i) => {
              const floret = flower.florets.find((f) => f.id === layer.floretId)
              const begins = floret && flower.layers.findIndex((l) => l.floretId === floret.id) === i
              const open = layer.id === selected
              const ofFloret = flower.layers.filter((l) => l.floretId === floret?.id).map((l) => l.id)
              return (
                <Fragment key={layer.id}>
                  {begins && (
                    <FloretRow
                      {...{ floret, ofFloret, draft, workshop, wideMm, selected, select, muted }}
                      muteAll={muteAll}
                    />
                  )}
                  <LayerRow
                    flower={flower}
                    layer={layer}
                    tip={workshop.tips.find((t) => t.id === layer.tipId)}
                    measure={picture?.measure.layers.find((m) => m.layerId === layer.id)}
                    density={density}
                    editable={editable}
                    open={open}
                    muted={muted.has(layer.id)}
                    select={() => select(layer.id)}
                    mute={() => mute(layer.id)}
                  >
                    {open && editable && (
                      <LayerEditor
                        layer={layer}
                        draft={draft}
                        workshop={workshop}
                        wideMm={wideMm}
                        select={select}
                      />
                    )}
                  </LayerRow>
                  {layer.tools.map((step) => (
                    <ToolRow
                      key={stepKey(layer, step)}
                      layer={layer}
                      step={step}
                      draft={draft}
                      strokes={strokesOf(flower, layer.id)}
                      open={stepKey(layer, step) === selected}
                      muted={muted.has(stepKey(layer, step)) || muted.has(layer.id)}
                      select={select}
                      mute={() => mute(stepKey(layer, step))}
                    />
                  ))}
                </Fragment>
              )
            })}
          </ul>
        </SortableContext>
      </DndContext>
    </Card>
  )
}
