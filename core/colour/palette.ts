import type { Dye } from '../model/dye.ts'
import type { IcingKind } from '../model/icing.ts'
import { fitDye, trustOf } from './calibrate.ts'
import { genericCurve } from './dyeCurve.ts'
import { hexToLab } from './lab.ts'
import type { Spectrum } from './spectrum.ts'
import { type TintBase, tintBase } from './tint.ts'

const bases = new Map<string, TintBase>()

/** An icing kind as a ground for dyes; worked out once for each look. */
export function baseOf(icing: Pick<IcingKind, 'baseHex' | 'scatter'>): TintBase {
  const key = `${icing.baseHex} ${icing.scatter}`
  const base = bases.get(key) ?? tintBase(icing.baseHex, icing.scatter)
  bases.set(key, base)
  return base
}

const fits = new Map<string, { curve: Spectrum; error: number }>()

/**
 * What a bottle absorbs, from all that is known of it: its kind, its dabs, and what mixing has taught of its strength.
 * A dab in an icing kind that is no longer there is left out.
 */
export function dyeFit(dye: Dye, icings: readonly IcingKind[]): { curve: Spectrum; error: number } {
  const seen = dye.dabs.flatMap((dab) => {
    const icing = icings.find((i) => i.id === dab.icingKindId)
    return icing
      ? [{ base: baseOf(icing), drops: dab.drops, lab: hexToLab(dab.hex), trust: trustOf(dab.hex), icing }]
      : []
  })
  const key = JSON.stringify([
    dye.weights,
    seen.map((s) => [s.drops, s.lab, s.icing.baseHex, s.icing.scatter]),
  ])
  // strength learnt from mixing only scales the fit, so that every look does not mean another
  const fit = fits.get(key) ?? fitDye(genericCurve(dye.weights), seen)
  fits.set(key, fit)
  const strength = Math.exp(dye.learnt.log)
  return { curve: fit.curve.map((k) => k * strength), error: fit.error }
}
