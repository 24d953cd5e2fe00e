// @vitest-environment happy-dom

import { MantineProvider } from '@mantine/core'
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { planFigures } from '#core/plan/index'
import { demoOrder, demoWorkshop } from '#core/plan/testing'
import { minuteOf } from '#core/timeline/clock'
import { BenchDays } from '#core/timeline/day'
import { loadByDay } from '#core/timeline/load'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { calendarFor } from '../parts/calendar.ts'
import { stubBrowser } from '../testing/browser.ts'
import { Bands } from './Bands.tsx'
import { bandLayout, chainPath } from './layout.ts'
import { misfitWords } from './misfitWords.ts'
import { rowsOf, scaleOf } from './scale.ts'

const workshop = demoWorkshop()
vi.mock('../data/workshop.ts', () => ({ useWorkshop: () => ({ workshop }) }))
vi.mock('@mantine/hooks', async (real) => ({
  ...(await real<object>()),
  useElementSize: () => ({ ref: () => {}, width: 1000, height: 400 }),
}))
beforeAll(stubBrowser)
afterEach(cleanup)

const order = demoOrder('observatory')
const plan = planFigures(order, workshop)
const shop = {
  ...workshop,
  settings: {
    ...workshop.settings,
    day: { ...workshop.settings.day, hands: ['Ada', 'Bo'].map((name) => ({ name, pipes: true })) },
  },
}
const table: Timetable = new BenchDays([{ order, plan }], shop).answer(null).table!

describe('time across a picture', () => {
  const night = { from: 600, to: 1500 }
  const scale = scaleOf(500, 1700, [night], 1000)
  it('runs as long as it is open, and presses closed hours together', () => {
    // 100 minutes before and 200 after take what the gap of 58 px leaves
    expect(scale.x(500)).toBe(0)
    expect(scale.x(600)).toBeCloseTo((942 * 100) / 300, 6)
    expect(scale.x(1500) - scale.x(600)).toBeCloseTo(58, 6)
    expect(scale.x(1700)).toBeCloseTo(1000, 6)
    expect(scale.gaps).toMatchObject([{ from: 600, to: 1500, width: 58 }])
  })

  it('tells the minute of a place: there and back, and within closed hours the nearer end', () => {
    for (const minute of [500, 555, 599, 1501, 1640, 1700])
      expect(scale.minuteAt(scale.x(minute))).toBeCloseTo(minute, 6)
    expect(scale.minuteAt(scale.x(600) + 5)).toBe(600)
    expect(scale.minuteAt(scale.x(1500) - 5)).toBe(1500)
  })

  it('has hours far enough apart to be read, and none in closed hours', () => {
    for (const width of [300, 700, 1400]) {
      const { ticks } = scaleOf(480, 480 + 2 * 1440, [{ from: 1080, to: 1920 }], width)
      ticks.slice(1).forEach((t, i) => {
        expect(t.x - ticks[i]!.x).toBeGreaterThan(40)
      })
      expect(ticks.every((t) => t.minute <= 1080 || t.minute >= 1920)).toBe(true)
    }
  })

  it('puts what overlaps on rows of its own', () => {
    expect(
      rowsOf([
        { from: 0, to: 10 },
        { from: 5, to: 8 },
        { from: 8, to: 20 },
        { from: 10, to: 12 },
      ]),
    ).toEqual([0, 1, 1, 0])
  })
})

describe('the bands of a day', () => {
  const layout = bandLayout(table, (m) => `${m} min`)
  it('stand one under the other, what a store holds within its band and never two on one place', () => {
    layout.bands.slice(1).forEach((b, i) => {
      expect(b.top).toBeGreaterThanOrEqual(layout.bands[i]!.top + layout.bands[i]!.height)
    })
    expect(layout.bands.map((b) => b.name)).toEqual(['Ada', 'Bo', 'Mixer', 'Freezer', 'Fridge'])
    const minutes = layout.bands.slice(0, 2).map((b) => Number.parseInt(b.note, 10))
    expect(minutes[0]! + minutes[1]!).toBe(table.handsOnMinutes)
    for (const a of layout.stays)
      for (const b of layout.stays)
        if (a !== b && a.top === b.top) expect(a.to <= b.from || b.to <= a.from).toBe(true)
  })

  it('draw the chain that sets the start from its first task to its last', () => {
    const chain = chainPath(table.tasks, layout, (m) => m)!
    const tight = table.tasks.filter((t) => t.noSlack)
    expect(chain.from.x).toBe(Math.min(...tight.map((t) => t.from)))
    expect(chain.to.x).toBe(Math.max(...tight.map((t) => t.to)))
    expect(chainPath([], layout, (m) => m)).toBeNull()
  })

  const barsShown = () =>
    screen.getAllByRole('button').filter((b) => / to .*, (Ada|Bo)/.test(b.getAttribute('aria-label') ?? ''))
  const shown = (more: Partial<Parameters<typeof Bands>[0]> = {}) =>
    render(
      <MantineProvider>
        <Bands
          {...{ table, now: table.from + 30, view: null, openId: null, orderId: null }}
          open={() => {}}
          hexOf={() => '#cccccc'}
          panel={(t: TimedTask) => <p>About {t.what}</p>}
          {...more}
        />
      </MantineProvider>,
    )

  it('name every task with its times, who does it, and whether it has slack', () => {
    shown()
    const bars = barsShown()
    expect(bars).toHaveLength(table.tasks.length)
    expect(bars.filter((b) => b.getAttribute('aria-label')!.includes('no slack'))).toHaveLength(
      table.tasks.filter((t) => t.noSlack).length,
    )
    expect(screen.getByText(/^now /)).toBeTruthy()
    expect(screen.getByText(/: sets the start$/)).toBeTruthy()
  })

  it('move a task by five minutes with shift and an arrow, where it may be moved', () => {
    const moves: [string, number][] = []
    shown({ move: (t, from) => moves.push([t.id, from]) })
    const wash = table.tasks.find((t) => t.kind === 'wash')!
    const bar = screen.getByRole('button', { name: /^Wash up,/ })
    fireEvent.keyDown(bar, { key: 'ArrowLeft', shiftKey: true })
    fireEvent.keyDown(bar, { key: 'ArrowRight' })
    expect(moves).toEqual([['wash up', wash.from - 5]])
  })

  it('show one day where only one is looked at', () => {
    const first = table.tasks.filter((t) => t.from < minuteOf('2026-11-28T00:00'))
    shown({ view: { from: table.from - 5, to: minuteOf('2026-11-27T18:05') } })
    const bars = barsShown()
    expect(bars).toHaveLength(first.length)
  })
})

it('says which limit binds, in hours of the bakery', () => {
  const calendar = calendarFor({ clock: '24', firstDay: 'monday' }, 'en-GB')
  const at = (m: string) => minuteOf(m)
  const late = {
    kind: 'late' as const,
    orderId: order.id,
    from: at('2026-11-27T16:00'),
    notBefore: at('2026-11-27T18:30'),
  }
  expect(misfitWords({ ...late, isNow: true }, table, calendar)).toBe(
    'Work would have had to begin at Fri 16:00, 2 h 30 ago.',
  )
  expect(misfitWords({ ...late, isNow: false }, table, calendar)).toMatch(/may not before Fri 18:30/)
  expect(
    misfitWords(
      { kind: 'full', store: 'fridge', most: 13.5, takes: 12, at: at('2026-11-28T09:00') },
      table,
      calendar,
    ),
  ).toBe('The fridge is too full: 14 trays at Sat 09:00, and it takes 12.')
  const [load] = loadByDay(
    table,
    workshop.settings.day,
    [],
    Math.floor(table.collect / 1440),
    Math.floor(table.collect / 1440),
  )
  expect(load!.openMinutes).toBe(1200)
})
