import { axeFinds } from './axe.ts'
import { expect, type Page, setRoom, test } from './bakery.ts'
import { misfits } from './misfits.ts'
import { open, type Screen, screens, settled, withMade } from './screens.ts'

/**
 * Every screen of the demo bakery, and those that are made of something first: what axe finds, how long it is, what is pressed on it,
 * what is cut off, and what the browser calls it. Each is opened once and waited for to its end: what is searched for seconds is part
 * of it. Two halves, because there are two workers.
 */
test.describe.configure({ mode: 'parallel' })

const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 820, height: 1180 },
]

/** Each half takes two minutes here; a busy machine has taken ten times that. */
const SLOW_MACHINE_MS = 1_200_000

/** What is wrong with some screens, in words. */
async function wrongWith(page: Page, of: readonly Screen[]): Promise<string[]> {
  const wrong: string[] = []
  for (const { name, path, title } of of) {
    const say = (found: readonly string[]) => wrong.push(...found.map((f) => `${name}, ${f}`))
    await page.setViewportSize(SIZES[0]!)
    await open(page, path)
    await settled(page)
    const called = await page.title()
    if (title && called !== `${title} · Kanten`) say([`called “${called}”`])
    say(await axeFinds(page))
    for (const size of SIZES) {
      await page.setViewportSize(size)
      await settled(page)
      say(await misfits(page))
    }
  }
  return wrong
}

const half = Math.ceil(screens.length / 2)
for (const [which, from, to] of [
  ['the first', 0, half],
  ['the second', half, screens.length],
] as const)
  test(`every screen of ${which} half fits the hand and the eye in either room, at a desk and on a tablet`, async ({
    page,
    request,
  }) => {
    test.setTimeout(SLOW_MACHINE_MS)
    await setRoom(request, 'light')
    if (to < screens.length) expect(await wrongWith(page, screens.slice(from, to))).toEqual([])
    else
      await withMade(request, async (made) => {
        expect(await wrongWith(page, [...screens.slice(from, to), ...made])).toEqual([])
      })
  })

test('the room is dark where the bakery says so', async ({ page, request }) => {
  await setRoom(request, 'dark')
  await page.goto('/orders')
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark')
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(27, 27, 27)')
  await setRoom(request, 'light')
})
