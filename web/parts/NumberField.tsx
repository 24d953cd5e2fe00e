import { NumberInput } from '@mantine/core'
import { useEffect, useId, useState } from 'react'
import type { z } from 'zod'

interface NumberFieldProps {
  label: string
  schema: z.ZodType<number>
  unit?: string
  step?: number
  hideLabel?: boolean
  width?: number
  disabled?: boolean
  decimals?: number
  placeholder?: string
}

/** A number that may be left open: an empty field means that nobody knows. */
export function OptionalNumberField(
  props: NumberFieldProps & { value: number | null; onChange: (value: number | null) => void },
) {
  const { value, onChange, schema, ...rest } = props
  return <NumberInputChecked {...rest} value={value} schema={schema.nullable()} onChange={onChange} />
}

/**
 * A number that is checked by the model's own schema. A value outside it stays in the field with the reason
 * beneath, and the document keeps its last good value: nothing is clamped or lost.
 */
export function NumberField(props: NumberFieldProps & { value: number; onChange: (value: number) => void }) {
  return <NumberInputChecked {...props} />
}

function NumberInputChecked<T extends number | null>(
  props: Omit<NumberFieldProps, 'schema'> & { schema: z.ZodType<T>; value: T; onChange: (value: T) => void },
) {
  const { label, value, schema, onChange, unit, step = 1, width, decimals = 2 } = props
  const [typed, setTyped] = useState<string | number>(value ?? '')
  const [error, setError] = useState<string | null>(null)
  const id = useId()

  // an undo, a remedy or somebody else may change the value from outside
  useEffect(() => {
    setTyped(value ?? '')
    setError(null)
  }, [value])

  function accept(next: string | number) {
    setTyped(next)
    const parsed = schema.safeParse(next === '' ? null : next)
    if (parsed.success) {
      setError(null)
      if (parsed.data !== value) onChange(parsed.data)
    } else setError(next === '' ? 'Type a number.' : (parsed.error.issues[0]?.message ?? 'Not possible.'))
  }

  return (
    <NumberInput
      id={id}
      label={props.hideLabel ? undefined : label}
      aria-label={props.hideLabel ? label : undefined}
      value={typed}
      onChange={accept}
      error={error}
      step={step}
      decimalScale={decimals}
      clampBehavior="none"
      placeholder={props.placeholder}
      suffix={unit ? ` ${unit}` : undefined}
      disabled={props.disabled}
      w={width}
      thousandSeparator=","
    />
  )
}
