import { z } from 'zod'
import { type Stroke, type StrokeKind, strokeDefinition } from './index.ts'

/** The same stroke with every length (`…Mm`) multiplied by `factor`; angles, turns and pressures stay. */
export function scaleStroke<S extends Stroke>(stroke: S, factor: number): S {
  return scaleLengths(stroke, factor)
}

/** The same value with every length (`…Mm`) in it multiplied by `factor`. */
export function scaleLengths<T>(value: T, factor: number): T {
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [
      key,
      typeof inner === 'number' && key.endsWith('Mm') ? inner * factor : scaleLengths(inner, factor),
    ]),
  ) as T
}

/** Figures by which a hand makes a stroke wider or narrower than its opening. */
const PRESSED = ['swell', 'scale', 'fill'] as const

/**
 * The same stroke pressed so much wider, as far as its ranges go: what is piped through a smaller opening than it should
 * be is squeezed more.
 */
export function pressStroke<S extends Stroke>(stroke: S, factor: number): S {
  const ranges = pressedRanges(stroke.kind)
  if (factor === 1 || ranges.length === 0) return stroke
  const pressed = ranges.map(({ key, min, max }) => {
    const now = (stroke as unknown as Record<string, number>)[key]!
    return [key, Math.min(max, Math.max(min, now * factor))]
  })
  return { ...stroke, ...Object.fromEntries(pressed) }
}

/** Whether a stroke can be made narrower than its opening, but no wider. */
export const onlyNarrower = (kind: StrokeKind): boolean =>
  pressedRanges(kind).some(({ key }) => key === 'fill')

interface Range {
  key: string
  min: number
  max: number
}
const known = new Map<StrokeKind, Range[]>()

function pressedRanges(kind: StrokeKind): Range[] {
  const ranges = known.get(kind) ?? readRanges(kind)
  known.set(kind, ranges)
  return ranges
}

function readRanges(kind: StrokeKind): Range[] {
  const { properties = {} } = z.toJSONSchema(strokeDefinition(kind).schema, { io: 'input' })
  return PRESSED.flatMap((key) => {
    const property = properties[key]
    if (typeof property !== 'object' || property.minimum === undefined) return []
    return [{ key, min: property.minimum, max: property.maximum! }]
  })
}
