import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, setRoom, test } from './bakery.ts'
import { open, type Screen, screens, settled, withMade } from './screens.ts'

/** Nothing on any screen that an accessibility check finds, nor on those that are made of something first. */

/** The checks take a minute here; a busy machine has taken ten times that. */
const SLOW_MACHINE_MS = 900_000

const OBSERVATORY = 'Observatory opening night'

/** What axe finds; the insides of drawings, which are one picture each, are left out. */
async function foundOn(page: Page, narrow: (axe: AxeBuilder) => AxeBuilder): Promise<string[]> {
  const { violations } = await narrow(
    // what passes is nobody's concern, and listing it takes half of the time
    new AxeBuilder({ page })
      // no frames here: a page opened for every verdict is half of the time again
      .setLegacyMode(true)
      .options({ resultTypes: ['violations'] })
      .exclude('svg > *'),
  ).analyze()
  return violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .slice(0, 3)
        .map((n) => n.html)
        .join(' | ')}`,
  )
}

/** Changes the room, and waits until every colour has come to where it fades to. */
const inRoom = (page: Page, room: 'light' | 'dark') =>
  page.evaluate(async (name) => {
    document.documentElement.setAttribute('data-mantine-color-scheme', name)
    // what fades begins to with the next frame
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))
    const fading = document.getAnimations().filter((a) => a instanceof CSSTransition)
    await Promise.allSettled(fading.map((a) => a.finished))
  }, room)

/** Each screen once: all of it in the light room, and in the dark one what can differ there, which is contrast. */
async function findings(page: Page, of: readonly Screen[], titles: Set<string>): Promise<string[]> {
  const found: string[] = []
  for (const { name, path } of of) {
    await open(page, path)
    await settled(page)
    titles.add(await page.title())
    found.push(...(await foundOn(page, (axe) => axe)).map((v) => `${name}: ${v}`))
    await inRoom(page, 'dark')
    const dark = await foundOn(page, (axe) => axe.withRules(['color-contrast']))
    found.push(...dark.map((v) => `${name}, in the dark: ${v}`))
    await inRoom(page, 'light')
  }
  return found
}

test('axe finds nothing on any screen in either room, and the browser says which one it is', async ({
  page,
  request,
}) => {
  test.setTimeout(SLOW_MACHINE_MS)
  await setRoom(request, 'light')
  const titles = new Set<string>()
  await withMade(request, async (made) => {
    expect(await findings(page, [...screens, ...made], titles)).toEqual([])
  })
  for (const title of [
    'Orders · Kanten',
    ...['Brief', 'Pieces', 'Colours', 'Bags', 'Icing', 'Timeline', 'Bench', 'Advice'].map(
      (s) => `${s} · ${OBSERVATORY} · Kanten`,
    ),
    'Drawer · Kanten',
    'Bench day · Kanten',
    'Logbook · Kanten',
    'What goes wrong · Kanten',
    'Practice: five petals, nail turning · Kanten',
    'What practice rests on · Kanten',
    'Week · Kanten',
    'Settings · Kanten',
    'Deleted · Kanten',
    'There is nothing at this address · Kanten',
    'Hellebore · Kanten',
    'Classic rose, see it piped · Kanten',
    'Flowers · Kanten',
  ])
    expect(titles).toContain(title)
})

test('the room is dark where the bakery says so', async ({ page, request }) => {
  await setRoom(request, 'dark')
  await page.goto('/orders')
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(27, 27, 27)')
  await setRoom(request, 'light')
})
