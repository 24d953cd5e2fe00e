import { Piscina } from 'piscina'
import { threadFile } from '../threadFile.ts'
import type { SharedWorkshop } from '../workshop/shared.ts'
import type { Faulty } from './check.ts'
import type { CheckedOrder } from './order.ts'

/** Larger bodies are checked on a thread of their own, so that short requests are answered meanwhile. */
const LARGE_CHARACTERS = 48_000

export const isLarge = (body: unknown): boolean => typeof body === 'string' && body.length > LARGE_CHARACTERS

let started: Piscina | null = null
function thread(): Piscina {
  started ??= new Piscina({
    ...threadFile(new URL('worker.ts', import.meta.url)),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 300_000,
  })
  return started
}

/** As `check` does, for a large body: on the thread for that. Gives the document as text. */
export function checkLargeBody(text: string, endpoint: string): Promise<{ text: string } | Faulty> {
  return thread().run({ text, endpoint })
}

/** As `checkOrder` does, for a large order: on the thread for that. */
export function checkLargeOrder(text: string, workshop: SharedWorkshop): Promise<CheckedOrder | Faulty> {
  return thread().run({ text, workshop }, { name: 'order' })
}
