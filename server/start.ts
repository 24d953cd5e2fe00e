import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { createApp } from './app.ts'
import { readConfig } from './config.ts'
import { DatabaseWatch } from './http/databaseWatch.ts'
import { connect } from './orm.ts'
import { planPool } from './plans/pool.ts'
import { startCluster } from './postgres/cluster.ts'
import { demoFolderOf, prepareDatabase } from './start/database.ts'
import { listen } from './start/listen.ts'
import { StartError } from './start/words.ts'

const root = fileURLToPath(new URL('..', import.meta.url))

/** Longest that stopping may take before the process ends anyway. */
const STOP_MS = 20_000

/** What has been brought up so far, to be taken down in the opposite order. */
const up: (() => Promise<unknown>)[] = []
let stopping: Promise<void> | null = null

/** Takes everything down once, however often it is asked, and ends the process. */
function stop(code: number): Promise<void> {
  stopping ??= (async () => {
    setTimeout(() => process.exit(code || 1), STOP_MS).unref()
    for (const down of up.reverse()) await down().catch(() => undefined)
    process.exit(code)
  })()
  return stopping
}

class Interrupted extends Error {}

let interrupted = false
/** Between two steps of starting: whoever was asked to stop meanwhile goes no further. */
function goOn(): void {
  if (interrupted) throw new Interrupted()
}

/** Database up, tables up to date, demo loaded if asked, server listening. */
async function main(): Promise<void> {
  const config = readConfig(process.env, process.argv.slice(2), root)
  const logger = pino({ level: process.env.LOG_LEVEL ?? 'warn' })
  const plans = planPool()
  up.push(() => plans.close())
  // loads while the database comes up
  const planning = plans.ready()
  planning.catch(() => undefined)
  let url = config.databaseUrl
  if (!url) {
    const cluster = await startCluster(join(config.stateFolder, 'postgres'))
    up.push(() => cluster.stop())
    url = cluster.url
  }
  goOn()
  if (await prepareDatabase(url, config.loadDemo ? demoFolderOf(root) : null, new Date()))
    console.log('Loaded the demo bakery, Slate & Sorrel.')
  goOn()
  const orm = await connect(url)
  up.push(() => orm.close(true))
  const watch = new DatabaseWatch(url)
  up.push(() => watch.close())
  await planning
  goOn()
  const app = createApp({ ...config, databaseUrl: url, orm, watch, plans, logger })
  up.push(await listen(app, config.host, config.port))
  goOn()
  console.log(`Kanten is at http://${config.host === '127.0.0.1' ? 'localhost' : config.host}:${config.port}`)
  console.log('Stop it with Ctrl-C.')
}

let started = false
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
  process.on(signal, () => {
    interrupted = true
    // while it starts, the step under way ends first: half a step would be left behind
    if (started) void stop(0)
  })

main().then(
  () => {
    started = true
    if (interrupted) void stop(0)
  },
  (error: unknown) => {
    if (error instanceof Interrupted) return stop(0)
    console.error(error instanceof StartError ? error.message : unexpected(error))
    return stop(1)
  },
)

function unexpected(error: unknown): string {
  const { message = String(error) } = error as { message?: string }
  const detail = process.env.LOG_LEVEL === 'debug' ? `\n${(error as Error).stack}` : ''
  return `Kanten could not start: ${message}. With LOG_LEVEL=debug it says more.${detail}`
}
