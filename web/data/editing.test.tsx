// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { DocumentSync, type Stored } from './documentSync.ts'
import { useDocument } from './useDocument.ts'

const kept = new Map<string, unknown>()
/** What is written waits for it. */
let disk: Promise<unknown> = Promise.resolve()
vi.mock('idb-keyval', () => ({
  get: async (key: string) => structuredClone(kept.get(key)),
  set: async (key: string, value: unknown) => {
    await disk
    kept.set(key, structuredClone(value))
  },
}))

interface Doc {
  title: string
  pieces: { id: string; count: number }[]
}
const start: Doc = { title: 'Tea', pieces: [{ id: 'a', count: 1 }] }

function server(document = start) {
  const at: { stored: Stored<Doc> } = { stored: { document, version: 1 } }
  const transport = {
    save: async (next: Doc, version: number) => {
      at.stored = { document: next, version: version + 1 }
      return { version: version + 1 }
    },
    read: async () => at.stored,
  }
  return { at, open: () => new DocumentSync({ name: 'order/x', transport, stored: at.stored }) }
}
const editor = (sync: DocumentSync<Doc>) => renderHook(() => useDocument('order/x', sync))

beforeEach(() => {
  kept.clear()
  localStorage.clear()
})
afterEach(cleanup)

describe('editing a document', () => {
  it('is on screen at once, saved by itself, and undone and redone by name', async () => {
    const { at, open } = server()
    const { result } = editor(open())
    expect(result.current.undo).toBeNull()
    act(() => result.current.edit('title', (d) => ({ ...d, title: 'Supper' })))
    act(() => result.current.edit('count', (d) => ({ ...d, pieces: [{ id: 'a', count: 9 }] })))
    expect(result.current.document).toEqual({ title: 'Supper', pieces: [{ id: 'a', count: 9 }] })
    expect(result.current.undoLabel).toBe('count')
    await waitFor(() => expect(at.stored.document.pieces[0]!.count).toBe(9), { timeout: 3000 })
    act(() => result.current.undo!())
    expect([result.current.document.pieces[0]!.count, result.current.redoLabel]).toEqual([1, 'count'])
    act(() => result.current.redo!())
    expect(result.current.document.pieces[0]!.count).toBe(9)
  })

  it('can be undone after a reload, unless the document is no longer as it was left', async () => {
    const { at, open } = server()
    const first = editor(open())
    act(() => first.result.current.edit('title', (d) => ({ ...d, title: 'Supper' })))
    await waitFor(() => expect(at.stored.document.title).toBe('Supper'), { timeout: 3000 })
    first.unmount()
    const second = editor(open())
    await waitFor(() => expect(second.result.current.undoLabel).toBe('title'))
    act(() => second.result.current.undo!())
    expect(second.result.current.document.title).toBe('Tea')
    await waitFor(() => expect(at.stored.document.title).toBe('Tea'), { timeout: 3000 })
    second.unmount()
    at.stored = { document: { ...start, title: 'Theirs' }, version: 9 }
    const third = editor(open())
    await act(() => new Promise((resolve) => setTimeout(resolve, 50)))
    expect(third.result.current.undo).toBeNull()
  })

  it.each([
    ['some of its steps', true],
    ['any of its steps', false],
  ])(
    'can be undone though the page was left before the disk had %s, however often it is opened then',
    async (_, some) => {
      const { at, open } = server()
      const first = editor(open())
      let free = () => undefined as unknown
      const full = () => {
        disk = new Promise((resolve) => {
          free = () => resolve(null)
        })
      }
      if (!some) full()
      act(() => first.result.current.edit('title', (d) => ({ ...d, title: 'Supper' })))
      if (some) await waitFor(() => expect(kept.size).toBe(1))
      if (some) full()
      act(() => first.result.current.edit('count', (d) => ({ ...d, pieces: [{ id: 'a', count: 9 }] })))
      act(() => first.result.current.edit('name', (d) => ({ ...d, title: 'Late supper' })))
      await waitFor(() => expect(at.stored.document.title).toBe('Late supper'), { timeout: 3000 })
      dispatchEvent(new Event('pagehide'))
      first.unmount()
      // opened, and left before what was kept has been read
      editor(open()).unmount()
      const { result } = editor(open())
      await waitFor(() => expect(result.current.undoLabel).toBe('name'))
      for (const before of [
        { title: 'Supper', pieces: [{ id: 'a', count: 9 }] },
        { ...start, title: 'Supper' },
        start,
      ]) {
        act(() => result.current.undo!())
        expect(result.current.document).toEqual(before)
      }
      expect(result.current.undo).toBeNull()
      free()
      await disk
      // once it is on the disk, nothing is left beside it
      await waitFor(() => expect(localStorage.getItem('kanten.left.order/x')).toBeNull())
    },
  )

  it('goes on without kept steps where the browser keeps none', async () => {
    kept.set('history order/x', 'not a history')
    const { result } = editor(server().open())
    await act(() => new Promise((resolve) => setTimeout(resolve, 30)))
    act(() => result.current.edit('title', (d) => ({ ...d, title: 'Still works' })))
    expect(result.current.document.title).toBe('Still works')
  })

  it('takes in what somebody else saved under an edit made at the same moment, and that can be undone', () => {
    const { open } = server()
    const sync = open()
    const { result } = editor(sync)
    act(() => sync.adopt({ document: { ...start, pieces: [{ id: 'a', count: 5 }] }, version: 2 }))
    expect(result.current.document.pieces[0]!.count).toBe(5)
    expect(result.current.undoLabel).toBe('changed elsewhere')
    act(() => result.current.undo!())
    expect(result.current.document.pieces[0]!.count).toBe(1)
  })

  it('sends what is waiting when the page is put away', async () => {
    const { at, open } = server()
    const { result } = editor(open())
    act(() => result.current.edit('title', (d) => ({ ...d, title: 'Put away' })))
    Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true })
    act(() => void document.dispatchEvent(new Event('visibilitychange')))
    await waitFor(() => expect(at.stored.document.title).toBe('Put away'), { timeout: 300 })
    Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true })
  })

  it('ends a conflict with what was settled, and choosing theirs can be undone', async () => {
    const { at } = server()
    const theirs = { document: { ...start, title: 'Theirs' }, version: 4 }
    const { ApiError } = await import('./api.ts')
    const sync = new DocumentSync<Doc>({
      name: 'order/x',
      stored: at.stored,
      transport: {
        save: async (_document, version) => {
          if (version === 4) return { version: 5 }
          throw new ApiError({ type: '', code: 'x', title: 'x', status: 412, detail: '' })
        },
        read: async () => theirs,
      },
    })
    const { result } = editor(sync)
    act(() => result.current.edit('title', (d) => ({ ...d, title: 'Mine' })))
    await waitFor(() => expect(sync.state.kind).toBe('conflict'), { timeout: 3000 })
    act(() => result.current.settle(theirs.document))
    expect(result.current.document.title).toBe('Theirs')
    await waitFor(() => expect(sync.state.kind).toBe('saved'), { timeout: 3000 })
    act(() => result.current.undo!())
    expect(result.current.document.title).toBe('Mine')
  })
})
