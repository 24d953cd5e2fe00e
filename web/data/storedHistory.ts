import { dequal as equal } from 'dequal/lite'
import { get, set } from 'idb-keyval'
import type { History } from './history.ts'

const keyOf = (name: string) => `history ${name}`

/**
 * The steps of an earlier visit to a document, if it is still as they left it; null otherwise. States share what did not
 * change between them, and the browser's database keeps them so.
 */
export async function loadHistory<T>(name: string, present: T): Promise<History<T> | null> {
  try {
    const kept = await get<History<T>>(keyOf(name))
    return kept && equal(kept.present, present) ? { ...kept, present, last: null } : null
  } catch {
    // private windows keep nothing: undo then begins with this visit
    return null
  }
}

const writing = new Map<string, Promise<void>>()
const next = new Map<string, History<unknown>>()

/** Keeps the steps of a document over a reload; the latest state when several come quickly. */
export function keepHistory<T>(name: string, history: History<T>): void {
  next.set(name, history)
  if (writing.has(name)) return
  writing.set(
    name,
    (async () => {
      for (let state = next.get(name); state; state = next.get(name)) {
        next.delete(name)
        await set(keyOf(name), state).catch(() => undefined)
      }
      writing.delete(name)
    })(),
  )
}
