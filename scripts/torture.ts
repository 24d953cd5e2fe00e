import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seeded } from '#core/random'
import { hostileRequest } from '../bench/hostileRequests.ts'
import { killStarts } from '../bench/kills.ts'
import { isHealthy, type Running, startKanten, stopKanten } from '../server/testing/process.ts'

/**
 * `npm run torture [-- --starts N] [-- --requests N]`: kills, hostile requests and races against servers of its own, and a
 * table of what came of it. Ten minutes at most; ends with 1 if anything was lost or failed.
 */
const number = (name: string, usual: number) => {
  const at = process.argv.indexOf(`--${name}`)
  return at < 0 ? usual : Number(process.argv[at + 1])
}
const STARTS = number('starts', 40)
const REQUESTS = number('requests', 6000)
const WRITE_KILLS = 6
const MINUTES = 10

const results: { what: string; tried: number; wrong: number; note: string }[] = []
const end = Date.now() + MINUTES * 60_000
const left = () => Date.now() < end

const failures = (await Promise.all([killStarts(STARTS / 2, 11), killStarts(STARTS / 2, 12)])).flat()
results.push({ what: 'starts after a kill', tried: STARTS, wrong: failures.length, note: failures[0] ?? '' })
if (left()) results.push(await killedWhileWriting())
if (left()) results.push(...(await onOneServer()))

console.table(results)
process.exit(results.some((r) => r.wrong > 0) ? 1 : 0)

function folder(): string {
  const made = mkdtempSync(join(tmpdir(), 'kanten-torture-'))
  chmodSync(made, 0o755)
  return made
}
async function up(state: string): Promise<Running> {
  const one = await startKanten({ KANTEN_STATE: state })
  await one.ready
  return one
}
function at(one: Running, path: string): string {
  return `http://127.0.0.1:${one.port}/api${path}`
}
function send(
  one: Running,
  method: string,
  path: string,
  body?: unknown,
  version?: number,
): Promise<Response> {
  const headers: Record<string, string> = { 'Content-Type': 'application/json' }
  if (version !== undefined) headers['If-Match'] = `"${version}"`
  return fetch(at(one, path), {
    method,
    headers,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
}

/** Every write that was answered must be there after the server was killed in the middle of others. */
async function killedWhileWriting() {
  const state = folder()
  let acknowledged = 0
  let lost = 0
  for (let n = 0; n < WRITE_KILLS && left(); n++) {
    const one = await up(state)
    const kept: string[] = []
    let going = true
    const writing = Array.from({ length: 6 }, async () => {
      while (going) {
        const made = await send(one, 'POST', '/orders', { title: 'Written', collectAt: '2031-01-01T10:00' })
          .then((r) => (r.ok ? (r.json() as Promise<{ order: { id: string } }>) : null))
          .catch(() => null)
        if (made) kept.push(made.order.id)
      }
    })
    await new Promise((resolve) => setTimeout(resolve, 700))
    one.child.kill('SIGKILL')
    await one.ended
    going = false
    await Promise.all(writing)
    const again = await up(state)
    for (const id of kept) if (!(await fetch(at(again, `/orders/${id}`))).ok) lost += 1
    acknowledged += kept.length
    await stopKanten(again)
  }
  rmSync(state, { recursive: true, force: true })
  return {
    what: 'acknowledged writes lost over kills',
    tried: acknowledged,
    wrong: lost,
    note: `${WRITE_KILLS} kills`,
  }
}

async function onOneServer() {
  const state = folder()
  const one = await up(state)
  const rows = [await lostUpdates(one), await racingImports(one), await hostile(one)]
  rows.push({ what: 'well afterwards', tried: 1, wrong: (await isHealthy(one)) ? 0 : 1, note: '' })
  await stopKanten(one)
  rmSync(state, { recursive: true, force: true })
  return rows
}

/** Many add a letter to one note at once, each on the version it has seen: every answered letter must be in it. */
async function lostUpdates(one: Running) {
  const read = async () => (await fetch(at(one, '/orders/observatory'))).json()
  const before = (await read()).order.note.length
  let added = 0
  await Promise.all(
    Array.from({ length: 8 }, async () => {
      for (let n = 0; n < 20; n++) {
        const { order, version } = await read()
        const next = { ...order, note: `${order.note}x` }
        if ((await send(one, 'PUT', '/orders/observatory', next, version)).ok) added += 1
      }
    }),
  )
  const grown = (await read()).order.note.length - before
  return { what: 'updates lost between eight editors', tried: added, wrong: added - grown, note: '' }
}

async function racingImports(one: Running) {
  const file = await (await fetch(at(one, '/orders/allotment/file'))).json()
  file.order.id = 'raced'
  const made = await Promise.all(Array.from({ length: 40 }, () => send(one, 'POST', '/orders/import', file)))
  const ids = await Promise.all(made.map(async (m) => (m.ok ? (await m.json()).order.id : null)))
  return {
    what: 'racing imports of one file',
    tried: 40,
    wrong: 40 - new Set(ids.filter(Boolean)).size,
    note: '',
  }
}

/** Whatever is sent: an answer, never a 500, and health meanwhile. */
async function hostile(one: Running) {
  const random = seeded(5)
  const wrong: string[] = []
  let tried = 0
  let slowest = 0
  const asking = setInterval(async () => {
    const from = performance.now()
    await fetch(at(one, '/health')).catch(() => undefined)
    slowest = Math.max(slowest, performance.now() - from)
  }, 100)
  await Promise.all(
    Array.from({ length: 8 }, async () => {
      while (tried < REQUESTS && left()) {
        tried += 1
        const { path, init } = hostileRequest(random)
        const answer = await fetch(`http://127.0.0.1:${one.port}${path}`, init).catch(() => null)
        if (answer === null || answer.status === 500)
          wrong.push(`${init.method ?? 'GET'} ${path.slice(0, 60)}`)
        await answer?.arrayBuffer().catch(() => undefined)
      }
    }),
  )
  clearInterval(asking)
  return {
    what: 'hostile requests answered with 500 or not at all',
    tried,
    wrong: wrong.length,
    note: wrong[0] ?? `slowest health ${Math.round(slowest)} ms`,
  }
}
