import { describe, expect, it } from 'vitest'
import { catalogueDyes } from '../catalogue/dyes.ts'
import { ciede2000 } from './ciede2000.ts'
import { genericCurve } from './dyeCurve.ts'
import { hexToLab, labToHex } from './lab.ts'
import { BANDS, bandNm, reflectanceToXyz, spectrumOf } from './spectrum.ts'
import { butter, curvesOf, royal } from './testing.ts'
import { tinter } from './tint.ts'

/** Chromaticities of light of one wavelength, from 410 to 690 nm (CIE 1931, 2°, as printed in tables of the spectral locus). */
const LOCUS: [x: number, y: number][] = [
  [0.1726, 0.0048],
  [0.1714, 0.0051],
  [0.1689, 0.0069],
  [0.1644, 0.0109],
  [0.1566, 0.0177],
  [0.144, 0.0297],
  [0.1241, 0.0578],
  [0.0913, 0.1327],
  [0.0454, 0.295],
  [0.0082, 0.5384],
  [0.0139, 0.7502],
  [0.0743, 0.8338],
  [0.1547, 0.8059],
  [0.2296, 0.7543],
  [0.3016, 0.6923],
  [0.3731, 0.6245],
  [0.4441, 0.5547],
  [0.5125, 0.4866],
  [0.5752, 0.4242],
  [0.627, 0.3725],
  [0.6658, 0.334],
  [0.6915, 0.3083],
  [0.7079, 0.292],
  [0.719, 0.2809],
  [0.726, 0.274],
  [0.73, 0.27],
  [0.732, 0.268],
  [0.7334, 0.2666],
  [0.7344, 0.2656],
]

describe('light by wavelength', () => {
  it('has the chromaticity that is printed for it, band by band', () => {
    LOCUS.forEach(([x, y], i) => {
      const [X, Y, Z] = reflectanceToXyz(spectrumOf((nm) => (nm === 410 + 10 * i ? 1 : 0)))
      const sum = X + Y + Z
      // rows are scaled by up to a thousandth, so that white is exactly white
      expect(Math.abs(X / sum - x), `${410 + 10 * i} nm`).toBeLessThan(0.003)
      expect(Math.abs(Y / sum - y), `${410 + 10 * i} nm`).toBeLessThan(0.003)
    })
  })

  it('is brightest in green, half as bright at 510 and 610 nm, as the eye is in daylight', () => {
    const bright = Array.from(
      { length: BANDS },
      (_, i) => reflectanceToXyz(spectrumOf((nm) => Number(nm === bandNm(i))))[1],
    )
    const at = (nm: number) => bright[(nm - 400) / 10]! / Math.max(...bright)
    expect([550, 560]).toContain(bandNm(bright.indexOf(Math.max(...bright))))
    for (const nm of [510, 610]) expect(Math.abs(at(nm) - 0.5)).toBeLessThan(0.08)
  })
})

/** Where each primary absorbs most, nm; where else it does and how much of the most; how much it does at the end it lets through. */
const PRIMARIES: [
  name: string,
  peak: number,
  shoulder: [nm: number, share: number],
  clear: [nm: number, most: number],
][] = [
  ['yel', 430, [480, 0.28], [540, 0.01]],
  ['ora', 480, [440, 0.68], [580, 0.01]],
  ['red', 500, [460, 0.68], [620, 0.01]],
  ['ros', 530, [490, 0.42], [600, 0.01]],
  ['crm', 520, [400, 0.22], [650, 0.01]],
  ['blu', 630, [590, 0.49], [470, 0.01]],
  ['ind', 610, [550, 0.45], [430, 0.02]],
  ['car', 400, [500, 0.35], [700, 0.05]],
]

it.each(PRIMARIES)(
  '%s absorbs most at %d nm, has its shoulder and is clear where it should be',
  (name, peak, [nm, share], [end, most]) => {
    const curve = genericCurve({ [name]: 1 })
    const top = Math.max(...curve)
    const at = (of: number) => curve[(of - 400) / 10]! / top
    expect(bandNm(curve.indexOf(top))).toBe(peak)
    expect(Math.abs(at(nm) - share)).toBeLessThan(0.015)
    expect(at(end)).toBeLessThanOrEqual(most)
  },
)

/**
 * Four and twenty drops in 100 g of butter icing, and twenty in royal: what a bakery has on its colour cards. A formula that was written
 * down must mix what it did.
 */
const CARDS: [id: string, four: string, twenty: string, inRoyal: string][] = [
  ['golden', '#fed46e', '#f9b114', '#fdb825'],
  ['orange', '#ffbe6c', '#fb931f', '#ff9a2c'],
  ['red', '#fd9e8b', '#ea654e', '#ef6d57'],
  ['pink', '#ffacbc', '#ff7e96', '#ff84a4'],
  ['burgundy', '#d69193', '#a4565a', '#ad5e63'],
  ['violet', '#ad9bbc', '#765e92', '#7f669d'],
  ['royal', '#6494c7', '#3355a3', '#395dae'],
  ['sky', '#42c5d5', '#009cc8', '#00a4d7'],
  ['teal', '#7dcfbf', '#00a896', '#00b0a1'],
  ['leaf', '#b3d586', '#7aad49', '#82b552'],
  ['brown', '#c4a281', '#8e6847', '#97704f'],
  ['black', '#84887c', '#4a4d44', '#51544b'],
]

describe('dyes on a card', () => {
  it.each(CARDS)('%s is what it was', (id, ...hexes) => {
    const [inButter, inRoyal] = [butter, royal].map((base) => tinter(base, curvesOf(id))) as [
      ReturnType<typeof tinter>,
      ReturnType<typeof tinter>,
    ]
    const now = [inButter.lab([4]), inButter.lab([20]), inRoyal.lab([20])]
    // as a card shows them: what a screen cannot show is brought to its edge
    now.forEach((lab, i) => {
      expect(ciede2000(hexToLab(labToHex(lab)), hexToLab(hexes[i]!))).toBeLessThan(0.7)
    })
  })

  it('more drops are darker, and no dye turns into another on the way', () => {
    for (const { id } of catalogueDyes) {
      const tint = tinter(butter, curvesOf(id))
      const seen = [2, 4, 8, 16, 32].map((n) => tint.lab([n]))
      for (const [i, lab] of seen.entries()) if (i > 0) expect(lab[0]).toBeLessThan(seen[i - 1]![0])
      const hue = ([, a, b]: readonly [number, number, number]) => Math.atan2(b, a)
      const turns = seen.map((lab) => hue(lab as [number, number, number]))
      // greys have no hue to keep, and blue on yellow icing comes from green
      if (['black', 'violet', 'royal', 'sky', 'teal'].includes(id)) continue
      expect(Math.max(...turns) - Math.min(...turns), id).toBeLessThan(0.75)
    }
  })
})
