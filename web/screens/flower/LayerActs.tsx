import { Button } from '@mantine/core'
import { duplicateLayer, moveLayer, removeLayer } from '#core/flowers/edit'
import type { Layer } from '#core/model/flower'
import { newId } from '../../parts/newId.ts'
import { tell } from '../../parts/notify.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** What is done to a layer as a whole. */
export function LayerActs(props: { layer: Layer; draft: FlowerDraft; select: (id: string) => void }) {
  const { layer, draft, select } = props
  const { flower } = draft
  function move(by: number) {
    const moved = moveLayer(flower, layer.id, by)
    if (moved === flower) tell('It stays: what is set on another layer is piped after it.')
    else draft.edit(`move ${Date.now()}`, (f) => moveLayer(f, layer.id, by))
  }
  return (
    <div className={css.buttons}>
      <Button
        size="compact-sm"
        onClick={() => {
          const id = newId()
          draft.edit(`repeat ${id}`, (f) => duplicateLayer(f, layer.id, id))
          select(id)
        }}
      >
        Duplicate
      </Button>
      <Button size="compact-sm" onClick={() => move(-1)}>
        Earlier
      </Button>
      <Button size="compact-sm" onClick={() => move(1)}>
        Later
      </Button>
      <Button
        size="compact-sm"
        disabled={flower.layers.length === 1}
        onClick={() => draft.edit(`remove ${layer.id}`, (f) => removeLayer(f, layer.id))}
      >
        Remove
      </Button>
    </div>
  )
}
