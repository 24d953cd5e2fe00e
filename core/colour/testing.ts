import { catalogueDyes } from '../catalogue/dyes.ts'
import { type Random, seeded } from '../random.ts'
import { ciede2000 } from './ciede2000.ts'
import { genericCurve } from './dyeCurve.ts'
import type { LabD65 } from './lab.ts'
import type { Spectrum } from './spectrum.ts'
import { solveSubset, task } from './subsetSolve.ts'
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
 * The nearest that hands can dose, found by trying: for every choice of up to three dyes the eighths around what would be
 * right, none included, and whole drops from three on.
 */
export function nearestByHand(
  base: TintBase,
  curves: readonly Spectrum[],
  target: LabD65,
  grams: number,
): number {
  let best = ciede2000(tinter(base, []).lab([]), target)
  for (let a = 0; a < curves.length; a++)
    for (let b = a; b < curves.length; b++)
      for (let c = b; c < curves.length; c++) {
        const set = [...new Set([a, b, c])]
        const tint = tinter(
          base,
          set.map((d) => curves[d]!),
        )
        const wanted = solveSubset(task(base, target, curves), set).drops
        const choices = wanted.map((drops) => {
          const eighths = (drops * grams * 8) / 100
          const grain = eighths >= 24 ? 8 : 1
          const low = Math.floor(eighths / grain) * grain
          return [...new Set([0, low - grain, low, low + grain, low + 2 * grain].filter((e) => e >= 0))]
        })
        const walk = (at: number, drops: number[]) => {
          if (at === choices.length) best = Math.min(best, ciede2000(tint.lab(drops), target))
          else for (const e of choices[at]!) walk(at + 1, [...drops, (e / 8) * (100 / grams)])
        }
        walk(0, [])
      }
  return best
}
