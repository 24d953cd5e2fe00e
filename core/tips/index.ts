import { z } from 'zod'
import { curvedPetal } from './curvedPetal.ts'
import { cutBag } from './cutBag.ts'
import type { Outline, Slot, TipFamily } from './family.ts'
import { halfMoon } from './halfMoon.ts'
import { leaf } from './leaf.ts'
import { multiHole } from './multiHole.ts'
import { petal } from './petal.ts'
import { round } from './round.ts'
import { star } from './star.ts'
import { veeCut } from './veeCut.ts'

/** Every family of openings, in the order they lie in the drawer. */
export const tipFamilies = { round, petal, curvedPetal, halfMoon, star, leaf, multiHole, cutBag, veeCut }
export type TipFamilyName = keyof typeof tipFamilies

export const openingSchema = z.discriminatedUnion('family', [
  round.schema,
  petal.schema,
  curvedPetal.schema,
  halfMoon.schema,
  star.schema,
  leaf.schema,
  multiHole.schema,
  cutBag.schema,
  veeCut.schema,
])
export type Opening = z.infer<typeof openingSchema>

/** The family definition of an opening, for callers that hold any opening. */
export function familyOf(opening: Opening): TipFamily {
  return tipFamilies[opening.family] as unknown as TipFamily
}

const areas = new WeakMap<Opening, number>()

/** Opening area in mm². Remembered per opening: a star's takes a polygon, and every stroke asks for it. */
export function openingArea(opening: Opening): number {
  const known = areas.get(opening)
  if (known !== undefined) return known
  const area = familyOf(opening).areaMm2(opening)
  areas.set(opening, area)
  return area
}

/** Closed outlines of the opening in mm. */
export function openingOutlines(opening: Opening): Outline[] {
  return familyOf(opening).outlines(opening)
}

const slots = new WeakMap<Opening, Slot | null>()

/** The slot of a sheet-drawing opening, null for one that draws tubes. The same object for the same opening. */
export function openingSlot(opening: Opening): Slot | null {
  const known = slots.get(opening)
  if (known !== undefined) return known
  const slot = familyOf(opening).slot(opening)
  slots.set(opening, slot)
  return slot
}

/** The length in mm by which a family's members are ordered and scaled. */
export function openingSize(opening: Opening): number {
  return familyOf(opening).sizeMm(opening)
}

/** Across the whole opening, mm: what makes a stroke wide. */
export function openingSpan(opening: Opening): number {
  return familyOf(opening).spanMm?.(opening) ?? openingSize(opening)
}

/** "petal 13 mm, 2.2 to 0.7": family and figures in words. */
export function describeOpening(opening: Opening): string {
  const family = familyOf(opening)
  return `${family.label} ${family.describe(opening)}`
}

/** Whether what comes out is a round bead. */
export const isRound = ({ family }: Opening): boolean => family === 'round' || family === 'cutBag'

/** "petal 13 mm": the short form that fits under a drawing. */
export function shortOpening(opening: Opening): string {
  const size = Math.round(openingSize(opening) * 10) / 10
  return `${familyOf(opening).label} ${size} mm`
}
