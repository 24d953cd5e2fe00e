import { Button, Group, Select } from '@mantine/core'
import { useState } from 'react'
import { ciede2000 } from '#core/colour/ciede2000'
import { hexToLab } from '#core/colour/lab'
import { type ExtraKind, extraKinds, extraLayer } from '#core/flowers/extras'
import { flowerForOrder } from '#core/flowers/forOrder'
import { fitFlower } from '#core/flowers/resolve'
import { type Flower, layerSchema } from '#core/model/flower'
import type { AddedLayer, PlacedFlower } from '#core/model/order'
import { shortOpening } from '#core/tips/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { newId } from '../../../parts/newId.ts'
import css from './Pieces.module.css'

/** Loose stamens, pips, dots and centres that this order adds to a flower, each with its colour and number. */
export function AddedLayers(props: {
  recipe: Flower
  placed: PlacedFlower
  onChange: (added: (now: PlacedFlower['added']) => PlacedFlower['added']) => void
}) {
  const { recipe, placed, onChange } = props
  const { order, workshop } = useOrderEditor()
  const [refused, setRefused] = useState<string | null>(null)
  const add = (kind: ExtraKind) => {
    const { flower } = flowerForOrder(recipe, placed)
    const layer = extraLayer(kind, fitFlower(flower, placed, workshop.tips), workshop.tips, newId())
    const colour = nearest(order.colours, kind.hex)
    setRefused(layer ? null : `The drawer has no small round tip for ${kind.label.toLowerCase()}.`)
    if (layer && colour) onChange((now) => [...now, { layer, colourId: colour.id }])
  }
  const set = (id: string, part: (now: AddedLayer) => AddedLayer) =>
    onChange((now) => now.map((a) => (a.layer.id === id ? part(a) : a)))
  return (
    <>
      <h3 className={css.ownHead}>Added</h3>
      {placed.added.map(({ layer, colourId }) => (
        <Group key={layer.id} align="flex-end" gap="sm" mb="xs">
          <span className={css.addedName}>
            {layer.name}
            <br />
            <span className="quiet">
              {shortOpeningOf(workshop.tips, placed.tips[layer.id] ?? layer.tipId)}, {layer.stiffness}
            </span>
          </span>
          <NumberField
            label="How many"
            width={110}
            value={layer.count}
            schema={layerSchema.shape.count}
            onChange={(count) => set(layer.id, (a) => ({ ...a, layer: { ...a.layer, count } }))}
          />
          <Select
            label="Colour"
            w={170}
            value={colourId}
            data={order.colours.map((c) => ({ value: c.id, label: c.name }))}
            onChange={(id) => id && set(layer.id, (a) => ({ ...a, colourId: id }))}
          />
          <Button onClick={() => onChange((now) => now.filter((a) => a.layer.id !== layer.id))}>
            Take off
          </Button>
        </Group>
      ))}
      <Group gap="xs">
        {extraKinds.map((kind) => (
          <Button key={kind.id} disabled={order.colours.length === 0} onClick={() => add(kind)}>
            {kind.label}
          </Button>
        ))}
      </Group>
      {order.colours.length === 0 && <p className="quiet">The order needs a colour first.</p>}
      {refused && <p role="alert">{refused}</p>}
    </>
  )
}

const shortOpeningOf = (
  tips: readonly { id: string; opening: Parameters<typeof shortOpening>[0] }[],
  id: string,
) => {
  const tip = tips.find((t) => t.id === id)
  return tip ? shortOpening(tip.opening) : id
}

function nearest<T extends { hex: string }>(colours: readonly T[], hex: string): T | undefined {
  const wanted = hexToLab(hex)
  return [...colours].sort(
    (a, b) => ciede2000(hexToLab(a.hex), wanted) - ciede2000(hexToLab(b.hex), wanted),
  )[0]
}
