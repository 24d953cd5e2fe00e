import { Textarea, TextInput } from '@mantine/core'
import { useEffect, useState } from 'react'
import type { z } from 'zod'

/** Text checked by the model's own schema; what cannot be stored stays in the field with the reason beneath. */
export function TextField(props: {
  label: string
  value: string
  schema: z.ZodType<string>
  onChange: (value: string) => void
  multiline?: boolean
  hideLabel?: boolean
  placeholder?: string
  width?: number | string
  disabled?: boolean
}) {
  const { value, schema, onChange } = props
  const [typed, setTyped] = useState(value)
  const [error, setError] = useState<string | null>(null)

  useEffect(() => {
    // trimming by the schema must not take away the space somebody has just typed
    setTyped((now) => (now.trim() === value ? now : value))
    setError(null)
  }, [value])

  function accept(next: string) {
    setTyped(next)
    const parsed = schema.safeParse(next)
    if (parsed.success) {
      setError(null)
      if (parsed.data !== value) onChange(parsed.data)
    } else setError(parsed.error.issues[0]?.message ?? 'Not possible.')
  }

  const shared = {
    label: props.hideLabel ? undefined : props.label,
    'aria-label': props.hideLabel ? props.label : undefined,
    value: typed,
    onChange: (event: { currentTarget: { value: string } }) => accept(event.currentTarget.value),
    error,
    placeholder: props.placeholder,
    w: props.width,
    disabled: props.disabled,
  }
  return props.multiline ? (
    <Textarea {...shared} autosize minRows={2} maxRows={8} />
  ) : (
    <TextInput {...shared} />
  )
}
