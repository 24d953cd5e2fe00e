import type { Dye, Primary } from '../model/dye.ts'
import { BANDS, type Spectrum, spectrumOf } from './spectrum.ts'

/** A Gaussian whose sides may differ. */
const hump = (nm: number, peak: number, left: number, right: number): number =>
  Math.exp(-0.5 * ((nm - peak) / (nm < peak ? left : right)) ** 2)

/** Absorption by wavelength of each primary, peak about 1; nothing is wholly clear anywhere. */
const primaries: Record<Primary, Spectrum> = {
  yel: spectrumOf((nm) => hump(nm, 427, 40, 33) + 0.003),
  ora: spectrumOf((nm) => hump(nm, 482, 48, 27) + 0.003),
  red: spectrumOf((nm) => hump(nm, 506, 52, 30) + 0.003),
  ros: spectrumOf((nm) => hump(nm, 528, 17, 15) + 0.38 * hump(nm, 494, 26, 22) + 0.003),
  crm: spectrumOf((nm) => hump(nm, 520, 48, 34) + 0.18 * hump(nm, 405, 25, 30) + 0.003),
  blu: spectrumOf(
    (nm) => hump(nm, 630, 24, 17) + 0.26 * hump(nm, 586, 30, 22) + 0.14 * hump(nm, 409, 22, 16) + 0.003,
  ),
  ind: spectrumOf((nm) => hump(nm, 610, 48, 34) + 0.006),
  car: spectrumOf((nm) => Math.exp(-(nm - 400) / 95)),
  blk: spectrumOf((nm) => 1 - (0.1 * (nm - 550)) / 150),
}

/** What one drop of a dye absorbs in 100 g of icing that scatters 1, by band, as its kind is known in general. */
export function genericCurve(weights: Dye['weights']): Spectrum {
  const curve = new Float64Array(BANDS)
  for (const [name, weight] of Object.entries(weights))
    primaries[name as Primary].forEach((a, i) => {
      curve[i]! += weight! * a
    })
  return curve
}

/** How many figures shape a bottle: one for its strength and seven bumps along the spectrum. */
export const SHAPE_FIGURES = 8
const BUMP_NM = 24

/** The seven bumps, 40 nm apart; the outermost stay flat outwards. */
const bumps: readonly Spectrum[] = Array.from({ length: 7 }, (_, m) => {
  const at = 410 + 40 * m
  return spectrumOf((nm) =>
    (m === 0 && nm < at) || (m === 6 && nm > at) ? 1 : Math.exp(-0.5 * ((nm - at) / BUMP_NM) ** 2),
  )
})

/** A curve bent by its figures: `ln k = ln k₀ + p₀ + Σ pₘ · bumpₘ`. */
export function shapedCurve(curve: Spectrum, figures: ArrayLike<number>): Spectrum {
  return curve.map((k, i) => {
    let log = figures[0]!
    for (let m = 0; m < bumps.length; m++) log += figures[m + 1]! * bumps[m]![i]!
    return k * Math.exp(log)
  })
}
