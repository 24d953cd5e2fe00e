// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react'
import type { ReactNode } from 'react'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import { newOrder } from '#core/orders/new'
import { ApiError, api, OfflineError } from './api.ts'
import { previewBackup, restoreBackup, useBackupAge } from './backup.ts'
import { purgeDeleted, restoreDeleted, useDeleted } from './deleted.ts'
import { addDye, forgetMix, keepMix, removeDye, useMixes } from './dyes.ts'
import { OrderEditorProvider, useOrderEditor } from './orderEditor.tsx'
import { createOrder, deleteOrder, duplicateOrder, importOrder, useOrders } from './orders.ts'
import { passphraseGiven, usePassphraseNeeded } from './session.ts'
import { addWeighing, removeWeighing, useWeighings } from './weighings.ts'

vi.mock('comlink', async () => (await import('../testing/workers.ts')).comlinkHere)
vi.mock('idb-keyval', () => ({ get: async () => undefined, set: async () => undefined }))

const tea = newOrder('tea', 'Tea', '2026-12-01T10:00', 'butter-sugar')
let calls: { line: string; init: RequestInit }[] = []
let answers: (line: string) => Response | Error

const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status })
const problem = (status: number, code = 'x') =>
  json({ type: 'about:blank', code, title: 'No', status, detail: 'It cannot be.' }, status)
const lines = () => calls.map((c) => c.line)

beforeEach(async () => {
  const { HereWorker } = await import('../testing/workers.ts')
  calls = []
  answers = () => json([])
  vi.stubGlobal('Worker', HereWorker)
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    const line = `${init.method ?? 'GET'} ${url}`
    calls.push({ line, init })
    const answer = answers(line)
    if (answer instanceof Error) throw answer
    return answer
  })
  localStorage.clear()
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const Fresh = (props: { children: ReactNode }) => (
  <SWRConfig value={{ dedupingInterval: 0 }}>{props.children}</SWRConfig>
)
const hook = <T,>(use: () => T) => renderHook(use, { wrapper: Fresh })

describe('a call of the API', () => {
  it('sends versions and bodies, keeps saving when the page goes, and tells kinds of failure apart', async () => {
    answers = () => json({ version: 3 })
    await api('/orders/tea', { method: 'PUT', body: tea, version: 2 })
    const { init } = calls[0]!
    expect(init.headers).toMatchObject({ 'If-Match': '"2"', 'Content-Type': 'application/json' })
    expect(init.keepalive).toBe(true)
    await api('/orders/tea', { method: 'PUT', body: { text: 'x'.repeat(90_000) }, version: 2 })
    expect(calls[1]!.init.keepalive).toBe(false)
    answers = () => problem(422, 'invalid')
    const refused = await api('/orders').catch((error: ApiError) => error)
    expect(refused).toBeInstanceOf(ApiError)
    expect((refused as ApiError).problem.code).toBe('invalid')
    answers = () => new Response('<html>', { status: 502 })
    await expect(api('/orders')).rejects.toThrow(/answered 502. Nothing was changed/)
    answers = () => new TypeError('Failed to fetch')
    await expect(api('/orders')).rejects.toBeInstanceOf(OfflineError)
  })

  it('asks the person for the passphrase when the server does, until it is given', async () => {
    const { result } = hook(usePassphraseNeeded)
    expect(result.current).toBe(false)
    answers = () => problem(401, 'passphrase-needed')
    await act(() => api('/orders').catch(() => undefined))
    expect(result.current).toBe(true)
    act(() => passphraseGiven())
    expect(result.current).toBe(false)
  })
})

describe('lists of orders', () => {
  it('come a page at a time and are asked for again after every change', async () => {
    const summary = {
      id: 'tea',
      title: 'Tea',
      customer: '',
      collectAt: tea.collectAt,
      pieces: 0,
      colours: [],
      version: 1,
    }
    answers = (line) =>
      line.includes('after=')
        ? json({ orders: [{ ...summary, id: 'b' }], total: 2, next: null })
        : line.startsWith('GET')
          ? json({ orders: [summary], total: 2, next: '2026-12-01T10:00~tea' })
          : json({ order: tea, version: 1, notes: [] })
    const { result } = hook(() => useOrders('coming', '2026-11-26', ' te '))
    await waitFor(() => expect(result.current.orders).toHaveLength(1))
    expect(lines()[0]).toBe('GET /api/orders?from=2026-11-26&limit=100&search=te')
    act(() => result.current.more!())
    await waitFor(() => expect(result.current.orders!.map((o) => o.id)).toEqual(['tea', 'b']))
    expect([result.current.total, result.current.more]).toEqual([2, null])
    const asked = () => lines().filter((l) => l.startsWith('GET /api/orders?')).length
    for (const change of [
      () => createOrder('Tea', tea.collectAt),
      () => duplicateOrder('tea'),
      () => deleteOrder('tea'),
      () => importOrder('{}'),
    ]) {
      const before = asked()
      await act(async () => void (await change()))
      expect(asked()).toBeGreaterThan(before)
    }
    const past = hook(() => useOrders('past', '2026-11-26', ''))
    await waitFor(() => expect(past.result.current.orders).toHaveLength(1))
    expect(lines().at(-1)).toBe('GET /api/orders?before=2026-11-26&latestFirst=1&limit=100')
  })

  it('do not show an order that was deleted a moment ago where none of them was on screen', async () => {
    const list = (ids: string[]) =>
      json({ orders: ids.map((id) => ({ id, title: id, collectAt: tea.collectAt })), total: 1, next: null })
    answers = () => list(['tea', 'cake'])
    const before = renderHook(() => useOrders('coming', '2026-11-27', ''))
    await waitFor(() => expect(before.result.current.orders).toHaveLength(2))
    before.unmount()
    answers = (line) => (line.startsWith('DELETE') ? new Response(null, { status: 204 }) : list(['tea']))
    await deleteOrder('cake')
    const after = renderHook(() => useOrders('coming', '2026-11-27', ''))
    await waitFor(() => expect(after.result.current.orders?.map((o) => o.id)).toEqual(['tea']))
  })
})

describe('an order on screen', () => {
  const stored = { order: tea, version: 4 }
  const open = () =>
    renderHook(useOrderEditor, {
      wrapper: (props: { children: ReactNode }) => (
        <OrderEditorProvider stored={stored} workshop={starterWorkshop}>
          {props.children}
        </OrderEditorProvider>
      ),
    })

  it('is planned and saved as it is edited, and keeps the plan before for comparing', async () => {
    let version = 4
    answers = () => json({ version: ++version })
    const { result } = open()
    await waitFor(() => expect(result.current.plan?.orderId).toBe('tea'), { timeout: 20_000 })
    act(() => result.current.edit('title', (o) => ({ ...o, title: 'High tea' })))
    // figures of the plan are of the order that it was made of, until the next one is there
    expect([result.current.order.title, result.current.planOf?.title]).toEqual(['High tea', 'Tea'])
    await waitFor(() => expect(result.current.planOf?.title).toBe('High tea'), { timeout: 20_000 })
    expect(result.current.beforeOf?.title).toBe('Tea')
    await waitFor(() => expect(lines()).toContain('PUT /api/orders/tea'), { timeout: 3000 })
    await waitFor(() => expect(result.current.sync.state.kind).toBe('saved'))
    expect(result.current.before?.orderId).toBe('tea')
    act(() => result.current.undo!())
    expect(result.current.order.title).toBe('Tea')
  })

  it('takes up the draft of an earlier visit, and what was saved elsewhere while the page lay open', async () => {
    const draft = { base: tea, document: { ...tea, title: 'Draft' }, version: 4, at: 1 }
    localStorage.setItem('kanten.draft.order/tea.another-tab', JSON.stringify(draft))
    answers = (line) =>
      line.startsWith('PUT') ? json({ version: 5 }) : json({ order: { ...tea, title: 'Theirs' }, version: 6 })
    const { result } = open()
    expect(result.current.order.title).toBe('Draft')
    await waitFor(() => expect(result.current.sync.state.kind).toBe('saved'), { timeout: 3000 })
    act(() => void document.dispatchEvent(new Event('visibilitychange')))
    await waitFor(() => expect(result.current.order.title).toBe('Theirs'))
  })

  it('is only there inside an order', () => {
    const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    expect(() => renderHook(useOrderEditor)).toThrow(/outside an order/)
    quiet.mockRestore()
  })
})

describe('what is deleted, weighed, mixed and backed up', () => {
  it('is asked for again after every change', async () => {
    answers = (line) =>
      line.includes('backup/age')
        ? json({ backedUpAt: '2026-11-16T12:00:00.000Z', orders: 2 })
        : line.startsWith('GET')
          ? json([])
          : json({ id: 'm', orderId: 'tea' })
    const views = [hook(useDeleted), hook(() => useWeighings('rose')), hook(() => useMixes('tea'))]
    const age = hook(useBackupAge)
    await waitFor(() => expect(age.result.current?.days).toBeGreaterThanOrEqual(9))
    await waitFor(() => expect(views[1]!.result.current).toMatchObject({ weighings: [] }))
    const mix = {
      id: 'm',
      orderId: 'tea',
      colourId: 'c',
      icingKindId: 'k',
      grams: 1,
      doses: [],
      targetHex: '#000000',
      observedHex: '#000000',
      at: '',
    }
    const { id: _, at: __, ...newMix } = mix
    const file = new Blob(['x'])
    for (const [work, line, again] of [
      [() => restoreDeleted('orders', 'tea'), 'POST /api/deleted/orders/tea/restore', 'GET /api/deleted'],
      [() => purgeDeleted('orders', 'tea'), 'DELETE /api/deleted/orders/tea', 'GET /api/deleted'],
      [
        () => addWeighing('rose', { count: 1, grams: 9, icingKindId: 'k', note: '' }),
        'POST /api/flowers/rose/weighings',
        'GET /api/flowers/rose/weighings',
      ],
      [
        () => removeWeighing('rose', 'w'),
        'DELETE /api/flowers/rose/weighings/w',
        'GET /api/flowers/rose/weighings',
      ],
      [() => keepMix(newMix), 'POST /api/mixes', 'GET /api/orders/tea/mixes'],
      [() => forgetMix(mix), 'DELETE /api/mixes/m', 'GET /api/orders/tea/mixes'],
      [() => addDye({ name: 'Mine' } as never), 'POST /api/dyes', null],
      [() => removeDye('d'), 'DELETE /api/dyes/d', null],
      [() => previewBackup(file), 'POST /api/backup/preview', null],
      [() => restoreBackup(file, 'abc'), 'POST /api/backup/restore?state=abc', 'GET /api/deleted'],
    ] as const) {
      calls = []
      await act(work as () => Promise<void>)
      expect(lines()[0]).toBe(line)
      if (again) await waitFor(() => expect(lines()).toContain(again))
    }
  })
})
