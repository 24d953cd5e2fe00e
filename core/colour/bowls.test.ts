import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Dye } from '../model/dye.ts'
import type { Workshop } from '../model/workshop.ts'
import { seeded } from '../random.ts'
import { mixBowl, spreadOf } from './bowl.ts'
import { trustOf } from './calibrate.ts'
import { shortestOrder } from './chainOrder.ts'
import { ciede2000 } from './ciede2000.ts'
import { corrections, keepingSize, type Mixed } from './correct.ts'
import { dosed, doseWords, SPECKS } from './dose.ts'
import { hexToLab, labToHex } from './lab.ts'
import { learnFrom } from './learning.ts'
import { firstDose } from './likely.ts'
import { baseOf, dyeFit } from './palette.ts'
import { outOfReach } from './reach.ts'
import { task } from './subsetSolve.ts'
import { butter, curvesOf, eight } from './testing.ts'
import { tinter } from './tint.ts'

const curves = curvesOf(...eight)
const tint = tinter(butter, curves)
const butterIcing = starterWorkshop.icings.find((i) => i.id === 'butter-sugar')!

describe('a dose in words', () => {
  it.each([
    [0, 'none'],
    [1, '1 speck'],
    [3, '3 specks'],
    [4, 'half a drop'],
    [8, '1 drop'],
    [9, '1 drop and 1 speck'],
    [11, '1 drop and 3 specks'],
    [12, '1½ drops'],
    [16, '2 drops'],
    [20, '2½ drops'],
    [23, '2 drops and 7 specks'],
    [80, '10 drops'],
  ])('%d eighths are “%s”', (eighths, words) => expect(doseWords(eighths, 0.05)).toBe(words))

  it('above ten drops is a weight first, by what a drop of that dye weighs', () => {
    expect(doseWords(88, 0.05)).toBe('0.55 g, about 11 drops')
    expect(doseWords(344, 0.05)).toBe('2.15 g, about 43 drops')
    expect(doseWords(344, 0.03)).toBe('1.29 g, about 43 drops')
    // of several dyes together nothing can be weighed
    expect(doseWords(344)).toBe('43 drops')
  })
})

describe('doses that a hand can give', () => {
  it('are whole drops from three on, never negative, never an empty dye, and near what was wanted', () => {
    const random = seeded(5)
    for (let i = 0; i < 60; i++) {
      const dyes = [Math.floor(random() * 4), 4 + Math.floor(random() * 4)]
      const drops = dyes.map(() => random() * 12)
      const lab = tint.lab(eight.map((_, j) => drops[dyes.indexOf(j)] ?? 0))
      const grams = 20 + random() * 380
      const made = dosed(task(butter, lab, curves), { dyes, drops, lab, difference: 0 }, grams)
      for (const eighths of made.eighths) {
        expect(eighths).toBeGreaterThan(0)
        expect(Number.isInteger(eighths)).toBe(true)
        if (eighths > 3 * SPECKS) expect(eighths % SPECKS).toBe(0)
      }
      expect(made.drops.length).toBe(made.dyes.length)
      made.drops.forEach((d, k) => {
        expect(d).toBeCloseTo(((made.eighths[k]! / 8) * 100) / grams, 9)
      })
      const seen = tint.lab(eight.map((_, j) => made.drops[made.dyes.indexOf(j)] ?? 0))
      expect(made.difference).toBeCloseTo(ciede2000(seen, lab), 9)
    }
  })
})

describe('what stands in the way of a colour', () => {
  const plain = hexToLab('#f6f1d6')
  it.each([
    // wanted, nearest that can be mixed
    ['a bluer white than butter makes', 'base-too-yellow', hexToLab('#ffffff'), plain],
    ['paler than the icing and as yellow', 'too-pale', [plain[0] + 1, plain[1], plain[2]], plain],
    ['a pale blue that comes out greenish', 'base-too-yellow', [85, -4, -8], [85, -6, -2]],
    ['black from butter', 'too-dark', [12, 0, 0], [24, 2, 3]],
    ['a red as bright as a lamp', 'too-vivid', [50, 80, 60], [48, 60, 45]],
  ] as const)('%s: %s', (_, reason, wanted, nearest) => {
    expect(outOfReach([...wanted], [...nearest], plain)).toBe(reason)
  })

  it('is said at the bowl with what would help: another icing, or a dye that is not owned', () => {
    const only = (...ids: string[]): Workshop => ({
      ...starterWorkshop,
      dyes: starterWorkshop.dyes.map((d) => ({ ...d, owned: ids.includes(d.id) })),
    })
    const ask = (targetHex: string, workshop: Workshop) =>
      mixBowl({ colourId: 'c', targetHex, icingKindId: 'butter-sugar', grams: 200, dyeIds: null }, workshop)
    const violet = ask('#7a4a9a', only('lemon'))
    expect(violet.reach?.dye).not.toBeNull()
    expect(starterWorkshop.dyes.find((d) => d.id === violet.reach!.dye!.id)!.id).not.toBe('lemon')
    expect(ask('#7a4a9a', only()).reach).toMatchObject({ reason: 'no-dye' })
    // plain icing wants nothing and nothing stands in its way
    const bare = ask(butterIcing.baseHex, only('lemon'))
    expect([bare.reach, bare.chosen.doses]).toEqual([null, []])
    expect(() => mixBowl({ ...violet, icingKindId: 'none' }, only())).toThrow(/no icing kind "none"/)
  })
})

describe('a bowl’s cautions', () => {
  const ask = (drops: number[], icingKindId = 'butter-sugar') => {
    const icing = starterWorkshop.icings.find((i) => i.id === icingKindId)!
    const red = starterWorkshop.dyes.find((d) => d.id === 'red')!
    const curve = dyeFit(red, starterWorkshop.icings).curve.map((k) => k * (1 + icing.deepens))
    const targetHex = labToHex(tinter(baseOf(icing), [curve]).lab(drops))
    const answer = mixBowl(
      { colourId: 'c', targetHex, icingKindId, grams: 400, dyeIds: ['red'] },
      starterWorkshop,
    )
    return answer.warnings.map((w) => (w.startsWith('So much dye') ? 'heavy' : 'deepens'))
  }
  it('begin where dye is tasted, above 40 drops in 100 g, and where colours go on deepening, above 20', () => {
    expect(ask([18])).toEqual([])
    expect(ask([22])).toEqual(['deepens'])
    expect(ask([38])).toEqual(['deepens'])
    expect(ask([46])).toEqual(['heavy', 'deepens'])
  })
  it('go half of the way before a first look where a bottle is known only by its hue, else seven tenths', () => {
    expect(firstDose(['learnt', 'generic'])).toBe(0.5)
    expect(firstDose(['learnt', 'oneDab'])).toBe(0.7)
    expect(firstDose([])).toBe(0.7)
  })
})

describe('what is known of a bottle', () => {
  const pink = starterWorkshop.dyes.find((d) => d.id === 'pink')!
  const dab = { drops: 2, hex: '#f0a0b0', icingKindId: 'butter-sugar' }
  it('is surer with every dab, and with mixing, but never certain', () => {
    const spreads = [
      spreadOf({ ...pink, dabs: [] }),
      spreadOf({ ...pink, dabs: [dab] }),
      spreadOf({ ...pink, dabs: [dab, { ...dab, drops: 5 }] }),
      spreadOf({ ...pink, learnt: { log: 0, sd: 0.06, mixes: 3 } }),
    ]
    expect(spreads).toEqual([0.35, 0.2, 0.12, 0.06])
    expect(spreadOf({ ...pink, learnt: { log: 0, sd: 0, mixes: 9 } })).toBe(0.04)
  })
  it('scales by what mixing taught, and a dab in an icing that is gone counts for nothing', () => {
    const { icings } = starterWorkshop
    const plain = dyeFit({ ...pink, dabs: [] }, icings).curve
    const stronger = dyeFit(
      { ...pink, dabs: [], learnt: { log: Math.log(1.5), sd: 0.1, mixes: 1 } },
      icings,
    ).curve
    for (const [i, k] of stronger.entries()) expect(k).toBeCloseTo(1.5 * plain[i]!, 9)
    const gone = { ...pink, dabs: [{ ...dab, icingKindId: 'gone' }] }
    expect(dyeFit(gone, icings).curve).toEqual(plain)
    expect(dyeFit({ ...pink, dabs: [dab] }, icings).curve).not.toEqual(plain)
  })
  it('is little where a channel of the picture is at its end', () => {
    expect([trustOf('#f0a0b0'), trustOf('#ffa0b0'), trustOf('#f0a000'), trustOf('#fdfd02')]).toEqual([
      1, 0.4, 0.4, 1,
    ])
  })
  it('changes by no look at nothing: an icing or a dye that is gone, a bowl without dye', () => {
    const look = {
      icingKindId: 'butter-sugar',
      grams: 100,
      doses: [{ dyeId: 'pink', drops: 3 }],
      observedHex: '#f0a0b0',
    }
    const knowing = (change: object): Dye[] =>
      learnFrom([{ ...look, ...change }], starterWorkshop.dyes, starterWorkshop.icings)
    expect(knowing({ icingKindId: 'gone' })).toEqual(starterWorkshop.dyes)
    expect(knowing({ doses: [] })).toEqual(starterWorkshop.dyes)
    expect(knowing({ doses: [{ dyeId: 'gone', drops: 3 }] })).toEqual(starterWorkshop.dyes)
    const seen = knowing({}).find((d) => d.id === 'pink')!.learnt
    expect(seen.mixes).toBe(1)
    // twice the bowl with twice the drops is the same look
    expect(
      knowing({ grams: 200, doses: [{ dyeId: 'pink', drops: 6 }] }).find((d) => d.id === 'pink')!.learnt,
    ).toEqual(seen)
  })
})

describe('mending a bowl', () => {
  const mixed = (made: number[], wanted: number[], grams = 150): Mixed => ({
    base: butter,
    curves,
    drops: made,
    observed: tint.lab(made),
    target: tint.lab(wanted),
    grams,
    spreads: curves.map(() => 0.2),
  })
  it('whatever it says, comes out as it says when it is done as it is written', () => {
    const random = seeded(9)
    for (let i = 0; i < 12; i++) {
      const wanted = eight.map(() => (random() < 0.25 ? 0.5 + 4 * random() : 0))
      const made = wanted.map((d) => d * (0.5 + 1.4 * random()))
      const of = mixed(made, wanted)
      for (const way of corrections(of).slice(0, 4)) {
        const kept = way.stockGrams > 0 ? way.stockGrams : of.grams
        expect(kept + way.addBaseGrams).toBeCloseTo(way.gramsAfter, 6)
        expect(way.gramsAfter).toBeLessThanOrEqual(2 * of.grams + 1e-6)
        const bowl = made.map((d) => (d * kept) / way.gramsAfter)
        for (const { dye, drops } of way.add) bowl[dye]! += (drops * 100) / way.gramsAfter
        expect(ciede2000(tint.lab(bowl), of.target)).toBeCloseTo(way.difference, 1)
        if (way.stockGrams > 0) continue
        // the same in a bowl that keeps its size: so much out, then the same icing and dye in proportion
        const same = keepingSize(way, of.grams)
        expect(of.grams - same.takeOutGrams + same.addBaseGrams).toBeCloseTo(of.grams, 6)
        const again = made.map((d) => (d * (of.grams - same.takeOutGrams)) / of.grams)
        for (const { dye, drops } of same.add) again[dye]! += (drops * 100) / of.grams
        for (const [j, d] of again.entries()) expect(d).toBeCloseTo(bowl[j]!, 6)
      }
    }
  })
})

describe('the order of a chain', () => {
  const random = seeded(3)
  const chain = (n: number) => ({
    first: Array.from({ length: n }, () => 5 + 20 * random()),
    turn: Array.from({ length: n }, () => Array.from({ length: n }, () => 1 + 20 * random())),
    last: -1,
    keptCost: () => 0,
  })
  const lengthOf = ({ first, turn }: ReturnType<typeof chain>, order: readonly number[]) =>
    order.reduce((sum, k, i) => sum + (i === 0 ? first[k]! : turn[order[i - 1]!]![k]!), 0)

  it('of as many colours as a table holds is the shortest: exchanging any two, or turning a part, makes none shorter', () => {
    const long = chain(13)
    const order = shortestOrder(long)
    const least = lengthOf(long, order)
    for (let a = 0; a < 13; a++)
      for (let b = a + 1; b < 13; b++) {
        const exchanged = order.with(a, order[b]!).with(b, order[a]!)
        const turned = [...order.slice(0, a), ...order.slice(a, b + 1).reverse(), ...order.slice(b + 1)]
        const moved = order.toSpliced(a, 1).toSpliced(b, 0, order[a]!)
        for (const other of [exchanged, turned, moved])
          expect(lengthOf(long, other)).toBeGreaterThanOrEqual(least - 1e-9)
      }
  })

  it('of more has every colour once, ends with the one it is told to, and beats the order they came in', () => {
    for (const last of [-1, 0, 7, 15]) {
      const many = { ...chain(16), last }
      const order = shortestOrder(many)
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: 16 }, (_, k) => k))
      if (last >= 0) expect(order.at(-1)).toBe(last)
      expect(lengthOf(many, order)).toBeLessThan(
        lengthOf(
          many,
          Array.from({ length: 16 }, (_, k) => k),
        ),
      )
    }
  })
})
