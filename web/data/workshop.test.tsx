// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react'
import type { ReactNode } from 'react'
import { mutate, SWRConfig } from 'swr'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { StoredWorkshop } from '#contract/workshop'
import { starterWorkshop } from '#core/catalogue/starter'
import type { Flower } from '#core/model/flower'

vi.mock('idb-keyval', () => {
  const kept = new Map<string, unknown>()
  return {
    get: async (key: string) => structuredClone(kept.get(key)),
    set: async (key: string, value: unknown) => void kept.set(key, structuredClone(value)),
  }
})

const own = (id: string): Flower => ({
  ...starterWorkshop.flowers[0]!,
  id,
  name: `Rose ${id}`,
  source: 'own',
})

/** A server that keeps a workshop and is as strict about versions as the real one. */
function fakeServer() {
  const stored: StoredWorkshop = {
    workshop: { ...starterWorkshop, flowers: [...starterWorkshop.flowers, own('a'), own('b')] },
    calibrations: { b: { factor: 1.4, spread: 0.2, band: 0.1, weighings: 3 } },
    taught: { pace: {}, spoiled: {} },
    learnt: { figures: [], aside: [] },
    versions: { settings: 0, tips: {}, bags: {}, flowers: { a: 1, b: 1 }, icings: {}, dyes: {} },
    unreadable: [],
  }
  const calls: string[] = []
  const server = { stored, calls, delayMs: 30, down: false }
  const put = (
    list: 'flowers' | 'tips' | 'dyes' | 'bags' | 'icings',
    id: string,
    seen: number,
    body: object,
  ) => {
    const versions = server.stored.versions[list]
    if ((versions[id] ?? 0) !== seen) return 412
    const items = server.stored.workshop[list] as { id: string }[]
    server.stored = {
      ...server.stored,
      workshop: {
        ...server.stored.workshop,
        [list]: items.map((item) => (item.id === id ? { ...item, ...body } : item)),
      },
      versions: { ...server.stored.versions, [list]: { ...versions, [id]: seen + 1 } },
    }
    return seen + 1
  }
  vi.stubGlobal(
    'fetch',
    vi.fn(async (url: string, init: RequestInit = {}) => {
      const { method = 'GET', body } = init
      if (method !== 'GET') calls.push(`${method} ${url}`)
      await new Promise((resolve) => setTimeout(resolve, server.delayMs))
      if (server.down) throw new TypeError('Failed to fetch')
      const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status })
      const [, , list = '', id = ''] = url.split('/')
      if (method === 'PUT') {
        const seen = Number(/\d+/.exec(new Headers(init.headers).get('If-Match') ?? '')![0])
        if (list === 'settings') {
          if (server.stored.versions.settings !== seen) return json(problem(412), 412)
          server.stored = {
            ...server.stored,
            workshop: { ...server.stored.workshop, settings: JSON.parse(String(body)) },
            versions: { ...server.stored.versions, settings: seen + 1 },
          }
          return json({ version: seen + 1 })
        }
        const version = put(list as 'flowers', id, seen, JSON.parse(String(body)))
        return version === 412 ? json(problem(412), 412) : json({ version })
      }
      if (method === 'DELETE') return new Response(null, { status: 204 })
      if (method === 'POST') return json({ ...own('copy'), id: 'copy' })
      return json(server.stored)
    }),
  )
  return { server, put }
}
const problem = (status: number) => ({ type: 'about:blank', code: 'x', title: 'x', status, detail: 'no' })
const wait = (ms: number) => act(() => new Promise((resolve) => setTimeout(resolve, ms)))

beforeEach(() => {
  vi.resetModules()
  localStorage.clear()
  sessionStorage.clear()
})
afterEach(async () => {
  cleanup()
  await mutate(() => true, undefined, { revalidate: false })
  vi.unstubAllGlobals()
})

/** Each test asks the server anew, however soon after the last. */
const AtOnce = (props: { children: ReactNode }) => (
  <SWRConfig value={{ dedupingInterval: 0 }}>{props.children}</SWRConfig>
)

/** The module anew, as after loading the page. */
async function load() {
  const workshop = await import('./workshop.ts')
  const edits = await import('./workshopEdits.ts')
  const dyes = await import('./dyes.ts')
  const view = renderHook(() => workshop.useWorkshop(), { wrapper: AtOnce })
  // whatever an earlier test left under way
  await act(() => workshop.reloadWorkshop())
  await waitFor(() => expect(view.result.current.workshop).toBeDefined(), { timeout: 3000 })
  return { workshop, edits, dyes, view }
}

describe('the workshop edited in one tab', () => {
  it('shows every change at once and saves each document by its own queue, however the answers come', async () => {
    const { server } = fakeServer()
    server.delayMs = 120
    const { workshop, edits, dyes, view } = await load()
    const name = () => view.result.current.workshop!.flowers.find((f) => f.id === 'a')!.name
    const edit = (to: string) => act(() => edits.editDocument('flower', 'a', (f) => ({ ...f, name: to })))
    edit('One')
    expect(name()).toBe('One')
    await wait(500)
    // the first is on its way, and the workshop will be read again behind it
    edit('Two')
    act(() => {
      workshop.editTip('round-2', (tip) => ({ ...tip, owned: 7 }))
      workshop.editSettings((s) => ({ ...s, bakery: 'Ours' }))
      workshop.editSettings((s) => ({ ...s, units: 'ounces' }))
      workshop.editBag('bag-20', (b) => ({ ...b, owned: 3 }))
      dyes.editDye('teal', (d) => ({ ...d, owned: true }))
    })
    expect(edits.editsState().state.kind).toBe('saving')
    await wait(200)
    expect(name()).toBe('Two')
    await waitFor(() => expect(edits.editsState().state.kind).toBe('saved'), { timeout: 4000 })
    const now = server.stored.workshop
    expect(now.flowers.find((f) => f.id === 'a')!.name).toBe('Two')
    expect(now.tips.find((t) => t.id === 'round-2')!.owned).toBe(7)
    expect(now.settings).toMatchObject({ bakery: 'Ours', units: 'ounces' })
    expect(now.bags.find((b) => b.id === 'bag-20')!.owned).toBe(3)
    expect(now.dyes.find((d) => d.id === 'teal')!.owned).toBe(true)
    await wait(300)
    expect(name()).toBe('Two')
  })

  it('shows what weighing has taught, whatever the recipe says', async () => {
    fakeServer()
    const { edits, view } = await load()
    act(() => edits.editDocument('flower', 'b', (f) => ({ ...f, name: 'Weighed', calibration: 3 })))
    const shown = view.result.current.workshop!.flowers.find((f) => f.id === 'b')!
    expect([shown.name, shown.calibration, shown.spread]).toEqual(['Weighed', 1.4, 0.2])
    await act(() => edits.flushEdits())
  })

  it('goes on after a reload with what could not be sent, though nobody opens it again', async () => {
    const { server } = fakeServer()
    const first = await load()
    server.down = true
    act(() => first.edits.editDocument('flower', 'a', (f) => ({ ...f, name: 'Offline' })))
    await wait(700)
    expect(first.edits.editsState().state.kind).toBe('waiting')
    cleanup()
    await mutate(() => true, undefined, { revalidate: false })
    vi.resetModules()
    server.down = false
    const second = await load()
    await waitFor(
      () => expect(server.stored.workshop.flowers.find((f) => f.id === 'a')!.name).toBe('Offline'),
      { timeout: 3000 },
    )
    expect(second.view.result.current.workshop!.flowers.find((f) => f.id === 'a')!.name).toBe('Offline')
  })

  it('sends what is waiting before it copies or deletes, and forgets what is deleted', async () => {
    const { server } = fakeServer()
    const { workshop, edits } = await load()
    act(() => edits.editDocument('flower', 'a', (f) => ({ ...f, name: 'Just typed' })))
    await act(() => workshop.copyFlower('a'))
    expect(server.calls.slice(0, 2)).toEqual(['PUT /api/flowers/a', 'POST /api/flowers/a/copy'])
    await act(() => workshop.removeFlower('a'))
    expect(server.calls.at(-1)).toBe('DELETE /api/flowers/a')
    expect(() => edits.documentSync('flower', 'gone', server.stored)).toThrow(/no flower “gone” any more/)
  })
})

describe('the workshop edited in two places', () => {
  it('follows what somebody else saved while nothing is waiting here', async () => {
    const { put } = fakeServer()
    const { workshop, edits, view } = await load()
    act(() => edits.editDocument('flower', 'a', (f) => ({ ...f, name: 'Mine' })))
    await waitFor(() => expect(edits.editsState().state.kind).toBe('saved'), { timeout: 3000 })
    put('flowers', 'a', 2, { name: 'Theirs' })
    await act(() => workshop.reloadWorkshop())
    expect(view.result.current.workshop!.flowers.find((f) => f.id === 'a')!.name).toBe('Theirs')
    // and the next change goes on top of that
    act(() => edits.editDocument('flower', 'a', (f) => ({ ...f, note: 'more' })))
    await waitFor(() => expect(edits.editsState().state.kind).toBe('saved'), { timeout: 3000 })
  })

  it('asks when both changed one document, and saves what was settled', async () => {
    const { server, put } = fakeServer()
    const { edits, view } = await load()
    put('flowers', 'a', 1, { name: 'Theirs' })
    act(() => edits.editDocument('flower', 'a', (f) => ({ ...f, name: 'Mine' })))
    await waitFor(() => expect(edits.editsState().entry).not.toBeNull(), { timeout: 3000 })
    const { what, conflict, settle } = edits.editsState().entry!
    expect(what).toBe('this flower')
    expect((conflict.theirs.document as Flower).name).toBe('Theirs')
    act(() => settle({ ...(conflict.mine as Flower), name: 'Both' }))
    await waitFor(() => expect(server.stored.workshop.flowers.find((f) => f.id === 'a')!.name).toBe('Both'), {
      timeout: 3000,
    })
    expect(view.result.current.workshop!.flowers.find((f) => f.id === 'a')!.name).toBe('Both')
  })
})
