import { readFileSync } from 'node:fs'
import { type APIRequestContext, expect, type Page } from '@playwright/test'

/** A screen of the demo bakery. The list is shared with the pictures: see scripts/screenshots.mjs. */
export interface Screen {
  name: string
  path: string
  /** What the browser calls it, where that says more than its order. */
  title?: string
}

export const screens: readonly Screen[] = JSON.parse(
  readFileSync(new URL('./screens.json', import.meta.url), 'utf8'),
)

/** With the screens of what is made first: a flower of our own, a run at the bench, an entry of the logbook. */
export async function withMade(
  request: APIRequestContext,
  use: (made: readonly Screen[]) => Promise<void>,
): Promise<void> {
  const flower = await (await request.post('/api/flowers/hydrangea/copy')).json()
  const { entry } = await (await request.post('/api/orders/reading-room/log')).json()
  await use([
    { name: 'studio', path: `/flowers/${flower.id}` },
    { name: 'logbook entry', path: `/logbook/${entry.id}` },
  ])
  await request.delete(`/api/flowers/${flower.id}`)
  await request.delete(`/api/log/${entry.id}`)
}

/** A screen that has not changed for so long has come to rest. */
const QUIET_MS = 200
/** Whatever is still on its way after so long is not coming: a busy machine has taken a third of it. */
const MOST_MS = 120_000

/** Goes to another screen as a link there does: what the last one has worked out is not worked out again. */
export async function open(page: Page, path: string): Promise<void> {
  if (page.url().startsWith('http'))
    await page.evaluate((to) => {
      history.pushState(null, '', to)
      dispatchEvent(new PopStateEvent('popstate'))
    }, path)
  else await page.goto(path)
}

/** Waits until nothing on a screen is being fetched or worked out any more, and what was is shown. */
export async function settled(page: Page): Promise<void> {
  // the address changes before the page does
  await page.waitForFunction(() => {
    const at = document.querySelector('main')?.dataset.at
    return at === undefined || at === location.pathname
  })
  await expect(page.getByRole('heading').first()).toBeVisible()
  // what measures itself has been told of a new size
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))
  await page.evaluate(
    ({ quietMs, mostMs }) =>
      new Promise<void>((resolve, reject) => {
        const began = Date.now()
        const fetching = () =>
          (document.querySelector('main[aria-busy=true]') && 'the screen') ||
          document.querySelector('main')?.innerText.match(/working it out…|go on meanwhile|(^|× )…$/m) ||
          (document.querySelector('main [role=progressbar]') && 'a search') ||
          [...document.querySelectorAll('[role=status]')].find((n) => n.textContent?.startsWith('Fetching'))
            ?.textContent
        const rested = () => {
          const what = fetching()
          if (!what) resolve()
          else if (Date.now() - began > mostMs)
            reject(new Error(`${location.pathname} never came to rest: ${what}`))
          else timer = setTimeout(rested, quietMs)
        }
        let timer = setTimeout(rested, quietMs)
        new MutationObserver(() => {
          clearTimeout(timer)
          timer = setTimeout(rested, quietMs)
        }).observe(document, { subtree: true, childList: true, attributes: true })
      }),
    { quietMs: QUIET_MS, mostMs: MOST_MS },
  )
}
