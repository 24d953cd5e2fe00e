// @vitest-environment happy-dom
import { expect, it, vi } from 'vitest'

/** What the role has been asked, once it has been learnt. */
const asked: { data: unknown; ports: number }[] = []
let learn: (() => void) | null = null
vi.mock('./days.worker.ts', async () => {
  await new Promise<void>((resolve) => {
    learn = resolve
  })
  addEventListener('message', (e) => asked.push({ data: e.data, ports: e.ports.length }))
  return {}
})

it('a worker is asked everything that came before it had learnt its role, once and in order', async () => {
  vi.stubGlobal('self', { name: 'days' })
  await import('./kitchen.worker.ts')
  const { port1 } = new MessageChannel()
  dispatchEvent(new MessageEvent('message', { data: 'workshop' }))
  dispatchEvent(new MessageEvent('message', { data: 'answer', ports: [port1 as unknown as MessagePort] }))
  await vi.waitFor(() => expect(learn).not.toBeNull())
  expect(asked).toEqual([])
  learn!()
  await vi.waitFor(() => expect(asked).toHaveLength(2))
  dispatchEvent(new MessageEvent('message', { data: 'again' }))
  expect(asked).toEqual([
    { data: 'workshop', ports: 0 },
    { data: 'answer', ports: 1 },
    { data: 'again', ports: 0 },
  ])
  port1.close()
})
