import { type Canopy, canopyOf } from '../solids/canopy.ts'
import type { Laid } from '../solids/laid.ts'
import { halfAt, type Lie, lieOf } from '../solids/lie.ts'
import type { FlowerMesh, MeshBuilder } from '../solids/mesh.ts'
import { handOf } from '../solids/worked.ts'
import { toolDefinition, type Work } from '../tools/index.ts'
import type { Mark } from '../tools/tool.ts'

/** Steps along a painted line, and corners of a painted dot. */
const STEPS = 12
const CORNERS = 8
/** Paint lies so far above the icing, mm: it is seen, and adds nothing. */
const ABOVE_MM = 0.05
/** A line begins and ends thinner than it is, by this share. */
const TAPER = 0.55

/** Vertices and triangles that the marks of one stroke take at the most. */
export function markRoom(work: Work, seed: number): { vertices: number; triangles: number } {
  const marks = marksOf(work, seed)
  const lines = marks.filter(isLine).length
  const dots = marks.length - lines
  return {
    // each from above and from below, so that its skin is closed
    vertices: 6 * (lines * 4 * STEPS + dots * CORNERS),
    triangles: 2 * (lines * 4 * STEPS + dots * CORNERS),
  }
}

const isLine = ({ from, to }: Mark) => from !== to
const marksOf = (work: Work, seed: number): Mark[] =>
  toolDefinition(work.kind).marks?.(work, handOf(seed, 0)) ?? []

/**
 * Paints the marks of a tool on a stroke whose skin is in the mesh already, in the vertices from `first` on.
 * @param column what the vertices say that they belong to.
 */
export function paintStroke(
  builder: MeshBuilder,
  stroke: { bodies: readonly Laid[]; axis: { x: number; y: number }; seed: number },
  skinFrom: number,
  work: Work,
  column: number,
): void {
  const canopy = canopyOf(builder, skinFrom)
  const lie = lieOf(stroke.bodies, stroke.axis)
  const on: On = (out, asideMm) => placeOn(lie, canopy, out, asideMm)
  for (const mark of marksOf(work, stroke.seed)) {
    if (isLine(mark)) line(builder, on, mark, (out) => halfAt(lie, out), column)
    else dot(builder, on, mark, halfAt(lie, mark.from) * mark.aside, lie.lengthMm, column)
  }
}

/** A place on the skin from above, or null where there is none. */
type On = (out: number, asideMm: number) => [number, number, number] | null

function placeOn(lie: Lie, canopy: Canopy, out: number, asideMm: number) {
  // on the axis every way is outwards: the side is an angle
  const angle = lie.central ? (asideMm / lie.halfMm) * Math.PI : 0
  const [dx, dy] = lie.central ? [Math.cos(angle), Math.sin(angle)] : [lie.dx, lie.dy]
  const away = lie.fromMm + out * lie.lengthMm
  const side = lie.central ? 0 : asideMm
  const [x, y] = [lie.x + dx * away - dy * side, lie.y + dy * away + dx * side]
  const z = canopy(x, y)
  return z === null ? null : ([x, y, z + ABOVE_MM] as [number, number, number])
}

function line(
  builder: MeshBuilder,
  on: On,
  { from, to, aside, widthMm }: Mark,
  halfOf: (out: number) => number,
  column: number,
): void {
  const rows: ([number, number, number][] | null)[] = []
  for (let i = 0; i <= STEPS; i++) {
    const share = i / STEPS
    const wide = (widthMm / 2) * (1 - TAPER * Math.abs(2 * share - 1) ** 3)
    const out = from + (to - from) * share
    // lines run together towards the heart, as veins do, and as the petal narrows
    const middle = aside * halfOf(out) * (0.6 + 0.4 * share)
    const row = [-wide, 0, wide].map((off) => on(out, middle + off))
    rows.push(row.every((p) => p !== null) ? (row as [number, number, number][]) : null)
  }
  for (let i = 0; i < STEPS; i++) {
    const [a, b] = [rows[i], rows[i + 1]]
    if (!a || !b) continue
    for (const k of [0, 1]) {
      put(builder, [a[k]!, b[k]!, b[k + 1]!], column)
      put(builder, [a[k]!, b[k + 1]!, a[k + 1]!], column)
    }
  }
}

function dot(
  builder: MeshBuilder,
  on: On,
  mark: Mark,
  asideMm: number,
  lengthMm: number,
  column: number,
): void {
  const corner = (k: number) => {
    const angle = (2 * Math.PI * k) / CORNERS
    const r = mark.widthMm / 2
    return on(mark.from + (r * Math.cos(angle)) / lengthMm, asideMm + r * Math.sin(angle))
  }
  const middle = on(mark.from, asideMm)
  for (let k = 0; k < CORNERS; k++) {
    const [a, b] = [corner(k), corner(k + 1)]
    if (middle && a && b) put(builder, [middle, a, b], column)
  }
}

/** One triangle of paint, from above and from below. */
function put(
  builder: MeshBuilder,
  corners: readonly (readonly [number, number, number])[],
  column: number,
): void {
  const { mesh } = builder
  const [a, b, c] = corners as [Corner, Corner, Corner]
  const [ux, uy, uz, vx, vy, vz] = [
    b[0] - a[0],
    b[1] - a[1],
    b[2] - a[2],
    c[0] - a[0],
    c[1] - a[1],
    c[2] - a[2],
  ]
  const normal = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx]
  const length = Math.hypot(...normal)
  if (length < 1e-9) return
  const up = normal[2]! < 0 ? -1 : 1
  for (const face of [up, -up]) {
    const first = builder.vertices
    for (const corner of corners) {
      const v = builder.vertices++
      mesh.positions.set(corner, v * 3)
      mesh.normals.set(
        normal.map((n) => (face * n) / length),
        v * 3,
      )
      mesh.layers[v] = column
      mesh.thicks[v] = PAINT_MM
    }
    const turned = face > 0 ? [0, 1, 2] : [0, 2, 1]
    mesh.indices.set(
      turned.map((k) => first + k),
      builder.entries,
    )
    builder.entries += 3
  }
}

type Corner = readonly [number, number, number]
/** Light does not shine through paint: it is as thick as what light does not get through, mm. */
const PAINT_MM = 8

/** What a mesh has that was not filled is cut off: marks that would lie beside their stroke are not painted. */
export function trimmed({ mesh, vertices, entries }: MeshBuilder): FlowerMesh {
  if (mesh.positions.length === vertices * 3 && mesh.indices.length === entries) return mesh
  return {
    ...mesh,
    positions: mesh.positions.slice(0, vertices * 3),
    normals: mesh.normals.slice(0, vertices * 3),
    places: mesh.places.slice(0, vertices),
    alongs: mesh.alongs.slice(0, vertices),
    thicks: mesh.thicks.slice(0, vertices),
    layers: mesh.layers.slice(0, vertices),
    indices: mesh.indices.slice(0, entries),
  }
}
