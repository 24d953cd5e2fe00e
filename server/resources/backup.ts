import express, { Router } from 'express'
import { Piscina } from 'piscina'
import { type BackupPreview, backupEndpoints as endpoints } from '#contract/backup'
import type { AppContext } from '../appContext.ts'
import type { BackupAnswer, BackupTask } from '../backup/worker.ts'
import { ProblemError } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { threadFile } from '../threadFile.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { SETTINGS_ID } from '../workshop/load.ts'
import { fileName } from './orders.ts'

const LARGEST_UPLOAD = '256mb'
/** Ten thousand orders take about ten seconds. */
const DEADLINE_MS = 300_000

/** How long the thread stays up: whoever looks at a file restores it or looks at the next one soon. */
const IDLE_MS = 60_000

let started: Piscina<BackupTask, BackupAnswer> | null = null
function thread() {
  started ??= new Piscina<BackupTask, BackupAnswer>({
    ...threadFile(new URL('../backup/worker.ts', import.meta.url)),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
  })
  return started
}

async function work<T>(task: BackupTask): Promise<T> {
  const answer = await thread().run(task)
  if ('problem' in answer) throw new ProblemError(...answer.problem)
  return answer.done as T
}

/** The whole bakery out and in, and how old the last backup is. */
export function backupRoutes({ orm, databaseUrl }: AppContext): Router {
  const router = Router()
  route(router, orm, endpoints.age, async ({ em }) => {
    const [row] = await em.execute<{ at: Date | string | null }[]>(
      'select backed_up_at as at from settings where id = ?',
      [SETTINGS_ID],
    )
    const [{ orders }] = await em.execute<[{ orders: number }]>(
      'select count(*)::int as orders from orders where deleted_at is null',
    )
    return { backedUpAt: row?.at ? new Date(row.at).toISOString() : null, orders }
  })

  route(
    router,
    orm,
    endpoints.save,
    async ({ em, res }) => {
      const bytes = await work<Uint8Array>({ act: 'save', url: databaseUrl })
      const { workshop } = await currentWorkshop(em)
      const day = new Date().toISOString().slice(0, 10)
      res
        .attachment(`${fileName(workshop.settings.bakery)}-${day}.kanten-backup.json.gz`)
        .type('application/gzip')
        .send(Buffer.from(bytes))
      return undefined
    },
    { deadlineMs: DEADLINE_MS },
  )

  // the file comes as it is, whatever it is called
  const upload = express.raw({ type: 'application/octet-stream', limit: LARGEST_UPLOAD })
  router.post([endpoints.preview.path, endpoints.restore.path], upload)

  route(
    router,
    orm,
    endpoints.preview,
    ({ req }) => work<BackupPreview>({ act: 'preview', url: databaseUrl, bytes: fileIn(req.body) }),
    { transaction: false, deadlineMs: DEADLINE_MS },
  )

  route(
    router,
    orm,
    endpoints.restore,
    async ({ req, query }) => {
      await work({ act: 'restore', url: databaseUrl, bytes: fileIn(req.body), state: query.state })
      return undefined
    },
    { transaction: false, deadlineMs: DEADLINE_MS },
  )

  return router
}

function fileIn(body: unknown): Uint8Array {
  if (body instanceof Uint8Array && body.length > 0) return body
  throw new ProblemError(
    415,
    'no-file',
    'No file',
    'Send the backup file as it is, as application/octet-stream.',
  )
}
