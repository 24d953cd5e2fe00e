import { type BufferGeometry, Color, type Mesh, type MeshLambertMaterial } from 'three'
import { type PieceBody, pieceBody } from './pieceBody.ts'
import { type Rope, ropeGeometry } from './ropes.ts'

/** Something of one colour, mm, z up. */
export interface PlainPart {
  name: string
  positions: Float32Array
  normals: Float32Array
  indices: Uint32Array
  hex: string
}

/** What a piece stands on, and lines of icing on it, as plain meshes. */
export function plainParts(body: PieceBody, ropes: readonly (Rope & { name: string })[]): PlainPart[] {
  const held: { dispose(): void }[] = []
  const { group, surface } = pieceBody(body, (thing) => {
    held.push(thing)
    return thing
  })
  group.updateMatrixWorld(true)
  const below = group.children
    .filter((child) => child !== surface)
    .map((child): PlainPart => {
      const { geometry, material, matrixWorld } = child as Mesh<BufferGeometry, MeshLambertMaterial>
      const placed = geometry.clone().applyMatrix4(matrixWorld)
      return partOf('Stands on', placed, `#${material.color.getHexString()}`)
    })
  const lines = ropes.flatMap((rope) => {
    const tube = ropeGeometry(rope)
    return tube ? [partOf(rope.name, tube, rope.hex)] : []
  })
  for (const thing of held) thing.dispose()
  return [...below, ...lines]
}

function partOf(name: string, geometry: BufferGeometry, hex: string): PlainPart {
  const positions = Float32Array.from(geometry.getAttribute('position').array)
  const index = geometry.index?.array ?? Array.from({ length: positions.length / 3 }, (_, i) => i)
  return {
    ...{ name, positions, hex: `#${new Color(hex).getHexString()}` },
    normals: Float32Array.from(geometry.getAttribute('normal').array),
    indices: Uint32Array.from(index),
  }
}
