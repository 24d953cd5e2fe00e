import { seeded } from '../random.ts'
import {
  encodeChannel,
  hexChannels,
  type LabD65,
  labToHex,
  linearChannel,
  linearToXyz,
  xyzToLab,
} from './lab.ts'

/** A colour found in a picture and how much of it there is, 0 to 1. */
export interface Dominant {
  hex: string
  share: number
}

const MOST_SAMPLES = 6000
const ROUNDS = 14
/** Clusters nearer than this in Lab are one colour. */
const SAME = 7

/**
 * The colours that dominate a picture: k-means in Lab over a sample of its pixels, begun from points far apart, near
 * ones joined. Seeded: the same picture gives the same colours.
 * @param rgba pixels, four bytes each; clear ones are passed over.
 */
export function dominantColours(rgba: Uint8ClampedArray, wanted: number): Dominant[] {
  const labs = sample(rgba)
  if (labs.length === 0) return []
  let centres = farApart(labs, wanted)
  let counts: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map(() => [0, 0, 0, 0])
    for (const lab of labs) {
      const sum = sums[nearest(centres, lab)]!
      for (let k = 0; k < 3; k++) sum[k]! += lab[k]!
      sum[3]! += 1
    }
    counts = sums.map((s) => s[3]!)
    centres = sums.map((s, i) =>
      s[3]! > 0 ? ([s[0]! / s[3]!, s[1]! / s[3]!, s[2]! / s[3]!] as LabD65) : centres[i]!,
    )
  }
  return joined(centres, counts).map(({ lab, count }) => ({ hex: labToHex(lab), share: count / labs.length }))
}

function sample(rgba: Uint8ClampedArray): LabD65[] {
  const pixels = rgba.length / 4
  const step = Math.max(1, Math.floor(pixels / MOST_SAMPLES))
  const labs: LabD65[] = []
  for (let i = 0; i < pixels; i += step) {
    const o = i * 4
    if (rgba[o + 3]! < 128) continue
    const [r, g, b] = [rgba[o]!, rgba[o + 1]!, rgba[o + 2]!].map((v) => linearChannel(v / 255))
    labs.push(xyzToLab(linearToXyz(r!, g!, b!)))
  }
  return labs
}

const apart = (a: LabD65, b: LabD65) => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2

function nearest(centres: readonly LabD65[], lab: LabD65): number {
  let best = 0
  for (let i = 1; i < centres.length; i++) if (apart(centres[i]!, lab) < apart(centres[best]!, lab)) best = i
  return best
}

/** Starting points: each as likely as it is far from those before it (Arthur and Vassilvitskii, 2007). */
function farApart(labs: readonly LabD65[], wanted: number): LabD65[] {
  const random = seeded(11)
  const centres = [labs[Math.floor(random() * labs.length)]!]
  while (centres.length < wanted) {
    const far = labs.map((lab) => apart(centres[nearest(centres, lab)]!, lab))
    const total = far.reduce((a, b) => a + b, 0)
    if (total === 0) break
    let at = random() * total
    const index = far.findIndex((d) => {
      at -= d
      return at <= 0
    })
    centres.push(labs[index < 0 ? labs.length - 1 : index]!)
  }
  return centres
}

function joined(centres: readonly LabD65[], counts: readonly number[]): { lab: LabD65; count: number }[] {
  const found: { lab: LabD65; count: number }[] = []
  centres
    .map((lab, i) => ({ lab, count: counts[i]! }))
    .filter((c) => c.count > 0)
    .sort((a, b) => b.count - a.count)
    .forEach((c) => {
      const like = found.find((f) => apart(f.lab, c.lab) < SAME ** 2)
      if (like) like.count += c.count
      else found.push({ ...c })
    })
  return found.sort((a, b) => b.count - a.count)
}

/**
 * The colour a patch would have in plain daylight: each linear channel scaled so that the white reference beside it
 * has the colour it is known to have.
 */
export function corrected(seen: string, reference: string, known: string): string {
  const scale = hexChannels(known).map(
    (k, i) => linearChannel(k) / Math.max(1e-4, linearChannel(hexChannels(reference)[i]!)),
  )
  const rgb = hexChannels(seen).map((c, i) =>
    Math.min(1, Math.max(0, encodeChannel(linearChannel(c) * scale[i]!))),
  )
  return `#${rgb
    .map((c) =>
      Math.round(c * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}
