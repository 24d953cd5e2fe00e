import { describe, expect, it } from 'vitest'
import { timesOf } from '../icings/times.ts'
import { piecesOfEach } from '../model/arrangements.ts'
import type { BenchEvent, BenchStep } from '../model/bench.ts'
import { planOrder } from '../plan/index.ts'
import { demoOrder, demoWorkshop } from '../plan/testing.ts'
import { bagAsk } from './asks.ts'
import { freeze } from './freeze.ts'
import { nextPlace } from './lit.ts'
import { restDue, stiffMinutes } from './rest.ts'
import { askedSubject, restSubject } from './subjects.ts'
import { tally } from './tally.ts'
import { timers } from './timers.ts'

const workshop = demoWorkshop()
const frozenOf = (icingKindId: string) => {
  const order = { ...demoOrder('observatory'), icingKindId }
  return freeze(order, planOrder(order, workshop), workshop)
}
const frozen = frozenOf('butter-sugar')
const START = Date.UTC(2027, 7, 14, 8)
const ms = (minute: number) => START + minute * 60_000
let made = 0
const note = (
  stepId: string,
  kind: BenchEvent['kind'],
  minute: number,
  more: Partial<BenchEvent> = {},
): BenchEvent => ({
  ...{ id: `e${made++}`, stepId, kind, by: 'Ada', amount: null, note: null },
  at: new Date(ms(minute)).toISOString(),
  ...more,
})
const stiffStep = frozen.steps.find(
  (s) => s.kind === 'nails' && frozen.plan.uses.find((u) => u.id === s.useIds[0])!.stiffness === 'stiff',
)!
const fillOf = (bag: number) => frozen.steps.find((s) => s.kind === 'fill' && s.bags[0] === bag)!

describe('the icing in a bag', () => {
  const bag = stiffStep.bags[0]!
  const good = timesOf(workshop.icings.find((i) => i.id === 'butter-sugar')!).bagMinutes
  const asks = (events: BenchEvent[], minute: number, step: BenchStep = stiffStep) =>
    bagAsk(step, frozen, tally(frozen.steps, events), events, ms(minute))

  it('is asked about once it has been out for as long as it is good, at a step that pipes from it', () => {
    const filled = [note(fillOf(bag).id, 'tap', 0)]
    expect(asks(filled, good - 1)).toBeNull()
    expect(asks(filled, good)).toMatchObject({ bag, changed: 'It has slackened' })
    expect(asks(filled, good)!.question).toContain(
      `wants ${frozen.plan.bags.find((b) => b.number === bag)!.stiffness} icing`,
    )
    expect(asks(filled, good, frozen.steps.find((s) => s.kind === 'base')!)).toBeNull()
    expect(asks([], good)).toBeNull()
  })
  it('is asked about again only as long after the last answer', () => {
    const answered = [
      note(fillOf(bag).id, 'tap', 0),
      note(askedSubject(bag), 'asked', good + 2, { amount: 1 }),
    ]
    expect(asks(answered, 2 * good + 1)).toBeNull()
    expect(asks(answered, 2 * good + 2)).not.toBeNull()
    expect(tally(frozen.steps, answered).strays).toEqual([])
  })
  it('crusts where it dries, and does not slacken', () => {
    const drying = workshop.icings.find((i) => i.can.dryHard)!
    const royal = frozenOf(drying.id)
    const step = royal.steps.find((s) => s.kind === 'nails')!
    const filled = royal.steps
      .filter((s) => s.kind === 'fill' && s.bags.some((b) => step.bags.includes(b)))
      .map((s) => note(s.id, 'tap', 0))
    const ask = bagAsk(step, royal, tally(royal.steps, filled), filled, ms(timesOf(drying).bagMinutes))
    expect(ask!.changed).toBe('It has crusted')
  })
})

describe('the rest of a hand', () => {
  const { restAfterMinutes, restMinutes } = workshop.settings.day
  const soft = frozen.steps.find((s) => s.kind === 'mix')!
  /** A tap every five minutes from one minute to another. */
  const piping = (from: number, to: number, step = stiffStep, by = 'Ada') =>
    Array.from({ length: (to - from) / 5 + 1 }, (_, i) => note(step.id, 'tap', from + 5 * i, { by }))

  it('is due after so many minutes of stiff piping in a row, by that hand and no other', () => {
    expect(stiffMinutes(frozen, piping(0, 30), 'Ada')).toBe(30)
    expect(restDue(frozen, piping(0, restAfterMinutes - 5), 'Ada')).toBe(false)
    expect(restDue(frozen, piping(0, restAfterMinutes), 'Ada')).toBe(true)
    expect(restDue(frozen, piping(0, restAfterMinutes), 'Bea')).toBe(false)
    // minutes at the bowl are no squeezing
    expect(stiffMinutes(frozen, [...piping(0, 20), ...piping(25, 40, soft), ...piping(45, 50)], 'Ada')).toBe(
      30,
    )
  })
  it('begins anew after a pause as long as a rest, or after one that was called so; the timer runs by the wall', () => {
    expect(
      stiffMinutes(frozen, [...piping(0, 30), ...piping(30 + restMinutes, 45 + restMinutes)], 'Ada'),
    ).toBe(15)
    const rested = [...piping(0, 40), note(restSubject('Ada'), 'rest', 41, { amount: 10 })]
    expect(stiffMinutes(frozen, rested, 'Ada')).toBe(0)
    const of = tally(frozen.steps, rested)
    expect(of.strays).toEqual([])
    const [rest] = timers(frozen.steps, of, rested).filter((t) => t.kind === 'rest')
    expect(rest).toMatchObject({ what: 'Ada', startedAt: ms(41), endsAt: ms(51), rung: null })
    const heard = [...rested, note(restSubject('Ada'), 'rung', 52)]
    expect(timers(frozen.steps, tally(frozen.steps, heard), heard).find((t) => t.kind === 'rest')!.rung).toBe(
      ms(52),
    )
  })
})

describe('the next place', () => {
  it('goes through every place of every piece once, and is nowhere when all stand', () => {
    const steps = frozen.steps.filter((s) => s.kind === 'place')
    let seen = 0
    for (const step of steps) {
      const piece = frozen.order.pieces.find((p) => p.id === step.pieceId)!
      if (piece.layouts.length === 0) continue
      const placed = new Set(
        step.useIds.flatMap((id) => frozen.plan.uses.find((u) => u.id === id)!.placedId ?? []),
      )
      const wanted = piecesOfEach(piece).flatMap((wearing, layout) =>
        Array.from({ length: wearing }).flatMap(() =>
          piece.layouts[layout]!.sites.filter((s) => placed.has(s.placedId)).map((s) => `${layout} ${s.id}`),
        ),
      )
      const lit = wanted.map((_, count) => nextPlace(step, frozen, count)!)
      expect(lit.map((n) => `${n.layout} ${n.siteId}`)).toEqual(wanted)
      expect(new Set(lit.map((n) => n.piece)).size).toBe(piece.count)
      expect(nextPlace(step, frozen, wanted.length)).toBeNull()
      expect(wanted.length).toBe(step.wanted)
      seen += 1
    }
    expect(seen).toBeGreaterThan(1)
  })
})
