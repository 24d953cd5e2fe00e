import { Switch } from '@mantine/core'
import { ripple } from '#core/strokes/params'
import { Figure } from './Figure.tsx'

const shape = ripple.unwrap().unwrap().shape
type Frill = NonNullable<ReturnType<typeof ripple.parse>>

/** A frill as it is begun: shallow waves along the free edge, mm. */
const BEGUN: Frill = { lengthMm: 5, ampMm: 0.8, power: 2 }

const figures = [
  { key: 'lengthMm', words: 'wave', unit: 'mm', min: 1, max: 20, step: 0.1 },
  { key: 'ampMm', words: 'swings', unit: 'mm', min: 0, max: 4, step: 0.05 },
  { key: 'power', words: 'edge only', unit: '', min: 1, max: 5, step: 0.1 },
] as const

/** A frill along the free edge of a petal: its waves, how high, and how far down it reaches. */
export function FrillEditor({
  frill,
  onChange,
}: {
  frill: Frill | null
  onChange: (frill: Frill | null) => void
}) {
  return (
    <>
      <Switch
        label="Frilled: the hand shakes along the edge"
        checked={frill !== null}
        onChange={(e) => onChange(e.currentTarget.checked ? BEGUN : null)}
      />
      {frill &&
        figures.map(({ key, ...figure }) => (
          <Figure
            key={key}
            {...figure}
            value={frill[key]}
            schema={shape[key]}
            onChange={(value) => onChange({ ...frill, [key]: value })}
          />
        ))}
    </>
  )
}
