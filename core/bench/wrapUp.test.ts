import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { summaryOf } from '../logbook/summary.ts'
import type { BenchEvent } from '../model/bench.ts'
import { logEntrySchema } from '../model/logEntry.ts'
import { planOrder } from '../plan/index.ts'
import { demoOrder, demoWorkshop } from '../plan/testing.ts'
import { freeze } from './freeze.ts'
import { bagSubject, bowlSubject, WRAP_UP } from './subjects.ts'
import { tally } from './tally.ts'
import { FIVE_FLOWERS, logEntryOf, workedMinutes, wrappedUp } from './wrapUp.ts'

const workshop = demoWorkshop()
const order = demoOrder('observatory')
const frozen = freeze(order, planOrder(order, workshop), workshop)
const run = { id: 'run', orderId: order.id, frozen }
let made = 0
const at = (stepId: string, kind: BenchEvent['kind'], minute: number, more: Partial<BenchEvent> = {}) => ({
  ...{ id: `e${made++}`, stepId, kind, by: 'Ada', amount: null, note: null },
  at: new Date(Date.UTC(2027, 7, 14, 8, 0, minute * 60)).toISOString(),
  ...more,
})
const entryOf = (events: BenchEvent[]) =>
  logEntryOf(run, tally(frozen.steps, events), events, '2027-08-14T16:00')

describe('what was told while wrapping up', () => {
  const bowl = bowlSubject(frozen.plan.batches[0]!.id)
  it('holds as it was told last, whichever tablet is heard first, and is no stray', () => {
    const events = [
      at(bowl, 'left', 1, { amount: 80, note: 'by eye' }),
      at(bowl, 'left', 5, { amount: 62.5 }),
      at(bowl, 'short', 2, { amount: 1 }),
      at(bowl, 'short', 3, { amount: 0 }),
      at(bagSubject(2), 'left', 4, { amount: 7 }),
      at(bagSubject(2), 'left', 6),
      at(WRAP_UP, 'room', 7, { amount: 24 }),
      at(WRAP_UP, 'remark', 8, { note: 'Warm.' }),
    ]
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (heard) => {
        expect(wrappedUp(heard)).toEqual({
          left: new Map([[bowl, { grams: 62.5, estimated: false }]]),
          short: new Set(),
          roomC: 24,
          remark: 'Warm.',
        })
      }),
      { numRuns: 20 },
    )
    expect(tally(frozen.steps, events).strays).toEqual([])
  })
})

describe('minutes as they were worked', () => {
  it('run from one note of a hand to its next, and not while it is away or another pair works', () => {
    const minutes = workedMinutes([
      at('a', 'take', 0),
      at('a', 'tap', 4),
      at('b', 'tap', 6, { by: 'Bea' }),
      at('b', 'tap', 11, { by: 'Bea' }),
      // an hour away, and back
      at('a', 'tap', 64),
      at('a', 'tap', 67),
      at('c', 'tap', 69),
    ])
    expect(Object.fromEntries(minutes)).toEqual({ a: 7, b: 5, c: 2 })
  })
})

describe('the entry of the logbook', () => {
  it('counts flowers by the layer that is least far, with what was spoiled of any', () => {
    const nails = frozen.steps.find((s) => s.kind === 'nails')!
    const [use] = frozen.plan.uses.filter((u) => nails.useIds.includes(u.id))
    const own = frozen.steps.filter((s) =>
      s.useIds.some((id) => {
        const other = frozen.plan.uses.find((u) => u.id === id)!
        return other.pieceId === use!.pieceId && other.placedId === use!.placedId && s.kind === 'nails'
      }),
    )
    const taps = own.flatMap((s, i) =>
      Array.from({ length: s.wanted - 2 * i }, (_, k) => at(s.id, 'tap', 10 * i + k * 0.5)),
    )
    const entry = entryOf([
      ...taps,
      at(nails.id, 'spoiled', 30),
      at(nails.id, 'spoiled', 31, { amount: -1 }),
      at(nails.id, 'weighed', 33, { amount: 58, note: FIVE_FLOWERS }),
      at(nails.id, 'weighed', 34, { amount: 61, note: FIVE_FLOWERS }),
      at(nails.id, 'spoiled', 32),
    ])
    const flower = entry.flowers.find(
      (f) => f.name === use!.flowerName && f.piece === order.pieces.find((p) => p.id === use!.pieceId)!.name,
    )!
    expect(flower).toMatchObject({ wanted: use!.flowers, spoiled: 1 })
    expect(flower.piped).toBe(nails.wanted - 2 * (own.length - 1))
    expect(flower.minutes).toBeGreaterThan(0)
    expect(flower.weighed).toEqual({ count: 5, grams: 61 })
  })

  it('has every bowl, bag and flower of the plan, says what ran out at the bench, and is what its schema reads', () => {
    const mix = frozen.steps.find((s) => s.kind === 'mix')!
    const entry = entryOf([at(mix.id, 'ranOut', 1), at(mix.id, 'otherwise', 2, { note: 'too dark' })])
    expect(logEntrySchema.parse(JSON.parse(JSON.stringify(entry)))).toEqual(entry)
    expect(entry.batches.map((b) => b.plannedGrams)).toEqual(frozen.plan.batches.map((b) => b.grams))
    expect(entry.bags).toHaveLength(frozen.plan.bags.length)
    expect(
      entry.batches
        .filter((b) => b.ranShort)
        .map((b) => b.id)
        .sort(),
    ).toEqual([...mix.batchIds].sort())
    expect(entry.remarks).toEqual(['too dark'])
    const placed = order.pieces.flatMap((p) => p.flowers)
    expect(entry.flowers).toHaveLength(placed.length)
    // the order's own count, under the same name on every screen
    expect(summaryOf(entry).wanted).toBe(frozen.plan.totals.flowers)
  })
})
