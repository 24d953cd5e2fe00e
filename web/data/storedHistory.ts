import { dequal as equal } from 'dequal/lite'
import { get, set } from 'idb-keyval'
import type { History } from './history.ts'

const keyOf = (name: string) => `history ${name}`
const leftKeyOf = (name: string) => `kanten.left.${name}`

/** How a page left a document whose last steps were still being written: the steps that it made, or the last of them. */
type Left = Pick<History<unknown>, 'past' | 'present' | 'future'>

/**
 * The steps of an earlier visit to a document, if it is still as they left it; null otherwise. States share what did not
 * change between them, and the browser's database keeps them so. Steps that were not written there any more when the page
 * was left are taken from what it left.
 */
export async function loadHistory<T>(name: string, present: T): Promise<History<T> | null> {
  try {
    const kept = await get<History<T>>(keyOf(name))
    if (kept && equal(kept.present, present)) return { ...kept, present, last: null }
    const left = readLeft(name) as Omit<History<T>, 'last'> | null
    if (!left || !equal(left.present, present)) return null
    // what was written last is one of the states that the steps which were left went through
    const met = kept ? left.past.findLastIndex(({ state }) => equal(state, kept.present)) : -1
    const past = met < 0 ? left.past : [...kept!.past, ...left.past.slice(met)]
    return { past, present, future: left.future, last: null }
  } catch {
    // private windows keep nothing: undo then begins with this visit
    return null
  }
}

function readLeft(name: string): Left | null {
  const left = localStorage.getItem(leftKeyOf(name))
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
    const written = await set(keyOf(name), state).then(
      () => true,
      () => false,
    )
    // what an earlier page left is in there, or given up
    if (written && !next.has(name)) localStorage.removeItem(leftKeyOf(name))
  }
  writing.delete(name)
}

/** How much of a document's steps is left, characters: a browser keeps a few million for all documents. */
const MOST_LEFT = 400_000

/** A database may be slower than whoever leaves the page; this store is not. */
function leave(): void {
  for (const [name, history] of new Map([...writing, ...next])) {
    try {
      localStorage.setItem(leftKeyOf(name), JSON.stringify(lastSteps(history)))
    } catch {
      // no room: the steps before these are kept all the same
    }
  }
}
addEventListener('pagehide', leave)

/** As many of the last steps as have room, and one in any case. */
function lastSteps({ past, present, future }: History<unknown>): Left {
  const each = JSON.stringify(present).length
  const steps = Math.max(1, Math.floor(MOST_LEFT / each) - 1)
  return { past: past.slice(-steps), present, future: past.length + future.length < steps ? future : [] }
}
