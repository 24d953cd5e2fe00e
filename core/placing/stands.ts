import type { Site } from '../model/layout.ts'
import type { Chart } from '../surfaces/chart.ts'
import type { Kind } from './body.ts'

/** How a flower stands in space: three axes as columns and the place of its recipe's beginning, as a 4 by 4 matrix by columns. */
export type Stand = Float32Array

/** A flower is sunk into the coat by so much, mm, so that nothing floats. */
const SUNK_MM = 0.4

/** Where and how a flower stands: turned about its axis, then tipped outward and down. */
export function standOf(chart: Chart, kind: Pick<Kind, 'middleX' | 'middleY'>, site: Site): Stand {
  const p = chart.point(chart.read(site.place))
  const [c, s] = [Math.cos((site.turnDeg * Math.PI) / 180), Math.sin((site.turnDeg * Math.PI) / 180)]
  const [lc, ls] = [Math.cos((site.leanDeg * Math.PI) / 180), Math.sin((site.leanDeg * Math.PI) / 180)]
  // tipped about the axis that lies across outward: normal and outward turn into each other
  const n = [lc * p.nx + ls * p.ox, lc * p.ny + ls * p.oy, lc * p.nz + ls * p.oz] as const
  const o = [lc * p.ox - ls * p.nx, lc * p.oy - ls * p.ny, lc * p.oz - ls * p.nz] as const
  const q = [n[1] * o[2] - n[2] * o[1], n[2] * o[0] - n[0] * o[2], n[0] * o[1] - n[1] * o[0]] as const
  const x = o.map((v, i) => c * v + s * q[i]!)
  const y = o.map((v, i) => -s * v + c * q[i]!)
  const at = [p.x, p.y, p.z].map((v, i) => v - kind.middleX * x[i]! - kind.middleY * y[i]! - SUNK_MM * n[i]!)
  return Float32Array.from([
    x[0]!,
    x[1]!,
    x[2]!,
    0,
    y[0]!,
    y[1]!,
    y[2]!,
    0,
    ...n,
    0,
    at[0]!,
    at[1]!,
    at[2]!,
    1,
  ])
}
