import { Select } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import { z } from 'zod'
import { nameSchema, stiffnesses } from '#core/model/common'
import { type Flower, flowerSchema, type Layer, layerSchema, roleSchema } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { strokeDefinition } from '#core/strokes/index'
import { describeOpening } from '#core/tips/index'
import { saveFlower } from '../../data/workshop.ts'
import { Card } from '../../parts/Card.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { attempt } from '../../parts/notify.tsx'
import { TextField } from '../../parts/TextField.tsx'
import css from './FlowerPage.module.css'

const SAVE_PAUSE_MS = 350
const shape = flowerSchema.shape
/** Shares are typed in percent and stored as 0 to 0.9. */
const percentSchema = z.number().min(0, 'At least 0 %.').max(90, 'At most 90 %.')

/** Changes a flower of our own: name, figures, roles' colours and the layers' counts, tips and places. */
export function OwnFlowerForm({ flower: stored, workshop }: { flower: Flower; workshop: Workshop }) {
  const [flower, setFlower] = useState(stored)
  const timer = useRef<number>(undefined)
  useEffect(() => () => window.clearTimeout(timer.current), [])

  function change(part: Partial<Flower>) {
    const next = { ...flower, ...part }
    setFlower(next)
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(() => void attempt(() => saveFlower(next)), SAVE_PAUSE_MS)
  }
  const changeLayer = (id: string, part: Partial<Layer>) =>
    change({ layers: flower.layers.map((l) => (l.id === id ? { ...l, ...part } : l)) })

  return (
    <Card title="Change it" aside="saves by itself; every order that uses it follows">
      <div className={css.fields}>
        <TextField
          label="Name"
          value={flower.name}
          schema={nameSchema}
          onChange={(name) => change({ name })}
        />
        <NumberField
          label="Spoiled of 100"
          value={Math.round(flower.spoilRate * 1000) / 10}
          schema={percentSchema}
          onChange={(percent) => change({ spoilRate: percent / 100 })}
          width={130}
        />
        <NumberField
          label="Weighed over computed"
          value={flower.calibration}
          schema={shape.calibration.unwrap()}
          step={0.05}
          onChange={(calibration) => change({ calibration })}
          width={170}
        />
        <NumberField
          label="Spread of its weight"
          unit="%"
          value={Math.round(flower.spread * 1000) / 10}
          schema={percentSchema}
          onChange={(percent) => change({ spread: percent / 100 })}
          width={150}
        />
        {flower.roles.map((role) => (
          <TextField
            key={role.id}
            label={`${role.name}, colour`}
            value={role.hex}
            schema={roleSchema.shape.hex}
            onChange={(hex) =>
              change({ roles: flower.roles.map((r) => (r.id === role.id ? { ...r, hex } : r)) })
            }
            width={130}
          />
        ))}
      </div>
      {flower.layers.map((layer) => (
        <div key={layer.id} className={css.layerFields}>
          <TextField
            label={`Layer (${strokeDefinition(layer.stroke.kind).label})`}
            value={layer.name}
            schema={layerSchema.shape.name}
            onChange={(name) => changeLayer(layer.id, { name })}
          />
          <NumberField
            label="Strokes"
            value={layer.count}
            schema={layerSchema.shape.count}
            onChange={(count) => changeLayer(layer.id, { count })}
          />
          <Select
            label="Tip"
            value={layer.tipId}
            onChange={(tipId) => tipId && changeLayer(layer.id, { tipId })}
            data={workshop.tips
              .filter((t) => strokeDefinition(layer.stroke.kind).families.includes(t.opening.family))
              .map((t) => ({ value: t.id, label: describeOpening(t.opening) }))}
          />
          <Select
            label="Stiffness"
            value={layer.stiffness}
            onChange={(s) => s && changeLayer(layer.id, { stiffness: s as Layer['stiffness'] })}
            data={stiffnesses}
          />
          <NumberField
            label="Ring"
            unit="mm"
            value={layer.ringMm}
            schema={layerSchema.shape.ringMm}
            onChange={(ringMm) => changeLayer(layer.id, { ringMm })}
          />
          <NumberField
            label="Height"
            unit="mm"
            value={layer.heightMm}
            schema={layerSchema.shape.heightMm}
            onChange={(heightMm) => changeLayer(layer.id, { heightMm })}
          />
          <NumberField
            label="Turned"
            unit="°"
            value={layer.startDeg}
            schema={layerSchema.shape.startDeg.unwrap()}
            onChange={(startDeg) => changeLayer(layer.id, { startDeg })}
          />
        </div>
      ))}
    </Card>
  )
}
