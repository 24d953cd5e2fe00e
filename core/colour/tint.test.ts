import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ciede2000 } from './ciede2000.ts'
import { hexToLab, labToHex, WHITE } from './lab.ts'
import { BANDS, reflectanceToXyz } from './spectrum.ts'
import { solveSubset, task } from './subsetSolve.ts'
import { butter, curvesOf, eight, royal } from './testing.ts'
import { baseLab, tintBase, tinter } from './tint.ts'
import { worn } from './worn.ts'

describe('the ground', () => {
  it('weighs bands so that a perfect white is the white of sRGB', () => {
    const xyz = reflectanceToXyz(new Float64Array(BANDS).fill(1))
    xyz.forEach((v, k) => {
      expect(v).toBeCloseTo(WHITE[k]!, 12)
    })
  })
  it.each(['#f6f1d6', '#f9f9f7', '#f7f4e6', '#7a5642', '#e8d9c0'])('looks like %s', (hex) => {
    expect(ciede2000(baseLab(tintBase(hex, 1)), hexToLab(hex))).toBeLessThan(0.1)
  })
})

describe('tinting', () => {
  const drops = fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 8, maxLength: 8 })
  const curves = curvesOf(...eight)
  const tint = tinter(butter, curves)

  it('with no dye is the base', () => {
    expect(ciede2000(tint.lab(new Array(8).fill(0)), baseLab(butter))).toBeLessThan(1e-6)
  })
  it('does not care in which order dyes are added', () => {
    const backwards = tinter(butter, [...curves].reverse())
    fc.assert(
      fc.property(drops, (d) => ciede2000(tint.lab(d), backwards.lab([...d].reverse())) < 1e-6),
      { numRuns: 60 },
    )
  })
  it('is never lighter with more dye', () => {
    fc.assert(
      fc.property(drops, fc.nat(7), fc.double({ min: 0.05, max: 5, noNaN: true }), (d, j, more) => {
        const next = d.map((x, k) => (k === j ? x + more : x))
        return tint.lab(next)[0] <= tint.lab(d)[0] + 1e-9
      }),
      { numRuns: 120 },
    )
  })
  it('gives slopes that agree with small steps', () => {
    const d = [2, 1, 0.5, 3, 1, 2, 0.3, 0.1]
    const slopes = new Float64Array(24)
    const lab = tint.labWithSlopes(d, slopes)
    d.forEach((_, j) => {
      const moved = tint.lab(d.map((x, k) => (k === j ? x + 1e-5 : x)))
      for (let k = 0; k < 3; k++) expect(slopes[j * 3 + k]!).toBeCloseTo((moved[k]! - lab[k]!) / 1e-5, 2)
    })
  })

  // as benches know it: much yellow, very little blue
  it.each([
    ['royal', '#6f9a3c'],
    ['royal', '#79a84a'],
    ['royal', '#8fb04a'],
    ['sky', '#6f9a3c'],
    ['sky', '#79a84a'],
  ])('leaf green of lemon and %s, %s, is six parts yellow and more to one of blue', (blue, hex) => {
    for (const base of [butter, royal]) {
      const mix = solveSubset(task(base, hexToLab(hex), curvesOf('lemon', blue)), [0, 1])
      expect(mix.difference).toBeLessThan(4.5)
      expect(mix.drops[0]! / mix.drops[1]!).toBeGreaterThan(6)
    }
  })
})

describe('colours as they are seen', () => {
  it('survive the way to Lab and back', () => {
    for (const hex of ['#8f86b2', '#ffffff', '#000000', '#b98a3a', '#3a3947'])
      expect(labToHex(hexToLab(hex))).toBe(hex)
  })
  it('are deeper on overlapping petals, and white stays white', () => {
    expect(worn('#ffffff')).toBe('#ffffff')
    const [flat, petal] = [hexToLab('#d9a0b4'), hexToLab(worn('#d9a0b4'))]
    expect(Math.hypot(petal[1], petal[2])).toBeGreaterThan(Math.hypot(flat[1], flat[2]) + 2)
  })
})
