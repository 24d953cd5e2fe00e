import { catalogueDyes } from '../catalogue/dyes.ts'
import { type Random, seeded } from '../random.ts'
import { genericCurve } from './dyeCurve.ts'
import type { LabD65 } from './lab.ts'
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
