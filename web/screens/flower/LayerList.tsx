import { type ComponentType, Fragment, type ReactNode } from 'react'
import type { Flower, Layer } from '#core/model/flower'
import { strokesOf } from '#core/model/placeFaults'
import { stepKey, type ToolStep } from '#core/model/toolStep'
import type { Workshop } from '#core/model/workshop'
import { Card } from '../../parts/Card.tsx'
import type { Picture } from '../../workers/flowers.worker.ts'
import { FloretRow } from './FloretRow.tsx'
import { LayerRow, type LayerRowProps } from './LayerRow.tsx'
import css from './Studio.module.css'
import { ToolRow } from './ToolRow.tsx'

export interface LayerListProps {
  flower: Flower
  workshop: Workshop
  picture: Picture | undefined
  density: number
  selected: string | null
  select: (id: string) => void
  muted: ReadonlySet<string>
  mute: (id: string) => void
}

/** What a list of layers that can be changed has beside what it shows. */
export interface Changing {
  /** Adds a layer. */
  actions: ReactNode
  Row: ComponentType<LayerRowProps>
  /** What opens under what is chosen. */
  layer: (layer: Layer) => ReactNode
  floret: (floret: Flower['florets'][number]) => ReactNode
  tool: (layer: Layer, step: ToolStep, strokes: number) => ReactNode
}

/** The layers, first to last, with the florets that some are part of and what is done to each with tools. */
export function LayerList({ changing, ...props }: LayerListProps & { changing?: Changing }) {
  const { flower, workshop, picture, density, selected, select, muted, mute } = props
  const Row = changing?.Row ?? LayerRow

  /** All of them, or none where all are muted already. */
  const muteAll = (ids: readonly string[]) => {
    const all = ids.every((id) => muted.has(id))
    for (const id of ids) if (all || !muted.has(id)) mute(id)
  }

  return (
    <Card
      title="Layers"
      aside={changing ? 'in the order they are piped' : 'copy the flower to change them'}
      actions={changing?.actions}
    >
      <ul className={css.layers}>
        {flower.layers.map((layer, i) => {
          const floret = flower.florets.find((f) => f.id === layer.floretId)
          const begins = floret && flower.layers.findIndex((l) => l.floretId === floret.id) === i
          const open = layer.id === selected
          const ofFloret = flower.layers.filter((l) => l.floretId === floret?.id).map((l) => l.id)
          return (
            <Fragment key={layer.id}>
              {begins && (
                <FloretRow {...{ floret, ofFloret, selected, select, muted, muteAll }}>
                  {floret.id === selected && changing?.floret(floret)}
                </FloretRow>
              )}
              <Row
                flower={flower}
                layer={layer}
                tip={workshop.tips.find((t) => t.id === layer.tipId)}
                measure={picture?.measure.layers.find((m) => m.layerId === layer.id)}
                density={density}
                editable={changing !== undefined}
                open={open}
                muted={muted.has(layer.id)}
                select={() => select(layer.id)}
                mute={() => mute(layer.id)}
              >
                {open && changing?.layer(layer)}
              </Row>
              {layer.tools.map((step) => {
                const key = stepKey(layer, step)
                const strokes = strokesOf(flower, layer.id)
                return (
                  <ToolRow
                    key={key}
                    layer={layer}
                    step={step}
                    editable={changing !== undefined}
                    strokes={strokes}
                    open={key === selected}
                    muted={muted.has(key) || muted.has(layer.id)}
                    select={select}
                    mute={() => mute(key)}
                  >
                    {key === selected && changing?.tool(layer, step, strokes)}
                  </ToolRow>
                )
              })}
            </Fragment>
          )
        })}
      </ul>
    </Card>
  )
}
