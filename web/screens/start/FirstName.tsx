import { Button, SegmentedControl } from '@mantine/core'
import { type Settings, settingsSchema } from '#core/model/workshop'
import { editSettings } from '../../data/workshop.ts'
import { Card } from '../../parts/Card.tsx'
import { TextField } from '../../parts/TextField.tsx'
import css from './Start.module.css'

const choices = [
  ['units', 'Weights in', ['grams', 'ounces']],
  ['lengths', 'Lengths in', ['millimetres', 'inches']],
  ['hand', 'Piping hand', ['right', 'left']],
] as const

/** Who the bakery is, and how it weighs, measures and pipes. */
export function FirstName({ settings, next }: { settings: Settings; next: () => void }) {
  return (
    <Card title="What is your bakery called, and how does it measure?">
      <div className={css.form}>
        <TextField
          label="Name"
          value={settings.bakery}
          schema={settingsSchema.shape.bakery}
          onChange={(bakery) => editSettings((now) => ({ ...now, bakery }))}
        />
        {choices.map(([key, label, data]) => (
          <div key={key}>
            <span className="fieldLabel">{label}</span>
            <SegmentedControl
              fullWidth
              aria-label={label}
              value={settings[key]}
              data={[...data]}
              onChange={(value) => editSettings((now) => ({ ...now, [key]: value }) as Settings)}
            />
          </div>
        ))}
      </div>
      <Button variant="filled" onClick={next}>
        Next: your tips
      </Button>
    </Card>
  )
}
