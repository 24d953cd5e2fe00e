import { formula } from '#core/colour/formula'
import { hexToLab } from '#core/colour/lab'
import { butter, curvesOf, eight, nearestByHand, quantile, reachable } from '#core/colour/testing'
import type { Measured } from './benchmark.ts'

const curves = curvesOf(...eight)
const SIZES = [10, 20, 40]
/** Pale wishes, where a speck is much, beside colours of every depth. */
const pale = [
  '#f5efdd',
  '#f2e6c8',
  '#f7e4e2',
  '#e9eadf',
  '#f0e2ee',
  '#efe9d2',
  '#e6edf0',
  '#f6ead9',
  '#f3d9d9',
]
const targets = [...pale.map(hexToLab), ...reachable(31, butter, 77)]

export const formulaSmall: Measured = {
  id: 'formula-small',
  what: 'difference over the best rounded formula in bowls of 10 to 40 g, 95th of 100',
  unit: 'CIEDE2000',
  against: 'none: the aim is 1',
  measure: () =>
    quantile(
      SIZES.flatMap((grams) => {
        const nearest = nearestByHand(butter, curves, grams)
        return targets.map(
          (target) => formula(butter, target, curves, grams).chosen.difference - nearest(target),
        )
      }),
      0.95,
    ),
}
