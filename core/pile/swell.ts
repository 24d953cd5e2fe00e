import type { Laid } from '../solids/laid.ts'
import type { FlowerMesh } from '../solids/mesh.ts'
import { newMesh, skinTriangles } from '../solids/mesh.ts'
import { ringSize } from '../solids/sheetSolid.ts'
import { skinLaid } from '../solids/strokeSolid.ts'
import { skinRings } from '../solids/tubeSolid.ts'
import type { PiledStroke } from './piled.ts'
import { unionVolume } from './union.ts'

/** Icing that is pressed out of the way makes the rest no thicker, and no thinner, than this. */
const THINNEST = 0.7
const THICKEST = 1.45
/** A pile within this share of what left the bag is as large as it. */
const ENOUGH = 0.006
const MOST_TRIES = 4

/**
 * What merged with other icing comes out elsewhere: everything swells until the pile fills what left the bag. In place.
 * @param shown the bodies of a stroke as tools leave them.
 */
export function swell(
  strokes: readonly PiledStroke[],
  shown: (stroke: PiledStroke) => Laid[],
  bagMm3: number,
): void {
  const mesh = roomFor(strokes)
  const fills = (): number => {
    skinAll(mesh, strokes, shown)
    return unionVolume(mesh)
  }
  let done = 1
  let by = 1
  let before: { by: number; fills: number } | null = null
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    if (by !== done) thicken(strokes, by / done)
    done = by
    const now = fills()
    if (Math.abs(now / bagMm3 - 1) < ENOUGH) return
    // the straight line through the last two tries; a first guess for want of one
    const slope = before && before.by !== by ? (now - before.fills) / (by - before.by) : now
    const next = Math.min(THICKEST, Math.max(THINNEST, by + (bagMm3 - now) / Math.max(slope, now * 0.2)))
    if (next === by) return
    before = { by, fills: now }
    by = next
  }
}

function thicken(strokes: readonly PiledStroke[], by: number): void {
  for (const { laid } of strokes)
    for (const body of laid) {
      if (body.kind === 'sheet') for (let i = 0; i < body.thick.length; i++) body.thick[i]! *= by
      else for (let i = 0; i < body.scale.length; i++) body.scale[i]! *= Math.sqrt(by)
    }
}

/** Vertices and triangles of bodies with their skins. */
export function skinRoom(bodies: readonly Laid[]): { vertices: number; triangles: number } {
  let [vertices, triangles] = [0, 0]
  for (const body of bodies) {
    const [rings, around] =
      body.kind === 'sheet' ? [body.tSteps + 1, ringSize(body)] : [skinRings(body.rings), body.outline.length]
    vertices += rings * around
    triangles += skinTriangles(rings, around)
  }
  return { vertices, triangles }
}

function roomFor(strokes: readonly PiledStroke[]): FlowerMesh {
  const { vertices, triangles } = skinRoom(strokes.flatMap((s) => s.laid))
  return { ...newMesh(vertices, triangles).mesh, normals: new Float32Array(0) }
}

function skinAll(
  mesh: FlowerMesh,
  strokes: readonly PiledStroke[],
  shown: (stroke: PiledStroke) => Laid[],
): void {
  const builder = { mesh, vertices: 0, entries: 0 }
  for (const stroke of strokes) skinLaid(builder, shown(stroke), stroke.layer)
  onTable(mesh.positions)
}

/** Nothing reaches through the table. In place. */
export function onTable(positions: Float32Array): void {
  for (let o = 2; o < positions.length; o += 3) if (positions[o]! < 0) positions[o] = 0
}
