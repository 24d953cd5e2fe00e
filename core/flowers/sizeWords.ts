import { formatLength, type LengthUnit } from '../units.ts'
import type { Extent } from './caliper.ts'

/** Longer than wide by more than this, a thing is known by two figures. */
const LONG = 1.25

/** "39 mm", or "61 × 22 mm" for what is long; in inches where the bakery measures in them. */
export function sizeWords(
  { diameterMm, alongMm, acrossMm }: Omit<Extent, 'heightMm'>,
  unit: LengthUnit = 'millimetres',
): string {
  if (alongMm <= LONG * acrossMm) return formatLength(diameterMm, unit)
  const [along, across] = [formatLength(alongMm, unit), formatLength(acrossMm, unit)]
  return `${along.replace(/ (mm|in)$/, '')} × ${across}`
}
