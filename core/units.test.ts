import { describe, expect, it } from 'vitest'
import { counted, formatLiquid, formatMinutes, formatWeight, onScale } from './units.ts'

describe('words for figures', () => {
  it.each([
    [1840.4, 'grams', '1,840 g'],
    [9.94, 'grams', '9.9 g'],
    [0, 'grams', '0 g'],
    [0.02, 'grams', 'under 0.1 g'],
    [28.349523125, 'ounces', '1 oz'],
    [500, 'ounces', '17.6 oz'],
    [5, 'ounces', '0.18 oz'],
  ] as const)('%d as %s is %s', (grams, units, words) => expect(formatWeight(grams, units)).toBe(words))

  it.each([
    [3.2, '4 min'],
    [47, '45 min'],
    [59, '1 h 00'],
    [310, '5 h 10'],
  ])('%d minutes are %s', (minutes, words) => expect(formatMinutes(minutes)).toBe(words))

  it.each([
    [0.4, '8 drops'],
    [1.2, '¼ tsp'],
    [6, '1¼ tsp'],
    [18, '3½ tsp'],
    [42, '40 g'],
  ])('%d g of liquid are measured as %s', (grams, words) =>
    expect(formatLiquid(grams, 'grams', 5)).toBe(words),
  )

  it('weighs no less than is needed, in steps of the scale', () => {
    expect([onScale(124.2, 5), onScale(125, 5), onScale(12.3, 0.1)].map((g) => g.toFixed(1))).toEqual([
      '125.0',
      '125.0',
      '12.3',
    ])
  })

  it('counts one and many', () => {
    expect([counted(1, 'bag'), counted(1200, 'piece')]).toEqual(['1 bag', '1,200 pieces'])
  })
})
