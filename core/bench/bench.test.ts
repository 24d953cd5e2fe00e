import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type BenchEvent, type BenchStep, benchEventSchema, frozenSchema } from '../model/bench.ts'
import { planOrder } from '../plan/index.ts'
import { flowersPiped } from '../plan/piped.ts'
import { demoOrder, demoWorkshop } from '../plan/testing.ts'
import { formatWeight } from '../units.ts'
import { lookalikes } from './confusable.ts'
import { differs } from './differs.ts'
import { freeze } from './freeze.ts'
import { tally } from './tally.ts'
import { timers } from './timers.ts'
import { heldBy, nextFor, progress, takenWith } from './turn.ts'
import { between } from './within.ts'
import { titleOf } from './words.ts'

const workshop = demoWorkshop()
const order = demoOrder('observatory')
const plan = planOrder(order, workshop)
const frozen = freeze(order, plan, workshop)
const { steps } = frozen
const grams = (g: number) => formatWeight(g, 'grams')

const NOON = Date.parse('2027-08-14T12:00:00.000Z')
let made = 0
const uuid = () => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`
/** An event, so many minutes after noon. */
const at = (minute: number, stepId: string, kind: BenchEvent['kind'], more: Partial<BenchEvent> = {}) =>
  benchEventSchema.parse({
    ...{ id: uuid(), stepId, kind, at: new Date(NOON + minute * 60_000).toISOString() },
    ...{ by: null, amount: null, note: null },
    ...more,
  })
const kinds = (kind: BenchStep['kind']) => steps.filter((s) => s.kind === kind)

describe('bags that are taken together', () => {
  it('are those that follow each other and are free; anything else is taken alone', () => {
    const fills = kinds('fill')
    const run = fills.filter((s, i) => i === 0 || steps.indexOf(s) === steps.indexOf(fills[i - 1]!) + 1)
    expect(run.length).toBeGreaterThan(1)
    const none = tally(steps, [])
    const all = takenWith(run[0]!, steps, none)
    expect(all.map((s) => s.kind)).toEqual(all.map(() => 'fill'))
    expect(all.length).toBeGreaterThan(1)
    const taken = tally(steps, [at(1, all[1]!.id, 'take', { by: 'Bea' })])
    expect(takenWith(all[0]!, steps, taken)).toEqual([all[0]])
    const [nails] = kinds('nails')
    expect(takenWith(nails!, steps, none)).toEqual([nails])
  })
})

describe('the steps of a run', () => {
  it('are all that the plan makes: every bowl, every bag, every flower on its nail and back on its piece', () => {
    expect(
      kinds('mix')
        .flatMap((s) => s.batchIds)
        .sort(),
    ).toEqual(plan.batches.map((b) => b.id).sort())
    expect(
      kinds('fill')
        .flatMap((s) => s.bags)
        .sort((a, b) => a - b),
    ).toEqual(plan.bags.map((b) => b.number))
    const nails = new Map(
      plan.uses.filter((u) => u.setting === 'nail').map((u) => [`${u.pieceId} ${u.placedId}`, u]),
    )
    const sum = (list: BenchStep[]) => list.reduce((all, s) => all + s.wanted, 0)
    const wanted = [...nails.values()].reduce((all, u) => all + flowersPiped(u) - u.practice, 0)
    expect(sum(kinds('nails'))).toBe(wanted)
    expect(sum(kinds('place'))).toBe([...nails.values()].reduce((all, u) => all + u.flowers, 0))
    expect(kinds('cold')).toHaveLength(nails.size)
    // every layer that is piped is in a step of its own turn, and in no two
    const piped = steps.filter((s) => ['nails', 'inPlace', 'border', 'letter'].includes(s.kind))
    expect(piped.flatMap((s) => s.useIds).sort()).toEqual(
      plan.uses
        .filter((u) => u.form !== 'coat')
        .map((u) => u.id)
        .sort(),
    )
    expect(steps.reduce((all, s) => all + s.minutes, 0)).toBeGreaterThan(plan.totals.handsOnMinutes)
  })

  it('come in an order in which each can be done, whatever the bakery’s hours are', () => {
    const { day } = workshop.settings
    const closed = { ...workshop.settings, day: { ...day, week: day.week.map(() => null) } }
    for (const list of [steps, freeze(order, plan, { ...workshop, settings: closed }).steps]) {
      const done = new Set<string>()
      for (const s of list) {
        for (const { id } of s.after) expect([s.id, done.has(id)]).toEqual([s.id, true])
        done.add(s.id)
      }
      expect(done.size).toBe(list.length)
    }
  })

  it('are frozen with all that they are worked with, as a document of its own', () => {
    const read = frozenSchema.parse(JSON.parse(JSON.stringify(frozen)))
    expect(read).toEqual(frozen)
    // what is planned from the copy is the plan in it: nothing that it needs is missing
    expect(planOrder(read.order, read.workshop).bags).toEqual(plan.bags)
    expect(read.workshop.flowers.length).toBeLessThan(workshop.flowers.length)
  })
})

describe('what has been done', () => {
  const [step] = kinds('nails')
  const id = step!.id
  it('is the taps less those taken back, done when all are there, and open again when one is taken back', () => {
    const taps = Array.from({ length: step!.wanted }, (_, i) => at(i, id, 'tap'))
    const all = tally(steps, taps).of.get(id)!
    expect(all).toMatchObject({ count: step!.wanted, done: true, doneAt: Date.parse(taps.at(-1)!.at) })
    const fewer = tally(steps, [...taps, at(60, id, 'back')]).of.get(id)!
    expect(fewer).toMatchObject({ count: step!.wanted - 1, done: false, doneAt: null })
    const enough = tally(steps, [...taps.slice(0, 3), at(61, id, 'done'), at(62, id, 'spoiled')]).of.get(id)!
    expect(enough).toMatchObject({ count: 3, done: true, spoiled: 1 })
    // another tablet's tap that comes late does not open it again
    expect(tally(steps, [at(1, id, 'done'), at(2, id, 'tap')]).of.get(id)).toMatchObject({
      count: 1,
      done: true,
    })
    expect(tally(steps, [at(1, id, 'back'), at(2, id, 'back')]).of.get(id)!.count).toBe(0)
  })

  it('is the same in whatever order and however often two tablets hear of it', () => {
    const kind = fc.constantFrom<BenchEvent['kind']>(
      'tap',
      'back',
      'spoiled',
      'done',
      'again',
      'take',
      'leave',
    )
    const event = fc
      .record({
        kind,
        minute: fc.integer({ min: 0, max: 20 }),
        who: fc.constantFrom('Ada', 'Bo'),
        which: fc.nat(3),
      })
      .map((e) => at(e.minute, steps[e.which]!.id, e.kind, { by: e.who }))
    fc.assert(
      fc.property(fc.array(event, { maxLength: 40 }), fc.infiniteStream(fc.nat()), (events, random) => {
        const shuffled = [...events, ...events.slice(0, 5)]
          .map((e) => ({ e, k: random.next().value! }))
          .sort((a, b) => a.k - b.k)
          .map(({ e }) => e)
        expect([...tally(steps, shuffled).of]).toEqual([...tally(steps, events).of])
      }),
      { numRuns: 60, seed: 3 },
    )
  })

  it('keeps what was noted of a step that is no more, and counts nothing of it', () => {
    const stray = at(1, 'pipe gone', 'tap')
    const { of, strays } = tally(steps, [stray, at(2, id, 'tap')])
    expect(strays).toEqual([stray])
    expect([...of.values()].reduce((all, s) => all + s.count, 0)).toBe(1)
  })
})

describe('whose turn it is', () => {
  const [base, ...rest] = steps
  it('is the base first; then it waits for the mixer, and nobody is sent to what another has taken', () => {
    const none = tally(steps, [])
    expect(nextFor(steps, none, [], NOON, null)).toBe(base)
    const events = [at(0, base!.id, 'tap')]
    const one = tally(steps, events)
    const running = timers(steps, one, events)
    expect(running).toMatchObject([{ kind: 'whip', minutes: workshop.settings.day.whipMinutes, rung: null }])
    expect(nextFor(steps, one, running, NOON + 60_000, null)).toBeNull()
    const over = NOON + 11 * 60_000
    const first = nextFor(steps, one, running, over, 'Ada')!
    expect(first).toBe(rest[0])
    const taken = tally(steps, [...events, at(1, first.id, 'take', { by: 'Ada' })])
    expect(nextFor(steps, taken, running, over, 'Ada')).toBe(first)
    // one bowl is one pair of hands' work: the other begins with another colour
    expect(nextFor(steps, taken, running, over, 'Bo')!.colourIds).not.toEqual(first.colourIds)
    // somebody who looks sees that it is whipped, and need not wait for the clock
    const heard = timers(steps, one, [...events, at(2, base!.id, 'rung')])
    expect(heldBy(first, one, heard, NOON + 3 * 60_000)).toBeNull()
  })

  it('is another flower from the same bag while the first ones freeze, and their lifting when they are frozen', () => {
    const [first, second] = steps.filter((s) => s.kind === 'nails' && s.what === 'Dahlia')
    const upTo = steps.slice(0, steps.indexOf(second!))
    const events = upTo.flatMap((s) => Array.from({ length: s.wanted }, () => at(0, s.id, 'tap')))
    const now = tally(steps, events)
    const running = timers(steps, now, events)
    const cold = steps[steps.indexOf(first!) + 1]!
    expect(running.map((t) => t.stepId)).toContain(cold.id)
    // the mixer has stopped, and nothing is frozen yet
    const soon = NOON + 20 * 60_000
    expect(second!.after.map((a) => a.id)).toContain(cold.id)
    expect(heldBy(second!, now, running, soon)).toBeNull()
    const lifting = steps.find((s) => s.kind === 'place' && s.after.some((a) => a.id === cold.id))!
    const ready = tally(steps, [
      ...events,
      ...steps.filter((s) => s.kind === 'spread').map((s) => at(0, s.id, 'done')),
    ])
    expect(heldBy(lifting, ready, running, soon)).toMatchObject({ kind: 'timer', timer: { stepId: cold.id } })
    expect(heldBy(lifting, ready, running, NOON + cold.wait!.minutes * 60_000)).toBeNull()
  })

  it('lets two fill bags side by side, and pipe as soon as its own bags are filled', () => {
    const fills = kinds('fill')
    const mixed = steps.filter((s) => ['base', 'mix', 'thin'].includes(s.kind)).map((s) => at(0, s.id, 'tap'))
    const later = NOON + 24 * 3_600_000
    const of = (events: BenchEvent[]) => {
      const now = tally(steps, events)
      return { now, running: timers(steps, now, events) }
    }
    const ready = of(mixed)
    for (const s of fills) expect(heldBy(s, ready.now, ready.running, later)).toBeNull()
    const practice = steps.find((s) => s.kind === 'practise' && s.what === 'Dahlia')!
    const own = fills.filter((s) => practice.bags.includes(s.bags[0]!)).map((s) => at(1, s.id, 'tap'))
    expect(own).toHaveLength(3)
    const filled = of([...mixed, ...own])
    expect(heldBy(practice, filled.now, filled.running, later)).toBeNull()
    const short = of([...mixed, ...own.slice(1)])
    expect(heldBy(practice, short.now, short.running, later)).toMatchObject({ kind: 'step' })
  })

  it('comes to all of it when every step is done in turn', () => {
    const events: BenchEvent[] = []
    for (let i = 0; ; i++) {
      const now = tally(steps, events)
      const soon = NOON + i * 24 * 3_600_000
      const next = nextFor(steps, now, timers(steps, now, events), soon, null)
      if (!next) break
      for (let n = 0; n < next.wanted; n++) events.push(at(i * 24 * 60, next.id, 'tap'))
    }
    expect(progress(steps, tally(steps, events))).toEqual({ done: steps.length, of: steps.length, share: 1 })
  })
})

describe('a timer', () => {
  const cold = kinds('cold')[0]!
  it('runs by the clock from when its step was done, may be set anew, and is over when it was heard', () => {
    const done = at(0, cold.id, 'tap')
    const of = (events: BenchEvent[]) => timers(steps, tally(steps, events), events)[0]
    expect(of([done])).toMatchObject({ endsAt: NOON + cold.wait!.minutes * 60_000, rung: null })
    const longer = at(10, cold.id, 'timer', { amount: 90 })
    expect(of([done, longer])).toMatchObject({ minutes: 90, endsAt: NOON + 100 * 60_000 })
    expect(of([done, at(50, cold.id, 'rung')])!.rung).toBe(NOON + 50 * 60_000)
    // done once more, it rings once more
    const again = [done, at(50, cold.id, 'rung'), at(55, cold.id, 'again'), at(60, cold.id, 'done')]
    expect(of(again)).toMatchObject({ startedAt: NOON + 60 * 60_000, rung: null })
    expect(of([done, at(1, cold.id, 'back')])).toBeUndefined()
  })
})

describe('an order that has changed since', () => {
  it('is told by pieces, grams of each colour, and bags that are labelled otherwise', () => {
    expect(differs(frozen, order, plan, grams)).toEqual([])
    const more = {
      ...order,
      pieces: order.pieces.map((p) => (p.id === 'cookies' ? { ...p, count: p.count + 6 } : p)),
    }
    const then = planOrder(more, workshop)
    const said = differs(frozen, more, then, grams)
    expect(said[0]).toBe('6 more of Round cookies.')
    const mixed = (of: typeof plan, id: string) =>
      of.batches.reduce((sum, b) => sum + (b.colourId === id ? b.grams : 0), 0)
    const dusk = mixed(then, 'dusk') - mixed(plan, 'dusk')
    expect(dusk).toBeGreaterThan(5)
    expect(said).toContain(`${grams(dusk)} of Dusk are missing.`)
    const back = differs({ order: more, plan: then }, order, plan, grams)
    expect(back[0]).toBe('6 fewer of Round cookies.')
  })
})

describe('within a step', () => {
  const filled = (fillings: number) => ({
    ...frozen,
    plan: { ...plan, bags: plan.bags.map((b) => (b.number === 3 ? { ...b, fillings } : b)) },
  })
  const dahlias = steps.filter((s) => s.kind === 'nails' && s.bags.includes(3))
  it('a bag is filled again before a flower that it would not last for, over all steps that it serves', () => {
    const stops = (fillings: number) =>
      dahlias.map((s) => between(s, filled(fillings)).flatMap((b) => (b.bag === 3 ? [b.at] : [])))
    expect(stops(1)).toEqual([[], []])
    // each dahlia takes alike; what is practised is gone before, and what is kept back for mishaps is in the filling too
    const bag = plan.bags.find((b) => b.number === 3)!
    const petals = plan.uses.filter((u) => bag.useIds.includes(u.id) && u.flowerId === 'dahlia')
    const all = (of: 'piped' | 'spoiled' | 'practice') =>
      petals.reduce((sum, u) => sum + u.parts.reduce((g, p) => g + p[of], 0), 0)
    const each = (all('piped') + all('spoiled')) / 17
    const lasts = Math.floor(((bag.grams - bag.residueGrams) / 2 - all('practice')) / each)
    expect(lasts).toBeGreaterThan(8)
    expect(stops(2)).toEqual([[lasts], []])
    expect(stops(4).flat()).toHaveLength(3)
  })

  it('a tip is wiped after so many strokes, never within a flower', () => {
    const wiped = (every: number) =>
      between(dahlias[0]!, {
        ...frozen,
        workshop: { ...workshop, settings: { ...workshop.settings, wipeEveryStrokes: every } },
      }).map((b) => b.at)
    // a dahlia is a dome, rows of 15, 14, 12, 10 and 8, and a heart: 61 strokes
    expect(wiped(183)).toEqual([3, 6, 9, 12])
    expect(wiped(1)).toHaveLength(dahlias[0]!.wanted - 1)
  })
})

describe('a bag that is easily taken for another', () => {
  it('has the tip or the colour of the one that is wanted, and is told apart in words', () => {
    const bag = (n: number) => plan.bags.find((b) => b.number === n)!
    const of = lookalikes(bag(21), plan, workshop.tips)
    expect(of.map((l) => l.number)).not.toContain(21)
    // heather from another opening comes before anything in another colour and another tip
    expect(of[0]).toEqual({ number: 22, words: 'another tip, same colour' })
    for (const b of plan.bags)
      for (const { number, words } of lookalikes(b, plan, workshop.tips))
        expect(words.startsWith('same tip')).toBe(bag(number).tipIds[0] === b.tipIds[0])
  })
})

it('has the drills of an order as steps of their own, before anything is piped', () => {
  const drilled = { ...order, drills: [{ drill: 'shells', label: 'Shells round a circle', minutes: 6 }] }
  const own = freeze(drilled, planOrder(drilled, workshop), workshop).steps
  const first = own.findIndex((s) => s.kind === 'drill')
  expect(titleOf(own[first]!)).toBe('Practise: Shells round a circle')
  expect(own[first]).toMatchObject({ id: 'practise shells', minutes: 6, bags: [], wanted: 1 })
  const piped = own.findIndex((s) => ['practise', 'nails', 'inPlace', 'border', 'letter'].includes(s.kind))
  expect(first).toBeLessThan(piped)
})
