import { describe, expect, it } from 'vitest'
import { catalogueDyes } from '../catalogue/dyes.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import { seeded } from '../random.ts'
import { fitDye, trustOf } from './calibrate.ts'
import { bestOrder, type ChainTask, carryOver, chainFaults, prepare, simulate } from './carryOver.ts'
import { ciede2000 } from './ciede2000.ts'
import { corrections, keepingSize, learn } from './correct.ts'
import { genericCurve, shapedCurve } from './dyeCurve.ts'
import { companions, muted, turned } from './harmony.ts'
import { hexToLab, labToHex } from './lab.ts'
import { learnFrom } from './learning.ts'
import { corrected, dominantColours } from './photo.ts'
import { butter, curvesOf, eight, normal, quantile } from './testing.ts'
import { tinter } from './tint.ts'
import { visions } from './vision.ts'

const curves = curvesOf(...eight)

describe('bottles from dabs', () => {
  it('fitted to two noisy dabs come within 2 at the median and 4 in nine of ten', () => {
    const random = seeded(3)
    const errors: number[] = []
    for (let k = 0; k < 80; k++) {
      const generic = genericCurve(catalogueDyes[Math.floor(random() * catalogueDyes.length)]!.weights)
      const truth = shapedCurve(generic, [
        0.4 * normal(random),
        ...Array.from({ length: 7 }, () => 0.3 * normal(random)),
      ])
      const dabs = [1.5, 20].map((drops) => {
        const [L, a, b] = tinter(butter, [truth]).lab([drops * (1 + 0.05 * normal(random))])
        const lab = [L + normal(random), a + normal(random), b + normal(random)] as const
        return { base: butter, drops, lab, trust: 1 }
      })
      const { curve } = fitDye(generic, dabs)
      for (const drops of [0.25, 1, 4, 12, 30, 50])
        errors.push(ciede2000(tinter(butter, [truth]).lab([drops]), tinter(butter, [curve]).lab([drops])))
    }
    expect(quantile(errors, 0.5)).toBeLessThan(2)
    expect(quantile(errors, 0.9)).toBeLessThan(4)
  })
  it('trust a clipped colour less', () => {
    expect(trustOf('#ff8090')).toBeLessThan(trustOf('#e08090'))
  })
})

describe('mending a bowl', () => {
  const drops = [0, 0, 0, 3, 2, 0, 0, 0]
  const tint = tinter(butter, curves)
  const bowl = (made: readonly number[], more = {}) => ({
    base: butter,
    curves,
    drops: made,
    observed: tint.lab(made),
    target: tint.lab(drops),
    grams: 200,
    spreads: curves.map(() => 0.25),
    ...more,
  })
  // too much dye cannot be taken out: the batch grows by as much as was overdone
  it.each([1.25, 1.5, 1.9])('overdone %d times takes that many times the icing', (ratio) => {
    const best = corrections(bowl(drops.map((d) => d * ratio))).find((w) => w.stockGrams === 0)!
    expect(best.add).toEqual([])
    expect(Math.abs(best.addBaseGrams / (200 * (ratio - 1)) - 1)).toBeLessThan(0.01)
    const kept = keepingSize(best, 200)
    expect(kept.takeOutGrams + 200 / ratio).toBeCloseTo(200, 1)
    expect(kept.addBaseGrams).toBeCloseTo(kept.takeOutGrams, 6)
  })
  it.each([3, 6])('overdone %d times, it is begun anew with the old bowl as its stock', (ratio) => {
    const ways = corrections(bowl(drops.map((d) => d * ratio)))
    expect(ways[0]!.gramsAfter).toBe(200)
    // what was overdone r times is thinned r times: so much of the old bowl, the rest plain
    expect(ways[0]!.stockGrams).toBeCloseTo(200 / ratio, 0)
    expect(ways[0]!.addBaseGrams).toBeCloseTo(200 - 200 / ratio, 0)
    for (const way of ways) expect(way.gramsAfter).toBeLessThanOrEqual(400.001)
  })
  it.each(['black', 'royal', 'red'])('a stray speck of %s nobody noted is mended in a pale colour', (id) => {
    const dye = eight.indexOf(id)
    const pale = [0.4, 0, 0, 0.5, 0, 0, 0, 0]
    const seen = tint.lab(pale.map((d, j) => d + (j === dye ? 0.25 : 0)))
    const mixed = bowl(pale, { observed: seen, target: tint.lab(pale) })
    const way = corrections(mixed)[0]!
    // what really comes out: the old bowl as it is, thinned, and the new drops
    const share = way.stockGrams > 0 ? way.stockGrams / way.gramsAfter : 200 / way.gramsAfter
    const really = pale.map((d, j) => (d + (j === dye ? 0.25 : 0)) * share)
    for (const { dye: j, drops: more } of way.add) really[j]! += (more * 100) / way.gramsAfter
    const comesOut = ciede2000(tint.lab(really), mixed.target)
    expect(Math.abs(comesOut - way.difference)).toBeLessThan(0.5)
    expect(comesOut).toBeLessThan(ciede2000(seen, mixed.target) * 0.6)
  })
  it('too weak takes more of the same dye and no icing', () => {
    const best = corrections(bowl(drops.map((d) => d * 0.6)))[0]!
    expect(best.addBaseGrams).toBeLessThan(2)
    expect(best.difference).toBeLessThan(1)
  })
  it('learns that a bottle is stronger than was thought', () => {
    const made = [0, 0, 0, 6, 0, 0, 0, 0]
    const { log, sd } = learn({
      ...bowl(made),
      observed: tint.lab(made.map((d) => d * 1.5)),
      spreads: curves.map(() => 0.5),
    })
    expect(Math.exp(log[3]!)).toBeGreaterThan(1.35)
    expect(Math.exp(log[3]!)).toBeLessThan(1.51)
    expect(sd[3]!).toBeLessThan(0.25)
    expect(log[4]).toBe(0)
  })
  it('brings a bottle home over three looks, and keeps others as they were', () => {
    const icing = starterWorkshop.icings[0]!
    const pink = starterWorkshop.dyes.find((d) => d.id === 'pink')!
    const truth = genericCurve(pink.weights).map((k) => 1.6 * k)
    const look = (perHundred: number) => ({
      icingKindId: icing.id,
      grams: 200,
      doses: [{ dyeId: 'pink', drops: perHundred * 2 }],
      observedHex: labToHex(tinter(butter, [truth]).lab([perHundred])),
    })
    const after = learnFrom([2, 4, 3].map(look), starterWorkshop.dyes, starterWorkshop.icings)
    const learnt = after.find((d) => d.id === 'pink')!.learnt
    expect(learnt.mixes).toBe(3)
    expect(Math.abs(Math.exp(learnt.log) / 1.6 - 1)).toBeLessThan(0.15)
    expect(after.filter((d) => d.id !== 'pink')).toEqual(starterWorkshop.dyes.filter((d) => d.id !== 'pink'))
  })
})

describe('one bowl through all colours', () => {
  const hexes = ['#f0d890', '#c48ba0', '#8f86b2', '#5e5591', '#7c8a55']
  const chain = (lastId: string | null = null): ChainTask => ({
    keptCost: () => 0,
    base: butter,
    curves,
    tolerance: 1.5,
    lastId,
    colours: hexes.map((hex, i) => ({
      id: hex,
      target: hexToLab(hex),
      grams: 90 + 20 * i,
      leftGrams: (90 + 20 * i) * 0.2,
    })),
  })
  const permutations = (items: number[]): number[][] =>
    items.length < 2
      ? [items]
      : items.flatMap((x, i) => permutations(items.toSpliced(i, 1)).map((rest) => [x, ...rest]))

  it('takes the best of all orders, within 0.6 %, and never has to take dye out', () => {
    const of = chain()
    const colours = prepare(of)
    const cost = (order: number[]) => simulate(of, colours, order).reduce((sum, s) => sum + s.cost, 0)
    const best = Math.min(...permutations([0, 1, 2, 3, 4]).map(cost))
    expect(cost(bestOrder(of, colours))).toBeLessThan(best * 1.006)
    const steps = carryOver(of)
    expect(chainFaults(of, steps)).toEqual([])
    expect(Math.max(...steps.map((s) => s.difference))).toBeLessThan(1.5)
    const mixed = steps.reduce((sum, s) => sum + s.freshGrams, 0)
    expect(mixed).toBeLessThan(of.colours.reduce((sum, c) => sum + c.grams, 0) * 0.95)
  }, 120_000)
  it('weighs a kept bag against what is carried on, exactly as all orders tried one by one', () => {
    // nothing of colour 0 can be finished before 3 is done, nor of 4 before 1: a bag is kept for each
    const waits = [3, -1, -1, -1, 1]
    const keptCost = (mask: number, k: number) => (waits[k]! >= 0 && !(mask & (1 << waits[k]!)) ? 60 : 0)
    const of = { ...chain(), keptCost }
    const colours = prepare(of)
    const kept = (order: number[]) =>
      order.reduce(
        (sum, k, i) =>
          sum +
          keptCost(
            order.slice(0, i + 1).reduce((m, c) => m | (1 << c), 0),
            k,
          ),
        0,
      )
    const cost = (order: number[]) =>
      kept(order) + simulate(of, colours, order).reduce((sum, s) => sum + s.cost, 0)
    const found = bestOrder(of, colours)
    expect(cost(found)).toBeLessThan(Math.min(...permutations([0, 1, 2, 3, 4]).map(cost)) * 1.006)
    expect(kept(found)).toBe(0)
    expect(kept(bestOrder(chain(), colours))).toBeGreaterThan(0)
  }, 120_000)
  it('ends with the colour it is told to', () => {
    expect(carryOver(chain('#c48ba0')).at(-1)?.colourId).toBe('#c48ba0')
  })
  it('is checked by a checker that sees what is wrong', () => {
    const of = chain()
    const steps = carryOver(of)
    const at = steps.findIndex((s) => s.carriedGrams > 0)
    const wrong = (part: object) => steps.map((s, i) => (i === at ? { ...s, ...part } : s))
    expect(chainFaults(of, wrong({ doses: steps[at]!.doses.map(() => 0) })).join()).toContain('taken out')
    expect(
      chainFaults(
        of,
        wrong({
          carriedGrams: 80,
          freshGrams: of.colours.find((c) => c.id === steps[at]!.colourId)!.grams - 80,
        }),
      ).join(),
    ).toContain('more is carried')
    expect(chainFaults(of, steps.slice(1)).join()).toContain('missing')
  })
})

describe('palettes', () => {
  it('turn and mute without changing what they should not', () => {
    expect(turned('#8f86b2', 0)).toBe('#8f86b2')
    const [L] = hexToLab('#8f86b2')
    for (const { hex } of companions('#8f86b2')) expect(Math.abs(hexToLab(hex)[0] - L)).toBeLessThan(6)
    const grey = hexToLab(muted('#8f86b2', 0))
    expect(Math.hypot(grey[1], grey[2])).toBeLessThan(1.5)
  })
  it('look different to other eyes, where they should', () => {
    expect(visions.usual.see('#b03040')).toBe('#b03040')
    const seen = (hex: string) => hexToLab(visions.deutan.see(hex))
    // red and green come closer to each other
    expect(ciede2000(seen('#b05040'), seen('#6f7a30'))).toBeLessThan(
      0.6 * ciede2000(hexToLab('#b05040'), hexToLab('#6f7a30')),
    )
  })
  it('are found in a picture, the most first', () => {
    const pixels = new Uint8ClampedArray(4 * 1000)
    for (let i = 0; i < 1000; i++) {
      const [r, g, b] = i % 10 < 6 ? [143, 134, 178] : i % 10 < 9 ? [185, 138, 58] : [40, 40, 50]
      pixels.set([r! + (i % 3), g!, b! - (i % 2), 255], i * 4)
    }
    const found = dominantColours(pixels, 6)
    expect(found).toHaveLength(3)
    expect(found.map((f) => Math.round(f.share * 10))).toEqual([6, 3, 1])
    expect(ciede2000(hexToLab(found[0]!.hex), hexToLab('#8f86b2'))).toBeLessThan(1)
  })
  it('see through the light of a photograph by its white patch', () => {
    const tint = (hex: string) => corrected(hex, '#ffffff', '#ffe0b0')
    const back = corrected(tint('#8f86b2'), tint('#f6f1d6'), '#f6f1d6')
    expect(ciede2000(hexToLab(back), hexToLab('#8f86b2'))).toBeLessThan(1)
  })
})
