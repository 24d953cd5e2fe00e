import { catalogueDyes } from '../catalogue/dyes.ts'
import { type Random, seeded } from '../random.ts'
import { ciede2000 } from './ciede2000.ts'
import { genericCurve } from './dyeCurve.ts'
import type { LabD65 } from './lab.ts'
import type { Spectrum } from './spectrum.ts'
import { type TintBase, tintBase, tinter } from './tint.ts'

/** What the tests of colour share: grounds, dyes and colours that can be had from them. */
export const butter = tintBase('#f6f1d6', 1)
export const royal = tintBase('#f9f9f7', 1.25)

export const curvesOf = (...ids: string[]) =>
  ids.map((id) => genericCurve(catalogueDyes.find((d) => d.id === id)!.weights))

export const eight = ['lemon', 'golden', 'red', 'pink', 'royal', 'leaf', 'brown', 'black']

/** A standard normal deviate. */
export const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** Colours that one to three of the eight dyes make, 0.3 to 50 drops in all. */
export function reachable(count: number, base: TintBase, seed = 5): LabD65[] {
  const random = seeded(seed)
  const curves = curvesOf(...eight)
  const tint = tinter(base, curves)
  const found: LabD65[] = []
  while (found.length < count) {
    const drops = new Float64Array(curves.length)
    const dyes = 1 + Math.floor(random() * 3)
    for (let k = 0; k < dyes; k++)
      drops[Math.floor(random() * curves.length)] = Math.exp(
        Math.log(0.3) + random() * Math.log(50 / dyes / 0.3),
      )
    found.push(tint.lab(drops))
  }
  return found
}

export const quantile = (values: readonly number[], p: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * p))]!

/**
 * The nearest that hands can dose, found by trying and nothing else: for every three dyes a net of doses in eighths of a
 * drop, each twice the one before and none included, then single steps from the best knots of it. Only what a mix looks
 * like is taken from the program.
 */
export function nearestByHand(
  base: TintBase,
  curves: readonly Spectrum[],
  target: LabD65,
  grams: number,
): number {
  const most = (MOST_DROPS_BY_HAND * 8 * grams) / 100
  const net = [0]
  for (let e = 1; e <= most; e *= 2) net.push(e)
  const knots: { difference: number; set: number[]; eighths: number[] }[] = []
  const differenceOf = (tint: ReturnType<typeof tinter>, eighths: readonly number[]) =>
    ciede2000(tint.lab(eighths.map((e) => (e / 8) * (100 / grams))), target)
  for (let a = 0; a < curves.length; a++)
    for (let b = a + 1; b < curves.length; b++)
      for (let c = b + 1; c < curves.length; c++) {
        const set = [a, b, c]
        const tint = tinter(
          base,
          set.map((d) => curves[d]!),
        )
        let best = { difference: Number.POSITIVE_INFINITY, set, eighths: [0, 0, 0] }
        for (const x of net)
          for (const y of net)
            for (const z of net) {
              if (x + y + z > most) continue
              const difference = differenceOf(tint, [x, y, z])
              if (difference < best.difference) best = { difference, set, eighths: [x, y, z] }
            }
        knots.push(best)
      }
  knots.sort((one, other) => one.difference - other.difference)
  return Math.min(
    ...knots.slice(0, KNOTS).map(({ set, eighths, difference }) => {
      const tint = tinter(
        base,
        set.map((d) => curves[d]!),
      )
      let [here, best] = [eighths, difference]
      for (let moved = true; moved; ) {
        moved = false
        for (let k = 0; k < 3; k++)
          for (const by of [-16, -8, -1, 1, 8, 16]) {
            const next = here.with(k, here[k]! + by)
            // nobody counts specks from three drops on
            if (next[k]! < 0 || (next[k]! >= 24 && next[k]! % 8 !== 0)) continue
            const now = differenceOf(tint, next)
            if (now < best - 1e-9) {
              ;[here, best] = [next, now]
              moved = true
            }
          }
      }
      return best
    }),
  )
}

/** Most dye that is tried, drops in 100 g, and how many knots of the net are looked around. */
const MOST_DROPS_BY_HAND = 80
const KNOTS = 12
