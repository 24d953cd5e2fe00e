import { describe, expect, it } from 'vitest'
import type { Order } from '../model/order.ts'
import { demoOrder } from '../plan/testing.ts'
import { minuteOf } from './clock.ts'
import { BenchDays } from './day.ts'
import { orderWork } from './problem.ts'
import { wrongOnBench } from './testing.ts'
import { demo, hands, planned, roses, tableOf, withDay, workshop } from './testingDays.ts'

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
