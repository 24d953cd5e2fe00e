import type { Chart } from '../surfaces/chart.ts'
import type { Area } from './area.ts'
import type { Body } from './body.ts'

/** Things higher than this keep off an inner corner: they would stand in the tier above. */
const LOW_MM = 8
/** How near to the corner a thing may come, in its radius. */
const OFF_JOINT = 0.7
/** A surface that faces up by less than this is a side. */
const STEEP = 0.6
/** What may not hang is kept off sides by so many mm for being there at all, and more the steeper it is. */
const HANGS_MM = 8
const STEEPER_MM = 60

/** How far a flower reaches over the edge of its ground, beyond what it may, mm; 0 for not. */
export function overMm(area: Area, body: Body): number {
  const inside = area.insideMm(body, body.spot)
  return Math.max(0, body.kind.r * (1 - area.overhang) - inside)
}

/** How far a thing stands into the tier above, mm; 0 for not. */
export function intoTierMm(chart: Chart, body: Body): number {
  if (body.rank < 0 || body.kind.r <= LOW_MM) return 0
  return Math.max(0, OFF_JOINT * body.kind.r - chart.jointMm(body.spot))
}

/** Whether a thing hangs where it is too heavy or too high to hang. */
export const hangsBadly = (body: Body): boolean => !body.kind.mayHang && body.nz < STEEP

/**
 * Everything that keeps a flower off a place besides other flowers, as mm that it would have to give way.
 * @param inside how far inside the ground its place is, where that is known already.
 */
export function troubleMm(
  chart: Chart,
  area: Area,
  body: Body,
  inside = area.insideMm(body, body.spot),
): number {
  const hanging = hangsBadly(body) ? STEEPER_MM * (STEEP - body.nz) + HANGS_MM : 0
  return Math.max(0, body.kind.r * (1 - area.overhang) - inside) + intoTierMm(chart, body) + hanging
}
