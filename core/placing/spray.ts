import type { Line, Site } from '../model/layout.ts'
import type { Chart, Point } from '../surfaces/chart.ts'
import type { Kind } from './body.ts'
import { alongLine, lineMm, linePoints } from './onLine.ts'

/** Leaves stand off the stem by so much, radians, to either side in turn. */
const OFF = 0.95
/** From one node to the next, in the length of a leaf, at the beginning and less by so much at the end. */
const NODE = 0.62
const CLOSER = 0.35
/** Nodes are at least so far apart, in the radius of a bud. */
const BUD_STEP = 1.1
/** Bare stem before the first node, mm. */
const BARE_MM = 5
/** Shares of the way on which buds of each size stand, the largest first. */
export const BUD_ENDS = [0.42, 0.76, 1] as const
/** How large each is, in the first. */
export const BUD_SIZES = [1, 0.8, 0.62] as const

type Spray = Extract<Line, { kind: 'spray' }>

/**
 * What grows along a stem: leaves to either side in turn, a bud across from each, smaller towards the end, the last one at the
 * tip. All of it belongs to the stem's group.
 * @param buds by size, the largest first: as many as there are sizes.
 */
export function sprayAlong(
  chart: Chart,
  line: Spray,
  leaf: Kind | null,
  buds: readonly { placedId: string; r: number }[],
  newId: () => string,
): Site[] {
  const points = linePoints(chart, line)
  const length = lineMm(points)
  const sites: Site[] = []
  const put = (
    placedId: string,
    role: Site['role'],
    at: { x: number; y: number; z: number },
    way: Vector,
  ) => {
    const spot = chart.nearest(at.x, at.y, at.z)
    sites.push({
      ...{ id: newId(), placedId, role, place: chart.store(spot) },
      turnDeg: (turnTowards(chart.point(spot), way) * 180) / Math.PI,
      ...{ leanDeg: 0, pinned: false, hostId: null, groupId: line.id },
    })
  }
  const reach = leaf ? leaf.longMm : (buds[0]?.r ?? 4) * 3
  const budAt = (share: number) =>
    buds[
      Math.min(
        buds.length - 1,
        BUD_ENDS.findIndex((end) => share <= end),
      )
    ]
  let side = 1
  for (let mm = Math.min(BARE_MM, length / 2); mm < length - 0.25 * reach; ) {
    const share = mm / length
    const at = alongLine(points, mm)
    const p = chart.point(chart.nearest(at.x, at.y, at.z))
    if (leaf) {
      const way = turned(at, p, side * OFF)
      put(leaf.placedId, 'leaf', moved(at, way, leaf.longMm / 2), way)
    }
    const bud = budAt(share)
    if (bud) {
      const way = turned(at, p, -side * OFF)
      put(bud.placedId, 'bud', moved(at, way, bud.r + 1), way)
    }
    // on each side every other node has a bud: they stand clear of each other
    mm += Math.max(NODE * reach * (1 - CLOSER * share), BUD_STEP * (bud?.r ?? 0))
    side = -side
  }
  const last = buds.at(-1)
  const end = alongLine(points, length)
  if (last && length > 0) put(last.placedId, 'bud', end, { x: end.tx, y: end.ty, z: end.tz })
  return sites
}

interface Vector {
  x: number
  y: number
  z: number
}

const moved = (at: Vector, way: Vector, mm: number): Vector => ({
  x: at.x + mm * way.x,
  y: at.y + mm * way.y,
  z: at.z + mm * way.z,
})

/** The way a stem runs, turned about the surface's normal. */
function turned(at: { tx: number; ty: number; tz: number }, { nx, ny, nz }: Point, angle: number): Vector {
  const { tx, ty, tz } = at
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return {
    x: c * tx + s * (ny * tz - nz * ty),
    y: c * ty + s * (nz * tx - nx * tz),
    z: c * tz + s * (nx * ty - ny * tx),
  }
}

/** The turn at which something on a place points a way. */
function turnTowards({ nx, ny, nz, ox, oy, oz }: Point, way: Vector): number {
  const along = way.x * ox + way.y * oy + way.z * oz
  const across = way.x * (ny * oz - nz * oy) + way.y * (nz * ox - nx * oz) + way.z * (nx * oy - ny * ox)
  return Math.atan2(across, along)
}
