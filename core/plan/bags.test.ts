import { describe, expect, it } from 'vitest'
import { starterSettings, starterWorkshop } from '../catalogue/starter.ts'
import { bagVolumeMl, chooseBag, usableGrams } from './bagStock.ts'
import { makeBase } from './base.ts'

describe('bags', () => {
  const tip = (id: string) => starterWorkshop.tips.find((t) => t.id === id)!
  it('hold a cone: 300 mm long, 57.3 mm radius, 1.031 l', () => {
    expect(bagVolumeMl(300)).toBeCloseTo(1031, -1)
  })
  it('are never filled past what a hand controls', () => {
    const large = starterWorkshop.bags.find((b) => b.id === 'bag-40')!
    expect(usableGrams(large, 0.9, starterSettings)).toBe(starterSettings.handfulGrams)
  })
  it('with a coupler are never of paper', () => {
    expect(chooseBag(starterWorkshop, [tip('round-5')], 20, 0.9, true)?.id).toBe('bag-20')
  })
  it.each([
    ['cut-1', 10, 'cone'],
    ['round-5', 20, 'cone'],
    ['round-5', 120, 'bag-20'],
    ['round-5', 240, 'bag-30'],
    ['star-13-8', 30, 'bag-30'],
  ])('%s with %d g takes %s', (id, grams, bag) => {
    expect(chooseBag(starterWorkshop, [tip(id)], grams, 0.9)?.id).toBe(bag)
  })
})

describe('base icing', () => {
  const royal = starterWorkshop.icings.find((i) => i.id === 'royal')!
  it('is split into equal makes, each losing what stays in the mixer', () => {
    const base = makeBase(royal, 5000, { ...starterSettings, mixerGrams: 2000, mixerResidueGrams: 50 })
    expect(base.makes).toHaveLength(3)
    expect(base.grams).toBe(5150)
    expect(Math.max(...base.makes)).toBeLessThanOrEqual(2000)
  })
  it('weighs in more than it gives where some is lost', () => {
    const base = makeBase(royal, 970 - 25, starterSettings)
    // 970 g from 1000 g of ingredients at a yield of 97 %
    expect(base.ingredients.reduce((sum, i) => sum + i.grams, 0)).toBeCloseTo(1000, 6)
    expect(base.ingredients[0]!.grams).toBeCloseTo(830, 6)
  })
  it('of nothing is nothing', () => {
    expect(makeBase(royal, 0, starterSettings)).toMatchObject({ grams: 0, makes: [] })
  })
})
