/** Side of a cell, mm: half of a thin petal. From 0.6 to 1 mm piles come out alike within 2 %. */
const CELL_MM = 0.8
/** Cells of one field, at the most (16 MB): what is larger than a hand is piled in coarser ones. */
const MOST_CELLS = 4_000_000
/** Distances further than this from icing are not kept, mm: nothing reaches for icing from further away. */
export const BAND_MM = 1.4

/** A box, mm. */
export interface Bounds {
  low: readonly [number, number, number]
  high: readonly [number, number, number]
}

/** How far the nearest icing is, and which way leads away from it. */
export interface Nearest {
  /** mm to its surface; negative inside it. */
  distance: number
  /** Unit vector away from it; all zero where none is near. */
  x: number
  y: number
  z: number
}

/**
 * The icing that lies already, as the distance to its surface on a dense grid: negative inside, and no further than the
 * band outside. Icing is laid as balls along the middle of what is piped.
 */
export class Field {
  /** Side of a cell here, mm. */
  readonly #cell: number
  readonly #nx: number
  readonly #ny: number
  readonly #nz: number
  readonly #x: number
  readonly #y: number
  readonly #z: number
  readonly #cells: Float32Array

  constructor({ low, high }: Bounds) {
    ;[this.#x, this.#y, this.#z] = low
    const volume = (high[0] - low[0]) * (high[1] - low[1]) * (high[2] - low[2])
    this.#cell = Math.max(CELL_MM, Math.cbrt(volume / MOST_CELLS))
    const cells = (axis: 0 | 1 | 2) => Math.ceil((high[axis] - low[axis]) / this.#cell) + 2
    this.#nx = cells(0)
    this.#ny = cells(1)
    this.#nz = cells(2)
    this.#cells = new Float32Array(this.#nx * this.#ny * this.#nz).fill(BAND_MM)
  }

  /** Lays a ball of icing. */
  lay(x: number, y: number, z: number, radiusMm: number): void {
    const reach = radiusMm + BAND_MM
    const nx = this.#nx
    const ny = this.#ny
    const nz = this.#nz
    const cells = this.#cells
    const cell = this.#cell
    const fx = (x - this.#x) / cell
    const fy = (y - this.#y) / cell
    const fz = (z - this.#z) / cell
    const span = reach / cell
    const j0 = Math.max(0, Math.ceil(fy - span))
    const j1 = Math.min(ny - 1, Math.floor(fy + span))
    const k0 = Math.max(0, Math.ceil(fz - span))
    const k1 = Math.min(nz - 1, Math.floor(fz + span))
    const most = span * span
    const inMm = cell * cell
    for (let k = k0; k <= k1; k++) {
      const dz = (k - fz) * (k - fz)
      for (let j = j0; j <= j1; j++) {
        const dyz = dz + (j - fy) * (j - fy)
        if (dyz > most) continue
        const row = (k * ny + j) * nx
        const half = Math.sqrt(most - dyz)
        const i1 = Math.min(nx - 1, Math.floor(fx + half))
        for (let i = Math.max(0, Math.ceil(fx - half)); i <= i1; i++) {
          const squared = (dyz + (i - fx) * (i - fx)) * inMm
          // balls overlap: most of a ball tells nothing new, and needs no root to say so
          const known = cells[row + i]! + radiusMm
          if (squared >= known * known && known > 0) continue
          const distance = Math.sqrt(squared) - radiusMm
          if (distance < cells[row + i]!) cells[row + i] = distance
        }
      }
    }
  }

  /** Lays what was turned on the spot: a body round an upright axis, with so wide a section at each height. */
  turn(x: number, y: number, heights: ArrayLike<number>, radii: ArrayLike<number>): void {
    const last = heights.length - 1
    const [bottom, top] = [heights[0]!, heights[last]!]
    let widest = 0
    for (let i = 0; i <= last; i++) widest = Math.max(widest, radii[i]!)
    const reach = Math.ceil((widest + BAND_MM) / this.#cell) + 1
    const [ci, cj] = [Math.round((x - this.#x) / this.#cell), Math.round((y - this.#y) / this.#cell)]
    const k0 = Math.max(0, Math.floor((bottom - BAND_MM - this.#z) / this.#cell))
    const k1 = Math.min(this.#nz - 1, Math.ceil((top + BAND_MM - this.#z) / this.#cell))
    for (let k = k0; k <= k1; k++) {
      const z = this.#z + k * this.#cell
      let at = 0
      while (at < last - 1 && heights[at + 1]! < z) at++
      const rise = heights[at + 1]! - heights[at]!
      const share = Math.min(1, Math.max(0, rise > 0 ? (z - heights[at]!) / rise : 0))
      const radius = mix(radii[at]!, radii[at + 1]!, share)
      // a slanting side is nearer than the level way to it
      const slant = rise > 0 ? 1 / Math.hypot(1, (radii[at + 1]! - radii[at]!) / rise) : 1
      const over = Math.max(z - top, bottom - z)
      for (let j = Math.max(0, cj - reach); j <= Math.min(this.#ny - 1, cj + reach); j++)
        for (let i = Math.max(0, ci - reach); i <= Math.min(this.#nx - 1, ci + reach); i++) {
          const level = Math.hypot(this.#x + i * this.#cell - x, this.#y + j * this.#cell - y)
          const aside = (level - radius) * slant
          const distance = over > 0 && aside > 0 ? Math.hypot(over, aside) : Math.max(over, aside)
          const o = (k * this.#ny + j) * this.#nx + i
          if (distance < this.#cells[o]!) this.#cells[o] = distance
        }
    }
  }

  /** Distance in mm to the icing at a point; the band's width where none is near. */
  at(x: number, y: number, z: number): number {
    const fx = (x - this.#x) / this.#cell
    const fy = (y - this.#y) / this.#cell
    const fz = (z - this.#z) / this.#cell
    const i = Math.floor(fx)
    const j = Math.floor(fy)
    const k = Math.floor(fz)
    if (i < 0 || j < 0 || k < 0 || i >= this.#nx - 1 || j >= this.#ny - 1 || k >= this.#nz - 1) return BAND_MM
    const cells = this.#cells
    const nx = this.#nx
    const nxy = nx * this.#ny
    const o = k * nxy + j * nx + i
    const a = fx - i
    const b = fy - j
    const c = fz - k
    const near = mix(mix(cells[o]!, cells[o + 1]!, a), mix(cells[o + nx]!, cells[o + nx + 1]!, a), b)
    const p = o + nxy
    const far = mix(mix(cells[p]!, cells[p + 1]!, a), mix(cells[p + nx]!, cells[p + nx + 1]!, a), b)
    return mix(near, far, c)
  }

  /** The same with the way out, into `out`. */
  nearest(x: number, y: number, z: number, out: Nearest): void {
    out.distance = this.at(x, y, z)
    const probe = PROBE * this.#cell
    out.x = this.at(x + probe, y, z) - this.at(x - probe, y, z)
    out.y = this.at(x, y + probe, z) - this.at(x, y - probe, z)
    out.z = this.at(x, y, z + probe) - this.at(x, y, z - probe)
    const length = Math.hypot(out.x, out.y, out.z)
    if (length < 1e-6) {
      out.x = 0
      out.y = 0
      out.z = 0
      return
    }
    out.x /= length
    out.y /= length
    out.z /= length
  }
}

/** Points so far to either side tell the slope of the distance, in cells. */
const PROBE = 0.5

const mix = (a: number, b: number, share: number) => a + (b - a) * share
