import { describe, expect, it } from 'vitest'
import { type DaySettings, NOTHING_SETTLED, type Settled } from '../model/day.ts'
import { type Order, orderSchema } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { newOrder } from '../orders/new.ts'
import { letAllGo, letGo, settleOrder, settleStart } from '../orders/settled.ts'
import { planFigures } from '../plan/index.ts'
import { allIn, demoOrder, demoWorkshop, wearing } from '../plan/testing.ts'
import { dayOf, minuteOf, momentOf, weekdayOf } from './clock.ts'
import { BenchDays } from './day.ts'
import { loadByDay } from './load.ts'
import { orderWork } from './problem.ts'
import { wrongOnBench } from './testing.ts'
import { perTray } from './trays.ts'

const workshop = demoWorkshop()
const withDay = (day: Partial<DaySettings>): Workshop => ({
  ...workshop,
  settings: { ...workshop.settings, day: { ...workshop.settings.day, ...day } },
})
const hands = (n: number): DaySettings['hands'] =>
  Array.from({ length: n }, (_, i) => ({ name: `Hands ${i + 1}`, pipes: true }))
const planned = (order: Order, shop = workshop) => ({ order, plan: planFigures(order, shop) })
const days = (orders: Order | Order[], day: Partial<DaySettings> = {}) => {
  const shop = withDay(day)
  return new BenchDays(
    [orders].flat().map((o) => planned(o, shop)),
    shop,
  )
}
const tableOf = (orders: Order | Order[], day: Partial<DaySettings> = {}) => {
  const { table, faults } = days(orders, day).answer(null)
  expect(faults).toEqual([])
  return table!
}
const demo = demoOrder('observatory')
/** A dozen cupcakes with a rose each: small enough to reckon with by hand. */
const roses = (more: object = {}): Order =>
  wearing(12, [{ ...allIn('rose', 'c'), id: 'f', sizeMm: 55 }], {
    colours: [{ id: 'c', name: 'Cream', hex: '#efe6cd' }],
    ...more,
  })
const settled = (order: Order, more: Partial<Settled>): Order => ({
  ...order,
  settled: { ...NOTHING_SETTLED, ...more },
})

describe('the work of an order', () => {
  it('has its drills before anything is piped, by hands that pipe', () => {
    const drills = [{ drill: 'petals', label: 'Five petals', minutes: 7 }]
    const { tasks } = tableOf(roses({ drills }))
    const [drill] = tasks.filter((t) => t.kind === 'practise')
    expect([drill!.what, drill!.to - drill!.from]).toEqual(['Five petals', 7])
    for (const t of tasks) if (t.kind === 'pipe') expect(t.from).toBeGreaterThanOrEqual(drill!.to)
  })
  it('takes as many minutes as the plan says, and what is done besides', () => {
    for (const order of [demo, demoOrder('allotment'), demoOrder('reading-room')]) {
      const { plan } = planned(order)
      const { activities } = orderWork(order, plan, workshop)
      const minutes = (...kinds: string[]) =>
        activities.reduce((sum, a) => sum + (kinds.includes(a.kind) ? a.minutes : 0), 0)
      expect(minutes('base')).toBeCloseTo(plan.hands.base, 6)
      expect(minutes('mix')).toBeCloseTo(plan.hands.bowls, 6)
      expect(minutes('fill')).toBeCloseTo(plan.hands.bags + plan.hands.kept, 6)
      expect(minutes('spread')).toBeCloseTo(plan.hands.coats, 6)
      const { piping, changes, nails, setOns } = plan.hands
      expect(minutes('pipe', 'work', 'lift', 'setOn')).toBeCloseTo(piping + changes + nails + setOns, 6)
      expect(minutes('wash')).toBe(20)
      // in whole minutes they come to the same, but for what would take none
      const table = tableOf(order)
      const all = activities.reduce((sum, a) => sum + a.minutes, 0)
      const again = table.tasks.reduce((sum, t) => sum + Math.round(1.2 * t.notes.length), 0)
      expect(Math.abs(table.handsOnMinutes - again - all)).toBeLessThan(2)
    }
    // a cake of two tiers is stacked once, 12 minutes; 18, 18 and 24 pieces in boxes of a dozen, 12 in one, and the cake: 8 boxes of 2
    const { activities } = orderWork(demo, planned(demo).plan, workshop)
    const of = (kind: string) => activities.filter((a) => a.kind === kind)
    expect(of('stack').map((a) => a.minutes)).toEqual([12])
    expect(of('box').reduce((sum, a) => sum + a.minutes, 0)).toBe(16)
  })

  it('is the same by night, and ends in time', () => {
    for (const n of [1, 2, 3]) {
      const table = tableOf(demo, { hands: hands(n) })
      expect(wrongOnBench([planned(demo)], withDay({ hands: hands(n) }), table)).toEqual([])
      expect(table.to).toBeLessThanOrEqual(minuteOf(demo.collectAt) - 30)
      expect(table.hands.reduce((sum, h) => sum + h.minutes, 0)).toBe(table.handsOnMinutes)
    }
  })

  it('is known as wrong by whoever looks when it is', () => {
    const table = tableOf(demo)
    const seen = (change: (t: (typeof table.tasks)[number]) => object) =>
      wrongOnBench([planned(demo)], workshop, {
        ...table,
        tasks: table.tasks.map((t) => ({ ...t, ...change(t) })),
      }).join('\n')
    const at = (id: string) => table.tasks.find((t) => t.id === id)!
    expect(seen((t) => (t.kind === 'wash' ? { from: t.from + 60, to: t.to + 60 } : {}))).toMatch(
      /after it is due/,
    )
    const nails = at('pipe cup-dahlia d1')
    const soon = { from: nails.to, to: nails.to + 2 }
    expect(seen((t) => (t.id === 'lift cup-dahlia d1' ? soon : {}))).toMatch(/d1 is lifted before it is firm/)
    expect(seen((t) => (t.kind === 'base' ? { from: t.from + 120, to: t.to + 120 } : {}))).toMatch(
      /before the base/,
    )
    expect(seen((t) => (t.kind === 'stack' ? { from: t.from + 200, to: t.to + 200 } : {}))).toMatch(
      /before it is stacked/,
    )
    expect(wrongOnBench([planned(demo)], workshop, { ...table, tasks: table.tasks.slice(1) })).not.toEqual([])
  })

  it('freezes a flower by its width, or as long as its recipe says, and dries what dries', () => {
    const gap = (order: Order, shop = workshop) => {
      const { table } = new BenchDays([planned(order, shop)], shop).answer(null)
      const last = Math.max(...table!.tasks.filter((t) => t.kind === 'pipe').map((t) => t.to))
      const stay = table!.stays.find((s) => s.kind === 'freeze' || s.kind === 'dry')!
      return { kind: stay.kind, place: stay.place, minutes: stay.to - stay.from, last }
    }
    // 25 mm takes 20 min, 55 mm an hour; half way between, forty
    expect(gap(roses())).toMatchObject({ kind: 'freeze', place: 'freezer', minutes: 60 })
    const of = (sizeMm: number) =>
      roses({}).pieces.map((p) => ({ ...p, flowers: p.flowers.map((f) => ({ ...f, sizeMm })) }))
    expect(gap({ ...roses(), pieces: of(40) }).minutes).toBe(40)
    const slow = {
      ...workshop,
      flowers: workshop.flowers.map((f) => (f.id === 'rose' ? { ...f, firmMinutes: 95 } : f)),
    }
    expect(gap(roses(), slow).minutes).toBe(95)
    expect(gap(roses({ icingKindId: 'royal' }))).toMatchObject({ kind: 'dry', place: 'rack', minutes: 900 })
  })

  it('mixes deep colours early, lets them deepen over night, and shows when', () => {
    const deep = roses({ colours: [{ id: 'c', name: 'Ink', hex: '#22222e' }] })
    const table = tableOf(deep)
    const mixed = table.tasks.find((t) => t.kind === 'mix')!
    const filled = table.tasks.find((t) => t.kind === 'fill')!
    expect(filled.from - mixed.to).toBeGreaterThanOrEqual(480)
    const pale = tableOf(roses())
    const soon =
      pale.tasks.find((t) => t.kind === 'fill')!.from - pale.tasks.find((t) => t.kind === 'mix')!.to
    expect(soon).toBeLessThan(60)
  })

  it('says what must be made days before, and which piece stands too long out of the cold', () => {
    const violet = {
      ...{
        id: 'violet',
        name: 'Sugar violets',
        kind: 'sugarFlower' as const,
        widthMm: 18,
        heightMm: 6,
        grams: 1,
      },
      ...{ cost: 0, owned: null, hex: '#6a5a90', allergens: [], edible: 'yes' as const, labelWords: '' },
      ...{ smallHard: false, when: 'last' as const, daysAhead: 3 },
    }
    const [piece] = roses().pieces
    const order = {
      ...roses(),
      setOns: [violet],
      pieces: [{ ...piece!, setOns: [{ id: 's', setOnId: 'violet', perPiece: 2 }] }],
    }
    expect(tableOf(order).cautions).toEqual([
      'Sugar violets for Cupcakes is made by 2026-11-28, 3 days before collection.',
    ])
    expect(tableOf(roses()).cautions).toEqual([])
    const icings = workshop.icings.map((i) =>
      i.id === 'butter-sugar'
        ? {
            ...i,
            times: { coatMinutes: 5, smallMinutes: 20, largeMinutes: 60, bagMinutes: 10, outMinutes: 60 },
          }
        : i,
    )
    const shop = { ...workshop, icings }
    const { table } = new BenchDays([planned(demo, shop)], shop).answer(null)
    expect(table!.cautions.join('\n')).toMatch(
      /is worked on for .* without going back into the cold for 5 min/,
    )
  })

  it('pipes what is longer in portions, with a rest for the hand between them', () => {
    const many = roses({ pieces: [{ ...roses().pieces[0]!, count: 90 }] })
    const table = tableOf(many)
    const portions = table.tasks.filter((t) => t.kind === 'pipe')
    expect(portions.length).toBeGreaterThan(2)
    for (const p of portions) expect(p.to - p.from).toBeLessThanOrEqual(40)
    expect(portions[0]!.what).toMatch(/ 1 of \d+$| \d+ of \d+$/)
    expect(table.rests.length).toBeGreaterThan(0)
  })

  it('fills a bag again that would stand for longer than its icing stays good in it', () => {
    const icings = workshop.icings.map((i) =>
      i.id === 'butter-sugar'
        ? {
            ...i,
            times: { coatMinutes: 30, smallMinutes: 20, largeMinutes: 60, bagMinutes: 45, outMinutes: 1 },
          }
        : i,
    )
    const shop = { ...workshop, icings }
    const { table } = new BenchDays([planned(demo, shop)], shop).answer(null)
    const refilled = table!.tasks.filter((t) => t.notes.length > 0)
    expect(refilled.length).toBeGreaterThan(2)
    expect(refilled[0]!.notes[0]).toMatch(/^Before it, empty bag \d+, stir/)
    // its minutes are in the task
    expect(table!.handsOnMinutes).toBeGreaterThan(tableOf(demo).handsOnMinutes)
    expect(table!.cautions.join()).toMatch(/out of the cold for 1 min/)
    expect(tableOf(roses()).tasks.flatMap((t) => t.notes)).toEqual([])
  })
})

describe('several orders', () => {
  const second = { ...roses(), id: 'second', title: 'Second', collectAt: '2026-12-01T11:00' }
  it('share hands, and a bowl of an equal colour', () => {
    const both = [roses(), second]
    const table = tableOf(both)
    expect(
      wrongOnBench(
        both.map((o) => planned(o)),
        workshop,
        table,
      ),
    ).toEqual([])
    expect(table.tasks.filter((t) => t.kind === 'mix')).toHaveLength(1)
    expect(table.from).toBeLessThan(tableOf(roses()).from)
    // what the second order brings to the bowl is there before it is mixed
    const bowl = table.tasks.find((t) => t.kind === 'mix')!
    const bases = table.tasks.filter((t) => t.kind === 'base')
    expect(bases.map((b) => b.to + 10 <= bowl.from)).toEqual([true, true])
    // another colour is another bowl
    const other = { ...second, colours: [{ ...second.colours[0]!, hex: '#b06a80' }] }
    expect(tableOf([roses(), other]).tasks.filter((t) => t.kind === 'mix')).toHaveLength(2)
  })

  it('fill their days, and a day is overfull whose orders would have had to begin before now', () => {
    const both = [roses(), second]
    const shop = days(both)
    const now = minuteOf('2026-12-01T09:00')
    const { table, misfits } = shop.answer(now)
    expect(misfits.map((m) => m.kind)).toContain('late')
    const due = dayOf(minuteOf('2026-12-01T00:00'))
    const [load] = loadByDay(table!, workshop.settings.day, misfits, due, due)
    expect(load!.openMinutes).toBe(600)
    expect(load!.byOrder.reduce((sum, o) => sum + o.minutes, 0)).toBeLessThanOrEqual(load!.openMinutes)
    const before = table!.tasks.filter((t) => t.from < now).reduce((sum, t) => sum + t.to - t.from, 0)
    expect(load!.tooMuch).toBe(before)
    expect(loadByDay(table!, workshop.settings.day, [], due - 2, due - 2)[0]!.openMinutes).toBe(0)
  })
})

describe('what does not fit', () => {
  it('says by how much, and fits when what is offered is taken', () => {
    const now = minuteOf(demo.collectAt) - 5 * 60
    const flat = {
      ...demo,
      colours: demo.colours.map((c) => (c.id === 'night' ? { ...c, hex: '#6a6a80' } : c)),
    }
    const late = days(flat)
    const { misfits } = late.answer(now)
    expect(misfits).toMatchObject([{ kind: 'late', orderId: 'observatory', notBefore: now, isNow: true }])
    const offered = late.remedies(now)
    const more = offered.find((r) => r.label === 'One more pair of hands')!
    expect(more.fits).toBe(true)
    const taken = more.change.kind === 'day' ? more.change.day : {}
    expect(days(flat, taken).answer(now).misfits).toEqual([])
    // and the shortest way back: what fits has nothing to offer
    expect(days(flat, taken).remedies(now)).toEqual([])
  })

  it('starts the day before where somebody said that nothing begins so soon', () => {
    const order = settled(demo, { notBefore: demo.collectAt.replace('14:00', '08:00') })
    const tight = days(order)
    expect(tight.answer(null).misfits).toMatchObject([{ kind: 'late', isNow: false }])
    const [remedy] = tight.remedies(null).filter((r) => r.change.kind === 'notBefore')
    expect(remedy).toMatchObject({ label: 'Start the day before', fits: true })
    const at = remedy!.change.kind === 'notBefore' ? remedy!.change.at : ''
    expect(days(settled(demo, { notBefore: at })).answer(null).misfits).toEqual([])
  })

  it('offers as many trays more as it takes', () => {
    const small = { freezerTrays: 0 }
    const full = days(roses(), small)
    expect(full.answer(null).misfits).toMatchObject([{ kind: 'full', store: 'freezer', takes: 0 }])
    const [remedy] = full.remedies(null)
    expect(remedy).toMatchObject({ label: 'One more tray in the freezer', fits: true })
  })
})

describe('what is locked', () => {
  const base = tableOf(roses())
  const wash = base.tasks.find((t) => t.kind === 'wash')!
  it('stays where it is, and lets the rest go round it', () => {
    const mix = base.tasks.find((t) => t.kind === 'mix')!
    const at = momentOf(mix.from - 60)
    const table = tableOf(settleStart(roses(), mix.id, at))
    expect(table.tasks.find((t) => t.id === mix.id)).toMatchObject({ from: mix.from - 60, settled: true })
    expect(table.from).toBeLessThan(base.from)
    expect(wrongOnBench([planned(roses())], workshop, table)).toEqual([])
    // let go, all is as before
    expect(tableOf(letGo(settleStart(roses(), mix.id, at), [mix.id]))).toEqual(base)
    expect(settleStart(settleStart(roses(), mix.id, at), mix.id, at).settled.starts).toHaveLength(1)
  })

  it('can be an order of two tasks, and the other way round lets the first one go', () => {
    const box = base.tasks.find((t) => t.kind === 'box')!
    const wet = settleOrder(settleOrder(roses(), box.id, wash.id), wash.id, box.id)
    expect(wet.settled.orders).toEqual([{ firstId: wash.id, thenId: box.id }])
    const table = tableOf(wet)
    const [w, b] = [wash.id, box.id].map((id) => table.tasks.find((t) => t.id === id)!)
    expect(b!.from).toBeGreaterThanOrEqual(w!.to)
    expect(letAllGo(wet).settled).toEqual(NOTHING_SETTLED)
  })

  it('on something that is gone is told of, and changes nothing', () => {
    const order = settled(roses(), { starts: [{ taskId: 'pipe gone f', at: '2026-12-01T09:00' }] })
    const table = tableOf(order)
    expect(table.lost).toEqual([{ orderId: 'a', taskId: 'pipe gone f' }])
    expect(table.from).toBe(base.from)
  })

  it.each([
    ['settled-past', [[wash.id, '2026-11-30T12:00']], /The locked start of “Wash up” is past/],
    ['settled-late', [[wash.id, '2026-12-01T09:40']], /too late/],
    ['settled-closed', [[wash.id, '2026-12-01T07:00']], /outside your opening hours/],
    [
      'settled-contradict',
      [
        ['box p', '2026-12-01T08:05'],
        [wash.id, '2026-12-01T08:00'],
      ],
      /locked to the same time/,
    ],
    [
      'settled-contradict',
      [
        ['pipe p f', '2026-12-01T08:20'],
        ['box p', '2026-12-01T08:30'],
      ],
      /cannot begin before/,
    ],
  ])('and cannot be is refused in words: %s', (code, starts, words) => {
    const order = settled(roses(), { starts: starts.map(([taskId, at]) => ({ taskId: taskId!, at: at! })) })
    const { table, faults } = days(order).answer(minuteOf('2026-12-01T06:00'))
    expect(table).toBeNull()
    expect(faults.map((f) => f.code)).toContain(code)
    expect(faults.map((f) => f.message).join()).toMatch(words)
    expect(days(order).remedies(0)).toEqual([])
    expect(days(order).hands(null).length === 0 || code === 'settled-past').toBe(true)
  })

  it('round in a circle is refused with what goes round', () => {
    const order = settled(roses(), { orders: [{ firstId: 'box p', thenId: 'pipe p f' }] })
    const [fault] = days(order).answer(null).faults
    expect(fault).toMatchObject({ code: 'settled-circle', about: { kind: 'order', orderId: 'a' } })
    expect(fault!.message).toMatch(/before “Box: Box, Cupcakes”/)
  })
})

describe('settings that nobody can work by', () => {
  const closed = workshop.settings.day.week.map(() => null)
  it.each([
    ['never-open', { week: closed }, /every day is closed/],
    ['no-hours', { week: [{ from: 480, to: 480 }, ...closed.slice(1)] }, /Monday has none/],
    ['nobody-pipes', { hands: [{ name: 'Trainee', pipes: false }] }, /nobody of them pipes/],
    ['rest-too-long', { restMinutes: 10_080 }, /longer than a week/],
    [
      'stretch-too-long',
      { week: [{ from: 480, to: 500 }, ...closed.slice(1)] },
      /your longest day, which has 20 min/,
    ],
  ])('are named, with what to do: %s', (code, day, words) => {
    const { table, faults } = days(roses(), day).answer(null)
    expect(table).toBeNull()
    const fault = faults.find((f) => f.code === code)!
    expect(fault.message).toMatch(words)
    expect(fault.about.kind).toBe('settings')
  })

  it('are not blamed for an order that is too much for one timetable', () => {
    const [piece] = roses().pieces
    const flowers = ['f', 'g', 'h', 'i'].map((id) => ({ ...piece!.flowers[0]!, id }))
    const huge = roses({ pieces: [{ ...piece!, count: 5000, flowers }] })
    const [fault] = days(huge).answer(null).faults
    expect(fault!.code).toBe('too-much-work')
    expect(fault!.message).toMatch(/Split the order/)
  })
})

it('has nothing to do for an order of nothing', () => {
  const table = tableOf(orderSchema.parse(newOrder('a', 'Empty', '2026-12-01T10:00', 'butter-sugar')))
  expect(table.tasks).toEqual([])
  expect(table.from).toBe(minuteOf('2026-12-01T09:30'))
})

it('reckons with the calendar on the wall', () => {
  // 28 November 2026 is a Saturday
  expect(weekdayOf(dayOf(minuteOf('2026-11-28T14:00')))).toBe(5)
  expect(momentOf(minuteOf('2026-03-29T02:30'))).toBe('2026-03-29T02:30')
  // 65 mm and 8 between them: five in a row of 400, four rows in 300; a cake of 500 takes a place of its own
  expect(perTray({ trayWideMm: 400, trayDeepMm: 300 }, 65, 65)).toBe(20)
  expect(perTray({ trayWideMm: 400, trayDeepMm: 300 }, 500, 500)).toBe(1)
})
