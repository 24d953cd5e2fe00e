import { expect, test } from './bakery.ts'

test('an order is written down by hand, corrected, found, and what it was before brought back', async ({
  page,
  bakery,
}) => {
  await page.goto(`${bakery}/logbook`)
  await page.getByRole('button', { name: 'Write by hand…' }).click()
  await page.getByRole('menuitem', { name: 'Reading-room tea' }).click()
  await expect(page.getByRole('heading', { name: 'Reading-room tea', level: 1 })).toBeVisible()

  const left = page.getByLabel(/^Left of /).first()
  await left.fill('-3')
  await expect(page.getByText('At least 0 g.')).toBeVisible()
  await left.fill('12,5')
  await page.getByRole('button', { name: 'was enough' }).first().click()
  await page.getByLabel('Hands').fill('72')
  await page.getByLabel('A word about it').fill('The room was warm.')
  await expect(page.getByText('1 h 10', { exact: true })).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible()

  await page.getByRole('link', { name: 'Flowers', exact: true }).last().click()
  await page
    .getByLabel(/^Spoiled: /)
    .first()
    .fill('2')
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible()
  await page.reload()
  await expect(page.getByLabel(/^Spoiled: /).first()).toHaveValue('2')

  await page.getByRole('link', { name: 'Logbook' }).click()
  const search = page.getByLabel('Look for')
  await search.fill('warm room')
  await expect(page.getByRole('link', { name: 'Reading-room tea' })).toBeVisible()
  await search.fill('cold')
  await expect(page.getByText('Nothing is found')).toBeVisible()
  await search.fill('')
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Files…' }).click()
  await page.getByRole('menuitem', { name: 'Save as CSV' }).click()
  expect((await saving).suggestedFilename()).toBe('logbook.csv')

  // what was planned is still there, and stands again with one press
  await page.getByRole('link', { name: 'Reading-room tea' }).click()
  await page.getByRole('link', { name: 'Before' }).click()
  await page.getByRole('button', { name: 'Bring this back' }).click()
  await expect(page.getByText('The room was warm.')).toBeHidden()
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('A word about it')).toHaveValue('The room was warm.')
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('Nothing is written yet')).toBeVisible()
})
