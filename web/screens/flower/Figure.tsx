import { Select, Slider } from '@mantine/core'
import type { z } from 'zod'
import { NumberField } from '../../parts/NumberField.tsx'
import css from './Studio.module.css'

/** A figure that is slid to try and typed to be sure; typed, it may go as far as its schema lets it. */
export function Figure(props: {
  words: string
  unit: string
  value: number
  min: number
  max: number
  step: number
  schema: z.ZodType<number>
  onChange: (value: number) => void
}) {
  const { words, unit, value, min, max, step, schema, onChange } = props
  return (
    <div className={css.slider}>
      <span>{words}</span>
      <Slider
        thumbLabel={`${words}, slid`}
        color="ink"
        size="sm"
        label={null}
        // a recipe may go beyond what the slider shows; it is not pulled back
        min={Math.min(min, value)}
        max={Math.max(max, value)}
        step={step}
        value={value}
        onChange={onChange}
      />
      <NumberField
        hideLabel
        label={words}
        unit={unit}
        decimals={2}
        step={step}
        value={value}
        schema={schema}
        onChange={onChange}
      />
    </div>
  )
}

/** One of a few ways, beside its word as figures are. */
export function Choice(props: {
  words: string
  value: string
  data: { value: string; label: string }[]
  onChange: (value: string) => void
}) {
  return (
    <div className={css.choice}>
      <span>{props.words}</span>
      <Select
        aria-label={props.words}
        size="sm"
        allowDeselect={false}
        value={props.value}
        data={props.data}
        onChange={(value) => value && props.onChange(value)}
      />
    </div>
  )
}
