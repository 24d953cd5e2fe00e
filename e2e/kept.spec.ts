import { expect, type Page, test } from './bakery.ts'

/** Nothing that a person does is lost: typed slowly or quickly, in two places, deleted, reloaded, restored. */

const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
const order = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/orders/${id}`)).json()).order

test('changes in the studio are all kept while the first is still on its way, and can be undone after a reload', async ({
  page,
}) => {
  await page.setViewportSize({ width: 900, height: 700 })
  const copy = await (await page.request.post('/api/flowers/daisy/copy')).json()
  // a slow line: the second change is made while the first is being saved and the workshop read again
  await page.route('**/api/flowers/**', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 900))
    await route.continue()
  })
  await page.goto(`/flowers/${copy.id}?part=colours`)
  const name = page.getByLabel('Name of the flower')
  const part = (called: string) => page.getByRole('tab', { name: called }).click()
  await name.fill('Slow daisy')
  await part('Layers')
  await page.waitForTimeout(700)
  await page.getByRole('button', { name: /^Outer petals/ }).click()
  await page.getByLabel('Strokes', { exact: true }).fill('9')
  await page.waitForTimeout(600)
  await part('Name and colours')
  await name.fill('Slow daisy of ours')
  const stored = async () => {
    const { workshop } = await (await page.request.get('/api/workshop')).json()
    const flower = workshop.flowers.find((f: { id: string }) => f.id === copy.id)
    return [flower.name, flower.layers[0].count]
  }
  await expect.poll(stored).toEqual(['Slow daisy of ours', 9])
  await expect(page.getByText('Changed elsewhere')).toBeHidden()
  await page.reload()
  await expect(name).toHaveValue('Slow daisy of ours')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(name).toHaveValue('Slow daisy')
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(name).toHaveValue(copy.name)
})

test('a colour is typed letter by letter, and its name quickly after it; both stay, also after a reload and undo', async ({
  page,
}) => {
  await page.goto('/orders/observatory/colours')
  await page.getByRole('button', { name: /^Likely: .* Brass/ }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Brass')
  const hex = page.getByLabel('Colour wanted', { exact: true })
  const before = await hex.inputValue()
  await hex.clear()
  await expect(hex).toHaveValue('')
  await hex.pressSequentially('#a0702f', { delay: 60 })
  await expect(hex).toHaveValue('#a0702f')
  await page.getByLabel('Name', { exact: true }).fill('Old brass')
  await saved(page)
  const brass = async () =>
    (await order(page, 'observatory')).colours.find((c: { id: string }) => c.id === 'brass')
  expect(await brass()).toMatchObject({ name: 'Old brass', hex: '#a0702f' })
  await page.reload()
  await page.getByRole('button', { name: /^Likely: .* Old brass/ }).click()
  await expect(hex).toHaveValue('#a0702f')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Brass')
  await hex.fill('nonsense')
  await hex.blur()
  await expect(page.getByText('Use a colour like #a8510f.')).toBeVisible()
  await hex.fill(before)
  await saved(page)
  expect(await brass()).toMatchObject({ name: 'Brass', hex: before })
})

test('numbers are taken with a decimal comma, slowly typed, pasted and emptied', async ({ page }) => {
  await page.goto('/orders/observatory/pieces')
  const size = page.getByLabel('Size of Hellebore').first()
  await size.clear()
  await expect(page.getByText('Type a number.')).toBeVisible()
  await size.pressSequentially('44,5', { delay: 80 })
  await expect(size).toHaveValue('44,5')
  await size.blur()
  await expect(size).toHaveValue('44.5')
  await saved(page)
  await size.fill('1,200')
  await expect(page.getByText('Is this 1.2 or 1200?')).toBeVisible()
  await size.fill('46')
  await saved(page)
})

test('two people: both see what differs, both changes are kept, and where they clash one is asked', async ({
  page,
  request,
}) => {
  await page.goto('/orders/allotment/brief')
  const title = page.getByLabel('What it is for')
  await expect(title).toHaveValue('Allotment prize-giving')
  const theirs = async (part: object) => {
    const seen = await (await request.get('/api/orders/allotment')).json()
    await request.put('/api/orders/allotment', {
      headers: { 'If-Match': `"${seen.version}"` },
      data: { ...seen.order, ...part },
    })
  }
  await theirs({ customer: 'Somebody else' })
  await title.fill('Prize-giving in the hall')
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('Somebody else has changed this order too')
  await expect(dialog).toContainText('What it is forAllotment prize-giving → Prize-giving in the hall')
  await expect(dialog).toContainText('Who it is for')
  await dialog.getByRole('button', { name: 'Keep both' }).click()
  await expect(page.getByLabel('Who it is for')).toHaveValue('Somebody else')
  await expect(title).toHaveValue('Prize-giving in the hall')
  await saved(page)

  await theirs({ title: 'Prize-giving in the barn' })
  await title.fill('Prize-giving in the yard')
  await expect(dialog.getByRole('button', { name: 'Choose 1 more' })).toBeDisabled()
  await dialog.getByText('Theirs: Prize-giving in the barn').click()
  await dialog.getByRole('button', { name: 'Keep both' }).click()
  await expect(title).toHaveValue('Prize-giving in the barn')
  // choosing theirs threw nothing away
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(title).toHaveValue('Prize-giving in the yard')
  await title.fill('Allotment prize-giving')
  await page.getByLabel('Who it is for').fill('Allotment society')
  await saved(page)
})

test('what was deleted is found again, brought back, or deleted for good after one question', async ({
  page,
}) => {
  await page.goto('/orders')
  await page.getByRole('button', { name: 'More for Reading-room tea' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(page.getByRole('link', { name: 'Reading-room tea' })).toBeHidden()
  // the short message is gone; the order is not
  await page.reload()
  await page.getByRole('link', { name: 'Deleted', exact: true }).click()
  await page.getByRole('button', { name: 'Bring Reading-room tea back' }).click()
  await expect(page.getByText('“Reading-room tea” is back.')).toBeVisible()
  await page.goto('/orders')
  await expect(page.getByRole('link', { name: 'Reading-room tea' })).toBeVisible()

  await page.request.post('/api/orders', { data: { title: 'A mistake', collectAt: '2031-01-01T10:00' } })
  await page.reload()
  await page.getByRole('button', { name: 'More for A mistake' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('link', { name: 'A mistake' })).toBeVisible()
  await page.getByRole('button', { name: 'More for A mistake' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(page.getByRole('link', { name: 'A mistake' })).toBeHidden()
  await page.goto('/deleted')
  await page.getByRole('button', { name: 'Delete A mistake for good' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Delete for good' }).click()
  await expect(page.getByText('A mistake')).toBeHidden()
})

test('the whole bakery is saved, changed, looked at beside the file, and restored', async ({ page }) => {
  await page.goto('/settings')
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save a backup' }).click()
  const file = await (await download).path()
  expect((await download).suggestedFilename()).toMatch(/^slate-sorrel-.*\.kanten-backup\.json\.gz$/)
  await page.request.post('/api/orders', {
    data: { title: 'After the backup', collectAt: '2031-01-01T10:00' },
  })
  await page.getByLabel('Backup file').setInputFiles(file)
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('Would be lost')
  await expect(dialog).toContainText('order “After the backup”')
  await dialog.getByRole('button', { name: 'Restore', exact: true }).click()
  await expect(page.getByText('The backup is restored.')).toBeVisible()
  await page.goto('/orders')
  await expect(page.getByRole('link', { name: 'Observatory opening night' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'After the backup' })).toBeHidden()
})

test('an order file with another recipe under a known id does not swap it silently', async ({ page }) => {
  const copy = await (await page.request.post('/api/flowers/rose/copy')).json()
  const file = await (await page.request.get('/api/orders/allotment/file')).json()
  file.order.pieces[0].flowers[0] = {
    ...file.order.pieces[0].flowers[0],
    flowerId: copy.id,
    colours: {},
    tips: {},
  }
  file.order.title = 'From another bakery'
  file.flowers = [{ ...copy, name: 'Their rose', layers: copy.layers.slice(0, 3) }]
  await page.goto('/orders')
  await page.getByLabel('Order file').setInputFiles({
    name: 'theirs.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
  await expect(page.getByRole('alert').filter({ hasText: 'Taken in, with a difference' })).toContainText(
    '“Their rose” in the file is another recipe',
  )
  await page.getByRole('button', { name: 'Understood' }).click()
  await page.goto('/flowers')
  await page.getByRole('radiogroup', { name: 'Kind' }).getByText('Our own').click()
  await expect(page.getByRole('link', { name: 'Their rose (from the file)' })).toBeVisible()
  await expect(page.getByRole('link', { name: copy.name }).first()).toBeVisible()
})

test.describe('where the clocks change', () => {
  test.use({ stranger: true, timezoneId: 'Europe/Berlin', locale: 'de-DE' })
  test('a time that they skip is told at entry, with the one to take', async ({ page }) => {
    const made = await (
      await page.request.post('/api/orders', { data: { title: 'Early one', collectAt: '2031-03-30T04:30' } })
    ).json()
    await page.goto(`/orders/${made.order.id}/brief`)
    await page.getByLabel('Ready by, hours').click()
    await page.keyboard.type('02', { delay: 80 })
    await expect(
      page.getByText(/The clocks go forward on Sunday 30 March 2031: 02:30 does not come. Take 03:30./),
    ).toBeVisible()
    expect((await order(page, made.order.id)).collectAt).not.toBe('2031-03-30T02:30')
    await page.request.delete(`/api/orders/${made.order.id}`)
  })
})
