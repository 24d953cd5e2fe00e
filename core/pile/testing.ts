import type { Spot } from '../places/spot.ts'
import type { FlowerMesh } from '../solids/mesh.ts'

type Skins = Pick<FlowerMesh, 'positions' | 'indices'>

/**
 * Volume in mm³ of what closed skins fill together, by threads pulled through it along x: how long each is inside. Written
 * for checking, and sharing nothing with what makes the pile: it measures along another axis, row by row.
 */
export function volumeByThreads({ positions: p, indices }: Skins, apartMm = 0.45): number {
  const met = new Map<number, [x: number, enters: boolean][]>()
  for (let e = 0; e < indices.length; e += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => {
      const o = indices[e + k]! * 3
      return { x: p[o]!, y: p[o + 1]!, z: p[o + 2]! }
    }) as [Corner, Corner, Corner]
    const facing = (b.y - a.y) * (c.z - a.z) - (b.z - a.z) * (c.y - a.y)
    if (facing === 0) continue
    const rows = (of: 'y' | 'z') => [
      Math.ceil(Math.min(a[of], b[of], c[of]) / apartMm - 0.5),
      Math.floor(Math.max(a[of], b[of], c[of]) / apartMm - 0.5),
    ]
    const [[j0, j1], [k0, k1]] = [rows('y') as [number, number], rows('z') as [number, number]]
    for (let j = j0; j <= j1; j++)
      for (let k = k0; k <= k1; k++) {
        const [y, z] = [(j + 0.5) * apartMm, (k + 0.5) * apartMm]
        const side = (from: Corner, to: Corner) =>
          ((to.y - from.y) * (z - from.z) - (to.z - from.z) * (y - from.y)) / facing
        const [ofC, ofA, ofB] = [side(a, b), side(b, c), side(c, a)]
        if (ofA < 0 || ofB < 0 || ofC < 0) continue
        const thread = cellKey(j, k)
        const list = met.get(thread) ?? []
        list.push([ofA * a.x + ofB * b.x + ofC * c.x, facing < 0])
        met.set(thread, list)
      }
  }
  let inside = 0
  for (const list of met.values()) {
    list.sort(([a], [b]) => a - b)
    let depth = 0
    list.forEach(([x, enters], i) => {
      if (depth > 0) inside += x - list[i - 1]![0]
      depth += enters ? 1 : -1
    })
  }
  return inside * apartMm * apartMm
}

/** Number of a cell in a plane of cells, no flower being a hundred thousand of them wide. */
const cellKey = (i: number, j: number) => i * 200_000 + j

interface Corner {
  x: number
  y: number
  z: number
}

/** Area in mm² that shows the inside of a skin to whoever looks from above: an open slit, or a fold turned inside out. */
export function insideOutMm2({ positions: p, indices }: Skins, cellMm = 0.25): number {
  const tops = new Map<number, { z: number; up: boolean }>()
  for (let e = 0; e < indices.length; e += 3) {
    const [a, b, c] = [indices[e]! * 3, indices[e + 1]! * 3, indices[e + 2]! * 3]
    const twice = (p[b]! - p[a]!) * (p[c + 1]! - p[a + 1]!) - (p[b + 1]! - p[a + 1]!) * (p[c]! - p[a]!)
    if (twice === 0) continue
    const span = (axis: 0 | 1) => {
      const at = [p[a + axis]!, p[b + axis]!, p[c + axis]!]
      return [Math.ceil(Math.min(...at) / cellMm - 0.5), Math.floor(Math.max(...at) / cellMm - 0.5)] as const
    }
    const [[i0, i1], [j0, j1]] = [span(0), span(1)]
    for (let i = i0; i <= i1; i++)
      for (let j = j0; j <= j1; j++) {
        const [x, y] = [(i + 0.5) * cellMm, (j + 0.5) * cellMm]
        const wc = ((p[b]! - p[a]!) * (y - p[a + 1]!) - (p[b + 1]! - p[a + 1]!) * (x - p[a]!)) / twice
        const wa = ((p[c]! - p[b]!) * (y - p[b + 1]!) - (p[c + 1]! - p[b + 1]!) * (x - p[b]!)) / twice
        const wb = 1 - wa - wc
        if (wa < 0 || wb < 0 || wc < 0) continue
        const z = wa * p[a + 2]! + wb * p[b + 2]! + wc * p[c + 2]!
        const key = cellKey(i, j)
        const top = tops.get(key)
        // two faces of one film are as high as each other
        if (!top || z > top.z + 1e-6) tops.set(key, { z, up: twice > 0 })
      }
  }
  let area = 0
  for (const { up } of tops.values()) if (!up) area += cellMm * cellMm
  return area
}

/** Spots round the axis at these azimuths, radians. */
export const around = (azimuths: readonly number[]): Spot[] =>
  azimuths.map((azimuth) => ({ azimuth, seat: null }))
