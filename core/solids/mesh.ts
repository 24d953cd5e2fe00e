/**
 * A flower as triangles, ready for a graphics card. Flat buffers; one entry a vertex unless said otherwise. A
 * vertex knows its place across the opening and its layer, so a new colour or stripe is a new palette.
 */
export interface FlowerMesh {
  positions: Float32Array
  normals: Float32Array
  /** Across the opening: 0 wide end .. 1 narrow end of a slot, or once round a tube. */
  places: Float32Array
  /** Length of the stroke drawn so far, mm: what drag lines run along. */
  alongs: Float32Array
  /** Thickness of the icing here, mm: what light gets through. */
  thicks: Float32Array
  /** Index of the layer in the flower. */
  layers: Float32Array
  /** Three vertex indices a triangle. */
  indices: Uint32Array
  /** Which triangles belong to which stroke, in piping order: picking, and playing it step by step. */
  strokes: StrokeRange[]
}

export interface StrokeRange {
  layer: number
  /** Place of the stroke in its layer. */
  index: number
  /** First entry in `indices`, and how many entries. */
  start: number
  count: number
  /** Its bodies one after the other, as they lie in `indices`: with them a stroke can be shown as far as it is piped. */
  bodies: BodySkin[]
}

/** A skin of so many rings with so many vertices each. */
export interface BodySkin {
  rings: number
  around: number
}

/** A mesh being built, with room made in advance. */
export interface MeshBuilder {
  mesh: FlowerMesh
  vertices: number
  entries: number
}

/** Room for so many vertices and triangles. */
export function newMesh(vertices: number, triangles: number): MeshBuilder {
  return {
    vertices: 0,
    entries: 0,
    mesh: {
      positions: new Float32Array(vertices * 3),
      normals: new Float32Array(vertices * 3),
      places: new Float32Array(vertices),
      alongs: new Float32Array(vertices),
      thicks: new Float32Array(vertices),
      layers: new Float32Array(vertices),
      indices: new Uint32Array(triangles * 3),
      strokes: [],
    },
  }
}

/**
 * Closes the rings of a loft into a skin: quads between neighbouring rings, and a cap over the first and last.
 * Rings of `around` vertices must already stand in the builder from `first` on. Normals come from the faces.
 */
export function skin(builder: MeshBuilder, first: number, rings: number, around: number): void {
  const { indices } = builder.mesh
  // whoever made no room for triangles wants the points only
  if (indices.length === 0) return
  let e = builder.entries
  for (let t = 0; t < rings - 1; t++) {
    const a = first + t * around
    for (let k = 0; k < around; k++) {
      const n = k + 1 === around ? 0 : k + 1
      indices[e++] = a + k
      indices[e++] = a + around + k
      indices[e++] = a + n
      indices[e++] = a + n
      indices[e++] = a + around + k
      indices[e++] = a + around + n
    }
  }
  // caps as strips between the two halves of a ring, which suits a thin slot and a round section alike
  e = cap(indices, e, first, around, false)
  e = cap(indices, e, first + (rings - 1) * around, around, true)
  // nor are normals wanted by whoever only measures
  if (builder.mesh.normals.length > 0) faceNormals(builder, builder.entries, e, first, first + rings * around)
  builder.entries = e
}

function cap(indices: Uint32Array, start: number, ring: number, around: number, end: boolean): number {
  let e = start
  for (let lo = 0, hi = around - 1; hi - lo > 1; ) {
    const next = (lo + (around - 1 - hi)) % 2 === 0 ? lo + 1 : hi - 1
    indices[e++] = ring + lo
    indices[e++] = ring + (end ? hi : next)
    indices[e++] = ring + (end ? next : hi)
    if (next === lo + 1) lo = next
    else hi = next
  }
  return e
}

/**
 * Added to a vertex's layer on the inner face of a sheet, or the second half of a rope: a load of two halves shows there.
 */
export const INNER_FACE = 0.4

/** Triangles in a skin of so many rings of so many vertices. */
export function skinTriangles(rings: number, around: number): number {
  return 2 * around * (rings - 1) + 2 * (around - 2)
}

function faceNormals(builder: MeshBuilder, from: number, to: number, firstVertex: number, endVertex: number) {
  const { positions: p, normals: n, indices } = builder.mesh
  for (let e = from; e < to; e += 3) {
    const a = indices[e]! * 3
    const b = indices[e + 1]! * 3
    const c = indices[e + 2]! * 3
    const ux = p[b]! - p[a]!
    const uy = p[b + 1]! - p[a + 1]!
    const uz = p[b + 2]! - p[a + 2]!
    const vx = p[c]! - p[a]!
    const vy = p[c + 1]! - p[a + 1]!
    const vz = p[c + 2]! - p[a + 2]!
    // not normalised: a large face counts for more
    const x = uy * vz - uz * vy
    const y = uz * vx - ux * vz
    const z = ux * vy - uy * vx
    n[a]! += x
    n[a + 1]! += y
    n[a + 2]! += z
    n[b]! += x
    n[b + 1]! += y
    n[b + 2]! += z
    n[c]! += x
    n[c + 1]! += y
    n[c + 2]! += z
  }
  for (let i = firstVertex * 3; i < endVertex * 3; i += 3) {
    const length = Math.sqrt(n[i]! * n[i]! + n[i + 1]! * n[i + 1]! + n[i + 2]! * n[i + 2]!) || 1
    n[i]! /= length
    n[i + 1]! /= length
    n[i + 2]! /= length
  }
}
