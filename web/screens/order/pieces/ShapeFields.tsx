import type { z } from 'zod'
import { type Surface, surfaceDefinition } from '#core/surfaces/index'
import { LengthField } from '../../../parts/length.tsx'

/** Words for the measures that the surfaces' schemas name. */
const words: Record<string, string> = {
  diameterMm: 'Across',
  domeMm: 'Dome',
  heightMm: 'High',
  lengthMm: 'Long',
  widthMm: 'Wide',
}

/** A field for each measure of a piece's shape, made from the shape's own schema. */
export function ShapeFields(props: { shape: Surface; onChange: (part: Partial<Surface>) => void }) {
  const { shape, onChange } = props
  const fields = surfaceDefinition(shape.kind).schema.shape as Record<string, z.ZodType<number>>
  return Object.entries(shape)
    .filter((entry): entry is [string, number] => typeof entry[1] === 'number')
    .map(([key, value]) => (
      <LengthField
        key={key}
        label={words[key] ?? key}
        width={104}
        value={value}
        schema={fields[key]!}
        onChange={(next) => onChange({ [key]: next })}
      />
    ))
}
