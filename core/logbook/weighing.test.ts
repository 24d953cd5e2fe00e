import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { calibrate } from './weighing.ts'

const weighed = (...ratios: number[]) => ratios.map((r) => ({ grams: 10 * r, computedGrams: 10 }))

describe('what weighing teaches', () => {
  it('is nothing before anybody has weighed', () => {
    expect(calibrate([])).toEqual({ factor: 1, spread: 0.15, band: 0.3, weighings: 0 })
  })
  it('from one weighing, worked by hand', () => {
    // variance 0.15² = 0.0225; precision 1/0.09 + 1/0.0225 = 11.11 + 44.44; mean ln 1.3 · 44.44 / 55.56 = 0.2099
    const { factor, band } = calibrate(weighed(1.3))
    expect(factor).toBeCloseTo(Math.exp(0.2099), 3)
    expect(band).toBeCloseTo(0.1342, 3)
  })
  it('narrows with every weighing and goes to the mean', () => {
    const many = calibrate(weighed(...Array(30).fill(1.2)))
    expect(many.factor).toBeCloseTo(1.2, 2)
    expect(many.band).toBeLessThan(0.02)
    expect(many.spread).toBeLessThan(0.06)
  })
  it('never leaves the span of what was weighed and what was computed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.3, max: 3, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (ratios) => {
          const { factor, spread, band } = calibrate(weighed(...ratios))
          expect(factor).toBeGreaterThanOrEqual(Math.min(1, ...ratios) - 1e-9)
          expect(factor).toBeLessThanOrEqual(Math.max(1, ...ratios) + 1e-9)
          expect(band).toBeLessThan(0.3)
          expect(spread).toBeGreaterThan(0)
        },
      ),
    )
  })
})
