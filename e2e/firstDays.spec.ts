import { expect, OwnServer, test } from './bakery.ts'

/** From an empty bakery to a first plan, as somebody new does it: every press and every field is counted. */

const PORT = 4441
const MOST_ACTS = 25

test('an empty bakery leads to a first plan, can be left on the way, and leads no more', async ({
  browser,
}) => {
  const server = new OwnServer(PORT, false)
  await server.start()
  const page = await browser.newPage({ baseURL: server.url, viewport: { width: 1280, height: 800 } })
  let acts = 0
  const act = async (done: Promise<unknown>) => {
    acts += 1
    await done
  }
  await page.goto('/')
  await act(page.getByRole('region', { name: 'First days' }).getByRole('link', { name: 'Begin' }).click())
  await act(page.getByLabel('Name').fill('Quince & Rye'))
  await act(page.getByText('ounces').click())
  await act(page.getByRole('button', { name: 'Next: your tips' }).click())
  await act(page.getByRole('button', { name: /^Roses and their leaves/ }).click())
  await expect(page.getByText(/^with these you can pipe \d+ of \d+ library flowers/)).toBeVisible()
  // one more of our own beside the set
  await act(page.getByRole('button', { name: 'round 4 mm, none' }).click())
  await expect(page.getByRole('button', { name: 'round 4 mm, 1 owned' })).toBeVisible()

  // left here, and taken up from here
  await page.waitForTimeout(900)
  await page.goto('/orders')
  await act(page.getByRole('link', { name: 'Go on' }).click())
  await expect(page.getByRole('heading', { name: 'Which tips do you own?' })).toBeVisible()
  await act(page.getByRole('button', { name: 'Next: a first order' }).click())
  await act(page.getByRole('button', { name: 'Begin with a dozen cupcakes' }).click())
  await expect(page.getByRole('heading', { name: '12 cupcakes' })).toBeVisible()
  const line = page.getByRole('navigation', { name: 'Line of work' })
  await expect(line.getByRole('link', { name: /^Icing/ }).locator('.figure')).toHaveText(/ oz$/)
  await expect(line.getByRole('link', { name: /^Bags/ }).locator('.figure')).toHaveText(
    /^\d+ bags? · \d+ change/,
  )
  expect(acts).toBeLessThanOrEqual(MOST_ACTS)

  await page.waitForTimeout(900)
  await page.goto('/orders')
  await expect(page.getByRole('link', { name: /^12 cupcakes/ })).toBeVisible()
  await expect(page.getByRole('region', { name: 'First days' })).toHaveCount(0)
  await page.close()
  await server.end()
})

test('an order is begun as another one was, under a name and for a day of its own', async ({
  page,
  request,
}) => {
  await page.goto('/orders')
  await page.getByRole('button', { name: 'New order' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What is it for?').fill('Reading-room tea, once more')
  await dialog.getByRole('combobox', { name: 'The same as' }).click()
  await page.getByRole('option', { name: /^Reading-room tea/ }).click()
  await dialog.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('heading', { name: 'Reading-room tea, once more' })).toBeVisible()
  await expect(
    page
      .getByRole('navigation', { name: 'Line of work' })
      .getByRole('link', { name: /^Pieces/ })
      .locator('.figure'),
  ).toHaveText('12 pieces')
  await request.delete(`/api/orders/${page.url().split('/')[4]}`)
})
