import * as Comlink from 'comlink'
import type { Role } from './kitchen.worker.ts'

/** Starts a worker of a role, on a thread of its own. All roles share what they compute with: it is fetched once. */
export function hire<T>(role: Role): Comlink.Remote<T> {
  return Comlink.wrap<T>(
    new Worker(new URL('./kitchen.worker.ts', import.meta.url), { type: 'module', name: role }),
  )
}
