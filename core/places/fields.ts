import { type ChoiceField, choiceFields, type FigureField, figureFields } from '../strokes/fields.ts'
import { ON_LAYER_LABEL, type Places, type PlacesKind, places, placesSchema } from './index.ts'

/** Bench words for where strokes are set. */
const words: Record<string, string> = {
  radiusMm: 'radius',
  tallMm: 'height',
  fromDeg: 'bare on top',
  toDeg: 'down to',
  fromMm: 'begins at',
  middleMm: 'middle at',
  lengthMm: 'length',
  turnDeg: 'bends round',
  angleDeg: 'points aside',
  sides: 'stand',
  wideMm: 'width',
  taper: 'narrower',
  seed: 'another throw',
}

/** What the choices are called. */
export const choiceWords: Record<string, string> = {
  along: 'on the line',
  both: 'in pairs',
  alternate: 'left and right in turn',
  left: 'to the left',
  right: 'to the right',
  starts: 'where its strokes begin',
  ends: 'where its strokes end',
  between: 'over its joins',
}

/** Every way to set strokes, with what it is called. */
export const placesLabels: { kind: PlacesKind; label: string }[] = [
  ...(Object.keys(places) as (keyof typeof places)[]).map((kind) => ({ kind, label: places[kind].label })),
  { kind: 'layer', label: ON_LAYER_LABEL },
]

const schemaOf = (kind: PlacesKind) => placesSchema.options.find((o) => o.shape.kind.value === kind)!

/** The figures of a way to set strokes, and what of it is one of a few ways. */
export const placesFields = (kind: PlacesKind): FigureField[] => figureFields(schemaOf(kind), words)
export const placesChoices = (kind: PlacesKind): ChoiceField[] =>
  choiceFields(schemaOf(kind), { ...words, at: 'stand' })

/** Measures that a way is begun with, mm, for a flower so wide. */
export function begunPlaces(kind: PlacesKind, wideMm: number, layerId: string): Places {
  const mm = (share: number) => Math.max(2, Math.round(wideMm * share))
  const begun: Record<PlacesKind, object> = {
    ring: {},
    dome: { radiusMm: mm(0.4), tallMm: mm(0.3) },
    cone: { radiusMm: mm(0.2), tallMm: mm(0.6) },
    line: { lengthMm: mm(0.9) },
    scatter: { lengthMm: mm(0.9), wideMm: mm(0.6) },
    layer: { layerId },
  }
  return placesSchema.parse({ kind, ...begun[kind] })
}
