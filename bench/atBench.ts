import { randomUUID } from 'node:crypto'
import { chromium } from '@playwright/test'
import type { Heard, RunSummary, StoredRun } from '#contract/bench'
import { tally } from '#core/bench/tally'
import type { BenchEvent } from '#core/model/bench'
import type { ServedBenchmark } from './benchmark.ts'
import { fetched, type Served, withServer } from './served.ts'

const EVENTS = 1000
const AT_A_TIME = 200
const TAPS = 60

const json = { 'Content-Type': 'application/json' }

async function begin({ kanten }: Served): Promise<StoredRun> {
  const begun = JSON.parse(
    await fetched(`${kanten}/orders/observatory/bench`, { method: 'POST' }),
  ) as RunSummary
  return JSON.parse(await fetched(`${kanten}/bench/${begun.id}`)) as StoredRun
}

/** A tablet that was away sends what waits, and another hears it and counts. */
async function sync(served: Served) {
  const { kanten } = served
  const { id, frozen } = await begin(served)
  const [step] = frozen.steps
  const waiting = Array.from(
    { length: EVENTS },
    (_, i): BenchEvent => ({
      ...{ id: randomUUID(), stepId: step!.id, kind: 'tap', by: null, amount: null, note: null },
      at: new Date(Date.UTC(2027, 7, 14, 8, 0, i)).toISOString(),
    }),
  )
  const from = performance.now()
  for (let i = 0; i < EVENTS; i += AT_A_TIME)
    await fetched(`${kanten}/bench/${id}/events`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ events: waiting.slice(i, i + AT_A_TIME) }),
    })
  const heard: BenchEvent[] = []
  for (let after = 0, more = true; more; ) {
    const part = JSON.parse(await fetched(`${kanten}/bench/${id}/events?after=${after}`)) as Heard
    heard.push(...part.events)
    after = part.last
    more = part.more
  }
  const { count } = tally(frozen.steps, heard).of.get(step!.id)!
  if (count !== EVENTS) throw new Error(`${count} of ${EVENTS} taps arrived.`)
  return { value: performance.now() - from, baseline: null }
}

/** From a tap to its number on the screen, painted; `share` of all taps are as quick as that. */
const tapped = (share: number) => async (served: Served) => {
  const run = await begin(served)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
  try {
    const page = await browser.newPage({ viewport: { width: 1024, height: 768 } })
    // what this file is compiled with names its functions by a helper that the page does not have
    await page.addInitScript('globalThis.__name = (f) => f')
    await page.goto(`${served.kanten.replace(/\/api$/, '')}/bench/${run.id}`)
    const title = page.getByRole('heading', { level: 1 })
    await title.waitFor()
    // a border of cookies: enough of them, and its picture is drawn by then
    for (let i = 0; i < 150 && !(await title.textContent())?.startsWith('Sea thrift, Leaves'); i++)
      await page.keyboard.press('ArrowRight')
    await page.waitForTimeout(4000)
    const times = await page.evaluate(async (taps) => {
      const button = document.querySelector<HTMLElement>('[data-testid=count]')!.closest('button')!
      const back = [...document.querySelectorAll('button')].find((b) => b.textContent.includes('one back'))!
      const number = () => document.querySelector('[data-testid=count]')!.textContent
      const painted = () => new Promise((r) => requestAnimationFrame(() => setTimeout(r)))
      const found: number[] = []
      for (let i = 0; i < taps; i++) {
        const before = number()
        const from = performance.now()
        ;(i % 2 === 0 ? button : back).click()
        while (number() === before) await painted()
        found.push(performance.now() - from)
        await new Promise((r) => setTimeout(r, 120))
      }
      return found.sort((a, b) => a - b)
    }, TAPS)
    return { value: times[Math.floor(share * (TAPS - 1))]!, baseline: null }
  } finally {
    await browser.close()
  }
}

export const atBenchBenchmarks: ServedBenchmark[] = [
  {
    id: 'bench-sync',
    what: '1,000 taps that waited on a tablet delivered, heard by another and counted',
    unit: 'ms',
    against: 'none: the aim is 2,000',
    measure: () => withServer(sync),
  },
  {
    id: 'bench-tap',
    what: 'from a tap to its number on the screen, the middle one of 60',
    unit: 'ms',
    against: 'none: the aim is 50',
    measure: () => withServer(tapped(0.5)),
  },
  {
    id: 'bench-tap-95',
    what: 'from a tap to its number on the screen, 95 of 100 are as quick',
    unit: 'ms',
    against: 'none: the aim is 50',
    measure: () => withServer(tapped(0.95)),
  },
]
