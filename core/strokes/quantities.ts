import { seatSheet, seatTube, turningOf } from '../geometry/seat.ts'
import { measureSheet, type SheetFrame, sweepSheet } from '../geometry/sheet.ts'
import { measureTube, type TubeFrame } from '../geometry/tube.ts'
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
  const trace = strokeDefinition(stroke.kind).trace(stroke, at, openingFacts(opening))
  const { seat } = at
  if (!seat) return trace
  // its azimuth is about its own axis already
  const m = turningOf(seat)
  return trace.primitive === 'sheet'
    ? {
        ...trace,
        path(t: number, out: SheetFrame) {
          trace.path(t, out)
          seatSheet(out, seat, m)
        },
      }
    : {
        ...trace,
        path(t: number, out: TubeFrame) {
          trace.path(t, out)
          seatTube(out, seat, m)
        },
      }
}

/** How often a stroke's path goes round or to and fro, 1 at the least: steps along it are so many times as many. */
export function strokeCycles(stroke: Stroke): number {
  return Math.max(1, strokeDefinition(stroke.kind).cycles?.(stroke) ?? 1)
}

/** Steps along a path that is measured, at the least, and for each of its cycles: both leave 0.3 % at the most. */
const LEAST_STEPS = { sheet: 24, tube: 64 }
const STEPS_PER_CYCLE = { sheet: 24, tube: 32 }

/**
 * Speed at which a working hand squeezes icing out of an opening, mm/s: a mound through a small opening takes its time, a
 * swirl through a large one does not.
 */
const EXIT_MM_PER_S = 40

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
  const { primitive } = trace
  const perCycle = Math.ceil(STEPS_PER_CYCLE[primitive] * strokeCycles(stroke))
  const steps = Math.max(LEAST_STEPS[primitive], perCycle)
  const { volumeMm3, travelMm } =
    primitive === 'sheet'
      ? measureSheet(
          sweepSheet(trace.path, slotFor(stroke, opening), steps),
          slotFor(stroke, opening),
          trace.flow,
        )
      : measureTube(trace.path, openingArea(opening), trace.flow, steps)
  const moving = Math.max(
    travelMm / definition.speedMmPerS,
    volumeMm3 / (EXIT_MM_PER_S * openingArea(opening)),
  )
  return { volumeMm3, seconds: definition.overheadSeconds + moving }
}

function slotFor(stroke: Stroke, opening: Opening): Slot {
  const slot = openingSlot(opening)
  if (slot) return slot
  const { label } = strokeDefinition(stroke.kind)
  throw new RangeError(`A ${label} needs a slot; a ${opening.family} opening has none.`)
}
