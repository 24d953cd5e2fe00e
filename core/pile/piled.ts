import type { Stiffness } from '../common.ts'
import type { Spot } from '../places/spot.ts'
import type { Laid } from '../solids/laid.ts'
import type { Stroke } from '../strokes/index.ts'
import type { Placement } from '../strokes/stroke.ts'
import type { Opening } from '../tips/index.ts'

/** A layer as it is piled: one stroke, piped at so many places. */
export interface PileLayer {
  stroke: Stroke
  opening: Opening
  stiffness: Stiffness
  ringMm: number
  heightMm: number
  /** Where its strokes are set, in the order in which they are piped. */
  spots: readonly Spot[]
}

/** One stroke as it came to rest. */
export interface PiledStroke {
  layer: number
  /** Place of the stroke in its layer. */
  index: number
  /** Where the hand set it down, and the number that its slips come from; null for a steady hand. */
  at: Placement
  slips: number | null
  /** As it was aimed, and as it lies now: the same bodies, cut alike. */
  aimed: Laid[]
  laid: Laid[]
}

/** The upright that a stroke stands round, mm. */
export interface Axis {
  x: number
  y: number
}

/** Detail at which strokes are piled, whatever they are drawn at: what is claimed must not depend on the picture. */
export const PILE_DETAIL = 0.6
