import type { LaidSheet } from '../solids/laid.ts'
import { BAND_MM, type Field, type Nearest } from './field.ts'
import { pointAreas, pointsOf, smoothRow, smoothVectors } from './lattice.ts'
import type { Axis } from './piled.ts'

/** How a sheet gives way to the icing that lies already. */
export interface Yielding {
  /** What it stands round: outwards is away from it. */
  axis: Axis
  /** Deep inside other icing, a petal that stands leans outwards, another is lifted. */
  way: 'outwards' | 'upwards'
  /** How deep it may merge with what lies already, mm, for a point so far across the slot and along the stroke. */
  merges(u: number, t: number, thickMm: number): number
  /** The wide end falls until it stands on something. */
  sags: boolean
}

/** Rounds of pushing out and evening out: sixteen hardly beat eight. */
const ROUNDS = 8
/** Nearer to its axis than this nothing is outwards, mm. */
const ON_AXIS_MM = 0.5
/** How much of the way to its neighbours' mean a point goes when a round is evened out, and in the last one. */
const EVENED = 0.5
const LAST_EVENED = 0.25
/** Share of the way out that a round goes. */
const STEP = 0.8
/** Within so much of a surface its slope leads out, mm; deeper in it leads anywhere, and a sheet that lies is lifted only. */
const SHALLOW_MM = -0.15
/** Nothing asks to be further away than the field knows, mm. */
const KNOWN_MM = 0.9 * BAND_MM
/** Furthest that a point is pushed, mm, and how finely the way out is felt for. */
const FURTHEST_MM = 4
const FEEL_MM = 0.4
/** How much of its own thickness a point keeps above the table: its edges are round. */
const OVER_TABLE = { inside: 0.35, edge: 0.4 }
/** A foot with nothing beneath it falls no further than this, mm; at two thirds of the slot nothing follows. */
const FURTHEST_SAG_MM = 3.5
const SAGS_UP_TO = 0.7
/** Icing is neither drawn out nor pushed together by more than this where a petal is bent. */
const THINNEST = 0.65
const THICKEST = 1.3

/**
 * Lets a part of a sheet give way to the icing in the field, in place: its rings from one to another. What comes after
 * goes along with the last of them until it is its turn.
 */
export function relax(laid: LaidSheet, field: Field, how: Yielding, from: number, to: number): void {
  const { points, thick, tSteps, uSteps } = laid
  const row = uSteps + 1
  const n = pointsOf(laid)
  const [first, end] = [from === 0 ? 0 : (from + 1) * row, (to + 1) * row]
  const aimed = Float64Array.from(points)
  const areas = pointAreas(points, tSteps, uSteps)
  const moved = new Float64Array(n * 3)
  const near: Nearest = { distance: 0, x: 0, y: 0, z: 0 }
  for (let round = 0; round < ROUNDS; round++) {
    const last = round === ROUNDS - 1
    if (how.sags && round === ROUNDS - 3) seat(laid, field, how.axis, moved, aimed, from, to)
    for (let v = first; v < end; v++) {
      const o = v * 3
      const [x, y, z] = [aimed[o]! + moved[o]!, aimed[o + 1]! + moved[o + 1]!, aimed[o + 2]! + moved[o + 2]!]
      field.nearest(x, y, z, near)
      const merges = how.merges((v % row) / uSteps, Math.floor(v / row) / tSteps, thick[v]!)
      const clear = Math.min(KNOWN_MM, thick[v]! / 2 - merges)
      const need = clear - near.distance
      if (need <= 0 || near.distance >= BAND_MM) continue
      if (near.distance >= SHALLOW_MM && !laid.flat) {
        moved[o]! += STEP * need * near.x
        moved[o + 1]! += STEP * need * near.y
        moved[o + 2]! += STEP * need * near.z
        continue
      }
      const [ax, ay] = [x - how.axis.x, y - how.axis.y]
      const level = Math.hypot(ax, ay)
      const out = how.way === 'outwards' && level > ON_AXIS_MM
      const [dx, dy, dz] = out ? [ax / level, ay / level, 0] : [0, 0, 1]
      const far = wayOut(field, x, y, z, dx, dy, dz, clear)
      moved[o]! += STEP * far * dx
      moved[o + 1]! += STEP * far * dy
      moved[o + 2]! += STEP * far * dz
    }
    smoothVectors(laid, moved, last ? LAST_EVENED : EVENED)
    if (!last) smoothVectors(laid, moved, EVENED)
    moved.fill(0, 0, first * 3)
    for (let t = to + 1; t <= tSteps; t++) moved.copyWithin(t * row * 3, to * row * 3, end * 3)
    for (let v = first; v < n; v++) {
      const o = v * 3
      const edge = v % row === 0 || v % row === uSteps
      const least = thick[v]! * (edge ? OVER_TABLE.edge : OVER_TABLE.inside)
      if (aimed[o + 2]! + moved[o + 2]! < least) moved[o + 2] = least - aimed[o + 2]!
    }
  }
  for (let k = 0; k < n * 3; k++) points[k] = aimed[k]! + moved[k]!
  const after = pointAreas(points, tSteps, uSteps)
  for (let v = first; v < end; v++)
    thick[v]! *= Math.min(THICKEST, Math.max(THINNEST, areas[v]! / Math.max(1e-6, after[v]!)))
}

/** How far it is in a direction until so much is clear, mm; the furthest where it never is. */
function wayOut(
  field: Field,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
  clear: number,
): number {
  for (let s = FEEL_MM; s < FURTHEST_MM; s += FEEL_MM)
    if (field.at(x + s * dx, y + s * dy, z + s * dz) >= clear) return s
  return FURTHEST_MM
}

/** A foot slides down along icing that it is pressed into no deeper than this, mm. */
const SLIDES_MM = 0.5
/** A foot that touches nothing is pressed so far inwards, mm, where that brings it to something. */
const FURTHEST_IN_MM = 2.5

/** Brings the wide end of a standing petal to what is there: inwards against it, or down onto it. */
function seat(
  { thick, tSteps, uSteps }: LaidSheet,
  field: Field,
  axis: Axis,
  moved: Float64Array,
  aimed: Float64Array,
  from: number,
  to: number,
): void {
  const row = uSteps + 1
  const drops = new Float64Array(tSteps + 1)
  const ins = new Float64Array(tSteps + 1)
  for (let t = from; t <= to; t++) {
    const o = t * row * 3
    const [x, y, z] = [aimed[o]! + moved[o]!, aimed[o + 1]! + moved[o + 1]!, aimed[o + 2]! + moved[o + 2]!]
    const half = thick[t * row]! / 2
    const [ax, ay] = [x - axis.x, y - axis.y]
    const level = Math.hypot(ax, ay)
    if (z <= half) continue
    const touches = field.at(x, y, z) <= half
    let inwards = 0
    if (!touches) {
      const limit = Math.min(FURTHEST_IN_MM, level - half)
      inwards = FEEL_MM
      while (inwards < limit && field.at(x - (ax / level) * inwards, y - (ay / level) * inwards, z) > half)
        inwards += FEEL_MM
      if (inwards >= limit) inwards = 0
    }
    ins[t] = inwards
    // along what it leans on, it slides down as far as that lets it
    const [ix, iy] = [x - (ax / level || 0) * inwards, y - (ay / level || 0) * inwards]
    let drop = 0
    while (
      drop < FURTHEST_SAG_MM &&
      z - drop > half &&
      field.at(ix, iy, z - drop - FEEL_MM) > half - SLIDES_MM
    )
      drop += FEEL_MM
    drops[t] = Math.min(drop, Math.max(0, z - half))
  }
  smoothRow(drops, 4)
  smoothRow(ins, 2)
  for (let t = from; t <= to; t++)
    for (let u = 0; u <= uSteps; u++) {
      const weight = Math.max(0, 1 - u / uSteps / SAGS_UP_TO) ** 1.5
      const o = (t * row + u) * 3
      const [x, y] = [aimed[o]! + moved[o]! - axis.x, aimed[o + 1]! + moved[o + 1]! - axis.y]
      const level = Math.hypot(x, y) || 1
      moved[o]! -= (x / level) * ins[t]! * weight
      moved[o + 1]! -= (y / level) * ins[t]! * weight
      moved[o + 2]! -= drops[t]! * weight
    }
}
