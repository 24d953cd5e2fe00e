import { describe, expect, it } from 'vitest'
import { NOTHING_SETTLED } from '../model/day.ts'
import { orderSchema } from '../model/order.ts'
import { newOrder } from '../orders/new.ts'
import { letAllGo, letGo, settleOrder, settleStart } from '../orders/settled.ts'
import { dayOf, minuteOf, momentOf, weekdayOf } from './clock.ts'
import { loadByDay } from './load.ts'
import { wrongOnBench } from './testing.ts'
import { days, demo, planned, roses, settled, tableOf, workshop } from './testingDays.ts'
import { perTray } from './trays.ts'

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
