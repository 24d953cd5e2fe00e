/** Three numbers: a place in mm, or a direction. */
export type Vec = readonly [x: number, y: number, z: number]

export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

/** So far from a place in a direction. */
export const along = (from: Vec, way: Vec, by: number): Vec => [
  from[0] + way[0] * by,
  from[1] + way[1] * by,
  from[2] + way[2] * by,
]

export const mixed = (a: Vec, b: Vec, share: number): Vec => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
]

/** Of length one; what has no length keeps none. */
export function unit(v: Vec): Vec {
  const length = Math.hypot(v[0], v[1], v[2]) || 1
  return [v[0] / length, v[1] / length, v[2] / length]
}

/** Turned about the upright. */
export function spun([x, y, z]: Vec, by: number): Vec {
  const [c, s] = [Math.cos(by), Math.sin(by)]
  return [c * x - s * y, s * x + c * y, z]
}

/** A direction from an azimuth and a height over the table, radians. */
export const pointing = (azimuth: number, elevation: number): Vec => [
  Math.cos(elevation) * Math.cos(azimuth),
  Math.cos(elevation) * Math.sin(azimuth),
  Math.sin(elevation),
]
