// @vitest-environment happy-dom

import { MantineProvider } from '@mantine/core'
import { cleanup, render, screen, within } from '@testing-library/react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { planFigures } from '#core/plan/index'
import { allIn, demoWorkshop, wearing } from '#core/plan/testing'
import { momentOf } from '#core/timeline/clock'
import { BenchDays } from '#core/timeline/day'
import { stubBrowser } from '../../testing/browser.ts'
import { HereWorker } from '../../testing/workers.ts'
import { Accepted } from '../order/Accepted.tsx'
import { Week } from './Week.tsx'

let workshop: Workshop = demoWorkshop()
let orders: Order[] = []
vi.mock('comlink', async () => (await import('../../testing/workers.ts')).comlinkHere)
vi.mock('../../data/workshop.ts', () => ({ useWorkshop: () => ({ workshop }) }))
vi.mock('../../data/orders.ts', () => ({
  useOrders: () => ({ orders: orders.map((o) => ({ ...o, version: 1 })) }),
}))
vi.mock('../../data/api.ts', () => ({
  api: async (path: string) => ({ order: orders.find((o) => path.endsWith(`/${o.id}`)) }),
}))
vi.mock('../../data/orderEditor.tsx', () => ({ useOrderEditor: () => ({ order: orders[0], workshop }) }))
// what the chart draws is looked at in a browser
vi.mock('./LoadChart.tsx', () => ({ LoadChart: () => null }))
vi.stubGlobal('Worker', HereWorker)

beforeAll(stubBrowser)
afterEach(cleanup)

/** Days from today, at an hour of the morning, where the bakery is. */
function soon(days: number, hour: number): string {
  const day = new Date()
  day.setDate(day.getDate() + days)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}T${two(hour)}:00`
}
/** A bakery that works every day, so that the outcome hangs on no weekday. */
const everyDay = (shop: Workshop): Workshop => ({
  ...shop,
  settings: {
    ...shop.settings,
    day: {
      ...shop.settings.day,
      week: shop.settings.day.week.map(() => ({ from: 8 * 60, to: 18 * 60 })),
      hands: [{ name: 'Hands', pipes: true }],
    },
  },
})
const cupcakes = (id: string, title: string, count: number, collectAt: string): Order => ({
  ...wearing(count, [{ ...allIn('swirl', 'c'), id: 'f', sizeMm: 55 }], {
    colours: [{ id: 'c', name: 'Cream', hex: '#efe6cd' }],
  }),
  ...{ id, title, collectAt },
})

function open(path: string, element: React.ReactElement) {
  const router = createMemoryRouter(
    [
      { path: '/week/:part?', element },
      { path: '*', element: null },
    ],
    { initialEntries: [path] },
  )
  render(
    <SWRConfig value={{ provider: () => new Map() }}>
      <MantineProvider>
        <RouterProvider router={router} />
      </MantineProvider>
    </SWRConfig>,
  )
}
const patient = { timeout: 20_000 }

describe('the week', () => {
  it('says of every order when it has to be begun, as the bench they share is planned', async () => {
    workshop = everyDay(demoWorkshop())
    orders = [cupcakes('a', 'Tea', 48, soon(3, 11)), cupcakes('b', 'Supper', 60, soon(3, 11))]
    open('/week', <Week />)
    const list = (await screen.findByRole('heading', { name: 'Start by' }, patient)).closest('section')!
    const days = new BenchDays(
      orders.map((order) => ({ order, plan: planFigures(order, workshop) })),
      workshop,
    )
    const { table } = days.answer(null)
    for (const { title, from } of table!.orders) {
      const row = within(list).getByRole('link', { name: title }).closest('li')!
      expect(row.textContent).toContain(momentOf(from).slice(11))
    }
    // one pair of hands cannot be at both at the end
    expect(new Set(table!.orders.map((o) => o.from)).size).toBe(2)
    expect(screen.queryByRole('region', { name: 'It does not fit' })).toBeNull()
  })

  it('names the order that would have had to begin already, and none that can wait', async () => {
    workshop = everyDay(demoWorkshop())
    orders = [cupcakes('a', 'Tea', 4000, soon(1, 9)), cupcakes('b', 'Supper', 12, soon(9, 9))]
    open('/week', <Week />)
    const misfit = await screen.findByRole('region', { name: 'It does not fit' }, patient)
    expect(misfit.textContent).toContain('Tea: work would have had to begin at')
    expect(misfit.textContent).not.toContain('Supper: work')
  })

  it('without working hours has no timetable, and leads to where they are set', async () => {
    const shop = everyDay(demoWorkshop())
    const { day } = shop.settings
    workshop = { ...shop, settings: { ...shop.settings, day: { ...day, week: day.week.map(() => null) } } }
    orders = [cupcakes('a', 'Tea', 12, soon(3, 11))]
    open('/week', <Week />)
    const alert = await screen.findByRole('alert', {}, patient)
    expect(within(alert).getByRole('link', { name: 'Hours and limits' }).getAttribute('href')).toBe(
      '/week/limits',
    )
  })
})

describe('an order that has just come in', () => {
  it.each([
    [12, /^It fits among the other order of these days: start by/],
    [4000, /It does not fit among the other order/],
  ])('of %i says at once whether it fits among the others', async (count, words) => {
    workshop = everyDay(demoWorkshop())
    orders = [cupcakes('a', 'Tea', count, soon(1, 11)), cupcakes('b', 'Supper', 24, soon(2, 11))]
    open('/week', <Accepted />)
    expect((await screen.findByRole('status', {}, patient)).textContent).toMatch(words)
  })
})
