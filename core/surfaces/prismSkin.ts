import earcut from 'earcut'
import type { Skin } from './chart.ts'
import type { PrismEdge } from './edges.ts'
import type { Cutout } from './outline.ts'

/** A piece that is the same all the way up as triangles: its top, and a wall for every bit of its outline. */
export function prismSkin(shapes: readonly Cutout[], edges: readonly PrismEdge[], heightMm: number): Skin {
  const positions: number[] = []
  const normals: number[] = []
  const indices: number[] = []
  for (const cutout of shapes) {
    const first = positions.length / 3
    const flat = cutout.flat().flatMap(({ x, y }) => [x, y])
    const holes = cutout.slice(0, -1).map((_, i) => cutout.slice(0, i + 1).flat().length)
    for (const { x, y } of cutout.flat()) {
      positions.push(x, y, heightMm)
      normals.push(0, 0, 1)
    }
    const cut = earcut(flat, holes)
    for (let i = 0; i < cut.length; i += 3) {
      const [a, b, c] = [cut[i]!, cut[i + 1]!, cut[i + 2]!]
      const [ax, ay] = [flat[2 * a]!, flat[2 * a + 1]!]
      const upward =
        (flat[2 * b]! - ax) * (flat[2 * c + 1]! - ay) > (flat[2 * c]! - ax) * (flat[2 * b + 1]! - ay)
      indices.push(first + a, first + (upward ? b : c), first + (upward ? c : b))
    }
  }
  if (heightMm > 0)
    for (const { x, y, dx, dy, nx, ny, lengthMm } of edges) {
      const first = positions.length / 3
      for (const along of [0, lengthMm])
        for (const z of [0, heightMm]) {
          positions.push(x + along * dx, y + along * dy, z)
          normals.push(nx, ny, 0)
        }
      indices.push(first, first + 2, first + 3, first, first + 3, first + 1)
    }
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    indices: Uint32Array.from(indices),
    tiers: new Uint8Array(positions.length / 3),
  }
}
