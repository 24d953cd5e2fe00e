import { Button, Checkbox, Group, Modal, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { z } from 'zod'
import { issueFaults } from '#core/files/orderFile'
import type { Tip } from '#core/model/tip'
import { openingArea, openingSchema, type TipFamilyName, tipFamilies } from '#core/tips/index'
import { addTip } from '../../data/workshop.ts'
import { OpeningDrawing } from '../../drawings/OpeningDrawing.tsx'
import { NumberText } from '../../parts/NumberText.tsx'
import { attempt } from '../../parts/notify.tsx'
import css from './Drawer.module.css'

const words: Record<string, string> = {
  diameterMm: 'Across, mm',
  lengthMm: 'Slot length, mm',
  wideMm: 'Wide end, mm',
  narrowMm: 'Narrow end, mm',
  bendDeg: 'Bend, degrees',
  widthMm: 'Across, mm',
  wallMm: 'Wall, mm',
  arcDeg: 'Arc, degrees',
  teeth: 'Points',
  outerMm: 'Centre to point, mm',
  innerMm: 'Centre to notch, mm',
  heightMm: 'High, mm',
  holes: 'Holes',
  holeMm: 'Hole across, mm',
}

/** Describes a tip that the catalogue does not have, by measuring its opening. */
export function AddTip(props: { opened: boolean; close: () => void }) {
  const [family, setFamily] = useState<TipFamilyName>('petal')
  const [values, setValues] = useState<Record<string, number | string | boolean | undefined>>({})
  const [base, setBase] = useState<Tip['base']>('standard')
  const [stamp, setStamp] = useState('')
  const fields = Object.entries(tipFamilies[family].schema.shape as Record<string, z.ZodType>).filter(
    ([key]) => key !== 'family',
  )
  const parsed = openingSchema.safeParse({ closed: false, cut: 'beak', ...values, family })
  const faults = parsed.success ? [] : issueFaults(parsed.error)

  async function add(event: React.FormEvent) {
    event.preventDefault()
    if (!parsed.success) return
    const done = await attempt(async () => {
      await addTip({ opening: parsed.data, base, stamp, owned: 1 })
      return true
    })
    if (!done) return
    setValues({})
    setStamp('')
    props.close()
  }

  return (
    <Modal opened={props.opened} onClose={props.close} title="A tip of our own" size="lg">
      <form onSubmit={add} className={css.addTip}>
        <div className={css.addFields}>
          <Select
            label="Shape of the opening"
            value={family}
            onChange={(f) => {
              if (!f) return
              setFamily(f as TipFamilyName)
              setBase(f === 'cutBag' || f === 'veeCut' ? 'none' : 'standard')
              setValues({})
            }}
            data={Object.entries(tipFamilies).map(([value, f]) => ({ value, label: f.label }))}
          />
          {fields.map(([key]) =>
            key === 'closed' ? (
              <Checkbox
                key={key}
                label="The points are bent inwards (closed star)"
                checked={values.closed === true}
                onChange={(e) => setValues({ ...values, closed: e.currentTarget.checked })}
              />
            ) : key === 'cut' ? (
              <Select
                key={key}
                label="Cut"
                value={(values[key] as string | undefined) ?? 'beak'}
                onChange={(value) => setValues({ ...values, [key]: value ?? 'beak' })}
                data={[
                  { value: 'beak', label: 'a beak cut to a V' },
                  { value: 'slit', label: 'a round with a slit' },
                ]}
              />
            ) : (
              <NumberText
                key={key}
                label={words[key] ?? key}
                value={(values[key] as number | undefined) ?? null}
                onNumber={(value) => {
                  setValues((now) => ({ ...now, [key]: value ?? undefined }))
                  return null
                }}
                error={values[key] === undefined ? undefined : faults.find((f) => f.path[0] === key)?.message}
              />
            ),
          )}
          {family !== 'cutBag' && family !== 'veeCut' && (
            <Select
              label="Fits"
              value={base}
              onChange={(b) => b && setBase(b as Tip['base'])}
              data={[
                { value: 'standard', label: 'a standard coupler' },
                { value: 'large', label: 'only a large coupler, or straight in the bag' },
              ]}
            />
          )}
          <TextInput
            label="What is stamped on it"
            value={stamp}
            onChange={(e) => setStamp(e.currentTarget.value)}
            maxLength={40}
          />
        </div>
        <div className={css.addPicture}>
          {parsed.success ? (
            <>
              <OpeningDrawing opening={parsed.data} box={190} pxPerMm={20} id="add" />
              <p className="quiet">
                {openingArea(parsed.data).toFixed(1)} mm² of opening, drawn to fill the circle
              </p>
            </>
          ) : (
            <p className="quiet">Measure the opening; its outline is drawn here when every figure is in.</p>
          )}
        </div>
        <Group justify="flex-end" className={css.addButtons}>
          <Button onClick={props.close}>Cancel</Button>
          <Button type="submit" variant="filled" disabled={!parsed.success}>
            Add it
          </Button>
        </Group>
      </form>
    </Modal>
  )
}
