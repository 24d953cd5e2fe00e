/** How far points reach from the axis, seen from above, in each of `DIRECTIONS` directions, mm. */
export type Support = Float64Array

/** Between two of them a reach is read off a straight line, at most 0.04 % of it too short. */
const DIRECTIONS = 120
/** Extreme points in so many directions make a polygon; what lies inside it is furthest in none. */
const CORNERS = 8

/** The reach of points, three numbers each. */
export function supportOf(points: Float32Array): Support {
  const outer = outermost(points)
  return Float64Array.from({ length: DIRECTIONS }, (_, k) => {
    const c = Math.cos((2 * Math.PI * k) / DIRECTIONS)
    const s = Math.sin((2 * Math.PI * k) / DIRECTIONS)
    let most = Number.NEGATIVE_INFINITY
    for (let o = 0; o < outer.length; o += 2) {
      const along = c * outer[o]! + s * outer[o + 1]!
      if (along > most) most = along
    }
    return most
  })
}

/** The reach in any direction, radians. */
export function supportAt(support: Support, angle: number): number {
  const turns = angle / (2 * Math.PI)
  const at = (turns - Math.floor(turns)) * DIRECTIONS
  const i = Math.floor(at) % DIRECTIONS
  const f = at - Math.floor(at)
  return support[i]! * (1 - f) + support[(i + 1) % DIRECTIONS]! * f
}

/** The points that may be furthest in some direction: x and y of each that does not lie inside the polygon. */
function outermost(points: Float32Array): number[] {
  const corners: number[] = []
  for (let k = 0; k < CORNERS; k++) {
    const c = Math.cos((2 * Math.PI * k) / CORNERS)
    const s = Math.sin((2 * Math.PI * k) / CORNERS)
    let most = Number.NEGATIVE_INFINITY
    let best = 0
    for (let o = 0; o < points.length; o += 3) {
      const along = c * points[o]! + s * points[o + 1]!
      if (along > most) {
        most = along
        best = o
      }
    }
    corners.push(points[best]!, points[best + 1]!)
  }
  const outer = [...corners]
  for (let o = 0; o < points.length; o += 3) {
    const x = points[o]!
    const y = points[o + 1]!
    for (let k = 0; k < corners.length; k += 2) {
      const n = (k + 2) % corners.length
      const ex = corners[n]! - corners[k]!
      const ey = corners[n + 1]! - corners[k + 1]!
      // outside an edge of a polygon that runs counter-clockwise
      if (ex * (y - corners[k + 1]!) - ey * (x - corners[k]!) < 0) {
        outer.push(x, y)
        break
      }
    }
  }
  return outer
}
