import { measureSheet, sweepSheet } from '../geometry/sheet.ts'
import { measureTube, newTubeFrame } from '../geometry/tube.ts'
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

/** Icing, hand time and reach of one stroke. */
export interface StrokeQuantities {
  volumeMm3: number
  seconds: number
  /** Sample points of its surface: x, y, z and the icing's radius around the point, four numbers each, mm. */
  reach: Float64Array
}

/**
 * Measures one stroke piped through an opening.
 * @throws RangeError when the opening's family cannot draw the stroke (a sheet through a round hole).
 */
export function measureStroke(stroke: Stroke, at: Placement, opening: Opening): StrokeQuantities {
  const definition = strokeDefinition(stroke.kind)
  const trace = traceStroke(stroke, at, opening)
  const { volumeMm3, travelMm, reach } =
    trace.primitive === 'sheet'
      ? measureSheetTrace(trace, opening, definition.label)
      : measureTubeTrace(trace, openingArea(opening))
  const moving = Math.max(travelMm / definition.speedMmPerS, volumeMm3 / SQUEEZE_MM3_PER_S)
  return { volumeMm3, seconds: definition.overheadSeconds + moving, reach }
}

function measureSheetTrace(trace: Extract<Trace, { primitive: 'sheet' }>, opening: Opening, label: string) {
  const slot = openingSlot(opening)
  if (!slot) throw new RangeError(`A ${label} needs a slot; a ${opening.family} opening has none.`)
  const grid = sweepSheet(trace.path, slot)
  const reach: number[] = []
  const row = grid.uSteps + 1
  for (let i = 0; i <= grid.tSteps; i += 3)
    for (let j = 0; j <= grid.uSteps; j += 2) {
      const o = (i * row + j) * 3
      reach.push(grid.points[o]!, grid.points[o + 1]!, grid.points[o + 2]!, 0)
    }
  return { ...measureSheet(grid, slot, trace.flow), reach: Float64Array.from(reach) }
}

function measureTubeTrace(trace: Extract<Trace, { primitive: 'tube' }>, areaMm2: number) {
  const radius = Math.sqrt(areaMm2 / Math.PI)
  const reach = new Float64Array(17 * 4)
  const frame = newTubeFrame()
  for (let i = 0; i <= 16; i++) {
    trace.path(i / 16, frame)
    reach.set([frame.x, frame.y, frame.z, radius * frame.scale], i * 4)
  }
  return { ...measureTube(trace.path, areaMm2, trace.flow), reach }
}
