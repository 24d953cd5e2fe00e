import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderFileSchema } from '../files/orderFile.ts'
import type { Order } from '../model/order.ts'
import { planOrder } from '../plan/index.ts'
import { asOnDay, mergeOrders } from './day.ts'
import { dayCautions } from './dayCautions.ts'

const demo = (name: string): Order =>
  orderFileSchema.parse(JSON.parse(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8')))
    .order
const at = (name: string, collectAt: string) => ({ ...demo(name), collectAt })

function said(
  orders: Order[],
  spoil: (of: 'day' | 'apart', plan: ReturnType<typeof planOrder>) => void = () => {},
) {
  const day = mergeOrders(orders)
  const [together, ...apart] = [day, ...asOnDay(orders, day)].map((o) => planOrder(o, starterWorkshop))
  spoil('day', together!)
  return dayCautions(orders, together!, apart, starterWorkshop).join(' ')
}

describe('orders worked together', () => {
  it('are warned of by how long their icing keeps', () => {
    const first = at('allotment', '2026-12-01T10:00')
    expect(said([first, at('reading-room', '2026-12-01T12:00')])).not.toMatch(/due/)
    expect(said([first, at('reading-room', '2026-12-03T09:00')])).toMatch(
      /due 47 h after the first, and Sugar-and-butter keeps about 24 h at room temperature and 14 days cold: keep the rest cold/,
    )
    expect(said([first, at('reading-room', '2026-12-20T10:00')])).toMatch(/due 19 days after.*different days/)
  })

  it('say when they take more bags than one by one', () => {
    const both = [at('allotment', '2026-12-01T10:00'), at('reading-room', '2026-12-01T12:00')]
    const more = said(both, (_, plan) => {
      plan.bags = [...plan.bags, ...plan.bags, ...plan.bags]
    })
    expect(more).toMatch(/take \d+ bags more than one by one/)
  })

  it('have nothing said of a single one', () => {
    expect(said([at('allotment', '2026-12-01T10:00')])).toBe('')
  })
})
