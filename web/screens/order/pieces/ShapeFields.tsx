import { z } from 'zod'
import { type Surface, surfaceDefinition } from '#core/surfaces/index'
import { LengthField } from '../../../parts/length.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { BouquetFields } from './BouquetFields.tsx'
import { OutlineField } from './OutlineField.tsx'

/** Words for the measures that the surfaces' schemas name. */
const words: Record<string, string> = {
  diameterMm: 'Across',
  domeMm: 'Dome',
  heightMm: 'High',
  lengthMm: 'Long',
  widthMm: 'Wide',
  holeMm: 'Hole',
  tallMm: 'Tall',
  barMm: 'Bar',
}

/** A field for each measure of a piece's shape, made from the shape's own schema; what is no length has a field of its own. */
export function ShapeFields(props: { shape: Surface; onChange: (part: Partial<Surface>) => void }) {
  const { shape, onChange } = props
  if (shape.kind === 'bouquet') return <BouquetFields shape={shape} onChange={onChange} />
  return (
    <>
      {shape.kind === 'number' && (
        <TextField
          label="Digits"
          width={90}
          value={shape.digits}
          schema={z.string().refine((digits) => fault(shape, { digits }) === null, 'One to three digits.')}
          onChange={(digits) => onChange({ digits })}
        />
      )}
      {Object.keys(surfaceDefinition(shape.kind).schema.shape)
        .map((key): [string, unknown] => [key, (shape as Record<string, unknown>)[key]])
        .filter((entry): entry is [string, number] => typeof entry[1] === 'number')
        .map(([key, value]) => (
          <LengthField
            key={key}
            label={words[key] ?? key}
            width={104}
            value={value}
            schema={z.number().superRefine((next, ctx) => {
              const message = fault(shape, { [key]: next })
              if (message) ctx.addIssue({ code: 'custom', message })
            })}
            onChange={(next) => onChange({ [key]: next })}
          />
        ))}
      {shape.kind === 'drawn' && (
        <OutlineField
          shapes={shape.shapes}
          onChange={(shapes) => onChange({ shapes: shapes.map((cut) => cut.map((loop) => [...loop])) })}
        />
      )}
    </>
  )
}

/** What is wrong with a shape after a change, one measure in the light of the others; null for nothing. */
function fault(shape: Surface, part: object): string | null {
  const parsed = surfaceDefinition(shape.kind).schema.safeParse({ ...shape, ...part })
  return parsed.success ? null : (parsed.error.issues[0]?.message ?? 'Not possible.')
}
