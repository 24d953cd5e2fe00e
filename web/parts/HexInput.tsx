import { ColorInput, type ColorInputProps } from '@mantine/core'
import { hexSchema } from '#core/model/common'

/**
 * A colour as #rrggbb. Tells only of real changes: the field below says its last value again whenever it is left, which
 * must not become a step to undo.
 */
export function HexInput(
  props: Omit<ColorInputProps, 'value' | 'onChange' | 'format'> & {
    value: string
    onChange: (hex: string) => void
  },
) {
  const { value, onChange, ...rest } = props
  return (
    <ColorInput
      {...rest}
      format="hex"
      value={value}
      onChange={(typed) => {
        const hex = typed.toLowerCase()
        if (hexSchema.safeParse(hex).success && hex !== value.toLowerCase()) onChange(hex)
      }}
    />
  )
}
