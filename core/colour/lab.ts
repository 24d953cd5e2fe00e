/** CIE L*a*b* under D65, 2° observer. */
export type LabD65 = readonly [L: number, a: number, b: number]

const WHITE = [0.95047, 1, 1.08883] as const

/** Linear-light value of one sRGB channel given 0..1 (IEC 61966-2-1). */
export function linearChannel(c: number): number {
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
}

/** `#rrggbb` as three channels 0..1. */
export function hexChannels(hex: string): [number, number, number] {
  const n = Number.parseInt(hex.slice(1), 16)
  return [((n >> 16) & 255) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255]
}

/** Lab (D65) of an sRGB colour written `#rrggbb`; matrix of IEC 61966-2-1. */
export function hexToLab(hex: string): LabD65 {
  const [r, g, b] = hexChannels(hex).map(linearChannel) as [number, number, number]
  const x = 0.4124564 * r + 0.3575761 * g + 0.1804375 * b
  const y = 0.2126729 * r + 0.7151522 * g + 0.072175 * b
  const z = 0.0193339 * r + 0.119192 * g + 0.9503041 * b
  const [fx, fy, fz] = [x / WHITE[0], y / WHITE[1], z / WHITE[2]].map(labCurve) as [number, number, number]
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)]
}

function labCurve(t: number): number {
  return t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27 / 116) * t + 16 / 116
}
