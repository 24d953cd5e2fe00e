// @vitest-environment happy-dom

import { MantineProvider } from '@mantine/core'
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { asVersion, lighterOffer, versionOf } from '#core/lighter/offer'
import { oneTipLess } from '#core/lighter/oneTip'
import type { Order } from '#core/model/order'
import { applied } from '#core/plan/fewer/offer'
import { demoOrder, demoWorkshop } from '#core/plan/testing'
import { formatMinutes } from '#core/units'
import { stubBrowser } from '../../../testing/browser.ts'
import { HereWorker } from '../../../testing/workers.ts'
import { LighterPart } from './LighterPart.tsx'
import { OneTip } from './OneTip.tsx'

const workshop = demoWorkshop()
const order = demoOrder('allotment')
let edited: Order | null = null
vi.mock('comlink', async () => (await import('../../../testing/workers.ts')).comlinkHere)
vi.mock('../../../data/workshop.ts', () => ({ useWorkshop: () => ({ workshop }) }))
vi.mock('../../../data/orderEditor.tsx', () => ({
  useOrderEditor: () => ({
    order,
    workshop,
    edit: (_: string, how: (o: Order) => Order) => {
      edited = how(order)
    },
  }),
}))
// pictures are looked at in a browser
vi.mock('../../../drawings/PiecePicture.tsx', () => ({ PiecePicture: () => null }))
vi.stubGlobal('Worker', HereWorker)

beforeAll(stubBrowser)
afterEach(cleanup)
const patient = { timeout: 30_000 }

const show = (part: React.ReactElement) =>
  render(
    <MantineProvider>
      <MemoryRouter initialEntries={['/orders/allotment/timeline/lighter']}>{part}</MemoryRouter>
    </MantineProvider>,
  )

describe('lighter versions on screen', () => {
  it('are counted anew without what is left out, and taken as they are then', async () => {
    edited = null
    show(<LighterPart />)
    await waitFor(() => expect(screen.queryByRole('progressbar')).toBeNull(), patient)
    const search = lighterOffer(order, workshop, null)
    let step = search.next()
    while (!step.done) step = search.next()
    const { versions, now } = step.value!
    const buttons = within(screen.getByRole('list', { name: 'Versions' })).getAllByRole('button')
    expect(buttons).toHaveLength(versions.length)
    const at = versions.findIndex((v) => v.steps.length > 1)
    const version = versions[at]!
    fireEvent.click(buttons[at]!)
    const minutes = () =>
      [...screen.getByRole('rowheader', { name: 'Hands on the icing' }).parentElement!.children].map(
        (cell) => cell.textContent,
      )
    expect(minutes().slice(1)).toEqual([formatMinutes(now.minutes), formatMinutes(version.takes.minutes)])

    fireEvent.click(screen.getByRole('checkbox', { name: version.steps[0]!.words }))
    const rest = version.steps.slice(1).flatMap((s) => s.changes)
    const part = versionOf(order, workshop, rest)
    await waitFor(() => expect(minutes()[2]).toBe(formatMinutes(part.takes.minutes)), patient)
    fireEvent.click(screen.getByRole('button', { name: `Take ${rest.length} of ${version.steps.length}` }))
    expect(edited).toEqual(asVersion(order, rest))
  })

  it('do without one tip as it is said, and nothing else changes', async () => {
    edited = null
    show(<OneTip />)
    const rows = await screen.findAllByRole('button', { name: 'Take this' }, patient)
    const [first] = oneTipLess(order, workshop)
    fireEvent.click(rows[0]!)
    expect(edited).toEqual(applied(order, first!.changes))
  })
})
