import type { FlowerMesh } from '../solids/mesh.ts'
import { footprintOf } from './footprint.ts'

/** Side of a column, mm: at 0.25 and at 0.6 the same comes out within a tenth of a percent; and columns across, at the least. */
const COLUMN_MM = 0.5
const LEAST_ACROSS = 40

/**
 * Volume in mm³ that closed skins fill together, what lies in several of them counted once: over a grid of columns, the
 * length of each that lies inside any of them.
 */
export function unionVolume({ positions: p, indices }: Pick<FlowerMesh, 'positions' | 'indices'>): number {
  const { left, right, low, high } = footprintOf(p)
  const side = Math.min(COLUMN_MM, Math.max(right - left, high - low) / LEAST_ACROSS)
  if (side === 0) return 0
  const wide = Math.ceil((right - left) / side) + 1
  const tall = Math.ceil((high - low) / side) + 1
  const first = new Int32Array(wide * tall).fill(NONE)
  const met: Crossings = {
    first,
    count: 0,
    heights: new Float32Array(indices.length),
    ways: new Int8Array(indices.length),
    next: new Int32Array(indices.length),
  }
  for (let e = 0; e < indices.length; e += 3)
    cross(met, p, indices[e]! * 3, indices[e + 1]! * 3, indices[e + 2]! * 3, left, low, wide, tall, side)
  let inside = 0
  // one column's crossings, from below: as many at the most as there are
  const heights = new Float32Array(met.count)
  const ways = new Int8Array(met.count)
  for (let c = 0; c < wide * tall; c++) {
    let crossings = 0
    for (let k = first[c]!; k !== NONE; k = met.next[k]!)
      insert(heights, ways, crossings++, met.heights[k]!, met.ways[k]!)
    let depth = 0
    for (let k = 0; k < crossings - 1; k++) {
      depth += ways[k]!
      if (depth > 0) inside += heights[k + 1]! - heights[k]!
    }
  }
  return inside * side * side
}

const NONE = -1

/** Where columns cross skins, as a chain for each column. */
interface Crossings {
  first: Int32Array
  count: number
  heights: Float32Array
  /** 1 where a skin is entered from below, -1 where it is left. */
  ways: Int8Array
  next: Int32Array
}

function grown(met: Crossings): void {
  const heights = new Float32Array(met.heights.length * 2)
  heights.set(met.heights)
  const ways = new Int8Array(heights.length)
  ways.set(met.ways)
  const next = new Int32Array(heights.length)
  next.set(met.next)
  Object.assign(met, { heights, ways, next })
}

/** Notes every column whose middle a triangle crosses. */
function cross(
  met: Crossings,
  p: Float32Array,
  a: number,
  b: number,
  c: number,
  left: number,
  low: number,
  wide: number,
  tall: number,
  side: number,
): void {
  // most triangles are smaller than a column is wide, and lie between the middles of two
  const ax = p[a]!
  const bx = p[b]!
  const cx = p[c]!
  const i0 = Math.max(0, Math.ceil((Math.min(ax, bx, cx) - left) / side - 0.5))
  const i1 = Math.min(wide - 1, Math.floor((Math.max(ax, bx, cx) - left) / side - 0.5))
  if (i0 > i1) return
  const ay = p[a + 1]!
  const by = p[b + 1]!
  const cy = p[c + 1]!
  const j0 = Math.max(0, Math.ceil((Math.min(ay, by, cy) - low) / side - 0.5))
  const j1 = Math.min(tall - 1, Math.floor((Math.max(ay, by, cy) - low) / side - 0.5))
  if (j0 > j1) return
  const abx = bx - ax
  const aby = by - ay
  const bcx = cx - bx
  const bcy = cy - by
  const area = abx * (cy - ay) - aby * (cx - ax)
  if (area === 0) return
  const way = area > 0 ? -1 : 1
  for (let j = j0; j <= j1; j++) {
    const y = low + (j + 0.5) * side
    const fromA = abx * (y - ay)
    const fromB = bcx * (y - by)
    for (let i = i0; i <= i1; i++) {
      const x = left + (i + 0.5) * side
      const wc = (fromA - aby * (x - ax)) / area
      const wa = (fromB - bcy * (x - bx)) / area
      const wb = 1 - wa - wc
      if (wa < 0 || wb < 0 || wc < 0) continue
      if (met.count === met.heights.length) grown(met)
      const k = met.count++
      const column = j * wide + i
      met.heights[k] = wa * p[a + 2]! + wb * p[b + 2]! + wc * p[c + 2]!
      met.ways[k] = way
      met.next[k] = met.first[column]!
      met.first[column] = k
    }
  }
}

/** Puts a height, and what belongs to it, in its place among so many that are in order already. */
function insert(heights: Float32Array, ways: Int8Array, among: number, z: number, way: number): void {
  let j = among - 1
  while (j >= 0 && heights[j]! > z) {
    heights[j + 1] = heights[j]!
    ways[j + 1] = ways[j]!
    j--
  }
  heights[j + 1] = z
  ways[j + 1] = way
}
