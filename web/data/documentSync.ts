import { dequal as equal } from 'dequal/lite'
import { ApiError } from './api.ts'
import { forgetDraft, keepDraft } from './drafts.ts'

/** A document as the server has it. */
export interface Stored<T> {
  document: T
  version: number
}

/** Two people have changed one document: what both began with, and what each made of it. */
export interface Conflict<T> {
  base: T
  mine: T
  theirs: Stored<T>
}

export type SaveState<T = unknown> =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'waiting'; why: string }
  | { kind: 'conflict'; conflict: Conflict<T> }
  | { kind: 'refused'; why: string }

/** How one kind of document is stored and read. */
export interface Transport<T> {
  save(document: T, version: number): Promise<{ version: number }>
  read(): Promise<Stored<T>>
}

interface Options<T> {
  /** What the draft in this browser is kept under. */
  name: string
  transport: Transport<T>
  stored: Stored<T>
  /** Goes on where an earlier visit stopped. */
  draft?: { base: T; document: T; version: number; sent?: T | null } | null
  /** Told each time the server has taken a state. */
  onSaved?: (saved: Stored<T>) => void
}

/** Rests this long after an edit before it is sent, so that a word is not sent letter by letter. */
export const PAUSE_MS = 450
const RETRY_MS = 4000

/**
 * One document that is edited whole: every edit is on screen at once, kept in this browser until the server has it, and
 * sent a moment later, one request at a time and each with the version that the last one gave. Knows nothing of React.
 */
export class DocumentSync<T> {
  readonly #name: string
  readonly #transport: Transport<T>
  readonly #onSaved: (saved: Stored<T>) => void
  readonly #listeners = new Set<() => void>()
  readonly #adopters = new Set<(before: T, after: T) => void>()
  /** What the server has, as far as is known here. */
  #base: Stored<T>
  #wanted: T
  /** What was sent last: the answer may be lost with the page. */
  #sent: T | null
  #state: SaveState<T> = { kind: 'saved' }
  #sending: Promise<void> | null = null
  #timer: ReturnType<typeof setTimeout> | undefined

  constructor({ name, transport, stored, draft, onSaved }: Options<T>) {
    this.#name = name
    this.#transport = transport
    this.#onSaved = onSaved ?? (() => undefined)
    this.#base = draft ? { document: draft.base, version: draft.version } : stored
    this.#wanted = draft ? draft.document : stored.document
    this.#sent = draft?.sent ?? null
    if (draft) this.#schedule(0)
  }

  get document(): T {
    return this.#wanted
  }

  get version(): number {
    return this.#base.version
  }

  get state(): SaveState<T> {
    return this.#state
  }

  /** Whether the server has everything that is here. */
  get isSettled(): boolean {
    return this.#state.kind === 'saved' && this.#wanted === this.#base.document
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  /** Tells of a state that came from elsewhere and was taken in, or that ended a conflict. */
  onAdopt = (adopter: (before: T, after: T) => void): (() => void) => {
    this.#adopters.add(adopter)
    return () => this.#adopters.delete(adopter)
  }

  /** Takes an edit in. */
  set(document: T): void {
    if (document === this.#wanted) return
    this.#wanted = document
    this.#keep()
    if (this.#state.kind === 'conflict') {
      const { conflict } = this.#state
      this.#become({ kind: 'conflict', conflict: { ...conflict, mine: document } })
      return
    }
    this.#become({ kind: 'saving' })
    this.#schedule(PAUSE_MS)
  }

  /** Takes in what the server has meanwhile, unless there is something here that it has not. */
  adopt(stored: Stored<T>): void {
    if (stored.version <= this.#base.version || !this.isSettled || this.#sending) return
    const before = this.#wanted
    this.#base = stored
    this.#wanted = stored.document
    for (const adopter of this.#adopters) adopter(before, stored.document)
    this.#tell()
  }

  /** Ends a conflict: `document` is what shall stand, on top of what the other has saved. */
  resolve(document: T): void {
    if (this.#state.kind !== 'conflict') return
    const before = this.#wanted
    this.#base = this.#state.conflict.theirs
    this.#wanted = document
    this.#state = { kind: 'saving' }
    this.#keep()
    this.#schedule(0)
    for (const adopter of this.#adopters) adopter(before, document)
    this.#tell()
  }

  /** Sends what is waiting now. Resolves when nothing is under way any more. */
  async flush(): Promise<void> {
    clearTimeout(this.#timer)
    this.#timer = undefined
    if (!this.#sending && this.#state.kind !== 'conflict') {
      const work = this.#send().finally(() => {
        this.#sending = null
      })
      this.#sending = work
    }
    await this.#sending
  }

  #schedule(ms: number): void {
    clearTimeout(this.#timer)
    this.#timer = setTimeout(() => void this.flush(), ms)
  }

  async #send(): Promise<void> {
    // what is typed while a request is on its way goes with the next one
    while (!equal(this.#wanted, this.#base.document)) {
      const sending = this.#wanted
      this.#become({ kind: 'saving' })
      const before = this.#sent
      this.#sent = sending
      this.#keep()
      try {
        const { version } = await this.#transport.save(sending, this.#base.version)
        this.#base = { document: sending, version }
        this.#onSaved(this.#base)
      } catch (error) {
        if (!(await this.#overcome(error, [sending, before]))) return
      }
    }
    this.#base = { ...this.#base, document: this.#wanted }
    forgetDraft(this.#name)
    this.#become({ kind: 'saved' })
  }

  /** @returns whether sending can go on at once. */
  async #overcome(error: unknown, sent: readonly (T | null)[]): Promise<boolean> {
    if (error instanceof ApiError && error.problem.status === 412) {
      try {
        return this.#meet(await this.#transport.read(), sent)
      } catch (again) {
        return this.#overcome(again, sent)
      }
    }
    if (error instanceof ApiError && error.problem.status < 500 && error.problem.status !== 401) {
      const faults = error.problem.errors ?? []
      this.#become({ kind: 'refused', why: faults[0]?.detail ?? error.message })
      return false
    }
    this.#become({ kind: 'waiting', why: (error as Error).message })
    this.#schedule(RETRY_MS)
    return false
  }

  /** The server has another version. @returns whether that changes nothing for what is here. */
  #meet(theirs: Stored<T>, sent: readonly (T | null)[]): boolean {
    // an answer that was lost on its way: the server has what was sent, now or before the page was left
    const isOurs = [...sent, this.#wanted].some((own) => own !== null && equal(theirs.document, own))
    if (isOurs || equal(theirs.document, this.#base.document)) {
      this.#base = theirs
      return true
    }
    const conflict = { base: this.#base.document, mine: this.#wanted, theirs }
    this.#become({ kind: 'conflict', conflict })
    return false
  }

  #keep(): void {
    const { document: base, version } = this.#base
    keepDraft(this.#name, { base, document: this.#wanted, version, sent: this.#sent, at: Date.now() })
  }

  #become(state: SaveState<T>): void {
    this.#state = state
    this.#tell()
  }

  #tell(): void {
    for (const listener of this.#listeners) listener()
  }
}
