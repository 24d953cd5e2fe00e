import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'
import { build, type Rollup } from 'vite'

const file = (name: string) => fileURLToPath(new URL(name, import.meta.url))
const demo = (name: string): unknown => JSON.parse(readFileSync(file(`../../demo/${name}`), 'utf8'))

/**
 * The search for fewer bags and tips of the demo order where it runs: in a browser, built as it is shipped, cold. Milliseconds,
 * the middle one of three visits.
 */
export async function fewerInBrowser(): Promise<number> {
  const built = (await build({
    configFile: false,
    root: file('../..'),
    logLevel: 'error',
    build: {
      write: false,
      lib: { entry: file('fewerPage.ts'), formats: ['iife'], name: 'bench' },
    },
  })) as Rollup.RollupOutput[]
  const [{ code }] = built[0]!.output
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
  try {
    const times: number[] = []
    for (let visit = 0; visit < 3; visit++) {
      const page = await browser.newPage()
      await page.addScriptTag({ content: code })
      const files = [demo('observatory.json'), demo('bakery.json')] as const
      times.push(await page.evaluate(([order, bakery]) => globalThis.lookForFewer(order, bakery), files))
      await page.close()
    }
    return times.sort((a, b) => a - b)[1]!
  } finally {
    await browser.close()
  }
}
