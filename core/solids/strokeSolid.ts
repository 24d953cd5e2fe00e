import { measureSheet, sweepSheet } from '../geometry/sheet.ts'
import { measureTube } from '../geometry/tube.ts'
import type { Random } from '../random.ts'
import { type Stroke, strokeDefinition } from '../strokes/index.ts'
import { strokeCycles, traceStroke } from '../strokes/quantities.ts'
import type { Placement, StrokeDefinition, Trace } from '../strokes/stroke.ts'
import { type Outline, outlineArea, type Slot } from '../tips/family.ts'
import { type Opening, openingArea, openingOutlines, openingSlot } from '../tips/index.ts'
import type { MeshBuilder } from './mesh.ts'
import { addSheet, type Ripple, sheetCut, sheetRoom } from './sheetSolid.ts'
import { addTube, tubeRoom } from './tubeSolid.ts'

/** How a stroke is made solid; decided once for all strokes of a layer, so that room can be made for them. */
export interface StrokeSolid {
  /** Vertices and triangles of one stroke. */
  room: { vertices: number; triangles: number }
  /** Adds one stroke; `layer` is what its vertices say they belong to. */
  add(builder: MeshBuilder, at: Placement, layer: number, random: Random): void
}

/**
 * The solid of a stroke piped through an opening.
 * @param detail 1 close up, 0.6 on a card, 0.35 in a set.
 */
export function strokeSolid(stroke: Stroke, at: Placement, opening: Opening, detail: number): StrokeSolid {
  const trace = traceStroke(stroke, at, opening)
  const retrace = (where: Placement) => traceStroke(stroke, where, opening)
  const cycles = strokeCycles(stroke)
  return trace.primitive === 'sheet'
    ? planSheet(trace, retrace, openingSlot(opening)!, 'ripple' in stroke ? stroke.ripple : null, detail)
    : planTube(trace, retrace, opening, strokeDefinition(stroke.kind).squeezed, cycles, detail)
}

function planSheet(
  trace: Extract<Trace, { primitive: 'sheet' }>,
  retrace: (at: Placement) => Trace,
  slot: Slot,
  ripple: Ripple | null,
  detail: number,
): StrokeSolid {
  const { travelMm } = measureSheet(sweepSheet(trace.path, slot, 16, 4), slot, 1)
  const cut = sheetCut(slot, ripple, travelMm, detail)
  return {
    room: sheetRoom(cut),
    add: (builder, at, layer, random) => {
      const here = retrace(at)
      if (here.primitive === 'sheet') addSheet(builder, here.path, slot, here, ripple, cut, layer, random)
    },
  }
}

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
    add: (builder, at, layer, random) => {
      const here = retrace(at)
      if (here.primitive === 'tube')
        for (const outline of outlines) addTube(builder, here.path, outline, cut, layer, random)
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
    const middle = centre(outline)
    const factor = Math.sqrt(area / outlineArea(kept))
    return kept.map(([x, y]) => [middle[0] + (x - middle[0]) * factor, middle[1] + (y - middle[1]) * factor])
  })
}

function centre(outline: Outline): [number, number] {
  const sum = outline.reduce(([x, y], [a, b]) => [x + a, y + b] as [number, number], [0, 0])
  return [sum[0] / outline.length, sum[1] / outline.length]
}
