import type { ResolvedLayer } from '../flowers/layers.ts'
import { pileLayers } from '../flowers/piled.ts'
import type { BorderRun } from '../flowers/run.ts'
import { drawnAs } from '../pile/draw.ts'
import { axisOf, pile } from '../pile/pile.ts'
import { type PiledStroke, type PileLayer, workSeed } from '../pile/piled.ts'
import { onTable, skinRoom } from '../pile/swell.ts'
import { type FlowerMesh, type MeshBuilder, newMesh } from '../solids/mesh.ts'
import { skinLaid, skinOf } from '../solids/strokeSolid.ts'
import { canBeDone } from '../tools/fits.ts'
import { markRoom, paintStroke, trimmed } from './painted.ts'
import { type Paint, paintsOf } from './paints.ts'

/** Units of a run are piped by the same hand, each otherwise. */
export const unitSeed = (seed: number, unit: number): number => seed + unit * NEXT_UNIT
const NEXT_UNIT = 7349

/**
 * The solid of a flower: every stroke of every layer as it came to rest, each a little different from its neighbour.
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
  const piled = pileLayers(layers)
  const units = Array.from({ length: run?.units ?? 1 }, (_, unit) => pile(piled, unitSeed(seed, unit)))
  return drawPiles(piled, units, detail, run, paintsOf(layers.map((l) => l.layer)))
}

/** The solid of a flower that is piled already; of a border, of each of its units. What is painted on is numbered after its layers. */
export function drawPiles(
  layers: readonly PileLayer[],
  piles: readonly (readonly PiledStroke[])[],
  detail: number,
  run: BorderRun | null = null,
  paints: readonly Paint[] = [],
): FlowerMesh {
  const units = piles.map((strokes) =>
    strokes.map((stroke) => ({ stroke, bodies: drawnAs(stroke, layers[stroke.layer]!, detail) })),
  )
  const room = skinRoom(units.flat().flatMap((s) => s.bodies))
  for (const { stroke } of units.flat())
    for (const paint of paints) {
      if (paint.layer !== stroke.layer) continue
      const more = markRoom(paint.work, workSeed(stroke))
      room.vertices += more.vertices
      room.triangles += more.triangles
    }
  const builder = newMesh(room.vertices, room.triangles)
  for (const [layer] of layers.entries())
    units.forEach((strokes, unit) => {
      for (const { stroke, bodies } of strokes) {
        if (stroke.layer !== layer) continue
        const start = builder.entries
        const firstVertex = builder.vertices
        skinLaid(builder, bodies, layer)
        paints.forEach(({ layer: on, work }, i) => {
          const { stroke: kind, opening } = layers[layer]!
          if (on !== layer || !canBeDone(work.kind, kind, opening)) return
          const under = { bodies, axis: axisOf(stroke.at), seed: workSeed(stroke) }
          paintStroke(builder, under, firstVertex, work, layers.length + i)
        })
        if (run) moveOn(builder, firstVertex, run, unit)
        builder.mesh.strokes.push({
          layer,
          index: stroke.index,
          start,
          count: builder.entries - start,
          bodies: bodies.map(skinOf),
        })
      }
    })
  onTable(builder.mesh.positions)
  return trimmed(builder)
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
