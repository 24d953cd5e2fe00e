import { readFileSync } from 'node:fs'
import { type APIRequestContext, expect, type Page } from '@playwright/test'

/** A screen of the demo bakery. The list is shared with the pictures: see scripts/screenshots.mjs. */
export interface Screen {
  name: string
  path: string
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

/** Goes to another screen as a link there does: what the last one has worked out is not worked out again. */
export async function open(page: Page, path: string): Promise<void> {
  if (page.url().startsWith('http'))
    await page.evaluate((to) => {
      history.pushState(null, '', to)
      dispatchEvent(new PopStateEvent('popstate'))
    }, path)
  else await page.goto(path)
}

/** Waits until nothing in view is being fetched any more, and what was fetched is shown. */
export async function settled(page: Page): Promise<void> {
  // the address changes before the page does
  await page.waitForFunction(() => {
    const at = document.querySelector('main')?.dataset.at
    return at === undefined || at === location.pathname
  })
  await expect(page.getByRole('heading').first()).toBeVisible()
  await page.evaluate(
    (quietMs) =>
      new Promise<void>((resolve) => {
        const fetching = () =>
          document.querySelector('main[aria-busy=true]') ||
          [...document.querySelectorAll('[role=status]')].some(
            (n) => n.textContent?.startsWith('Fetching') && n.getBoundingClientRect().top < innerHeight,
          )
        const rested = () => {
          if (fetching()) timer = setTimeout(rested, quietMs)
          else resolve()
        }
        let timer = setTimeout(rested, quietMs)
        new MutationObserver(() => {
          clearTimeout(timer)
          timer = setTimeout(rested, quietMs)
        }).observe(document, { subtree: true, childList: true, attributes: true })
      }),
    QUIET_MS,
  )
}
