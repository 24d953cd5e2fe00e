// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { cutoutMm2 } from '#core/surfaces/outline'
import { outlineFromSvg } from './outlineFromSvg.ts'

const svg = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inside}</svg>`
const area = (inside: string) => outlineFromSvg(svg(inside)).reduce((sum, cut) => sum + cutoutMm2(cut), 0)

describe('an outline from a drawing', () => {
  it('comes from every shape that SVG draws closed lines with, in shares of its width', () => {
    expect(area('<rect x="5" y="5" width="40" height="20"/>')).toBeCloseTo(0.5, 3)
    expect(area('<circle cx="50" cy="50" r="30"/>')).toBeCloseTo(Math.PI / 4, 1)
    expect(area('<ellipse cx="0" cy="0" rx="40" ry="20"/>')).toBeCloseTo(Math.PI / 8, 1)
    expect(area('<polygon points="0,0 40,0 40,40"/>')).toBeCloseTo(0.5, 3)
    expect(area('<path d="M0 0h10v10h-10z"/>')).toBeCloseTo(1, 3)
  })
  it('follows the groups that it is turned and scaled in, and leaves out what is not part of the picture', () => {
    const one =
      '<defs><rect width="500" height="1"/></defs><g transform="scale(2 1)"><rect width="10" height="10"/></g>'
    // twice as wide as high
    expect(area(one)).toBeCloseTo(0.5, 3)
  })
  it('says what to do where there is none', () => {
    expect(() => outlineFromSvg('hello')).toThrow(/not an SVG drawing/)
    expect(() => outlineFromSvg(svg('<text>Hi</text>'))).toThrow(/Turn words and pictures in it into paths/)
  })
})
