import type { Allergen } from '../common.ts'
import type { SurfaceKind } from '../surfaces/index.ts'
import type { Span } from './spans.ts'

/** A flower of a line. */
export interface MeantFlower {
  flowerId: string
  /** On each piece. */
  count: number
  size: 'big' | 'small' | number | null
  colour: MeantColour | null
  /** Of a border. */
  edge: 'top' | 'foot'
}

export interface MeantColour {
  name: string
  hex: string
}

/** A kind of piece of a line, with what goes on it. */
export interface MeantPiece {
  kind: SurfaceKind
  count: number
  /** As they were said, the widest first; none where the usual ones are meant. */
  mm: number[]
  /** Said as "by": the second is not another tier. */
  times: boolean
  digits: string | null
  /** Of a cake, where that was said. */
  tiers: number | null
  flowers: MeantFlower[]
  schoolId: string | null
}

/** A stretch of the line and what it was taken for. */
export interface Chip extends Span {
  kind: 'piece' | 'flower' | 'measure' | 'colour' | 'school' | 'border' | 'day' | 'avoid' | 'number'
  says: string
  /** Taken for likely, not said: to be looked at. */
  guess: boolean
  /** What else it may be: words to stand in the place of its own. */
  others: string[]
  /** Where its own word stands, without its number. */
  word: Span
}

/** What was made of a line. */
export interface LineRead {
  pieces: MeantPiece[]
  /** A moment like 2026-11-28T11:00. */
  day: string | null
  avoid: Allergen[]
  colours: MeantColour[]
  chips: Chip[]
  /** What nobody could make out, in the order of the line. */
  missed: Span[]
}
