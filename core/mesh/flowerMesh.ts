import { layerAzimuths, type ResolvedLayer } from '../flowers/measure.ts'
import type { BorderRun } from '../flowers/run.ts'
import { measureSheet, sweepSheet } from '../geometry/sheet.ts'
import { measureTube } from '../geometry/tube.ts'
import { traceStroke } from '../strokes/quantities.ts'
import { type Placement, radians, type Trace } from '../strokes/stroke.ts'
import { type Outline, outlineArea, type Slot } from '../tips/family.ts'
import { type Opening, openingArea, openingOutlines, openingSlot } from '../tips/index.ts'
import { type FlowerMesh, type MeshBuilder, newMesh } from './mesh.ts'
import { type Random, seeded, slip } from './random.ts'
import { addSheet, type Ripple, sheetCut, sheetRoom } from './sheetMesh.ts'
import { addTube, tubeRoom } from './tubeMesh.ts'

/** How much a hand strays from one stroke to the next. */
const STRAY_DEG = 3.5
const STRAY_MM = 0.28

/**
 * The solid of a flower: every stroke of every layer, each a little different from its neighbour.
 * @param seed the same seed gives the same bytes.
 * @param detail 1 close up, 0.6 on a card, 0.35 in a set.
 * @param run for a border: so many units side by side.
 */
export function flowerMesh(
  layers: readonly ResolvedLayer[],
  seed: number,
  detail: number,
  run: BorderRun | null = null,
): FlowerMesh {
  const plans = layers.map((resolved) => planLayer(resolved, detail))
  const units = run?.units ?? 1
  const builder = newMesh(
    units * plans.reduce((sum, p, i) => sum + p.room.vertices * layers[i]!.layer.count, 0),
    units * plans.reduce((sum, p, i) => sum + p.room.triangles * layers[i]!.layer.count, 0),
  )
  layers.forEach(({ layer }, i) => {
    const random = seeded(seed * 7919 + i * 104729 + 1)
    for (let unit = 0; unit < units; unit++)
      layerAzimuths(layer).forEach((azimuth, index) => {
        const stray = layer.count > 1 ? 1 : 0.4
        const at: Placement = {
          azimuth: azimuth + radians(STRAY_DEG) * slip(random) * stray,
          ringMm: Math.max(0, layer.ringMm + Math.min(STRAY_MM, layer.ringMm * 0.2) * slip(random)),
          heightMm: layer.heightMm + STRAY_MM * 0.8 * slip(random) * stray,
        }
        const start = builder.entries
        const firstVertex = builder.vertices
        plans[i]!.add(builder, at, i, random)
        if (run) moveOn(builder, firstVertex, run, unit)
        builder.mesh.strokes.push({ layer: i, index, start, count: builder.entries - start })
      })
  })
  return builder.mesh
}

/** Turns a unit of a border along x and moves it to its place in the run, the middle of the run over the axis. */
function moveOn({ mesh, vertices }: MeshBuilder, first: number, run: BorderRun, unit: number): void {
  const along = run.pitchMm * (unit - (run.units - 1) / 2)
  const cos = Math.cos(-run.heading)
  const sin = Math.sin(-run.heading)
  for (const data of [mesh.positions, mesh.normals])
    for (let v = first * 3; v < vertices * 3; v += 3) {
      const [x, y] = [data[v]!, data[v + 1]!]
      data[v] = cos * x - sin * y
      data[v + 1] = sin * x + cos * y
    }
  for (let v = first * 3; v < vertices * 3; v += 3) mesh.positions[v]! += along
}

interface LayerPlan {
  /** Vertices and triangles of one stroke. */
  room: { vertices: number; triangles: number }
  add(builder: MeshBuilder, at: Placement, layer: number, random: Random): void
}

/** Decides once for a layer how finely its strokes are cut. */
function planLayer({ layer, tip }: ResolvedLayer, detail: number): LayerPlan {
  const at: Placement = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
  const trace = traceStroke(layer.stroke, at, tip.opening)
  const retrace = (where: Placement) => traceStroke(layer.stroke, where, tip.opening)
  return trace.primitive === 'sheet'
    ? planSheet(trace, retrace, openingSlot(tip.opening)!, rippleOf(layer.stroke), detail)
    : planTube(trace, retrace, tip.opening, layer.stroke.kind, detail)
}

function rippleOf(stroke: ResolvedLayer['layer']['stroke']): Ripple | null {
  return 'ripple' in stroke ? stroke.ripple : null
}

function planSheet(
  trace: Extract<Trace, { primitive: 'sheet' }>,
  retrace: (at: Placement) => Trace,
  slot: Slot,
  ripple: Ripple | null,
  detail: number,
): LayerPlan {
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

function planTube(
  trace: Extract<Trace, { primitive: 'tube' }>,
  retrace: (at: Placement) => Trace,
  opening: Opening,
  kind: string,
  detail: number,
): LayerPlan {
  const { travelMm } = measureTube(trace.path, 1, 1)
  const solid = kind === 'mound' || kind === 'dot'
  const outlines = coarse(opening, kind === 'mound' ? 1.4 * detail : detail)
  const rings = solid
    ? Math.max(6, Math.round(12 * detail))
    : Math.max(7, Math.round(Math.min(220, 12 + travelMm * 0.75) * detail))
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
