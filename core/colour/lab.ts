/** CIE L*a*b* under D65, 2° observer. */
export type LabD65 = readonly [L: number, a: number, b: number]
/** CIE XYZ, D65 white at Y = 1. */
export type Xyz = readonly [X: number, Y: number, Z: number]

/** D65 white of IEC 61966-2-1. */
export const WHITE: Xyz = [0.95047, 1, 1.08883]

const DELTA = 216 / 24389
const SLOPE = 24389 / 27 / 116

/** Linear-light value of one sRGB channel given 0..1 (IEC 61966-2-1). */
export function linearChannel(c: number): number {
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
}

/** sRGB channel 0..1 of a linear-light value (IEC 61966-2-1). */
export function encodeChannel(c: number): number {
  return c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055
}

/** `#rrggbb` as three channels 0..1. */
export function hexChannels(hex: string): [number, number, number] {
  const n = Number.parseInt(hex.slice(1), 16)
  return [((n >> 16) & 255) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255]
}

/** Linear sRGB to XYZ; matrix of IEC 61966-2-1. */
export function linearToXyz(r: number, g: number, b: number): Xyz {
  return [
    0.4124564 * r + 0.3575761 * g + 0.1804375 * b,
    0.2126729 * r + 0.7151522 * g + 0.072175 * b,
    0.0193339 * r + 0.119192 * g + 0.9503041 * b,
  ]
}

/** Lab (D65) of an sRGB colour written `#rrggbb`. */
export function hexToLab(hex: string): LabD65 {
  const [r, g, b] = hexChannels(hex).map(linearChannel) as [number, number, number]
  return xyzToLab(linearToXyz(r, g, b))
}

export function xyzToLab([x, y, z]: Xyz): LabD65 {
  const fx = labCurve(x / WHITE[0])
  const fy = labCurve(y / WHITE[1])
  const fz = labCurve(z / WHITE[2])
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)]
}

/** Lab's cube root with its straight foot. */
export function labCurve(t: number): number {
  return t > DELTA ? Math.cbrt(t) : SLOPE * t + 16 / 116
}

/** Slope of `labCurve`. */
export function labCurveSlope(t: number): number {
  return t > DELTA ? 1 / (3 * Math.cbrt(t) ** 2) : SLOPE
}

export function labToXyz([L, a, b]: LabD65): Xyz {
  const fy = (L + 16) / 116
  const inverse = (f: number) => (f ** 3 > DELTA ? f ** 3 : (f - 16 / 116) / SLOPE)
  return [WHITE[0] * inverse(fy + a / 500), WHITE[1] * inverse(fy), WHITE[2] * inverse(fy - b / 200)]
}

/** The nearest sRGB colour by clipping each channel; `inGamut` is false where something was clipped. */
export function labToRgb(lab: LabD65): { rgb: [number, number, number]; inGamut: boolean } {
  const [x, y, z] = labToXyz(lab)
  const linear = [
    3.2404542 * x - 1.5371385 * y - 0.4985314 * z,
    -0.969266 * x + 1.8760108 * y + 0.041556 * z,
    0.0556434 * x - 0.2040259 * y + 1.0572252 * z,
  ]
  const rgb = linear.map((c) => Math.min(1, Math.max(0, encodeChannel(Math.max(0, c)))))
  return {
    rgb: rgb as [number, number, number],
    inGamut: linear.every((c) => c >= -0.002 && c <= 1.002),
  }
}

/** `#rrggbb` of a Lab colour, clipped to sRGB. */
export function labToHex(lab: LabD65): string {
  return `#${labToRgb(lab)
    .rgb.map((c) =>
      Math.round(c * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}
