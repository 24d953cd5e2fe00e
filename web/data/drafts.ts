import { newId } from '../parts/newId.ts'

/** A document changed in this browser and not yet on the server: what it was, what it is, and the version it began with. */
export interface Draft<T> {
  base: T
  document: T
  version: number
  /** What of it was on its way to the server; not told by drafts of earlier programs. */
  sent?: T | null
  at: number
}

const PREFIX = 'kanten.draft.'
const TAB = 'kanten.tab'

/** For a browser that keeps nothing: good until the next reload. */
const passing = newId()

/** Each tab keeps its own drafts: two tabs on one order must not write over each other's. A reload keeps the tab's name. */
function tab(): string {
  try {
    const known = sessionStorage.getItem(TAB)
    if (known) return known
    const made = newId()
    sessionStorage.setItem(TAB, made)
    return made
  } catch {
    return passing
  }
}

const keyOf = (name: string) => `${PREFIX}${name}.${tab()}`

/** Keeps a draft. @returns whether the browser could. */
export function keepDraft<T>(name: string, draft: Draft<T>): boolean {
  try {
    localStorage.setItem(keyOf(name), JSON.stringify(draft))
    return true
  } catch {
    // the browser has no room, or keeps nothing: the change is only on the screen until it is saved
    return false
  }
}

export function forgetDraft(name: string): void {
  for (const key of keysOf(name)) if (key === keyOf(name)) localStorage.removeItem(key)
}

/**
 * The draft of a document: this tab's own, or the latest that another tab left behind, which is then this tab's.
 * @param read checks the document; a draft that it does not take is left where it is.
 */
export function findDraft<T>(name: string, read: (document: unknown) => T | null): Draft<T> | null {
  const found = keysOf(name).flatMap((key) => {
    const draft = parse(localStorage.getItem(key))
    const document = draft && read(draft.document)
    const base = draft && read(draft.base)
    const sent = draft?.sent ? read(draft.sent) : null
    return draft && document !== null && base !== null
      ? [{ key, draft: { ...draft, base, document, sent } }]
      : []
  })
  const own = found.find(({ key }) => key === keyOf(name))
  const latest = own ?? found.sort((a, b) => b.draft.at - a.draft.at)[0]
  if (!latest) return null
  if (!own) {
    keepDraft(name, latest.draft)
    localStorage.removeItem(latest.key)
  }
  return latest.draft as Draft<T>
}

/** Names of all documents with a draft in this browser. */
export function draftNames(): Set<string> {
  const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!)
  return new Set(
    keys.filter((key) => key.startsWith(PREFIX)).map((key) => key.slice(PREFIX.length, key.lastIndexOf('.'))),
  )
}

function keysOf(name: string): string[] {
  const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!)
  return keys.filter((key) => key.startsWith(`${PREFIX}${name}.`))
}

function parse(text: string | null): Draft<unknown> | null {
  try {
    const draft = JSON.parse(text ?? 'null') as Draft<unknown> | null
    return draft && typeof draft.version === 'number' ? draft : null
  } catch {
    return null
  }
}
