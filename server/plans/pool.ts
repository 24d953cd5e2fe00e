import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import type { TableName } from '../exports/tables.ts'
import { invalid, ProblemError } from '../http/problems.ts'
import type { PrintAsk } from '../prints/prints.ts'
import { threadFile } from '../threadFile.ts'
import type { ComingTask } from './coming.ts'
import { comingThread } from './comingThread.ts'
import type { PlanAnswer, PlanTask } from './worker.ts'

type About = Pick<PlanTask, 'document' | 'checked' | 'workshop'>

/** Plans on threads beside the server's own, so that whoever asks for something short is answered meanwhile. */
export interface PlanPool {
  /** The plan as JSON in UTF-8. @throws ProblemError when the order cannot be planned, or not within the limits. */
  plan(about: About): Promise<Uint8Array>
  /** One of its tables as CSV. @throws as `plan` does. */
  table(about: About & { table: TableName }): Promise<Uint8Array>
  /** Its timetable as an iCalendar file. @throws as `plan` does. */
  calendar(about: About): Promise<Uint8Array>
  /** The order frozen with its plan and its steps, as JSON. @throws as `plan` does. */
  frozen(about: About): Promise<Uint8Array>
  /** Something printed as PDF, and what to know about it. @throws as `plan` does. */
  print(about: About & { print: PrintAsk }): Promise<{ bytes: Uint8Array; notes: string[] }>
  /** When several orders have to be begun, as JSON. @throws ProblemError when too many plans are being made. */
  coming(about: Omit<ComingTask, 'limits'>): Promise<Uint8Array>
  /** Resolves when a thread has loaded what it needs. */
  ready(): Promise<void>
  close(): Promise<void>
}

/** A plan takes tens of milliseconds; an order that takes this long is not one a bakery could pipe. */
const WORK_MS = 1000
/** An order of an everyday size is not refused because the machine is busy with something else. */
const MODEST_WORK_MS = 60_000
const LIMITS = { workMs: WORK_MS, modestWorkMs: MODEST_WORK_MS }
/** Longest that an order waits for a thread. */
const WAIT_MS = 1800
/** A thread that has not given up by itself by now is ended. */
const LOST_MS = WAIT_MS + 2 * MODEST_WORK_MS
const MOST_WAITING = 24
/** Fewer work at once than there are cores: the thread that answers requests must not have to wait for one. */
const WORKING = Math.max(1, availableParallelism() - 1)

export function planPool(): PlanPool {
  const coming = comingThread()
  const pool = new Piscina<PlanTask, PlanAnswer>({
    ...threadFile(new URL('worker.ts', import.meta.url)),
    maxThreads: WORKING,
    minThreads: WORKING,
  })

  let loaded: Promise<void> | null = null
  /** A thread that is still loading is not one that is busy. */
  const ready = () => {
    loaded ??= pool.run(undefined as never, { name: 'warm' }).then(() => undefined)
    return loaded
  }

  async function answer(about: Omit<PlanTask, 'begun' | 'limits'>) {
    await ready()
    if (pool.queueSize >= MOST_WAITING) throw busy()
    const begun = new SharedArrayBuffer(4)
    const ending = new AbortController()
    const timers = [
      setTimeout(() => Atomics.load(new Int32Array(begun), 0) === 0 && ending.abort(), WAIT_MS),
      setTimeout(() => ending.abort(), LOST_MS),
    ]
    try {
      const answer = await pool.run({ ...about, begun, limits: LIMITS }, { signal: ending.signal })
      if ('bytes' in answer) return answer
      if ('faults' in answer) throw invalid(answer.faults)
      if ('tooManyPages' in answer) throw tooMuch(`It would be ${answer.tooManyPages} pages.`)
      if ('outOfTime' in answer) throw tooMuch('Its plan was not done in time.')
      throw tooMuch(`Its plan would be ${Math.round(answer.tooLarge / 1e6)} million characters long.`)
    } catch (error) {
      if (!ending.signal.aborted) throw error
      throw Atomics.load(new Int32Array(begun), 0) ? tooMuch('Its plan was not done in time.') : busy()
    } finally {
      for (const timer of timers) clearTimeout(timer)
    }
  }

  const run = async (about: Omit<PlanTask, 'begun' | 'limits'>) => (await answer(about)).bytes

  return {
    plan: (about) => run({ ...about, table: null }),
    table: ({ table, ...about }) => run({ ...about, table }),
    calendar: (about) => run({ ...about, table: 'calendar' }),
    frozen: (about) => run({ ...about, table: 'frozen' }),
    print: async (about) => {
      const { bytes, notes = [] } = await answer({ ...about, table: null })
      return { bytes, notes }
    },
    coming: async (about) => {
      if (coming.queueSize >= MOST_WAITING) throw busy()
      return await coming.run({ ...about, limits: LIMITS })
    },
    ready,
    close: async () => {
      await Promise.all([pool.destroy(), coming.destroy()])
    },
  }
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
