// @vitest-environment happy-dom

import { MantineProvider } from '@mantine/core'
import { cleanup, render, screen, within } from '@testing-library/react'
import fc from 'fast-check'
import type { ReactNode } from 'react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import type { Order } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { planFigures } from '#core/plan/index'
import { schools } from '#core/plan/schools'
import { demoOrder, demoWorkshop, orders } from '#core/plan/testing'
import { stubBrowser } from '../../testing/browser.ts'
import { Bags } from './bags/Bags.tsx'
import { Brief } from './brief/Brief.tsx'
import { Amounts } from './icing/Amounts.tsx'
import { Strip } from './Strip.tsx'

interface Shown {
  order: Order
  workshop: Workshop
  plan: Plan
}
let now: Shown
vi.mock('../../data/orderEditor.tsx', () => ({
  useOrderEditor: () => ({ ...now, before: undefined, edit() {}, take() {} }),
}))
vi.mock('../../data/workshop.ts', () => ({ useWorkshop: () => ({ workshop: now.workshop }) }))
vi.mock('../../workers/bags.ts', () => ({
  useFewer: () => ({ offer: undefined, error: undefined }),
  useBagSearch: () => ({ state: null, running: false, start() {}, stop() {} }),
}))

beforeAll(stubBrowser)
afterEach(cleanup)

const show = (of: Shown, screenOf: ReactNode, part = '') => {
  cleanup()
  now = of
  return render(
    <MantineProvider>
      <MemoryRouter initialEntries={[`/orders/one/stop/${part}`]}>
        <Routes>
          <Route path="/orders/:orderId/stop/:part?" element={screenOf} />
        </Routes>
      </MemoryRouter>
    </MantineProvider>,
  ).container
}

/** What a figure says as a number: "1,239 g", "43.7 oz", "5 h 35", "45 min". */
function number(text: string): number {
  const hours = /^(\d+) h (\d+)$/.exec(text.trim())
  if (hours) return 60 * Number(hours[1]) + Number(hours[2])
  return Number.parseFloat(text.replaceAll(',', ''))
}

const card = (title: RegExp | string) =>
  screen.getByRole('heading', { level: 2, name: title }).closest('section') as HTMLElement
/** Every figure of a card under its name. */
const stats = (of: HTMLElement): Map<string, string> =>
  new Map([...of.querySelectorAll('dt')].map((dt) => [dt.textContent!, dt.nextElementSibling!.textContent!]))
/** A table as a person reads it, a row by the names of its columns. */
function table(caption: string | RegExp): Map<string, string>[] {
  const of = within(screen.getByRole('region', { name: caption })).getByRole('table')
  const names = [...of.querySelectorAll('th')].map((th) => th.textContent!)
  return [...of.querySelectorAll('tbody tr')].map(
    (tr) => new Map([...tr.querySelectorAll('td')].map((td, i) => [names[i]!, td.textContent!])),
  )
}
const sum = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0)

const workshop = demoWorkshop()
const inOunces: Workshop = { ...workshop, settings: { ...workshop.settings, units: 'ounces' } }
const chained = (order: Order): Order => ({
  ...order,
  mixing: schools(order, workshop, null).find((s) => s.id !== 'separate')!.mixing,
})
const planned = (order: Order, of: Workshop): Shown => ({
  order,
  workshop: of,
  plan: { ...planFigures(order, of), advice: [], cakes: [], boards: [] },
})
const cases: [string, Shown][] = [
  ['the demo order', planned(demoOrder('observatory'), workshop)],
  ['the demo order in ounces', planned(demoOrder('observatory'), inOunces)],
  ['the demo order, one bowl through its colours', planned(chained(demoOrder('observatory')), workshop)],
  ['a small order', planned(demoOrder('reading-room'), workshop)],
  ...fc
    .sample(orders, { numRuns: 4, seed: 12 })
    .map((order, i): [string, Shown] => [
      `order ${i}`,
      planned({ ...order, practicePerFlower: i % 3 }, i % 2 === 0 ? workshop : inOunces),
    ]),
]

describe.each(cases)('the screens of %s', (_, shown) => {
  const { plan, order } = shown

  it('say the same number where they name the same thing', () => {
    const strip = show(
      shown,
      <Strip
        days={{ reply: undefined, table: undefined, error: undefined, now: 0, among: null }}
        saving={false}
      />,
    )
    const stop = (name: string) => within(strip).getByText(name).closest('a')!.textContent!.trim()
    const [icing, bags, pieces] = [stop('Icing'), stop('Bags'), stop('Pieces')]

    show(shown, <Brief />)
    const brief = stats(card('What it comes to'))
    const toMix = brief.get('to mix')!
    // the note under it says how much of that lands on the pieces
    expect(toMix.startsWith(icing.slice('Icing'.length))).toBe(true)
    const flowers = plan.uses.filter((u) => u.form === 'flower')
    const perPlaced = new Map(flowers.map((u) => [`${u.pieceId} ${u.placedId}`, u.flowers]))
    expect(Number(brief.get('flowers'))).toBe(sum([...perPlaced.values()]))
    expect(pieces).toContain(`${sum(order.pieces.map((p) => p.count)).toLocaleString('en-GB')} piece`)

    show(shown, <Amounts />)
    const mixed = stats(card('What is mixed, and why')).get('mixed in all')!
    const step = shown.workshop.settings.units === 'ounces' ? 0.1 : 1
    expect(Math.abs(number(mixed) - number(icing.slice(5)))).toBeLessThan(step + 1e-9)
    if (plan.bags.length === 0) return

    show(shown, <Bags />)
    const tiles = [...document.querySelectorAll('button[aria-pressed] svg text')].map((t) => t.textContent)
    const fresh = plan.bags.filter((b) => b.reuses === null)
    expect(tiles).toEqual(plan.bags.map((b) => String(b.number)))
    expect(bags).toContain(`${fresh.length} bag`)
    const aside = card('Fill these, in this order').querySelector('.quiet')!.textContent!
    show(shown, <Bags />, 'figures')
    const rows = table('Bags in figures')
    const changes = sum(rows.map((r) => Number(r.get('Changes'))))
    expect(aside).toContain(`${changes} tip change`)
    if (fresh.length === plan.bags.length) expect(bags).toContain(`${changes} change`)
    expect(aside).toContain(`${sum(rows.map((r) => Number(r.get('Washes'))))} wash`)
  })

  it('give parts that sum to their whole as they are written', () => {
    show(shown, <Brief />)
    const hands = /Hands: ([^.]*)\./.exec(card('What it comes to').textContent!)![1]!
    const parts = hands.split(', ').map((part) => number(/^\d+ (?:h \d+|min)/.exec(part)?.[0] ?? 'none'))
    expect(sum(parts)).toBe(number(stats(card('What it comes to')).get('hands on the icing')!))

    show(shown, <Amounts />)
    const whys = stats(card('What is mixed, and why'))
    const total = whys.get('mixed in all')!
    whys.delete('mixed in all')
    expect(sum([...whys.values()].map(number))).toBeCloseTo(number(total), 6)
    for (const make of screen.queryAllByRole('heading', { level: 2, name: /^Make/ })) {
      const ingredients = [...make.closest('section')!.querySelectorAll('li .figure')]
      const whole = /^Make (.*?) of/.exec(make.textContent!)![1]!
      expect(sum(ingredients.map((i) => number(i.textContent!)))).toBeCloseTo(number(whole), 6)
    }
  })

  it('mix in every bowl what is piped, held back and left behind', () => {
    show(shown, <Amounts />)
    const rows = table(/^Bowls/)
    expect(rows).toHaveLength(plan.batches.length)
    // each figure is rounded by itself: half a step of each may come together
    const slack = shown.workshop.settings.units === 'ounces' ? 0.2 : 2
    for (const row of rows) {
      const of = (name: string) => number(row.get(name)!.replace('under 0.1', '0'))
      const all = of('On the pieces') + of('Reserve') + of('Stays behind')
      expect(Math.abs(of('Mix') - all), [...row.values()].join(' | ')).toBeLessThanOrEqual(slack + 1e-9)
      const bagNumbers = row.get('Bags')!
      if (bagNumbers === 'spread on') continue
      for (const n of bagNumbers.split(', ')) expect(plan.bags.map((b) => `${b.number}`)).toContain(n)
    }
  })

  it('take up every bag that is filled, and none that is not', () => {
    if (plan.bags.length === 0) return
    show(shown, <Bags />, 'pipe')
    const list = card('Then work in this order')
    const steps = [...list.querySelectorAll('li')]
    expect(list.querySelector('.quiet')!.textContent).toMatch(new RegExp(`^${steps.length} step`))
    const named = steps.flatMap((li) => /bag ([\d, ]+)$/.exec(li.textContent!)?.[1]?.split(', ') ?? [])
    expect([...new Set(named)].map(Number).sort((a, b) => a - b)).toEqual(plan.bags.map((b) => b.number))
    // the steps are numbered as they stand
    expect(steps.map((li) => li.querySelector('.figure')!.textContent)).toEqual(
      steps.map((__, i) => `${i + 1}`),
    )
  })

  it('ask of a customer what the pieces cost', () => {
    if (plan.uses.length === 0) return
    show(shown, <Brief />)
    const rows = table('Each piece')
    const money = (text: string) => Number(text.replace(/[^\d.]/g, ''))
    let all = 0
    for (const row of rows) {
      const [each, made] = [
        money(row.get('Each')!),
        money(row.get('Ingredients')!) + money(row.get('Labour')!),
      ]
      expect(Math.abs(each - made), row.get('Piece')).toBeLessThan(0.011)
      all += each * Number(row.get('How many'))
    }
    const said = money(
      /^[^\d]*[\d,.]+/.exec(card('A base for a quote').querySelector('.quiet')!.textContent!)![0],
    )
    const pieces = sum(order.pieces.map((p) => p.count))
    expect(Math.abs(said - all)).toBeLessThanOrEqual(0.005 * pieces + 0.006)
  })
})
