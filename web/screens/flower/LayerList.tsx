import { Button, Menu } from '@mantine/core'
import { insertLayer, startingLayer } from '#core/flowers/edit'
import { loadRoles } from '#core/loads/index'
import type { Layer } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { type StrokeKind, strokeDefinition, strokes } from '#core/strokes/index'
import { shortOpening } from '#core/tips/index'
import { Card } from '../../parts/Card.tsx'
import { newId } from '../../parts/newId.ts'
import { Dab } from '../../parts/Swatch.tsx'
import { useWeight } from '../../parts/weight.tsx'
import type { Picture } from '../../workers/planner.worker.ts'
import { LayerEditor } from './LayerEditor.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** The layers, first to last; the chosen one opens to be changed. */
export function LayerList(props: {
  draft: FlowerDraft
  workshop: Workshop
  picture: Picture | undefined
  density: number
  selected: string | null
  select: (id: string) => void
}) {
  const { draft, workshop, picture, density, selected, select } = props
  const { flower, editable } = draft
  const weight = useWeight()
  const hexOf = (layer: Layer) =>
    flower.roles.find((r) => r.id === loadRoles(layer.load).at(-1))?.hex ?? '#b9b9b9'

  function add(kind: StrokeKind) {
    const id = newId()
    const layer = { ...startingLayer(kind, flower.roles[0]!.id, id), name: strokes[kind].label }
    draft.edit(`add ${id}`, (f) => insertLayer(f, layer, selected ?? f.layers.at(-1)!.id))
    select(id)
  }

  return (
    <Card
      title="Layers"
      aside={editable ? undefined : 'copy the flower to change them'}
      actions={
        editable && (
          <Menu position="bottom-end">
            <Menu.Target>
              <Button>Add</Button>
            </Menu.Target>
            <Menu.Dropdown mah={380} style={{ overflowY: 'auto' }}>
              {(Object.keys(strokes) as StrokeKind[]).map((kind) => (
                <Menu.Item key={kind} onClick={() => add(kind)}>
                  {strokes[kind].label}
                </Menu.Item>
              ))}
            </Menu.Dropdown>
          </Menu>
        )
      }
    >
      <ul className={css.layers}>
        {flower.layers.map((layer) => {
          const measure = picture?.measure.layers.find((m) => m.layerId === layer.id)
          const tip = workshop.tips.find((t) => t.id === layer.tipId)
          const open = layer.id === selected
          return (
            <li key={layer.id} className={css.layer} data-open={open}>
              <button
                type="button"
                className={css.layerHead}
                aria-expanded={editable ? open : undefined}
                aria-pressed={editable ? undefined : open}
                onClick={() => select(layer.id)}
              >
                <Dab hex={hexOf(layer)} size={22} />
                <strong>{layer.name}</strong>
                <span className={css.amount}>
                  {measure ? weight((measure.volumeMm3 / 1000) * density) : ''}
                </span>
                <span className="quiet">
                  {layer.count} × {strokeDefinition(layer.stroke.kind).label},{' '}
                  {tip ? shortOpening(tip.opening) : layer.tipId}
                </span>
              </button>
              {open && editable && <LayerEditor layer={layer} draft={draft} workshop={workshop} />}
            </li>
          )
        })}
      </ul>
    </Card>
  )
}
