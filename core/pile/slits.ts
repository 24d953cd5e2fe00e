import type { FlowerMesh } from '../solids/mesh.ts'
import { footprintOf } from './footprint.ts'

/** Side of a cell, mm. */
const CELL_MM = 0.25
/** What shows of the table through a hole smaller than this is a pinprick, mm². */
const LEAST_MM2 = 0.3

const OPEN = 0
const ICING = 1
const OUTSIDE = 2

/**
 * Area in mm² through which the table is seen from above with icing all round: slits between petals that should lie on
 * each other. What opens outwards, as between the rays of a daisy, is none.
 */
export function slitsMm2({ positions: p, indices }: Pick<FlowerMesh, 'positions' | 'indices'>): number {
  const { left, right, low, high } = footprintOf(p)
  // a cell all round is outside
  const wide = Math.ceil((right - left) / CELL_MM) + 3
  const tall = Math.ceil((high - low) / CELL_MM) + 3
  const cells = new Uint8Array(wide * tall)
  const corner = (index: number) => [
    (p[index * 3]! - left) / CELL_MM + 1,
    (p[index * 3 + 1]! - low) / CELL_MM + 1,
  ]
  for (let e = 0; e < indices.length; e += 3)
    cover(cells, wide, corner(indices[e]!), corner(indices[e + 1]!), corner(indices[e + 2]!))
  flood(cells, wide, 0, OUTSIDE)
  let area = 0
  for (let c = 0; c < cells.length; c++) {
    if (cells[c] !== OPEN) continue
    const hole = flood(cells, wide, c, OUTSIDE) * CELL_MM * CELL_MM
    if (hole >= LEAST_MM2) area += hole
  }
  return area
}

/** Marks the cells whose middle lies in a triangle, from above or below. */
function cover(cells: Uint8Array, wide: number, a: number[], b: number[], c: number[]): void {
  const [ax, ay, bx, by, cx, cy] = [a[0]!, a[1]!, b[0]!, b[1]!, c[0]!, c[1]!]
  const twice = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
  if (twice === 0) return
  for (let j = Math.ceil(Math.min(ay, by, cy) - 0.5); j <= Math.floor(Math.max(ay, by, cy) - 0.5); j++)
    for (let i = Math.ceil(Math.min(ax, bx, cx) - 0.5); i <= Math.floor(Math.max(ax, bx, cx) - 0.5); i++) {
      const [x, y] = [i + 0.5, j + 0.5]
      const ofC = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / twice
      const ofA = ((cx - bx) * (y - by) - (cy - by) * (x - bx)) / twice
      if (ofA >= 0 && ofC >= 0 && ofA + ofC <= 1) cells[j * wide + i] = ICING
    }
}

/** Marks the open cells that hang together with one; says how many they are. */
function flood(cells: Uint8Array, wide: number, from: number, mark: number): number {
  const waiting = [from]
  cells[from] = mark
  let count = 0
  for (let c = waiting.pop(); c !== undefined; c = waiting.pop()) {
    count += 1
    const column = c % wide
    for (const next of [column > 0 ? c - 1 : -1, column < wide - 1 ? c + 1 : -1, c - wide, c + wide])
      if (next >= 0 && next < cells.length && cells[next] === OPEN) {
        cells[next] = mark
        waiting.push(next)
      }
  }
  return count
}
