import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, setRoom, test } from './bakery.ts'
import { open, type Screen, screens, settled, withMade } from './screens.ts'

/** Nothing on any screen that an accessibility check finds, nor on those that are made of something first. */

/** The checks take a minute here; a busy machine has taken ten times that. */
const SLOW_MACHINE_MS = 900_000

const OBSERVATORY = 'Observatory opening night'

/** What axe finds on every screen; the insides of drawings, which are one picture each, are left out. */
async function findings(
  page: Page,
  of: readonly Screen[],
  narrow: (axe: AxeBuilder) => AxeBuilder,
  titles = new Set<string>(),
): Promise<string[]> {
  const found: string[] = []
  for (const { name, path } of of) {
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
  await withMade(request, async (made) => {
    expect(await findings(page, [...screens, ...made], (axe) => axe, titles)).toEqual([])
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

test('everything can be read in the dark room too', async ({ page, request }) => {
  test.setTimeout(SLOW_MACHINE_MS)
  await setRoom(request, 'dark')
  // the look is the same everywhere: contrast alone can differ
  expect(await findings(page, screens, (axe) => axe.withRules(['color-contrast']))).toEqual([])
  await setRoom(request, 'light')
})
