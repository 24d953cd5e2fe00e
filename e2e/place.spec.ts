import type { APIRequestContext } from '@playwright/test'
import type { Layout } from '../core/model/layout.ts'
import type { Order } from '../core/model/order.ts'
import { chartOf } from '../core/surfaces/index.ts'
import { viewUnrolled } from '../web/screens/order/place/views.ts'
import { expect, type Page, test } from './bakery.ts'

const CAKE = '/orders/observatory/pieces/place/tier-lower'

async function cake(request: APIRequestContext) {
  const { order } = (await (await request.get('/api/orders/observatory')).json()) as { order: Order }
  return order.pieces.find((p) => p.id === 'tier-lower')!
}
const layoutOf = async (request: APIRequestContext): Promise<Layout> => (await cake(request)).layouts[0]!
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
/** What is on the server once everything has been saved, when it is as it is asked for. */
async function stored(page: Page, is: (layout: Layout) => boolean): Promise<Layout> {
  await expect.poll(async () => is(await layoutOf(page.request))).toBe(true)
  await saved(page)
  return layoutOf(page.request)
}

/** The layout once it is no longer being made better. */
async function rested(page: Page, is: (layout: Layout) => boolean): Promise<Layout> {
  let last = await stored(page, is)
  await expect
    .poll(
      async () => {
        await expect(page.getByRole('button', { name: 'Another like this' })).not.toHaveAttribute(
          'data-loading',
        )
        const now = await layoutOf(page.request)
        const same = JSON.stringify(now) === JSON.stringify(last)
        last = now
        return same
      },
      { intervals: [900] },
    )
    .toBe(true)
  return last
}

test('make a fall, drag three flowers, pin one, ask for another, take a remedy, undo, print the template', async ({
  page,
}) => {
  await page.goto(CAKE)
  const map = page.getByRole('region', { name: 'The side laid flat' })
  await expect(map.locator('canvas')).toBeVisible()
  const before = await layoutOf(page.request)
  const numbers = ({ sites }: Layout) => sites.map((s) => s.placedId).sort()

  // a band and back to a fall: the numbers stay
  const school = page.getByRole('combobox', { name: 'Placed as' })
  await school.click()
  await page.getByRole('option', { name: 'Side band' }).click()
  await stored(page, (l) => l.schoolId === 'band')
  await school.click()
  await page.getByRole('option', { name: 'Diagonal fall' }).click()
  const fall = await rested(page, (l) => l.schoolId === 'fall')
  expect(numbers(fall)).toEqual(numbers(before))

  // three flowers of the sides, each dragged a way to the left
  const { shape } = await cake(page.request)
  const chart = chartOf(shape)
  const box = (await map.boundingBox())!
  const view = viewUnrolled(chart, Math.round(box.width), Math.round(box.height), 0)
  const dragged: string[] = []
  for (let i = 0; i < 3; i++) {
    const now = await layoutOf(page.request)
    const site = now.sites.find((s) => {
      const { x, y } = view.toPx(chart.read(s.place))
      const inside = x > 120 && x < box.width - 20 && y > 40 && y < box.height - 40
      return inside && s.place.zone === 'side' && s.role !== 'leaf' && !dragged.includes(s.id)
    })!
    dragged.push(site.id)
    const { x, y } = view.toPx(chart.read(site.place))
    // the handle that the last one is turned by may lie over this one
    await map.press('Escape')
    await page.mouse.move(box.x + x, box.y + y)
    await page.mouse.down()
    await page.mouse.move(box.x + x - 30, box.y + y + 8, { steps: 6 })
    await page.mouse.move(box.x + x - 70, box.y + y + 14, { steps: 6 })
    await page.mouse.up()
    const moved = await stored(page, (l) => l.sites.find((s) => s.id === site.id)?.place.b !== site.place.b)
    const at = view.toPx(chart.read(moved.sites.find((s) => s.id === site.id)!.place))
    // it stands where it was let go
    expect(Math.hypot(at.x - (x - 70), at.y - (y + 14))).toBeLessThan(12)
  }

  // the last one is still chosen: pinned, it stays when the rest is placed anew
  await page.getByRole('button', { name: 'Pin: stays when the rest is placed anew' }).click()
  const pinned = await stored(page, (l) => l.sites.some((s) => s.pinned))
  const pin = pinned.sites.find((s) => s.pinned)!
  await page.getByRole('button', { name: 'Another like this' }).click()
  const other = await rested(page, (l) => l.seed === pinned.seed + 1)
  expect(other.sites.find((s) => s.id === pin.id)!.place).toEqual(pin.place)
  expect(
    other.sites.filter((s) => pinned.sites.some((p) => p.id === s.id && p.place.b === s.place.b)).length,
  ).toBeLessThan(other.sites.length / 2)

  // fuller: more flowers, and the strip says what that takes
  await page.getByRole('slider', { name: 'Fullness' }).press('Home')
  const airy = await rested(page, (l) => l.fullness !== null)
  expect(airy.sites.length).toBeLessThan(other.sites.length)
  await expect(page.getByRole('link', { name: /^Icing/ })).toContainText('was')

  // a remedy of whatever is said first, and back
  const findings = page.getByRole('region', { name: 'How it is placed' }).getByRole('listitem')
  await expect(findings.first()).toBeVisible()
  const words = await findings.first().locator('p').textContent()
  await findings.first().getByRole('button').first().click()
  await expect(page.getByText(words!, { exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(words!, { exact: true })).toHaveCount(1)
  await findings.first().getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByText(words!, { exact: true })).toHaveCount(0)

  // the template goes out as pages at true size
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Template' }).click()
  await page.getByRole('menuitem', { name: 'Save it as SVG' }).click()
  const name = (await download).suggestedFilename()
  expect(name).toMatch(/^template-two-tier-cake(-\d)?\.svg$/)
})

test('by keyboard alone: choose, nudge, turn, mirror, copy, rub out, undo', async ({ page }) => {
  await page.goto(CAKE)
  const map = page.getByRole('region', { name: 'From above' })
  await expect(map.locator('canvas')).toBeVisible()
  const before = await layoutOf(page.request)
  await map.focus()
  await page.keyboard.press('n')
  const [first] = before.sites
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('ArrowDown')
  const moved = await stored(page, (l) => l.sites[0]!.place.b !== first!.place.b)
  await page.keyboard.press('[')
  const turned = await stored(page, (l) => l.sites[0]!.turnDeg !== moved.sites[0]!.turnDeg)
  expect(Math.abs(turned.sites[0]!.turnDeg - moved.sites[0]!.turnDeg) % 360).toBeCloseTo(15, 6)
  await page.keyboard.press('m')
  await page.keyboard.press('p')
  await stored(page, (l) => l.sites[0]!.pinned)
  await page.keyboard.press('d')
  await stored(page, (l) => l.sites.length === before.sites.length + 1)
  await page.keyboard.press('Delete')
  await stored(page, (l) => l.sites.length === before.sites.length)
  // all of it can be undone
  for (let i = 0; i < 7; i++) await page.keyboard.press('Control+z')
  await stored(page, (l) => JSON.stringify(l.sites) === JSON.stringify(before.sites))
})

test('eighteen of these in three arrangements; a number that is typed is placed', async ({ page }) => {
  await page.goto('/orders/observatory/pieces/place/cup-scabious')
  await expect(page.getByRole('button', { name: 'Add a way' })).toBeVisible()
  await page.getByRole('button', { name: 'Add a way' }).click()
  await page.getByRole('button', { name: 'Add a way' }).click()
  await expect(page.getByRole('radio', { name: 'Way 3' })).toBeChecked()
  const leaves = page.getByRole('textbox', { name: 'Leaf in this arrangement' })
  await expect(leaves).toHaveValue('2')
  await leaves.fill('5')
  await saved(page)
  await expect
    .poll(async () => {
      const { order } = (await (await page.request.get('/api/orders/observatory')).json()) as { order: Order }
      return order.pieces
        .find((p) => p.id === 'cup-scabious')!
        .layouts.map((l) => l.sites.filter((s) => s.placedId === 's3').length)
    })
    .toEqual([2, 2, 5])
  // six of each: 12 + 12 + 30 leaves, three on the average
  await page.getByRole('link', { name: 'On each' }).click()
  await expect(page.getByRole('region', { name: 'Scabious and thrift cupcakes' })).toContainText('3 placed')
})

test('words that do not fit, the offer that makes them, and what they take', async ({ page }) => {
  await page.goto('/orders/observatory/pieces/place/tier-lower')
  const map = page.getByRole('region', { name: 'The side laid flat' })
  await expect(map.locator('canvas')).toBeVisible()
  const box = (await map.boundingBox())!
  await page.getByRole('button', { name: 'Words', exact: true }).click()
  await page.mouse.click(box.x + box.width - 70, box.y + box.height - 60)
  const words = page.getByRole('region', { name: /^Words: Happy Birthday/ })
  await expect(words).toContainText('The words fit')
  await words.getByRole('textbox', { name: 'Words' }).fill('Congratulations to all of the observers')
  const long = page.getByRole('region', { name: /^Words: Congratulations/ })
  await expect(long).toContainText('The words')
  await expect(long).not.toContainText('The words fit')
  const offers = long.getByRole('button').filter({ hasText: /lines|Smaller|Thinner|Shorter/ })
  await offers.first().click()
  await expect(long).toContainText('The words fit')
  await expect(long).toContainText(/(0\.[1-9]|[1-9][\d.]*) g, \d+ touch-downs, \d+ s/)
  const made = await stored(
    page,
    (l) => l.words.length === 2 && l.words[1]!.text.startsWith('Congratulations'),
  )
  expect(made.words[1]!.place.zone).toBe('side')
  // a letter that a face has not got is said, and nothing is lost
  await long.getByRole('textbox', { name: 'Words' }).fill('Ωmega')
  await expect(page.getByRole('region', { name: 'Words: Ωmega' }).getByRole('alert')).toContainText(
    'has no “Ω”',
  )
  await page.getByRole('region', { name: 'Words: Ωmega' }).getByRole('textbox', { name: 'Words' }).fill('')
  await expect(page.getByRole('region', { name: 'Words: Ωmega' })).toContainText('Write something')
})
