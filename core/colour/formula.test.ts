import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { mixBowl } from './bowl.ts'
import { ciede2000 } from './ciede2000.ts'
import { doseWords } from './dose.ts'
import { formula } from './formula.ts'
import { hexToLab, labToHex } from './lab.ts'
import { likely, strengthSpread } from './likely.ts'
import { baseOf, dyeFit } from './palette.ts'
import { butter, curvesOf, eight, nearestByHand, quantile, reachable, royal } from './testing.ts'
import { tinter } from './tint.ts'

const curves = curvesOf(...eight)

describe('formulas for 500 colours that can be had', () => {
  const found = [butter, royal].flatMap((base) =>
    reachable(250, base).map((target) => formula(base, target, curves, 100)),
  )
  it('come within 0.05 before rounding', () => {
    expect(Math.max(...found.map((f) => f.nearest.difference))).toBeLessThan(0.05)
  })
  it('come within 1.0 in 95 of 100 bowls of 100 g, in whole drops and specks', () => {
    expect(
      quantile(
        found.map((f) => f.chosen.difference),
        0.95,
      ),
    ).toBeLessThan(1)
    for (const { chosen } of found) {
      expect(chosen.dyes.length).toBeLessThanOrEqual(3)
      for (const e of chosen.eighths) expect(Number.isInteger(e) && e > 0).toBe(true)
    }
  })
})

describe('a bowl of any size', () => {
  it.each([10, 20, 40, 100, 400])(
    'of %d g comes within 1 of the nearest that hands can dose, and no further off than no dye',
    (grams) => {
      const pale = ['#f5efdd', '#f2e6c8', '#f7e4e2', '#e9eadf', '#f0e2ee', '#efe9d2', '#e6edf0', '#f6ead9']
      // a large bowl has a wider net of doses to try
      const targets = [...pale.map(hexToLab), ...reachable(grams > 40 ? 4 : 12, butter, grams)]
      const nearest = nearestByHand(butter, curves, grams)
      const worse = targets.map((target) => {
        const { chosen } = formula(butter, target, curves, grams)
        const plain = ciede2000(tinter(butter, []).lab([]), target)
        expect(chosen.difference).toBeLessThanOrEqual(plain + 1e-9)
        return chosen.difference - nearest(target)
      })
      expect(quantile(worse, 0.95)).toBeLessThan(1)
    },
    60_000,
  )
})

describe('a formula', () => {
  it('is no worse than the best of a fine grid over every pair of dyes', () => {
    const grid = Array.from({ length: 26 }, (_, i) => 0.2 * 1.26 ** i)
    for (const target of reachable(6, butter, 21)) {
      let best = Number.POSITIVE_INFINITY
      for (let a = 0; a < 8; a++)
        for (let b = a + 1; b < 8; b++) {
          const tint = tinter(butter, [curves[a]!, curves[b]!])
          for (const x of grid)
            for (const y of grid) best = Math.min(best, ciede2000(tint.lab([x, y]), target))
        }
      expect(formula(butter, target, curves, 200).nearest.difference).toBeLessThan(best + 0.3)
    }
  })
  it('is the same for any size of bowl', () => {
    const target = hexToLab('#8f86b2')
    const small = formula(butter, target, curves, 150).chosen
    const large = formula(butter, target, curves, 4000).chosen
    expect(large.dyes).toEqual(small.dyes)
    large.drops.forEach((d, k) => {
      expect(Math.abs(d / small.drops[k]! - 1)).toBeLessThan(0.25)
    })
  })
  it('of plain icing is no dye at all', () => {
    expect(formula(butter, hexToLab('#f6f1d6'), curves, 200).chosen.dyes).toEqual([])
  })
  it.each([
    [1, '1 speck'],
    [3, '3 specks'],
    [4, 'half a drop'],
    [8, '1 drop'],
    [20, '2½ drops'],
    [11, '1 drop and 3 specks'],
    [48, '6 drops'],
  ])('%d eighths are said as "%s"', (eighths, words) => {
    expect(doseWords(eighths)).toBe(words)
  })
})

describe('a bowl', () => {
  const bowl = (targetHex: string, more = {}) =>
    mixBowl(
      { colourId: 'c', targetHex, icingKindId: 'butter-sugar', grams: 150, dyeIds: null, ...more },
      starterWorkshop,
    )
  it('is mixed from owned dyes, most first, and stopped short of where it will deepen to', () => {
    const { chosen, reach } = bowl('#8f86b2')
    expect(reach).toBeNull()
    expect(chosen.difference).toBeLessThan(1.5)
    const eighths = chosen.doses.map((d) => d.eighths)
    expect(eighths).toEqual([...eighths].sort((a, b) => b - a))
    expect(hexToLab(chosen.freshHex)[0]).toBeGreaterThan(hexToLab(chosen.hex)[0])
  })
  it('keeps to the dyes a person has settled on', () => {
    const ids = bowl('#7c8a55', { dyeIds: ['lemon', 'royal'] }).chosen.doses.map((d) => d.dyeId)
    expect(ids.every((id) => ['lemon', 'royal'].includes(id))).toBe(true)
  })
  it.each([
    ['#d9ccec', 'butter-sugar', 'base-too-yellow', 'royal'],
    ['#101014', 'royal', 'too-dark', 'cocoa-butter'],
    ['#ff2f92', 'butter-sugar', 'too-vivid', null],
    ['#ffffff', 'cocoa-butter', 'base-too-yellow', 'royal'],
  ])('says why %s cannot be had in %s: %s', (hex, icingKindId, reason, nearer) => {
    const { reach } = bowl(hex, { icingKindId })
    expect(reach?.reason).toBe(reason)
    if (nearer) expect(reach?.icings.map((i) => i.id)).toContain(nearer)
  })
  it('names a dye that would help, and says when there is none at all', () => {
    const bare = {
      ...starterWorkshop,
      dyes: starterWorkshop.dyes.map((d) => ({ ...d, owned: d.id === 'lemon' })),
    }
    const pink = {
      colourId: 'c',
      targetHex: '#e8a0b4',
      icingKindId: 'butter-sugar',
      grams: 100,
      dyeIds: null,
    }
    expect(['pink', 'red', 'burgundy', 'violet', 'orange']).toContain(mixBowl(pink, bare).reach?.dye?.id)
    const none = { ...bare, dyes: bare.dyes.map((d) => ({ ...d, owned: false })) }
    expect(mixBowl(pink, none).reach?.reason).toBe('no-dye')
  })
  it('offers a pre-tint where specks are too coarse, which comes out as it is written', () => {
    const { chosen, pretint } = bowl('#f2ead2', { grams: 20 })
    expect(pretint).not.toBeNull()
    const { tintGrams, takeGrams, plainGrams, mix } = pretint!
    expect([takeGrams + plainGrams, takeGrams % starterWorkshop.settings.scaleStepGrams]).toEqual([20, 0])
    expect(mix.difference).toBeLessThan(chosen.difference - 0.5)
    // by hand: drops in the tint, thinned as it is stirred in, in the same icing
    const icing = starterWorkshop.icings.find((i) => i.id === 'butter-sugar')!
    const dyes = mix.doses.map((d) => starterWorkshop.dyes.find((one) => one.id === d.dyeId)!)
    const stood = dyes.map((d) => dyeFit(d, starterWorkshop.icings).curve.map((k) => k * (1 + icing.deepens)))
    const drops = mix.doses.map((d) => (d.eighths / 8) * (100 / tintGrams) * (takeGrams / 20))
    expect(labToHex(tinter(baseOf(icing), stood).lab(drops))).toBe(mix.hex)
  })
  it('offers none where specks do', () => {
    expect(bowl('#8f86b2', { grams: 400 }).pretint).toBeNull()
  })
  it('warns of heavy doses', () => {
    expect(bowl('#3a3947').warnings.join(' ')).toMatch(/tasted.*day before/)
  })
})

describe('what a hand will get', () => {
  it('is a wider smear the less is known of the bottles', () => {
    const target = hexToLab('#8f86b2')
    const mix = formula(butter, target, curves, 150).chosen
    const unlucky = (sd: number) =>
      likely(
        butter,
        curves,
        mix,
        target,
        mix.dyes.map(() => sd),
      ).unlucky
    const { generic, oneDab, twoDabs, learnt } = strengthSpread
    const bands = [generic, oneDab, twoDabs, learnt].map(unlucky)
    expect(bands).toEqual([...bands].sort((a, b) => b - a))
    expect(bands[0]!).toBeGreaterThan(2 * bands[3]!)
  })
})
