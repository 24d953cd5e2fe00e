import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { flowerSchema } from '../model/flower.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { roleGrams } from './measure.ts'
import { planView } from './planView.ts'
import { fitFlower, UnknownTipError } from './resolve.ts'

const { tips } = starterWorkshop
const own = { sizeMm: null, tips: {} }
const find = (id: string) => catalogueFlowers.find((f) => f.id === id)!

describe.each(catalogueFlowers.map((f) => [f.name, f] as const))('%s', (_, flower) => {
  const fitted = fitFlower(flower, own, tips)

  it('is a valid recipe piped with tips that can do its strokes', () => {
    expect(flowerSchema.parse(flower)).toEqual(flower)
    expect(new Set(flower.layers.map((l) => l.id)).size).toBe(flower.layers.length)
    for (const { layer, tip } of fitted.layers)
      expect(strokeDefinition(layer.stroke.kind).families).toContain(tip.opening.family)
  })

  it('has a size, a weight and a time that are numbers', () => {
    const { volumeMm3, seconds, diameterMm, heightMm } = fitted.measure
    for (const figure of [volumeMm3, seconds, diameterMm, heightMm]) expect(figure).toBeGreaterThan(0.3)
    expect(diameterMm).toBeLessThan(flower.nailMm ?? 60)
  })

  it('divides its icing among its roles without loss', () => {
    const grams = [...roleGrams(flower, fitted.measure, 0.9).values()]
    const all = (fitted.measure.volumeMm3 / 1000) * 0.9
    expect(grams.reduce((a, b) => a + b, 0)).toBeCloseTo(all, 9)
  })

  it('can be drawn', () => {
    const shapes = planView(fitted.layers)
    expect(shapes.length).toBeGreaterThan(0)
    expect(JSON.stringify(shapes)).not.toMatch(/null|NaN/)
  })
})

describe('figures of known flowers', () => {
  // diameter and height in mm, volume in ml, as the same recipes were measured apart from this program
  it.each([
    ['rose', 38, 24, 10.7],
    ['blossom', 31, 7, 1.5],
    ['chrysanthemum', 44, 18, 8.8],
    ['ruffle-bloom', 44, 22, 11.7],
    ['narcissus', 40, 11, 1.7],
  ])('%s is about %d mm wide and %d mm high, of %d ml', (id, wide, _high, ml) => {
    const { measure } = fitFlower(find(id), own, tips)
    expect(Math.abs(measure.diameterMm - wide) / wide).toBeLessThan(0.08)
    expect(Math.abs(measure.volumeMm3 / 1000 - ml) / ml).toBeLessThan(0.1)
  })
})

describe('fitting to a size', () => {
  it('reaches the size and takes the next tip', () => {
    const { measure, layers } = fitFlower(find('rose'), { sizeMm: 50, tips: {} }, tips)
    expect(Math.abs(measure.diameterMm - 50)).toBeLessThan(3)
    expect(layers.find((l) => l.layer.id === 'row-of-5')!.tip.id).toBe('petal-17')
    // a mound is made by the hand, whatever the opening
    expect(layers.find((l) => l.layer.id === 'cone')!.tip.id).toBe('round-10')
  })

  it('prefers a tip that is owned', () => {
    const drawer = tips.map((t) => (t.id === 'petal-17' ? { ...t, owned: 0 } : t))
    const { layers } = fitFlower(find('rose'), { sizeMm: 50, tips: {} }, drawer)
    expect(layers.find((l) => l.layer.id === 'row-of-5')!.tip.id).not.toBe('petal-17')
  })

  it('keeps a tip that was chosen', () => {
    const { layers } = fitFlower(find('rose'), { sizeMm: 60, tips: { 'row-of-5': 'petal-8' } }, tips)
    expect(layers.find((l) => l.layer.id === 'row-of-5')!.tip.id).toBe('petal-8')
  })

  it('grows in volume with the cube, give or take the tip', () => {
    const small = fitFlower(find('blossom'), own, tips).measure.volumeMm3
    const large = fitFlower(find('blossom'), { sizeMm: 62, tips: {} }, tips).measure.volumeMm3
    expect(large / small).toBeGreaterThan(3)
    expect(large / small).toBeLessThan(9)
  })

  it('says which tip it does not know', () => {
    const broken = { ...find('rose'), layers: [{ ...find('rose').layers[0]!, tipId: 'gone' }] }
    expect(() => fitFlower(broken, own, tips)).toThrow(UnknownTipError)
  })
})
