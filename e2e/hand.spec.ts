import { expect, type Page, test } from './bakery.ts'

/** How it is done, what it looks like when it goes wrong, and what a day at the bench teaches. */

test('a row of a rose is watched, gone through by hand, and seen with the other hand; a look leads to its cause', async ({
  page,
}) => {
  await page.goto('/flowers/rose')
  await page.getByRole('link', { name: 'See it piped' }).click()
  // the studio names its layers too, until the other page is there
  await expect(page.getByRole('heading', { name: 'Classic rose, see it piped' })).toBeVisible()
  await page.getByRole('navigation', { name: 'What is piped' }).getByText('Row of 5', { exact: true }).click()
  await expect(
    page.getByRole('heading', { name: 'Lean it 10° out; start 3 mm up; a third of a turn of the nail.' }),
  ).toBeVisible()
  await expect(page.getByText('Row of 5, 1 of 5: touch down')).toBeVisible()

  // every row is a lesson of its own
  const rows = page.getByRole('row')
  await expect(rows.filter({ hasText: 'Row of 8' })).toContainText('46°')
  await expect(rows.filter({ hasText: 'Row of 7' })).toContainText('28°')

  // stop by stop, then by the slider, then to the next petal
  await page.getByRole('button', { name: 'swell ›' }).click()
  await expect(page.getByText(/squeeze until the icing comes/)).toBeVisible()
  await page.getByRole('button', { name: 'over ›' }).click()
  const time = page.getByRole('slider', { name: 'Time in this stroke' })
  await time.focus()
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByText('Row of 5, 1 of 5: go on as you squeeze')).toBeVisible()
  await expect(page.getByText(/nail turns against the clock: [1-9]\d*° of 124°/)).toBeVisible()
  await page.getByRole('button', { name: 'The next stroke' }).click()
  await expect(page.getByText('Row of 5, 2 of 5: touch down')).toBeVisible()

  // played, it goes on by itself; slowly, so that a slow machine sees it too
  await page.getByText('¼', { exact: true }).click()
  await page.getByRole('button', { name: 'Play' }).click()
  await expect(
    page.getByText(/Row of 5, [2-5] of 5: (go on as you squeeze|let go of the squeeze)/),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Pause' }).click()

  // a left hand: the bag from the other side, the nail the other way round
  await expect(page.getByText('bag, 4 o’clock')).toBeVisible()
  await page.getByText('left hand', { exact: true }).click()
  await expect(page.getByText('bag, 8 o’clock')).toBeVisible()
  await expect(page.getByText(/nail turns with the clock/)).toBeVisible()

  await page.getByText('When it looks wrong', { exact: true }).click()
  await page.getByRole('button', { name: /^Droops, lies flat/ }).click()
  await page.getByRole('button', { name: 'No', exact: true }).click()
  await expect(page.getByText('Mix it a step stiffer, without liquid.')).toBeVisible()
  await page.getByRole('button', { name: 'All the looks' }).click()
  await page.getByRole('button', { name: /^Shut like a bud/ }).click()
  await expect(page.getByText('Lean the bag further out with every row.')).toBeVisible()
  await expect(page.getByText('Buds and half-open flowers are piped so.')).toBeVisible()
})

test('what was weighed and timed in one order changes the next, is said, and is set back', async ({
  page,
  bakery,
}) => {
  const grams = async () => {
    await page.goto(`${bakery}/orders/reading-room/brief`)
    const figure = page.getByText('to mix', { exact: true }).locator('xpath=following-sibling::dd[1]')
    await expect(figure).toHaveText(/\d+ g/)
    return Number((await figure.textContent())!.replace(/[^\d]/g, ''))
  }
  const before = await grams()
  await page.goto(`${bakery}/logbook`)
  await page.getByRole('button', { name: 'Write by hand…' }).click()
  await page.getByRole('menuitem', { name: 'Reading-room tea' }).click()
  await expect(page.getByRole('heading', { name: 'Reading-room tea', level: 1 })).toBeVisible()
  await page.getByRole('link', { name: 'Flowers', exact: true }).last().click()
  // half as heavy again as the shapes alone would be: nobody's typing mistake
  const log: { entry: { id: string; flowers: { eachGrams: number }[] } }[] = await (
    await page.request.get(`${bakery}/api/log`)
  ).json()
  await page
    .getByLabel(/^Their weight: /)
    .first()
    .fill((5 * 1.5 * log[0]!.entry.flowers[0]!.eachGrams).toFixed(1))
  await expect(page.getByLabel(/^Weighed together: /).first()).toHaveValue('5')
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible()

  await page.goto(`${bakery}/logbook/over/learnt`)
  const learnt = page.getByRole('region', { name: /^Grams: / })
  await expect(learnt).toContainText('All hands together')
  await expect(page.getByText(/^What it did to “Reading-room tea”$/)).toBeVisible()
  await expect(learnt.getByText(/ (more|less)/).first()).toBeVisible()
  expect(await grams()).not.toBe(before)

  // the promise, in the open: a thousand such orders
  await page.getByRole('link', { name: 'A thousand such orders, as dots' }).click()
  await expect(page.getByRole('img', { name: /run short; the others have up to/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /Anything at all/ })).toContainText(/1 in \d|hardly ever|in 10/)

  await page.goto(`${bakery}/logbook/over/learnt`)
  const back = page.getByRole('button', { name: 'Set back' })
  await expect(back.first()).toBeVisible()
  for (let left = await back.count(); left > 0; left = await back.count()) {
    await back.first().click()
    await expect(back).not.toHaveCount(left)
  }
  expect(await grams()).toBe(before)

  // what other journeys weigh afterwards is theirs
  await page.request.delete(`${bakery}/api/log/${log[0]!.entry.id}`)
  const { workshop, versions } = await (await page.request.get(`${bakery}/api/workshop`)).json()
  await page.request.put(`${bakery}/api/settings`, {
    headers: { 'If-Match': `"${versions.settings}"` },
    data: { ...workshop.settings, setBack: {} },
  })
})

/** The mouse is moved so often on the way, ms: about as often as one tells of itself. */
const MOVES_MS = 16

/**
 * Pipes the straight line with the mouse at its own pace, letting go where the drill does or holding on at its end. The page's clock
 * stands meanwhile and is moved on by hand, so that the same line is piped however slow the machine is.
 */
async function pipeLine(page: Page, holdsOnMs: number): Promise<void> {
  const sheet = page.getByRole('application', { name: /^Sheet for Straight line/ })
  // what is still being laid out moves the sheet
  let box = await sheet.boundingBox()
  await expect(async () => {
    const before = box
    box = await sheet.boundingBox()
    expect(box).toEqual(before)
  }).toPass({ intervals: [500] })
  if (!box) throw new Error('There is no sheet.')
  const pxPerMm = box.width / 130
  const { x: left, y: top } = box
  const at = (mm: number) => [left + mm * pxPerMm, top + 20 * pxPerMm] as const
  const [from, to, mmPerS, comesMs, letsGoMs] = [15, 115, 27, 100, 170]
  const goesMs = (1000 * (to - from)) / mmPerS
  const letsGo = holdsOnMs > 0 ? goesMs + holdsOnMs : goesMs - letsGoMs
  await page.clock.pauseAt((await page.evaluate(() => Date.now())) + 1000)
  await page.mouse.move(...at(from))
  await page.mouse.down()
  let isDown = true
  for (let ms = -comesMs; isDown || ms <= goesMs; ms += MOVES_MS) {
    await page.clock.runFor(MOVES_MS)
    await page.mouse.move(...at(Math.min(to, from + Math.max(0, (mmPerS * ms) / 1000))))
    if (isDown && ms > letsGo) {
      await page.mouse.up()
      isDown = false
    }
  }
  await page.clock.resume()
}

test.describe('at a clock of the page’s own', () => {
  test.use({ stranger: true })

  test('a drill is piped by a good hand and by one that lets go late, judged, kept, watched again and put before an order', async ({
    page,
  }) => {
    await page.clock.install()
    await page.goto('/practice/line')
    await expect(page.getByText('Begin at the ring.')).toBeVisible()
    await pipeLine(page, 0)
    await expect(page.getByText('Nothing to change: do it the same way again.')).toBeVisible()
    await expect(page.getByText('1 try; trend from 20')).toBeVisible()
    await expect(
      page.getByText(/How hard you squeeze and how high you hold the tip: not sensed here/),
    ).toBeVisible()

    await page.getByRole('button', { name: 'Pipe it again' }).first().click()
    await pipeLine(page, 900)
    await expect(page.getByText(/^Stop squeezing before you lift: it /)).toBeVisible()
    await expect(page.getByText(/squeeze, pull, let go, lift\.$/)).toBeVisible()
    await expect(page.getByText('2 tries; trend from 20')).toBeVisible()

    // beside the ideal, slowly
    await page.getByText('¼', { exact: true }).click()
    await page.getByRole('button', { name: 'Replay' }).click()
    await page.getByRole('button', { name: 'Pause' }).click()
    await page.getByText('ideal', { exact: true }).last().click()

    // nothing but the drill's own way counts
    await page.getByRole('button', { name: 'Pipe it again' }).first().click()
    await page.getByRole('button', { name: 'Tip, icing and hands' }).click()
    await page.getByText('Lifts', { exact: true }).click()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('slider', { name: 'Height of the tip' })).toBeVisible()

    // what the order needs, and time for it before the first flower
    await page.goto('/orders/observatory/bench/practice')
    await expect(page.getByRole('heading', { name: 'Before this order: 10 min' })).toBeVisible()
    await page.getByRole('button', { name: 'Put it in the timeline' }).click()
    await expect(page.getByText(/^In the timeline: /)).toBeVisible()
    await page.goto('/orders/observatory/timeline')
    await expect(
      page.getByRole('button', { name: /^Practise: .*, on the practice sheet, / }).first(),
    ).toBeVisible()
    // the bakery as it was, for the journeys after this one
    await page.goto('/orders/observatory/bench/practice')
    await page.getByRole('button', { name: 'Not in the timeline' }).click()
    await expect(page.getByRole('button', { name: 'Put it in the timeline' })).toBeVisible()
  })
})
