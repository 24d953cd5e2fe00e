import { Button } from '@mantine/core'
import { useRef, useState } from 'react'
import { z } from 'zod'
import { changeFloret, duplicateFloret, removeFloret, withLayers } from '#core/flowers/florets'
import { type Floret, floretSchema, MOST_FLORETS, MOST_LAYERS } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { NumberField } from '../../parts/NumberField.tsx'
import { newId } from '../../parts/newId.ts'
import { attempt } from '../../parts/notify.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { resizedFloret, useFloretWidth } from '../../workers/flowers.ts'
import { Figure } from './Figure.tsx'
import { PlacesEditor } from './PlacesEditor.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

const shape = floretSchema.shape
/** Florets are small flowers, mm. */
const acrossSchema = z.number().min(3, 'At least 3 mm.').max(60, 'At most 60 mm.')

/** A width that is missed by less than this share is hit: no ruler tells. */
const HIT = 0.03

/** A whole small flower within the flower: how many, how wide, where they stand, and how much they differ. */
export function FloretEditor(props: {
  floret: Floret
  draft: FlowerDraft
  workshop: Workshop
  wideMm: number
  select: (id: string) => void
}) {
  const { floret, draft, workshop, wideMm, select } = props
  const { flower } = draft
  const change = (label: string, part: Partial<Floret>) =>
    draft.edit(`${floret.id} ${label}`, (f) => changeFloret(f, floret.id, part))
  const across = useFloretWidth(flower, floret.id, workshop)
  const [wishedMm, setWishedMm] = useState<number | null>(null)
  const latest = useRef(0)
  // a floret made as wide as it was wished says the wish, not what a caliper makes of it
  const hit = wishedMm !== null && across !== undefined && Math.abs(across / wishedMm - 1) < HIT
  const shownMm = hit ? wishedMm : Math.round((across ?? 0) * 10) / 10

  async function makeSoWide(mm: number) {
    setWishedMm(mm)
    const wish = ++latest.current
    const layers = await attempt(() => resizedFloret(flower, floret.id, mm, workshop))
    // another width was typed meanwhile
    if (layers && wish === latest.current) draft.edit(`${floret.id} across`, (f) => withLayers(f, layers))
  }

  const ownCount = flower.layers.filter((l) => l.floretId === floret.id).length
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
          value={shownMm}
          disabled={across === undefined}
          schema={acrossSchema}
          onChange={makeSoWide}
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
          disabled={flower.florets.length >= MOST_FLORETS || flower.layers.length + ownCount > MOST_LAYERS}
          onClick={() => {
            const again = duplicateFloret(flower, floret.id, newId)
            draft.edit(`repeat ${again.florets.at(-1)!.id}`, () => again)
            select(again.florets.at(-1)!.id)
          }}
        >
          Duplicate
        </Button>
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
