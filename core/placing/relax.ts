import type { Chart } from '../surfaces/chart.ts'
import type { Area } from './area.ts'
import { type Body, overlapMm } from './body.ts'
import type { Ground } from './ground.ts'
import { hangsBadly, overMm, troubleMm } from './trouble.ts'

/** How much of what is missing two flowers give way by in one round. */
const GIVES = 0.55
/** Less than this is not worth giving way for, mm. */
const ENOUGH_MM = 0.02
/** Step with which the way back onto the ground is felt for, in the radius. */
const FEEL = 0.35

/**
 * Rounds in which flowers that stand into each other move apart along the surface, small ones further than large, and come back
 * onto their ground. What is pinned, what its school holds and what `holds` says, stays.
 */
export function relax(
  chart: Chart,
  area: Area,
  bodies: readonly Body[],
  rounds: number,
  holds: (body: Body) => boolean = () => false,
): void {
  const standing = bodies.filter((b) => b.rank >= 0)
  const still = standing.map((b) => b.pinned || b.held || holds(b))
  for (let round = 0; round < rounds; round++) {
    let moved = false
    for (let i = 0; i < standing.length; i++)
      for (let k = i + 1; k < standing.length; k++) {
        if (still[i] && still[k]) continue
        const [a, b] = [standing[i]!, standing[k]!]
        const missing = overlapMm(a, b) + area.gapMm
        if (missing <= ENOUGH_MM) continue
        moved = true
        const ofA = still[i] ? 0 : still[k] ? 1 : b.kind.r ** 2 / (a.kind.r ** 2 + b.kind.r ** 2)
        part(chart, a, b, GIVES * missing, ofA)
      }
    standing.forEach((body, i) => {
      if (!still[i] && comeBack(chart, area, body)) moved = true
    })
    if (!moved) return
  }
}

function part(chart: Chart, a: Body, b: Body, mm: number, ofA: number): void {
  let [dx, dy, dz] = [b.x - a.x, b.y - a.y, b.z - a.z]
  let apart = Math.hypot(dx, dy, dz)
  if (apart < 1e-6) {
    // on one spot there is no way to go but each its own
    dx = Math.cos(b.turn)
    dy = Math.sin(b.turn)
    dz = 0
    apart = 1
  }
  const [ux, uy, uz] = [dx / apart, dy / apart, dz / apart]
  if (ofA < 1) b.give(chart, mm * (1 - ofA) * ux, mm * (1 - ofA) * uy, mm * (1 - ofA) * uz)
  if (ofA > 0) a.give(chart, -mm * ofA * ux, -mm * ofA * uy, -mm * ofA * uz)
}

/** Moves a flower the way on which its trouble grows less. @returns whether it moved. */
function comeBack(chart: Chart, area: Area, body: Body): boolean {
  const trouble = troubleMm(chart, area, body)
  if (trouble <= ENOUGH_MM) return false
  const from = body.spot
  const step = Math.max(0.5, Math.min(body.kind.r * FEEL, trouble))
  const { tx, ty, tz, sx, sy, sz } = tangents(body)
  let best = { trouble, spot: from }
  for (let k = 0; k < 8; k++) {
    const [c, s] = [Math.cos((k * Math.PI) / 4) * step, Math.sin((k * Math.PI) / 4) * step]
    const start = { x: body.x, y: body.y, z: body.z }
    const spot = chart.beside(
      from,
      start.x + c * tx + s * sx,
      start.y + c * ty + s * sy,
      start.z + c * tz + s * sz,
    )
    const keep = chart.point(from)
    body.put(chart, spot)
    const now = troubleMm(chart, area, body)
    body.at(from, keep)
    if (now < best.trouble - 1e-9) best = { trouble: now, spot }
  }
  if (best.spot === from) return false
  body.put(chart, best.spot)
  return true
}

/** Two directions along the surface at a flower, at right angles. */
export function tangents(body: Body) {
  const { nx, ny, nz } = body
  // whichever axis is least along the normal
  const [ax, ay, az] = Math.abs(nx) < 0.6 ? [1, 0, 0] : [0, 1, 0]
  const dot = ax * nx + ay * ny + az * nz
  let [tx, ty, tz] = [ax - dot * nx, ay - dot * ny, az - dot * nz]
  const length = Math.hypot(tx, ty, tz)
  tx /= length
  ty /= length
  tz /= length
  return { tx, ty, tz, sx: ny * tz - nz * ty, sy: nz * tx - nx * tz, sz: nx * ty - ny * tx }
}

/** Share of the way to the middle of its own part of the ground that a flower goes. */
const SPREADS = 0.6

/**
 * Flowers spread: each goes towards the middle of the ground that is nearer to it than to any other, its size counted off, and
 * then they give way to each other again.
 */
export function spread(chart: Chart, ground: Ground, bodies: readonly Body[], rounds: number): void {
  const standing = bodies.filter((b) => b.rank >= 0)
  if (standing.length === 0) return
  for (let round = 0; round < rounds; round++) {
    const sums = standing.map(() => ({ x: 0, y: 0, z: 0, weight: 0 }))
    for (const s of ground.samples) {
      let best = 0
      let least = Number.POSITIVE_INFINITY
      for (let i = 0; i < standing.length; i++) {
        const b = standing[i]!
        const power = (b.x - s.x) ** 2 + (b.y - s.y) ** 2 + (b.z - s.z) ** 2 - b.kind.r ** 2
        if (power < least) {
          least = power
          best = i
        }
      }
      const sum = sums[best]!
      sum.x += s.x * s.mm2
      sum.y += s.y * s.mm2
      sum.z += s.z * s.mm2
      sum.weight += s.mm2
    }
    standing.forEach((body, i) => {
      const { x, y, z, weight } = sums[i]!
      if (body.pinned || body.held || weight === 0) return
      const from = body.spot
      const troubled = overMm(ground.area, body) > 0 || hangsBadly(body)
      body.push(
        chart,
        SPREADS * (x / weight - body.x),
        SPREADS * (y / weight - body.y),
        SPREADS * (z / weight - body.z),
      )
      if (!troubled && hangsBadly(body)) body.put(chart, from)
    })
    relax(chart, ground.area, bodies, 8)
  }
}
