import { Checkbox, Select } from '@mantine/core'
import { useState } from 'react'
import { z } from 'zod'
import {
  type Bouquet,
  type BouquetOutline,
  bouquet,
  bouquetOutlineSchema,
  MOST_CUPCAKES,
  vaseSchema,
} from '#core/surfaces/bouquet'
import { heartLoop } from '#core/surfaces/heart'
import type { Cutout } from '#core/surfaces/outline'
import { inShares } from '#core/surfaces/pathLoops'
import { useWorkshop } from '../../../data/workshop.ts'
import { LengthField } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { tell } from '../../../parts/notify.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { placing } from '../../../workers/placing.ts'
import { OutlineField } from './OutlineField.tsx'
import css from './Pieces.module.css'

const outlines: { value: BouquetOutline['kind']; label: string }[] = [
  { value: 'fan', label: 'Fan' },
  { value: 'heart', label: 'Heart' },
  { value: 'round', label: 'Round' },
  { value: 'ring', label: 'Ring' },
  { value: 'letters', label: 'Letters' },
  { value: 'drawn', label: 'Own outline' },
]

const fields = bouquet.schema.shape
const textSchema = bouquetOutlineSchema.options[4].shape.text
const countSchema = z
  .number()
  .int('Whole cupcakes only.')
  .min(1, 'At least one cupcake.')
  .max(MOST_CUPCAKES, `At most ${MOST_CUPCAKES} cupcakes.`)

/** What a vase of a cake begins as. */
const VASE = { rimMm: 130, footMm: 80, tallMm: 150, heightMm: 60 }
const vaseWords = { rimMm: 'Vase, rim', footMm: 'Vase, foot', tallMm: 'Vase, tall', heightMm: 'Vase, high' }

/** Cupcakes of a bouquet: how many, in which outline, with or without a vase; they are arranged anew when that changes. */
export function BouquetFields(props: {
  shape: Bouquet & { kind: 'bouquet' }
  onChange: (part: Partial<Bouquet>) => void
}) {
  const { shape, onChange } = props
  const { workshop } = useWorkshop()
  const [arranging, setArranging] = useState(false)
  const arrange = async (part: Partial<Pick<Bouquet, 'outline' | 'diameterMm'>>, count = shape.at.length) => {
    if (!workshop) return
    const next = { ...shape, ...part }
    setArranging(true)
    try {
      const at = await placing(workshop).bouquet(next.outline, count, next.diameterMm)
      onChange({ ...part, at })
      if (at.length !== count)
        tell(`These letters come out at ${at.length} cupcakes, not ${count}: strokes that meet share one.`)
    } finally {
      setArranging(false)
    }
  }
  const begin = (kind: BouquetOutline['kind']): BouquetOutline => {
    if (kind === 'letters') return { kind, text: 'A' }
    if (kind === 'drawn') return { kind, shapes: inShares([[heartLoop]]).map((c) => c.map((l) => [...l])) }
    return { kind }
  }
  const { outline, vase } = shape
  return (
    <div className={css.tiers}>
      <div className={css.tier}>
        <NumberField
          label="Cupcakes"
          width={104}
          value={shape.at.length}
          schema={countSchema}
          onChange={(count) => void arrange({}, count)}
        />
        <Select
          label="Laid as"
          w={140}
          disabled={arranging}
          value={outline.kind}
          data={outlines}
          onChange={(kind) => kind && void arrange({ outline: begin(kind as BouquetOutline['kind']) })}
        />
        {outline.kind === 'letters' && (
          <TextField
            label="Letters"
            width={104}
            value={outline.text}
            schema={textSchema}
            onChange={(text) => void arrange({ outline: { kind: 'letters', text } })}
          />
        )}
        {outline.kind === 'drawn' && (
          <OutlineField
            shapes={outline.shapes}
            onChange={(shapes: Cutout[]) =>
              void arrange({
                outline: { kind: 'drawn', shapes: shapes.map((cut) => cut.map((loop) => [...loop])) },
              })
            }
          />
        )}
        <LengthField
          label="Across"
          width={104}
          value={shape.diameterMm}
          schema={fields.diameterMm}
          onChange={(diameterMm) => void arrange({ diameterMm })}
        />
        <LengthField
          label="Dome"
          width={104}
          value={shape.domeMm}
          schema={fields.domeMm}
          onChange={(domeMm) => onChange({ domeMm })}
        />
      </div>
      <div className={css.tier}>
        <Checkbox
          label="A small cake below, trimmed to a vase"
          checked={vase !== null}
          onChange={(event) => onChange({ vase: event.currentTarget.checked ? VASE : null })}
        />
        {vase &&
          (Object.keys(vaseWords) as (keyof typeof vaseWords)[]).map((key) => (
            <LengthField
              key={key}
              label={vaseWords[key]}
              width={104}
              value={vase[key]}
              schema={vaseSchema.shape[key]}
              onChange={(mm) => onChange({ vase: { ...vase, [key]: mm } })}
            />
          ))}
      </div>
    </div>
  )
}
