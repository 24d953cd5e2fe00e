import { turned, turningOf } from '../geometry/seat.ts'
import { measureSheet, sweepSheet } from '../geometry/sheet.ts'
import { measureTube } from '../geometry/tube.ts'
import type { Random } from '../random.ts'
import { type Stroke, strokeDefinition } from '../strokes/index.ts'
import { strokeCycles, traceStroke } from '../strokes/quantities.ts'
import type { Placement, StrokeDefinition, Trace } from '../strokes/stroke.ts'
import { type Outline, outlineArea, type Slot } from '../tips/family.ts'
import { type Opening, openingArea, openingOutlines, openingSlot } from '../tips/index.ts'
import { type Laid, type LaidSheet, outlineMiddle } from './laid.ts'
import type { BodySkin, MeshBuilder } from './mesh.ts'
import { laySheet, type Ripple, ringSize, sheetCut, sheetRoom, skinSheet } from './sheetSolid.ts'
import { layRope, skinRings, skinRope, tubeRoom } from './tubeSolid.ts'

/** How a stroke is made solid; decided once for all strokes of a layer, so that room can be made for them. */
export interface StrokeSolid {
  /** Vertices and triangles of one stroke. */
  room: { vertices: number; triangles: number }
  /** Lays one stroke where it is wanted, as a hand does. */
  lay(at: Placement, random: Random): Laid[]
}

/** Adds what was laid to a mesh; `layer` is what its vertices say they belong to. */
export function skinLaid(builder: MeshBuilder, laid: readonly Laid[], layer: number): void {
  for (const body of laid)
    if (body.kind === 'sheet') skinSheet(builder, body, layer)
    else skinRope(builder, body, layer)
}

/** The skin that a body is given. */
export const skinOf = (body: Laid): BodySkin =>
  body.kind === 'sheet'
    ? { rings: body.tSteps + 1, around: ringSize(body) }
    : { rings: skinRings(body.rings), around: body.outline.length }

/**
 * The solid of a stroke piped through an opening.
 * @param detail 1 close up, 0.6 on a card, 0.35 in a set.
 */
export function strokeSolid(stroke: Stroke, at: Placement, opening: Opening, detail: number): StrokeSolid {
  const trace = traceStroke(stroke, at, opening)
  const retrace = (where: Placement) => traceStroke(stroke, where, opening)
  const cycles = strokeCycles(stroke)
  return trace.primitive === 'sheet'
    ? planSheet(
        trace,
        retrace,
        openingSlot(opening)!,
        'ripple' in stroke ? stroke.ripple : null,
        strokeDefinition(stroke.kind).texture === 'lying',
        detail,
      )
    : planTube(trace, retrace, opening, strokeDefinition(stroke.kind).squeezed, cycles, detail)
}

/** Cells by which the way of a hand is measured before it is cut: its length is wanted to a few percent. */
const ROUGHLY = { along: 16, across: 4 }

function planSheet(
  trace: Extract<Trace, { primitive: 'sheet' }>,
  retrace: (at: Placement) => Trace,
  slot: Slot,
  ripple: Ripple | null,
  flat: boolean,
  detail: number,
): StrokeSolid {
  const { travelMm } = measureSheet(sweepSheet(trace.path, slot, ROUGHLY.along, ROUGHLY.across), slot, 1)
  const cut = sheetCut(slot, ripple, travelMm, detail)
  return {
    room: sheetRoom(cut),
    lay: (at, random) => {
      const here = retrace(at)
      return here.primitive === 'sheet'
        ? [laySheet(here.path, slot, { ...here, flat, up: upOf(at) }, ripple, cut, random)]
        : []
    },
  }
}

/** Which way is up for what lies on a seat. */
const upOf = ({ seat }: Placement): LaidSheet['up'] => (seat ? turned(turningOf(seat), 0, 0, 1) : UP)
const UP = [0, 0, 1] as const

/** A mound is the largest smooth thing of a flower: its corners would be seen first. */
const MOUND_DETAIL = 1.4
/** Fewest rings that still show a turn or a wave for what it is. */
const RINGS_PER_CYCLE = 7

function planTube(
  trace: Extract<Trace, { primitive: 'tube' }>,
  retrace: (at: Placement) => Trace,
  opening: Opening,
  squeezed: StrokeDefinition['squeezed'],
  cycles: number,
  detail: number,
): StrokeSolid {
  const { travelMm } = measureTube(trace.path, 1, 1)
  // what is squeezed on the spot runs round, whatever the slot
  const round = openingSlot(opening)
    ? ({ family: 'round', diameterMm: 2 * Math.sqrt(openingArea(opening) / Math.PI) } as const)
    : opening
  const outlines = coarse(round, squeezed === 'mound' ? MOUND_DETAIL * detail : detail)
  const rings = squeezed
    ? Math.max(6, Math.round(12 * detail))
    : Math.max(
        7,
        Math.round(RINGS_PER_CYCLE * cycles),
        Math.round(Math.min(220, 12 + travelMm * 0.75) * detail),
      )
  const cut = { rings }
  const each = outlines.map((outline) => tubeRoom(cut, outline))
  return {
    room: {
      vertices: each.reduce((sum, r) => sum + r.vertices, 0),
      triangles: each.reduce((sum, r) => sum + r.triangles, 0),
    },
    lay: (at, random) => {
      const here = retrace(at)
      return here.primitive === 'tube'
        ? outlines.map((outline) => layRope(here.path, outline, cut, random))
        : []
    },
  }
}

/** The opening's outlines with fewer corners, enlarged to the area they stand for. */
function coarse(opening: Opening, detail: number): Outline[] {
  const outlines = openingOutlines(opening)
  const wanted =
    opening.family === 'star'
      ? opening.teeth * Math.max(4, Math.round(8 * detail))
      : Math.max(8, Math.round(18 * detail))
  const area = openingArea(opening) / outlines.length
  return outlines.map((outline) => {
    const step = Math.max(1, Math.round(outline.length / wanted))
    const kept = outline.filter((_, i) => i % step === 0)
    const middle = outlineMiddle(outline)
    const factor = Math.sqrt(area / outlineArea(kept))
    return kept.map(([x, y]) => [middle[0] + (x - middle[0]) * factor, middle[1] + (y - middle[1]) * factor])
  })
}
