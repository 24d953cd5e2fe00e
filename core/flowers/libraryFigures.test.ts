import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { openingArea } from '../tips/index.ts'
import { fitFlower } from './resolve.ts'

/**
 * What each catalogue flower comes to as its recipe is written: icing in mm³, seconds of the hand, longest and widest caliper
 * and height in mm. A recipe or a stroke that is changed on purpose changes its row, looked at; anything else that
 * moves one is a fault.
 */
const FIGURES: [
  id: string,
  mm3: number,
  seconds: number,
  alongMm: number,
  acrossMm: number,
  highMm: number,
][] = [
  ['rose', 10510, 66.38, 38.34, 38.34, 23.69],
  ['rose-in-place', 6462, 41.12, 35.4, 33.56, 20.85],
  ['quartered-rose', 8979, 64.84, 39.12, 39.12, 19.51],
  ['rose-bud', 1681, 23.98, 15.01, 14.86, 16.39],
  ['half-rose', 1177, 17.18, 23.6, 20.42, 10.72],
  ['ribbon-rose', 3132, 15.09, 28.47, 27.39, 14.75],
  ['hellebore', 2692, 40.74, 39.84, 38.53, 8.941],
  ['scabious', 2112, 51.29, 38.65, 38.36, 6.003],
  ['anemone', 3925, 34.1, 41.97, 40.63, 8.232],
  ['dahlia', 7338, 85.08, 43.87, 43.73, 14.64],
  ['nigella', 1650, 44.88, 40.12, 39.19, 10.49],
  ['thrift', 2198, 34.42, 26.28, 25.89, 11.2],
  ['sweet-pea', 608.6, 9.262, 18.84, 16.64, 9.666],
  ['ranunculus', 14810, 116.8, 35.1, 35.1, 18.37],
  ['peony', 13970, 76.55, 51.33, 50.76, 20.25],
  ['camellia', 4381, 56.47, 42.2, 42.2, 13.36],
  ['chrysanthemum', 9154, 97.69, 44.68, 44.52, 17.69],
  ['zinnia', 3210, 83.42, 41.73, 41.73, 9.302],
  ['aster', 1500, 56.32, 32.57, 32.57, 7.73],
  ['daisy', 1449, 42.09, 39.27, 38.88, 4.215],
  ['blossom', 1582, 15.79, 31.82, 30.9, 5.261],
  ['two-row-blossom', 2135, 25.47, 31.81, 30.86, 7.486],
  ['heart-bloom', 1543, 22.2, 34.22, 32.71, 4.704],
  ['footed-blossom', 970.4, 15.5, 26.04, 23.47, 4.376],
  ['dot-blossom', 73.7, 4.29, 9.039, 8.234, 2.2],
  ['narcissus', 1716, 22.71, 40.25, 35, 11.23],
  ['poppy', 1519, 50.25, 39.33, 31.39, 8.495],
  ['tulip', 2824, 21.84, 17.73, 16.79, 20.76],
  ['funnel-lily', 1942, 14.76, 32.49, 29.6, 16.84],
  ['carnation', 4870, 69.39, 32.32, 32.26, 19.29],
  ['ruffle-bloom', 10690, 72.39, 44.16, 44.16, 20.47],
  ['cabbage-bloom', 14310, 70.21, 50.4, 49.64, 21.15],
  ['hydrangea', 5356, 98.97, 39.45, 39.45, 15.51],
  ['lavender', 210.8, 14.73, 44.98, 8.733, 3.304],
  ['raceme', 288.8, 5.771, 44.52, 9.359, 4.525],
  ['seed-head', 220.1, 6.767, 10.02, 8.735, 9.356],
  ['drop-star-flower', 184.1, 1.467, 12.5, 11.32, 5.3],
  ['rosette', 5685, 3.054, 30.2, 27.59, 10.63],
  ['swirl', 26970, 8.874, 51.75, 48.7, 38.13],
  ['flooded-disc', 1213, 10.7, 30.5, 30.29, 2.035],
  ['leaf', 201.9, 2.111, 19.71, 9.505, 5.427],
  ['ruffled-leaf', 326.2, 2.333, 23.83, 12.74, 5.661],
  ['leaf-cluster', 229.6, 5.722, 25.34, 20.19, 7.57],
  ['petal-leaf', 113.8, 2.313, 17.31, 6.966, 2.959],
  ['grass-tuft', 252.8, 3.327, 18.47, 16.87, 9.706],
  ['vine-buds', 205.1, 8.514, 46.67, 14.79, 3.704],
  ['scroll', 71.42, 4.299, 27.64, 16.12, 2.517],
  ['shell-border', 179.8, 1.236, 11.4, 7.477, 7.742],
  ['bead-border', 81.76, 1.137, 8.376, 5.253, 4.849],
  ['drop-border', 83.05, 0.82, 5.903, 5.903, 5.5],
  ['dot-border', 5.414, 0.6033, 2.429, 2.429, 1.6],
  ['rosette-border', 378.7, 2.03, 13.02, 11.73, 5.022],
  ['zigzag-border', 251.2, 2.999, 62.97, 30.41, 1.913],
  ['ruffle-border', 691.7, 3.066, 41.49, 14.91, 8.389],
]
/** A change that no hand and no scale would notice. */
const BAND = 0.005

const measured = (id: string) => {
  const flower = starterWorkshop.flowers.find((f) => f.id === id)!
  return { flower, ...fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips) }
}

describe('the library', () => {
  it('is all in the table, once', () => {
    expect(FIGURES.map(([id]) => id).sort()).toEqual(starterWorkshop.flowers.map((f) => f.id).sort())
  })

  it.each(FIGURES)('%s weighs, takes and measures what it did', (id, mm3, seconds, along, across, high) => {
    const { measure } = measured(id)
    const near = (now: number, then: number) => expect(Math.abs(now / then - 1)).toBeLessThan(BAND)
    near(measure.volumeMm3, mm3)
    near(measure.seconds, seconds)
    near(measure.alongMm, along)
    near(measure.acrossMm, across)
    near(measure.heightMm, high)
  })

  it.each(FIGURES)(
    '%s is within what a flower of its size can weigh and a hand can do',
    (id, mm3, seconds) => {
      const { measure, layers } = measured(id)
      // no flower is more than a solid half ball over its widest circle, nor a film of 0.2 mm over a twentieth of it
      const disc = (Math.PI / 4) * measure.diameterMm ** 2
      expect(mm3).toBeLessThan(Math.max((2 / 3) * disc * (measure.diameterMm / 2), disc * measure.heightMm))
      expect(mm3).toBeGreaterThan((disc / 20) * 0.2)
      // squeezing alone takes the volume through the opening at 40 mm a second; a stroke a third of a second to place
      const least = layers.reduce(
        (sum, { layer, tip }, i) =>
          sum + Math.max(layer.count / 3, measure.layers[i]!.volumeMm3 / (40 * openingArea(tip.opening))),
        0,
      )
      expect(seconds).toBeGreaterThanOrEqual(0.99 * Math.min(least, seconds + 1))
      expect(measure.layers.reduce((sum, l) => sum + l.seconds, 0)).toBeCloseTo(measure.seconds, 6)
    },
  )
})
