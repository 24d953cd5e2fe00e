import { sweepSheet } from '../geometry/sheet.ts'
import { newTubeFrame } from '../geometry/tube.ts'
import type { Spot } from '../places/spot.ts'
import { type Laid, type LaidRope, type LaidSheet, ropeRadius } from '../solids/laid.ts'
import { traceStroke } from '../strokes/quantities.ts'
import type { Trace } from '../strokes/stroke.ts'
import { openingArea, openingSlot } from '../tips/index.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower } from './piled.ts'
import { layerSpots } from './spots.ts'
import {
  ROPE_STEPS,
  type RopePoint,
  ropeShapes,
  type SheetRows,
  type StrokeShape,
  sheetShapes,
  U_STEPS,
  type ViewShape,
} from './strokeShapes.ts'

/**
 * The strokes of a flower as outlines seen from above, lowest first, so that drawing them in turn is right: as they came
 * to rest.
 */
export function planView(layers: readonly ResolvedLayer[]): ViewShape[] {
  const shapes = piledFlower(layers).flatMap(({ layer, laid }, stroke) =>
    laid.flatMap((body) => bodyShapes(layers[layer]!, body).map((shape) => ({ ...shape, stroke }))),
  )
  return shapes.sort((a, b) => a.heightMm - b.heightMm)
}

function bodyShapes(resolved: ResolvedLayer, body: Laid): StrokeShape[] {
  return body.kind === 'sheet' ? sheetShapes(resolved, rowsOf(body)) : ropeShapes(resolved, pathOf(body))
}

/** The same cells across, however finely it was piled. */
function rowsOf({ points, tSteps, uSteps }: LaidSheet): SheetRows {
  const rows = new Float64Array((tSteps + 1) * (U_STEPS + 1) * 3)
  for (let t = 0; t <= tSteps; t++)
    for (let u = 0; u <= U_STEPS; u++) {
      const at = (u / U_STEPS) * uSteps
      const cell = Math.min(uSteps - 1, Math.floor(at))
      const share = at - cell
      const from = (t * (uSteps + 1) + cell) * 3
      for (let c = 0; c < 3; c++)
        rows[(t * (U_STEPS + 1) + u) * 3 + c] =
          (1 - share) * points[from + c]! + share * points[from + 3 + c]!
    }
  return { points: rows, tSteps }
}

function pathOf(rope: LaidRope): RopePoint[] {
  const { centres, scale, rings } = rope
  // what has sunk is as much wider as it is lower
  const radius = ropeRadius(rope) / Math.sqrt(rope.flat)
  return Array.from({ length: ROPE_STEPS + 1 }, (_, i) => {
    const at = (i / ROPE_STEPS) * (rings - 1)
    const ring = Math.min(rings - 2, Math.floor(at))
    const share = at - ring
    const mixed = (a: number, b: number) => (1 - share) * a + share * b
    const o = ring * 3
    return {
      x: mixed(centres[o]!, centres[o + 3]!),
      y: mixed(centres[o + 1]!, centres[o + 4]!),
      z: mixed(centres[o + 2]!, centres[o + 5]!),
      r: radius * mixed(scale[ring]!, scale[ring + 1]!),
    }
  })
}

/**
 * The same as the strokes are aimed: worked out at once, and near enough to compare one fitting with another.
 */
export function aimedView(layers: readonly ResolvedLayer[]): ViewShape[] {
  let stroke = 0
  const shapes = layers.flatMap((resolved) => {
    // all strokes of a layer are alike: one is traced, the others are it turned, unless they lean
    const first = strokeShapes(resolved, null)
    return layerSpots(resolved, layers).flatMap((spot) => {
      const number = stroke++
      return spot.seat
        ? strokeShapes(resolved, spot).map((shape) => ({ ...shape, stroke: number }))
        : first.map((shape) => turned(shape, spot.azimuth, number))
    })
  })
  return shapes.sort((a, b) => a.heightMm - b.heightMm)
}

function turned(shape: StrokeShape, azimuth: number, stroke: number): ViewShape {
  const [c, s] = [Math.cos(azimuth), Math.sin(azimuth)]
  const around = (points: readonly number[]): number[] => {
    const there = new Array<number>(points.length)
    for (let o = 0; o < points.length; o += 2) {
      there[o] = c * points[o]! - s * points[o + 1]!
      there[o + 1] = s * points[o]! + c * points[o + 1]!
    }
    return there
  }
  if (shape.kind === 'disc') {
    const [x, y] = around([shape.x, shape.y]) as [number, number]
    return { ...shape, stroke, x, y }
  }
  if (shape.kind === 'rope') return { ...shape, stroke, points: around(shape.points) }
  return { ...shape, stroke, points: around(shape.points), ridge: around(shape.ridge) }
}

/** One stroke at its spot, or at azimuth 0. */
function strokeShapes(resolved: ResolvedLayer, spot: Spot | null): StrokeShape[] {
  const { layer, tip } = resolved
  const { azimuth, seat } = spot ?? { azimuth: 0, seat: null }
  const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth, seat }
  const trace = traceStroke(layer.stroke, at, tip.opening)
  return trace.primitive === 'sheet' ? aimedSheet(resolved, trace) : aimedRope(resolved, trace)
}

/** Cells along a petal; a stroke that winds right round wants more. */
const PETAL_STEPS = 16
const TURN_STEPS = 44

function aimedSheet(resolved: ResolvedLayer, trace: Extract<Trace, { primitive: 'sheet' }>): StrokeShape[] {
  const slot = openingSlot(resolved.tip.opening)
  if (!slot) return []
  const tSteps = 'turns' in resolved.layer.stroke ? TURN_STEPS : PETAL_STEPS
  const { points } = sweepSheet(trace.path, slot, tSteps, U_STEPS)
  return sheetShapes(resolved, { points, tSteps })
}

function aimedRope(resolved: ResolvedLayer, trace: Extract<Trace, { primitive: 'tube' }>): StrokeShape[] {
  const radius = Math.sqrt(openingArea(resolved.tip.opening) / Math.PI)
  const frame = newTubeFrame()
  const path = Array.from({ length: ROPE_STEPS + 1 }, (_, i) => {
    trace.path(i / ROPE_STEPS, frame)
    return { x: frame.x, y: frame.y, z: frame.z, r: radius * frame.scale }
  })
  return ropeShapes(resolved, path)
}
