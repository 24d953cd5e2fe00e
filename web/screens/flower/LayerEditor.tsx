import { Button, Select, Slider } from '@mantine/core'
import { changeLayer, insertLayer, moveLayer, removeLayer } from '#core/flowers/edit'
import { stiffnesses } from '#core/model/common'
import { type Layer, layerSchema } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { strokeFields } from '#core/strokes/fields'
import { strokeDefinition } from '#core/strokes/index'
import { describeOpening } from '#core/tips/index'
import { NumberField } from '../../parts/NumberField.tsx'
import { newId } from '../../parts/newId.ts'
import { TextField } from '../../parts/TextField.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

const shape = layerSchema.shape

/** Where a layer stands, in the ranges a hand would try. */
const placing = [
  { key: 'ringMm', words: 'ring', unit: 'mm', min: 0, max: 40, step: 0.1 },
  { key: 'heightMm', words: 'starts at', unit: 'mm', min: -5, max: 30, step: 0.1 },
  { key: 'startDeg', words: 'turned by', unit: '°', min: -180, max: 360, step: 1 },
] as const

/** Everything about one layer, as sliders where a hand would try and see. */
export function LayerEditor(props: { layer: Layer; draft: FlowerDraft; workshop: Workshop }) {
  const { layer, draft, workshop } = props
  const { flower } = draft
  const definition = strokeDefinition(layer.stroke.kind)
  const change = (label: string, part: Partial<Layer>) =>
    draft.edit(`${layer.id} ${label}`, (f) => changeLayer(f, layer.id, part))
  const roles = flower.roles.map((r) => ({ value: r.id, label: r.name }))
  const stroke = layer.stroke as unknown as Record<string, number>
  const { load } = layer

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
      <Select
        label="Tip"
        value={layer.tipId}
        onChange={(tipId) => tipId && change('tip', { tipId })}
        data={workshop.tips
          .filter((t) => definition.families.includes(t.opening.family))
          .map((t) => ({ value: t.id, label: describeOpening(t.opening) }))}
      />
      <div className={css.pair}>
        <Select
          label={load.kind === 'striped' ? 'Wide end' : 'Colour'}
          value={load.kind === 'striped' ? load.wideEnd : load.role}
          onChange={(id) =>
            id &&
            change('load', {
              load: load.kind === 'striped' ? { ...load, wideEnd: id } : { kind: 'plain', role: id },
            })
          }
          data={roles}
        />
        {load.kind === 'striped' ? (
          <Select
            label="The rest"
            value={load.rest}
            onChange={(id) => id && change('load', { load: { ...load, rest: id } })}
            data={roles}
          />
        ) : (
          <Select
            label="Stiffness"
            value={layer.stiffness}
            onChange={(s) => s && change('stiffness', { stiffness: s as Layer['stiffness'] })}
            data={stiffnesses}
          />
        )}
      </div>
      {load.kind === 'striped' && (
        <Figure
          words="stripe"
          unit=""
          value={load.border}
          min={0.05}
          max={0.95}
          step={0.01}
          onChange={(border) => change('border', { load: { ...load, border } })}
        />
      )}
      {placing.map(({ key, ...figure }) => (
        <Figure
          key={key}
          {...figure}
          value={layer[key]}
          onChange={(value) => change(key, { [key]: value })}
        />
      ))}
      {strokeFields(layer.stroke.kind).map((field) => (
        <Figure
          key={field.key}
          words={field.words}
          unit={field.unit}
          value={stroke[field.key] ?? 0}
          min={field.min}
          max={field.max}
          step={field.step}
          onChange={(value) =>
            change(field.key, { stroke: { ...layer.stroke, [field.key]: value } as Layer['stroke'] })
          }
        />
      ))}
      <div className={css.buttons}>
        {load.kind === 'striped' ? (
          <>
            <Button
              size="compact-sm"
              onClick={() => change('load', { load: { ...load, wideEnd: load.rest, rest: load.wideEnd } })}
            >
              Turn the tip round
            </Button>
            <Button
              size="compact-sm"
              onClick={() => change('load', { load: { kind: 'plain', role: load.rest } })}
            >
              One colour
            </Button>
          </>
        ) : (
          flower.roles.length > 1 && (
            <Button
              size="compact-sm"
              onClick={() =>
                change('load', {
                  load: {
                    kind: 'striped',
                    wideEnd: flower.roles.find((r) => r.id !== load.role)!.id,
                    rest: load.role,
                    border: 0.36,
                  },
                })
              }
            >
              Stripe the bag
            </Button>
          )
        )}
        <Button
          size="compact-sm"
          onClick={() => {
            const id = newId()
            draft.edit(`repeat ${id}`, (f) => insertLayer(f, { ...layer, id }, layer.id))
          }}
        >
          Repeat
        </Button>
        <Button
          size="compact-sm"
          onClick={() => draft.edit(`move ${Date.now()}`, (f) => moveLayer(f, layer.id, -1))}
        >
          Earlier
        </Button>
        <Button
          size="compact-sm"
          onClick={() => draft.edit(`move ${Date.now()}`, (f) => moveLayer(f, layer.id, 1))}
        >
          Later
        </Button>
        <Button
          size="compact-sm"
          disabled={flower.layers.length === 1}
          onClick={() => draft.edit('remove a layer', (f) => removeLayer(f, layer.id))}
        >
          Remove
        </Button>
      </div>
    </div>
  )
}

function Figure(props: {
  words: string
  unit: string
  value: number
  min: number
  max: number
  step: number
  onChange: (value: number) => void
}) {
  const { words, unit, value, min, max, step, onChange } = props
  const shown = Math.round(value * 100) / 100
  return (
    <div className={css.slider}>
      <span>{words}</span>
      <Slider
        thumbLabel={words}
        color="ink"
        size="sm"
        label={null}
        // a recipe may go beyond what the slider shows; it is not pulled back
        min={Math.min(min, value)}
        max={Math.max(max, value)}
        step={step}
        value={value}
        onChange={onChange}
      />
      <output>
        {shown}
        {unit && (unit === '°' ? '°' : ` ${unit}`)}
      </output>
    </div>
  )
}
