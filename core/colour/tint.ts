import { hexToLab, type LabD65, labCurve, labCurveSlope, WHITE, xyzToLab } from './lab.ts'
import { minimise, withSlopes } from './leastSquares.ts'
import {
  absorptionOf,
  BANDS,
  bandNm,
  reflectanceOf,
  reflectanceToXyz,
  type Spectrum,
  WX,
  WY,
  WZ,
} from './spectrum.ts'

/** An icing as a ground for dyes. */
export interface TintBase {
  /** Absorption over scattering by band. */
  ks: Spectrum
  /** Scattering; an icing that scatters more whitens more. */
  scatter: number
}

/** A drop takes the place of this share of the icing it is in, for each drop in 100 g. */
const DILUTION = 0.0004
const LEAST_KS = 1e-5

/** The three humps of a smooth reflectance, blue, green and red, and how broad each is, nm. */
const HUMPS_NM = [440, 545, 630]
const HUMP_NM = 62
/** Nothing reflects all light; icing begins as light as this, as a logit. */
const WHITEST = 0.99
const LIGHT = 2.4

/**
 * The ground for dyes that looks like a given colour: the smoothest reflectance of three broad humps that has it.
 * @param hex how the plain icing looks.
 * @param scatter how strongly it whitens; butter icing is 1.
 */
export function tintBase(hex: string, scatter: number): TintBase {
  const wanted = hexToLab(hex)
  const shapes = HUMPS_NM.map((at) => (nm: number) => Math.exp(-0.5 * ((nm - at) / HUMP_NM) ** 2))
  const reflectance = new Float64Array(BANDS)
  const build = (p: Float64Array) => {
    for (let i = 0; i < BANDS; i++) {
      let weight = 0
      let sum = 0
      shapes.forEach((shape, k) => {
        const w = shape(bandNm(i)) + 1e-6
        weight += w
        sum += w * p[k]!
      })
      reflectance[i] = WHITEST / (1 + Math.exp(-sum / weight))
    }
  }
  const p = Float64Array.of(LIGHT, LIGHT, LIGHT)
  minimise(
    withSlopes(3, 3, (x, r) => {
      build(x)
      const lab = xyzToLab(reflectanceToXyz(reflectance))
      for (let k = 0; k < 3; k++) r[k] = lab[k]! - wanted[k]!
    }),
    p,
    60,
    1e-8,
  )
  build(p)
  return { ks: reflectance.map((r) => Math.max(LEAST_KS, absorptionOf(r))), scatter }
}

/** A tint worked out: Lab and, where asked for, its slope by each dye's dose. */
export interface Tinter {
  /** Lab of the base with `drops[j]` drops of dye j in 100 g. */
  lab(drops: ArrayLike<number>): LabD65
  /** The same, and dLab/ddrops into `slopes`, three numbers a dye. */
  labWithSlopes(drops: ArrayLike<number>, slopes: Float64Array): LabD65
}

/**
 * Tints a base with dyes after Kubelka and Munk, single constant: `K/S = (1 - 0.0004 Σx) · base + Σ xⱼ aⱼ / S`, band by
 * band, to reflectance, to Lab under D65. The order of adding makes no difference.
 */
export function tinter(base: TintBase, curves: readonly Spectrum[]): Tinter {
  const n = curves.length
  // band by band, so that the inner loop walks through memory
  const scaled = new Float64Array(BANDS * n)
  for (let i = 0; i < BANDS; i++)
    for (let j = 0; j < n; j++) scaled[i * n + j] = curves[j]![i]! / base.scatter
  const ground = base.ks
  const dx = new Float64Array(n)
  const dy = new Float64Array(n)
  const dz = new Float64Array(n)
  function run(drops: ArrayLike<number>, slopes: Float64Array | null): LabD65 {
    let all = 0
    for (let j = 0; j < n; j++) all += drops[j]!
    const rest = 1 - DILUTION * all
    let x = 0
    let y = 0
    let z = 0
    if (slopes)
      for (let j = 0; j < n; j++) {
        dx[j] = 0
        dy[j] = 0
        dz[j] = 0
      }
    for (let i = 0, o = 0; i < BANDS; i++, o += n) {
      const plain = ground[i]!
      let ks = rest * plain
      for (let j = 0; j < n; j++) ks += drops[j]! * scaled[o + j]!
      if (ks < LEAST_KS) ks = LEAST_KS
      const root = Math.sqrt(ks * (ks + 2))
      const r = 1 + ks - root
      const wx = WX[i]!
      const wy = WY[i]!
      const wz = WZ[i]!
      x += wx * r
      y += wy * r
      z += wz * r
      if (!slopes) continue
      const slope = -r / root
      const less = DILUTION * plain
      for (let j = 0; j < n; j++) {
        const d = slope * (scaled[o + j]! - less)
        dx[j]! += wx * d
        dy[j]! += wy * d
        dz[j]! += wz * d
      }
    }
    const tx = x / WHITE[0]
    const ty = y / WHITE[1]
    const tz = z / WHITE[2]
    const fx = labCurve(tx)
    const fy = labCurve(ty)
    const fz = labCurve(tz)
    if (slopes) {
      const sx = labCurveSlope(tx) / WHITE[0]
      const sy = labCurveSlope(ty) / WHITE[1]
      const sz = labCurveSlope(tz) / WHITE[2]
      for (let j = 0; j < n; j++) {
        const gx = sx * dx[j]!
        const gy = sy * dy[j]!
        slopes[j * 3] = 116 * gy
        slopes[j * 3 + 1] = 500 * (gx - gy)
        slopes[j * 3 + 2] = 200 * (gy - sz * dz[j]!)
      }
    }
    return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)]
  }
  return { lab: (drops) => run(drops, null), labWithSlopes: run }
}

/** Lab of the base alone. */
export function baseLab(base: TintBase): LabD65 {
  return xyzToLab(reflectanceToXyz(base.ks.map(reflectanceOf)))
}
