import { spawn } from 'node:child_process'
import { planPool } from '../server/plans/pool.ts'
import { type Hostile, hostileOrders, taskOf } from '../server/testing/hostile.ts'
import type { ServedBenchmark } from './benchmark.ts'
import { cpuMs, fetched, fill, medianAsyncMs, type Served, withServer } from './served.ts'

const ROUNDS = 60
/** The clock of a process counts in hundredths of a second. */
const CPU_ROUNDS = 300
const ORDERS = 10_000

const json = { 'Content-Type': 'application/json' }

/** One request to Kanten, and what comes nearest to it of the bare loop. */
interface Pair {
  kanten: () => Promise<unknown>
  bare: () => Promise<unknown>
}

async function list({ kanten, bare, sql }: Served): Promise<Pair> {
  await fill(sql, ORDERS)
  return { kanten: () => fetched(`${kanten}/orders`), bare: () => fetched(`${bare}/orders`) }
}

async function put({ kanten, bare }: Served): Promise<Pair> {
  const stored = JSON.parse(await fetched(`${kanten}/orders/observatory`))
  const body = JSON.stringify(stored.order)
  let { version } = stored
  return {
    kanten: async () => {
      const headers = { ...json, 'If-Match': `"${version}"` }
      const answer = await fetched(`${kanten}/orders/observatory`, { method: 'PUT', headers, body })
      version = JSON.parse(answer).version
    },
    bare: () => fetched(`${bare}/orders/allotment`, { method: 'PUT', headers: json, body }),
  }
}

async function get({ kanten, bare }: Served): Promise<Pair> {
  return {
    kanten: () => fetched(`${kanten}/orders/observatory`),
    bare: () => fetched(`${bare}/orders/observatory`),
  }
}

const timed = (of: (served: Served) => Promise<Pair>) => () =>
  withServer(async (served) => {
    const pair = await of(served)
    return {
      value: await medianAsyncMs(pair.kanten, ROUNDS),
      baseline: await medianAsyncMs(pair.bare, ROUNDS),
    }
  })

/** Processor time of the request that costs most against the bare loop's. */
async function requestCpu(served: Served) {
  const { kanten, bare } = served.processes
  const costs: { value: number; baseline: number }[] = []
  for (const of of [put, get, list]) {
    const pair = await of(served)
    costs.push({
      value: await cpuMs(kanten.child.pid!, pair.kanten, CPU_ROUNDS),
      baseline: await cpuMs(bare.pid!, pair.bare, CPU_ROUNDS),
    })
  }
  return costs.sort((a, b) => b.value / b.baseline - a.value / a.baseline)[0]!
}

/** Slowest of the hostile plans, or of the refusals. */
async function planHostile(): Promise<{ value: number; baseline: null }> {
  const pool = planPool()
  await pool.ready()
  let slowest = 0
  for (const { order, workshop } of hostileOrders()) {
    const from = performance.now()
    await pool.plan(taskOf({ order, workshop })).catch(() => undefined)
    slowest = Math.max(slowest, performance.now() - from)
  }
  await pool.close()
  return { value: slowest, baseline: null }
}

const LOAD_MS = 12_000

/** Slowest answer of /api/health while hostile plans, long lists, large saves and broken bodies come all at once. */
async function healthUnderLoad({ kanten, sql }: Served) {
  await fill(sql, ORDERS)
  const hostile = hostileOrders()
  const ids = await Promise.all(hostile.slice(4).map((one, i) => take(kanten, one, i)))
  const large = JSON.stringify({ ...hostile[3]!.order, id: 'observatory' })
  const until = performance.now() + LOAD_MS
  const quiet = (url: string, init?: RequestInit) =>
    fetch(url, init)
      .then((r) => r.arrayBuffer())
      .catch(() => undefined)
  const keepOn = async (act: (n: number) => Promise<unknown>) => {
    for (let n = 0; performance.now() < until; n++) await act(n)
  }
  const put = { method: 'PUT', headers: { ...json, 'If-Match': '"1"' } }
  const load = [
    ...Array.from({ length: 8 }, (_, k) =>
      keepOn((n) => quiet(`${kanten}/orders/${ids[(n + k) % ids.length]}/plan`)),
    ),
    ...Array.from({ length: 6 }, () => keepOn(() => quiet(`${kanten}/orders?limit=500`))),
    ...Array.from({ length: 4 }, () =>
      keepOn(() => quiet(`${kanten}/orders/observatory`, { ...put, body: large })),
    ),
    ...Array.from({ length: 2 }, () =>
      keepOn(() =>
        quiet(`${kanten}/orders/import`, {
          method: 'POST',
          headers: json,
          body: `{"a":"${'x'.repeat(1_500_000)}"}`,
        }),
      ),
    ),
    ...Array.from({ length: 4 }, () => keepOn(() => quiet(`${kanten}/workshop`))),
  ]
  const asker = spawn(process.execPath, ['bench/askHealth.mjs', `${kanten}/health`], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const told = new Promise<string>((resolve) => asker.stdout.once('data', (data) => resolve(String(data))))
  await Promise.all(load)
  asker.kill('SIGTERM')
  return { value: JSON.parse(await told).slowest, baseline: null }
}

/** Takes a hostile order in with the recipes it needs; gives its id. */
async function take(kanten: string, { order, workshop }: Hostile, i: number): Promise<string> {
  const used = new Set(order.pieces.flatMap((p) => p.flowers.map((f) => f.flowerId)))
  const file = {
    format: 'kanten-order',
    schemaVersion: 1,
    order: { ...order, id: `hostile-${i}` },
    flowers: workshop.flowers.filter((f) => f.source === 'own' && used.has(f.id)),
  }
  const answer = await fetched(`${kanten}/orders/import`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify(file),
  })
  return JSON.parse(answer).order.id
}

const against = 'a bare Express and pg loop on the same rows, in a process of its own'

export const serverBenchmarks: ServedBenchmark[] = [
  {
    id: 'plan-hostile',
    what: 'slowest plan, or refusal, of 20 legal orders made to hurt',
    unit: 'ms',
    against: 'none: the aim is 2,000',
    measure: planHostile,
  },
  {
    id: 'health-under-load',
    what: 'slowest /api/health under hostile plans, lists and saves',
    unit: 'ms',
    against: 'none: the aim is 100',
    measure: () => withServer(healthUnderLoad),
  },
  {
    id: 'list-10000',
    what: 'GET /api/orders with 10,000 orders',
    unit: 'ms',
    against,
    measure: timed(list),
  },
  { id: 'put-order', what: 'PUT of the demo order', unit: 'ms', against, measure: timed(put) },
  { id: 'get-order', what: 'GET of the demo order', unit: 'ms', against, measure: timed(get) },
  {
    id: 'request-cpu',
    what: 'processor time of the costliest of these three',
    unit: 'ms',
    against,
    measure: () => withServer(requestCpu),
  },
]
