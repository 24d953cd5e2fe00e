import type { FlowerMesh, MeshBuilder } from './mesh.ts'

/** Height of a skin at a place seen from above, mm; null where there is none. */
export type Canopy = (x: number, y: number) => number | null

/** Side of a cell in which triangles are looked up, mm. */
const CELL_MM = 1

/** The triangles of a mesh that is being built, from a vertex on, as whoever looks from above sees them. */
export function canopyOf({ mesh, vertices, entries }: MeshBuilder, first: number): Canopy {
  const { indices } = mesh
  // skins are built in order: what belongs to later vertices stands at the end
  let start = entries
  while (start > 0 && indices[start - 1]! >= first && indices[start - 1]! < vertices) start -= 3
  return canopyOver(mesh, start, entries)
}

/** The triangles of a mesh between two of its entries, as whoever looks from above sees them. */
export function canopyOver(
  { positions: p, indices }: Pick<FlowerMesh, 'positions' | 'indices'>,
  start = 0,
  entries = indices.length,
): Canopy {
  const cells = new Map<number, number[]>()
  const cell = (v: number) => Math.floor(v / CELL_MM)
  for (let e = start; e < entries; e += 3) {
    const [a, b, c] = [indices[e]! * 3, indices[e + 1]! * 3, indices[e + 2]! * 3]
    const span = (axis: 0 | 1) => [
      cell(Math.min(p[a + axis]!, p[b + axis]!, p[c + axis]!)),
      cell(Math.max(p[a + axis]!, p[b + axis]!, p[c + axis]!)),
    ]
    const [[i0, i1], [j0, j1]] = [span(0) as [number, number], span(1) as [number, number]]
    for (let i = i0; i <= i1; i++)
      for (let j = j0; j <= j1; j++) {
        const key = i * ROW + j
        const list = cells.get(key)
        if (list) list.push(e)
        else cells.set(key, [e])
      }
  }
  return (x, y) => {
    let top: number | null = null
    for (const e of cells.get(cell(x) * ROW + cell(y)) ?? []) {
      const [a, b, c] = [indices[e]! * 3, indices[e + 1]! * 3, indices[e + 2]! * 3]
      const area = (p[b]! - p[a]!) * (p[c + 1]! - p[a + 1]!) - (p[b + 1]! - p[a + 1]!) * (p[c]! - p[a]!)
      if (Math.abs(area) < 1e-9) continue
      const wc = ((p[b]! - p[a]!) * (y - p[a + 1]!) - (p[b + 1]! - p[a + 1]!) * (x - p[a]!)) / area
      const wa = ((p[c]! - p[b]!) * (y - p[b + 1]!) - (p[c + 1]! - p[b + 1]!) * (x - p[b]!)) / area
      const wb = 1 - wa - wc
      if (wa < 0 || wb < 0 || wc < 0) continue
      const z = wa * p[a + 2]! + wb * p[b + 2]! + wc * p[c + 2]!
      if (top === null || z > top) top = z
    }
    return top
  }
}

/** No flower has so many cells side by side. */
const ROW = 100_003
