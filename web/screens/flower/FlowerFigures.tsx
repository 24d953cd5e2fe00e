import { Button } from '@mantine/core'
import { useState } from 'react'
import { z } from 'zod'
import { sizeWords } from '#core/flowers/sizeWords'
import { type Flower, flowerSchema } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { counted, formatLength, formatMinutes } from '#core/units'
import { useWorkshop } from '../../data/workshop.ts'
import { Card, Stat, Stats } from '../../parts/Card.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { useWeight } from '../../parts/weight.tsx'
import type { Picture } from '../../workers/planner.worker.ts'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'
import { WeighOne } from './WeighOne.tsx'

/** Shares are typed in percent and stored as 0 to 0.9. */
const percentSchema = z.number().min(0, 'At least 0 %.').max(90, 'At most 90 %.')
const shape = flowerSchema.shape

/** What one flower comes to, and for our own the figures that only weighing and doing can give. */
export function FlowerFigures(props: {
  flower: Flower
  picture: Picture
  workshop: Workshop
  draft: FlowerDraft
}) {
  const { flower, picture, workshop, draft } = props
  const weight = useWeight()
  const icing = workshop.icings[0]!
  const { heightMm, volumeMm3, seconds } = picture.measure
  const learnt = useWorkshop().calibrations?.[flower.id]
  const [weighing, setWeighing] = useState(false)
  const sure = learnt
    ? `weighed ${counted(learnt.weighings, 'time')}: give or take ${Math.round(100 * learnt.band)} %`
    : 'not weighed yet: give or take 30 %'
  // a change of factor shows at once, before the draft has been told
  const factor = learnt ? learnt.factor / flower.calibration : 1
  return (
    <Card
      title="One flower"
      aside={`${icing.name.toLowerCase()}, ${sure}`}
      actions={
        <Button size="compact-sm" onClick={() => setWeighing(true)}>
          Weigh some
        </Button>
      }
    >
      <WeighOne flower={flower} workshop={workshop} opened={weighing} close={() => setWeighing(false)} />
      <Stats>
        <Stat name="across">{sizeWords(picture.measure, workshop.settings.lengths)}</Stat>
        {heightMm !== null && <Stat name="high">{formatLength(heightMm, workshop.settings.lengths)}</Stat>}
        <Stat name="icing">{weight((volumeMm3 / 1000) * icing.density * factor)}</Stat>
        <Stat name="hands-on">{seconds < 90 ? `${Math.round(seconds)} s` : formatMinutes(seconds / 60)}</Stat>
      </Stats>
      {draft.editable && (
        <div className={css.own}>
          <NumberField
            label="Weighed over computed"
            value={learnt ? Math.round(learnt.factor * 100) / 100 : flower.calibration}
            schema={shape.calibration.unwrap()}
            step={0.05}
            disabled={learnt !== undefined}
            onChange={(calibration) => draft.edit('calibration', (f) => ({ ...f, calibration }))}
          />
          <NumberField
            label="Spoiled of 100"
            value={Math.round(flower.spoilRate * 1000) / 10}
            schema={percentSchema}
            onChange={(percent) => draft.edit('spoiled', (f) => ({ ...f, spoilRate: percent / 100 }))}
          />
        </div>
      )}
    </Card>
  )
}
