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

test('a solid and a picture leave the house: glTF that names itself, a PNG of the size asked for', async ({
  page,
}) => {
  const saved = async (act: () => Promise<void>) => {
    const saving = page.waitForEvent('download')
    await act()
    const download = await saving
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) }
  }
  await page.goto('/flowers/blossom')
  await expect(page.getByRole('img', { name: /as a solid/ })).toBeVisible()
  const save = page.getByRole('button', { name: 'Save as…' })

  const solid = await saved(async () => {
    await save.click()
    await page.getByRole('menuitem', { name: 'Solid (glTF)' }).click()
  })
  expect(solid.name).toMatch(/\.glb$/)
  expect(solid.bytes.subarray(0, 4).toString()).toBe('glTF')
  expect(solid.bytes.readUInt32LE(8)).toBe(solid.bytes.length)

  await save.click()
  await page.getByRole('menuitem', { name: 'Picture (PNG)…' }).click()
  await page.getByLabel('Width in pixels').fill('5000')
  await expect(page.getByText('At most 4096 pixels.')).toBeVisible()
  await page.getByLabel('Width in pixels').fill('900')
  await page.getByRole('switch', { name: 'Square' }).click()
  const picture = await saved(() => page.getByRole('button', { name: 'Save the picture' }).click())
  // width and height stand in the first chunk of a PNG
  expect([picture.bytes.readUInt32BE(16), picture.bytes.readUInt32BE(20)]).toEqual([900, 900])
})

test('layers are muted, dragged and compared with what was kept; orders still pipe them all', async ({
  page,
}) => {
  await page.goto('/flowers/hellebore')
  await page.getByRole('button', { name: 'Copy to change it' }).click()
  await expect(page.getByRole('heading', { name: 'Hellebore (ours)' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Petals.* 5 × lying petal/ })).toBeVisible()

  await page.getByRole('button', { name: 'Mute Petals' }).click()
  await expect(page.getByText('1 step left out of the picture and the figures')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect(page.getByText(/left out of the picture/)).toBeHidden()

  // the second layer is carried below the third by its grip
  const order = () =>
    page
      .getByRole('button', { name: /^Move / })
      .evaluateAll((all) => all.map((b) => b.getAttribute('aria-label')))
  const [first, second, third, ...others] = await order()
  const middleOf = async (name: string) => {
    const box = (await page.getByRole('button', { name, exact: true }).boundingBox())!
    return [box.x + box.width / 2, box.y + box.height / 2] as const
  }
  const [x, y] = await middleOf(second!)
  const [, below] = await middleOf(third!)
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x, below + 4, { steps: 12 })
  await page.mouse.up()
  await expect.poll(order).toEqual([first, third, second, ...others])

  await expect(page.getByText(/^(was|as it was)/).first()).toBeVisible()
  await page.getByRole('switch', { name: 'as it was' }).click()
  await page.getByRole('button', { name: 'Keep this' }).click()
  await expect(page.getByRole('button', { name: 'Keep this' })).toBeHidden()
})

test('a petal is notched with a toothpick and painted on the next day; the plan says when', async ({
  page,
}) => {
  await page.goto('/flowers/hellebore')
  await page.getByRole('button', { name: 'Copy to change it' }).click()
  await expect(page.getByRole('heading', { name: 'Hellebore (ours)' })).toBeVisible()
  const addStep = async (what: string) => {
    await page.getByRole('button', { name: 'Add', exact: true }).first().click()
    await page.getByRole('menuitem', { name: /^A tool step/ }).click()
    await page.getByRole('menuitem', { name: what, exact: true }).click()
  }
  await page.getByRole('button', { name: /^Petals.* 5 × lying petal/ }).click()
  await addStep('Notch the edge')
  await expect(
    page.getByRole('button', { name: /^Notch the edge.*toothpick, while it is fresh/ }),
  ).toBeVisible()
  await addStep('Paint dots on')
  await page.getByLabel('Seconds a stroke').fill('6,5')
  await page.getByLabel('Seconds a stroke').blur()
  // five petals at six and a half
  await expect(page.getByText('5 strokes: 33 s a flower.')).toBeVisible()
  await page.reload()
  await expect(
    page.getByRole('button', { name: /^Paint dots on.*33 s.*fine paint brush, when dry/ }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /^Paint dots on.*15 s/ })).toBeVisible()
})

test('pictures are quick where a device asks for that, and fine where it does not', async ({ page }) => {
  await page.goto('/flowers')
  await expect(page.getByRole('link', { name: /Classic rose/ }).first()).toBeVisible()
  await expect(page.locator('img[src^="blob:"]')).toHaveCount(0)
  await page.goto('/settings')
  await page.getByRole('radiogroup', { name: 'Pictures on this device' }).getByText('fine').click()
  await page.goto('/flowers')
  await expect(page.locator('img[src^="blob:"]').first()).toBeVisible()
})
