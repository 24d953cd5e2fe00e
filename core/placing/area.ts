import type { Chart, Point, Spot } from '../surfaces/chart.ts'

/** A point in space, mm. */
export interface Where {
  x: number
  y: number
  z: number
}

/** The ground that a school fills. Points carry their spots. */
export interface Area {
  /** How far a place is inside it, mm; negative outside. */
  insideMm(at: Where, spot: Spot): number
  /** How large a flower is wanted here, as a share of the largest. */
  want(at: Where): number
  /** A flower may reach beyond the ground by this share of its radius. */
  overhang: number
  /** Whether the eye wants it to weigh the same on all sides. */
  balanced: boolean
  /** Flowers stand loose, this far from each other at least, mm; 0 for close. */
  gapMm: number
  /** Where the largest ones begin, in turn, before any choice is made. */
  starts: readonly Spot[]
  /** So many of these stay there. */
  held: number
}

/** A place on the way of a path, with half its width there, mm, and how large flowers are wanted, as a share of the largest. */
export interface Way extends Point {
  half: number
  want: number
}

/** A whole ground: everything that `keeps` says, in from where the surface ends. */
export function wholeArea(
  chart: Chart,
  keeps: (spot: Spot, at: Where) => number,
  more: Partial<Area> = {},
): Area {
  return {
    insideMm: (at, spot) => Math.min(chart.insideMm(spot), keeps(spot, at)),
    want: () => 1,
    overhang: 0.3,
    balanced: true,
    gapMm: 0,
    starts: [],
    held: 0,
    ...more,
  }
}

/** Points of a path are so close that nobody sees steps between them, mm. */
const PATH_STEP_MM = 3
/** A path is looked through in bits of so many places, most of which can be passed over. */
const BIT = 12

/**
 * A path along a surface, as wide as it says at each place. Distances are straight through space: on the few mm of a flower's
 * reach that is the way along the surface, and round an edge it is what the eye sees.
 */
export function pathArea(
  chart: Chart,
  spots: readonly Spot[],
  half: (t: number) => number,
  want: (t: number) => number,
  more: Partial<Area> = {},
): Area {
  const ways = wayAlong(chart, spots, half, want)
  const bits = bitsOf(ways)
  const nearest = (at: Where) => {
    let best = ways[0]!
    let inside = Number.NEGATIVE_INFINITY
    for (const bit of bits) {
      const [bx, by, bz] = [at.x - bit.x, at.y - bit.y, at.z - bit.z]
      // nothing of this bit can do better than its widest place on its nearest side
      if (bit.half + bit.r - Math.sqrt(bx * bx + by * by + bz * bz) <= inside) continue
      for (const way of bit.ways) {
        const dx = at.x - way.x
        const dy = at.y - way.y
        const dz = at.z - way.z
        const mm = way.half - Math.sqrt(dx * dx + dy * dy + dz * dz)
        if (mm <= inside) continue
        inside = mm
        best = way
      }
    }
    return { inside, best }
  }
  return {
    insideMm: (at, spot) => Math.min(nearest(at).inside, chart.insideMm(spot)),
    want: (at) => nearest(at).best.want,
    overhang: 0.45,
    balanced: false,
    gapMm: 0,
    starts: [],
    held: 0,
    ...more,
  }
}

/** A bit of a path with the ball that holds it. */
interface Bit extends Where {
  r: number
  half: number
  ways: readonly Way[]
}

function bitsOf(ways: readonly Way[]): Bit[] {
  return Array.from({ length: Math.ceil(ways.length / BIT) }, (_, i) => {
    const own = ways.slice(i * BIT, (i + 1) * BIT)
    const mean = (of: (w: Way) => number) => own.reduce((sum, w) => sum + of(w), 0) / own.length
    const middle = { x: mean((w) => w.x), y: mean((w) => w.y), z: mean((w) => w.z) }
    const r = Math.max(...own.map((w) => Math.hypot(w.x - middle.x, w.y - middle.y, w.z - middle.z)))
    return { ...middle, r, half: Math.max(...own.map((w) => w.half)), ways: own }
  })
}

function wayAlong(
  chart: Chart,
  spots: readonly Spot[],
  half: (t: number) => number,
  want: (t: number) => number,
): Way[] {
  const points = spots.map((spot) => chart.point(spot))
  const lengths = points.slice(1).map((p, i) => apartMm(p, points[i]!))
  const total = lengths.reduce((sum, mm) => sum + mm, 0)
  const ways: Way[] = []
  let gone = 0
  lengths.forEach((mm, i) => {
    const [from, to] = [points[i]!, points[i + 1]!]
    const steps = Math.max(1, Math.ceil(mm / PATH_STEP_MM))
    for (let k = 0; k < steps; k++) {
      const f = k / steps
      const t = total > 0 ? (gone + f * mm) / total : 0
      const mix = (a: number, b: number) => a + f * (b - a)
      const spot = chart.nearest(mix(from.x, to.x), mix(from.y, to.y), mix(from.z, to.z))
      ways.push({ ...chart.point(spot), half: half(t), want: want(t) })
    }
    gone += mm
  })
  const last = points.at(-1)
  if (last) ways.push({ ...last, half: half(1), want: want(1) })
  return ways
}

const apartMm = (p: Point, q: Point) => Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z)
