import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import { timesOf } from '../../icings/times.ts'
import { type LogEntry, logEntrySchema, logEntryVersion } from '../../model/logEntry.ts'
import { type Random, seeded } from '../../random.ts'
import { learn } from './index.ts'
import { knownFrom } from './normal.ts'
import type { Records } from './records.ts'

const normal = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
const ids = ['rose', 'hellebore', 'scabious', 'anemone', 'dahlia', 'camellia', 'daisy', 'tulip']
const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!

const taught = (records: Partial<Records>) =>
  learn(
    { entries: [], weighings: [], setBack: {}, ...records },
    starterWorkshop,
    (i) => timesOf(i).bagMinutes,
  )

const dayAt = (n: number) => new Date(Date.UTC(2027, 0, 1 + 3 * n)).toISOString().slice(0, 16)

/** An entry with so much told of it. */
const entry = (n: number, more: Partial<LogEntry>): LogEntry =>
  logEntrySchema.parse({
    ...{ schemaVersion: logEntryVersion, id: `e${n}`, orderId: null, title: `Order ${n}`, at: dayAt(n) },
    ...{ people: [], roomC: null, batches: [], bags: [], flowers: [], plannedMinutes: null, minutes: null },
    remarks: [],
    ...more,
  })
const flower = (id: string, more: object) => ({
  ...{ flowerId: id, name: id, piece: 'Cupcakes', wanted: 24, piped: 24, spoiled: 0, minutes: null },
  ...{ eachGrams: 6, eachSeconds: 60, weighed: null },
  ...more,
})

/** A bakery whose hand nobody knows: factors of each kind, a common stray of the day, and what is left to chance. */
function hidden(seed: number) {
  const random = seeded(seed)
  const hand = 0.2 * normal(random)
  const own = new Map(ids.map((id) => [id, hand + 0.14 * normal(random)]))
  const rate = new Map(ids.map((id) => [id, 0.02 + 0.12 * random()]))
  const day = (n: number, drift = 0) => {
    const common = 0.06 * normal(random)
    const two = [ids[Math.floor(random() * ids.length)]!, ids[Math.floor(random() * ids.length)]!]
    return entry(n, {
      flowers: [...new Set(two)].map((id) => {
        const spoiled = Array.from({ length: 24 }).filter(() => random() < rate.get(id)!).length
        const times = Math.exp(own.get(id)! + drift + common + 0.08 * normal(random))
        return flower(id, {
          spoiled,
          weighed: { count: 5, grams: 5 * 6 * times },
          minutes: 26 * Math.exp(0.2 * normal(random)),
        }) as never
      }),
    })
  }
  return { own, rate, day }
}

describe('a season with a hand that nobody knows', () => {
  it.each([
    [5, 0.08],
    [20, 0.05],
    [60, 0.03],
  ])('after %d records the grams of what is piped are within %d at the median', (records, aim) => {
    const off: number[] = []
    for (let seed = 1; seed <= 40; seed++) {
      const { own, day } = hidden(seed)
      const entries = Array.from({ length: records }, (_, n) => day(n))
      const { grams } = taught({ entries })
      // the next order is of what the season was of
      for (const f of entries.flatMap((e) => e.flowers).slice(-4))
        off.push(Math.abs(grams.get(f.flowerId!)!.factor / Math.exp(own.get(f.flowerId!)!) - 1))
    }
    expect(median(off)).toBeLessThan(aim)
  })
  it('tells a kind that was never weighed by the hand that weighed the others', () => {
    const off: [number, number][] = []
    for (let seed = 1; seed <= 40; seed++) {
      const { own, day } = hidden(seed)
      const entries = Array.from({ length: 20 }, (_, n) => day(n)).map((e) => ({
        ...e,
        flowers: e.flowers.filter((f) => f.flowerId !== 'tulip'),
      }))
      const known = taught({ entries }).grams.get('tulip')!.factor
      off.push([Math.abs(Math.log(known) - own.get('tulip')!), Math.abs(own.get('tulip')!)])
    }
    expect(median(off.map(([a]) => a))).toBeLessThan(median(off.map(([, b]) => b)))
  })
  it('follows a hand that changes: after thirty records of the new one it is nearer to it than to the old', () => {
    const { own, day } = hidden(7)
    const entries = Array.from({ length: 60 }, (_, n) => day(n, n < 30 ? 0 : 0.35))
    const { grams } = taught({ entries })
    const mean = ids.reduce((sum, id) => sum + Math.log(grams.get(id)!.factor) - own.get(id)!, 0) / ids.length
    expect(mean).toBeGreaterThan(0.35 / 2)
    expect(mean).toBeLessThan(0.35)
  })
  it('learns how many are spoiled', () => {
    const { rate, day } = hidden(3)
    const { spoiled } = taught({ entries: Array.from({ length: 60 }, (_, n) => day(n)) })
    const off = [...spoiled].map(([id, is]) => Math.abs(is - rate.get(id)!))
    expect(median(off)).toBeLessThan(0.015)
  })
})

describe('a weighing', () => {
  const weighed = (...times: number[]): Records['weighings'] =>
    times.map((t, i) => ({ id: `w${i}`, flowerId: 'rose', at: dayAt(i), grams: 100 * t, computedGrams: 100 }))
  const rose = (...times: number[]) => taught({ weighings: weighed(...times) }).grams.get('rose')!
  it('moves the estimate by as much as one tells: by hand, of 1.3 to 1.23, give or take 13 %', () => {
    // all that is not known before: √(0.2² + 0.17² + Σ(share · 0.14)²), near 0.29; one weighing: √(0.137² + 0.06²) = 0.15
    const { factor, band } = rose(1.3)
    expect(factor).toBeGreaterThan(1.2)
    expect(factor).toBeLessThan(1.25)
    expect(band).toBeGreaterThan(0.12)
    expect(band).toBeLessThan(0.14)
  })
  it('of which there are many leaves no doubt, and keeps the spread of the day', () => {
    const many = rose(...Array(40).fill(1.2))
    expect(many.factor).toBeCloseTo(1.2, 1)
    expect(many.band).toBeLessThan(0.06)
    expect(many.spread).toBeGreaterThan(0.05)
    expect(many.spread).toBeLessThan(0.12)
  })
  it('of a mistyped kilo teaches nothing, and is said', () => {
    const { grams, aside } = taught({ weighings: weighed(1, 1.02, 50) })
    expect(grams.get('rose')!.factor).toBeCloseTo(1, 1)
    expect(aside).toHaveLength(1)
    expect(aside[0]!.why).toMatch(/50 times.*mistyped/)
  })
  it('that is set back counts no more; one that comes later does', () => {
    const weighings = weighed(1.4, 1.4, 1.4)
    const after = taught({ weighings, setBack: { 'grams flower rose': { until: dayAt(2), besides: [] } } })
    expect(after.grams.get('rose')).toBeUndefined()
    expect(after.figures.some((f) => f.key === 'grams flower rose')).toBe(false)
    const later = [...weighings, { ...weighings[0]!, id: 'w9', at: dayAt(9), grams: 80 }]
    const again = taught({
      weighings: later,
      setBack: { 'grams flower rose': { until: dayAt(2), besides: [] } },
    })
    expect(again.figures.find((f) => f.key === 'grams flower rose')!.records).toBe(1)
    const besides = taught({
      weighings: later,
      setBack: { 'grams flower rose': { until: dayAt(2), besides: ['w9'] } },
    })
    expect(besides.figures.some((f) => f.key === 'grams flower rose')).toBe(false)
  })
})

describe('what else is told', () => {
  it('minutes: a pair of hands that takes twice as long is known by its name', () => {
    const entries = Array.from({ length: 30 }, (_, n) =>
      entry(n, {
        people: [n % 2 ? 'Bea' : 'Ada'],
        flowers: [flower(ids[n % 4]!, { minutes: n % 2 ? 48 : 24 }) as never],
      }),
    )
    const { figures } = taught({ entries })
    const pace = (name: string) => figures.find((f) => f.kind === 'seconds' && f.name === name)!.now
    expect(pace('Bea') / pace('Ada')).toBeGreaterThan(1.35)
  })
  it('bags: what stays is told only by those that were emptied and weighed', () => {
    const bag = (leftGrams: number, more: object) => ({
      ...{
        number: 1,
        label: 'x',
        plannedGrams: 120,
        leftGrams,
        estimated: false,
        residueGrams: 10,
        emptied: true,
      },
      ...more,
    })
    const of = (more: object) =>
      taught({ entries: Array.from({ length: 20 }, (_, n) => entry(n, { bags: [bag(15, more)] })) }).residue
    expect(of({})).toBeGreaterThan(1.25)
    expect(of({ emptied: false })).toBe(1)
    expect(of({ estimated: true })).toBe(1)
  })
  it('open time: good at three hours and gone at five is near four, whatever the start', () => {
    const icing = starterWorkshop.icings[0]!
    const opened = [
      ...Array.from({ length: 12 }, () => ({ icingKindId: icing.id, minutes: 180, good: true })),
      ...Array.from({ length: 12 }, () => ({ icingKindId: icing.id, minutes: 320, good: false })),
    ]
    const { open } = learn(
      { entries: [entry(0, { opened })], weighings: [], setBack: {} },
      starterWorkshop,
      () => 120,
    )
    expect(open.get(icing.id)!).toBeGreaterThan(200)
    expect(open.get(icing.id)!).toBeLessThan(280)
  })
  it('bowls: what was used of all icing teaches the hand, even of kinds that nobody weighed', () => {
    const batch = { id: 'b', colour: 'Dusk', hex: '#8f86b2', icingKindId: 'butter-sugar', stiffness: 'stiff' }
    const entries = Array.from({ length: 20 }, (_, n) =>
      entry(n, {
        batches: [
          {
            ...batch,
            plannedGrams: 200,
            expectedGrams: 150,
            leftGrams: 20,
            estimated: false,
            ranShort: false,
          } as never,
        ],
      }),
    )
    // 180 of 150 were used
    const { grams } = taught({ entries })
    expect(grams.get('rose')!.factor).toBeGreaterThan(1.1)
    expect(grams.get('rose')!.factor).toBeLessThan(1.2)
  })
})

it('is what weighing the whole by its exact covariance gives', () => {
  // an oracle that shares nothing: the posterior mean of one effect over records of two days, by the full matrix
  const prior = { stray: () => 0.3, noise: 0.2, day: 0.1 }
  const seen = [0.3, 0.1, 0.4].map((y, i) => ({
    y,
    weight: 1,
    day: i < 2 ? 'a' : 'b',
    effects: [{ key: 'x', share: 1 }],
  }))
  // V = 0.04 I + 0.01 within a day; day a: [0.05 0.01; 0.01 0.05], day b: 0.05
  const perDay = [(0.3 + 0.1) / 0.06, 0.4 / 0.05]
  const precision = 1 / 0.09 + 2 / 0.06 + 1 / 0.05
  const known = knownFrom(seen, prior)
  expect(known.mean([{ key: 'x', share: 1 }])).toBeCloseTo((perDay[0]! + perDay[1]!) / precision, 10)
  expect(known.stray([{ key: 'x', share: 1 }])).toBeCloseTo(Math.sqrt(1 / precision), 10)
})

describe('what stays in a bowl', () => {
  const bowl = (stayedGrams: number | null) => ({
    ...{ id: 'b', colour: 'Dusk', hex: '#8f86b2', icingKindId: 'butter-sugar', stiffness: 'stiff' as const },
    ...{ plannedGrams: 140, expectedGrams: null, leftGrams: null, estimated: false, ranShort: false },
    ...{ stayedGrams },
  })
  const of = (stayed: number | null, n: number, more: Partial<Records> = {}) =>
    taught({
      entries: Array.from({ length: n }, () => entry(0, { batches: [bowl(stayed)] as never })),
      ...more,
    }).figures.find((f) => f.key === 'residue bowls')
  const start = starterWorkshop.settings.bowlResidueGrams

  it('goes from the bakery’s own figure, which counts for eight bowls, to what was weighed', () => {
    expect(of(null, 3)).toBeUndefined()
    expect(of(start + 9, 8)!.now).toBeCloseTo(start + 4.5, 6)
    expect(of(start + 9, 400)!.now).toBeCloseTo(start + 9, 0)
    // a bowl that was not scraped at all says nothing
    expect(of(480, 8)).toBeUndefined()
  })
  it('is set back', () => {
    const setBack = { 'residue bowls': { until: '2028-01-01T00:00:00Z', besides: [] } }
    expect(of(start + 9, 8, { setBack })).toBeUndefined()
  })
})

it('gives each hand its own factor beside all hands together', () => {
  // Ada squeezes a tenth more than Bea, and takes a third less time
  const entries = Array.from({ length: 60 }, (_, n) => {
    const ada = n % 2 === 0
    return entry(n, {
      people: [ada ? 'Ada' : ' bea '],
      flowers: [
        flower(ids[(n >> 1) % ids.length]!, {
          weighed: { count: 5, grams: 30 * (ada ? 1.05 : 0.95) },
          minutes: 24 * (ada ? 0.8 : 1.2),
        }) as never,
      ],
    })
  })
  const { hands } = taught({ entries })
  expect(hands.map((h) => h.name).sort()).toEqual(['ada', 'bea'])
  const of = (name: string) => hands.find((h) => h.name === name)!
  expect(of('ada').grams / of('bea').grams).toBeGreaterThan(1.07)
  expect(of('ada').pace / of('bea').pace).toBeLessThan(0.72)
})
