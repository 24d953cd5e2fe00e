import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { flowerMesh } from '../mesh/flowerMesh.ts'
import { fitFlower } from './resolve.ts'
import { borderRun } from './run.ts'
import { effectWords, standInEffect } from './standInEffect.ts'

const { tips } = starterWorkshop
const own = { sizeMm: null, tips: {} }
const flower = (id: string) => catalogueFlowers.find((f) => f.id === id)!
const tip = (id: string) => tips.find((t) => t.id === id)!

describe('a stand-in', () => {
  it('says what changes: a smaller slot takes less icing and makes a smaller rose', () => {
    const effect = standInEffect(flower('rose'), own, tips, 'petal-13', tip('petal-10'))
    expect(effect.grams).toBeLessThan(0.85)
    expect(effect.diameter).toBeLessThan(0.98)
    expect(effectWords(effect, tip('petal-13'), tip('petal-10'))).toMatch(/^\d+ % less icing, \d+ % narrower/)
  })
  it('that is bent the other way is said to look otherwise', () => {
    const straight = standInEffect(flower('ranunculus'), own, tips, 'curve-11', tip('petal-10'))
    expect(effectWords(straight, tip('curve-11'), tip('petal-10'))).toContain('petals come out flatter')
    const curved = standInEffect(flower('rose'), own, tips, 'petal-13', tip('curve-15'))
    expect(effectWords(curved, tip('petal-13'), tip('curve-15'))).toContain('petals cup more')
  })
  it('for a tip that the flower does not use changes nothing', () => {
    const none = standInEffect(flower('rose'), own, tips, 'star-6-5', tip('petal-10'))
    expect(none).toEqual({ grams: 1, diameter: 1, height: 1 })
    expect(effectWords(none, tip('star-6-5'), tip('star-5-8'))).toBe('no change in amount or size')
  })
})

describe('a border is shown as a run', () => {
  const borders = catalogueFlowers.filter((f) => f.form === 'border')
  it.each(borders.map((f) => [f.name, f] as const))('%s: units a pitch apart, along x', (_, border) => {
    const { layers, factor } = fitFlower(border, own, tips)
    const run = borderRun(border, layers, factor)!
    expect(run.pitchMm).toBeCloseTo(border.pitchMm!, 9)
    const mesh = flowerMesh(layers, 1, 0.35, run)
    const single = flowerMesh(layers, 1, 0.35)
    expect(mesh.strokes).toHaveLength(single.strokes.length * run.units)
    const width = (positions: Float32Array, axis: number) => {
      const values = [...positions].filter((_, i) => i % 3 === axis)
      return Math.max(...values) - Math.min(...values)
    }
    // as long as its units side by side, give or take how far one reaches beyond its pitch
    const length = run.units * run.pitchMm
    expect(width(mesh.positions, 0)).toBeGreaterThan(length * 0.6)
    expect(width(mesh.positions, 1)).toBeLessThan(Math.max(length, 20))
  })
  it('and nothing else is', () => {
    const { layers, factor } = fitFlower(flower('rose'), own, tips)
    expect(borderRun(flower('rose'), layers, factor)).toBeNull()
  })
})
