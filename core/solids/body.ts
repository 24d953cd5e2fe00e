import { newSheetFrame } from '../geometry/sheet.ts'
import type { Random } from '../random.ts'
import type { Stroke } from '../strokes/index.ts'
import { traceStroke } from '../strokes/quantities.ts'
import type { Placement } from '../strokes/stroke.ts'
import { type Opening, openingSlot } from '../tips/index.ts'
import { newMesh } from './mesh.ts'
import { skinLaid, strokeSolid } from './strokeSolid.ts'

/** A hand that never slips: the middle of every range. */
const steady: Random = () => 0.5

/** As finely as a flower is drawn close up, so that what is claimed is what is shown. */
const DETAIL = 1

/**
 * Points on the surface of one stroke as a steady hand pipes it, three numbers a point, mm: the same solid that is
 * shown. Sizes, heights and checks are measured on it.
 */
export function strokeBody(stroke: Stroke, at: Placement, opening: Opening): Float32Array {
  const solid = strokeSolid(stroke, at, opening, DETAIL)
  const builder = newMesh(solid.room.vertices, 0)
  skinLaid(builder, solid.lay(at, steady), 0)
  return builder.mesh.positions
}

/** How far a stroke's free end lies out from its wide end, mm, halfway: what a wavering tilt lifts. 0 for tubes. */
export function strokeLever(stroke: Stroke, at: Placement, opening: Opening): number {
  const trace = traceStroke(stroke, at, opening)
  if (trace.primitive === 'tube') return 0
  const frame = newSheetFrame()
  trace.path(0.5, frame)
  return openingSlot(opening)!.lengthMm * frame.scale * Math.hypot(frame.sx, frame.sy)
}
