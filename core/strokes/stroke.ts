import type { z } from 'zod'
import type { Seat } from '../geometry/seat.ts'
import type { SheetPath } from '../geometry/sheet.ts'
import type { TubePath } from '../geometry/tube.ts'
import type { TipFamilyName } from '../tips/index.ts'

/** Where one stroke of a layer starts: on a ring around the flower's axis, at a height, at an azimuth. */
export interface Placement {
  ringMm: number
  heightMm: number
  /** Radians, counter-clockwise from +x. */
  azimuth: number
  /** Where that axis stands, if it is not the flower's. */
  seat?: Seat | null
}

/** What a stroke needs to know of the opening it is piped through. */
export interface OpeningFacts {
  /** Across a round or star opening, or along a slot. */
  sizeMm: number
  areaMm2: number
  /** Bend of the slot itself, degrees. */
  bendDeg: number
}

/** A stroke in place: one of the two primitives, sheet or tube. */
export type Trace =
  /** `vee`: how deep the middle of the sheet lies below its two edges, as a share of its width; leaves only. */
  | { primitive: 'sheet'; path: SheetPath; flow: number; vee?: number }
  | { primitive: 'tube'; path: TubePath; flow: number }

/** The bench words of a stroke, for a right hand; the left hand mirrors the clock. */
export interface BenchWords {
  hold: string
  /** Clock position the back of the bag points to, 1 to 12; null where it does not matter. */
  clock: number | null
  pressure: string
  stop: string
  /** How it looks when it goes wrong, why, and what to do. */
  goesWrong: readonly string[]
}

/** What the eye makes of a stroke without looking closely. */
export const textures = ['lying', 'standing', 'ruffled', 'spiked', 'swirled', 'dotted', 'leaf'] as const
export type Texture = (typeof textures)[number]

/**
 * How a stroke comes to rest on what is there: it sits where it was squeezed, rises from a foot, lies along what is beneath
 * it, coils upon itself, stands against what is inside it, or spreads over the ground.
 */
export type Rest = 'sits' | 'rises' | 'lies' | 'coils' | 'stands' | 'spreads'

/** Where a sheet merges with other icing on purpose: at its wide end or where it begins, by so much of its thickness. */
export interface Meeting {
  at: 'wideEnd' | 'start'
  share: number
  /** Nothing merges beyond this share of the slot, or of the stroke. */
  upTo: number
}

/** One stroke of the alphabet: its parameters, path, pace and words. */
export interface StrokeDefinition<S extends z.ZodObject = z.ZodObject> {
  /** The trade's word for it. */
  label: string
  schema: S
  families: readonly TipFamilyName[]
  /** True where the hand makes the shape, so that a larger one is piped with the same tip. */
  freeOpening: boolean
  /** True where the petal stands by itself, so that the icing must hold it up. */
  upright?: boolean
  /** How it reads from a step away; a rippled petal reads as ruffled, whatever its stroke. */
  texture: Texture
  rests: Rest
  /** Where it is meant to run into what lies there. */
  meets?: Meeting
  /** Squeezed on the spot, so that icing runs round whatever the opening: a mound rises, a dot sits. */
  squeezed?: 'mound' | 'dot'
  /** A petal of a row that lies, its foot at the centre, or of a row that closes around the flower. */
  petal?: 'lying' | 'closing'
  /** Stands round what is inside it in one piece. */
  walls?: true
  /** Ties what stands on it together at the foot, so that the flower can be lifted. */
  foots?: true
  /** Is scraped off or falls apart when it is lifted from a nail. */
  fragile?: true
  /** So small a touch that it holds its shape one stiffness softer or stiffer. */
  small?: true
  /** How often the path goes round, to and fro or up and down between its ends: what its steps must follow. */
  cycles?(params: z.infer<S>): number
  /** Path and pressure of one stroke. */
  trace(params: z.infer<S>, at: Placement, opening: OpeningFacts): Trace
  /** Speed of the hand along the path, mm/s, and what every single stroke takes besides (place, stop, turn), s. */
  speedMmPerS: number
  overheadSeconds: number
  words: BenchWords
}

export const radians = (deg: number): number => (deg * Math.PI) / 180
export const lerp = (a: number, b: number, t: number): number => a + (b - a) * t

/** Rises from 0 to 1 and back over a stroke, flat-topped: `sin(πt)^power`. */
export const bump = (t: number, power: number): number =>
  Math.max(0, Math.sin(Math.PI * Math.min(1, Math.max(0, t)))) ** power
