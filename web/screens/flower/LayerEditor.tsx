import { Button, Select, Slider, Switch } from '@mantine/core'
import { stiffnesses } from '#core/common'
import { changeLayer, insertLayer, moveLayer, removeLayer } from '#core/flowers/edit'
import { type LayerLoad, type LoadKind, loadDefinition, loadOfKind, loads } from '#core/loads/index'
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
  const change = (label: string, part: Partial<Layer> | ((now: Layer) => Partial<Layer>)) =>
    draft.edit(`${layer.id} ${label}`, (f) => {
      const now = f.layers.find((l) => l.id === layer.id) ?? layer
      return changeLayer(f, layer.id, typeof part === 'function' ? part(now) : part)
    })
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
          label="The bag holds"
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
          value={layer.stiffness}
          onChange={(s) => s && change('stiffness', { stiffness: s as Layer['stiffness'] })}
          data={stiffnesses}
        />
      </div>
      {flower.setting === 'nail' && flower.layers[0]?.id !== layer.id && (
        <Switch
          label="May wait: the layers before it can be piped over a batch of squares first"
          checked={layer.mayWait}
          onChange={(e) => change('may wait', { mayWait: e.currentTarget.checked })}
        />
      )}
      <LoadColours load={load} roles={roles} onChange={(next) => change('load', { load: next })} />
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
            change(field.key, (now) => ({
              stroke: { ...now.stroke, [field.key]: value } as Layer['stroke'],
            }))
          }
        />
      ))}
      <div className={css.buttons}>
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

const partNames: Record<string, string> = {
  role: 'Colour',
  wideEnd: 'Wide end',
  rest: 'The rest',
  inner: 'Inside',
  outer: 'Outside',
  first: 'Left behind',
  next: 'Filled next',
}

/** Which colour goes where in the bag; for two of them the tip, or the roll, can be turned round. */
function LoadColours(props: {
  load: LayerLoad
  roles: { value: string; label: string }[]
  onChange: (load: LayerLoad) => void
}) {
  const { load, roles, onChange } = props
  const named = loadDefinition(load.kind).roles(load)
  const set = (path: (string | number)[], role: string): LayerLoad =>
    load.kind === 'layered'
      ? { ...load, tones: load.tones.with(path[1] as number, role) }
      : ({ ...load, [path[0]!]: role } as LayerLoad)
  return (
    <>
      <div className={css.pair}>
        {named.map(({ path, role }) => (
          <Select
            key={path.join()}
            label={partNames[path[0]!] ?? ['Outermost', 'Next', 'Innermost'][path[1] as number]}
            value={role}
            onChange={(id) => id && onChange(set(path, id))}
            data={roles}
          />
        ))}
      </div>
      {'border' in load && (
        <Figure
          words="stripe"
          unit=""
          value={load.border}
          min={0.05}
          max={0.95}
          step={0.01}
          onChange={(border) => onChange({ ...load, border })}
        />
      )}
      {'share' in load && (
        <Figure
          words="left behind"
          unit=""
          value={load.share}
          min={0.02}
          max={0.5}
          step={0.01}
          onChange={(share) => onChange({ ...load, share })}
        />
      )}
      <div className={css.buttons}>
        {load.kind === 'striped' && (
          <Button
            size="compact-sm"
            onClick={() => onChange({ ...load, wideEnd: load.rest, rest: load.wideEnd })}
          >
            Turn the tip round
          </Button>
        )}
        {load.kind === 'halves' && (
          <Button
            size="compact-sm"
            onClick={() => onChange({ ...load, inner: load.outer, outer: load.inner })}
          >
            Turn the tip round
          </Button>
        )}
        {load.kind === 'layered' && load.tones.length < 3 && roles.length > 2 && (
          <Button
            size="compact-sm"
            onClick={() =>
              onChange({
                ...load,
                tones: [...load.tones, roles.find((r) => !load.tones.includes(r.value))!.value],
              })
            }
          >
            A third tone
          </Button>
        )}
      </div>
    </>
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
