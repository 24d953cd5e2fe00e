import { dequal as equal } from 'dequal/lite'
import { get, set } from 'idb-keyval'
import { type History, record } from './history.ts'

const keyOf = (name: string) => `history ${name}`
const leftKeyOf = (name: string) => `kanten.left.${name}`

/** How a page left a document whose last steps were still being written. */
interface Left {
  document: unknown
  label: string
}

/**
 * The steps of an earlier visit to a document, if it is still as they left it; null otherwise. States share what did not
 * change between them, and the browser's database keeps them so. What was not written any more when the page was left
 * is one step.
 */
export async function loadHistory<T>(name: string, present: T): Promise<History<T> | null> {
  try {
    const kept = await get<History<T>>(keyOf(name))
    const left = takeLeft(name)
    if (!kept) return null
    const steps = { ...kept, last: null }
    if (equal(kept.present, present)) return { ...steps, present }
    return left && equal(left.document, present) ? record(steps, present, left.label, '', 0) : null
  } catch {
    // private windows keep nothing: undo then begins with this visit
    return null
  }
}

function takeLeft(name: string): Left | null {
  const left = localStorage.getItem(leftKeyOf(name))
  localStorage.removeItem(leftKeyOf(name))
  return left === null ? null : JSON.parse(left)
}

/** What is being written, by the name of its document. */
const writing = new Map<string, History<unknown>>()
const next = new Map<string, History<unknown>>()

/** Keeps the steps of a document over a reload; the latest state when several come quickly. */
export function keepHistory<T>(name: string, history: History<T>): void {
  next.set(name, history)
  if (!writing.has(name)) void write(name)
}

async function write(name: string): Promise<void> {
  for (let state = next.get(name); state; state = next.get(name)) {
    next.delete(name)
    writing.set(name, state)
    await set(keyOf(name), state).catch(() => undefined)
  }
  writing.delete(name)
}

/** A database may be slower than whoever leaves the page; this store is not. */
function leave(): void {
  for (const [name, { present, past }] of new Map([...writing, ...next])) {
    const left: Left = { document: present, label: past.at(-1)?.label ?? 'last change' }
    try {
      localStorage.setItem(leftKeyOf(name), JSON.stringify(left))
    } catch {
      // no room: the steps before these are kept all the same
    }
  }
}
addEventListener('pagehide', leave)
