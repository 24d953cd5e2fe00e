import { expect, test } from './bakery.ts'

/** What a bakery owns: openings at true size, bottles by their dabs, a pantry that shortens the shopping list. */

test('the screen is measured once with a card, and openings are drawn at true size', async ({ page }) => {
  await page.goto('/drawer')
  await page.getByRole('radiogroup', { name: 'Size of the drawings' }).getByText('true size').click()
  const dialog = page.getByRole('dialog')
  const card = dialog.getByRole('img', { name: 'Rectangle the size of a bank card' })
  const before = (await card.boundingBox())!.width
  await dialog.getByRole('slider').press('End')
  expect((await card.boundingBox())!.width).toBeGreaterThan(before * 1.5)
  await dialog.getByRole('button', { name: 'It is as large as my card' }).click()
  await expect(page.getByRole('button', { name: 'Measure the screen again' })).toBeVisible()
  await page.reload()
  await page.getByRole('radiogroup', { name: 'Size of the drawings' }).getByText('true size').click()
  // measured once: it is not asked again
  await expect(page.getByRole('button', { name: 'Measure the screen again' })).toBeVisible()
})

test('a bottle of our own is dabbed in icing and becomes known', async ({ page }) => {
  await page.goto('/drawer?shelf=dyes')
  await page.getByRole('button', { name: 'Add a bottle of our own' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What you call it').fill('Bramble')
  await dialog.getByLabel('Nearest hue').click()
  await page.getByRole('option', { name: 'Burgundy' }).click()
  await dialog.getByRole('button', { name: 'Add it' }).click()
  const bottle = page.getByRole('listitem').filter({ hasText: 'Bramble' })
  await expect(bottle).toContainText('known only by its hue')
  await bottle.getByRole('button', { name: 'Dab it' }).click()
  await bottle.getByLabel('How it looks').fill('#d9a6bd')
  await bottle.getByLabel('How it looks').press('Tab')
  await bottle.getByRole('button', { name: 'Keep the dab' }).click()
  await expect(bottle).toContainText('known by one dab')
  await expect(bottle).toContainText('The fit misses your dabs by')
  await bottle.getByRole('button', { name: 'Delete the bottle' }).click()
  await expect(bottle).toHaveCount(0)
})

test('what is in the pantry need not be bought', async ({ page }) => {
  const sugar = async () => {
    await page.goto('/orders/observatory/icing')
    await page.getByRole('tab', { name: 'On hand and to buy' }).click()
    return page.getByRole('row').filter({ hasText: 'Icing sugar' })
  }
  const stock = async (grams: string) => {
    await page.goto('/drawer?shelf=pantry')
    const saved = page.waitForResponse((r) => r.url().endsWith('/api/settings') && r.ok())
    await page.getByLabel('Icing sugar').fill(grams)
    await saved
  }
  await expect(await sugar()).toContainText('enough')
  await stock('200')
  await expect(await sugar()).toContainText('short')
  await stock('3000')
  await expect(await sugar()).toContainText('enough')
})
