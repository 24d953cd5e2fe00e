import type { z } from 'zod'
import type { Flower, Layer } from '#core/model/flower'
import { begunPlaces, choiceWords, placesChoices, placesFields, placesLabels } from '#core/places/fields'
import { type Places, type PlacesKind, placesSchema } from '#core/places/index'
import { Choice, Figure } from './Figure.tsx'

/** How far strokes, or whole florets, stand from each of their places; in the ranges a hand would try. */
const round = [
  { key: 'ringMm', words: 'ring', unit: 'mm', min: 0, max: 40, step: 0.1 },
  { key: 'heightMm', words: 'starts at', unit: 'mm', min: -5, max: 30, step: 0.1 },
  { key: 'startDeg', words: 'turned by', unit: '°', min: -180, max: 360, step: 1 },
  { key: 'spreadDeg', words: 'spread over', unit: '°', min: 1, max: 360, step: 1 },
] as const

/** What may be set somewhere: a layer or a floret. */
type Set = Pick<Layer, 'ringMm' | 'heightMm' | 'startDeg' | 'spreadDeg' | 'at'>

/** Where a layer or a floret is set: the way, its measures, and the ring round each place. */
export function PlacesEditor(props: {
  set: Set
  /** Layers that it may be set on. */
  carriers: Flower['layers']
  wideMm: number
  shape: { [K in (typeof round)[number]['key']]: z.ZodType<number> }
  change: (label: string, part: Partial<Set>) => void
}) {
  const { set, carriers, wideMm, shape, change } = props
  const { at } = set
  const kinds = placesLabels.filter(({ kind }) => kind !== 'layer' || carriers.length > 0)
  const own = placesSchema.options.find((o) => o.shape.kind.value === at.kind)!.shape as Record<
    string,
    z.ZodType
  >
  const values = at as unknown as Record<string, number | string>
  const setAt = (key: string, value: number | string) =>
    change(`at ${key}`, { at: { ...at, [key]: value } as Places })
  return (
    <>
      <Choice
        words="set"
        value={at.kind}
        data={kinds.map(({ kind, label }) => ({ value: kind, label }))}
        onChange={(kind) =>
          change('at', {
            at: begunPlaces(kind as PlacesKind, wideMm, carriers.at(-1)?.id ?? ''),
            // what stood on a ring stands on its new places, not beside them
            ...(at.kind === 'ring' ? { ringMm: 0 } : {}),
          })
        }
      />
      {at.kind === 'layer' && (
        <Choice
          words="on"
          value={at.layerId}
          data={carriers.map((l) => ({ value: l.id, label: l.name }))}
          onChange={(layerId) => setAt('layerId', layerId)}
        />
      )}
      {placesChoices(at.kind).map(({ key, words, choices }) => (
        <Choice
          key={key}
          words={words}
          value={String(values[key] ?? choices[0])}
          data={choices.map((value) => ({ value, label: choiceWords[value] ?? value }))}
          onChange={(value) => setAt(key, value)}
        />
      ))}
      {placesFields(at.kind).map(({ key, ...field }) => (
        <Figure
          key={key}
          {...field}
          // as far as anybody tries; typed it may be more
          max={field.unit === 'mm' ? Math.min(field.max, MOST_SLID_MM) : field.max}
          min={field.unit === 'mm' ? Math.max(field.min, -MOST_SLID_MM) : field.min}
          value={Number(values[key])}
          schema={own[key] as z.ZodType<number>}
          onChange={(value) => setAt(key, value)}
        />
      ))}
      {round.map(({ key, ...figure }) => (
        <Figure
          key={key}
          {...figure}
          value={set[key]}
          schema={shape[key]}
          onChange={(value) => change(key, { [key]: value })}
        />
      ))}
    </>
  )
}

/** Sliders of places go so far, mm. */
const MOST_SLID_MM = 60
