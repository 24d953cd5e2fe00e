import { describe, expect, it } from 'vitest'
import { readNumber } from './numbers.ts'
import { seeded } from './random.ts'
import {
  counted,
  formatLength,
  formatLiquid,
  formatMinuteParts,
  formatMinutes,
  formatParts,
  formatWeight,
  GRAMS_PER_OUNCE,
  onScale,
} from './units.ts'

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

describe('parts of a whole', () => {
  const figure = (shown: string) => Number(shown.replace(/[^\d.]/g, ''))

  it('sum as they are shown, by the part that lost most', () => {
    // a whole below five ounces is told in hundredths, and all of its parts with it
    const thirds = [29.49, 29.49, 28.92]
    expect(formatParts(thirds, 'ounces')).toEqual({
      parts: ['1.04 oz', '1.04 oz', '1.02 oz'],
      total: '3.1 oz',
    })
    expect(formatParts([33.4, 33.4, 33.4], 'grams')).toEqual({
      parts: ['34 g', '33 g', '33 g'],
      total: '100 g',
    })
    expect(formatParts([], 'grams').total).toBe('0 g')
  })

  it('sum in every order of size, and none is further off than one step', () => {
    const random = seeded(3)
    for (const units of ['grams', 'ounces'] as const)
      for (let round = 0; round < 200; round++) {
        const grams = Array.from({ length: 1 + Math.floor(random() * 9) }, () => 10 ** (4 * random() - 1))
        const { parts, total } = formatParts(grams, units)
        expect(parts.map(figure).reduce((a, b) => a + b)).toBeCloseTo(figure(total), 6)
        const unit = units === 'ounces' ? GRAMS_PER_OUNCE : 1
        const step = units === 'ounces' ? 0.1 : 1
        parts.forEach((p, i) => {
          expect(Math.abs(figure(p) - grams[i]! / unit)).toBeLessThanOrEqual(step + 1e-9)
        })
      }
  })
})

describe('lengths', () => {
  it('are told as a ruler has them', () => {
    expect(formatLength(65, 'millimetres')).toBe('65 mm')
    expect(formatLength(6.3, 'millimetres')).toBe('6.5 mm')
    // 65 / 25.4 = 2.559: 2 9/16 is 2.5625
    expect(formatLength(65, 'inches')).toBe('2 9/16 in')
    expect(formatLength(203.2, 'inches')).toBe('8 in')
    expect(formatLength(12.7, 'inches')).toBe('1/2 in')
    // eighths from six inches on: 220 mm are 8.66
    expect(formatLength(220, 'inches')).toBe('8 5/8 in')
  })

  it('are read as a ruler is, fractions and all', () => {
    expect(readNumber('2 1/2', 'in')).toEqual({ kind: 'number', value: 2.5 })
    expect(readNumber('3/8 in', 'in')).toEqual({ kind: 'number', value: 0.375 })
    expect(readNumber('2-1/4', 'in')).toEqual({ kind: 'number', value: 2.25 })
    expect(readNumber('1/0', 'in').kind).toBe('unclear')
    expect(readNumber('1/2 cup', 'in').kind).toBe('unclear')
  })
})

describe('minutes that are parts of a whole', () => {
  it('sum to the whole as it is told', () => {
    const minutes = [187.3, 92.2, 61.4, 48.8, 0.4]
    const shown = formatMinuteParts(minutes)
    const read = (t: string) => {
      const [, h = '0', m] = /^(?:(\d+) h )?(\d+)/.exec(t)!
      return 60 * Number(h) + Number(m)
    }
    expect(shown.map(read).reduce((a, b) => a + b)).toBe(read(formatMinutes(390.1)))
    expect(formatMinuteParts([2.2, 3.3])).toEqual(['2 min', '4 min'])
  })
})
