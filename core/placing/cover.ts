import type { Spot } from '../surfaces/chart.ts'
import type { Body } from './body.ts'
import type { Ground, GroundSample } from './ground.ts'

/** How far a point of the ground is from the rim of a thing, mm; negative under it. A leaf is as wide as it is along its length. */
export function rimMm(body: Body, at: { x: number; y: number; z: number }): number {
  const [dx, dy, dz] = [at.x - body.x, at.y - body.y, at.z - body.z]
  const { kind } = body
  if (!kind.lies) return Math.sqrt(dx * dx + dy * dy + dz * dz) - kind.r
  // a capsule along the way it points
  const { px, py, pz } = body.points
  const half = Math.max(0, (kind.longMm - kind.wideMm) / 2)
  const along = Math.min(half, Math.max(-half, dx * px + dy * py + dz * pz))
  return Math.hypot(dx - along * px, dy - along * py, dz - along * pz) - kind.wideMm / 2
}

/** Share of the ground that something lies on, 0 to 1. */
export function coveredShare(ground: Ground, bodies: readonly Body[]): number {
  if (ground.mm2 === 0) return 0
  let covered = 0
  for (const s of ground.samples) if (bodies.some((b) => rimMm(b, s) <= 0)) covered += s.mm2
  return covered / ground.mm2
}

/** A round bare spot in the ground: everything in it is clear of every flower. */
export interface Bare {
  at: GroundSample
  spot: Spot
  diameterMm: number
}

/**
 * The largest bare spots, one beside the other, the largest first: circles inside the ground that touch no flower.
 * @param leastMm narrower ones are not told.
 */
export function bareSpots(
  ground: Pick<Ground, 'samples'>,
  bodies: readonly Body[],
  leastMm: number,
  most = 12,
): Bare[] {
  const clear = ground.samples.map((s) => {
    let mm = s.inside
    for (const b of bodies) {
      const rim = rimMm(b, s)
      if (rim < mm) mm = rim
      if (mm <= 0) break
    }
    return mm
  })
  const order = clear
    .map((mm, i) => ({ mm, i }))
    .filter(({ mm }) => 2 * mm >= leastMm)
    .sort((p, q) => q.mm - p.mm)
  const found: Bare[] = []
  for (const { mm, i } of order) {
    const at = ground.samples[i]!
    if (found.some((f) => Math.hypot(f.at.x - at.x, f.at.y - at.y, f.at.z - at.z) < f.diameterMm / 2 + mm))
      continue
    found.push({ at, spot: at.spot, diameterMm: 2 * mm })
    if (found.length === most) break
  }
  return found
}
