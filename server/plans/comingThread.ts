import { Piscina } from 'piscina'
import { threadFile } from '../threadFile.ts'
import type { ComingTask } from './coming.ts'

/** What the thread has worked out of each order is kept as long as somebody asks now and then, ms. */
const IDLE_MS = 1_800_000

/** Where the orders of the coming days are placed in time. */
export interface ComingThread {
  /** @returns null when too many are waiting already. */
  run(task: ComingTask): Promise<Uint8Array> | null
  close(): Promise<void>
}

/**
 * A thread for nothing but the coming days, started when they are first asked for: after a change of the workshop every order is
 * planned anew, which takes seconds, and whoever begins work or prints a label meanwhile must not be told to come back.
 */
export function comingThread(mostWaiting: number): ComingThread {
  let thread: Piscina<ComingTask, Uint8Array> | null = null
  return {
    run(task) {
      thread ??= new Piscina({
        ...threadFile(new URL('comingWorker.ts', import.meta.url)),
        minThreads: 0,
        maxThreads: 1,
        idleTimeout: IDLE_MS,
      })
      return thread.queueSize < mostWaiting ? thread.run(task) : null
    },
    close: async () => thread?.destroy(),
  }
}
