import type { Router } from 'express'
import { benchEndpoints } from '#contract/bench'
import { idSchema } from '#core/common'
import type { AppContext } from '../appContext.ts'
import { notFound, ProblemError } from '../http/problems.ts'

/** So often it is looked whether something came in, perhaps by way of another server on the same database. */
const LOOK_MS = 300
/** A line that says nothing is taken for dead by what lies between. */
const ALIVE_MS = 15_000
/** Tablets and screens on the wall that listen at once. */
const MOST_LISTENING = 100

type Told = (last: string) => void

/** Tells whoever listens how far a run is; one look at the database for all who listen to the same run. */
export function benchStream(router: Router, { orm }: AppContext): void {
  const runs = new Map<string, { listeners: Set<Told>; last: string; timer: NodeJS.Timeout }>()
  let listening = 0

  const look = async (runId: string) => {
    const run = runs.get(runId)
    if (!run) return
    // a database that is away says nothing; tablets go on by themselves
    const rows = await orm.em
      .fork()
      .execute<{ last: string | null; version: number }[]>(
        `select (select max(number) from bench_events where run_id = r.id) as last, r.version from runs r where r.id = ?`,
        [runId],
      )
      .catch(() => null)
    const now = rows?.[0] ? `${rows[0].last ?? 0} ${rows[0].version}` : null
    if (now !== null && now !== run.last) {
      run.last = now
      for (const tell of run.listeners) tell(now)
    }
    if (runs.get(runId) === run) run.timer = setTimeout(() => void look(runId), LOOK_MS)
  }

  router.get(benchEndpoints.stream.path, (req, res) => {
    const runId = String(req.params.id)
    if (!idSchema.safeParse(runId).success) throw notFound('run', runId.slice(0, 64))
    if (listening >= MOST_LISTENING)
      throw new ProblemError(503, 'busy', 'Too many listen', 'Try again in a moment.', [], 2)
    listening += 1
    res.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    })
    res.write(': listening\n\n')
    const tell: Told = (last) => res.write(`data: ${last}\n\n`)
    const alive = setInterval(() => res.write(': still here\n\n'), ALIVE_MS)
    const known = runs.get(runId)
    if (known) {
      known.listeners.add(tell)
      if (known.last) tell(known.last)
    } else {
      runs.set(runId, { listeners: new Set([tell]), last: '', timer: setTimeout(() => void look(runId), 0) })
    }
    res.once('close', () => {
      listening -= 1
      clearInterval(alive)
      const run = runs.get(runId)
      run?.listeners.delete(tell)
      if (run?.listeners.size === 0) {
        clearTimeout(run.timer)
        runs.delete(runId)
      }
    })
  })
}
