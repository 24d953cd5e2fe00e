import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createApp } from '../app.ts'
import { connect } from '../orm.ts'
import { planPool } from '../plans/pool.ts'
import { type Cluster, startCluster } from '../postgres/cluster.ts'
import { livePostmaster } from '../postgres/postmaster.ts'
import { prepareDatabase } from '../start/database.ts'
import { DatabaseWatch } from './databaseWatch.ts'
import { allowedHosts } from './hosts.ts'

/** A server on a database of its own that can be frozen and taken away. */
const folder = mkdtempSync(join(tmpdir(), 'kanten-away-'))
chmodSync(folder, 0o755)
const data = join(folder, 'data')
let cluster: Cluster
let close: () => Promise<void>
let api: ReturnType<typeof request>
beforeAll(async () => {
  cluster = await startCluster(folder, { throwaway: true })
  await prepareDatabase(cluster.url, null, new Date())
  const orm = await connect(cluster.url)
  const watch = new DatabaseWatch(cluster.url)
  const plans = planPool()
  const app = createApp({
    orm,
    watch,
    plans,
    databaseUrl: cluster.url,
    logger: pino({ level: 'silent' }),
    webFolder: null,
    passphrase: null,
    hosts: allowedHosts('127.0.0.1', []),
  })
  api = request(app)
  close = async () => {
    await orm.close(true)
    await watch.close()
    await plans.close()
  }
})
afterAll(async () => {
  await close()
  await cluster.stop()
  rmSync(folder, { recursive: true, force: true })
})

/** Every process of the database: the one that listens and those that work for it. */
function processes(): number[] {
  const { pid } = livePostmaster(data)!
  const children = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ')
  return [pid, ...children.map(Number)].filter(Boolean)
}
const signal = (name: NodeJS.Signals) => {
  for (const pid of processes()) process.kill(pid, name)
}
const timed = async <T>(work: PromiseLike<T>) => {
  const from = performance.now()
  const answer = await work
  return { answer, ms: performance.now() - from }
}
const make = () => api.post('/api/orders').send({ title: 'Tea', collectAt: '2026-12-01T10:00' })

describe('a database that is frozen', () => {
  it('hangs nobody for longer than five seconds, and is told apart from one that is up', async () => {
    const { order } = (await make().expect(200)).body
    signal('SIGSTOP')
    try {
      await new Promise((resolve) => setTimeout(resolve, 2700))
      const [health, read, save, list, plan, table] = await Promise.all([
        timed(api.get('/api/health')),
        timed(api.get(`/api/orders/${order.id}`)),
        timed(api.put(`/api/orders/${order.id}`).set('If-Match', '"1"').send(order)),
        timed(api.get('/api/orders')),
        timed(api.get(`/api/orders/${order.id}/plan`)),
        timed(api.get(`/api/orders/${order.id}/plan/bags.csv`)),
      ])
      expect(health.answer.status).toBe(503)
      expect(health.answer.body).toEqual({ ok: false, database: 'down' })
      for (const { answer, ms } of [read, save, list, plan, table]) {
        expect(answer.status).toBe(503)
        expect(answer.headers['retry-after']).toBe('2')
        expect(answer.body.code).toBe('database-away')
        expect(ms).toBeLessThan(5000)
      }
    } finally {
      signal('SIGCONT')
    }
    await expect.poll(async () => (await api.get('/api/orders')).status, { timeout: 15_000 }).toBe(200)
    expect((await api.get('/api/health')).body.database).toBe('up')
  })
})

describe('a database that is gone', () => {
  it('is answered with "come back", and works again when it is there', async () => {
    await make().expect(200)
    await cluster.stop()
    await new Promise((resolve) => setTimeout(resolve, 2700))
    for (const ask of [() => api.get('/api/orders'), () => api.get('/api/workshop'), make]) {
      const { answer, ms } = await timed(ask())
      expect([answer.status, answer.body.code]).toEqual([503, 'database-away'])
      expect(ms).toBeLessThan(5000)
    }
    expect((await api.get('/api/health')).status).toBe(503)
  })
})
