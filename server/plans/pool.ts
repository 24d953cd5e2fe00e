import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { isModest } from '#core/plan/limits'
import type { TableName } from '../exports/tables.ts'
import { invalid, ProblemError } from '../http/problems.ts'
import type { PlanAnswer, PlanTask } from './worker.ts'

interface About {
  order: Order
  workshop: Workshop
}

/** Plans on threads beside the server's own, so that whoever asks for something short is answered meanwhile. */
export interface PlanPool {
  /** The plan as JSON. @throws ProblemError when the order cannot be planned, or not within the limits. */
  plan(about: About): Promise<string>
  /** One of its tables as CSV. @throws as `plan` does. */
  table(about: About & { table: TableName }): Promise<string>
  /** Resolves when a thread has loaded what it needs. */
  ready(): Promise<void>
  close(): Promise<void>
}

/** A plan takes tens of milliseconds; an order that takes this long is not one a bakery could pipe. */
const WORK_MS = 1500
/** An order of an everyday size is not refused because the machine is busy with something else. */
const MODEST_WORK_MS = 4000
/** Longest that an order waits for a thread. */
const WAIT_MS = 2500
const MOST_WAITING = 24
const LOOK_MS = 25

export function planPool(): PlanPool {
  const pool = new Piscina<PlanTask, PlanAnswer>({
    filename: fileURLToPath(new URL('worker.ts', import.meta.url)),
    execArgv: ['--import', 'tsx'],
    // one core stays with the server
    maxThreads: Math.max(1, availableParallelism() - 1),
    minThreads: 1,
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
  })

  let loaded: Promise<void> | null = null
  /** A thread that is still loading is not one that is busy. */
  const ready = () => {
    loaded ??= pool.run(undefined as never, { name: 'warm' }).then(() => undefined)
    return loaded
  }

  async function run(task: Omit<PlanTask, 'begun'>): Promise<string> {
    await ready()
    if (pool.queueSize >= MOST_WAITING) throw busy()
    const begun = new SharedArrayBuffer(4)
    const workMs = isModest(task.order, task.workshop) ? MODEST_WORK_MS : WORK_MS
    const watch = watched(begun, workMs)
    try {
      const answer = await pool.run({ ...task, begun }, { signal: watch.signal })
      if ('text' in answer) return answer.text
      if ('faults' in answer) throw invalid(answer.faults)
      throw tooMuch(`Its plan would be ${Math.round(answer.tooLarge / 1e6)} million characters long.`)
    } catch (error) {
      if (watch.overdue === 'working') throw tooMuch(`Its plan was not done after ${workMs / 1000} seconds.`)
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
function watched(begun: SharedArrayBuffer, workMs: number) {
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
    if (began === 0 && Atomics.load(flag, 0) === 1) began = now
    if (began > 0 && now - began > workMs) watch.overdue = 'working'
    else if (began === 0 && now - asked > WAIT_MS) watch.overdue = 'waiting'
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
