import { readFileSync } from 'node:fs'
import { expect, test } from './bakery.ts'

/** Making a flower one's own: checks that follow, loads of several colours, files in and out. */

test('a flower of our own is changed, warned of, mended and undone', async ({ page }) => {
  await page.goto('/flowers/rose')
  await page.getByRole('button', { name: 'Copy to change it' }).click()
  await expect(page.getByRole('heading', { name: 'Classic rose (ours)' })).toBeVisible()
  await expect(page.getByText('Yes: heights, rows, foot and nail agree')).toBeVisible()

  // two petals do not close a row of eight: the check says so, and its button mends it
  await page
    .getByRole('button', { name: /^Row of 8/ })
    .first()
    .click()
  await page.getByLabel('Strokes').fill('2')
  await expect(page.getByText(/leave gaps in “Row of 8”/)).toBeVisible()
  await page
    .getByRole('button', { name: /^Pipe \d+$/ })
    .first()
    .click()
  await expect(page.getByText(/leave gaps in “Row of 8”/)).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/leave gaps in “Row of 8”/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Yes: heights, rows, foot and nail agree')).toBeVisible()

  // two halves in one bag: both colours are named, and the tip can be turned round
  await page.getByRole('combobox', { name: 'The bag holds' }).click()
  await page.getByRole('option', { name: 'two halves' }).click()
  await expect(page.getByRole('combobox', { name: 'Inside' })).toHaveValue('Heart')
  await page.getByRole('button', { name: 'Turn the tip round' }).click()
  await expect(page.getByRole('combobox', { name: 'Inside' })).toHaveValue('Petals')
})

test('a flower goes out as a file, comes back as our own, and a broken one is refused with its field', async ({
  page,
}) => {
  await page.goto('/flowers/hellebore')
  await page.getByRole('button', { name: 'Save as…' }).click()
  const saving = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: 'Recipe (JSON)' }).click()
  const path = await (await saving).path()
  const file = JSON.parse(readFileSync(path, 'utf8'))
  expect(file).toMatchObject({ format: 'kanten-flower', flower: { name: 'Hellebore' } })

  const asFile = (data: object) => ({
    name: 'hellebore.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(data)),
  })
  await page.goto('/flowers')
  const broken = structuredClone(file)
  broken.flower.layers[0].count = 0
  await page.getByLabel('Flower file').setInputFiles(asFile(broken))
  await expect(page.getByText('At least one stroke.')).toBeVisible()
  await page.keyboard.press('Escape')

  file.flower.name = 'Hellebore from a friend'
  await page.getByLabel('Flower file').setInputFiles(asFile(file))
  await expect(page.getByRole('heading', { name: 'Hellebore from a friend' })).toBeVisible()
  await page.goto('/flowers')
  await page.getByRole('radiogroup', { name: 'Kind' }).getByText('Our own').click()
  await expect(page.getByRole('link', { name: /Hellebore from a friend/ })).toBeVisible()
})
