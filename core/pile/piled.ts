import type { Stiffness } from '../common.ts'
import type { Spot } from '../places/spot.ts'
import type { Laid } from '../solids/laid.ts'
import type { Stroke } from '../strokes/index.ts'
import type { Placement } from '../strokes/stroke.ts'
import type { Opening } from '../tips/index.ts'
import type { Work } from '../tools/index.ts'

/** A layer as it is piled: one stroke, piped at so many places. */
export interface PileLayer {
  stroke: Stroke
  opening: Opening
  stiffness: Stiffness
  ringMm: number
  heightMm: number
  /** Where its strokes are set, in the order in which they are piped. */
  spots: readonly Spot[]
  /** What is done to its strokes with a tool, in that order; `fresh` before the next layer is piped. */
  works: readonly { work: Work; fresh: boolean }[]
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
  /** As it came to rest before any tool was at it: `laid` itself where none was. */
  rested: Laid[]
  /** So many of its bodies, the last ones, were pulled out of it by a tool. */
  tongues: number
}

/** The tools that were at a stroke, and the seed of the hand that held them. */
export const worksOf = ({ works }: PileLayer): Work[] => works.map((w) => w.work)
/** What a tool has been at is cut so much more finely, piled and drawn: a groove is narrower than a petal's cells. */
const TOOLED = 1.4
/** The detail at which a layer is cut, where a flower is cut at `detail`. */
export const cutOf = ({ works }: PileLayer, detail: number): number =>
  works.length > 0 ? detail * TOOLED : detail
export const workSeed = ({ slips }: Pick<PiledStroke, 'slips'>): number => slips ?? 0

/** The upright that a stroke stands round, mm. */
export interface Axis {
  x: number
  y: number
}

/** Detail at which strokes are piled, whatever they are drawn at: what is claimed must not depend on the picture. */
export const PILE_DETAIL = 0.6
