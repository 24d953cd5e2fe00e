import type { Dot, Loop } from './outline.ts'

/** A place on a piece as calculations use it: which face, and two coordinates on it; what they mean is the chart's own. */
export interface Spot {
  face: number
  a: number
  b: number
}

/**
 * A point of a piece's surface, mm: x to the right, y away from whoever looks, z up from what the piece stands on; its outward
 * normal; and the direction "outward and down" along the surface.
 */
export interface Point {
  x: number
  y: number
  z: number
  nx: number
  ny: number
  nz: number
  ox: number
  oy: number
  oz: number
}

/** From which edge a place on a piece is measured. */
export type Anchor = 'middle' | 'rim' | 'joint' | 'foot'

/**
 * A place as an order stores it, so that it stays where it belongs when a piece becomes wider or higher: from the nearest
 * edge of its own tier.
 */
export interface Place {
  zone: 'top' | 'side'
  /** Counted from the lowest. */
  tier: number
  from: Anchor
  /** On round pieces and on sides, mm from the anchor; on other tops, share of half the width, to the right. */
  a: number
  /** On round pieces degrees, 0 to the right and 90 at the back; on other sides share of the way round; on other tops share of half the depth. */
  b: number
}

/** A bit of surface that stands for all of it around: for asking what is covered. */
export interface Sample extends Point {
  spot: Spot
  mm2: number
}

/** A point of a gap between two things that stand side by side, and how far the nearest rim is, mm. */
export interface GapSample extends Sample {
  inside: number
}

/** A line on a piece that things can run along: rim, foot, joint; closed, mm. */
export interface Course {
  id: 'top' | 'foot'
  tier: number
  /** The place after so many mm along it, from the back and clockwise as seen from above. */
  at(mm: number): Point
  lengthMm: number
}

/** A part of a piece by name, for pictures that lay its surface flat. */
export interface Band {
  zone: 'top' | 'side'
  tier: number
  label: string
  /** Where it begins and ends in the unrolled picture, mm down. */
  fromMm: number
  toMm: number
}

/** A piece's surface as triangles, mm. */
export interface Skin {
  positions: Float32Array
  normals: Float32Array
  indices: Uint32Array
  /** Of each point, which tier it is on. */
  tiers: Uint8Array
}

/** How a surface is measured and moved about on. All lengths in mm. */
export interface Chart {
  point(spot: Spot): Point
  /** The place of the surface that is nearest to a point in space. */
  nearest(x: number, y: number, z: number): Spot
  /** The same on whatever a place is on: a thing that gives way stays on its own cupcake. */
  beside(from: Spot, x: number, y: number, z: number): Spot
  /** The place that is seen from straight above at (x, y); beside the piece, the nearest of its edge. */
  under(x: number, y: number): Spot
  /** The place so far to the right and down from another, as it is looked at from outside: along a side, or flat over a top. */
  walk(from: Spot, rightMm: number, downMm: number): Spot
  /** How far a place is from where the surface ends; negative beyond it. */
  insideMm(spot: Spot): number
  /** How far a place is from an inner corner, where a tier stands on another; infinite where there is none. */
  jointMm(spot: Spot): number
  /** How far a place is inside the rim of the uppermost top; negative by as much as it is past it. */
  rimMm(spot: Spot): number
  store(spot: Spot): Place
  read(place: Place): Spot
  /** Which tier and zone a place is on. */
  zoneOf(spot: Spot): { zone: 'top' | 'side'; tier: number }
  /** Points no further than so much from each other, with the area that each stands for. */
  samples(stepMm: number): Sample[]
  /** It as triangles, fine enough to be looked at. */
  skin(): Skin
  /** Where a place lies in the picture of the surface laid flat, and back. */
  unroll(spot: Spot): { x: number; y: number }
  rollUp(x: number, y: number): Spot
  /** How wide that picture is: once round. */
  roundMm: number
  bands: readonly Band[]
  courses: readonly Course[]
  /** Its edges as they are seen from above: against the clock, those of holes with it. */
  above: readonly Loop[]
  /** The middle of everything that stands by itself: of each cupcake of a bouquet, of a cake alone. */
  parts: readonly Dot[]
  /** A closed line along the rim of the uppermost top, so far inside it. */
  rimLine(insideMm: number): Spot[]
  /** One of its parts by itself, its places under the same names: nothing that is moved on it leaves it. */
  alone(part: number): Chart
  /** Points of the gaps between its parts that a leaf can bridge, no further than so much from each other; none for one piece. */
  between(stepMm: number): GapSample[]
  /** Whether a place of the plane is over such a gap. */
  isBetween(x: number, y: number): boolean
  /** How far the piece reaches sideways and up. */
  reachMm: number
  /** Half the width and depth of the uppermost top. */
  top: { x: number; y: number }
  highMm: number
}

/** What a piece answers that is one: nothing lies between its parts. */
export const ONE_PART: Pick<Chart, 'parts' | 'between' | 'isBetween'> = {
  parts: [{ x: 0, y: 0 }],
  between: () => [],
  isBetween: () => false,
}

/** A surface that faces up by more than this is looked at from above: what lies on it is read from the front. */
export const FACES_UP = 0.7

/**
 * Which way is right and which is down along the surface at a point, for whoever looks at it: on a side from outside, on a top
 * from the front. Both of length one.
 */
export function upright({ nx, ny, nz, ox, oy, oz }: Point) {
  let [dx, dy, dz] = [ox, oy, oz]
  if (nz > FACES_UP) {
    // towards whoever looks, laid into the surface
    const length = Math.sqrt(1 - ny * ny)
    dx = (nx * ny) / length
    dy = (ny * ny - 1) / length
    dz = (nz * ny) / length
  }
  return { dx, dy, dz, rx: ny * dz - nz * dy, ry: nz * dx - nx * dz, rz: nx * dy - ny * dx }
}

/** The hour on a clock that lies on the piece, 12 at the back and 6 towards whoever looks. */
export function hourAt(x: number, y: number): number {
  const hour = (3 - (Math.atan2(y, x) * 6) / Math.PI + 12) % 12
  return Math.round(hour) % 12 || 12
}
