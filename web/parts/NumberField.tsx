import type { z } from 'zod'
import { withUnit } from '#core/issueWords'
import { NumberText, type NumberTextProps } from './NumberText.tsx'

type FieldProps = NumberTextProps & { schema: z.ZodType<number> }

/** A number that may be left open: an empty field means that nobody knows. */
export function OptionalNumberField(
  props: FieldProps & { value: number | null; onChange: (value: number | null) => void },
) {
  const { value, onChange, schema, ...rest } = props
  return (
    <NumberText
      {...rest}
      value={value}
      onNumber={(number) => checked(number, schema.nullable(), value, onChange, rest.unit)}
    />
  )
}

/**
 * A number that is checked by the model's own schema. A value outside it stays in the field with the reason
 * beneath, and the document keeps its last good value: nothing is clamped or lost.
 */
export function NumberField(props: FieldProps & { value: number; onChange: (value: number) => void }) {
  const { value, onChange, schema, ...rest } = props
  return (
    <NumberText
      {...rest}
      value={value}
      onNumber={(number) =>
        number === null ? 'Type a number.' : checked(number, schema, value, onChange, rest.unit)
      }
    />
  )
}

/** Takes on a number that the schema allows, and says what is wrong with one that it does not, in its unit. */
export function checked<T extends number | null>(
  number: T,
  schema: z.ZodType<T>,
  before: T,
  onChange: (value: T) => void,
  unit = '',
): string | null {
  const parsed = schema.safeParse(number)
  if (!parsed.success) return withUnit(parsed.error.issues[0]?.message ?? 'Not possible.', unit)
  if (parsed.data !== before) onChange(parsed.data)
  return null
}
