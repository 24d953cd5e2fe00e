// @vitest-environment happy-dom

import { MantineProvider } from '@mantine/core'
import { cleanup, render, screen, within } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import type { Order } from '#core/model/order'
import { asOnDay, mergeOrders } from '#core/orders/day'
import { bagCount, bowlCount } from '#core/plan/counts'
import { planFigures } from '#core/plan/index'
import { schools } from '#core/plan/schools'
import { demoOrder, demoWorkshop } from '#core/plan/testing'
import { stubBrowser } from '../../testing/browser.ts'
import { BenchDay } from './BenchDay.tsx'

const workshop = demoWorkshop()
let orders: Order[] = []
vi.mock('../../data/workshop.ts', () => ({ useWorkshop: () => ({ workshop }) }))
vi.mock('../../data/orders.ts', () => ({ useOrders: () => ({ orders, error: undefined }) }))
vi.mock('../../data/api.ts', () => ({
  api: async (path: string) => ({ order: orders.find((o) => path.endsWith(`/${o.id}`)), version: 1 }),
}))
vi.mock('../../workers/planner.ts', () => ({
  usePlans: (wanted: readonly Order[]) =>
    wanted.length === 0
      ? undefined
      : wanted.map((o) => ({ plan: { ...planFigures(o, workshop), advice: [] }, faults: [] })),
}))

beforeAll(stubBrowser)
afterEach(cleanup)

const [first, second] = [demoOrder('allotment'), demoOrder('reading-room')]
const large = demoOrder('observatory')
const chained: Order = {
  ...large,
  mixing: schools(large, workshop, null).find((s) => s.id === 'carryOver')!.mixing,
}

async function shown(of: Order[]) {
  orders = of
  render(
    <SWRConfig value={{ provider: () => new Map() }}>
      <MantineProvider>
        <MemoryRouter initialEntries={[`/day?orders=${of.map((o) => o.id).join(',')}`]}>
          <BenchDay />
        </MemoryRouter>
      </MantineProvider>
    </SWRConfig>,
  )
  const together = await screen.findByRole('heading', { name: 'Together, not one by one' })
  const stats = new Map(
    [...together.closest('section')!.querySelectorAll('dt')].map((dt) => {
      const [figure, note] = [dt.nextElementSibling!, dt.nextElementSibling!.nextElementSibling]
      const text = figure.textContent!
      return [dt.textContent!, { figure: text, note: note?.textContent ?? text }]
    }),
  )
  return {
    stats,
    bowls: screen.getByRole('heading', { name: 'Bowls, and who gets what' }).closest('section')!,
  }
}
const grams = (text: string) => Number.parseFloat(text.replaceAll(',', ''))

describe('a bench day', () => {
  it.each([
    ['two orders', [first, second]],
    ['one of them mixed in a chain', [chained, second]],
  ])('of %s shares every bowl out whole, and nobody gets what is not theirs', async (_, of) => {
    const { bowls } = await shown(of)
    const day = planFigures(mergeOrders(of), workshop)
    const rows = [...bowls.querySelectorAll('li')]
    expect(rows).toHaveLength(day.batches.length)
    rows.forEach((row, i) => {
      const labels = [...row.querySelectorAll('strong')].slice(1).map((s) => grams(s.textContent!))
      // every share is rounded by itself
      expect(Math.abs(labels.reduce((a, b) => a + b, 0) - day.batches[i]!.grams)).toBeLessThanOrEqual(
        of.length,
      )
    })
    // an order's own colour goes to that order alone
    const own = second.colours.find(
      (c) =>
        !first.colours.some((o) => o.hex === c.hex) &&
        day.colours.some((d) => d.name === c.name && d.grams > 0),
    )
    if (own) {
      const row = rows.find((r) => within(r as HTMLElement).queryByText(own.name))!
      expect(row.textContent).toContain(second.title)
      expect(row.textContent).not.toContain(first.title)
    }
  })

  it('compares itself with its orders done one by one, by what each says of itself', async () => {
    const of = [chained, second]
    const { stats } = await shown(of)
    const merged = mergeOrders(of)
    const apart = asOnDay(of, merged).map((o) => planFigures(o, workshop))
    const day = planFigures(merged, workshop)
    const total = (count: (p: (typeof apart)[number]) => number) =>
      apart.reduce((sum, p) => sum + count(p), 0)
    expect(stats.get('bags')!.figure).toContain(`${bagCount(day.bags)}`)
    // one bag that is scraped and filled again for the next colour is one bag
    expect(stats.get('bags')!.note).toContain(`${total((p) => bagCount(p.bags))} one by one`)
    expect(total((p) => bagCount(p.bags))).toBeLessThan(total((p) => p.bags.length))
    const more = bagCount(day.bags) - total((p) => bagCount(p.bags))
    const said = screen.queryByText(/bags? more than one by one/)?.textContent ?? ''
    expect(said.includes(`${more} bag`)).toBe(more > 0)
    expect(stats.get('bowls')!.note).toContain(`${total((p) => bowlCount(p.batches))} one by one`)
    expect(grams(stats.get('icing mixed')!.figure)).toBeCloseTo(day.totals.mixedGrams, -1)
  })
})
