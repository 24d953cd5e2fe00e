import { Button, Select, Slider } from '@mantine/core'
import { useState } from 'react'
import { layoutSchema } from '#core/model/layout'
import { turnWhole } from '#core/placing/byHand'
import type { Finding } from '#core/placing/findings/finding'
import { schoolOf, schools } from '#core/placing/schools/index'
import { NumberField } from '../../../parts/NumberField.tsx'
import { HowItSits } from './HowItSits.tsx'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** Which way the flowers are placed, how full and how graded; and how they sit. */
export function SchoolPanel(props: { placing: Placing; onPoint: (finding: Finding | null) => void }) {
  const { placing, onPoint } = props
  const { layout, hand, judgement, lay } = placing
  const fits = schools.filter((s) => (s.id !== 'path' || layout.path.length > 1) && s.suits(hand.chart))
  const fullness = layout.fullness ?? judgement?.fullness ?? schoolOf(layout.schoolId).fullness
  return (
    <>
      <Select
        label="Placed as"
        value={layout.schoolId}
        data={fits.map((s) => ({ value: s.id, label: s.label }))}
        onChange={(schoolId) =>
          schoolId && lay(`place as ${schoolOf(schoolId).label.toLowerCase()}`, { schoolId })
        }
      />
      <Button loading={placing.laying} onClick={() => lay('another like this', { seed: layout.seed + 1 })}>
        Another like this
      </Button>
      <Amount
        label="Fullness"
        from="airy"
        to="packed"
        value={fullness}
        min={0.2}
        max={1.1}
        onEnd={(value) => lay('fullness', { fullness: value })}
      />
      <Amount
        label="Large to small"
        from="even"
        to="graded"
        value={layout.grading}
        min={0}
        max={1}
        onEnd={(grading) => lay('large to small', { grading })}
      />
      <NumberField
        label="All of it turned"
        unit="°"
        step={5}
        value={Math.round(layout.turnDeg)}
        schema={layoutSchema.shape.turnDeg.unwrap()}
        onChange={(deg) =>
          placing.change(
            'turn all',
            (now) => turnWhole(now, deg - now.layout.turnDeg),
            `${layout.id} turn all`,
          )
        }
      />
      <HowItSits placing={placing} onPoint={onPoint} />
    </>
  )
}

function Amount(props: {
  label: string
  from: string
  to: string
  value: number
  min: number
  max: number
  onEnd: (value: number) => void
}) {
  const { label, value, onEnd } = props
  const [moved, setMoved] = useState<number | null>(null)
  const shown = moved ?? value
  return (
    <div className={css.slider}>
      <div className={css.sliderHead}>
        <span>{label}</span>
        <strong className="figure">{shown.toFixed(2)}</strong>
      </div>
      <Slider
        thumbLabel={label}
        label={null}
        value={shown}
        min={props.min}
        max={props.max}
        step={0.05}
        onChange={setMoved}
        onChangeEnd={(end) => {
          setMoved(null)
          onEnd(Number(end.toFixed(2)))
        }}
      />
      <div className={css.ends}>
        <span>{props.from}</span>
        <span>{props.to}</span>
      </div>
    </div>
  )
}
