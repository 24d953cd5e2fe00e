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
 * @returns what finds it for any target: what the knots of the net look like is the same for all.
 */
export function nearestByHand(
  base: TintBase,
  curves: readonly Spectrum[],
  grams: number,
): (target: LabD65) => number {
  const most = (MOST_DROPS_BY_HAND * 8 * grams) / 100
  const net = [0]
  for (let e = 1; e <= most; e *= 2) net.push(e)
  const sets: {
    labOf: (eighths: readonly number[]) => LabD65
    knots: { lab: LabD65; eighths: number[] }[]
  }[] = []
  for (let a = 0; a < curves.length; a++)
    for (let b = a + 1; b < curves.length; b++)
      for (let c = b + 1; c < curves.length; c++) {
        const tint = tinter(base, [curves[a]!, curves[b]!, curves[c]!])
        const labOf = (eighths: readonly number[]) => tint.lab(eighths.map((e) => (e / 8) * (100 / grams)))
        const knots = net.flatMap((x) =>
          net.flatMap((y) =>
            net.flatMap((z) => (x + y + z > most ? [] : [{ lab: labOf([x, y, z]), eighths: [x, y, z] }])),
          ),
        )
        sets.push({ labOf, knots })
      }
  return (target) => {
    const best = sets.map(({ labOf, knots }) => {
      let nearest = { difference: Number.POSITIVE_INFINITY, eighths: [0, 0, 0], labOf }
      for (const { lab, eighths } of knots) {
        const difference = ciede2000(lab, target)
        if (difference < nearest.difference) nearest = { difference, eighths, labOf }
      }
      return nearest
    })
    best.sort((one, other) => one.difference - other.difference)
    return Math.min(
      ...best
        .slice(0, KNOTS)
        .map(({ difference, eighths, labOf }) =>
          stepwise(eighths, difference, (e) => ciede2000(labOf(e), target)),
        ),
    )
  }
}

/** The least difference that single steps from a knot lead to, each nearer than the one before. */
function stepwise(from: number[], difference: number, differenceOf: (eighths: number[]) => number): number {
  let [here, best] = [from, difference]
  for (let moved = true; moved; ) {
    moved = false
    for (let k = 0; k < 3; k++)
      for (const by of [-16, -8, -1, 1, 8, 16]) {
        const next = here.with(k, here[k]! + by)
        // nobody counts specks from three drops on
        if (next[k]! < 0 || (next[k]! >= 24 && next[k]! % 8 !== 0)) continue
        const now = differenceOf(next)
        if (now < best - 1e-9) {
          ;[here, best] = [next, now]
          moved = true
        }
      }
  }
  return best
}

/** Most dye that is tried, drops in 100 g, and how many knots of the net are looked around. */
const MOST_DROPS_BY_HAND = 80
const KNOTS = 12
