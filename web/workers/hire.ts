import * as Comlink from 'comlink'
import type { Workshop } from '#core/model/workshop'
import type { Role } from './kitchen.worker.ts'

/** Starts a worker of a role, on a thread of its own. All roles share what they compute with: it is fetched once. */
export function hire<T>(role: Role): Comlink.Remote<T> {
  return Comlink.wrap<T>(
    new Worker(new URL('./kitchen.worker.ts', import.meta.url), { type: 'module', name: role }),
  )
}

/** A worker that works with what the bakery has. */
interface Knowing {
  setWorkshop: (next: Workshop) => void
}

/** A worker that knows a workshop, and how many workshops it has been sent so far: answers of another one are old. */
export interface Hired<T> {
  worker: Comlink.Remote<T>
  generation: number
}

/**
 * A worker of a role, hired when it is first needed and sent each workshop once. Messages to a worker arrive in order,
 * so nothing needs to be awaited.
 */
export function hireKnowing<T extends Knowing>(role: Role): (workshop: Workshop) => Hired<T> {
  let worker: Comlink.Remote<T> | null = null
  let sent: Workshop | null = null
  let generation = 0
  return (workshop) => {
    worker ??= hire<T>(role)
    if (sent !== workshop) {
      sent = workshop
      generation += 1
      // the same on the other side, but for a promise around its answer
      void (worker as unknown as Knowing).setWorkshop(workshop)
    }
    return { worker, generation }
  }
}
