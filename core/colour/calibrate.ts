import { ciede2000 } from './ciede2000.ts'
import { SHAPE_FIGURES, shapedCurve } from './dyeCurve.ts'
import { hexChannels, type LabD65 } from './lab.ts'
import { minimise, withSlopes } from './leastSquares.ts'
import { measured, metricAt } from './metric.ts'
import type { Spectrum } from './spectrum.ts'
import { type TintBase, tinter } from './tint.ts'

/** One dab as seen: dose, base and colour. `trust` under 1 for a colour a camera has clipped. */
export interface Observation {
  base: TintBase
  drops: number
  lab: LabD65
  trust: number
}

/** A bottle fitted to its dabs. */
export interface Fit {
  curve: Spectrum
  /** Mean difference between dabs and fit, CIEDE2000. */
  error: number
}

/** How well a dab is seen, CIEDE2000; how far a bottle strays from its kind in strength and in shape (natural logs). */
const SEEN = 1
const STRENGTH_SPREAD = 1
const SHAPE_SPREAD = 0.35

/**
 * Bends a dye's generic curve to what was seen: eight figures, held by their likely spread, so that one dab already
 * gives a strength and two a hue (maximum a posteriori, Levenberg-Marquardt). A free fit would match the dabs better
 * and mixtures worse.
 */
export function fitDye(generic: Spectrum, observations: readonly Observation[]): Fit {
  const m = observations.length * 3 + SHAPE_FIGURES
  const metrics = observations.map((o) => metricAt(o.lab))
  const residuals = (p: Float64Array, r: Float64Array) => {
    const curve = shapedCurve(generic, p)
    observations.forEach((o, i) => {
      const lab = tinter(o.base, [curve]).lab([o.drops])
      measured(metrics[i]!, lab[0] - o.lab[0], lab[1] - o.lab[1], lab[2] - o.lab[2], r, i * 3)
      for (let k = 0; k < 3; k++) r[i * 3 + k]! *= o.trust / SEEN
    })
    for (let k = 0; k < SHAPE_FIGURES; k++)
      r[observations.length * 3 + k] = p[k]! / (k === 0 ? STRENGTH_SPREAD : SHAPE_SPREAD)
  }
  const p = new Float64Array(SHAPE_FIGURES)
  minimise(withSlopes(SHAPE_FIGURES, m, residuals), p, 40, 1e-9)
  const curve = shapedCurve(generic, p)
  const errors = observations.map((o) => ciede2000(tinter(o.base, [curve]).lab([o.drops]), o.lab))
  return { curve, error: errors.length > 0 ? errors.reduce((a, b) => a + b, 0) / errors.length : 0 }
}

/** A channel within one step of 255 from an end may have been cut off there; such a dab counts for so much. */
const AT_AN_END = 0.004
const LITTLE_TRUST = 0.4

/** A colour that touches an end of a camera's range says little: its dab counts for less. */
export function trustOf(hex: string): number {
  return hexChannels(hex).some((c) => c <= AT_AN_END || c >= 1 - AT_AN_END) ? LITTLE_TRUST : 1
}
