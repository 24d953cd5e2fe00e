import { Button, Select } from '@mantine/core'
import type { z } from 'zod'
import { changeStep, moveStep, removeStep, repeatStep } from '#core/flowers/tooling'
import type { Layer } from '#core/model/flower'
import { MOST_STEPS, stepKey, type ToolStep, toolStepSchema } from '#core/model/toolStep'
import { toolFields } from '#core/tools/fields'
import { toolDefinition } from '#core/tools/index'
import { type Instrument, instruments, type When, whens } from '#core/tools/tool'
import { counted } from '#core/units'
import { HexInput } from '../../parts/HexInput.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { newId } from '../../parts/newId.ts'
import { TextField } from '../../parts/TextField.tsx'
import { Figure } from './Figure.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

const shape = toolStepSchema.shape

/** Everything about one tool step: with what, when, how far, and how long it takes. */
export function ToolEditor(props: {
  layer: Layer
  step: ToolStep
  draft: FlowerDraft
  strokes: number
  select: (id: string) => void
}) {
  const { layer, step, draft, strokes, select } = props
  const definition = toolDefinition(step.work.kind)
  const change = (label: string, part: Partial<ToolStep>) =>
    draft.edit(`${step.id} ${label}`, (f) => changeStep(f, layer.id, step.id, part))
  const work = step.work as unknown as Record<string, number>
  const workShape = definition.schema.shape as unknown as Record<string, z.ZodType<number>>
  return (
    <div className={css.layerBody}>
      <div className={css.pair}>
        <TextField
          label="Name"
          value={step.name}
          schema={shape.name}
          onChange={(name) => change('name', { name })}
        />
        <NumberField
          label="Seconds a stroke"
          value={step.secondsEach}
          schema={shape.secondsEach}
          decimals={1}
          onChange={(secondsEach) => change('seconds', { secondsEach })}
        />
      </div>
      <div className={css.pair}>
        <Select
          label="With"
          allowDeselect={false}
          value={step.instrument}
          data={definition.instruments.map((value) => ({ value, label: instruments[value] }))}
          onChange={(instrument) => instrument && change('tool', { instrument: instrument as Instrument })}
        />
        <Select
          label="When"
          allowDeselect={false}
          value={step.when}
          data={definition.when.map((value) => ({ value, label: whens[value] }))}
          onChange={(when) => when && change('when', { when: when as When })}
        />
      </div>
      {step.paint && (
        <div className={css.pair}>
          <TextField
            label="Food colour"
            value={step.paint.name}
            schema={shape.name}
            onChange={(name) => change('paint name', { paint: { ...step.paint!, name } })}
          />
          <HexInput
            label="Looks like"
            value={step.paint.hex}
            onChange={(hex) => change('paint', { paint: { ...step.paint!, hex } })}
          />
        </div>
      )}
      {toolFields(step.work.kind).map(({ key, ...field }) => (
        <Figure
          key={key}
          {...field}
          value={work[key] ?? 0}
          schema={workShape[key]!}
          onChange={(value) => change(key, { work: { ...step.work, [key]: value } as ToolStep['work'] })}
        />
      ))}
      <p className="quiet">
        {definition.words.how} {definition.words.goesWrong}
      </p>
      <p className="quiet">
        {counted(strokes, 'stroke')}: {Math.round(step.secondsEach * strokes)} s a flower.
        {step.paint && ' Only colours that are sold for food.'}
      </p>
      <div className={css.buttons}>
        <Button
          size="compact-sm"
          disabled={layer.tools.length >= MOST_STEPS}
          onClick={() => {
            const id = newId()
            draft.edit(`repeat ${id}`, (f) => repeatStep(f, layer.id, step.id, id))
            select(stepKey(layer, { id }))
          }}
        >
          Duplicate
        </Button>
        <Button
          size="compact-sm"
          disabled={layer.tools[0]?.id === step.id}
          onClick={() => draft.edit(`move ${Date.now()}`, (f) => moveStep(f, layer.id, step.id, -1))}
        >
          Earlier
        </Button>
        <Button
          size="compact-sm"
          disabled={layer.tools.at(-1)?.id === step.id}
          onClick={() => draft.edit(`move ${Date.now()}`, (f) => moveStep(f, layer.id, step.id, 1))}
        >
          Later
        </Button>
        <Button
          size="compact-sm"
          onClick={() => draft.edit(`remove ${step.id}`, (f) => removeStep(f, layer.id, step.id))}
        >
          Remove
        </Button>
      </div>
    </div>
  )
}
