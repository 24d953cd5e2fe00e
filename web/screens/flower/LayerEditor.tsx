import { Select, Switch } from '@mantine/core'
import { stiffnesses } from '#core/common'
import { changeLayer, startingLayer } from '#core/flowers/edit'
import { type LoadKind, loadOfKind, loads } from '#core/loads/index'
import { type Layer, layerSchema } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { type StrokeKind, strokeDefinition, strokes } from '#core/strokes/index'
import { describeOpening } from '#core/tips/index'
import { NumberField } from '../../parts/NumberField.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { LayerActs } from './LayerActs.tsx'
import { LoadColours } from './LoadColours.tsx'
import { PartOf } from './PartOf.tsx'
import { PlacesEditor } from './PlacesEditor.tsx'
import { StrokeFigures } from './StrokeFigures.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

const shape = layerSchema.shape

/** Everything about one layer: what a hand would try is slid, what is known is typed. */
export function LayerEditor(props: {
  layer: Layer
  draft: FlowerDraft
  workshop: Workshop
  wideMm: number
  select: (id: string) => void
}) {
  const { layer, draft, workshop, wideMm, select } = props
  const { flower } = draft
  const definition = strokeDefinition(layer.stroke.kind)
  const change = (label: string, part: Partial<Layer> | ((now: Layer) => Partial<Layer>)) =>
    draft.edit(`${layer.id} ${label}`, (f) => {
      const now = f.layers.find((l) => l.id === layer.id) ?? layer
      return changeLayer(f, layer.id, typeof part === 'function' ? part(now) : part)
    })
  const changeStroke = (key: string, value: unknown) =>
    change(key, (now) => ({ stroke: { ...now.stroke, [key]: value } as Layer['stroke'] }))
  const roles = flower.roles.map((r) => ({ value: r.id, label: r.name }))
  const before = flower.layers.slice(0, flower.layers.indexOf(layer))
  const { load } = layer

  function takeStroke(kind: StrokeKind) {
    const like = startingLayer(workshop.flowers, kind, roles[0]!.value, layer.id)
    const fits = strokeDefinition(kind).families.includes(
      workshop.tips.find((t) => t.id === layer.tipId)?.opening.family ?? 'round',
    )
    change('stroke', { stroke: like.stroke, tipId: fits ? layer.tipId : like.tipId })
  }

  return (
    <div className={css.layerBody}>
      <div className={css.pair}>
        <TextField
          label="Name"
          value={layer.name}
          schema={shape.name}
          onChange={(name) => change('name', { name })}
        />
        <NumberField
          label="Strokes"
          value={layer.count}
          schema={shape.count}
          onChange={(count) => change('count', { count })}
        />
      </div>
      <div className={css.pair}>
        <Select
          label="Stroke"
          allowDeselect={false}
          value={layer.stroke.kind}
          onChange={(kind) => kind && kind !== layer.stroke.kind && takeStroke(kind as StrokeKind)}
          data={(Object.keys(strokes) as StrokeKind[]).map((value) => ({
            value,
            label: strokes[value].label,
          }))}
        />
        <Select
          label="Tip"
          allowDeselect={false}
          value={layer.tipId}
          onChange={(tipId) => tipId && change('tip', { tipId })}
          data={workshop.tips
            .filter((t) => definition.families.includes(t.opening.family))
            .map((t) => ({ value: t.id, label: describeOpening(t.opening) }))}
        />
      </div>
      <div className={css.pair}>
        <Select
          label="The bag holds"
          allowDeselect={false}
          value={load.kind}
          onChange={(kind) =>
            kind &&
            change('load', {
              load: loadOfKind(
                kind as LoadKind,
                load,
                flower.roles.map((r) => r.id),
              ),
            })
          }
          data={Object.entries(loads)
            .filter(([kind]) => kind === 'plain' || flower.roles.length > 1)
            .map(([value, l]) => ({ value, label: l.label }))}
        />
        <Select
          label="Stiffness"
          allowDeselect={false}
          value={layer.stiffness}
          onChange={(s) => s && change('stiffness', { stiffness: s as Layer['stiffness'] })}
          data={stiffnesses}
        />
      </div>
      <LoadColours load={load} roles={roles} onChange={(next) => change('load', { load: next })} />
      <StrokeFigures stroke={layer.stroke} change={changeStroke} />
      <PlacesEditor
        set={layer}
        carriers={before.filter((l) => l.floretId === layer.floretId)}
        wideMm={wideMm}
        shape={shape}
        change={(label, part) => change(label, part)}
      />
      <PartOf layer={layer} draft={draft} />
      {flower.setting === 'nail' && flower.layers[0]?.id !== layer.id && (
        <Switch
          label="May wait: the layers before it can be piped over a batch of squares first"
          checked={layer.mayWait}
          onChange={(e) => change('may wait', { mayWait: e.currentTarget.checked })}
        />
      )}
      <LayerActs layer={layer} draft={draft} select={select} />
    </div>
  )
}
