import { randomUUID } from 'node:crypto'
import { Client } from 'pg'
import { type Logger, pino } from 'pino'
import request from 'supertest'
import type { Plan } from '#core/model/plan'
import { createApp } from '../app.ts'
import { DatabaseWatch } from '../http/databaseWatch.ts'
import { allowedHosts } from '../http/hosts.ts'
import { connect } from '../orm.ts'
import { type PlanPool, planPool } from '../plans/pool.ts'
import { migrate } from '../start/database.ts'

/** An empty database of its own in the test cluster. */
export async function emptyDatabase(): Promise<string> {
  const clusterUrl = process.env.KANTEN_TEST_DATABASE
  if (!clusterUrl) throw new Error('The test cluster is not up: run the tests through vitest.')
  const name = `test_${randomUUID().replaceAll('-', '')}`
  const admin = new Client({ connectionString: clusterUrl })
  await admin.connect()
  await admin.query(`create database ${name}`)
  await admin.end()
  return clusterUrl.replace(/\/postgres$/, `/${name}`)
}

interface TestOptions {
  passphrase?: string
  hosts?: string[]
  logger?: Logger
  webFolder?: string
  /** Another pool than the real one, to be closed with it. */
  plans?: PlanPool
}

let opened: PlanPool | null = null
const pool = () => {
  opened ??= planPool()
  return opened
}

/**
 * One pool for all servers of a test process, begun when the first plan is asked for: its threads take seconds to load, and
 * know nothing of one server that they could tell another. It ends with the process.
 */
const sharedPlans: PlanPool = {
  plan: (about) => pool().plan(about),
  table: (about) => pool().table(about),
  calendar: (about) => pool().calendar(about),
  frozen: (about) => pool().frozen(about),
  print: (about) => pool().print(about),
  coming: (about) => pool().coming(about),
  ready: () => pool().ready(),
  close: async () => {},
}

/** The whole server on a database of its own in the test cluster. */
export async function testApi(options: TestOptions = {}) {
  const databaseUrl = await emptyDatabase()
  const orm = await connect(databaseUrl)
  await migrate(orm)
  const watch = new DatabaseWatch(databaseUrl)
  const plans = options.plans ?? sharedPlans
  const app = createApp({
    orm,
    watch,
    plans,
    databaseUrl,
    logger: options.logger ?? pino({ level: 'silent' }),
    webFolder: options.webFolder ?? null,
    passphrase: options.passphrase ?? null,
    hosts: allowedHosts('127.0.0.1', options.hosts ?? []),
  })
  const close = async () => {
    await orm.close(true)
    await watch.close()
    await plans.close()
  }
  return { orm, app, databaseUrl, api: request(app), close }
}

/** The plan of an order; a machine that is busy with other tests is asked again, as it says. */
export async function planOf(
  server: Pick<Awaited<ReturnType<typeof testApi>>, 'api'>,
  orderId: string,
): Promise<Plan> {
  for (let tries = 0; tries < 40; tries++) {
    const { status, body } = await server.api.get(`/api/orders/${orderId}/plan`)
    if (status === 503) continue
    if (status === 200) return body
    throw new Error(`The plan was answered with ${status}: ${JSON.stringify(body)}`)
  }
  throw new Error('The plan was never made.')
}
