import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, setRoom, test } from './bakery.ts'

/** Nothing on any screen that an accessibility check finds. */
const screens = {
  orders: '/orders',
  brief: '/orders/observatory/brief',
  pieces: '/orders/observatory/pieces',
  place: '/orders/observatory/pieces/place/tier-lower',
  tray: '/orders/observatory/pieces/tray',
  'supports and boxes': '/orders/observatory/pieces/boards',
  colours: '/orders/observatory/colours',
  bags: '/orders/observatory/bags',
  icing: '/orders/observatory/icing',
  mixing: '/orders/observatory/icing?half=mixing',
  'whether it lasts': '/orders/observatory/icing?half=chances',
  'the bowl': '/orders/observatory/bowl',
  drawer: '/drawer',
  'bag shelf': '/drawer?shelf=bags',
  'icing shelf': '/drawer?shelf=icings',
  'dye shelf': '/drawer?shelf=dyes',
  'bench day': '/day',
  timeline: '/orders/observatory/timeline',
  logbook: '/logbook',
  learnt: '/logbook/over/learnt',
  promises: '/logbook/over/promises',
  'what goes wrong': '/wrong',
  'start of work': '/orders/observatory/bench',
  'practice before an order': '/orders/observatory/bench/practice/shells',
  practice: '/practice/petals',
  'what practice rests on': '/settings/practice',
  prints: '/orders/observatory/bench/prints/quote',
  'hours and limits': '/week/limits',
  week: '/week',
  pantry: '/drawer?shelf=pantry',
  settings: '/settings',
  deleted: '/deleted',
  'a wrong address': '/nowhere',
  flower: '/flowers/hellebore',
  'a flower being piped': '/flowers/hellebore/piped/petals?beside=wrong',
  // last: its ninety pictures would be meshed while other screens are waited for
  flowers: '/flowers',
}

/** The checks take a minute here; a busy machine has taken ten times that. */
const SLOW_MACHINE_MS = 900_000

const OBSERVATORY = 'Observatory opening night'

/** Screens that between them show every part of the look once more, for the dark room. */
const samples = ['brief', 'bags', 'icing', 'drawer', 'settings']

/** A screen that has not changed for so long has come to rest. */
const QUIET_MS = 200

/** Goes to another screen as a link there does: what the last one has worked out is not worked out again. */
async function open(page: Page, path: string) {
  if (page.url().startsWith('http'))
    await page.evaluate((to) => {
      history.pushState(null, '', to)
      dispatchEvent(new PopStateEvent('popstate'))
    }, path)
  else await page.goto(path)
}

/** Waits until nothing in view is being fetched any more, and what was fetched is shown. */
async function settled(page: Page) {
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

/** What axe finds on every screen; the insides of drawings, which are one picture each, are left out. */
async function findings(
  page: Page,
  names: string[],
  narrow: (axe: AxeBuilder) => AxeBuilder,
  titles = new Set<string>(),
): Promise<string[]> {
  const found: string[] = []
  for (const [name, path] of Object.entries(screens)) {
    if (!names.includes(name)) continue
    await open(page, path)
    await settled(page)
    titles.add(await page.title())
    const { violations } = await narrow(
      // what passes is nobody's concern, and listing it takes half of the time
      new AxeBuilder({ page })
        // no frames here: a page opened for every verdict is half of the time again
        .setLegacyMode(true)
        .options({ resultTypes: ['violations'] })
        .exclude('svg > *'),
    ).analyze()
    for (const v of violations)
      found.push(
        `${name}: ${v.id}: ${v.nodes
          .slice(0, 3)
          .map((n) => n.html)
          .join(' | ')}`,
      )
  }
  return found
}

test('axe finds nothing on any screen, and the browser says which one it is', async ({ page, request }) => {
  test.setTimeout(SLOW_MACHINE_MS)
  await setRoom(request, 'light')
  const titles = new Set<string>()
  expect(await findings(page, Object.keys(screens), (axe) => axe, titles)).toEqual([])
  expect([...titles]).toEqual([
    'Orders · Kanten',
    ...['Brief', 'Pieces', 'Colours', 'Bags', 'Icing'].map((s) => `${s} · ${OBSERVATORY} · Kanten`),
    `${OBSERVATORY} · Kanten`,
    'Drawer · Kanten',
    'Bench day · Kanten',
    `Timeline · ${OBSERVATORY} · Kanten`,
    'Logbook · Kanten',
    'What goes wrong · Kanten',
    `Bench · ${OBSERVATORY} · Kanten`,
    'Practice: five petals, nail turning · Kanten',
    'What practice rests on · Kanten',
    'Week · Kanten',
    'Settings · Kanten',
    'Deleted · Kanten',
    'There is nothing at this address · Kanten',
    'Hellebore · Kanten',
    'Hellebore, see it piped · Kanten',
    'Flowers · Kanten',
  ])
})

test('everything can be read in the dark room too', async ({ page, request }) => {
  test.setTimeout(SLOW_MACHINE_MS)
  await setRoom(request, 'dark')
  expect(await findings(page, samples, (axe) => axe.withRules(['color-contrast']))).toEqual([])
  await setRoom(request, 'light')
})
