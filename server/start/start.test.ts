import { chmodSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { Client } from 'pg'
import { afterEach, describe, expect, it } from 'vitest'
import { seeded } from '#core/random'
import { type Cluster, startCluster } from '../postgres/cluster.ts'
import { livePostmaster } from '../postgres/postmaster.ts'
import { emptyDatabase } from '../testing/api.ts'
import { isHealthy, type Running, startKanten, stopKanten } from '../testing/process.ts'
import { prepareDatabase } from './database.ts'

const demoFolder = fileURLToPath(new URL('../../demo', import.meta.url))
const folders: string[] = []
const running: Running[] = []
const clusters: Cluster[] = []
afterEach(async () => {
  for (const one of running.splice(0)) if (one.child.exitCode === null) await stopKanten(one)
  for (const cluster of clusters.splice(0)) await cluster.stop()
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true })
})

function stateFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'kanten-start-'))
  chmodSync(folder, 0o755)
  folders.push(folder)
  return folder
}
async function start(env: Record<string, string>): Promise<Running> {
  const one = await startKanten(env)
  running.push(one)
  return one
}
async function cluster(folder: string): Promise<Cluster> {
  const made = await startCluster(folder, { throwaway: true })
  clusters.push(made)
  return made
}
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
async function answers(url: string): Promise<boolean> {
  const client = new Client({ connectionString: url })
  await client.connect()
  await client.query('select 1')
  await client.end()
  return true
}

describe('a server that is killed', () => {
  it('comes up again, whatever the moment, and leaves no database running when it stops', async () => {
    const state = stateFolder()
    const random = seeded(7)
    // the first moments are of a first start, while the database is being made
    for (const [signal, from] of [
      ['SIGKILL', 800],
      ['SIGINT', 1200],
      ['SIGKILL', 1500],
    ] as const) {
      const one = await start({ KANTEN_STATE: state })
      await wait(from + 900 * random())
      one.child.kill(signal)
      await one.ended
    }
    const last = await start({ KANTEN_STATE: state })
    await last.ready
    expect(await isHealthy(last)).toBe(true)
    const data = join(state, 'postgres', 'data')
    expect(livePostmaster(data)).not.toBeNull()
    await stopKanten(last)
    expect(livePostmaster(data)).toBeNull()
  })
})

describe('two servers on one state folder', () => {
  it('race through the first start, share the database, and the first to stop leaves it to the second', async () => {
    const state = stateFolder()
    const [first, second] = await Promise.all([
      start({ KANTEN_STATE: state }),
      start({ KANTEN_STATE: state }),
    ])
    await Promise.all([first.ready, second.ready])
    await stopKanten(first)
    expect(await isHealthy(second)).toBe(true)
    const taken = await start({ KANTEN_STATE: stateFolder(), PORT: String(second.port) })
    expect((await taken.ended).said).toMatch(/\nPort \d+ is in use[^\n]*\n$/)
    const answer = await fetch(`http://127.0.0.1:${second.port}/api/orders`)
    expect((await answer.json()).total).toBe(4)
    // lines stay open for longer than a proxy in front keeps its own
    expect(answer.headers.get('keep-alive')).toBe('timeout=75')
    // one that is killed cannot say that it left: whoever comes next takes the database down with it
    second.child.kill('SIGKILL')
    await second.ended
    const data = join(state, 'postgres', 'data')
    expect(livePostmaster(data)).not.toBeNull()
    const next = await startCluster(join(state, 'postgres'))
    await next.stop()
    expect(livePostmaster(data)).toBeNull()
  })
})

describe('the private database', () => {
  it('is not held up by a lock file that names a living stranger', async () => {
    const folder = stateFolder()
    const lockFile = join(folder, 'data', 'postmaster.pid')
    const one = await startCluster(folder, { throwaway: true })
    const lock = readFileSync(lockFile, 'utf8').split('\n')
    await one.stop()
    // this very process: alive, and no database
    writeFileSync(lockFile, [process.pid, ...lock.slice(1)].join('\n'))
    expect(await answers((await cluster(folder)).url)).toBe(true)
  })

  it('is made anew where an earlier program was stopped while making it, and what was there is kept aside', async () => {
    const folder = stateFolder()
    mkdirSync(join(folder, 'data', 'base'), { recursive: true })
    writeFileSync(join(folder, 'data', 'PG_VERSION'), '15\n')
    mkdirSync(join(folder, 'data.new-1'))
    expect(await answers((await cluster(folder)).url)).toBe(true)
    expect(readdirSync(folder).filter((name) => name.startsWith('data.'))).toEqual([
      expect.stringMatching(/^data\.unfinished-/),
    ])
  })

  it('says what to do where its password is gone, or its folder cannot be written', async () => {
    const folder = stateFolder()
    await (await startCluster(folder, { throwaway: true })).stop()
    const password = join(folder, 'password')
    writeFileSync(password, 'another\n')
    await expect(startCluster(folder, { throwaway: true })).rejects.toThrow(/Put the file "password" back/)
    clusters.push(
      await startCluster(folder, { throwaway: true }).catch(() => ({ url: '', stop: async () => {} })),
    )
    rmSync(password)
    await expect(startCluster(folder)).rejects.toThrow(/password is missing/)
    for (const impossible of ['/proc/kanten', '/etc/hostname/below'])
      await expect(startCluster(impossible)).rejects.toThrow(/cannot write to .*Set KANTEN_STATE/)
  })
})

describe('an empty database', () => {
  it('is made ready once by three servers that race for it', async () => {
    const url = await emptyDatabase()
    const loaded = await Promise.all([1, 2, 3].map(() => prepareDatabase(url, demoFolder, new Date())))
    expect(loaded.filter(Boolean)).toHaveLength(1)
    const client = new Client({ connectionString: url })
    await client.connect()
    expect((await client.query('select count(*)::int as n from orders')).rows[0].n).toBe(4)
    await client.end()
  })
})

describe('a database that cannot be used', () => {
  const why = (url: string) =>
    prepareDatabase(url, null, new Date()).then(
      () => 'nothing',
      (error: Error) => error.message,
    )

  it('is said in words, and never with its password', async () => {
    const url = new URL(await emptyDatabase())
    const with_ = (change: (to: URL) => void) => {
      const to = new URL(url)
      change(to)
      return to.href
    }
    const wrong = await why(with_((to) => Object.assign(to, { password: 'secret' })))
    expect(wrong).toMatch(/does not let "kanten" in/)
    expect(wrong).not.toContain('secret')
    expect(await why(with_((to) => Object.assign(to, { pathname: '/nothing' })))).toMatch(
      /has no database "nothing"/,
    )
    expect(await why(with_((to) => Object.assign(to, { port: '1' })))).toMatch(
      /No PostgreSQL answers at 127\.0\.0\.1:1/,
    )
    expect(await why(with_((to) => Object.assign(to, { hostname: 'nowhere.invalid' })))).toMatch(
      /no machine called nowhere\.invalid/,
    )
  })

  it('is left alone when a newer program has used it', async () => {
    const url = await emptyDatabase()
    const client = new Client({ connectionString: url })
    await client.connect()
    await client.query('create table mikro_orm_migrations (id serial, name text, executed_at timestamptz)')
    await client.query(`insert into mikro_orm_migrations (name) values ('001FirstTables'), ('099Later')`)
    expect(await why(url)).toMatch(/last used by a newer Kanten \(it knows 099Later\)/)
    expect((await client.query('select count(*)::int as n from mikro_orm_migrations')).rows[0].n).toBe(2)
    await client.end()
  })
})
