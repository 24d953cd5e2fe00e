import type { LabD65 } from './lab.ts'

const deg = Math.PI / 180
const POW7 = 25 ** 7

function hue(b: number, a: number): number {
  if (a === 0 && b === 0) return 0
  const h = Math.atan2(b, a) / deg
  return h < 0 ? h + 360 : h
}

/**
 * CIEDE2000 colour difference with all weights 1, after Sharma, Wu and Dalal, "The CIEDE2000 Color-Difference
 * Formula: Implementation Notes", Color Research and Application 30 (2005). About 1 is just seen.
 */
export function ciede2000([L1, a1, b1]: LabD65, [L2, a2, b2]: LabD65): number {
  const meanC7 = ((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2) ** 7
  const g = 0.5 * (1 - Math.sqrt(meanC7 / (meanC7 + POW7)))
  const ap1 = (1 + g) * a1
  const ap2 = (1 + g) * a2
  const c1 = Math.hypot(ap1, b1)
  const c2 = Math.hypot(ap2, b2)
  const h1 = hue(b1, ap1)
  const h2 = hue(b2, ap2)
  const grey = c1 * c2 === 0

  const dL = L2 - L1
  const dC = c2 - c1
  let dh = grey ? 0 : h2 - h1
  if (dh > 180) dh -= 360
  if (dh < -180) dh += 360
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * deg)

  const L = (L1 + L2) / 2
  const c = (c1 + c2) / 2
  let h = h1 + h2
  if (!grey) {
    if (Math.abs(h1 - h2) > 180) h += h < 360 ? 360 : -360
    h /= 2
  }
  const t =
    1 -
    0.17 * Math.cos((h - 30) * deg) +
    0.24 * Math.cos(2 * h * deg) +
    0.32 * Math.cos((3 * h + 6) * deg) -
    0.2 * Math.cos((4 * h - 63) * deg)
  const sL = 1 + (0.015 * (L - 50) ** 2) / Math.sqrt(20 + (L - 50) ** 2)
  const sC = 1 + 0.045 * c
  const sH = 1 + 0.015 * c * t
  const c7 = c ** 7
  const rotation = 30 * Math.exp(-(((h - 275) / 25) ** 2))
  const rT = -Math.sin(2 * rotation * deg) * 2 * Math.sqrt(c7 / (c7 + POW7))
  const x = dL / sL
  const y = dC / sC
  const z = dH / sH
  return Math.sqrt(x * x + y * y + z * z + rT * y * z)
}
