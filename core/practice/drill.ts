import type { Stiffness } from '../common.ts'
import type { Opening } from '../tips/index.ts'
import { onNail, type Point } from './attempt.ts'
import { known } from './numbers.ts'

/** Where the hand is on its way at a moment of a stroke, and how hard it squeezes; between two of them all goes evenly. */
export interface Key {
  /** Seconds since the tip touched. */
  t: number
  /** Share of the way, 0 to 1. */
  at: number
  squeeze: number
}

/** One stroke as it should be: a way over the sheet (or the nail) and how it is gone. */
export interface DrillStroke {
  /** Even steps of at most a quarter of a millimetre; one point alone where the tip stays on the spot. */
  path: readonly Point[]
  /** How far the nail is turned at each point of the way, radians; nothing where none is turned. */
  nails?: readonly number[]
  keys: readonly Key[]
}

/** A nail under a drill. */
export interface DrillNail {
  middle: Point
  radiusMm: number
}

/** Something to practise, as a steady hand would do it. */
export interface Drill {
  id: string
  label: string
  /** One sentence: what to do. */
  does: string
  opening: Opening
  stiffness: Stiffness
  /** The sheet it needs, mm. */
  wide: number
  high: number
  nail: DrillNail | null
  /** What half a squeeze gives, mm³/s. */
  flow: number
  /** Height over width of what is laid, where the opening decides it and not the icing. */
  heightShare: number | null
  /** Section of what is wanted, mm², where a recipe lays more or less than the opening lets through; else the opening's. */
  section: number | null
  /**
   * What is looked at: one long rope, the same thing again and again, or strokes that each go their own way. Of things again and
   * again, those that stay on the spot are `spots`.
   */
  looks: 'rope' | 'row' | 'spots' | 'strokes'
  /** The last one meets the first. */
  closes: boolean
  strokes: readonly DrillStroke[]
}

/** Where a stroke is on its way at a second, and its squeeze. */
export function keyAt({ keys }: DrillStroke, t: number): Key {
  const times = keys.map((k) => k.t)
  return {
    t,
    at: known(times, (i) => keys[i]!.at, t),
    squeeze: known(times, (i) => keys[i]!.squeeze, t),
  }
}

export const secondsOf = ({ keys }: DrillStroke): number => keys.at(-1)!.t

/** The point of a path at a share of its way. */
export function pointAt(path: readonly Point[], share: number): Point {
  const [i, rest] = placeAt(path.length, share)
  const [a, b] = [path[i]!, path[i + 1] ?? path[i]!]
  return { x: a.x + (b.x - a.x) * rest, y: a.y + (b.y - a.y) * rest }
}

/** How far the nail is turned at a share of a stroke's way, radians. */
export function nailAt({ nails }: DrillStroke, share: number): number {
  if (!nails) return 0
  const [i, rest] = placeAt(nails.length, share)
  const [a, b] = [nails[i]!, nails[i + 1] ?? nails[i]!]
  return a + (b - a) * rest
}

function placeAt(count: number, share: number): [i: number, rest: number] {
  const at = Math.min(1, Math.max(0, share)) * (count - 1)
  const i = Math.max(0, Math.min(count - 2, Math.floor(at)))
  return [i, at - i]
}

/** Where the hand is over the table at a share of a stroke's way: a point of the nail, turned with it. */
export function handAt(drill: Drill, stroke: DrillStroke, share: number): Point {
  const place = pointAt(stroke.path, share)
  return drill.nail ? onNail(place, -nailAt(stroke, share), drill.nail.middle) : place
}

export const lengthOf = (path: readonly Point[]): number =>
  path.reduce((sum, p, i) => (i === 0 ? 0 : sum + Math.hypot(p.x - path[i - 1]!.x, p.y - path[i - 1]!.y)), 0)
