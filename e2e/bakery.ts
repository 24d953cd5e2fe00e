import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type BrowserContext, test as base } from '@playwright/test'

export { expect, type Page } from '@playwright/test'

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
    if (stranger) return use(context)
    await forget(kitchen, bakery)
    await use(kitchen)
    for (const page of kitchen.pages()) await page.close()
  },
  bakery: [
    // biome-ignore lint/correctness/noEmptyPattern: a fixture names what it needs
    async ({}, use, { parallelIndex }) => {
      const port = PORT + parallelIndex
      const state = mkdtempSync(join(tmpdir(), 'kanten-e2e-'))
      chmodSync(state, 0o755)
      const server = spawn(process.execPath, ['--import', 'tsx', 'server/start.ts', '--demo'], {
        env: { ...process.env, PORT: String(port), KANTEN_STATE: state, DATABASE_URL: '' },
        stdio: ['ignore', 'ignore', 'inherit'],
      })
      const ended = new Promise<void>((resolve) => server.once('exit', () => resolve()))
      const url = `http://127.0.0.1:${port}`
      await ready(`${url}/api/health`)
      await use(url)
      server.kill('SIGTERM')
      const late = setTimeout(() => server.kill('SIGKILL'), STOP_MS)
      await ended
      clearTimeout(late)
      rmSync(state, { recursive: true, force: true })
    },
    { scope: 'worker', timeout: START_MS },
  ],
  // a browser that has been here before: it has the scripts, compiled, and nothing else of what was done
  kitchen: [
    async ({ browser, bakery }, use) => {
      const kitchen = await browser.newContext({ baseURL: bakery, viewport: { width: 1280, height: 800 } })
      await use(kitchen)
      await kitchen.close()
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ bakery }, use) => use(bakery),
})

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
