import { describe, expect, it } from 'vitest'
import { seeded } from '../random.ts'
import { hexToLab, labCurve, labCurveSlope, labToHex, labToRgb, labToXyz, linearToXyz, WHITE } from './lab.ts'

describe('Lab under D65', () => {
  it.each([
    ['#ffffff', 100, 0, 0],
    ['#000000', 0, 0, 0],
    // linear 0.21586, so L = 116 * 0.59987 - 16
    ['#808080', 53.585, 0, 0],
    ['#ff0000', 53.24, 80.09, 67.2],
    ['#00ff00', 87.73, -86.18, 83.18],
    ['#0000ff', 32.3, 79.19, -107.86],
  ])('of %s is L %d, a %d, b %d', (hex, L, a, b) => {
    const lab = hexToLab(hex)
    for (const [i, wanted] of [L, a, b].entries()) expect(Math.abs(lab[i]! - wanted)).toBeLessThan(0.03)
  })

  it('gives every colour back to the last digit', () => {
    const random = seeded(3)
    for (let i = 0; i < 500; i++) {
      const hex = `#${Math.floor(random() * 0x1000000)
        .toString(16)
        .padStart(6, '0')}`
      expect(labToHex(hexToLab(hex))).toBe(hex)
    }
  })

  it('puts the white of the screen at the white of the light', () => {
    linearToXyz(1, 1, 1).forEach((value, i) => {
      expect(value).toBeCloseTo(WHITE[i]!, 4)
    })
    labToXyz([100, 0, 0]).forEach((value, i) => {
      expect(value).toBeCloseTo(WHITE[i]!, 12)
    })
  })

  it('says when a screen cannot show a colour', () => {
    expect(labToRgb([90, -120, 0]).inGamut).toBe(false)
    expect(labToRgb([60, 20, 10]).inGamut).toBe(true)
  })

  it.each([0.002, 0.05, 0.4, 1])('has a curve whose slope at %d is the one measured on it', (t) => {
    const step = 1e-6
    const measured = (labCurve(t + step) - labCurve(t - step)) / (2 * step)
    expect(labCurveSlope(t) / measured).toBeCloseTo(1, 5)
  })
})
