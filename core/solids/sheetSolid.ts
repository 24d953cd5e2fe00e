import { type SheetFrame, type SheetGrid, type SheetPath, sweepSheet } from '../geometry/sheet.ts'
import { type Random, slip, smoothNoise } from '../random.ts'
import type { Slot } from '../tips/family.ts'
import { FRILL_SWELL, WAVER_TILT, WAVER_UP_MM } from './hand.ts'
import type { LaidSheet } from './laid.ts'
import type { MeshBuilder } from './mesh.ts'
import { INNER_FACE, skin, skinTriangles } from './mesh.ts'

/** A frill along the free edge. */
export interface Ripple {
  lengthMm: number
  ampMm: number
  power: number
}

/** How finely a sheet is cut: rings along the stroke, cells across the slot. */
export interface SheetCut {
  tSteps: number
  uSteps: number
}

/** Rings needed to draw each wave of a ripple. */
const RINGS_PER_WAVE = 7

/** A free edge is longer than the way of the hand, by about so much. */
const RIM_OVER_TRAVEL = 1.6
/** Fewest rings of a sheet, those of one close up, and rings to a millimetre that the hand travels. */
const LEAST_RINGS = 6
const RINGS = 26
const RINGS_PER_MM = 0.7
/** Cells across half a slot: more where it is longer than this, mm. */
const LONG_SLOT_MM = 6
const HALF_CELLS = { long: 5, short: 3 }

/** The cut for a level of detail (1 close up, 0.35 in a set), finer where a frill asks for it. */
export function sheetCut(slot: Slot, ripple: Ripple | null, travelMm: number, detail: number): SheetCut {
  const rim = travelMm * RIM_OVER_TRAVEL
  const waves = ripple ? (rim / ripple.lengthMm) * RINGS_PER_WAVE : 0
  return {
    tSteps: Math.max(LEAST_RINGS, Math.round(Math.max(RINGS, waves, travelMm * RINGS_PER_MM) * detail)),
    uSteps:
      2 *
      Math.max(1, Math.round((slot.lengthMm > LONG_SLOT_MM ? HALF_CELLS.long : HALF_CELLS.short) * detail)),
  }
}

/** Vertices in a ring: both faces of the sheet, and one beyond each edge to round it. */
export const ringSize = (cut: SheetCut): number => 2 * (cut.uSteps + 1) + 2

export function sheetRoom(cut: SheetCut): { vertices: number; triangles: number } {
  const rings = cut.tSteps + 1
  return { vertices: rings * ringSize(cut), triangles: skinTriangles(rings, ringSize(cut)) }
}

/** Over this share of a stroke at both ends the icing thins, to so much at the very end. */
const ENDS = 0.1
const THIN_END = 0.35
/** How unevenly icing comes, as a share of its thickness, and how often along a stroke. */
const UNEVEN = 0.07
const UNEVEN_TIMES = 6
/** The rounded ends of a slot are read so far in from them, as a share of its length. */
const RIM = 0.015

/** Thinnest and thickest a sheet is drawn, as multiples of the slot's own thickness there. */
const THINNEST = 0.65
const THICKEST = 2.6

/**
 * Lays a sheet: the mid-surface with its frill, and what the hand's speed leaves there (`flow · mean speed / local
 * speed`, docs/calculations.md), tapering at both ends of the stroke. A hand's wavering is in it.
 */
export function laySheet(
  path: SheetPath,
  slot: Slot,
  { flow, vee = 0, flat, up }: { flow: number; vee?: number } & Pick<LaidSheet, 'flat' | 'up'>,
  ripple: Ripple | null,
  { tSteps, uSteps }: SheetCut,
  random: Random,
): LaidSheet {
  const grid = sweepSheet(unsteady(path, random), slot, tSteps, uSteps)
  if (vee > 0) sinkVein(grid, vee)
  if (ripple) addRipple(grid.points, tSteps, uSteps, ripple, vee > 0, random)
  return {
    kind: 'sheet',
    tSteps,
    uSteps,
    points: grid.points,
    thick: thicknesses(grid, slot, flow, random),
    flat,
    up,
  }
}

/** Share of its thickness by which a sheet's edge is rounded out. */
const ROUNDED = 0.42

/** Gives a sheet its skin: a closed shell, thickened along its true normal and rounded at both edges. */
export function skinSheet(builder: MeshBuilder, laid: LaidSheet, layer: number): void {
  const { points, thick, tSteps, uSteps } = laid
  const row = uSteps + 1
  const normals = gridNormals(points, tSteps, row)
  if (laid.flat) levelled(normals, laid.up)
  const around = ringSize(laid)
  const first = builder.vertices
  const { positions, places, alongs, thicks, layers } = builder.mesh
  let v = first
  let along = 0
  for (let t = 0; t <= tSteps; t++) {
    if (t > 0) along += distance(points, (t * row + uSteps / 2) * 3, ((t - 1) * row + uSteps / 2) * 3)
    for (let k = 0; k < around; k++) {
      // down the outer face, past the narrow end, back up the inner face, past the wide end
      const rimNarrow = k === uSteps + 1
      const rimWide = k === around - 1
      const u = rimNarrow ? uSteps : rimWide ? 0 : k <= uSteps ? k : 2 * uSteps + 2 - k
      const side = rimNarrow || rimWide ? 0 : k <= uSteps ? 0.5 : -0.5
      const at = (t * row + u) * 3
      const h = thick[t * row + u]!
      const o = v * 3
      for (let c = 0; c < 3; c++) positions[o + c] = points[at + c]! + normals[at + c]! * h * side
      if (rimNarrow || rimWide) {
        const inner = (t * row + (rimNarrow ? uSteps - 1 : 1)) * 3
        const away = distance(points, at, inner) || 1
        for (let c = 0; c < 3; c++)
          positions[o + c]! += ((points[at + c]! - points[inner + c]!) / away) * h * ROUNDED
      }
      places[v] = u / uSteps
      alongs[v] = along
      thicks[v] = h
      layers[v] = layer + (side < 0 ? INNER_FACE : 0)
      v++
    }
  }
  builder.vertices = v
  skin(builder, first, tSteps + 1, around)
}

/** How far the thickness of a flat sheet is turned from square to its surface towards upright. */
const LEVELLED = 0.9

/** Turns normals of a flat sheet towards the way that is up for it, all to the side that most of them look to. In place. */
function levelled(normals: Float64Array, [ux, uy, uz]: LaidSheet['up']): void {
  const along = (o: number) => normals[o]! * ux + normals[o + 1]! * uy + normals[o + 2]! * uz
  let most = 0
  for (let o = 0; o < normals.length; o += 3) most += along(o)
  const side = most < 0 ? -1 : 1
  for (let o = 0; o < normals.length; o += 3) {
    const rise = along(o)
    const keep = 1 - LEVELLED
    const lift = Math.max(0.1, rise * side) * keep + LEVELLED
    const [x, y, z] = [normals[o]! - rise * ux, normals[o + 1]! - rise * uy, normals[o + 2]! - rise * uz]
    const length = Math.hypot(x * keep, y * keep, z * keep, lift)
    normals[o] = (x * keep + side * lift * ux) / length
    normals[o + 1] = (y * keep + side * lift * uy) / length
    normals[o + 2] = (z * keep + side * lift * uz) / length
  }
}

/** From here on a leaf's vein grows shallower, so that both blades run out into one point. */
const VEIN_FADES = 0.7

/** Lowers the middle of a leaf below its edges, so that the two blades meet in a vein. */
function sinkVein({ points, reach, tSteps, uSteps }: SheetGrid, vee: number): void {
  const row = uSteps + 1
  const normals = gridNormals(points, tSteps, row)
  for (let t = 0; t <= tSteps; t++) {
    const fades = Math.min(1, (1 - t / tSteps) / (1 - VEIN_FADES))
    for (let u = 0; u <= uSteps; u++) {
      const o = (t * row + u) * 3
      const depth = fades * vee * reach[t]! * (1 - Math.abs((2 * u) / uSteps - 1))
      for (let c = 0; c < 3; c++) points[o + c]! -= normals[o + c]! * depth
    }
  }
}

/** How often a hand wavers over a stroke, and how much more or less than meant the rim of a petal rolls. */
const WAVERS = 4
const LIP_STRAY = 0.2

/** A hand is never quite steady: a slow wander of tilt, height and radius along the stroke. */
function unsteady(path: SheetPath, random: Random): SheetPath {
  const tilt = smoothNoise(random, WAVERS)
  const lift = smoothNoise(random, WAVERS)
  const lipScale = 1 + LIP_STRAY * slip(random)
  return (t, out: SheetFrame) => {
    path(t, out)
    const d = WAVER_TILT * tilt(t * WAVERS)
    const { sx, sy, sz, bx, by, bz } = out
    out.sx = sx + d * bx
    out.sy = sy + d * by
    out.sz = sz + d * bz
    out.bx = bx - d * sx
    out.by = by - d * sy
    out.bz = bz - d * sz
    out.pz += WAVER_UP_MM * lift(t * WAVERS)
    out.lip *= lipScale
  }
}

/** A plain sine looks like a pie crust: waves come early and late by so much, radians, and a second, quicker one runs along. */
const WAVE_STRAY = 1.1
const SECOND_WAVE = { height: 0.35, quicker: 2.3 }
/** A frill grows over the first quarter of its stroke, from so much, and fades over the last. */
const FADES = 4
const FADED = 0.15

function addRipple(
  points: Float64Array,
  tSteps: number,
  uSteps: number,
  ripple: Ripple,
  bothEdges: boolean,
  random: Random,
): void {
  const row = uSteps + 1
  const normals = gridNormals(points, tSteps, row)
  const phase = random() * 2 * Math.PI
  const rim = new Float64Array(tSteps + 1)
  for (let t = 1; t <= tSteps; t++)
    rim[t] = rim[t - 1]! + distance(points, (t * row + uSteps) * 3, ((t - 1) * row + uSteps) * 3)
  const total = rim[tSteps]!
  const wander = smoothNoise(random, total / ripple.lengthMm + 2)
  const swell = smoothNoise(random, total / ripple.lengthMm + 2)
  for (let t = 0; t <= tSteps; t++) {
    const turns = rim[t]! / ripple.lengthMm
    const x = 2 * Math.PI * turns + phase + WAVE_STRAY * wander(turns)
    const wave = Math.sin(x) + SECOND_WAVE.height * Math.sin(SECOND_WAVE.quicker * x + 1)
    const fade = Math.min(1, (FADES * Math.min(t, tSteps - t)) / tSteps + FADED)
    const amp = ripple.ampMm * (1 + FRILL_SWELL * swell(turns)) * fade
    for (let u = bothEdges ? 0 : 1; u <= uSteps; u++) {
      const o = (t * row + u) * 3
      const free = bothEdges ? Math.abs((2 * u) / uSteps - 1) : u / uSteps
      const d = amp * free ** ripple.power * wave
      for (let c = 0; c < 3; c++) points[o + c]! += normals[o + c]! * d
    }
  }
}

/** Where the cells of a sheet are smaller than this share of its mean cell, they cannot tell which way it faces. */
const TELLING = 0.5
/** Rings to either side that are asked instead. */
const ASKED = 2

/**
 * Unit normals of a grid of points by central differences. Where the sheet turns on the spot or runs together with itself
 * there is hardly any area: the rings around and the rest of the slot know which way it faces.
 */
function gridNormals(points: Float64Array, tSteps: number, row: number): Float64Array {
  const raw = new Float64Array(points.length)
  const areas = new Float64Array((tSteps + 1) * row)
  let mean = 0
  for (let t = 0; t <= tSteps; t++) {
    const before = Math.max(0, t - 1) * row
    const after = Math.min(tSteps, t + 1) * row
    for (let u = 0; u < row; u++) {
      const a = (before + u) * 3
      const b = (after + u) * 3
      const c = (t * row + Math.max(0, u - 1)) * 3
      const d = (t * row + Math.min(row - 1, u + 1)) * 3
      const tx = points[b]! - points[a]!
      const ty = points[b + 1]! - points[a + 1]!
      const tz = points[b + 2]! - points[a + 2]!
      const ux = points[d]! - points[c]!
      const uy = points[d + 1]! - points[c + 1]!
      const uz = points[d + 2]! - points[c + 2]!
      const o = (t * row + u) * 3
      raw[o] = ty * uz - tz * uy
      raw[o + 1] = tz * ux - tx * uz
      raw[o + 2] = tx * uy - ty * ux
      const area = Math.hypot(raw[o]!, raw[o + 1]!, raw[o + 2]!)
      areas[t * row + u] = area
      mean += area / ((tSteps + 1) * row)
    }
  }
  const normals = new Float64Array(points.length)
  for (let t = 0; t <= tSteps; t++)
    for (let u = 0; u < row; u++) {
      const v = t * row + u
      const o = v * 3
      let [x, y, z] = [raw[o]!, raw[o + 1]!, raw[o + 2]!]
      const doubt = 1 - areas[v]! / Math.max(1e-12, TELLING * mean)
      if (doubt > 0) {
        let [sx, sy, sz] = [0, 0, 0]
        // larger cells weigh more: their raw normals are as long as they are large
        for (let s = Math.max(0, t - ASKED); s <= Math.min(tSteps, t + ASKED); s++)
          for (let w = 0; w < row; w++) {
            const q = (s * row + w) * 3
            sx += raw[q]!
            sy += raw[q + 1]!
            sz += raw[q + 2]!
          }
        const known = Math.hypot(sx, sy, sz) || 1
        const own = areas[v]! || 1
        x = (x / own) * (1 - doubt) + (sx / known) * doubt
        y = (y / own) * (1 - doubt) + (sy / known) * doubt
        z = (z / own) * (1 - doubt) + (sz / known) * doubt
      }
      const length = Math.hypot(x, y, z)
      normals[o] = length > 0 ? x / length : 0
      normals[o + 1] = length > 0 ? y / length : 0
      normals[o + 2] = length > 0 ? z / length : 1
    }
  return normals
}

function thicknesses(grid: SheetGrid, slot: Slot, flow: number, random: Random): Float64Array {
  const { points, tSteps, uSteps } = grid
  const row = uSteps + 1
  const thick = new Float64Array((tSteps + 1) * row)
  const uneven = smoothNoise(random, 6)
  const widths = Float64Array.from({ length: row }, (_, u) =>
    slot.widthAt(Math.min(1 - RIM, Math.max(RIM, u / uSteps))),
  )
  const most = 2 * Math.max(...widths)
  const speed = new Float64Array(row)
  for (let t = 0; t <= tSteps; t++) {
    const before = Math.max(0, t - 1)
    const after = Math.min(tSteps, t + 1)
    let weighted = 0
    let weights = 0
    for (let u = 0; u < row; u++) {
      speed[u] = distance(points, (before * row + u) * 3, (after * row + u) * 3) / (after - before)
      weighted += speed[u]! * widths[u]!
      weights += widths[u]!
    }
    const mean = weighted / weights
    const end = Math.min(t, tSteps - t) / tSteps
    const taper = end < ENDS ? THIN_END + (1 - THIN_END) * Math.sqrt(end / ENDS) : 1
    for (let u = 0; u < row; u++) {
      const local = (flow * mean) / Math.max(1e-6, speed[u]!)
      const h = widths[u]! * Math.min(THICKEST, Math.max(THINNEST, local))
      thick[t * row + u] =
        Math.min(most, h) * grid.thick[t]! * taper * (1 + UNEVEN * uneven((UNEVEN_TIMES * t) / tSteps))
    }
  }
  return thick
}

function distance(p: Float64Array, a: number, b: number): number {
  const x = p[b]! - p[a]!
  const y = p[b + 1]! - p[a + 1]!
  const z = p[b + 2]! - p[a + 2]!
  return Math.sqrt(x * x + y * y + z * z)
}
