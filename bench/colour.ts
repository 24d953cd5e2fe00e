import { catalogueDyes } from '#core/catalogue/dyes'
import { carryOver } from '#core/colour/carryOver'
import { ciede2000 } from '#core/colour/ciede2000'
import { genericCurve } from '#core/colour/dyeCurve'
import { formula } from '#core/colour/formula'
import { hexToLab, type LabD65 } from '#core/colour/lab'
import { butter, curvesOf, eight, reachable } from '#core/colour/testing'
import type { Benchmark } from './benchmark.ts'

const targets = reachable(24, butter, 9)
let next = 0
const target = (): LabD65 => targets[next++ % targets.length]!
const own = curvesOf(...eight)
const all = catalogueDyes.map((d) => genericCurve(d.weights))
const hexes = ['#efe6cd', '#f0d890', '#c48ba0', '#8f86b2', '#5e5591', '#b98a3a', '#7c8a55', '#3a3947']

/** As many colour differences as a formula looks at, roughly. */
const differences = () => {
  for (let i = 0; i < 2000; i++) ciede2000(targets[i % 24]!, targets[(i * 7) % 24]!)
}

export const colourBenchmarks: Benchmark[] = [
  {
    id: 'formula-8',
    what: 'a formula from eight dyes',
    unit: 'ms',
    against: '2,000 colour differences',
    run: () => void formula(butter, target(), own, 100),
    baseline: differences,
  },
  {
    id: 'formula-13',
    what: 'a formula from thirteen dyes',
    unit: 'ms',
    against: '2,000 colour differences',
    run: () => void formula(butter, target(), all, 100),
    baseline: differences,
  },
  {
    id: 'carry-8',
    what: 'the best chain of eight colours through one bowl, cold',
    unit: 'ms',
    rounds: 3,
    against: '2,000 colour differences',
    run: () =>
      void carryOver({
        base: butter,
        curves: own,
        tolerance: 1.5,
        lastId: null,
        keptCost: () => 0,
        colours: hexes.map((hex, i) => ({
          id: hex,
          target: hexToLab(hex),
          grams: 90 + 20 * i,
          leftGrams: 18 + 4 * i,
        })),
      }),
    baseline: differences,
  },
]
