import { expect } from 'vitest'
import { type DaySettings, NOTHING_SETTLED, type Settled } from '../model/day.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { planFigures } from '../plan/index.ts'
import { allIn, demoOrder, demoWorkshop, wearing } from '../plan/testing.ts'
import { BenchDays } from './day.ts'

/** Days at the demo bakery's bench, to be tested on. */

export const workshop = demoWorkshop()
export const withDay = (day: Partial<DaySettings>): Workshop => ({
  ...workshop,
  settings: { ...workshop.settings, day: { ...workshop.settings.day, ...day } },
})
export const hands = (n: number): DaySettings['hands'] =>
  Array.from({ length: n }, (_, i) => ({ name: `Hands ${i + 1}`, pipes: true }))
export const planned = (order: Order, shop = workshop) => ({ order, plan: planFigures(order, shop) })
export const days = (orders: Order | Order[], day: Partial<DaySettings> = {}) => {
  const shop = withDay(day)
  return new BenchDays(
    [orders].flat().map((o) => planned(o, shop)),
    shop,
  )
}
export const tableOf = (orders: Order | Order[], day: Partial<DaySettings> = {}) => {
  const { table, faults } = days(orders, day).answer(null)
  expect(faults).toEqual([])
  return table!
}
export const demo = demoOrder('observatory')
/** A dozen cupcakes with a rose each: small enough to reckon with by hand. */
export const roses = (more: object = {}): Order =>
  wearing(12, [{ ...allIn('rose', 'c'), id: 'f', sizeMm: 55 }], {
    colours: [{ id: 'c', name: 'Cream', hex: '#efe6cd' }],
    ...more,
  })
export const settled = (order: Order, more: Partial<Settled>): Order => ({
  ...order,
  settled: { ...NOTHING_SETTLED, ...more },
})
