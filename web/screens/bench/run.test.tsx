// @vitest-environment happy-dom

import { MantineProvider } from '@mantine/core'
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { useState } from 'react'
import { MemoryRouter } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { freeze } from '#core/bench/freeze'
import { layersOf } from '#core/bench/layers'
import { tally } from '#core/bench/tally'
import { timers } from '#core/bench/timers'
import { titleOf } from '#core/bench/words'
import { mixBowl } from '#core/colour/bowl'
import type { BenchEvent, BenchStep } from '#core/model/bench'
import { colourBowls, taskOf } from '#core/plan/colourBowls'
import { planOrder } from '#core/plan/index'
import { schools } from '#core/plan/schools'
import { demoOrder, demoWorkshop } from '#core/plan/testing'
import { strokeDefinition } from '#core/strokes/index'
import type { Bench } from '../../bench/useBench.ts'
import { measuresOf } from '../../parts/weight.tsx'
import { stubBrowser } from '../../testing/browser.ts'
import { HereWorker } from '../../testing/workers.ts'
import { Board } from './Board.tsx'
import { Run } from './Run.tsx'
import { StepSays } from './StepSays.tsx'

vi.mock('comlink', async () => (await import('../../testing/workers.ts')).comlinkHere)
vi.mock('../../data/workshop.ts', () => ({ useWorkshop: () => ({ workshop: demoWorkshop() }) }))
// pictures are looked at in a browser
vi.mock('./StepPicture.tsx', () => ({ StepPicture: () => null }))
vi.stubGlobal('Worker', HereWorker)
beforeAll(stubBrowser)
afterEach(cleanup)

const workshop = demoWorkshop()
const order = demoOrder('observatory')
const plan = planOrder(order, workshop)
const frozen = freeze(order, plan, workshop)
const { steps } = frozen
const patient = { timeout: 20_000 }

let events: BenchEvent[] = []
/** A run whose events go nowhere but into the list above. */
function At({ board = false, by = null }: { board?: boolean; by?: string | null }) {
  const [, again] = useState(0)
  const of = tally(steps, events)
  const bench: Bench = {
    run: { id: 'r', orderId: order.id, title: order.title, begunAt: '', version: 1, frozen },
    tally: of,
    events,
    timers: timers(steps, of, events),
    complete: true,
    line: { online: true, waiting: 0, trouble: null, version: 1 },
    note(stepId, kind, more = {}) {
      const id = `e${events.length}`
      const at = new Date(Date.now() + events.length).toISOString()
      events = [...events, { id, stepId, kind, at, by, amount: null, note: null, ...more }]
      again((n) => n + 1)
    },
  }
  return board ? <Board bench={bench} /> : <Run bench={bench} by={by} choose={() => {}} />
}
const show = (element: React.ReactElement, at = '/') =>
  render(
    <SWRConfig value={{ provider: () => new Map() }}>
      <MantineProvider>
        <MemoryRouter initialEntries={[at]}>{element}</MemoryRouter>
      </MantineProvider>
    </SWRConfig>,
  )
const key = (name: string, times = 1) => {
  for (let i = 0; i < times; i++) fireEvent.keyDown(window, { key: name })
}
const title = () => screen.getByRole('heading', { level: 1 }).textContent
const leafTo = (step: BenchStep) => key('ArrowRight', steps.indexOf(step))
const noted = () => events.map((e) => e.kind)

describe('the run', () => {
  it('names every step of the order, one after the other, and gives no word that is none', () => {
    events = []
    show(<At />)
    for (const step of steps) {
      expect(title()).toBe(titleOf(step))
      expect(document.body.textContent).not.toMatch(/undefined|NaN|null|\[object/)
      key('ArrowRight')
    }
  })

  it('is counted by the pedal as by taps: on, back, enough, and on to the next', () => {
    events = []
    show(<At by="Ada" />)
    const nails = steps.find((s) => s.kind === 'nails')!
    leafTo(nails)
    key('PageDown', 3)
    key('PageUp')
    expect(screen.getByTestId('count').textContent).toBe('2')
    // whoever begins a step has taken it
    expect(noted()).toEqual(['take', 'tap', 'tap', 'tap', 'back'])
    fireEvent.click(screen.getByRole('button', { name: 'that is enough' }))
    expect(screen.getByRole('button', { name: 'Go on' })).toBeDefined()
    key('PageUp')
    expect(noted().at(-1)).toBe('again')
    expect(screen.getByTestId('count').textContent).toBe('2')
    // a held key is one press
    fireEvent.keyDown(window, { key: 'PageDown', repeat: true })
    expect(screen.getByTestId('count').textContent).toBe('2')
    key('PageDown', nails.wanted - 2)
    key('PageDown')
    expect(title()).not.toBe(titleOf(nails))
  })

  it('says what was noted, takes it back, and offers nothing that a step does not have', () => {
    events = []
    show(<At />)
    expect(screen.getByRole('button', { name: 'Bag empty' }).hasAttribute('disabled')).toBe(true)
    leafTo(steps.find((s) => s.kind === 'nails')!)
    fireEvent.click(screen.getByRole('button', { name: 'Bag empty' }))
    fireEvent.click(screen.getByRole('button', { name: '1 emptied' }))
    fireEvent.click(screen.getByRole('button', { name: 'Take one emptied back' }))
    expect(screen.getByRole('button', { name: '1 emptied' })).toBeDefined()
    expect(events.map((e) => e.amount)).toEqual([null, null, -1])
  })

  it('shows what it waits for, and a timer that somebody has heard is gone', () => {
    events = []
    show(<At />)
    key('PageDown', 2)
    const bar = screen.getByRole('region', { name: 'Timers' })
    expect(within(bar).getByRole('button').textContent).toMatch(/whips, 10 min left/)
    expect(title()).toBe(titleOf(steps[1]!))
    expect(screen.getByText(/▸ Sugar-and-butter whips/)).toBeDefined()
    fireEvent.click(within(bar).getByRole('button'))
    expect(screen.queryByRole('region', { name: 'Timers' })).toBeNull()
    expect(screen.queryByText(/▸/)).toBeNull()
  })
})

describe('a step of several layers', () => {
  it('is gone through layer by layer, each with its own bag and hold, and comes back to the whole', () => {
    events = []
    show(<At />)
    const nails = steps.find((s) => s.kind === 'nails' && s.useIds.length > 2 && s.bags.length > 1)!
    leafTo(nails)
    const whole = screen.getByRole('region', { name: 'What it looks like' })
    const layers = layersOf(nails, frozen)
    expect(whole.textContent).toContain(`all ${layers.length} layers`)
    for (const [i, { name, step }] of layers.entries()) {
      fireEvent.click(screen.getByRole('button', { name: 'The layer after' }))
      expect(whole.textContent).toContain(`${i + 1} of ${layers.length}: ${name}`)
      const use = plan.uses.find((u) => u.id === step.useIds[0])!
      const recipe = workshop.flowers.find((f) => f.id === use.flowerId)!
      const { words } = strokeDefinition(recipe.layers.find((l) => l.id === use.layerId)!.stroke.kind)
      expect(whole.textContent).toContain(words.stop)
      expect(step.bags.length).toBeGreaterThan(0)
    }
    fireEvent.click(screen.getByRole('button', { name: 'The layer after' }))
    expect(whole.textContent).toContain(`all ${layers.length} layers`)
  })

  it('is found by the bag that a label was read of', () => {
    events = []
    const { bags } = steps.find((s) => s.kind === 'fill' && s.bags[0] === 3)!
    show(<At />, `/?bag=${bags[0]}`)
    expect(title()).toBe('Fill bag 3')
    // a bag that is filled is piped from next
    cleanup()
    const fill = steps.find((s) => s.kind === 'fill' && s.bags[0] === 3)!
    events = [
      {
        id: 'f',
        stepId: fill.id,
        kind: 'tap',
        at: new Date().toISOString(),
        by: null,
        amount: null,
        note: null,
      },
    ]
    show(<At />, '/?bag=3')
    expect(title()).toBe(titleOf(steps.find((s) => s.kind !== 'fill' && s.bags.includes(3))!))
    events = []
    cleanup()
    show(<At />, '/?bag=999')
    expect(title()).toBe(titleOf(steps[0]!))
  })
})

describe('a tablet of its own', () => {
  it('learns a key by its being pressed, gives it to one act only, and remembers', () => {
    events = []
    const { unmount } = show(<At />)
    fireEvent.click(screen.getByRole('button', { name: 'This tablet' }))
    fireEvent.click(screen.getByRole('button', { name: /^One back/ }))
    key('ArrowRight')
    expect(screen.getByRole('button', { name: /^One back/ }).textContent).toContain('Arrow Right')
    const panel = within(screen.getByRole('region', { name: 'This tablet' }))
    expect(panel.getByRole('button', { name: /^The step after/ }).textContent).toContain('none')
    fireEvent.click(screen.getByRole('button', { name: 'Back to the work' }))
    key('PageDown')
    key('ArrowRight')
    expect(noted()).toEqual(['tap', 'back'])
    unmount()
    show(<At />)
    key('PageDown')
    key('ArrowRight')
    expect(noted()).toEqual(['tap', 'back', 'tap', 'back'])
    fireEvent.click(screen.getByRole('button', { name: 'This tablet' }))
    fireEvent.click(screen.getByRole('button', { name: 'Usual keys' }))
    fireEvent.click(screen.getByRole('button', { name: 'Dark room' }))
    expect(document.documentElement.dataset.mantineColorScheme).toBe('dark')
    fireEvent.click(screen.getByRole('button', { name: 'As in the settings' }))
  })

  it('speaks each step once, and not the one that was left', () => {
    events = []
    const said: string[] = []
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        constructor(readonly text: string) {}
      },
    )
    const cancel = vi.fn()
    vi.stubGlobal('speechSynthesis', { cancel, speak: (u: { text: string }) => said.push(u.text) })
    show(<At />)
    expect(said).toEqual([])
    fireEvent.click(screen.getByRole('button', { name: 'This tablet' }))
    fireEvent.click(screen.getByRole('button', { name: 'Speak the steps' }))
    fireEvent.click(screen.getByRole('button', { name: 'Back to the work' }))
    key('ArrowRight')
    expect(said).toEqual([`${titleOf(steps[0]!)}. base icing.`, `${titleOf(steps[1]!)}. one bowl.`])
    expect(cancel).toHaveBeenCalledTimes(2)
    fireEvent.click(screen.getByRole('button', { name: 'This tablet' }))
    fireEvent.click(screen.getByRole('button', { name: 'Speak the steps' }))
  })

  it('says when its clock is set, until somebody has looked', () => {
    events = []
    vi.useFakeTimers({ toFake: ['Date', 'setInterval', 'clearInterval', 'performance'] })
    try {
      show(<At />)
      act(() => void vi.advanceTimersByTime(5_000))
      expect(screen.queryByRole('alert')).toBeNull()
      vi.setSystemTime(Date.now() + 3_600_000)
      act(() => void vi.advanceTimersByTime(1_000))
      expect(screen.getByRole('alert').textContent).toContain('set forward by 1 h')
      fireEvent.click(screen.getByRole('button', { name: 'I have looked' }))
      expect(screen.queryByRole('alert')).toBeNull()
    } finally {
      vi.useRealTimers()
    }
  })

  it('notes what came out otherwise by one touch, and in other words', () => {
    events = []
    show(<At />)
    fireEvent.click(screen.getByRole('button', { name: 'Otherwise' }))
    fireEvent.click(screen.getByRole('button', { name: 'too soft' }))
    fireEvent.click(screen.getByRole('button', { name: '1 noted' }))
    fireEvent.change(screen.getByLabelText('In other words'), { target: { value: ' a bit grainy ' } })
    fireEvent.click(screen.getByRole('button', { name: 'Note it' }))
    expect(events.map((e) => [e.kind, e.note])).toEqual([
      ['otherwise', 'too soft'],
      ['otherwise', 'a bit grainy'],
    ])
  })
})

describe('what is said at a step', () => {
  // what the theme writes into the page is not said
  const says = (step: BenchStep, of = frozen) =>
    show(
      <div data-testid="said">
        <StepSays step={step} frozen={of} />
      </div>,
    ).getByTestId('said')

  it('is to weigh in all that the base takes, as the plan has it', () => {
    const text = says(steps.find((s) => s.kind === 'base')!).textContent!
    for (const { name } of plan.base.ingredients) expect(text).toContain(name)
    // the numbers of the icing's own screen, which sum to their whole
    const grams = [...text.matchAll(/([\d,]+) g/g)].map((m) => Number(m[1]!.replaceAll(',', '')))
    const whole = plan.base.ingredients.reduce((sum, i) => sum + i.grams, 0)
    expect(grams.reduce((a, b) => a + b)).toBe(Math.round(whole))
  })

  it('is the drops that the colour’s own screen gives', async () => {
    const step = steps.find((s) => s.kind === 'mix' && s.what === 'Dusk')!
    const bowl = colourBowls(order, plan).find((b) => b.name === 'Dusk')!
    const { doses } = mixBowl(taskOf(bowl), frozen.workshop).chosen
    expect(doses.length).toBeGreaterThan(0)
    const text = says(step)
    for (const { words, name } of doses)
      await waitFor(() => expect(text.textContent).toContain(`${words} ${name.toLowerCase()}`), patient)
  })

  it('is what a chain takes on from the bowl before, and only what is added to that', async () => {
    const { mixing, steps: chain } = schools(order, workshop, 'moss').find((s) => s.id === 'carryOver')!
    const on = { ...order, mixing }
    const chained = freeze(on, planOrder(on, workshop), workshop)
    const carried = chain.find((s) => !s.fresh && s.add.length > 0)!
    const step = chained.steps.find((s) => s.kind === 'mix' && s.colourIds[0] === carried.colourId)!
    const text = says(step, chained)
    expect(text.textContent).toMatch(
      /^Scrape what is left into the bowl, .* g or so\. Stir in plain icing up to/,
    )
    expect(text.textContent).toContain(`up to ${measuresOf(workshop.settings).toWeigh(step.grams!)}.`)
    for (const { words, name } of carried.add)
      await waitFor(() => expect(text.textContent).toContain(`${words} ${name.toLowerCase()}`), patient)
  })

  it('is what is taken from the bowl and how much liquid goes in, which together are what is wanted', () => {
    for (const step of steps.filter((s) => s.kind === 'thin')) {
      const batch = plan.batches.find((b) => b.id === step.batchIds[0])!
      expect(step.grams! + batch.liquidGrams).toBeCloseTo(batch.grams, 6)
      const { toWeigh, liquid } = measuresOf(workshop.settings)
      expect(says(step).textContent).toMatch(
        `Take ${toWeigh(step.grams!)}, stir in ${liquid(batch.liquidGrams)} liquid`,
      )
      cleanup()
    }
  })
})

describe('the board on the wall', () => {
  it('says what is worked on, what is free, what is waited for, and how much is done', () => {
    const [base] = steps
    const nails = steps.find((s) => s.kind === 'nails')!
    const at = new Date().toISOString()
    const note = (id: string, stepId: string, kind: BenchEvent['kind']): BenchEvent => ({
      ...{ id, stepId, kind, at, by: 'Ada', amount: null, note: null },
    })
    events = [note('1', base!.id, 'tap'), note('2', nails.id, 'take'), note('3', nails.id, 'tap')]
    show(<At board />)
    const column = (name: string) => screen.getByRole('heading', { name }).closest('section')!.textContent!
    expect(column('Now')).toContain(`${titleOf(nails)} · 1 of ${nails.wanted}`)
    expect(column('Now')).toContain('Ada')
    expect(column('Next')).toContain(titleOf(steps[1]!))
    // everything waits for the mixer
    expect(column('Next')).not.toContain('free now')
    expect(column('Waiting')).toContain('whips, 10 min left')
    expect(screen.getByText(`1 of ${steps.length}`)).toBeDefined()
  })
})
