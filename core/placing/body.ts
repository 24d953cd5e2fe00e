import type { Chart, Point, Spot } from '../surfaces/chart.ts'

/** A flower of the order as placing sees it: a round thing of so much icing. Measures in mm. */
export interface Kind {
  placedId: string
  /** What two of are "two of a kind": the recipe. */
  flowerId: string
  /** Lies along the surface and points somewhere: leaves, vines, blossoms on a stem seen from the side. */
  lies: boolean
  /** Half its width. */
  r: number
  h: number
  /** From root to tip, and across. */
  longMm: number
  wideMm: number
  /** Its middle as its recipe is drawn, from where that begins; its root is on the x axis. */
  middleX: number
  middleY: number
  grams: number
  /** Its main colour, to tell whether two stand apart. */
  hex: string
  /** May stand on a side: light and low enough to stay there. */
  mayHang: boolean
}

/** What a thing counts for among the others: 2 seen first, 1 beside it, 0 between, -1 beneath. */
export type Rank = 2 | 1 | 0 | -1

/** A flower lies over its neighbour by so much of the smaller one's radius: petals run into each other. */
export const TUCK = 0.12

/** A flower somewhere on a piece. Plain fields: thousands of moves are tried with it. */
export class Body {
  spot: Spot
  x = 0
  y = 0
  z = 0
  nx = 0
  ny = 0
  nz = 1
  ox = 1
  oy = 0
  oz = 0
  turn = 0
  pinned = false
  /** Where the school itself puts it: stays, but is nobody's pin. */
  held = false
  kind: Kind
  rank: Rank
  /** Index among kinds. */
  readonly of: number
  /** No point of it is further from its middle, mm. */
  readonly span: number
  /** The site that it was read from; null for one that is new. */
  siteId: string | null = null
  /** The flower that a leaf is tucked under. */
  host: Body | null = null

  constructor(kind: Kind, of: number, rank: Rank, spot: Spot) {
    this.kind = kind
    this.of = of
    this.span = Math.hypot(kind.r, kind.h / 2)
    this.rank = rank
    this.spot = spot
  }

  /** The way it points along the surface: out and down, turned by its turn. */
  get points() {
    const { nx, ny, nz, ox, oy, oz } = this
    const [c, s] = [Math.cos(this.turn), Math.sin(this.turn)]
    return {
      px: c * ox + s * (ny * oz - nz * oy),
      py: c * oy + s * (nz * ox - nx * oz),
      pz: c * oz + s * (nx * oy - ny * ox),
    }
  }

  /** Puts it on a place. */
  put(chart: Chart, spot: Spot): void {
    this.at(spot, chart.point(spot))
  }

  at(spot: Spot, { x, y, z, nx, ny, nz, ox, oy, oz }: Point): void {
    this.spot = spot
    this.x = x
    this.y = y
    this.z = z
    this.nx = nx
    this.ny = ny
    this.nz = nz
    this.ox = ox
    this.oy = oy
    this.oz = oz
  }

  /** Lets it give way along the surface, never off the thing that it stands on. */
  give(chart: Chart, dx: number, dy: number, dz: number): void {
    this.put(chart, chart.beside(this.spot, this.x + dx, this.y + dy, this.z + dz))
  }

  /** Pushes it along the surface. */
  push(chart: Chart, dx: number, dy: number, dz: number): void {
    this.put(chart, chart.nearest(this.x + dx, this.y + dy, this.z + dz))
  }
}

/**
 * How far two things stand into each other beyond their tuck, mm; negative by as much as they stand clear. Each is taken as the
 * round solid of its width and height on its own stretch of surface, seen along the line between their middles: on a dome they
 * lean apart, over an edge the upper one reaches over the lower.
 */
export function overlapMm(a: Body, b: Body): number {
  const dx = b.x + (b.nx * b.kind.h) / 2 - a.x - (a.nx * a.kind.h) / 2
  const dy = b.y + (b.ny * b.kind.h) / 2 - a.y - (a.ny * a.kind.h) / 2
  const dz = b.z + (b.nz * b.kind.h) / 2 - a.z - (a.nz * a.kind.h) / 2
  const far = dx * dx + dy * dy + dz * dz
  const apart = Math.sqrt(far)
  // each gives half of the tuck
  const give = (TUCK * Math.min(a.kind.r, b.kind.r)) / 2
  const ra = a.kind.r - give
  const rb = b.kind.r - give
  const { h: ha } = a.kind
  const { h: hb } = b.kind
  if (far > (a.span + b.span) ** 2) return ra + rb - apart
  if (apart < 1e-6) return ra + rb
  const ca = (a.nx * dx + a.ny * dy + a.nz * dz) / apart
  const cb = (b.nx * dx + b.ny * dy + b.nz * dz) / apart
  return reach(ra, ha, ca) + reach(rb, hb, cb) - apart
}

/** How far a round, flat thing reaches in a direction whose slant to its axis has this cosine. */
const reach = (r: number, h: number, cosine: number) =>
  Math.sqrt(r * r * (1 - cosine * cosine) + (h / 2) ** 2 * cosine * cosine)

/** What each kind counts for, by its size among the largest; leaves and vines lie beneath. */
export function ranksOf(kinds: readonly Kind[]): Rank[] {
  const largest = Math.max(0, ...kinds.filter((k) => !k.lies).map((k) => k.r))
  return kinds.map((k) => {
    if (k.lies) return -1
    if (k.r >= FOCAL_FROM * largest) return 2
    return k.r >= SECOND_FROM * largest ? 1 : 0
  })
}

/** Within so much of the largest a flower is seen first; within so much, beside it. */
const FOCAL_FROM = 0.8
const SECOND_FROM = 0.52
