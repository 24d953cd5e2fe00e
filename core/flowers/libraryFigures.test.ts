import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { flowerMesh } from '../mesh/flowerMesh.ts'
import { openingArea } from '../tips/index.ts'
import { rememberingFitter } from './resolve.ts'
import { measuredSolid } from './testing.ts'

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
  ['rose', 10510, 66.38, 40.91, 39.07, 23.76],
  ['rose-in-place', 6462, 41.12, 35.87, 34.22, 20.91],
  ['quartered-rose', 9905, 77.07, 42.76, 42.46, 19.04],
  ['rose-bud', 1335, 23.13, 16.3, 15.32, 15.64],
  ['half-rose', 1343, 20.36, 28.68, 26.44, 15.1],
  ['ribbon-rose', 3132, 15.18, 28.55, 27.43, 14.97],
  ['hellebore', 2692, 40.74, 39.84, 38.53, 10.55],
  ['scabious', 2412, 51.72, 38.22, 37.7, 7.52],
  ['anemone', 3925, 34.1, 41.97, 40.63, 9.084],
  ['dahlia', 7333, 85.08, 43.92, 43.83, 14.56],
  ['nigella', 1650, 44.88, 40.14, 39.24, 11.98],
  ['thrift', 1921, 37, 26.28, 25.89, 11.04],
  ['sweet-pea', 641.2, 11.18, 22.63, 18.88, 11.46],
  ['ranunculus', 13630, 105.8, 44.48, 43.81, 19.42],
  ['peony', 14020, 76.63, 52.23, 51.74, 20.65],
  ['camellia', 4381, 56.38, 42.2, 42.2, 13.69],
  ['chrysanthemum', 9153, 98.02, 44.76, 44.63, 17.74],
  ['zinnia', 3210, 83.29, 41.73, 41.73, 9.565],
  ['aster', 1500, 56.32, 32.57, 32.57, 11.29],
  ['daisy', 1449, 42.08, 39.25, 38.87, 4.131],
  ['blossom', 1582, 15.79, 31.82, 30.9, 6.75],
  ['two-row-blossom', 2135, 25.47, 31.81, 30.86, 8.492],
  ['heart-bloom', 1654, 22.35, 33.83, 32.4, 6.779],
  ['footed-blossom', 970.4, 15.5, 26.04, 23.47, 5.647],
  ['dot-blossom', 62.27, 3.677, 8.27, 8.013, 1.9],
  ['narcissus', 1726, 22.71, 40.32, 34.98, 12.68],
  ['poppy', 1443, 68.78, 39.28, 39.28, 8.541],
  ['tulip', 2149, 22.31, 21.92, 19.44, 20.57],
  ['funnel-lily', 1960, 7.912, 32.19, 29.49, 18.11],
  ['carnation', 4660, 69.22, 33.04, 32.56, 18.99],
  ['ruffle-bloom', 10690, 72.39, 45.75, 44.98, 20.69],
  ['cabbage-bloom', 15120, 71.35, 52.1, 51.34, 22.19],
  ['hydrangea', 3223, 122.1, 30.15, 29.82, 11.9],
  ['lavender', 207.9, 24.43, 45.6, 5.663, 3.045],
  ['raceme', 460.9, 12.23, 44.63, 12.37, 5.636],
  ['seed-head', 319.1, 8.968, 8.851, 8.851, 8.528],
  ['drop-star-flower', 184.1, 1.467, 12.5, 11.32, 5.448],
  ['rosette', 5685, 3.054, 35.42, 32.51, 10.4],
  ['swirl', 28800, 9.374, 55.05, 51.91, 36.85],
  ['flooded-disc', 1213, 10.7, 31.19, 30.95, 2.656],
  ['leaf', 196.9, 2.111, 19.57, 9.554, 5.532],
  ['ruffled-leaf', 318.1, 2.333, 23.7, 12.21, 6.263],
  ['leaf-cluster', 224, 5.722, 25.3, 19.76, 7.673],
  ['petal-leaf', 91.59, 4, 17.91, 7.987, 3.003],
  ['grass-tuft', 252.8, 3.327, 18.47, 16.87, 9.602],
  ['vine-buds', 204.1, 7.684, 49.29, 14.86, 2.809],
  ['scroll', 75.03, 4.469, 29.77, 16.73, 2.118],
  ['shell-border', 179.8, 1.236, 11.41, 8.92, 6.198],
  ['bead-border', 81.76, 1.137, 8.593, 6.804, 3.897],
  ['drop-border', 83.05, 0.82, 5.903, 5.903, 5.5],
  ['dot-border', 5.414, 0.6033, 2.429, 2.429, 1.6],
  ['rosette-border', 378.7, 2.03, 14.8, 13.22, 4.671],
  ['zigzag-border', 251.2, 2.999, 63.27, 32.66, 1.764],
  ['ruffle-border', 691.7, 3.066, 41.5, 14.96, 8.437],
  ['bud-on-stem', 385.8, 12.18, 32.96, 18.63, 10.99],
  ['sunflower', 2427, 77.09, 42.52, 42.3, 6.48],
  ['primrose', 813.7, 21.34, 27.41, 26.25, 5.26],
  ['pansy', 1283, 25.04, 33.63, 30.74, 6.669],
  ['violet', 306.1, 12.12, 20.98, 19.23, 4.599],
  ['wheat-ear', 246.1, 27.39, 52.06, 15.52, 3.389],
  ['succulent', 4227, 52.47, 35.33, 34.81, 22.05],
  ['berry-sprig', 377.7, 9.695, 35.02, 21.93, 3.403],
  ['lilac', 1164, 26.56, 38.71, 37.8, 4.607],
  ['drop-cluster', 1117, 15.35, 37.85, 33.42, 5.203],
  ['rosette-bloom', 6053, 10.79, 57.29, 32.41, 10.46],
  ['agave', 1685, 42, 32.96, 32.46, 13.84],
  ['ball-cactus', 1934, 24.93, 21.95, 21.95, 14.42],
  ['rope-border', 199.9, 1.215, 15.93, 8.957, 4.511],
  ['swag-border', 90.34, 2.155, 23.8, 7.993, 3.461],
  ['magnolia', 3054, 31.04, 41.89, 37.43, 15.45],
  ['water-lily', 3843, 59.1, 41.84, 41.84, 13.23],
  ['cosmos', 1399, 27.54, 41.05, 41.05, 5.195],
  ['gerbera', 2786, 107.3, 44.1, 44.1, 6.528],
  ['poinsettia', 2029, 33.53, 45.17, 45.04, 7.528],
  ['cherry-blossom', 685.3, 24.58, 27.32, 26.34, 5.379],
  ['ruffled-hearts', 1623, 32.17, 40.28, 38.45, 6.772],
  ['notched-blossom', 653.1, 23.16, 22.67, 21.74, 5.324],
  ['forget-me-not', 273, 9.938, 20.38, 19.68, 3.773],
  ['comma-leaves', 98.37, 3.917, 16.01, 14.35, 3.517],
  ['lily-of-the-valley', 364.6, 9.878, 33.81, 26.88, 3.068],
  ['fern', 576.8, 39.91, 45, 20.39, 2.278],
  ['leafy-sprig', 403.1, 13.05, 43.99, 18.99, 2.982],
  ['windflower', 1603, 83.88, 35.53, 34.44, 6.18],
  ['climbing-rose', 3861, 67.56, 46.82, 46.82, 13.85],
  ['wrapped-ruffle', 4582, 43.08, 37.7, 36.82, 17.74],
  ['ruffled-skirt', 4681, 12.27, 57.78, 57.34, 10.65],
  ['basketweave', 805.8, 9.96, 28.16, 20.02, 4.877],
  ['reverse-shell-border', 341, 2.905, 22.1, 12.66, 6.036],
]
/** A change that no hand and no scale would notice. */
const BAND = 0.005

// each is asked for again and again
const sizedFlower = rememberingFitter(starterWorkshop.tips)
const measured = (id: string) =>
  sizedFlower(starterWorkshop.flowers.find((f) => f.id === id)!, { sizeMm: null, tips: {} })

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

describe('what is claimed of a flower', () => {
  it.each(starterWorkshop.flowers.map((f) => [f.name, f.id] as const))(
    'is what its solid measures: %s',
    (_, id) => {
      const { layers, measure } = measured(id)
      const hands = [11, 12, 13, 14].map((seed) => measuredSolid(flowerMesh(layers, seed, 0.6).positions))
      const mean = (of: 'mean' | 'most' | 'top') => hands.reduce((sum, h) => sum + h[of], 0) / hands.length
      expect(Math.abs(measure.diameterMm / mean('mean') - 1)).toBeLessThan(0.03)
      expect(Math.abs(measure.alongMm / mean('most') - 1)).toBeLessThan(0.03)
      // the top of a low flower is one petal's rim: a third of a millimetre is nothing that a ruler tells
      const off = Math.abs(measure.heightMm - mean('top'))
      expect(off).toBeLessThan(Math.max(0.35, 0.04 * mean('top')))
    },
  )

  it('names long things by two figures, a ball by one', () => {
    const raceme = measured('raceme').measure
    expect(raceme.alongMm).toBeGreaterThan(2 * raceme.acrossMm)
    const rose = measured('rose').measure
    expect(rose.alongMm / rose.acrossMm).toBeLessThan(1.1)
  })
})
