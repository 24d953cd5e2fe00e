/** A stretch of the outline of a round piece cut through its middle: straight, or part of a circle; r outward and z up, mm. */
export type Stretch = {
  zone: 'top' | 'side'
  tier: number
  lengthMm: number
} & (
  | { kind: 'line'; r0: number; z0: number; r1: number; z1: number }
  /** From one angle down to another about a middle; angles from the r axis, radians. */
  | { kind: 'arc'; r: number; z: number; radius: number; from: number; to: number }
)

/** A place on the outline: where, and which way it faces (outward) and runs (away from the middle and down). */
export interface Cut {
  r: number
  z: number
  nr: number
  nz: number
}

type Line = Extract<Stretch, { kind: 'line' }>
type Arc = Extract<Stretch, { kind: 'arc' }>

export function line(
  zone: 'top' | 'side',
  tier: number,
  [r0, z0]: [number, number],
  [r1, z1]: [number, number],
): Stretch {
  return { kind: 'line', zone, tier, r0, z0, r1, z1, lengthMm: Math.hypot(r1 - r0, z1 - z0) }
}

export function arc(
  zone: 'top' | 'side',
  tier: number,
  [r, z]: [number, number],
  radius: number,
  from: number,
  to: number,
): Stretch {
  return { kind: 'arc', zone, tier, r, z, radius, from, to, lengthMm: radius * (from - to) }
}

/** The outline after so many mm on one of its stretches. */
export function cutAt(stretch: Stretch, mm: number): Cut {
  if (stretch.kind === 'arc') {
    const angle = stretch.from - mm / stretch.radius
    const [nr, nz] = [Math.cos(angle), Math.sin(angle)]
    return { r: stretch.r + stretch.radius * nr, z: stretch.z + stretch.radius * nz, nr, nz }
  }
  const t = stretch.lengthMm > 0 ? mm / stretch.lengthMm : 0
  const [dr, dz] = along(stretch)
  return {
    r: stretch.r0 + t * (stretch.r1 - stretch.r0),
    z: stretch.z0 + t * (stretch.z1 - stretch.z0),
    nr: -dz,
    nz: dr,
  }
}

const along = ({ r0, z0, r1, z1, lengthMm }: Line): [number, number] =>
  lengthMm > 0 ? [(r1 - r0) / lengthMm, (z1 - z0) / lengthMm] : [1, 0]

/** Where on a stretch the place nearest to a point lies, and how far off it is, mm. */
export function nearestOn(stretch: Stretch, r: number, z: number): { mm: number; offMm: number } {
  const mm = stretch.kind === 'arc' ? onArc(stretch, r, z) : onLine(stretch, r, z)
  const cut = cutAt(stretch, mm)
  return { mm, offMm: Math.hypot(cut.r - r, cut.z - z) }
}

function onLine(stretch: Line, r: number, z: number): number {
  const [dr, dz] = along(stretch)
  return Math.min(stretch.lengthMm, Math.max(0, (r - stretch.r0) * dr + (z - stretch.z0) * dz))
}

function onArc({ r: mr, z: mz, radius, from, to }: Arc, r: number, z: number): number {
  const angle = Math.atan2(z - mz, r - mr)
  // what lies behind the middle is nearest to one of the ends
  const middle = (from + to) / 2
  let turned = angle - middle
  if (turned > Math.PI) turned -= 2 * Math.PI
  if (turned < -Math.PI) turned += 2 * Math.PI
  const half = (from - to) / 2
  return radius * (half - Math.min(half, Math.max(-half, turned)))
}
