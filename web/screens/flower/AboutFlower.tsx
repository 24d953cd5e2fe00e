import { SegmentedControl, Select } from '@mantine/core'
import { z } from 'zod'
import { nameSchema, noteSchema } from '#core/common'
import { NAIL_MM } from '#core/flowers/blank'
import { type Flower, flowerSchema } from '#core/model/flower'
import { useWorkshop } from '../../data/workshop.ts'
import { Card } from '../../parts/Card.tsx'
import { NumberField, OptionalNumberField } from '../../parts/NumberField.tsx'
import { TextField } from '../../parts/TextField.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

const shape = flowerSchema.shape
const nailSchema = shape.nailMm.unwrap()
const pitchSchema = shape.pitchMm.unwrap().unwrap()
/** Shares are typed in percent and stored as 0 to 0.9. */
const percentSchema = z.number().min(0, 'At least 0 %.').max(90, 'At most 90 %.')

const levels: { value: Flower['level']; label: string }[] = [
  { value: 'first', label: 'for a first try' },
  { value: 'practised', label: 'wants some practice' },
  { value: 'skilled', label: 'for a skilled hand' },
]

/** What is not any one layer's: name, where it is piped, for whom, what spoils, how far apart a border's units stand. */
export function AboutFlower({ draft }: { draft: FlowerDraft }) {
  const { flower } = draft
  const learnt = useWorkshop().calibrations?.[flower.id]
  const edit = (key: string, part: Partial<Flower>) => draft.edit(key, (f) => ({ ...f, ...part }))
  return (
    <Card title="About it">
      <div className={css.about}>
        <TextField
          label="Name of the flower"
          value={flower.name}
          schema={nameSchema}
          onChange={(name) => edit('name', { name })}
        />
        <Select
          label="Level"
          allowDeselect={false}
          value={flower.level}
          data={levels}
          onChange={(level) => level && edit('level', { level: level as Flower['level'] })}
        />
        <div>
          <span className={css.label}>Piped</span>
          <SegmentedControl
            aria-label="Piped"
            value={flower.setting}
            data={[
              { value: 'nail', label: 'on a nail' },
              { value: 'inPlace', label: 'in place' },
            ]}
            onChange={(setting) =>
              edit('setting', {
                setting: setting as Flower['setting'],
                nailMm: setting === 'nail' ? (flower.nailMm ?? NAIL_MM) : null,
              })
            }
          />
        </div>
        {flower.nailMm !== null && (
          <NumberField
            label="Nail"
            unit="mm"
            value={flower.nailMm}
            schema={nailSchema}
            onChange={(nailMm) => edit('nail', { nailMm })}
          />
        )}
        {flower.setting === 'nail' && (
          <OptionalNumberField
            label="Firm after"
            unit="min"
            placeholder="by its width"
            value={flower.firmMinutes}
            schema={shape.firmMinutes.unwrap().unwrap()}
            onChange={(firmMinutes) => edit('firm', { firmMinutes })}
          />
        )}
        {flower.pitchMm !== null && (
          <NumberField
            label="From one unit to the next"
            unit="mm"
            decimals={1}
            value={flower.pitchMm}
            schema={pitchSchema}
            onChange={(pitchMm) => edit('pitch', { pitchMm })}
          />
        )}
        <NumberField
          label="Spoiled of 100"
          value={Math.round(flower.spoilRate * 1000) / 10}
          schema={percentSchema}
          onChange={(percent) => edit('spoiled', { spoilRate: percent / 100 })}
        />
        <NumberField
          label="Weighed over computed"
          value={learnt ? Math.round(learnt.factor * 100) / 100 : flower.calibration}
          schema={shape.calibration.unwrap()}
          step={0.05}
          disabled={learnt !== undefined}
          onChange={(calibration) => edit('calibration', { calibration })}
        />
        <TextField
          label="Note"
          value={flower.note}
          schema={noteSchema}
          onChange={(note) => edit('note', { note })}
        />
      </div>
    </Card>
  )
}
