import { expect, test } from './bakery.ts'

test('anything is gone to by a key: by part, by stroke, misspelt; and the keys say themselves', async ({
  page,
}) => {
  await page.goto('/orders')
  await expect(page.getByRole('heading', { name: 'Orders', exact: true })).toBeVisible()
  await page.keyboard.press('Control+k')
  const find = page.getByRole('searchbox', { name: 'Find' }).or(page.getByRole('textbox', { name: 'Find' }))
  await find.fill('helebore')
  await expect(page.getByRole('button', { name: /^Hellebore / }).first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/flowers\/hellebore$/)

  // by what it has, from wherever one is
  await page.getByRole('button', { name: /^Find/ }).click()
  await find.fill('rufle lifted')
  await expect(page.getByText('Flowers', { exact: true }).last()).toBeVisible()
  await find.fill('observatry')
  await page.getByRole('button', { name: /^Observatory opening night/ }).click()
  await expect(page).toHaveURL(/\/orders\/observatory\/brief$/)
  await page.keyboard.press('Control+k')
  await find.fill('xylophone')
  await expect(page.getByText('Nothing is called “xylophone”, and nothing has it.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(find).toBeHidden()

  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('Shift+?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('find an order, a flower, a tip')
})
