import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
import type { TableName } from '../exports/tables.ts'
import { invalid, ProblemError } from '../http/problems.ts'
import { BEGUN, type PlanAnswer, type PlanTask } from './worker.ts'

type About = Pick<PlanTask, 'document' | 'checked' | 'workshop'>

/** Plans on threads beside the server's own, so that whoever asks for something short is answered meanwhile. */
export interface PlanPool {
  /** The plan as JSON in UTF-8. @throws ProblemError when the order cannot be planned, or not within the limits. */
  plan(about: About): Promise<Uint8Array>
  /** One of its tables as CSV. @throws as `plan` does. */
  table(about: About & { table: TableName }): Promise<Uint8Array>
  /** Resolves when a thread has loaded what it needs. */
  ready(): Promise<void>
  close(): Promise<void>
}

/** A plan takes tens of milliseconds; an order that takes this long is not one a bakery could pipe. */
const WORK_MS = 1000
/** An order of an everyday size is not refused because the machine is busy with something else. */
const MODEST_WORK_MS = 4000
/** Longest that an order waits for a thread, and that waiting and work may take together. */
const WAIT_MS = 1800
const MOST_WAITING = 24
const WORKING = Math.max(1, availableParallelism() - 1)
const SPARE = 2
const LOOK_MS = 25

export function planPool(): PlanPool {
  const pool = new Piscina<PlanTask, PlanAnswer>({
    filename: fileURLToPath(new URL('worker.ts', import.meta.url)),
    execArgv: ['--import', 'tsx'],
    // some to spare: a thread that was ended takes a second to come back
    maxThreads: WORKING + SPARE,
    minThreads: WORKING + SPARE,
    idleTimeout: 60_000,
  })

  let loaded: Promise<void> | null = null
  /** A thread that is still loading is not one that is busy. */
  const ready = () => {
    loaded ??= pool.run(undefined as never, { name: 'warm' }).then(() => undefined)
    return loaded
  }

  /** Fewer work at once than there are cores: the thread that answers requests must not have to wait for one. */
  let inside = 0
  const waiting: (() => void)[] = []
  async function turn(signal: AbortSignal): Promise<void> {
    while (inside >= WORKING) {
      await new Promise<void>((resolve) => {
        waiting.push(resolve)
        signal.addEventListener(
          'abort',
          () => {
            // whoever gives up must not be woken in the place of the next
            const at = waiting.indexOf(resolve)
            if (at >= 0) waiting.splice(at, 1)
            resolve()
          },
          { once: true },
        )
      })
      if (signal.aborted) throw signal.reason
    }
    inside += 1
  }

  async function run(task: Omit<PlanTask, 'begun'>): Promise<Uint8Array> {
    await ready()
    if (waiting.length >= MOST_WAITING) throw busy()
    const begun = new SharedArrayBuffer(4)
    const watch = watched(begun)
    try {
      await turn(watch.signal)
      const answer = await pool.run({ ...task, begun }, { signal: watch.signal }).finally(() => {
        inside -= 1
        waiting.shift()?.()
      })
      if ('bytes' in answer) return answer.bytes
      if ('faults' in answer) throw invalid(answer.faults)
      throw tooMuch(`Its plan would be ${Math.round(answer.tooLarge / 1e6)} million characters long.`)
    } catch (error) {
      if (watch.overdue === 'working') throw tooMuch('Its plan was not done in time.')
      if (watch.overdue === 'waiting') throw busy()
      throw error
    } finally {
      watch.stop()
    }
  }

  return {
    plan: (about) => run({ ...about, table: null }),
    table: ({ table, ...about }) => run({ ...about, table }),
    ready,
    close: () => pool.destroy(),
  }
}

/** Ends a task that works or waits for too long. */
function watched(begun: SharedArrayBuffer) {
  const ending = new AbortController()
  const flag = new Int32Array(begun)
  const asked = performance.now()
  let began = 0
  const watch = {
    signal: ending.signal,
    overdue: null as null | 'working' | 'waiting',
    stop: () => clearInterval(timer),
  }
  const timer = setInterval(() => {
    const now = performance.now()
    const state = Atomics.load(flag, 0)
    if (began === 0 && state !== BEGUN.not) began = now
    const mayTake = state === BEGUN.modest ? MODEST_WORK_MS : WORK_MS
    const isLate = state !== BEGUN.modest && now - asked > WAIT_MS
    if (began > 0 && (isLate || now - began > mayTake)) watch.overdue = 'working'
    else if (began === 0 && isLate) watch.overdue = 'waiting'
    if (watch.overdue) ending.abort()
  }, LOOK_MS)
  return watch
}

const tooMuch = (why: string) =>
  new ProblemError(
    422,
    'too-much-to-plan',
    'Too much for one plan',
    `${why} Split the order into several, or give equal pieces one entry with their number.`,
  )

const busy = () =>
  new ProblemError(
    503,
    'busy',
    'Too many plans at once',
    'Other plans are being made. Try again in a moment.',
    [],
    2,
  )
