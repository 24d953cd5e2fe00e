import { Button } from '@mantine/core'
import { useMemo } from 'react'
import { z } from 'zod'
import { changeFloret, floretWidth, removeFloret, resizeFloret } from '#core/flowers/florets'
import { type Floret, floretSchema } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { NumberField } from '../../parts/NumberField.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { Figure } from './Figure.tsx'
import { PlacesEditor } from './PlacesEditor.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

const shape = floretSchema.shape
/** Florets are small flowers, mm. */
const acrossSchema = z.number().min(3, 'At least 3 mm.').max(60, 'At most 60 mm.')

/** A whole small flower within the flower: how many, how wide, where they stand, and how much they differ. */
export function FloretEditor(props: {
  floret: Floret
  draft: FlowerDraft
  workshop: Workshop
  wideMm: number
}) {
  const { floret, draft, workshop, wideMm } = props
  const { flower } = draft
  const change = (label: string, part: Partial<Floret>) =>
    draft.edit(`${floret.id} ${label}`, (f) => changeFloret(f, floret.id, part))
  const across = useMemo(
    () => floretWidth(flower, floret.id, workshop.tips),
    [flower, floret.id, workshop.tips],
  )
  const first = flower.layers.findIndex((l) => l.floretId === floret.id)
  return (
    <div className={css.layerBody}>
      <TextField
        label="Name"
        value={floret.name}
        schema={shape.name}
        onChange={(name) => change('name', { name })}
      />
      <div className={css.pair}>
        <NumberField
          label="Florets"
          value={floret.count}
          schema={shape.count}
          onChange={(count) => change('count', { count })}
        />
        <NumberField
          label="Each across"
          unit="mm"
          decimals={1}
          value={Math.round(across * 10) / 10}
          schema={acrossSchema}
          onChange={(mm) =>
            draft.edit(`${floret.id} across`, (f) => resizeFloret(f, floret.id, mm, workshop.tips))
          }
        />
      </div>
      <PlacesEditor
        set={floret}
        carriers={flower.layers.slice(0, Math.max(0, first)).filter((l) => l.floretId === null)}
        wideMm={wideMm}
        shape={shape}
        change={change}
      />
      <Figure
        words="turned loosely"
        unit="°"
        min={0}
        max={180}
        step={1}
        value={floret.looseDeg}
        schema={shape.looseDeg}
        onChange={(looseDeg) => change('loose', { looseDeg })}
      />
      <Figure
        words="nods"
        unit="°"
        min={0}
        max={60}
        step={1}
        value={floret.nodsDeg}
        schema={shape.nodsDeg}
        onChange={(nodsDeg) => change('nods', { nodsDeg })}
      />
      <div className={css.buttons}>
        <Button
          size="compact-sm"
          disabled={flower.layers.every((l) => l.floretId === floret.id)}
          onClick={() => draft.edit(`remove ${floret.id}`, (f) => removeFloret(f, floret.id))}
        >
          Remove with its layers
        </Button>
      </div>
    </div>
  )
}
