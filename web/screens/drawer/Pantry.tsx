import type { Workshop } from '#core/model/workshop'
import { settingsSchema } from '#core/model/workshop'
import { editSettings } from '../../data/workshop.ts'
import { Card } from '../../parts/Card.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import css from './Drawer.module.css'

const gramsSchema = settingsSchema.shape.pantry.valueType

/** Ingredients on hand: what a plan takes from the shelf before it says what to buy. */
export function Pantry({ workshop }: { workshop: Workshop }) {
  const { settings } = workshop
  const names = [...new Set(workshop.icings.flatMap((i) => i.ingredients.map((g) => g.name)))].sort()
  return (
    <Card title="Ingredients on hand" aside="shopping lists leave out what is here">
      <div className={css.pantry}>
        {names.map((name) => (
          <NumberField
            key={name}
            label={name}
            unit="g"
            step={100}
            value={Object.hasOwn(settings.pantry, name) ? settings.pantry[name]! : 0}
            schema={gramsSchema}
            onChange={(grams) =>
              editSettings((now) => ({ ...now, pantry: { ...now.pantry, [name]: grams } }))
            }
          />
        ))}
      </div>
    </Card>
  )
}
