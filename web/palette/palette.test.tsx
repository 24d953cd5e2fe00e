// @vitest-environment happy-dom
import { MantineProvider } from '@mantine/core'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter, useLocation } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeAll, expect, it, vi } from 'vitest'
import type { Workshop } from '#core/model/workshop'
import { demoWorkshop } from '#core/plan/testing'
import { stubBrowser } from '../testing/browser.ts'
import { Palette } from './Palette.tsx'

let workshop: Workshop | undefined
vi.mock('../data/workshop.ts', () => ({ useWorkshop: () => ({ workshop }) }))
vi.mock('../data/api.ts', () => ({ api: async () => ({ orders: [], next: null, total: 0 }) }))

beforeAll(() => {
  stubBrowser()
  Element.prototype.scrollIntoView ??= () => undefined
})
afterEach(cleanup)

const Here = () => <output>{useLocation().pathname}</output>
const shown = () => (
  <SWRConfig value={{ provider: () => new Map() }}>
    <MantineProvider env="test">
      <MemoryRouter initialEntries={['/orders']}>
        <Palette opened onClose={() => undefined} />
        <Here />
      </MemoryRouter>
    </MantineProvider>
  </SWRConfig>
)

it('goes to what is found first by Enter, though it was typed before the workshop was there', async () => {
  workshop = undefined
  const { rerender } = render(shown())
  const field = await screen.findByLabelText('Find')
  fireEvent.change(field, { target: { value: 'helebore' } })
  await screen.findByText(/Nothing is called/)
  workshop = demoWorkshop()
  rerender(shown())
  await screen.findByRole('button', { name: /^Hellebore/ })
  fireEvent.keyDown(field, { key: 'Enter', code: 'Enter' })
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('/flowers/hellebore'))
})
