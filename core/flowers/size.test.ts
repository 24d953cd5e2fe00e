import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { openingArea } from '../tips/index.ts'
import { rememberingFitter } from './resolve.ts'

const { tips } = starterWorkshop
const sizedFlower = rememberingFitter(tips)
const sized = (flower: (typeof catalogueFlowers)[number], sizeMm: number | null = null) =>
  sizedFlower(flower, { sizeMm, tips: {} })

describe('another size', () => {
  it.each(catalogueFlowers.map((f) => [f.name, f] as const))('of %s is as wide as it is wanted', (_, f) => {
    const own = sized(f).measure.diameterMm
    for (const times of [0.6, 0.8, 1.3]) {
      // an order asks for nothing smaller
      if (own * times < 3) continue
      expect(Math.abs(sized(f, own * times).measure.diameterMm / (own * times) - 1)).toBeLessThan(0.03)
    }
  })

  it('changes the weight by no more than the size and a new tip explain', () => {
    for (const id of ['rose', 'blossom', 'shell-border', 'swirl', 'leaf', 'drop-star-flower']) {
      const flower = catalogueFlowers.find((f) => f.id === id)!
      const own = sized(flower).measure.diameterMm
      let before = sized(flower, own * 0.6)
      for (let times = 0.74; times <= 2; times += 0.14) {
        const next = sized(flower, own * times)
        const grown = (times / (times - 0.14)) ** 3
        const tipSteps = next.layers.map(({ tip }, i) => {
          const was = openingArea(before.layers[i]!.tip.opening)
          return Math.max(openingArea(tip.opening) / was, was / openingArea(tip.opening))
        })
        // in a small flower of many petals each finds a little more room with every step
        const most = Math.max(...tipSteps) * grown * 1.12
        const change = next.measure.volumeMm3 / before.measure.volumeMm3
        expect([id, times.toFixed(2), Math.max(change, 1 / change) < most]).toEqual([
          id,
          times.toFixed(2),
          true,
        ])
        before = next
      }
    }
  })
})
