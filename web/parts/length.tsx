import type { z } from 'zod'
import { formatLength, type LengthUnit, MM_PER_INCH } from '#core/units'
import { useWorkshop } from '../data/workshop.ts'
import { checked, NumberField, OptionalNumberField } from './NumberField.tsx'
import { NumberText, type NumberTextProps } from './NumberText.tsx'

function useLengthUnit(): LengthUnit {
  return useWorkshop().workshop?.settings.lengths ?? 'millimetres'
}

/** Formats lengths in the bakery's units. */
export function useLength(): (mm: number) => string {
  const unit = useLengthUnit()
  return (mm) => formatLength(mm, unit)
}

type LengthFieldProps = Omit<NumberTextProps, 'unit'> & { schema: z.ZodType<number> }

/** A ruler's finest mark, for the arrow keys. */
const SIXTEENTH = 1 / 16
const inInches = { unit: 'in', decimals: 2, step: SIXTEENTH } as const

/** A length kept in millimetres, typed and shown in millimetres or inches, decimal or as "2 1/2". */
export function LengthField(props: LengthFieldProps & { value: number; onChange: (mm: number) => void }) {
  const { value, onChange, schema, ...rest } = props
  if (useLengthUnit() === 'millimetres') return <NumberField {...props} unit="mm" />
  return (
    <NumberText
      {...rest}
      {...inInches}
      value={inches(value)}
      onNumber={(typed) =>
        typed === null ? 'Type a number.' : told(checked(millimetres(typed), schema, value, onChange, 'mm'))
      }
    />
  )
}

/** The same for a length that nobody may have measured. */
export function OptionalLengthField(
  props: LengthFieldProps & { value: number | null; onChange: (mm: number | null) => void },
) {
  const { value, onChange, schema, ...rest } = props
  if (useLengthUnit() === 'millimetres') return <OptionalNumberField {...props} unit="mm" />
  return (
    <NumberText
      {...rest}
      {...inInches}
      value={value === null ? null : inches(value)}
      onNumber={(typed) =>
        told(checked(typed === null ? null : millimetres(typed), schema.nullable(), value, onChange, 'mm'))
      }
    />
  )
}

// rounded, so that going there and back leaves a length as it was
const inches = (mm: number) => Number((mm / MM_PER_INCH).toFixed(6))
const millimetres = (typed: number) => Number((typed * MM_PER_INCH).toFixed(4))

/** What the model says of millimetres, said in inches. */
const told = (why: string | null) =>
  why?.replace(/([\d,]+(?:\.\d+)?) mm/g, (_, mm: string) =>
    formatLength(Number(mm.replaceAll(',', '')), 'inches'),
  ) ?? null
