import { ColorPicker, Popover, TextInput, UnstyledButton } from '@mantine/core'
import { useEffect, useState } from 'react'
import { readHex } from '#core/colour/typed'
import { EyeDropper } from './EyeDropper.tsx'
import css from './HexInput.module.css'

/**
 * A colour typed as #rrggbb, slowly or pasted, or picked. What is typed stays as it is until it is a colour; only real
 * changes are told, so that leaving the field is no step to undo.
 */
export function HexInput(props: {
  label: string
  hideLabel?: boolean
  value: string
  onChange: (hex: string) => void
  width?: number
}) {
  const { label, value, onChange } = props
  const [typed, setTyped] = useState(value)
  const [error, setError] = useState<string | null>(null)

  // an undo or somebody else may change the colour; what says the same already stays as it is typed
  useEffect(() => {
    setTyped((now) => (readHex(now) === value.toLowerCase() ? now : value))
    setError(null)
  }, [value])

  function tell(hex: string) {
    if (hex !== value.toLowerCase()) onChange(hex)
  }
  function accept(text: string) {
    setTyped(text)
    setError(null)
    const hex = readHex(text)
    // three digits may be the first half of six: they count when the field is left
    if (hex && text.trim().length >= 6) tell(hex)
  }
  return (
    <TextInput
      label={props.hideLabel ? undefined : label}
      aria-label={props.hideLabel ? label : undefined}
      w={props.width}
      value={typed}
      error={error}
      autoComplete="off"
      spellCheck={false}
      onChange={(event) => accept(event.currentTarget.value)}
      onBlur={() => {
        const hex = readHex(typed)
        if (hex) {
          setTyped(hex)
          tell(hex)
        } else setError('Use a colour like #a8510f.')
      }}
      leftSection={
        <Popover position="bottom-start" withinPortal>
          <Popover.Target>
            <UnstyledButton
              className={css.swatch}
              aria-label="Open the colour picker"
              style={{ background: readHex(typed) ?? value }}
            />
          </Popover.Target>
          <Popover.Dropdown>
            <ColorPicker
              format="hex"
              value={value}
              onChange={(picked) => {
                const hex = readHex(picked)
                if (!hex) return
                setTyped(hex)
                setError(null)
                tell(hex)
              }}
            />
          </Popover.Dropdown>
        </Popover>
      }
      rightSection={<EyeDropper picked={accept} />}
    />
  )
}
