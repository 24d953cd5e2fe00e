import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readNumber, writeNumber } from './numbers.ts'

const value = (text: string, unit = '') => {
  const read = readNumber(text, unit)
  return read.kind === 'number' ? read.value : read.kind
}

describe('numbers as people type them', () => {
  it('take a decimal comma as well as a point', () => {
    expect(value('2,5')).toBe(2.5)
    expect(value('2.5')).toBe(2.5)
    expect(value(',5')).toBe(0.5)
    expect(value('2,')).toBe(2)
    expect(value('−3')).toBe(-3)
  })
  it('take thousands with spaces, apostrophes and both marks', () => {
    expect(value('1 200')).toBe(1200)
    expect(value('1’200,5')).toBe(1200.5)
    expect(value('1.200,5')).toBe(1200.5)
    expect(value('1,200.5')).toBe(1200.5)
    expect(value('1.200.000')).toBe(1200000)
  })
  it('ask where a comma could be either, and never guess by a thousand', () => {
    const read = readNumber('1,200')
    expect(read).toMatchObject({ kind: 'unclear', why: 'Is this 1.2 or 1200? Type it without the comma.' })
    expect(value('0,125')).toBe(0.125)
  })
  it('leave the unit out, and refuse what is no number', () => {
    expect(value('65 mm', 'mm')).toBe(65)
    expect(value('1.02 g/ml', 'g/ml')).toBe(1.02)
    expect(value('')).toBe('empty')
    expect(value('  ')).toBe('empty')
    for (const text of ['abc', '1.2.3', '1,2,3', '--1', '1e5', '.', '-', '12 kg'])
      expect(value(text, 'g')).toBe('unclear')
  })
  it('come back as they were written, whatever the number', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9999999, max: 9999999 }),
        fc.integer({ min: 0, max: 3 }),
        (n, decimals) => {
          const number = n / 10 ** decimals
          expect(value(writeNumber(number, decimals))).toBeCloseTo(number, 9)
        },
      ),
    )
  })
})
