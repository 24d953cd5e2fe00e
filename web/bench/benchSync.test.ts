import { describe, expect, it } from 'vitest'
import type { BenchEvent } from '#core/model/bench'
import { ApiError, OfflineError } from '../data/api.ts'
import type { BenchStore } from './benchStore.ts'
import { type BenchLine, BenchSync } from './benchSync.ts'

let made = 0
const event = (kind: BenchEvent['kind'] = 'tap'): BenchEvent => ({
  ...{ id: `e${++made}`, stepId: 's', kind, at: new Date(made * 1000).toISOString() },
  ...{ by: null, amount: null, note: null },
})

/** A server that may be away, and that may take something in and lose its answer. */
class Server {
  readonly events: BenchEvent[] = []
  state: 'up' | 'away' | 'answers get lost' | 'refuses' = 'up'
  #news: (() => void)[] = []
  line(): BenchLine {
    return {
      note: async (sent) => {
        if (this.state === 'away') throw new OfflineError()
        if (this.state === 'refuses')
          throw new ApiError({
            type: '',
            code: 'not-found',
            title: '',
            status: 404,
            detail: 'There is no such run.',
          })
        for (const e of sent) if (!this.events.some((k) => k.id === e.id)) this.events.push(e)
        if (this.state === 'answers get lost') throw new OfflineError()
        for (const tell of this.#news) tell()
      },
      heard: async (after) => {
        if (this.state !== 'up') throw new OfflineError()
        const events = this.events.slice(after, after + 3)
        return { events, last: after + events.length, runVersion: 1, more: this.events.length > after + 3 }
      },
      listen: (onNews) => {
        this.#news.push(onNews)
        return () => {
          this.#news = this.#news.filter((n) => n !== onNews)
        }
      },
    }
  }
}

/** What a device keeps; it may be full. */
function device(): BenchStore & { full: boolean } {
  const kept = new Map<string, { event: BenchEvent; sent: boolean }>()
  let far = 0
  return {
    full: false,
    run: async () => null,
    keepRun: async () => {},
    events: async () => ({ kept: [...kept.values()], last: far }),
    async keep(events, sent) {
      if (this.full) throw new DOMException('full', 'QuotaExceededError')
      for (const e of events) kept.set(e.id, { event: e, sent })
    },
    async keepLast(last) {
      far = last
    },
  }
}
async function open(server: Server, store = device()) {
  const sync = new BenchSync(store, server.line())
  await sync.open()
  await sync.exchange()
  return sync
}
/** All that is under way, and what it brings about. */
async function settle(sync: BenchSync) {
  for (let i = 0; i < 4; i++) await sync.exchange()
}
const ids = (of: readonly BenchEvent[]) => of.map((e) => e.id).sort()

describe('what is tapped', () => {
  it('counts at once, reaches the server, and every other tablet, however much it is at a time', async () => {
    const server = new Server()
    const [a, b] = [await open(server), await open(server)]
    const mine = Array.from({ length: 8 }, () => event())
    for (const e of mine) a.note(e)
    expect(a.events).toHaveLength(8)
    await settle(a)
    await settle(b)
    expect(ids(b.events)).toEqual(ids(mine))
    expect([a.state.waiting, server.events.length]).toEqual([0, 8])
  })

  it('waits while the server is away, is not lost with the page, and is noted once though the answer was lost', async () => {
    const server = new Server()
    const store = device()
    const before = await open(server, store)
    server.state = 'away'
    for (let i = 0; i < 4; i++) before.note(event())
    await settle(before)
    expect(before.state).toMatchObject({ online: false, waiting: 4 })
    before.close()
    // the page is opened again
    server.state = 'answers get lost'
    const after = await open(server, store)
    expect(after.events).toHaveLength(4)
    await settle(after)
    expect(after.state).toMatchObject({ online: false, waiting: 4 })
    server.state = 'up'
    await settle(after)
    await settle(after)
    expect(after.state).toMatchObject({ online: true, waiting: 0 })
    expect(server.events).toHaveLength(4)
    expect(after.events).toHaveLength(4)
    after.close()
  })

  it('counts on when the device is full or the server refuses it, and says so', async () => {
    const server = new Server()
    const store = device()
    const sync = await open(server, store)
    store.full = true
    server.state = 'away'
    sync.note(event())
    await settle(sync)
    expect(sync.events).toHaveLength(1)
    expect(sync.state.trouble).toContain('no room left')
    server.state = 'refuses'
    await settle(sync)
    expect(sync.state.trouble).toContain('There is no such run.')
    expect(sync.state.waiting).toBe(1)
    server.state = 'up'
    await settle(sync)
    expect(sync.state).toMatchObject({ trouble: null, waiting: 0 })
    sync.close()
  })
})
