import { Piscina } from 'piscina'
import { threadFile } from '../threadFile.ts'
import type { ComingTask } from './coming.ts'

/**
 * A thread for nothing but placing the coming days: after a change of the workshop every order is planned anew, which takes
 * seconds, and whoever begins work or prints a label meanwhile must not be told to come back. It loads at once: Orders, where
 * most visits begin, asks it first.
 */
export function comingThread(): Piscina<ComingTask, Uint8Array> {
  return new Piscina({
    ...threadFile(new URL('comingWorker.ts', import.meta.url)),
    minThreads: 1,
    maxThreads: 1,
  })
}
