import { WHITE, type Xyz } from './lab.ts'

/** Bands of 10 nm from 400 to 700 nm. */
export const BANDS = 31

/** Middle of a band in nm. */
export const bandNm = (i: number): number => 400 + 10 * i

/** A figure for each band. */
export type Spectrum = Float64Array

export const spectrumOf = (at: (nm: number) => number): Spectrum =>
  Float64Array.from({ length: BANDS }, (_, i) => at(bandNm(i)))

/** CIE 1931 2° colour matching functions at 10 nm from 380 to 730 nm (CIE 15, table T.4). */
const X_BAR = [
  0.0014, 0.0042, 0.0143, 0.0435, 0.1344, 0.2839, 0.3483, 0.3362, 0.2908, 0.1954, 0.0956, 0.032, 0.0049,
  0.0093, 0.0633, 0.1655, 0.2904, 0.4334, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.8544, 0.6424,
  0.4479, 0.2835, 0.1649, 0.0874, 0.0468, 0.0227, 0.0114, 0.0058, 0.0029, 0.0014,
]
const Y_BAR = [
  0, 0.0001, 0.0004, 0.0012, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.091, 0.139, 0.208, 0.323, 0.503, 0.71,
  0.862, 0.954, 0.995, 0.995, 0.952, 0.87, 0.757, 0.631, 0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032,
  0.017, 0.0082, 0.0041, 0.0021, 0.001, 0.0005,
]
const Z_BAR = [
  0.0065, 0.0201, 0.0679, 0.2074, 0.6456, 1.3856, 1.7471, 1.7721, 1.6692, 1.2876, 0.813, 0.4652, 0.272,
  0.1582, 0.0782, 0.0422, 0.0203, 0.0087, 0.0039, 0.0021, 0.0017, 0.0011, 0.0008, 0.0003, 0.0002, 0, 0, 0, 0,
  0, 0, 0, 0, 0, 0, 0,
]
/** Relative power of daylight D65 at the same wavelengths (CIE 15, table T.1). */
const D65 = [
  49.98, 54.65, 82.75, 91.49, 93.43, 86.68, 104.87, 117.01, 117.81, 114.86, 115.92, 108.81, 109.35, 107.8,
  104.79, 107.69, 104.41, 104.05, 100, 96.33, 95.79, 88.69, 90.01, 89.6, 87.7, 83.29, 83.7, 80.03, 80.21,
  82.28, 78.28, 69.72, 71.61, 74.35, 61.6, 69.89,
]

/**
 * Weights that turn a reflectance into X, Y, Z: what lies outside 400..700 nm is added to the end bands, and each row
 * is scaled so that a perfect white is exactly the white of sRGB.
 */
const weights: readonly Spectrum[] = [X_BAR, Y_BAR, Z_BAR].map((bar, row) => {
  const folded = new Float64Array(BANDS)
  bar.forEach((value, i) => {
    folded[Math.min(BANDS - 1, Math.max(0, i - 2))]! += value * D65[i]!
  })
  const sum = folded.reduce((a, b) => a + b, 0)
  return folded.map((w) => (w * WHITE[row]!) / sum)
})

/** Weights of X, Y and Z by band. */
export const [WX, WY, WZ] = weights as [Spectrum, Spectrum, Spectrum]

/** XYZ of a reflectance under D65. */
export function reflectanceToXyz(reflectance: Spectrum): Xyz {
  let x = 0
  let y = 0
  let z = 0
  for (let i = 0; i < BANDS; i++) {
    const r = reflectance[i]!
    x += WX[i]! * r
    y += WY[i]! * r
    z += WZ[i]! * r
  }
  return [x, y, z]
}

/** Reflectance of an opaque layer from its ratio of absorption to scattering (Kubelka and Munk, 1931). */
export const reflectanceOf = (ks: number): number => 1 + ks - Math.sqrt(ks * (ks + 2))

/** The ratio of absorption to scattering that gives a reflectance. */
export const absorptionOf = (r: number): number => (1 - r) ** 2 / (2 * r)
