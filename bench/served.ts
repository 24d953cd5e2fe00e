import { type ChildProcess, spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Client } from 'pg'
import { startCluster } from '../server/postgres/cluster.ts'
import { freePort } from '../server/postgres/freePort.ts'
import { type Running, startKanten, stopKanten } from '../server/testing/process.ts'

/** A server and the bare loop beside it, on one database, each in a process of its own. */
export interface Served {
  kanten: string
  bare: string
  sql: Client
  processes: { kanten: Running; bare: ChildProcess }
}

/** Brings both up with the demo bakery, runs the work, takes everything down. */
export async function withServer<T>(work: (served: Served) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'kanten-bench-'))
  chmodSync(folder, 0o755)
  const cluster = await startCluster(folder)
  const kanten = await startKanten({ DATABASE_URL: cluster.url })
  await kanten.ready
  const port = await freePort()
  const bare = spawn(process.execPath, ['--import', 'tsx', 'bench/bare.ts', String(port), cluster.url], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise((resolve) => bare.stdout!.once('data', resolve))
  const sql = new Client({ connectionString: cluster.url })
  await sql.connect()
  try {
    return await work({
      kanten: `http://127.0.0.1:${kanten.port}/api`,
      bare: `http://127.0.0.1:${port}`,
      sql,
      processes: { kanten, bare },
    })
  } finally {
    await sql.end()
    bare.kill()
    await stopKanten(kanten)
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

/** Copies of the demo order until there are so many, a day apart each thirty. */
export async function fill(sql: Client, orders: number): Promise<void> {
  await sql.query(
    `insert into orders (id, title, customer, collect_at, document, schema_stamp, piece_count, colours, updated_at, version)
     select 'copy-' || n, title || ' ' || n, customer, to_char(date '2031-01-01' + n / 30, 'YYYY-MM-DD') || 'T10:00',
       document || jsonb_build_object('id', 'copy-' || n), schema_stamp, piece_count, colours, now(), 1
     from orders, generate_series(1, $1) n where id = 'observatory'`,
    [orders],
  )
  await sql.query('analyze orders')
}

/** Median milliseconds of an asynchronous act. */
export async function medianAsyncMs(act: () => Promise<unknown>, rounds: number): Promise<number> {
  for (let i = 0; i < 20; i++) await act()
  const times: number[] = []
  for (let i = 0; i < rounds; i++) {
    const from = performance.now()
    await act()
    times.push(performance.now() - from)
  }
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}

/** Milliseconds of processor time that a process takes for an act, all its threads together. */
export async function cpuMs(pid: number, act: () => Promise<unknown>, rounds: number): Promise<number> {
  for (let i = 0; i < 40; i++) await act()
  const before = cpuTicks(pid)
  for (let i = 0; i < rounds; i++) await act()
  return ((cpuTicks(pid) - before) * MS_PER_TICK) / rounds
}

const MS_PER_TICK = 10
/** User and system time, the 14th and 15th word; the second, in brackets, may have blanks in it. */
function cpuTicks(pid: number): number {
  const words = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ')
  return Number(words[11]) + Number(words[12])
}

/** An answer read to its end. @throws when it is not the one wanted. */
export async function fetched(url: string, init?: RequestInit): Promise<string> {
  const answer = await fetch(url, init)
  const text = await answer.text()
  if (!answer.ok) throw new Error(`${answer.status} from ${url}: ${text.slice(0, 200)}`)
  return text
}
