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
const FIRST_LOOK = 12

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
  // from one place of the way to the next nothing changes by more than this
  const most = Math.max(
    1e-6,
    ...ways.slice(1).map((w, i) => apartMm(w, ways[i]!) + Math.abs(w.half - ways[i]!.half)),
  )
  const nearest = (at: Where) => {
    let best = ways[0]!
    let inside = Number.NEGATIVE_INFINITY
    const insideAt = (way: Way) => {
      const dx = at.x - way.x
      const dy = at.y - way.y
      const dz = at.z - way.z
      return way.half - Math.sqrt(dx * dx + dy * dy + dz * dz)
    }
    // a first look here and there, so that most of the way can be passed over
    for (let i = 0; i < ways.length; i += FIRST_LOOK) {
      const mm = insideAt(ways[i]!)
      if (mm > inside) {
        inside = mm
        best = ways[i]!
      }
    }
    for (let i = 0; i < ways.length; ) {
      const way = ways[i]!
      const mm = insideAt(way)
      if (mm > inside) {
        inside = mm
        best = way
        i++
      } else i += Math.max(1, Math.floor((inside - mm) / most))
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
