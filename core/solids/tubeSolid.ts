import { newTubeFrame, type TubePath } from '../geometry/tube.ts'
import { type Random, slip, smoothNoise } from '../random.ts'
import type { Outline } from '../tips/family.ts'
import { type LaidRope, outlineMiddle } from './laid.ts'
import { INNER_FACE, type MeshBuilder, skin, skinTriangles } from './mesh.ts'

/** How finely a tube is cut: rings along it. Around it goes the outline it is given. */
export interface TubeCut {
  rings: number
}

/** Rings of a rope's skin: its own, and one at each end that draws it together, since a star is no shape to lid. */
export const skinRings = (rings: number): number => rings + 2

export function tubeRoom(cut: TubeCut, outline: Outline): { vertices: number; triangles: number } {
  const rings = skinRings(cut.rings)
  return { vertices: rings * outline.length, triangles: skinTriangles(rings, outline.length) }
}

/** Width of the ring that draws an end together, as a share of the end's own. */
const DRAWN_TOGETHER = 0.04

/** Smallest a ring is drawn, as a share of the opening: a point has no triangles to turn. */
const LEAST_SCALE = 0.012

/** How much wider or narrower than meant a whole rope comes, as a share. */
const SIZE_STRAY = 0.03

/** Lays a rope along a path: a hand's swelling and slips are in it. */
export function layRope(path: TubePath, outline: Outline, { rings }: TubeCut, random: Random): LaidRope {
  const frame = newTubeFrame()
  const swell = smoothNoise(random, 5)
  const size = 1 + SIZE_STRAY * slip(random)
  const laid: LaidRope = {
    kind: 'rope',
    rings,
    outline,
    centres: new Float64Array(rings * 3),
    scale: new Float64Array(rings),
    twist: new Float64Array(rings),
    flat: 1,
  }
  for (let t = 0; t < rings; t++) {
    path(t / (rings - 1), frame)
    laid.centres[t * 3] = frame.x
    laid.centres[t * 3 + 1] = frame.y
    laid.centres[t * 3 + 2] = frame.z
    laid.scale[t] = Math.max(LEAST_SCALE, frame.scale) * size * (1 + 0.03 * swell((5 * t) / rings))
    laid.twist[t] = frame.twist
  }
  return laid
}

/**
 * Gives a rope its skin: the opening's outline carried along the path, square to it, swelling by its scale and turned
 * by its twist. The frame is carried along without turning by itself (rotation-minimising, by double reflection:
 * Wang, Jüttler, Zheng and Liu, ACM TOG 27, 2008). A rope that has sunk is lower and wider by the same share.
 */
export function skinRope(builder: MeshBuilder, laid: LaidRope, layer: number): void {
  const { outline, centres: points, rings } = laid
  const around = outline.length
  const [mx, my] = outlineMiddle(outline)
  const first = builder.vertices
  const { positions, places, alongs, thicks, layers } = builder.mesh
  const [lower, wider] = [Math.sqrt(laid.flat), 1 / Math.sqrt(laid.flat)]
  const r: [number, number, number] = [0, 0, 0]
  let v = first
  let along = 0
  const tangents = tangentsOf(points, rings)
  const bend = new Float64Array(4)
  let tangent = tangentAt(points, 0, rings)
  sideOf(tangent, r)
  for (let ring = 0; ring < skinRings(rings); ring++) {
    const t = Math.min(rings - 1, Math.max(0, ring - 1))
    const isEnd = ring === 0 || ring === rings + 1
    const o = t * 3
    if (t > 0 && !isEnd) {
      const next = tangentAt(points, t, rings)
      along += reflect(points, t, tangent, next, r)
      tangent = next
    }
    const scale = laid.scale[t]! * (isEnd ? DRAWN_TOGETHER : 1)
    const [rx, ry, rz] = r
    const [tx, ty, tz] = tangent
    const qx = ty * rz - tz * ry
    const qy = tz * rx - tx * rz
    const qz = tx * ry - ty * rx
    const c = Math.cos(laid.twist[t]!)
    const s = Math.sin(laid.twist[t]!)
    bendAt(points, tangents, t, rings, bend)
    let widest = 0
    for (let k = 0; k < around; k++) {
      // clockwise about the path, so that the skin faces outwards
      const corner = outline[around - 1 - k]!
      // one hole of many stays where it is and thins about its own middle
      const x = mx + (corner[0] - mx) * scale
      const y = my + (corner[1] - my) * scale
      const a = x * c - y * s
      const b = x * s + y * c
      const p = v * 3
      let dx = a * rx + b * qx
      let dy = a * ry + b * qy
      let dz = a * rz + b * qz
      // in a tight turn the inside would pass the middle of the turn and come out inside out
      const over = dx * bend[0]! + dy * bend[1]! + dz * bend[2]! - TURNS_IN * bend[3]!
      if (over > 0) {
        dx -= over * bend[0]!
        dy -= over * bend[1]!
        dz -= over * bend[2]!
      }
      positions[p] = points[o]! + dx * wider
      positions[p + 1] = points[o + 1]! + dy * wider
      positions[p + 2] = points[o + 2]! + dz * lower
      widest = Math.max(widest, (x - mx) ** 2 + (y - my) ** 2)
      places[v] = k / around
      alongs[v] = along
      layers[v] = layer + (places[v]! >= 0.5 ? INNER_FACE : 0)
      v++
    }
    for (let k = v - around; k < v; k++) thicks[k] = 2 * Math.sqrt(widest)
  }
  builder.vertices = v
  skin(builder, first, skinRings(rings), around)
}

/** Share of a turn's radius up to which the inside of a rope fills it. */
const TURNS_IN = 0.92

/** Which way a path turns at a ring, as a unit vector to the middle of the turn, and the radius of the turn, mm, into `out`. */
function bendAt(p: Float64Array, tangents: Float64Array, t: number, rings: number, out: Float64Array): void {
  // near an end only part of the turn is to be seen: it goes on as it does further in
  const within = Math.max(2, Math.min(rings - 3, t))
  const [i, j] = [Math.max(0, within - 1) * 3, Math.min(rings - 1, within + 1) * 3]
  const x = tangents[j]! - tangents[i]!
  const y = tangents[j + 1]! - tangents[i + 1]!
  const z = tangents[j + 2]! - tangents[i + 2]!
  const turned = Math.sqrt(x * x + y * y + z * z)
  if (turned < 1e-9) {
    out.fill(0)
    out[3] = Number.POSITIVE_INFINITY
    return
  }
  let way = 0
  for (let k = i; k < j; k += 3) {
    const [dx, dy, dz] = [p[k + 3]! - p[k]!, p[k + 4]! - p[k + 1]!, p[k + 5]! - p[k + 2]!]
    way += Math.sqrt(dx * dx + dy * dy + dz * dz)
  }
  out[0] = x / turned
  out[1] = y / turned
  out[2] = z / turned
  out[3] = way / turned
}

/** Unit vectors along a path, three numbers a ring. */
function tangentsOf(p: Float64Array, rings: number): Float64Array {
  const all = new Float64Array(rings * 3)
  for (let t = 0; t < rings; t++) {
    const [x, y, z] = tangentAt(p, t, rings)
    all[t * 3] = x
    all[t * 3 + 1] = y
    all[t * 3 + 2] = z
  }
  return all
}

function tangentAt(p: Float64Array, t: number, rings: number): [number, number, number] {
  const a = Math.max(0, t - 1) * 3
  const b = Math.min(rings - 1, t + 1) * 3
  const x = p[b]! - p[a]!
  const y = p[b + 1]! - p[a + 1]!
  const z = p[b + 2]! - p[a + 2]!
  const length = Math.sqrt(x * x + y * y + z * z)
  return length < 1e-12 ? [0, 0, 1] : [x / length, y / length, z / length]
}

/** A unit vector square to the tangent, level where it can be. */
function sideOf([x, y]: [number, number, number], out: [number, number, number]): void {
  const level = Math.hypot(x, y)
  if (level < 1e-6) out.splice(0, 3, 1, 0, 0)
  else out.splice(0, 3, -y / level, x / level, 0)
}

/** Carries `r` from one ring to the next by double reflection; returns the distance between them. */
function reflect(
  p: Float64Array,
  t: number,
  from: readonly number[],
  to: readonly number[],
  r: [number, number, number],
): number {
  const b = t * 3
  const v1x = p[b]! - p[b - 3]!
  const v1y = p[b + 1]! - p[b - 2]!
  const v1z = p[b + 2]! - p[b - 1]!
  const c1 = v1x * v1x + v1y * v1y + v1z * v1z
  if (c1 < 1e-14) return 0
  const k = (2 / c1) * (v1x * r[0] + v1y * r[1] + v1z * r[2])
  const rx = r[0] - k * v1x
  const ry = r[1] - k * v1y
  const rz = r[2] - k * v1z
  const m = (2 / c1) * (v1x * from[0]! + v1y * from[1]! + v1z * from[2]!)
  const v2x = to[0]! - (from[0]! - m * v1x)
  const v2y = to[1]! - (from[1]! - m * v1y)
  const v2z = to[2]! - (from[2]! - m * v1z)
  const c2 = v2x * v2x + v2y * v2y + v2z * v2z
  const n = c2 < 1e-14 ? 0 : (2 / c2) * (v2x * rx + v2y * ry + v2z * rz)
  r[0] = rx - n * v2x
  r[1] = ry - n * v2y
  r[2] = rz - n * v2z
  return Math.sqrt(c1)
}
