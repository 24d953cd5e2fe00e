import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { starterWorkshop } from '#core/catalogue/starter'
import { pileLayers } from '#core/flowers/piled'
import { fitFlower } from '#core/flowers/resolve'
import { flowerMesh } from '#core/mesh/flowerMesh'
import { pile } from '#core/pile/pile'
import { insideOutMm2, volumeByThreads } from '#core/pile/testing'
import { type Benchmark, medianMs } from './benchmark.ts'

const fitted = catalogueFlowers.map((flower) => ({
  id: flower.id,
  ...fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips),
}))
const rose = pileLayers(fitted.find((f) => f.id === 'rose')!.layers)
const worst = (of: (f: (typeof fitted)[number]) => number) => Math.max(...fitted.map(of))

/** Piles of the library: how long they take, and how true they are. */
export const pileBenchmarks: Benchmark[] = [
  {
    id: 'pile-rose',
    what: 'piling a rose, as it is piled for every picture and figure',
    unit: 'milliseconds',
    against: 'none: the aim is 100',
    measure: () => medianMs(() => void pile(rose, 1), 15),
  },
  {
    id: 'pile-fine-worst',
    what: 'the slowest library flower from recipe to fine solid',
    unit: 'milliseconds',
    against: 'none: the aim is 500',
    measure: () => worst(({ layers }) => medianMs(() => void flowerMesh(layers, 1, 1), 3)),
  },
  {
    id: 'flower-union',
    what: 'largest difference between what left the bag and the solid, by threads through it, library',
    unit: 'percent',
    against: 'none: the aim is 5',
    measure: () =>
      100 *
      worst(({ layers, measure }) =>
        Math.abs(
          volumeByThreads(flowerMesh(layers, 1, 1), Math.min(0.45, measure.heightMm / 22)) /
            measure.volumeMm3 -
            1,
        ),
      ),
  },
  {
    id: 'flower-slits',
    what: 'largest area that shows the inside of a skin from above, library',
    unit: 'mm2',
    against: 'none: the aim is 2',
    measure: () => worst(({ layers }) => insideOutMm2(flowerMesh(layers, 1, 1))),
  },
  {
    id: 'flower-table',
    what: 'deepest that a solid reaches under its table, library',
    unit: 'mm',
    against: 'none: the aim is 0.05',
    measure: () =>
      worst(({ layers }) =>
        flowerMesh(layers, 1, 1).positions.reduce(
          (most, v, o) => (o % 3 === 2 ? Math.max(most, -v) : most),
          0,
        ),
      ),
  },
]
