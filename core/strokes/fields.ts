import { z } from 'zod'
import { type StrokeKind, strokeDefinition } from './index.ts'

/** A figure of a stroke, or of where it is set, that a person can set. */
export interface FigureField {
  key: string
  /** The bench word for it. */
  words: string
  unit: 'mm' | '°' | ''
  min: number
  max: number
  step: number
}

/** One of a few ways. */
export interface ChoiceField {
  key: string
  words: string
  choices: readonly string[]
}

/** Bench words for parameters; strokes that share a parameter share its word. */
const words: Record<string, string> = {
  rimMm: 'edge lies at',
  lobes: 'points',
  lobeDepth: 'notches',
  drawMm: 'drawn in',
  deepMm: 'depth',
  beads: 'beads',
  ampMm: 'swings',
  archMm: 'rises',
  curlDeg: 'cups',
  dropMm: 'ends dip',
  endRingMm: 'ring at the end',
  endScale: 'ease at the ends',
  fallMm: 'runs down',
  fill: 'slot filled',
  flow: 'pressure',
  leanDeg: 'leans out',
  lengthMm: 'length',
  liftDeg: 'lifts',
  lipDeg: 'rim rolls',
  outMm: 'reaches out',
  outerMm: 'radius',
  overlapMm: 'tucks under',
  point: 'point',
  radiusMm: 'radius',
  riseEndDeg: 'lift at the end',
  riseMm: 'climbs',
  riseStartDeg: 'lift at the start',
  scale: 'swell',
  sideMm: 'way back beside',
  spanDeg: 'sweep',
  spinDeg: 'turn of the wrist',
  startScale: 'ease at the start',
  swell: 'swell',
  tallMm: 'height',
  taper: 'taper',
  tiltEndDeg: 'tilt at the ends',
  tiltFootDeg: 'tilt at the foot',
  tiltMidDeg: 'opens',
  tiltRimDeg: 'flares',
  tiltStartDeg: 'tilt at the start',
  topMm: 'radius on top',
  trough: 'vein lies deep',
  turnDeg: 'bends round',
  turns: 'turns',
  waveMm: 'swings',
  waves: 'waves',
  widthScale: 'width',
}

/** The numeric figures of a stroke with their ranges, read from its own schema. */
export const strokeFields = (kind: StrokeKind): FigureField[] =>
  figureFields(strokeDefinition(kind).schema, words)

/** What of a stroke is one of a few ways. */
export const strokeChoices = (kind: StrokeKind): ChoiceField[] =>
  choiceFields(strokeDefinition(kind).schema, { shape: 'shape' })

/** The figures that a schema asks for, with their ranges. */
export function figureFields(schema: z.ZodObject, said: Readonly<Record<string, string>>): FigureField[] {
  return propertiesOf(schema).flatMap(([key, property]) => {
    if (property.type !== 'number' && property.type !== 'integer') return []
    const { minimum = 0, maximum = 100 } = property
    const unit = key.endsWith('Mm') ? ('mm' as const) : key.endsWith('Deg') ? ('°' as const) : ('' as const)
    const step =
      unit === '°' || property.type === 'integer'
        ? 1
        : maximum - minimum > 20
          ? 0.5
          : maximum - minimum > 4
            ? 0.1
            : 0.05
    return [{ key, words: said[key] ?? key, unit, min: minimum, max: maximum, step }]
  })
}

/** What a schema asks for that is one of a few ways. */
export function choiceFields(schema: z.ZodObject, said: Readonly<Record<string, string>>): ChoiceField[] {
  return propertiesOf(schema).flatMap(([key, property]) =>
    property.enum ? [{ key, words: said[key] ?? key, choices: property.enum.map(String) }] : [],
  )
}

const propertiesOf = (schema: z.ZodObject) =>
  Object.entries(z.toJSONSchema(schema, { io: 'input' }).properties ?? {}).flatMap(([key, property]) =>
    typeof property === 'object' ? [[key, property] as const] : [],
  )
