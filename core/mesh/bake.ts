import { GOLDEN_ANGLE } from '../geometry/golden.ts'
import type { FlowerMesh } from '../solids/mesh.ts'

/** The shadow on the table reaches so much further than what casts it; light comes from so far above the horizon at the least, as a sine. */
const GROUND_REACH = 1.5
const HORIZON = 0.06

/** Light baked into a mesh: how open each vertex lies to the sky, and from where that light comes. */
export interface Bake {
  /** 0 closed in .. 1 open, weighted by the angle to the surface. */
  openness: Float32Array
  /** Mean direction of the open sky, three numbers a vertex. */
  bent: Float32Array
  /** How open the ground around the flower lies, `size × size` values over ±reachMm: its contact shadow. */
  ground: { size: number; reachMm: number; openness: Float32Array }
}

export interface BakeQuality {
  directions: number
  /** Depth maps are this many cells square. */
  cells: number
}

const BIAS_MM = 0.55
const GROUND_CELLS = 48

/**
 * Ambient occlusion and bent normals by depth maps: from each of so many directions of the upper half-sphere the
 * mesh is drawn into a small depth map, and every vertex compared with it. The ground closes off the lower half.
 */
export function bake(mesh: FlowerMesh, { directions, cells }: BakeQuality): Bake {
  const { positions, normals } = mesh
  const count = positions.length / 3
  const openness = new Float32Array(count)
  const weights = new Float32Array(count)
  const bent = new Float32Array(positions.length)
  const radius = boundingRadius(positions)
  const ground = new Float32Array(GROUND_CELLS ** 2)
  const reachMm = radius * GROUND_REACH
  const depth = new Float32Array(cells * cells)
  const projected = new Float32Array(positions.length)
  let groundWeight = 0
  for (let d = 0; d < directions; d++) {
    // spread evenly over the half-sphere
    const z = HORIZON + ((1 - HORIZON) * (d + 0.5)) / directions
    const level = Math.sqrt(1 - z * z)
    const dir: Vec = [Math.cos(d * GOLDEN_ANGLE) * level, Math.sin(d * GOLDEN_ANGLE) * level, z]
    const view = viewFrom(dir, radius, cells)
    project(positions, view, projected)
    drawDepth(mesh.indices, projected, depth, cells)
    for (let v = 0; v < count; v++) {
      const o = v * 3
      const cos = normals[o]! * dir[0] + normals[o + 1]! * dir[1] + normals[o + 2]! * dir[2]
      if (cos <= 0) continue
      weights[v]! += cos
      const open = visible(depth, cells, projected[o]!, projected[o + 1]!, projected[o + 2]! + BIAS_MM) * cos
      openness[v]! += open
      bent[o]! += dir[0] * open
      bent[o + 1]! += dir[1] * open
      bent[o + 2]! += dir[2] * open
    }
    groundWeight += z
    addGround(ground, reachMm, view, depth, cells, z)
  }
  for (let v = 0; v < count; v++) finish(v, openness, weights, bent, normals)
  for (let g = 0; g < ground.length; g++) ground[g]! /= groundWeight
  return { openness, bent, ground: { size: GROUND_CELLS, reachMm, openness: ground } }
}

type Vec = [number, number, number]

/** An orthographic view: two axes across and one towards the eye, scaled so that the mesh fills the map. */
interface View {
  right: Vec
  up: Vec
  dir: Vec
  scale: number
  middle: number
}

function boundingRadius(positions: Float32Array): number {
  let most = 1
  for (let o = 0; o < positions.length; o += 3)
    most = Math.max(most, positions[o]! ** 2 + positions[o + 1]! ** 2 + positions[o + 2]! ** 2)
  return Math.sqrt(most)
}

function viewFrom(dir: Vec, radius: number, cells: number): View {
  const level = Math.hypot(dir[0], dir[1]) || 1
  const right: Vec = [-dir[1] / level, dir[0] / level, 0]
  const up: Vec = [
    dir[1] * right[2] - dir[2] * right[1],
    dir[2] * right[0] - dir[0] * right[2],
    dir[0] * right[1] - dir[1] * right[0],
  ]
  return { right, up, dir, scale: (cells - 2) / (2 * radius), middle: cells / 2 }
}

function project(p: Float32Array, { right, up, dir, scale, middle }: View, out: Float32Array): void {
  for (let o = 0; o < p.length; o += 3) {
    const x = p[o]!
    const y = p[o + 1]!
    const z = p[o + 2]!
    out[o] = middle + scale * (x * right[0] + y * right[1] + z * right[2])
    out[o + 1] = middle + scale * (x * up[0] + y * up[1] + z * up[2])
    out[o + 2] = x * dir[0] + y * dir[1] + z * dir[2]
  }
}

/** Nearest depth in each cell (larger is nearer the light); -1e9 where there is nothing. */
function drawDepth(indices: Uint32Array, p: Float32Array, depth: Float32Array, cells: number): void {
  depth.fill(-1e9)
  for (let e = 0; e < indices.length; e += 3) {
    const a = indices[e]! * 3
    const b = indices[e + 1]! * 3
    const c = indices[e + 2]! * 3
    const ax = p[a]!
    const ay = p[a + 1]!
    const bx = p[b]!
    const by = p[b + 1]!
    const cx = p[c]!
    const cy = p[c + 1]!
    const x0 = Math.max(0, Math.ceil(Math.min(ax, bx, cx) - 0.5))
    const x1 = Math.min(cells - 1, Math.floor(Math.max(ax, bx, cx) - 0.5))
    const y0 = Math.max(0, Math.ceil(Math.min(ay, by, cy) - 0.5))
    const y1 = Math.min(cells - 1, Math.floor(Math.max(ay, by, cy) - 0.5))
    if (x0 > x1 || y0 > y1) continue
    const area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
    if (Math.abs(area) < 1e-9) continue
    const az = p[a + 2]!
    const bz = p[b + 2]!
    const cz = p[c + 2]!
    for (let y = y0; y <= y1; y++)
      for (let x = x0; x <= x1; x++) {
        const px = x + 0.5
        const py = y + 0.5
        const w1 = ((px - ax) * (cy - ay) - (py - ay) * (cx - ax)) / area
        const w2 = ((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / area
        if (w1 < 0 || w2 < 0 || w1 + w2 > 1) continue
        const z = az + w1 * (bz - az) + w2 * (cz - az)
        const cell = y * cells + x
        if (z > depth[cell]!) depth[cell] = z
      }
  }
}

/** Share of the four cells around a point from which it is seen. */
function visible(depth: Float32Array, cells: number, x: number, y: number, z: number): number {
  const fx = x - 0.5
  const fy = y - 0.5
  const ix = Math.min(cells - 2, Math.max(0, Math.floor(fx)))
  const iy = Math.min(cells - 2, Math.max(0, Math.floor(fy)))
  const u = Math.min(1, Math.max(0, fx - ix))
  const v = Math.min(1, Math.max(0, fy - iy))
  const at = iy * cells + ix
  const a = depth[at]! <= z ? 1 : 0
  const b = depth[at + 1]! <= z ? 1 : 0
  const c = depth[at + cells]! <= z ? 1 : 0
  const d = depth[at + cells + 1]! <= z ? 1 : 0
  return (a * (1 - u) + b * u) * (1 - v) + (c * (1 - u) + d * u) * v
}

function addGround(
  ground: Float32Array,
  reachMm: number,
  { right, up, dir, scale, middle }: View,
  depth: Float32Array,
  cells: number,
  weight: number,
): void {
  for (let j = 0; j < GROUND_CELLS; j++)
    for (let i = 0; i < GROUND_CELLS; i++) {
      const x = ((i + 0.5) / GROUND_CELLS - 0.5) * 2 * reachMm
      const y = ((j + 0.5) / GROUND_CELLS - 0.5) * 2 * reachMm
      const px = middle + scale * (x * right[0] + y * right[1])
      const py = middle + scale * (x * up[0] + y * up[1])
      const outside = px < 1 || py < 1 || px > cells - 1 || py > cells - 1
      const open = outside ? 1 : visible(depth, cells, px, py, x * dir[0] + y * dir[1] + BIAS_MM)
      ground[j * GROUND_CELLS + i]! += open * weight
    }
}

/** Light that a face gets which looks at the ground only, and the least that is left of a face's light where it looks down. */
const FROM_GROUND = 0.25
const LEAST_OPEN = 0.4

function finish(
  v: number,
  open: Float32Array,
  weights: Float32Array,
  bent: Float32Array,
  normals: Float32Array,
) {
  const o = v * 3
  // a face that looks down sees only the ground
  open[v] = weights[v]! > 1e-6 ? open[v]! / weights[v]! : FROM_GROUND
  const below = Math.min(1, weights[v]! / 2)
  open[v]! *= LEAST_OPEN + (1 - LEAST_OPEN) * below
  const length = Math.hypot(bent[o]!, bent[o + 1]!, bent[o + 2]!)
  for (let c = 0; c < 3; c++) bent[o + c] = length > 1e-6 ? bent[o + c]! / length : normals[o + c]!
}
