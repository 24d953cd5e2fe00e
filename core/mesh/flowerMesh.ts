import { layerAzimuths, type ResolvedLayer } from '../flowers/layers.ts'
import type { BorderRun } from '../flowers/run.ts'
import { seeded, slip } from '../random.ts'
import { CARE_WITH_ONE, STRAY_DEG, STRAY_MM, STRAY_UP_MM } from '../solids/hand.ts'
import { type FlowerMesh, type MeshBuilder, newMesh } from '../solids/mesh.ts'
import { skinLaid, strokeSolid } from '../solids/strokeSolid.ts'
import { type Placement, radians } from '../strokes/stroke.ts'

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
  const plans = layers.map(({ layer, tip }) => {
    const at: Placement = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
    return strokeSolid(layer.stroke, at, tip.opening, detail)
  })
  const units = run?.units ?? 1
  const builder = newMesh(
    units * plans.reduce((sum, p, i) => sum + p.room.vertices * layers[i]!.layer.count, 0),
    units * plans.reduce((sum, p, i) => sum + p.room.triangles * layers[i]!.layer.count, 0),
  )
  layers.forEach(({ layer }, i) => {
    const random = seeded(seed * 7919 + i * 104729 + 1)
    for (let unit = 0; unit < units; unit++)
      layerAzimuths(layer).forEach((azimuth, index) => {
        const stray = layer.count > 1 ? 1 : CARE_WITH_ONE
        const at: Placement = {
          azimuth: azimuth + radians(STRAY_DEG) * slip(random) * stray,
          ringMm: Math.max(0, layer.ringMm + Math.min(STRAY_MM, layer.ringMm * 0.2) * slip(random)),
          heightMm: layer.heightMm + STRAY_UP_MM * slip(random) * stray,
        }
        const start = builder.entries
        const firstVertex = builder.vertices
        skinLaid(builder, plans[i]!.lay(at, random), i)
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
