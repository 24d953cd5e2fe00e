import type { z } from 'zod'
import type { Layer } from '#core/model/flower'
import { strokeChoices, strokeFields } from '#core/strokes/fields'
import { strokeDefinition } from '#core/strokes/index'
import { Choice, Figure } from './Figure.tsx'
import { FrillEditor } from './FrillEditor.tsx'

/** The figures of a stroke, each from the stroke's own definition. */
export function StrokeFigures(props: {
  stroke: Layer['stroke']
  change: (key: string, value: unknown) => void
}) {
  const { stroke: of, change: changeStroke } = props
  const stroke = of as unknown as Record<string, number>
  const strokeShape = strokeDefinition(of.kind).schema.shape as unknown as Record<string, z.ZodType<number>>
  return (
    <>
      {strokeChoices(of.kind).map(({ key, words, choices }) => (
        <Choice
          key={key}
          words={words}
          value={String(stroke[key])}
          data={choices.map((value) => ({ value, label: value }))}
          onChange={(value) => changeStroke(key, value)}
        />
      ))}
      {strokeFields(of.kind).map(({ key, ...field }) => (
        <Figure
          key={key}
          {...field}
          value={stroke[key] ?? 0}
          schema={strokeShape[key]!}
          onChange={(value) => changeStroke(key, value)}
        />
      ))}
      {'ripple' in of && (
        <FrillEditor frill={of.ripple} onChange={(ripple) => changeStroke('ripple', ripple)} />
      )}
    </>
  )
}
