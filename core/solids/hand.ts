/** How much a hand strays from one stroke to the next: sideways in degrees and mm, and up, mm. */
export const STRAY_DEG = 3.5
export const STRAY_MM = 0.28
export const STRAY_UP_MM = 0.22
/** How much it wavers within a stroke: the slot's tilt in radians, and its height, mm. */
export const WAVER_TILT = 0.038
export const WAVER_UP_MM = 0.16
/** How much higher some waves of a frill stand than others, as a share. */
export const FRILL_SWELL = 0.4
/** A single stroke is placed with more care than one of a row. */
export const CARE_WITH_ONE = 0.4

/**
 * How far the highest of so many strokes has slipped up, as a share of the furthest a hand slips: the median of the
 * largest of n slips (`slip` in core/random.ts), whose upper tail is (1 − x)²/2, so that n (1 − x)²/2 = ln 2.
 */
export const highestSlip = (count: number): number =>
  count < 2 ? 0 : Math.max(0, 1 - Math.sqrt((2 * Math.LN2) / count))
