import { type Browser, chromium, type Page } from '@playwright/test'
import type { ServedBenchmark } from './benchmark.ts'
import { withServer } from './served.ts'

/** Edits that are timed, and the pause between two: a hand looks at what came of the last. */
const EDITS = 30
const PAUSE_MS = 350
/** What comes in the first moments of a visit is what it needs; so long is listened, ms. */
const LISTENS_MS = 4000

/** What a visitor waits for, in the built interface and a browser. */
export const visitBenchmarks: ServedBenchmark[] = [
  {
    id: 'typed-to-figure',
    what: `a count that is typed to the grams on the strip, the slowest of twenty of ${EDITS} edits; the aim is 100`,
    unit: 'ms',
    against: 'the longest task of the main thread meanwhile; the aim is 50',
    measure: () => visited(typedToFigure),
  },
  {
    id: 'first-load-kb',
    what: 'what the first visit to Orders takes over the wire, kB; the aim is 300',
    unit: 'kB',
    against: 'a flower of our own in the studio after it, kB; the aim is 250',
    measure: () => visited(firstLoad),
  },
  {
    id: 'first-paint',
    what: 'largest contentful paint of Orders at a first visit; the aim is 1,000',
    unit: 'ms',
    against: 'none: the aim is 1,000',
    measure: () => visited(firstPaint),
  },
]

type Visit = (browser: Browser, origin: string) => Promise<{ value: number; baseline: number | null }>

async function visited(visit: Visit) {
  return withServer(async ({ kanten }) => {
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
    try {
      return await visit(browser, kanten.replace(/\/api$/, ''))
    } finally {
      await browser.close()
    }
  })
}

const newPage = (browser: Browser): Promise<Page> =>
  browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })

const typedToFigure: Visit = async (browser, origin) => {
  const page = await newPage(browser)
  await page.goto(`${origin}/orders/observatory/pieces`)
  const count = page.getByLabel('How many').first()
  await count.waitFor()
  await page.getByRole('navigation', { name: 'Line of work' }).getByText(/ g$/).waitFor()
  // whatever is worked out once when a page is opened is over
  await page.waitForTimeout(LISTENS_MS * 2)
  await page.evaluate(() => {
    const seen = { waits: [] as number[], longest: 0 }
    Object.assign(globalThis, { seen })
    let typedAt = 0
    document.addEventListener(
      'input',
      () => {
        typedAt = performance.now()
      },
      true,
    )
    const stops = [...document.querySelectorAll('nav[aria-label="Line of work"] a')]
    const stop = stops.find((a) => a.textContent?.startsWith('Icing'))!
    const figure = stop.querySelector('.figure')!
    let shown = figure.textContent
    new MutationObserver(() => {
      // the figure itself, not what it was before
      const now = figure.textContent
      if (typedAt === 0 || now === shown) return
      shown = now
      seen.waits.push(performance.now() - typedAt)
      typedAt = 0
    }).observe(stop, { subtree: true, characterData: true, childList: true })
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) seen.longest = Math.max(seen.longest, entry.duration)
    }).observe({ type: 'longtask' })
  })
  // found once: what a test takes to find a field by its label is no work of the page
  const field = (await count.elementHandle())!
  for (let i = 0; i < EDITS; i++) {
    await field.fill(String(10 + (i % 9)))
    await page.waitForTimeout(PAUSE_MS)
  }
  const { waits, longest } = await page.evaluate(
    () => (globalThis as unknown as { seen: { waits: number[]; longest: number } }).seen,
  )
  if (waits.length < EDITS * 0.8) throw new Error(`Only ${waits.length} of ${EDITS} edits changed the grams.`)
  waits.sort((a, b) => a - b)
  return { value: waits[Math.floor(0.95 * waits.length)]!, baseline: longest }
}

/** Bytes over the wire since it was last asked, those that workers fetch among them. */
function wireOf(page: Page): () => Promise<number> {
  let sizes: Promise<number>[] = []
  page.on('requestfinished', (request) =>
    sizes.push(
      request
        .sizes()
        .then(({ responseBodySize, responseHeadersSize }) => responseBodySize + responseHeadersSize),
    ),
  )
  return async () => {
    const soFar = sizes
    sizes = []
    return (await Promise.all(soFar)).reduce((sum, bytes) => sum + bytes, 0)
  }
}

const firstLoad: Visit = async (browser, origin) => {
  const page = await newPage(browser)
  const { id } = await (await page.request.post(`${origin}/api/flowers/hellebore/copy`)).json()
  const since = wireOf(page)
  await page.goto(`${origin}/orders`)
  await page.waitForTimeout(LISTENS_MS)
  const orders = await since()
  // from within, as a press on a link does
  await page.evaluate((to) => {
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, `/flowers/${id}`)
  await page.waitForTimeout(LISTENS_MS * 2)
  return { value: orders / 1000, baseline: (await since()) / 1000 }
}

const firstPaint: Visit = async (browser, origin) => {
  const page = await newPage(browser)
  await page.goto(`${origin}/orders`)
  await page.waitForTimeout(LISTENS_MS)
  const painted = await page.evaluate(
    () =>
      new Promise<number>((resolve) =>
        new PerformanceObserver((list) => resolve(list.getEntries().at(-1)!.startTime)).observe({
          type: 'largest-contentful-paint',
          buffered: true,
        }),
      ),
  )
  return { value: painted, baseline: null }
}
