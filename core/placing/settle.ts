import type { Chart } from '../surfaces/chart.ts'
import { type Body, overlapMm } from './body.ts'
import type { Ground } from './ground.ts'
import { relax } from './relax.ts'
import { troubleMm } from './trouble.ts'

/** Nobody sees that two flowers stand into each other by less, or one over the edge, mm. */
export const TOLERANCE_MM = 0.15
const ROUNDS = 60

/** What is wrong with where flowers stand, the worst first: which two, or which one, and by how much, mm. */
export function faultsOf(
  chart: Chart,
  ground: Ground,
  bodies: readonly Body[],
): { mm: number; of: Body[] }[] {
  const found: { mm: number; of: Body[] }[] = []
  const standing = bodies.filter((b) => b.rank >= 0)
  standing.forEach((a, i) => {
    const trouble = troubleMm(chart, ground.area, a)
    if (trouble > TOLERANCE_MM) found.push({ mm: trouble, of: [a] })
    for (let k = i + 1; k < standing.length; k++) {
      const b = standing[k]!
      const mm = overlapMm(a, b)
      if (mm > TOLERANCE_MM) found.push({ mm, of: [a, b] })
    }
  })
  return found.sort((p, q) => q.mm - p.mm)
}

/** Of so many flowers one is taken out at a time: the rest may then have room. */
const ONE_OF = 20

/**
 * Makes a layout stand clear: flowers give way until nothing stands into anything. Where there is no room for that, the
 * smallest of those that are in each other's way are left out, if they `mayLeave`.
 * @returns those that stay.
 */
export function settle(
  chart: Chart,
  ground: Ground,
  bodies: readonly Body[],
  mayLeave: (body: Body) => boolean,
): Body[] {
  let left = [...bodies]
  for (;;) {
    relax(chart, ground.area, left, ROUNDS)
    const faults = faultsOf(chart, ground, left)
    if (faults.length === 0) return left
    const out = new Set<Body>()
    for (const { of } of faults) {
      if (out.size >= Math.max(1, left.length / ONE_OF)) break
      if (of.some((b) => out.has(b))) continue
      const one = of.filter((b) => !b.pinned && !b.held && mayLeave(b)).sort((a, b) => a.kind.r - b.kind.r)[0]
      if (one) out.add(one)
    }
    if (out.size === 0) return left
    left = left.filter((b) => !out.has(b))
  }
}
