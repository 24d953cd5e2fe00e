import type { Stiffness } from '../common.ts'
import { type LaidRope, ropeRadius } from '../solids/laid.ts'
import { depositRope } from './deposit.ts'
import { BAND_MM, type Field, type Nearest } from './field.ts'
import { smoothRow } from './lattice.ts'
import type { Axis } from './piled.ts'
import { footing, groundUnder } from './support.ts'

/** Height of a lying rope over its width: how far it sinks under its own weight before it holds. */
const SUNK: Record<Stiffness, number> = { stiff: 0.86, medium: 0.74, soft: 0.56, writing: 0.5, flood: 0.4 }
/** How deep what is set down sinks into what carries it, mm. */
const SINKS_MM = 0.15
const FOOT_SINKS_MM = 0.3
/** Nothing that was aimed at a place falls further than this, mm. */
const FURTHEST_FALL_MM = 3.5
/** Icing is looked for from so far above where a stroke was aimed, mm. */
const LOOKS_FROM_MM = 4
/** A rope meets itself only where it comes back: nearer behind, in radii, it is the same rope. */
const OWN_RADII = 1.7

/** A rope lies along what is beneath it, what it has itself just laid included. Lays it in the field as it goes. */
export function lieDown(field: Field, rope: LaidRope, stiffness: Stiffness): void {
  const { centres, scale, rings } = rope
  rope.flat = SUNK[stiffness]
  const lower = Math.sqrt(rope.flat)
  const radius = ropeRadius(rope)
  const aimed = Float64Array.from({ length: rings }, (_, t) => centres[t * 3 + 2]!)
  const lifts = new Float64Array(rings)
  let laid = 0
  let along = 0
  const behind: number[] = []
  for (let t = 0; t < rings; t++) {
    const o = t * 3
    if (t > 0) along += Math.hypot(centres[o]! - centres[o - 3]!, centres[o + 1]! - centres[o - 2]!)
    behind.push(along)
    const r = radius * scale[t]!
    while (laid < t && along - behind[laid]! > OWN_RADII * r * 2) {
      depositRope(field, rope, laid, Math.min(laid + 1, t))
      laid++
    }
    const ground = groundUnder(field, centres[o]!, centres[o + 1]!, aimed[t]! + LOOKS_FROM_MM)
    const wanted = ground + r * lower - (ground > 0 ? SINKS_MM : 0)
    lifts[t] = Math.max(-FURTHEST_FALL_MM, wanted - aimed[t]!)
  }
  smoothRow(lifts, 2)
  for (let t = 0; t < rings; t++)
    centres[t * 3 + 2] = Math.max(radius * scale[t]! * lower * 0.9, aimed[t]! + lifts[t]!)
  depositRope(field, rope, laid, rings - 1)
}

/** What was squeezed on the spot sits on what carries it. Lays it in the field. */
export function sitDown(field: Field, rope: LaidRope): void {
  const { centres, scale, rings } = rope
  const [x, y, foot] = [centres[0]!, centres[1]!, centres[2]!]
  const radius = ropeRadius(rope) * scale[0]!
  const ground = footing(field, x, y, radius, foot + LOOKS_FROM_MM)
  const lift = Math.max(-FURTHEST_FALL_MM, ground - foot - (ground > 0 ? FOOT_SINKS_MM : 0))
  for (let t = 0; t < rings; t++) centres[t * 3 + 2] = Math.max(0, centres[t * 3 + 2]! + lift)
  turnIn(field, rope)
}

/** Lays what was squeezed on the spot in the field, as it is. */
export function turnIn(field: Field, rope: LaidRope): void {
  const { centres, scale, rings } = rope
  const heights = Float64Array.from({ length: rings }, (_, t) => centres[t * 3 + 2]!)
  const wide = ropeRadius(rope)
  const radii = scale.map((s) => s * wide)
  field.turn(centres[0]!, centres[1]!, heights, radii)
}

/**
 * Rounds in which a rising rope gives way, and how deep it may lie against what is there, as a share of its radius: all of
 * it at its foot, which was set down among others, so much from halfway on.
 */
const ROUNDS = 6
const LEANS_IN = 0.45
/** Deeper inside than this the slope of what lies there leads nowhere, mm; nearer to the axis than this nothing is outwards. */
const DEEP_MM = 0.3
const ON_AXIS_MM = 0.5
const AMONG_OTHERS = 0.5

/**
 * What rises from a foot is lifted or let down as one, so that its foot stands; then it gives way to what it would pass
 * through, outwards where it is deep inside. Lays it in the field.
 */
export function standUp(field: Field, ropes: readonly LaidRope[], axis: Axis): void {
  const first = ropes[0]!
  const [x, y, foot] = [first.centres[0]!, first.centres[1]!, first.centres[2]!]
  const ground = groundUnder(field, x, y, foot + LOOKS_FROM_MM)
  const lift = Math.max(-FURTHEST_FALL_MM, ground - foot - (ground > 0 ? FOOT_SINKS_MM : 0))
  for (const rope of ropes) {
    for (let t = 0; t < rope.rings; t++) rope.centres[t * 3 + 2]! += lift
    giveWay(field, rope, axis)
  }
  for (const rope of ropes) depositRope(field, rope, 0, rope.rings - 1)
}

function giveWay(field: Field, { centres, scale, rings, outline }: LaidRope, axis: Axis): void {
  const radius = ropeRadius({ outline })
  const near: Nearest = { distance: 0, x: 0, y: 0, z: 0 }
  const moved = [0, 1, 2].map(() => new Float64Array(rings))
  const [mx, my, mz] = moved as [Float64Array, Float64Array, Float64Array]
  for (let round = 0; round < ROUNDS; round++) {
    for (let t = 1; t < rings; t++) {
      const o = t * 3
      const [x, y, z] = [centres[o]! + mx[t]!, centres[o + 1]! + my[t]!, centres[o + 2]! + mz[t]!]
      field.nearest(x, y, z, near)
      const foot = Math.max(0, 1 - t / (rings - 1) / AMONG_OTHERS)
      const need = radius * scale[t]! * (1 - LEANS_IN - 2 * foot) - near.distance
      if (need <= 0 || near.distance >= BAND_MM) continue
      const [ax, ay] = [x - axis.x, y - axis.y]
      const level = Math.hypot(ax, ay)
      const deep = near.distance < -DEEP_MM && level > ON_AXIS_MM
      const [dx, dy, dz] = deep ? [ax / level, ay / level, 0] : [near.x, near.y, near.z]
      const by = 0.8 * Math.min(need, 2)
      mx[t]! += by * dx
      my[t]! += by * dy
      mz[t]! += by * dz
    }
    for (const row of moved) smoothRow(row, 1)
  }
  for (let t = 0; t < rings; t++) {
    centres[t * 3]! += mx[t]!
    centres[t * 3 + 1]! += my[t]!
    centres[t * 3 + 2] = Math.max(0, centres[t * 3 + 2]! + mz[t]!)
  }
}
