import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Flower } from '../model/flower.ts'
import { strokeBody } from '../solids/body.ts'
import { aimedExtent, stretchedExtent } from './aimed.ts'
import { type ResolvedLayer, scaleResolved } from './layers.ts'
import { layerSpots } from './spots.ts'

const resolved = (flower: Flower): ResolvedLayer[] =>
  flower.layers.map((layer) => ({
    layer,
    tip: starterWorkshop.tips.find((t) => t.id === layer.tipId)!,
    floret: flower.florets.find((f) => f.id === layer.floretId),
  }))

/** Mean caliper of every stroke's own points, each stroke laid where it belongs, over ever so many directions. */
function caliperOfPoints(layers: readonly ResolvedLayer[]): number {
  const points = layers.flatMap((resolved) => {
    const { layer, tip } = resolved
    const { stroke, ringMm, heightMm } = layer
    return layerSpots(resolved, layers).map((spot) =>
      strokeBody(stroke, { ringMm, heightMm, ...spot }, tip.opening),
    )
  })
  const directions = 180
  let sum = 0
  for (let d = 0; d < directions; d++) {
    const [c, s] = [Math.cos((Math.PI * d) / directions), Math.sin((Math.PI * d) / directions)]
    let [low, high] = [0, 0]
    for (const of of points)
      for (let o = 0; o < of.length; o += 3) {
        const along = c * of[o]! + s * of[o + 1]!
        low = Math.min(low, along)
        high = Math.max(high, along)
      }
    sum += high - low
  }
  return sum / directions
}

describe('how wide a flower is aimed', () => {
  // its strokes are traced once and turned; here each is traced where it stands
  it.each(catalogueFlowers.map((f) => [f.name, f] as const))('%s: as its points are', (_, flower) => {
    const layers = resolved(flower)
    expect(aimedExtent(layers).diameterMm / caliperOfPoints(layers)).toBeCloseTo(1, 2)
  })
})

describe('a flower with its lengths stretched', () => {
  it.each(catalogueFlowers.map((f) => [f.name, f] as const))(
    '%s: is read off as it is worked out',
    (_, flower) => {
      const layers = resolved(flower)
      const readOff = stretchedExtent(layers)
      for (const factor of [0.61, 0.873, 1, 1.037, 1.37, 1.99]) {
        const exact = aimedExtent(layers.map((l) => scaleResolved(l, factor)))
        expect(Math.abs(readOff(factor).diameterMm / exact.diameterMm - 1), `${factor}`).toBeLessThan(0.005)
        expect(Math.abs(readOff(factor).heightMm / exact.heightMm - 1), `${factor}`).toBeLessThan(0.02)
      }
    },
  )
})
