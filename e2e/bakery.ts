import { type ChildProcess, spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type APIRequestContext, type BrowserContext, test as base, expect } from '@playwright/test'

export type { Page } from '@playwright/test'
export { expect }

/** The first worker's; each further one takes the next. */
const PORT = 4397
const START_MS = 180_000
const STOP_MS = 10_000

/**
 * A test in a bakery of its worker's own: server, database and demo data, so that two workers can change settings and
 * orders at once. Files are run by one worker each, from the first test to the last.
 */
export const test = base.extend<{ stranger: boolean }, { bakery: string; kitchen: BrowserContext }>({
  /** For a test that changes the browser itself: its clock, its place on earth, its cables. */
  stranger: [false, { option: true }],
  context: async ({ stranger, context, kitchen, bakery }, use) => {
    if (stranger) {
      await context.addInitScript(drawQuickly)
      return use(context)
    }
    await forget(kitchen, bakery)
    await use(kitchen)
    for (const page of kitchen.pages()) await page.close()
  },
  bakery: [
    // biome-ignore lint/correctness/noEmptyPattern: a fixture names what it needs
    async ({}, use, { parallelIndex }) => {
      const server = new OwnServer(PORT + parallelIndex)
      await server.start()
      await use(server.url)
      await server.end()
    },
    { scope: 'worker', timeout: START_MS },
  ],
  // a browser that has been here before: it has the scripts, compiled, and nothing else of what was done
  kitchen: [
    async ({ browser, bakery }, use) => {
      const kitchen = await browser.newContext({ baseURL: bakery, viewport: { width: 1280, height: 800 } })
      await kitchen.addInitScript(drawQuickly)
      await use(kitchen)
      await kitchen.close()
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ bakery }, use) => use(bakery),
})

/** A server with a bakery of its own, which may be killed and started again on what it left. */
export class OwnServer {
  readonly url: string
  readonly #port: number
  readonly #demo: boolean
  readonly #state = mkdtempSync(join(tmpdir(), 'kanten-e2e-'))
  #running: ChildProcess | null = null

  /** @param demo whether it begins with the demo bakery, or empty. */
  constructor(port: number, demo = true) {
    this.#port = port
    this.#demo = demo
    this.url = `http://127.0.0.1:${port}`
    chmodSync(this.#state, 0o755)
  }

  async start(): Promise<void> {
    this.#running = spawn(
      process.execPath,
      ['--import', 'tsx', 'server/start.ts', ...(this.#demo ? ['--demo'] : [])],
      {
        env: { ...process.env, PORT: String(this.#port), KANTEN_STATE: this.#state, DATABASE_URL: '' },
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    )
    await ready(`${this.url}/api/health`)
  }

  /** As a power cut does. */
  async kill(): Promise<void> {
    await this.#stop('SIGKILL')
  }

  async end(): Promise<void> {
    await this.#stop('SIGTERM')
    rmSync(this.#state, { recursive: true, force: true })
  }

  async #stop(signal: NodeJS.Signals): Promise<void> {
    const server = this.#running
    if (!server) return
    const ended = new Promise<void>((resolve) => server.once('exit', () => resolve()))
    server.kill(signal)
    const late = setTimeout(() => server.kill('SIGKILL'), STOP_MS)
    await ended
    clearTimeout(late)
    this.#running = null
  }
}

/** Browsers here draw in software: quick pictures have to do, unless a test has said otherwise. */
function drawQuickly(): void {
  if (localStorage.getItem('kanten pictures') === null) localStorage.setItem('kanten pictures', 'quick')
}

/** Empties all that a browser keeps for the bakery, but for the files that it has fetched. */
async function forget(kitchen: BrowserContext, origin: string): Promise<void> {
  const page = await kitchen.newPage()
  const devtools = await kitchen.newCDPSession(page)
  await devtools.send('Storage.clearDataForOrigin', {
    origin,
    storageTypes: 'cookies,local_storage,indexeddb,service_workers',
  })
  await page.close()
}

async function ready(url: string): Promise<void> {
  for (const until = Date.now() + START_MS; Date.now() < until; ) {
    const answer = await fetch(url).catch(() => null)
    if (answer?.ok) return
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
  throw new Error(`The server at ${url} did not start.`)
}

/** A light kitchen or a dim one. */
export async function setRoom(request: APIRequestContext, theme: 'light' | 'dark') {
  const { workshop, versions } = await (await request.get('/api/workshop')).json()
  const saved = await request.put('/api/settings', {
    headers: { 'If-Match': `"${versions.settings}"` },
    data: { ...workshop.settings, theme },
  })
  expect(saved.ok()).toBe(true)
}
