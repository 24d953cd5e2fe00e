import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { starterWorkshop } from '#core/catalogue/starter'
import { fitFlower } from '#core/flowers/resolve'
import { measuredSolid } from '#core/flowers/testing'
import { flowerMesh } from '#core/mesh/flowerMesh'
import type { Measured } from './benchmark.ts'

const fitted = (flower: (typeof catalogueFlowers)[number], sizeMm: number | null) =>
  fitFlower(flower, { sizeMm, tips: {} }, starterWorkshop.tips)

const HANDS = [1, 2, 3, 4, 5, 6]
/** Largest difference of claimed from drawn width or height over the library, percent. */
function sizeWorst(): number {
  const misses = catalogueFlowers.flatMap((flower) => {
    const { layers, measure } = fitted(flower, null)
    const drawn = HANDS.map((seed) => measuredSolid(flowerMesh(layers, seed, 1).positions))
    const mean = (of: 'mean' | 'top') => drawn.reduce((sum, d) => sum + d[of], 0) / drawn.length
    return [measure.diameterMm / mean('mean') - 1, measure.heightMm / mean('top') - 1]
  })
  return 100 * Math.max(...misses.map(Math.abs))
}

/** Largest miss of a wanted width over the library, from 0.6 to 2 times, percent. */
function resizeWorst(): number {
  const misses = catalogueFlowers.flatMap((flower) => {
    const own = fitted(flower, null).measure.diameterMm
    return Array.from({ length: 8 }, (_, i) => {
      // an order asks for nothing under 3 mm
      const wanted = Math.max(3, own * (0.6 + 0.2 * i))
      return fitted(flower, wanted).measure.diameterMm / wanted - 1
    })
  })
  return 100 * Math.max(...misses.map(Math.abs))
}

export const sizeBenchmarks: Measured[] = [
  {
    id: 'size-worst',
    what: 'largest difference of claimed from drawn width or height, library',
    unit: 'percent',
    against: 'none: the aim is 3',
    measure: sizeWorst,
  },
  {
    id: 'resize-worst',
    what: 'largest miss of a wanted width, library at 0.6 to 2 times',
    unit: 'percent',
    against: 'none: the aim is 3',
    measure: resizeWorst,
  },
]
