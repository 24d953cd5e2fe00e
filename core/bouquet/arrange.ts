import type { BouquetOutline } from '../surfaces/bouquet.ts'
import { boxOf, type Dot } from '../surfaces/outline.ts'
import { layFan } from './fan.ts'
import { fieldOf } from './fields.ts'
import { fill } from './fill.ts'
import { follow } from './follow.ts'

/** Cupcakes stand side by side, their cases hardly touching, mm. */
const BETWEEN_MM = 0.5
/** Stored to so many parts of a mm. */
const STORED = 100

/**
 * Where the cupcakes of a bouquet stand, about their own middle, mm: the same every time.
 * @returns so many of them; of letters as near to it as these come.
 */
export function arrangeBouquet(outline: BouquetOutline, count: number, diameterMm: number): Dot[] {
  const pitch = diameterMm + BETWEEN_MM
  const dots = laid(outline, count, diameterMm, pitch)
  const { left, right, low, high } = boxOf(dots)
  const stored = (mm: number) => Math.round(mm * STORED) / STORED
  return dots
    .map(({ x, y }) => ({ x: stored(x - (left + right) / 2), y: stored(y - (low + high) / 2) }))
    .sort((p, q) => q.y - p.y || p.x - q.x)
}

function laid(outline: BouquetOutline, count: number, diameterMm: number, pitchMm: number): Dot[] {
  if (outline.kind === 'letters') return follow(outline.text, count, pitchMm)
  if (outline.kind === 'fan') return layFan(count, pitchMm)
  return fill(fieldOf(outline), count, diameterMm, pitchMm)
}
