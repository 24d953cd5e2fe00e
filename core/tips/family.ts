import type { z } from 'zod'

/** A closed outline in millimetres, in the plane of the opening; x runs along a slot from its wide end. */
export type Outline = ReadonlyArray<readonly [xMm: number, yMm: number]>

/** A slot seen from wide end (u = 0) to narrow end (u = 1); what petals, half-moons and leaves are drawn through. */
export interface Slot {
  lengthMm: number
  /** Thickness in mm at u in 0..1, ends rounded. */
  widthAt(u: number): number
  /** How far the slot itself is bent over its whole length, in degrees; 0 for a straight slot. */
  bendDeg: number
}

/**
 * One family of openings. Everything the application knows of a family stands in its definition, so a new
 * family is one file and one line in the index.
 */
export interface TipFamily<S extends z.ZodObject = z.ZodObject> {
  /** The trade's word for it, as shown on screen. */
  label: string
  schema: S
  /** Opening area in mm². */
  areaMm2(opening: z.infer<S>): number
  /** Every closed outline of the opening (several for a multi-hole tip). */
  outlines(opening: z.infer<S>): Outline[]
  /** The one length that scales with the flower, used to find the next size up or down. */
  sizeMm(opening: z.infer<S>): number
  /** Across all of the opening, where that is not the length it is ordered by. */
  spanMm?(opening: z.infer<S>): number
  /** Millimetres in words: "13 mm slot, 2.2 to 0.7". */
  describe(opening: z.infer<S>): string
  /** The slot, for families that draw sheets; null for those that draw tubes. */
  slot(opening: z.infer<S>): Slot | null
}

/** Area in mm² of a closed outline by the shoelace rule. */
export function outlineArea(outline: Outline): number {
  let twice = 0
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i]!
    const b = outline[(i + 1) % outline.length]!
    twice += a[0] * b[1] - b[0] * a[1]
  }
  return Math.abs(twice) / 2
}

/** A circle as a polygon of `points` corners, scaled so that the polygon has the circle's true area. */
export function circleOutline(radiusMm: number, points = 48, xMm = 0, yMm = 0): Outline {
  const step = (2 * Math.PI) / points
  const r = radiusMm * Math.sqrt(step / Math.sin(step))
  return Array.from({ length: points }, (_, i) => [
    xMm + r * Math.cos(i * step),
    yMm + r * Math.sin(i * step),
  ])
}

/** Millimetres with at most one decimal, no trailing zero. */
export function mm(value: number): string {
  return String(Math.round(value * 10) / 10)
}
