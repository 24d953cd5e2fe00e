// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiError, OfflineError } from './api.ts'
import { DocumentSync, PAUSE_MS, type Stored } from './documentSync.ts'
import { draftNames, findDraft, keepDraft } from './drafts.ts'

interface Doc {
  title: string
  count: number
}

/** A server for one document, as strict about versions as the real one. */
class FakeServer {
  stored: Stored<Doc>
  saves: Doc[] = []
  /** Errors to answer the next saves with. */
  failures: unknown[] = []
  constructor(document: Doc) {
    this.stored = { document, version: 1 }
  }
  transport = {
    save: async (document: Doc, version: number) => {
      await new Promise((resolve) => setTimeout(resolve, 100))
      const failure = this.failures.shift()
      if (failure) throw failure
      if (version !== this.stored.version) throw problem(412)
      this.saves.push(document)
      this.stored = { document, version: version + 1 }
      return { version: version + 1 }
    },
    read: async () => this.stored,
  }
}

const problem = (status: number, detail = 'no') =>
  new ApiError({ type: 'about:blank', code: 'x', title: 'x', status, detail })
const start: Doc = { title: 'Tea', count: 1 }
const read = (document: unknown) => document as Doc

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  sessionStorage.clear()
})
afterEach(() => vi.useRealTimers())

function open(server: FakeServer, draft: Parameters<typeof findDraft>[0] | null = null) {
  const found = draft === null ? null : findDraft(draft, read)
  return new DocumentSync({
    name: 'order/tea',
    transport: server.transport,
    stored: server.stored,
    draft: found,
  })
}

describe('a document edited in one tab', () => {
  it('is saved once for quick edits, and again for what was typed while the first was on its way', async () => {
    const server = new FakeServer(start)
    const sync = open(server)
    sync.set({ title: 'Te', count: 1 })
    sync.set({ title: 'Tea at', count: 1 })
    await vi.advanceTimersByTimeAsync(PAUSE_MS + 50)
    // the request is under way: this one must go with the version that it will give
    sync.set({ title: 'Tea at four', count: 1 })
    await vi.advanceTimersByTimeAsync(2000)
    expect(server.saves.map((s) => s.title)).toEqual(['Tea at', 'Tea at four'])
    expect(sync.state.kind).toBe('saved')
    expect(draftNames().size).toBe(0)
  })

  it('is kept in the browser until the server has it, and goes on from there after a reload', async () => {
    const server = new FakeServer(start)
    server.failures = [new OfflineError(), new OfflineError()]
    const sync = open(server)
    sync.set({ title: 'Offline', count: 2 })
    await vi.advanceTimersByTimeAsync(1000)
    expect(sync.state).toMatchObject({ kind: 'waiting' })
    expect(draftNames()).toEqual(new Set(['order/tea']))
    const again = open(server, 'order/tea')
    expect(again.document.title).toBe('Offline')
    await vi.advanceTimersByTimeAsync(6000)
    expect(server.stored.document).toEqual({ title: 'Offline', count: 2 })
    expect(again.state.kind).toBe('saved')
  })

  it('takes an answer that was lost on its way for what it was', async () => {
    const server = new FakeServer(start)
    const sync = open(server)
    sync.set({ title: 'Twice', count: 1 })
    // the server saved it, and the network failed before the answer came
    server.stored = { document: { title: 'Twice', count: 1 }, version: 2 }
    await vi.advanceTimersByTimeAsync(1000)
    expect(sync.state.kind).toBe('saved')
    expect(sync.version).toBe(2)
  })

  it('is nobody else’s when the page is left while it is on its way, and typed on in the meantime', async () => {
    const server = new FakeServer(start)
    const sync = open(server)
    sync.set({ title: 'Te', count: 1 })
    await vi.advanceTimersByTimeAsync(PAUSE_MS + 50)
    // on its way; one more letter, and the page is loaded anew before the answer comes
    sync.set({ title: 'Tea at four', count: 1 })
    const draft = localStorage.getItem(Object.keys(localStorage).find((k) => k.includes('order/tea'))!)!
    await vi.advanceTimersByTimeAsync(3000)
    localStorage.setItem(`kanten.draft.order/tea.${sessionStorage.getItem('kanten.tab')}`, draft)
    server.stored = { document: { title: 'Te', count: 1 }, version: 2 }
    const again = open(server, 'order/tea')
    expect(again.document.title).toBe('Tea at four')
    await vi.advanceTimersByTimeAsync(1000)
    expect(again.state.kind).toBe('saved')
    expect(server.stored).toEqual({ document: { title: 'Tea at four', count: 1 }, version: 3 })
  })

  it('says why it was refused, keeps the edit, and tries again with the next', async () => {
    const server = new FakeServer(start)
    server.failures = [problem(422, 'At most 80 characters.')]
    const sync = open(server)
    sync.set({ title: 'Too long', count: 1 })
    await vi.advanceTimersByTimeAsync(1000)
    expect(sync.state).toEqual({ kind: 'refused', why: 'At most 80 characters.' })
    expect(sync.document.title).toBe('Too long')
    sync.set({ title: 'Short', count: 1 })
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.stored.document.title).toBe('Short')
  })

  it('waits and tries again while the passphrase is asked for', async () => {
    const server = new FakeServer(start)
    server.failures = [problem(401)]
    const sync = open(server)
    sync.set({ title: 'Later', count: 1 })
    await vi.advanceTimersByTimeAsync(1000)
    expect(sync.state.kind).toBe('waiting')
    await vi.advanceTimersByTimeAsync(5000)
    expect(server.stored.document.title).toBe('Later')
  })

  it('sends what is waiting when asked to, without the pause', async () => {
    const server = new FakeServer(start)
    const sync = open(server)
    sync.set({ title: 'Leaving', count: 1 })
    const done = sync.flush()
    await vi.advanceTimersByTimeAsync(150)
    await done
    expect(server.saves).toHaveLength(1)
  })
})

describe('a document edited in two places', () => {
  async function clashing() {
    const server = new FakeServer(start)
    const sync = open(server)
    sync.set({ title: 'Mine', count: 1 })
    server.stored = { document: { title: 'Tea', count: 9 }, version: 5 }
    await vi.advanceTimersByTimeAsync(1000)
    return { server, sync }
  }

  it('asks, with what both began with and what each made of it, and sends nothing meanwhile', async () => {
    const { server, sync } = await clashing()
    expect(sync.state).toEqual({
      kind: 'conflict',
      conflict: {
        base: start,
        mine: { title: 'Mine', count: 1 },
        theirs: { document: { title: 'Tea', count: 9 }, version: 5 },
      },
    })
    sync.set({ title: 'Mine again', count: 1 })
    await vi.advanceTimersByTimeAsync(9000)
    expect(server.saves).toEqual([])
    expect(sync.state).toMatchObject({ conflict: { mine: { title: 'Mine again' } } })
  })

  it('saves what was chosen on top of the other’s version', async () => {
    const { server, sync } = await clashing()
    sync.resolve({ title: 'Mine', count: 9 })
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.stored).toEqual({ document: { title: 'Mine', count: 9 }, version: 6 })
    expect(sync.state.kind).toBe('saved')
  })

  it('sends nothing when the other’s state was chosen', async () => {
    const { server, sync } = await clashing()
    sync.resolve(server.stored.document)
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.saves).toEqual([])
    expect(sync.state.kind).toBe('saved')
    expect(draftNames().size).toBe(0)
    // and goes on with the next edit
    sync.set({ title: 'After', count: 9 })
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.stored.document.title).toBe('After')
  })

  it('takes in what the other saved while nothing is waiting here, and not otherwise', async () => {
    const server = new FakeServer(start)
    const sync = open(server)
    sync.adopt({ document: { title: 'Theirs', count: 1 }, version: 4 })
    expect(sync.document.title).toBe('Theirs')
    sync.set({ title: 'Mine', count: 1 })
    sync.adopt({ document: { title: 'Later', count: 1 }, version: 6 })
    expect(sync.document.title).toBe('Mine')
    sync.adopt({ document: { title: 'Older', count: 1 }, version: 2 })
    expect(sync.version).toBe(4)
  })

  it('does not drop a draft that was made on an older version: it asks', async () => {
    const server = new FakeServer({ title: 'Tea', count: 9 })
    server.stored = { ...server.stored, version: 5 }
    keepDraft('order/tea', { base: start, document: { title: 'Mine', count: 1 }, version: 1, at: 1 })
    const sync = open(server, 'order/tea')
    await vi.advanceTimersByTimeAsync(1000)
    expect(sync.state.kind).toBe('conflict')
  })
})

describe('drafts', () => {
  it('of two tabs do not write over each other; one left behind is taken up', () => {
    keepDraft('flower/x', { base: start, document: { title: 'First tab', count: 1 }, version: 1, at: 1 })
    sessionStorage.clear()
    keepDraft('flower/x', { base: start, document: { title: 'Second tab', count: 1 }, version: 1, at: 2 })
    expect(findDraft('flower/x', read)!.document.title).toBe('Second tab')
    sessionStorage.clear()
    // a third tab: the latest draft becomes its own
    expect(findDraft('flower/x', read)!.document.title).toBe('Second tab')
    expect(localStorage.length).toBe(2)
  })

  it('that cannot be read are left where they are', () => {
    localStorage.setItem('kanten.draft.flower/x.t', '{"version":1,"document":7,"base":7}')
    localStorage.setItem('kanten.draft.flower/x.u', 'not json')
    expect(findDraft('flower/x', () => null)).toBeNull()
    expect(localStorage.length).toBe(2)
  })

  it('are no reason to fail where the browser keeps nothing', () => {
    const full = () => {
      throw new Error('QuotaExceededError')
    }
    vi.stubGlobal('localStorage', { ...localStorage, setItem: full })
    vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: full })
    expect(keepDraft('order/a', { base: 1, document: 2, version: 1, at: 1 })).toBe(false)
    vi.unstubAllGlobals()
  })
})
