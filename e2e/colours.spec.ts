import { expect, type Page, test } from './bakery.ts'

/** From a wish to drops in a bowl, and back when it came out otherwise. */

const grams = (text: string | null) => Number((text ?? '').replace(/[^0-9.]/g, ''))
const icing = (page: Page) =>
  page
    .getByRole('navigation', { name: 'Line of work' })
    .getByRole('link', { name: /^Icing/ })
    .locator('.figure')

test('a wish becomes drops; a bowl that came out darker is mended, and its bottles learn', async ({
  page,
}) => {
  await page.goto('/orders/observatory/colours?colour=dusk')
  const doses = page.getByRole('region', { name: 'The opened colour' }).getByRole('listitem')
  await expect(doses.filter({ hasText: /drops.*Violet/ }).first()).toBeVisible()
  await expect(page.getByText('The bottles are known only by its hue')).toBeVisible()

  // another wish is another formula, and undo brings the first one back
  await page.getByLabel('Colour wanted').fill('#e8a0b4')
  await expect(doses.filter({ hasText: /drops?.*Pink/ }).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(doses.filter({ hasText: /drops.*Violet/ }).first()).toBeVisible()

  await page.getByRole('button', { name: 'It came out like this…' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Colour you see').fill('#8a80b0')
  await dialog.getByLabel('Colour you see').press('Tab')
  await expect(dialog.getByText(/Stir in \d+ g of plain icing|Take \d+ g out|Leave it/).first()).toBeVisible()
  await dialog.getByRole('button', { name: 'Keep it, so the bottles learn' }).click()
  await expect(page.getByText('The bottles are known from mixing')).toBeVisible()
  await page.goto('/drawer?shelf=dyes')
  await expect(page.getByRole('listitem').filter({ hasText: 'Violet' })).toContainText(
    'known from mixing: 1 bowl',
  )
})

test('one bowl through all colours mixes less icing, and the bowl says what to do', async ({ page }) => {
  await page.goto('/orders/observatory/icing?half=ways')
  await expect(icing(page)).toHaveText(/ g$/)
  const before = grams(await icing(page).textContent())
  const carried = page.getByRole('region', { name: 'One bowl, carried over' })
  await carried.getByRole('button', { name: 'Mix like this' }).click()
  await expect.poll(async () => grams(await icing(page).textContent())).toBeLessThan(before - 100)
  await expect(page.getByRole('heading', { name: 'One bowl, step by step' })).toBeVisible()
  await page.getByRole('link', { name: 'Show them at the bowl' }).click()
  await expect(page.getByText('Bowl 1 of 7')).toBeVisible()
  await page.getByRole('button', { name: /^Next:/ }).click()
  await expect(page.getByText(/Scrape what is left into the bowl/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => grams(await icing(page).textContent())).toBe(before)
})

test('a palette comes from a file, and a broken one is refused whole', async ({ page }) => {
  await page.goto('/orders/allotment/colours')
  const cards = page.getByRole('button', { name: /^Likely:|not used yet|working it out/ })
  await expect(cards.first()).toBeVisible()
  const count = await cards.count()
  const file = (text: string) => ({ name: 'dusk.gpl', mimeType: 'text/plain', buffer: Buffer.from(text) })
  await page.getByRole('link', { name: 'Change the palette' }).click()
  await page.getByLabel('Palette file').setInputFiles(file('GIMP Palette\n1 2 3 fine\n300 0 0 broken\n'))
  await expect(page.getByText(/Line 3 is not three numbers/)).toBeVisible()
  await page.getByRole('link', { name: 'Mix', exact: true }).click()
  await expect(cards).toHaveCount(count)
  await page.getByRole('link', { name: 'Change the palette' }).click()
  await page.getByLabel('Palette file').setInputFiles(file('GIMP Palette\n120 60 90 Sloe\n'))
  await page.getByRole('link', { name: 'Mix', exact: true }).click()
  await expect(page.getByRole('button', { name: /Sloe/ })).toBeVisible()
})
