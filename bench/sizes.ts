import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { starterWorkshop } from '#core/catalogue/starter'
import { fitFlower } from '#core/flowers/resolve'
import { flowerMesh } from '#core/mesh/flowerMesh'
import type { Measured } from './benchmark.ts'

const fitted = (flower: (typeof catalogueFlowers)[number], sizeMm: number | null) =>
  fitFlower(flower, { sizeMm, tips: {} }, starterWorkshop.tips)

const HANDS = [1, 2, 3, 4, 5, 6]
const DIRECTIONS = 36

/** Mean caliper width and top of a drawn solid, mm. */
function measured(points: Float32Array): [wide: number, high: number] {
  let sum = 0
  for (let d = 0; d < DIRECTIONS; d++) {
    const c = Math.cos((Math.PI * d) / DIRECTIONS)
    const s = Math.sin((Math.PI * d) / DIRECTIONS)
    let [low, high] = [0, 0]
    for (let o = 0; o < points.length; o += 3) {
      const along = c * points[o]! + s * points[o + 1]!
      low = Math.min(low, along)
      high = Math.max(high, along)
    }
    sum += high - low
  }
  let top = 0
  for (let o = 2; o < points.length; o += 3) top = Math.max(top, points[o]!)
  return [sum / DIRECTIONS, top]
}

/** Largest difference of claimed from drawn width or height over the library, percent. */
function sizeWorst(): number {
  const misses = catalogueFlowers.flatMap((flower) => {
    const { layers, measure } = fitted(flower, null)
    const drawn = HANDS.map((seed) => measured(flowerMesh(layers, seed, 1).positions))
    const mean = (i: 0 | 1) => drawn.reduce((sum, d) => sum + d[i], 0) / drawn.length
    return [measure.diameterMm / mean(0) - 1, measure.heightMm / mean(1) - 1]
  })
  return 100 * Math.max(...misses.map(Math.abs))
}

/** Largest miss of a wanted width over the library, from 0.6 to 2 times, percent. */
function resizeWorst(): number {
  const misses = catalogueFlowers.flatMap((flower) => {
    const own = fitted(flower, null).measure.diameterMm
    return Array.from({ length: 29 }, (_, i) => {
      const wanted = own * (0.6 + 0.05 * i)
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
