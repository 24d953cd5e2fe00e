import { measureSheet, sweepSheet } from '../geometry/sheet.ts'
import { measureTube, newTubeFrame } from '../geometry/tube.ts'
import type { Slot } from '../tips/family.ts'
import { type Opening, openingArea, openingSize, openingSlot } from '../tips/index.ts'
import { type Stroke, strokeDefinition } from './index.ts'
import type { OpeningFacts, Placement, Trace } from './stroke.ts'

/** What a stroke needs to know of its opening. */
export function openingFacts(opening: Opening): OpeningFacts {
  return {
    sizeMm: openingSize(opening),
    areaMm2: openingArea(opening),
    bendDeg: openingSlot(opening)?.bendDeg ?? 0,
  }
}

/** A stroke in place, ready to be measured or drawn. */
export function traceStroke(stroke: Stroke, at: Placement, opening: Opening): Trace {
  return strokeDefinition(stroke.kind).trace(stroke, at, openingFacts(opening))
}

/** Icing squeezed by a working hand, mm³/s: what limits big openings, where path speed does not. */
const SQUEEZE_MM3_PER_S = 900

/** Icing and hand time of one stroke. */
export interface StrokeQuantities {
  volumeMm3: number
  seconds: number
}

/**
 * Measures one stroke piped through an opening.
 * @throws RangeError when the opening's family cannot draw the stroke (a sheet through a round hole).
 */
export function measureStroke(stroke: Stroke, at: Placement, opening: Opening): StrokeQuantities {
  const definition = strokeDefinition(stroke.kind)
  const trace = traceStroke(stroke, at, opening)
  const { volumeMm3, travelMm } =
    trace.primitive === 'sheet'
      ? measureSheet(sweepSheet(trace.path, slotFor(stroke, opening)), slotFor(stroke, opening), trace.flow)
      : measureTube(trace.path, openingArea(opening), trace.flow)
  const moving = Math.max(travelMm / definition.speedMmPerS, volumeMm3 / SQUEEZE_MM3_PER_S)
  return { volumeMm3, seconds: definition.overheadSeconds + moving }
}

/** Sample points of a stroke's surface: x, y, z and the icing's radius around the point, four numbers each, mm. */
export function strokeReach(stroke: Stroke, at: Placement, opening: Opening): Float64Array {
  const trace = traceStroke(stroke, at, opening)
  if (trace.primitive === 'tube') return tubeReach(trace, openingArea(opening))
  const { points } = sweepSheet(trace.path, slotFor(stroke, opening), 8, 4)
  const reach = new Float64Array((points.length / 3) * 4)
  for (let i = 0; i < points.length / 3; i++) reach.set(points.subarray(i * 3, i * 3 + 3), i * 4)
  return reach
}

function slotFor(stroke: Stroke, opening: Opening): Slot {
  const slot = openingSlot(opening)
  if (slot) return slot
  const { label } = strokeDefinition(stroke.kind)
  throw new RangeError(`A ${label} needs a slot; a ${opening.family} opening has none.`)
}

function tubeReach(trace: Extract<Trace, { primitive: 'tube' }>, areaMm2: number): Float64Array {
  const radius = Math.sqrt(areaMm2 / Math.PI)
  const reach = new Float64Array(17 * 4)
  const frame = newTubeFrame()
  for (let i = 0; i <= 16; i++) {
    trace.path(i / 16, frame)
    reach.set([frame.x, frame.y, frame.z, radius * frame.scale], i * 4)
  }
  return reach
}
