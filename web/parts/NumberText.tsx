import { ActionIcon, TextInput } from '@mantine/core'
import { IconMinus, IconPlus } from '@tabler/icons-react'
import { useEffect, useId, useState } from 'react'
import { readNumber, writeNumber } from '#core/numbers'
import css from './NumberText.module.css'

/** Decimals of the finest step of the arrow keys: a sixteenth is 0.0625. */
const FINEST_STEP = 4

export interface NumberTextProps {
  label: string
  hideLabel?: boolean
  /** Shown above the field where the whole label would say what stands beside it; it is a part of that label. */
  short?: string
  /** Minus and plus beside the number: for counts, which are changed by one more often than typed. */
  counts?: boolean
  unit?: string
  /** What the arrow keys add and take. */
  step?: number
  decimals?: number
  width?: number | string
  disabled?: boolean
  placeholder?: string
  autoFocus?: boolean
}

/**
 * A number typed as text: what somebody types is never thrown away or changed under their hands, however slowly or quickly
 * it comes. `onNumber` is told of every number that can be read, and of null for an emptied field; it answers with what is
 * wrong with it, or null.
 */
export function NumberText(
  props: NumberTextProps & {
    value: number | null
    error?: string | null
    onNumber: (value: number | null) => string | null
  },
) {
  const { value, unit = '', decimals = 3, step = 1, onNumber } = props
  const shown = (number: number | null) => (number === null ? '' : writeNumber(number, decimals))
  const of = useId()
  const [typed, setTyped] = useState(() => shown(value))
  const [error, setError] = useState<string | null>(null)

  // an undo, a remedy or somebody else may change the value from outside; what says the same already stays as it is typed
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new value replaces what is typed
  useEffect(() => {
    setTyped((now) => {
      const read = readNumber(now, unit)
      const same = read.kind === 'number' ? read.value === value : read.kind === 'empty' && value === null
      return same ? now : shown(value)
    })
    setError(null)
  }, [value])

  function accept(text: string) {
    setTyped(text)
    const read = readNumber(text, unit)
    if (read.kind === 'unclear') setError(read.why)
    else setError(onNumber(read.kind === 'number' ? read.value : null))
  }

  function add(by: number) {
    const read = readNumber(typed, unit)
    if (read.kind === 'number') accept(writeNumber(read.value + by, Math.max(decimals, FINEST_STEP)))
  }
  function nudge(event: React.KeyboardEvent) {
    const by = { ArrowUp: step, ArrowDown: -step }[event.key]
    if (by === undefined) return
    event.preventDefault()
    add(by)
  }

  const field = (
    <TextInput
      label={props.hideLabel ? undefined : (props.short ?? props.label)}
      aria-label={props.hideLabel || props.short ? props.label : undefined}
      inputMode="decimal"
      autoComplete="off"
      classNames={{ input: css.input }}
      value={typed}
      error={error ?? props.error}
      placeholder={props.placeholder}
      disabled={props.disabled}
      w={props.counts ? undefined : props.width}
      data-autofocus={props.autoFocus || undefined}
      rightSection={unit ? <span className={css.unit}>{unit}</span> : undefined}
      rightSectionWidth={unit ? unit.length * 8 + 14 : undefined}
      rightSectionPointerEvents="none"
      onChange={(event) => accept(event.currentTarget.value)}
      onKeyDown={nudge}
      onBlur={() => {
        const read = readNumber(typed, unit)
        if (read.kind === 'number' && error === null) setTyped(shown(read.value))
      }}
    />
  )
  if (!props.counts) return field
  return (
    <div className={css.counts} style={{ width: props.width }}>
      <span id={of} className="visuallyHidden">
        {props.label}
      </span>
      <ActionIcon
        variant="outline"
        aria-label="One fewer"
        aria-describedby={of}
        disabled={props.disabled}
        onClick={() => add(-step)}
      >
        <IconMinus size={16} />
      </ActionIcon>
      {field}
      <ActionIcon
        variant="outline"
        aria-label="One more"
        aria-describedby={of}
        disabled={props.disabled}
        onClick={() => add(step)}
      >
        <IconPlus size={16} />
      </ActionIcon>
    </div>
  )
}
