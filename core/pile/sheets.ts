import type { LaidSheet } from '../solids/laid.ts'
import type { StrokeDefinition } from '../strokes/stroke.ts'
import { depositSheet } from './deposit.ts'
import type { Field } from './field.ts'
import type { Axis } from './piled.ts'
import { relax, type Yielding } from './relax.ts'
import { groundUnder } from './support.ts'

/** Icing that is pressed on icing merges so deep, mm. */
const MERGES_MM = 0.15
/** More than this of a turn, a sheet meets its own beginning. */
const OWN_TURN = 1.02
/** It is laid in parts of so many turns, and what lies nearer behind the tip than this is not met yet. */
const PART_TURNS = 0.5
const BEHIND_TURNS = 0.4
/** Part of a stroke over which it is lifted off the table together. */
const LIFT_SPAN = 0.12

/** A sheet comes to rest among the icing of the field, and is laid there. */
export function settleSheet(
  field: Field,
  laid: LaidSheet,
  definition: StrokeDefinition,
  cycles: number,
  axis: Axis,
): void {
  const { rests, meets } = definition
  const how: Yielding = {
    axis,
    way: rests === 'stands' && !definition.walls ? 'outwards' : 'upwards',
    sags: rests === 'stands' && !definition.walls,
    merges: (u, t, thick) => {
      if (!meets) return MERGES_MM
      const along = (meets.at === 'wideEnd' ? u : t) / meets.upTo
      return MERGES_MM + meets.share * thick * Math.max(0, 1 - along)
    },
  }
  if (rests !== 'stands') liftOffTable(laid)
  if (definition.walls) standOn(field, laid)
  // the seam of a wall runs into its own beginning; a wrap lies round what it has wrapped
  const turns = rests === 'stands' && !definition.walls ? cycles : 0
  if (turns <= OWN_TURN) {
    relax(laid, field, how, 0, laid.tSteps)
    depositSheet(field, laid, 0, laid.tSteps)
    return
  }
  const part = Math.max(2, Math.round((laid.tSteps * PART_TURNS) / turns))
  const behind = Math.round((laid.tSteps * BEHIND_TURNS) / turns)
  let laidTo = 0
  for (let from = 0; from < laid.tSteps; from += part) {
    const to = Math.min(laid.tSteps, from + part)
    relax(laid, field, how, from, to)
    const next = Math.max(laidTo, to - behind)
    if (next > laidTo) depositSheet(field, laid, laidTo, next)
    laidTo = next
  }
  depositSheet(field, laid, laidTo, laid.tSteps)
}

/** So deep a wall is set into what carries it, mm; icing is looked for from so far above its foot. */
const SET_IN_MM = 0.4
const LOOKS_FROM_MM = 4

/** A wall in one piece stands as a whole on what is under its foot. */
function standOn(field: Field, { points, tSteps, uSteps }: LaidSheet): void {
  const row = (uSteps + 1) * 3
  let lift = 0
  for (let t = 0; t <= tSteps; t++) {
    const o = t * row
    const ground = groundUnder(field, points[o]!, points[o + 1]!, points[o + 2]! + LOOKS_FROM_MM)
    lift += (ground - (ground > 0 ? SET_IN_MM : 0) - points[o + 2]!) / (tSteps + 1)
  }
  for (let o = 2; o < points.length; o += 3) points[o]! += lift
}

/** Lifts what would lie under the table: a leaf lies on its vein, a petal on its thick end. */
function liftOffTable({ points, thick, tSteps, uSteps }: LaidSheet): void {
  const row = uSteps + 1
  const under = Float64Array.from({ length: tSteps + 1 }, (_, t) => {
    let most = 0
    for (let u = 0; u <= uSteps; u++) {
      const v = t * row + u
      most = Math.max(most, thick[v]! * 0.35 - points[v * 3 + 2]!)
    }
    return most
  })
  const span = Math.max(1, Math.round(tSteps * LIFT_SPAN))
  const around = (list: Float64Array, t: number) => list.subarray(Math.max(0, t - span), t + span + 1)
  const most = under.map((_, t) => Math.max(...around(under, t)))
  const mean = most.map((_, t) => {
    const near = around(most, t)
    return near.reduce((a, b) => a + b, 0) / near.length
  })
  for (let t = 0; t <= tSteps; t++)
    for (let u = 0; u <= uSteps; u++) points[(t * row + u) * 3 + 2]! += mean[t]!
}
