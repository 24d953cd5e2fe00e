import { type FlowerMesh, newMesh } from '../solids/mesh.ts'
import { skinLaid } from '../solids/strokeSolid.ts'
import type { PiledStroke } from './piled.ts'
import { onTable, skinRoom } from './swell.ts'

/** The skins of piled strokes, as coarsely as they were piled. */
export function skinned(strokes: readonly PiledStroke[]): FlowerMesh {
  const room = skinRoom(strokes.flatMap((s) => s.laid))
  const builder = newMesh(room.vertices, room.triangles)
  for (const { laid, layer } of strokes) skinLaid(builder, laid, layer)
  onTable(builder.mesh.positions)
  return builder.mesh
}
