import { expect, type Page, test } from './bakery.ts'

/** The fastest way in: an order as it is written on the pad. */

const figure = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Line of work' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .locator('.figure')

test('an order is made of a line, its guess changed on the chip, a second line added, and all of it undone', async ({
  page,
}) => {
  await page.goto('/orders')
  const box = page.getByRole('textbox', { name: 'A new order in words' })
  const understood = page.getByRole('list', { name: 'What was understood' })
  // the acts of a new user's whole order, from an empty box to bags
  let acts = 0
  const act = async (done: Promise<unknown>) => {
    acts += 1
    await done
  }
  await act(
    box.pressSequentially(
      '30 cupcakes: 12 big pink rose, 12 ranunculs with leaves, 6 rosette with stamens; cake 20 and 13 cm, fall of rosettes and blossoms, bead border; 10 poppy cookies for Mrs Plum; no nuts; blush, deep pink, moss, ivory',
    ),
  )
  await expect(understood.getByRole('button', { name: /^12 pieces with Ranunculus guessed/ })).toBeVisible()
  await expect(understood.getByRole('button', { name: /not understood: “for Mrs Plum”/ })).toBeVisible()
  await act(understood.getByRole('button', { name: /^12 pieces with Classic rose/ }).click())
  await act(page.getByRole('menuitem', { name: 'Quartered old rose' }).click())
  await expect(understood.getByRole('button', { name: /^12 pieces with Quartered old rose/ })).toBeVisible()
  await act(box.press('Enter'))
  await expect(page.getByRole('heading', { name: '30 cupcakes, 1 cake, 10 cookies' })).toBeVisible()
  await expect(figure(page, 'Pieces')).toHaveText('41 pieces')
  await act(page.getByRole('link', { name: /^Bags/ }).click())
  await expect(figure(page, 'Bags')).toHaveText(/\d+ bags · \d+ change/)
  await expect(page.getByRole('heading', { name: 'Fill these, in this order' })).toBeVisible()
  expect(acts).toBeLessThanOrEqual(25)

  await page.getByRole('link', { name: /^Pieces/ }).click()
  await page.getByRole('button', { name: 'Add a piece' }).click()
  await page.getByRole('menuitem', { name: 'In words…' }).click()
  await page.getByRole('textbox', { name: 'Add in words' }).fill('6 cookies with daisies')
  await page.getByRole('textbox', { name: 'Add in words' }).press('Enter')
  await expect(figure(page, 'Pieces')).toHaveText('47 pieces')
  await expect(page.getByRole('region', { name: 'Daisy cookies' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(figure(page, 'Pieces')).toHaveText('41 pieces')
})

test('an order that was made of a line is undone where that is said', async ({ page }) => {
  await page.goto('/orders')
  const box = page.getByRole('textbox', { name: 'A new order in words' })
  await box.fill('roses')
  // a flower without a piece is no order yet
  await expect(page.getByRole('button', { name: 'Make it' })).toBeDisabled()
  await box.fill('12 rose cupcakes')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByRole('heading', { name: '12 cupcakes' })).toBeVisible()
  await page.getByRole('alert').getByRole('button', { name: 'Undo' }).click()
  await expect(page).toHaveURL(/\/orders$/)
  await expect(page.getByRole('link', { name: /^12 cupcakes/ })).toHaveCount(0)
})
