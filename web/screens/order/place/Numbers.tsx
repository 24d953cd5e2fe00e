import { Button } from '@mantine/core'
import { useState } from 'react'
import { z } from 'zod'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { FlowerChooser } from '../pieces/FlowerChooser.tsx'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

const numberSchema = z
  .number()
  .int('Whole flowers only.')
  .min(0, 'None or more.')
  .max(300, 'At most 300 of one flower.')

/** How many of each flower stand in this arrangement, and what they weigh; a number that is typed is placed. */
export function Numbers({ placing }: { placing: Placing }) {
  const { kinds, layout, piece } = placing
  const { undo } = useOrderEditor()
  const weight = useWeight()
  const [choosing, setChoosing] = useState(false)
  const numberOf = (placedId: string) => layout.sites.filter((s) => s.placedId === placedId).length
  const flowers = kinds.reduce((sum, k) => sum + numberOf(k.placedId) * k.kind.grams, 0)
  return (
    <section className={css.numbers} aria-label="How many of each">
      {kinds.map((k) => (
        <div key={k.placedId} className={css.number}>
          <NumberField
            hideLabel
            label={`${k.name} in this arrangement`}
            width={62}
            value={numberOf(k.placedId)}
            schema={numberSchema}
            onChange={(wanted) => placing.number(k.placedId, wanted)}
          />
          <span>
            {k.name}
            <br />
            <span className="quiet">{weight(numberOf(k.placedId) * k.kind.grams)}</span>
          </span>
        </div>
      ))}
      <Button variant="subtle" onClick={() => setChoosing(true)}>
        Another flower
      </Button>
      <div className={css.sum}>
        <span className="quiet">flowers on one</span>
        <strong className="figure">{weight(flowers)}</strong>
      </div>
      <FlowerChooser opened={choosing} close={() => setChoosing(false)} piece={piece} undo={undo} />
    </section>
  )
}
