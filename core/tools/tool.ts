import type { z } from 'zod'
import type { Random } from '../random.ts'
import type { Rest } from '../strokes/stroke.ts'

/** What is taken in the hand, in bench words. */
export const instruments = {
  dampBrush: 'barely damp brush',
  dryBrush: 'dry soft brush',
  scribe: 'scribe',
  toothpick: 'toothpick',
  finger: 'fingertip',
  paintBrush: 'fine paint brush',
} as const
export type Instrument = keyof typeof instruments

/** When icing is worked on, in bench words. */
export const whens = {
  wet: 'while it is fresh',
  crusted: 'once it has crusted',
  dry: 'when dry, the next day',
} as const
export type When = keyof typeof whens

/** A point of a stroke as a tool meets it: from the heart of the flower outwards, to the side, and up. */
export interface Point {
  /** From the end of the stroke that is nearest to the heart, 0, to its rim, 1; and the same in mm. */
  out: number
  outMm: number
  /** Whole way from heart to rim, mm. */
  lengthMm: number
  /** To the left of its middle line, seen from the heart, mm; half of its width where it is widest, and so far out, mm. */
  asideMm: number
  halfMm: number
  halfHereMm: number
  /** Above its lowest point, and its whole height, mm. */
  upMm: number
  tallMm: number
  /** Level distance from its own middle, mm. */
  awayMm: number
}

/** What a tool does to a point, mm: icing taken away on top, the whole of it lowered, and drawn towards the heart. */
export interface Moved {
  thinMm: number
  downMm: number
  inMm: number
}

/** A tongue of icing that is pulled out of a ground, from its edge outwards. */
export interface Tongue {
  /** Radians about the middle of the ground. */
  azimuth: number
  lengthMm: number
  widthMm: number
}

/** A mark of food colour on a stroke: a dot, or a fine line from nearer the heart to nearer the rim. */
export interface Mark {
  /** Where it begins and ends between heart, 0, and rim, 1. */
  from: number
  to: number
  /** To the side, as a share of half of the width there: -1 to 1. */
  aside: number
  widthMm: number
}

/** Something that is done to icing that lies already: no icing leaves a bag. */
export interface ToolDefinition<S extends z.ZodObject = z.ZodObject> {
  /** What a decorator does: "draw in". */
  label: string
  schema: S
  /** The usual one first. */
  instruments: readonly Instrument[]
  /** The usual moment first. */
  when: readonly When[]
  /** Strokes that it can be done to: how they come to rest, and whether they are sheets, ropes, or either. */
  rests: readonly Rest[]
  only?: 'sheets' | 'ropes'
  /** Seconds of the hand for one stroke, until somebody has taken the time. */
  secondsEach: number
  /** Moves icing: called once a stroke, and then for every point of it; what it is given back begins at nought. */
  touch?(params: z.infer<S>, random: Random): (at: Point, moved: Moved) => void
  /** Touches the skin of a rope all round, each side otherwise. */
  allRound?: true
  /** Pulls icing out of a ground. */
  tongues?(params: z.infer<S>, random: Random): Tongue[]
  /** Paints. */
  marks?(params: z.infer<S>, random: Random): Mark[]
  words: { how: string; goesWrong: string }
}

/** Rises smoothly from 0 at `a` to 1 at `b`. */
export function ramp(a: number, b: number, x: number): number {
  const s = Math.min(1, Math.max(0, (x - a) / (b - a)))
  return s * s * (3 - 2 * s)
}

/** A groove with soft sides: 1 in its middle, 0 from half of its width on. */
export const groove = (fromMiddleMm: number, widthMm: number): number =>
  1 - ramp(0, widthMm / 2, Math.abs(fromMiddleMm))
