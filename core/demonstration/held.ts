import type { Stroke, StrokeKind } from '../strokes/index.ts'
import { radians } from '../strokes/stroke.ts'

/** How a bag is held for a stroke, and when the hand lets go of it. */
export interface Held {
  /** The back of the bag points so far from outwards towards the way the hand goes, degrees. */
  leanDeg: number
  /** Height of the bag's back over the table, degrees; 90 is upright. */
  elevationDeg: number
  /** Share of the way at which the squeeze has ended: a pull goes on without it. */
  letGo: number
  /** What its numbers are: squeezed on the spot, a slot that stands or lies, a pull, or a way of some length. */
  told: 'spot' | 'stand' | 'lie' | 'pull' | 'way'
  /** The tip's middle follows the icing's own, whose width changes; elsewhere its wide end does. */
  centred?: true
}

/** A hand never holds a bag quite upright: it could not see the opening. */
const UPRIGHT: Held = { leanDeg: 0, elevationDeg: 82, letGo: 1, told: 'spot' }
const STANDING: Held = { leanDeg: 45, elevationDeg: 35, letGo: 1, told: 'stand' }
const LYING: Held = { leanDeg: 90, elevationDeg: 40, letGo: 1, told: 'lie' }
/** The bag goes before the icing, pulled along. */
const DRAWN: Held = { leanDeg: 0, elevationDeg: 45, letGo: 1, told: 'way' }

/** Lean and height of the bag as the strokes' own words have it ("bag at 45°", "bag low"); the clock is in those words. */
const HELD: Record<StrokeKind, Held> = {
  mound: UPRIGHT,
  dot: UPRIGHT,
  spike: { ...UPRIGHT, letGo: 0.8, told: 'pull' },
  wrap: STANDING,
  petalArc: STANDING,
  ruffle: STANDING,
  wall: STANDING,
  funnel: STANDING,
  fan: LYING,
  disc: LYING,
  brushDrag: { ...LYING, elevationDeg: 30, told: 'way' },
  scoop: { ...DRAWN, told: 'pull', letGo: 0.75, centred: true },
  leafPull: { ...DRAWN, told: 'pull', letGo: 0.85, centred: true },
  outAndBack: { ...DRAWN, told: 'stand' },
  rosette: { ...UPRIGHT, told: 'way' },
  shell: { ...DRAWN, leanDeg: 90, letGo: 0.85 },
  beadTail: { ...DRAWN, leanDeg: 90, letGo: 0.75 },
  dropStar: UPRIGHT,
  drop: { ...UPRIGHT, letGo: 0.9 },
  vine: DRAWN,
  line: DRAWN,
  comma: { ...DRAWN, letGo: 0.9 },
  beadTrail: DRAWN,
  curvedSpike: { ...DRAWN, told: 'pull', elevationDeg: 35, letGo: 0.8 },
  zigzag: { ...UPRIGHT, told: 'way' },
  flood: UPRIGHT,
  grass: { ...UPRIGHT, told: 'pull', letGo: 0.75 },
  // its free edge is to the right of the way, and the bag comes from there
  ribbon: { ...DRAWN, leanDeg: -45, told: 'stand' },
}

export const heldFor = (kind: StrokeKind): Held => HELD[kind]

/**
 * How far the nail turns under a stroke, radians from its placement's azimuth: where it begins and where it ends. What
 * a hand circles or draws by itself turns no nail.
 */
export function nailTurn(stroke: Stroke): readonly [from: number, to: number] {
  switch (stroke.kind) {
    case 'petalArc':
    case 'ruffle':
    case 'fan':
    case 'brushDrag':
      return [-radians(stroke.spanDeg) / 2, radians(stroke.spanDeg) / 2]
    case 'wrap':
    case 'wall':
    case 'funnel':
    case 'disc':
      return [0, 2 * Math.PI * stroke.turns]
    case 'zigzag':
      return [0, radians(stroke.spanDeg)]
    default:
      return [0, 0]
  }
}
