import { type Heard, MOST_EVENTS } from '#contract/bench'
import type { BenchEvent } from '#core/model/bench'
import { ApiError } from '../data/api.ts'
import type { BenchStore } from './benchStore.ts'

/** How a run is told to and heard from the server. */
export interface BenchLine {
  note(events: BenchEvent[]): Promise<void>
  heard(after: number): Promise<Heard>
  /** Calls back whenever something came in at the server, and whenever the line is up again. @returns how to hang up. */
  listen(onNews: () => void): () => void
}

/** How things stand between this device and the server. */
export interface LineState {
  online: boolean
  /** Events that the server does not have yet. */
  waiting: number
  /** Why they cannot be kept on this device, or why the server will not take them. */
  trouble: string | null
  /** The run's version at the server; another than the one on screen means a new plan was taken in. */
  version: number | null
}

const RETRY_MS = 3000

/**
 * Everything noted of a run, here and elsewhere. What is noted here counts at once, is kept on the device before anything else, and goes to
 * the server when there is one; what others noted comes in as it happens. Events are only ever added. Knows nothing of React.
 */
export class BenchSync {
  readonly #store: BenchStore
  readonly #line: BenchLine
  readonly #listeners = new Set<() => void>()
  readonly #known = new Map<string, BenchEvent>()
  readonly #unsent = new Map<string, BenchEvent>()
  #all: readonly BenchEvent[] = []
  #last = 0
  #opened = false
  #state: LineState = { online: true, waiting: 0, trouble: null, version: null }
  #working: Promise<void> | null = null
  #again = false
  #retry: ReturnType<typeof setTimeout> | undefined
  #hangUp: (() => void) | null = null

  constructor(store: BenchStore, line: BenchLine) {
    this.#store = store
    this.#line = line
  }

  /** Takes up what is kept here, then listens. */
  async open(): Promise<void> {
    const { kept, last } = await this.#store.events().catch(() => ({ kept: [], last: 0 }))
    for (const { event, sent } of kept) {
      this.#known.set(event.id, event)
      if (!sent) this.#unsent.set(event.id, event)
    }
    this.#last = last
    this.#opened = true
    this.#changed({})
    this.#hangUp = this.#line.listen(() => void this.exchange())
    void this.exchange()
  }

  close(): void {
    clearTimeout(this.#retry)
    this.#hangUp?.()
    this.#hangUp = null
  }

  /** Whether all is here that can be known: what this device kept, and what the server has, unless it does not answer. */
  get isComplete(): boolean {
    return this.#opened && (this.#state.version !== null || !this.#state.online)
  }

  get events(): readonly BenchEvent[] {
    return this.#all
  }

  get state(): LineState {
    return this.#state
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  /** Notes something that happened here. */
  note(event: BenchEvent): void {
    this.#known.set(event.id, event)
    this.#unsent.set(event.id, event)
    this.#changed({})
    this.#store.keep([event], false).catch(() =>
      this.#changed({
        trouble:
          'This tablet has no room left to keep what you tap. It counts on, but keep this page open until it is sent.',
      }),
    )
    void this.exchange()
  }

  /** Sends what waits and hears what others noted; once more if something came meanwhile. */
  exchange(): Promise<void> {
    if (this.#working) {
      this.#again = true
      return this.#working
    }
    // begun a moment later: news that comes at once must find that it is under way
    this.#working = Promise.resolve()
      .then(() => this.#work())
      .finally(() => {
        this.#working = null
        if (this.#again) {
          this.#again = false
          void this.exchange()
        }
      })
    return this.#working
  }

  async #work(): Promise<void> {
    clearTimeout(this.#retry)
    try {
      while (this.#unsent.size > 0) {
        const events = [...this.#unsent.values()].slice(0, MOST_EVENTS)
        await this.#line.note(events)
        for (const e of events) this.#unsent.delete(e.id)
        this.#changed({})
        // one that is not marked is sent again, and noted once all the same
        await this.#store.keep(events, true).catch(() => undefined)
      }
      for (let more = true; more; ) {
        const heard = await this.#line.heard(this.#last)
        const fresh = heard.events.filter((e) => !this.#known.has(e.id))
        for (const e of fresh) this.#known.set(e.id, e)
        this.#last = heard.last
        this.#changed({
          online: true,
          version: heard.runVersion,
          ...(this.#unsent.size === 0 ? { trouble: null } : {}),
        })
        if (fresh.length > 0) await this.#store.keep(fresh, true).catch(() => undefined)
        await this.#store.keepLast(heard.last).catch(() => undefined)
        more = heard.more
      }
    } catch (error) {
      const refused = error instanceof ApiError && error.problem.status < 500 && error.problem.status !== 401
      this.#changed(
        refused
          ? {
              online: true,
              trouble: `The server does not take this: ${error.message} It stays on this tablet.`,
            }
          : { online: false },
      )
      this.#retry = setTimeout(() => void this.exchange(), RETRY_MS)
    }
  }

  #changed(part: Partial<LineState>): void {
    if (this.#all.length !== this.#known.size) this.#all = [...this.#known.values()]
    this.#state = { ...this.#state, ...part, waiting: this.#unsent.size }
    for (const listener of this.#listeners) listener()
  }
}
