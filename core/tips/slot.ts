import type { Outline, Slot } from './family.ts'

/** How deep each rounded end reaches into the slot, as a share of the thickness there. */
const END_DEPTH = 0.25

/**
 * Thickness in mm of a tapered slot at u (0 wide end, 1 narrow end): `lerp(wide, narrow, u^0.85)`, with both
 * ends rounded as half ellipses a quarter of the local thickness deep.
 */
export function taperedWidth(lengthMm: number, wideMm: number, narrowMm: number, u: number): number {
  const w = wideMm + (narrowMm - wideMm) * u ** 0.85
  return w * rounding(u * lengthMm, wideMm * END_DEPTH) * rounding((1 - u) * lengthMm, narrowMm * END_DEPTH)
}

function rounding(distanceMm: number, depthMm: number): number {
  if (distanceMm >= depthMm) return 1
  const x = 1 - Math.max(0, distanceMm) / depthMm
  return Math.sqrt(1 - x * x)
}

/**
 * Area in mm² of a tapered slot, in closed form: `L (wide + (narrow - wide) / 1.85)` less what the two rounded
 * ends take away, `(1 - pi/4) / 4` of the square of each end's thickness; that the taper goes on inside an end is
 * left out, less than a thousandth of the area.
 */
export function taperedArea(lengthMm: number, wideMm: number, narrowMm: number): number {
  const lost = (1 - Math.PI / 4) * END_DEPTH * (wideMm ** 2 + narrowMm ** 2)
  return lengthMm * (wideMm + (narrowMm - wideMm) / 1.85) - lost
}

/** The outline of a slot whose middle line bends evenly through `bendDeg` over its length. */
export function slotOutline(slot: Slot, steps = 40): Outline {
  const bend = (slot.bendDeg * Math.PI) / 180
  const upper: [number, number][] = []
  const lower: [number, number][] = []
  let x = 0
  let y = 0
  for (let i = 0; i <= steps; i++) {
    const u = i / steps
    const angle = bend * (u - 0.5)
    const half = slot.widthAt(u) / 2
    upper.push([x - Math.sin(angle) * half, y + Math.cos(angle) * half])
    lower.push([x + Math.sin(angle) * half, y - Math.cos(angle) * half])
    const middle = bend * (u + 0.5 / steps - 0.5)
    x += (Math.cos(middle) * slot.lengthMm) / steps
    y += (Math.sin(middle) * slot.lengthMm) / steps
  }
  return [...upper, ...lower.reverse()]
}

const SHARE_STEPS = 200

/**
 * Share (0..1) of the icing that leaves a slot between its wide end and u = `border`. The wide end is thick, so
 * this is more than `border` itself: 0.36 of the length carries about 48 % of the icing.
 */
export function areaShare(slot: Slot, border: number): number {
  let before = 0
  let all = 0
  for (let i = 0; i < SHARE_STEPS; i++) {
    const w = slot.widthAt((i + 0.5) / SHARE_STEPS)
    all += w
    before += w * Math.min(1, Math.max(0, border * SHARE_STEPS - i))
  }
  return before / all
}
