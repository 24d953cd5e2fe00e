import { expect, type Page, test } from './bakery.ts'

/** The whole order as one problem: bags searched for, chosen, pinned; and several orders on one bench. */

const figure = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Line of work' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .locator('.figure')

test('a better plan is found, taken and let go; a bag is pinned', async ({ page }) => {
  await page.goto('/orders/observatory/bags')
  await expect(figure(page, 'Bags')).toHaveText(/bags · \d+ change/)
  const before = await figure(page, 'Bags').textContent()
  await page.getByRole('link', { name: 'Better' }).click()
  await page.getByRole('button', { name: 'Search', exact: true }).click()
  const best = page.getByRole('listitem').filter({ hasText: 'Best by what you find bothersome' })
  await expect(best).toBeVisible()
  await expect(page.getByRole('img', { name: /^Plans found/ })).toBeVisible()
  // a fast machine may be done before it can be stopped
  const stop = page.getByRole('button', { name: 'Stop, keep the best' })
  if (await stop.isVisible()) await stop.click()
  await expect(page.getByRole('button', { name: 'Search again' })).toBeVisible()
  const [bags] = (await best.textContent())!.match(/\d+ bags/)!
  await best.getByRole('button', { name: 'Take it' }).click()
  await expect(figure(page, 'Bags')).toHaveText(new RegExp(`^${bags}`))
  await page.getByRole('button', { name: 'Let it go' }).click()
  await expect(figure(page, 'Bags')).toHaveText(before!)

  // a pin holds through whatever else is planned
  await page.getByRole('link', { name: 'Fill', exact: true }).click()
  await page
    .getByRole('button', { name: /petal 17 mm and \d more on a coupler|and \d more on a coupler/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'A bag for each tip' }).click()
  await expect(page.getByRole('button', { name: /^Let go: its tip stays fixed/ }).first()).toBeVisible()
  await expect(figure(page, 'Bags')).not.toHaveText(before!)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(figure(page, 'Bags')).toHaveText(before!)
})

test('orders of one day share their bowls', async ({ page }) => {
  await page.goto('/orders')
  await page.getByRole('link', { name: 'Plan a bench day' }).click()
  await expect(page.getByText('Bowls, and who gets what')).toBeVisible()
  await expect(page.getByText(/Observatory opening night\d+ g/).first()).toBeVisible()
})

test('fewer bags and tips are offered, taken and undone; the work stays in an order that can be piped', async ({
  page,
}) => {
  await page.goto('/orders/observatory/bags/fewer')
  await expect(figure(page, 'Bags')).toHaveText(/bags · \d+ change/)
  const before = await figure(page, 'Bags').textContent()
  const all = page.getByRole('button', { name: /^Take all \d+/ })
  await expect(all).toBeVisible()
  const row = page.getByRole('row', { name: /Fewest bags/ }).last()
  await row.getByRole('radio').check()
  const bags = await row.getByRole('cell').first().textContent()
  await expect(page.getByRole('img', { name: /^Scabious after/ }).first()).toBeVisible()
  await all.click()
  await expect(figure(page, 'Bags')).toHaveText(new RegExp(`^${bags} bags`))
  await page.getByRole('link', { name: 'Pipe', exact: true }).click()
  const work = page.getByRole('listitem')
  await expect(work.filter({ hasText: /Chill until the coat is firm/ }).first()).toBeVisible()
  await expect(work.filter({ hasText: /Lift and place \d+ × hellebore/ }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(figure(page, 'Bags')).toHaveText(before!)
})

test('what must not be in it is looked for, ingredient by ingredient', async ({ page }) => {
  await page.goto('/orders/observatory/brief')
  await page.getByRole('checkbox', { name: 'nuts' }).check()
  const nuts = page.getByRole('region', { name: 'Without nuts' })
  await expect(nuts).toContainText("in none of the icing's ingredients")
  await expect(nuts).toContainText(/Butter, unsalted.*Not known: the labels of the dyes/)
  await page.getByRole('checkbox', { name: 'milk' }).check()
  await expect(page.getByRole('region', { name: 'Without milk' })).toContainText('it is in the icing')
  await page.getByRole('checkbox', { name: 'milk' }).uncheck()
  await page.getByRole('checkbox', { name: 'nuts' }).uncheck()
  await expect(nuts).toBeHidden()
})

test('a flower gets loose stamens and batches of squares for this order only, and loses them again', async ({
  page,
}) => {
  await page.goto('/orders/observatory/pieces?piece=cup-scabious')
  await expect(figure(page, 'Icing')).toHaveText(/ g$/)
  const before = await figure(page, 'Icing').textContent()
  await page.getByRole('button', { name: 'More for Scabious on Scabious and thrift cupcakes' }).click()
  await page.getByText('Otherwise for this order').click()
  const own = page.getByRole('dialog')
  await own.getByRole('button', { name: 'Loose stamens' }).click()
  await expect(own.getByLabel('How many')).toHaveValue('9')
  await own.getByLabel('How many').fill('900')
  await expect(own.getByText('At most 400 strokes.')).toBeVisible()
  await own.getByLabel('How many').fill('40')
  await own.getByLabel(/Squares at a time/).fill('1')
  await expect(own.getByText('At least two squares at a time.')).toBeVisible()
  await own.getByLabel(/Squares at a time/).fill('6')
  await own.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('on a nail, with loose stamens, 6 squares at a time')).toBeVisible()
  await page.goto('/orders/observatory/bags/pipe')
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: /Scabious .*× 6 on nails/ })
      .first(),
  ).toBeVisible()
  await page.goto('/orders/observatory/pieces?piece=cup-scabious')
  await page.getByRole('button', { name: 'More for Scabious on Scabious and thrift cupcakes' }).click()
  await page.getByText('Otherwise for this order').click()
  await own.getByRole('button', { name: 'As the recipe says' }).click()
  await own.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('6 squares at a time')).toBeHidden()
  await expect(figure(page, 'Icing')).toHaveText(before!)
})

test('an hour that could be saved is a decision, in the strip too, until somebody leaves it', async ({
  page,
}) => {
  await page.goto('/orders/observatory/advice')
  const line = page.getByRole('navigation', { name: 'Line of work' })
  const figure = line.getByRole('link', { name: /^Advice/ }).locator('.figure')
  const saving = page.getByText(/fewer in hand, if layers are piped through openings/)
  await expect(saving).toBeVisible()
  await expect(figure).toHaveText('1 to decide')
  await expect(line.getByRole('link', { name: /^Bags/ })).toContainText('decide')
  await page.getByRole('listitem').filter({ has: saving }).getByRole('button', { name: 'Leave it' }).click()
  await expect(figure).toHaveText('none to decide')
  await expect(page.getByRole('heading', { name: 'Left as it is' })).toBeVisible()
  await expect(line.getByRole('link', { name: /^Bags/ })).not.toContainText('decide')
  await page.getByRole('button', { name: 'Say it again' }).click()
  await expect(figure).toHaveText('1 to decide')
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(saving).toBeVisible()
})
