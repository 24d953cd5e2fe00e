import { readFileSync } from 'node:fs'
import { expect, type Page, test } from './bakery.ts'

/** What a user does, in the real interface on the real server and database. */

const grams = (text: string | null) => Number((text ?? '').replace(/[^0-9.]/g, ''))

async function stop(page: Page, name: string) {
  await page
    .getByRole('navigation', { name: 'Line of work' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click()
}
const figure = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Line of work' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .locator('.figure')

test('open the demo order, change a count, see grams change, and find it after a reload', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Observatory opening night' }).click()
  await expect(figure(page, 'Pieces')).toHaveText('73 pieces')
  const before = grams(await figure(page, 'Icing').textContent())

  const cupcakes = page.getByRole('region', { name: 'Hellebore cupcakes' })
  await cupcakes.getByLabel('How many').fill('36')
  await expect(figure(page, 'Pieces')).toHaveText('91 pieces')
  await expect
    .poll(async () => grams(await figure(page, 'Icing').textContent()))
    .toBeGreaterThan(before + 150)
  const after = grams(await figure(page, 'Icing').textContent())
  await expect(page.getByRole('link', { name: /^Icing/ })).toContainText(
    `was ${before.toLocaleString('en-GB')} g`,
  )

  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.reload()
  await expect(cupcakes.getByLabel('How many')).toHaveValue('36')
  await expect.poll(async () => grams(await figure(page, 'Icing').textContent())).toBe(after)

  // the figures on the icing page are the same ones
  await stop(page, 'Icing')
  await expect(page.getByRole('heading', { name: /^Make [\d,]+ g of sugar-and-butter/ })).toBeVisible()

  // back as it was, by size and tip too
  await stop(page, 'Pieces')
  await cupcakes.getByLabel('Size of Hellebore').fill('30')
  await expect.poll(async () => grams(await figure(page, 'Icing').textContent())).toBeLessThan(after)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cupcakes.getByLabel('Size of Hellebore')).toHaveValue('46')
  await expect.poll(async () => grams(await figure(page, 'Icing').textContent())).toBe(after)
})

test('make a new order from library flowers in under 12 actions', async ({ page }) => {
  let actions = 0
  const act = async (work: Promise<unknown>) => {
    actions += 1
    await work
  }
  await page.goto('/orders')
  await act(page.getByRole('button', { name: 'New order' }).click())
  await act(page.getByLabel('What is it for?').fill('Spring tea'))
  await act(page.getByRole('button', { name: 'Begin' }).click())
  await act(page.getByRole('button', { name: 'Add a piece' }).click())
  await act(page.getByRole('menuitem', { name: 'Cupcakes' }).click())
  await act(page.getByRole('button', { name: 'Add a flower' }).click())
  await act(page.getByRole('button', { name: 'Add Classic rose' }).click())
  await act(page.getByRole('button', { name: 'Add Leaf', exact: true }).click())
  await act(page.getByRole('button', { name: 'Done' }).click())
  await act(page.getByRole('button', { name: 'Add a coat beneath' }).click())
  expect(actions).toBeLessThan(12)
  await expect(figure(page, 'Pieces')).toHaveText('12 pieces')
  await expect.poll(async () => grams(await figure(page, 'Icing').textContent())).toBeGreaterThan(150)
  await stop(page, 'Bags')
  await expect(page.getByText('Fill these, in this order')).toBeVisible()
  expect(await page.getByRole('img', { name: /· petal 13 mm/ }).count()).toBeGreaterThan(0)
})

test('an impossible number stays in its field with the reason, and the plan keeps the last good one', async ({
  page,
}) => {
  await page.goto('/orders/reading-room/pieces')
  const count = page.getByLabel('How many')
  await expect(count).toHaveValue('12')
  await count.fill('0')
  await expect(page.getByText('At least one piece.')).toBeVisible()
  await expect(figure(page, 'Pieces')).toHaveText('12 pieces')
  await count.fill('24')
  await expect(page.getByText('At least one piece.')).toBeHidden()
  await expect(figure(page, 'Pieces')).toHaveText('24 pieces')
})

test('a broken file is refused with every fault and nothing is imported', async ({ page }) => {
  const file = JSON.parse(readFileSync('demo/allotment.json', 'utf8'))
  file.order.pieces[0].flowers[1].flowerId = 'orchid'
  file.order.pieces[0].coat.thicknessMm = 1.5
  const upload = (name: string, text: string) =>
    page
      .getByLabel('Order file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) })

  await page.goto('/orders')
  const rows = page.getByRole('listitem').filter({ hasText: 'Allotment prize-giving' })
  await expect(rows).toHaveCount(1)
  await upload('broken.json', JSON.stringify(file))
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('Nothing of broken.json was imported')
  await expect(dialog).toContainText('/order/pieces/0/flowers/1/flowerId')
  await expect(dialog).toContainText('There is no flower "orchid" in the library')
  await page.keyboard.press('Escape')
  await expect(rows).toHaveCount(1)

  await upload('not.json', '{"format"')
  await expect(dialog).toContainText('not valid JSON')
  await page.keyboard.press('Escape')

  file.order.pieces[0].flowers[1].flowerId = 'daisy'
  await upload('mended.json', JSON.stringify(file))
  await expect(page.getByRole('heading', { name: 'Allotment prize-giving' })).toBeVisible()
})

test('a tip that is taken out of the drawer is missed, and a stand-in takes its place', async ({ page }) => {
  await page.goto('/drawer?tip=leaf-7')
  const fewer = page.getByRole('button', { name: 'One leaf V 7 mm, 2.4 high fewer' })
  await fewer.click()
  await expect(fewer).toBeDisabled()
  await page.goto('/orders/observatory/bags')
  await expect(page.getByText('The drawer has no leaf V 7 mm')).toBeVisible()
  await page
    .getByRole('button', { name: /^Use leaf/ })
    .first()
    .click()
  await expect(page.getByText('The drawer has no leaf V 7 mm')).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('The drawer has no leaf V 7 mm')).toBeVisible()
})

test('a flower of the catalogue is copied, changed in the studio, undone, and kept', async ({ page }) => {
  await page.setViewportSize({ width: 900, height: 700 })
  await page.goto('/flowers/daisy')
  await expect(page.getByRole('img', { name: 'Daisy as a solid; drag to turn it' })).toBeVisible()
  await page.getByRole('button', { name: 'Copy to change it' }).click()
  await expect(page.getByRole('heading', { name: 'Daisy (ours)' })).toBeVisible()

  const row = page.getByRole('button', { name: /^Outer petals/ })
  await row.click()
  const before = await row.textContent()
  await page.getByLabel('Strokes', { exact: true }).fill('14')
  await expect(row).toContainText('14 × scooped petal')
  await expect.poll(() => row.textContent()).not.toBe(before)
  await page.getByRole('button', { name: 'Duplicate' }).click()
  await expect(row).toHaveCount(2)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toHaveCount(1)

  await page.waitForTimeout(900)
  await page.reload()
  await expect(row).toContainText('14 × scooped petal')
})

test('weighing some narrows the band and changes every plan', async ({ page }) => {
  await page.setViewportSize({ width: 900, height: 700 })
  await page.goto('/orders/observatory/icing')
  const before = grams(await figure(page, 'Icing').textContent())
  await page.goto('/flowers/dahlia')
  await expect(page.getByText('not weighed yet: give or take 30 %')).toBeVisible()
  await page.getByRole('button', { name: 'Weigh some' }).click()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Type what the scale says.')).toBeVisible()
  await page.getByLabel('All together').fill('66')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('weighed 1 time: give or take 13 %')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.goto('/orders/observatory/icing')
  await expect.poll(async () => grams(await figure(page, 'Icing').textContent())).toBeGreaterThan(before + 20)
})

test('a change made while the network is down is kept, also over a reload, and saved when it is back', async ({
  page,
}) => {
  await page.goto('/orders/reading-room/brief')
  await expect(page.getByLabel('Who it is for')).toHaveValue('Library friends')
  await page.route('**/api/orders/reading-room', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await page.getByLabel('Who it is for').fill('Friends of the library')
  await expect(page.getByRole('status').filter({ hasText: 'Not saved yet' })).toBeVisible()
  await page.unroute('**/api/orders/reading-room')
  await page.reload()
  await expect(page.getByLabel('Who it is for')).toHaveValue('Friends of the library')
  await expect
    .poll(async () => (await (await page.request.get('/api/orders/reading-room')).json()).order.customer)
    .toBe('Friends of the library')
})

test('weights are shown in ounces when the bakery weighs in ounces', async ({ page }) => {
  await page.goto('/settings')
  await page.getByRole('radiogroup', { name: 'Weights in' }).getByText('ounces').click()
  await expect(page.getByRole('link', { name: /Slate & Sorrel · ounces/ })).toBeVisible()
  await page.goto('/orders/observatory/icing')
  await expect(figure(page, 'Icing')).toHaveText(/^[\d.]+ oz$/)
  await page.goto('/settings')
  await page.getByRole('radiogroup', { name: 'Weights in' }).getByText('grams').click()
  await expect(page.getByRole('link', { name: /Slate & Sorrel · grams/ })).toBeVisible()
})

test('a colour is merged into another, and a bowl and its bags are saved', async ({ page }) => {
  await page.goto('/orders/observatory/colours')
  await expect(figure(page, 'Colours')).toHaveText('7 colours')
  const bags = grams((await figure(page, 'Bags').textContent())!.split('·')[0]!)
  await page.getByRole('button', { name: /^Likely: .* Deep dusk/ }).click()
  await page.getByRole('button', { name: 'More for Deep dusk' }).click()
  await page.getByRole('menuitem', { name: 'Dusk', exact: true }).click()
  await expect(figure(page, 'Colours')).toHaveText('6 colours')
  expect(grams((await figure(page, 'Bags').textContent())!.split('·')[0]!)).toBeLessThan(bags)
  await page.keyboard.press('Control+z')
  await expect(figure(page, 'Colours')).toHaveText('7 colours')
})
