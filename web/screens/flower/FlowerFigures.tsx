import { Button } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import { sizeWords } from '#core/flowers/sizeWords'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { counted, formatLength, formatMinutes } from '#core/units'
import { useWorkshop } from '../../data/workshop.ts'
import { Card, Stat, Stats } from '../../parts/Card.tsx'
import { later } from '../../parts/later.tsx'
import { useWeight } from '../../parts/weight.tsx'
import type { Picture } from '../../workers/flowers.worker.ts'

const WeighOne = later(
  async () => (await import('./WeighOne.tsx')).WeighOne,
  ({ opened }) => opened,
)

/** What one flower comes to, and for our own the figures that only weighing and doing can give. */
export function FlowerFigures(props: {
  flower: Flower
  picture: Picture
  /** What it came to when it was last kept, while it differs. */
  before: Picture | undefined
  compare: ReactNode
  workshop: Workshop
}) {
  const { flower, picture, before, workshop } = props
  const weight = useWeight()
  const icing = workshop.icings[0]!
  const learnt = useWorkshop().calibrations?.[flower.id]
  const [weighing, setWeighing] = useState(false)
  const sure = learnt
    ? `${learnt.weighings > 0 ? `weighed ${counted(learnt.weighings, 'time')}` : 'told by other flowers of these hands'}: give or take ${Math.round(100 * learnt.band)} %`
    : 'not weighed yet: give or take 30 %'
  // a change of factor shows at once, before the draft has been told
  const factor = learnt ? learnt.factor / flower.calibration : 1
  const said = ({ measure }: Picture) => {
    const { heightMm, volumeMm3, seconds } = measure
    return {
      across: sizeWords(measure, workshop.settings.lengths),
      high: heightMm === null ? '' : formatLength(heightMm, workshop.settings.lengths),
      icing: weight((volumeMm3 / 1000) * icing.density * factor),
      'hands-on': seconds < 90 ? `${Math.round(seconds)} s` : formatMinutes(seconds / 60),
    }
  }
  const now = said(picture)
  const then = before && said(before)
  return (
    <Card
      title="One flower"
      aside={`${icing.name.toLowerCase()}, ${sure}`}
      actions={
        <>
          {props.compare}
          <Button size="compact-sm" onClick={() => setWeighing(true)}>
            Weigh some
          </Button>
        </>
      }
    >
      <WeighOne flower={flower} workshop={workshop} opened={weighing} close={() => setWeighing(false)} />
      <Stats>
        {(Object.keys(now) as (keyof typeof now)[]).map((name) => (
          <Stat
            key={name}
            name={name}
            note={then && (then[name] === now[name] ? 'as it was' : `was ${then[name]}`)}
          >
            {now[name]}
          </Stat>
        ))}
      </Stats>
    </Card>
  )
}
