import { Script } from 'node:vm'

const holder = globalThis as { kantenWork?: (() => unknown) | undefined }
const call = new Script('kantenWork()')

export class OutOfTimeError extends Error {}

/**
 * Does some work and gives it up when it takes too long. The thread lives on: to end one and start another costs the
 * thread beside it more than a plan does.
 * @param work without a promise in it: only what is done at once can be given up.
 * @throws OutOfTimeError when `ms` were not enough.
 */
export function within<T>(ms: number, work: () => T): T {
  holder.kantenWork = work
  try {
    return call.runInThisContext({ timeout: Math.max(1, Math.round(ms)) }) as T
  } catch (error) {
    if ((error as { code?: string }).code === 'ERR_SCRIPT_EXECUTION_TIMEOUT') throw new OutOfTimeError()
    throw error
  } finally {
    holder.kantenWork = undefined
  }
}
