import { dot, pointing, spun, unit, type Vec } from './vec.ts'
import type { Moment } from './way.ts'

/** How a bag is held for the strokes of a layer, degrees. */
export interface Hold {
  leanDeg: number
  elevationDeg: number
}

/** The slot may slant so far from square to the bag: more, and the icing would leave a tip sideways. */
const MOST_SLANT = Math.sin((35 * Math.PI) / 180)
const SQUARE = Math.sqrt(1 - MOST_SLANT ** 2)

const radians = (deg: number) => (deg * Math.PI) / 180

/** Azimuth of the back of the bag at a moment, in the flower's frame: its hand pipes clockwise there. */
export const bagAzimuth = ({ outward }: Pick<Moment, 'outward'>, { leanDeg }: Hold): number =>
  outward - radians(leanDeg)

/** Which way the back of the bag points at a moment, in the flower's frame: as it is held, as square to the slot as a tip needs. */
export const axisAt = (moment: Moment, hold: Hold): Vec => offTable(squareEnough(moment, hold))

/** A bag's back is never nearer to the table than this: its hand is under it. */
const LOWEST = Math.sin((18 * Math.PI) / 180)

function offTable(axis: Vec): Vec {
  if (axis[2] >= LOWEST) return axis
  const level = Math.hypot(axis[0], axis[1]) || 1
  const by = Math.sqrt(1 - LOWEST ** 2) / level
  return [axis[0] * by, axis[1] * by, LOWEST]
}

function squareEnough(moment: Moment, hold: Hold): Vec {
  const wanted = pointing(bagAzimuth(moment, hold), radians(hold.elevationDeg))
  const { slot } = moment
  if (!slot) return wanted
  const slant = dot(wanted, slot)
  if (Math.abs(slant) <= MOST_SLANT) return wanted
  const square = unit([wanted[0] - slant * slot[0], wanted[1] - slant * slot[1], wanted[2] - slant * slot[2]])
  const by = Math.sign(slant) * MOST_SLANT
  return [
    square[0] * SQUARE + slot[0] * by,
    square[1] * SQUARE + slot[1] * by,
    square[2] * SQUARE + slot[2] * by,
  ]
}

/** Azimuth over the table of a clock position, radians: the piper sits at six, three is to the right. */
export const clockAzimuth = (clock: number): number => radians(90 - 30 * clock)

/** How far the nail is turned at a moment so that the bag points to its clock position, radians. */
export const nailAt = (moment: Moment, hold: Hold, clock: number): number =>
  clockAzimuth(clock) - bagAzimuth(moment, hold)

/** The tip of a bag as a cone: half its width at the opening and at the coupler, and how long it is, mm. */
export const TIP = { lengthMm: 32, backMm: 9.5 }
/** Behind it the bag widens to a handful. */
export const BAG = { lengthMm: 92, backMm: 30 }

/** Points on the skin of a tip and the lower bag that must not be in icing: the cone's own, seen from its middle line. */
export function tipPoints(tip: Vec, axis: Vec, slot: Vec | null, halfMm: number): Vec[] {
  const side = unit(slot ?? perpendicular(axis))
  const other = unit(cross(axis, side))
  const found: Vec[] = []
  for (const back of [3, 8, 16, 28]) {
    const share = back / TIP.lengthMm
    const wide = halfMm * (1 - share) + TIP.backMm * share
    // a slot is thin where it opens
    const thin = (slot ? 1 : halfMm) * (1 - share) + TIP.backMm * share
    for (const [a, b] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const)
      found.push([
        tip[0] + axis[0] * back + side[0] * a * wide + other[0] * b * thin,
        tip[1] + axis[1] * back + side[1] * a * wide + other[1] * b * thin,
        tip[2] + axis[2] * back + side[2] * a * wide + other[2] * b * thin,
      ])
  }
  return found
}

export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]

/** Some direction square to another: level, where there is one. */
export const perpendicular = (axis: Vec): Vec =>
  Math.abs(axis[2]) > 0.999 ? [1, 0, 0] : unit(spun([axis[0], axis[1], 0], Math.PI / 2))

/** A slot's direction made square to the bag; some direction that is, where there is no slot. */
export function slotSquareTo(axis: Vec, slot: Vec | null): Vec {
  if (!slot) return perpendicular(axis)
  const slant = dot(axis, slot)
  const square: Vec = [slot[0] - slant * axis[0], slot[1] - slant * axis[1], slot[2] - slant * axis[2]]
  return Math.hypot(...square) < 1e-3 ? unit(cross(axis, perpendicular(axis))) : unit(square)
}
