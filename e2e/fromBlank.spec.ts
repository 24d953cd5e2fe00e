import { expect, type Page, test } from './bakery.ts'

/** Building a flower from nothing, as a person does: every click and every field filled is counted. */

class Hands {
  done = 0
  constructor(readonly page: Page) {}

  async press(name: string | RegExp, role: 'button' | 'menuitem' | 'switch' | 'tab' = 'button') {
    this.done += 1
    await this.page
      .getByRole(role, { name, exact: typeof name === 'string' })
      .first()
      .click()
  }
  async type(label: string, value: string) {
    this.done += 1
    await this.page.getByRole('textbox', { name: label, exact: true }).first().fill(value)
  }
  /** Opens a list and takes one of it: two presses. */
  async choose(label: string, option: string | RegExp) {
    this.done += 2
    await this.page.getByRole('combobox', { name: label, exact: true }).first().click()
    await this.page
      .getByRole('option', { name: option, exact: typeof option === 'string' })
      .first()
      .click()
  }
  async add(what: string) {
    await this.press('Add')
    await this.press(what, 'menuitem')
  }
}

async function begin(page: Page): Promise<Hands> {
  const hands = new Hands(page)
  // a small window: software draws the solid anew after every one of these changes
  await page.setViewportSize({ width: 1020, height: 700 })
  await page.goto('/flowers')
  await hands.press('New')
  await hands.press('A flower', 'menuitem')
  await expect(page.getByRole('heading', { name: 'New flower', exact: true })).toBeVisible()
  return hands
}

test('a primrose is built from nothing in under 60 actions, and piped', async ({ page }) => {
  const hands = await begin(page)
  await hands.press('Name and colours', 'tab')
  await hands.type('Name of the flower', 'Primrose of ours')
  await hands.type('Colour of Petals', '#f0e3a8')
  await hands.press('Add a part')
  await hands.type('Name of Part', 'Throat')
  await hands.type('Colour of Throat', '#d9a93a')
  await hands.press('Add a part')
  await hands.type('Name of Part', 'Eye')
  await hands.type('Colour of Eye', '#93a356')

  await hands.press('Layers', 'tab')
  // five hearts, each of two halves that lie close to each other
  await hands.add('lying petal')
  await hands.type('Name', 'Left halves')
  await hands.type('Strokes', '5')
  await hands.choose('Tip', /^petal 10 mm/)
  await hands.choose('The bag holds', 'a ribbon along the wide end')
  await hands.choose('Wide end', 'Throat')
  await hands.choose('The rest', 'Petals')
  await hands.type('sweep', '50')
  await hands.type('reaches out', '3.6')
  await hands.type('tilt at the start', '4')
  await hands.type('tilt at the ends', '11')
  await hands.type('turned by', '81')
  await hands.press('Duplicate')
  await hands.type('Name', 'Right halves')
  await hands.type('turned by', '99')

  await hands.add('dot')
  await hands.type('Name', 'Eye')
  await hands.choose('Colour', 'Eye')
  await hands.type('Strokes', '1')
  await hands.type('ring', '0')
  await hands.type('radius', '1.2')

  await expect(page.getByText('11 × dot')).toHaveCount(0)
  await expect(page.getByText('5 × lying petal')).toHaveCount(2)
  await expect(page.getByText(/Yes: heights, rows, foot and nail agree/)).toBeVisible()
  expect(hands.done).toBeLessThan(60)

  // kept, with every step undoable, after a reload
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Primrose of ours' })).toBeVisible()
  await expect(page.getByText('5 × lying petal')).toHaveCount(2)
  await page.getByRole('button', { name: 'Undo' }).click()
})

test('a lilac is built from nothing in under 60 actions: a stem, leaves, and florets thrown over a drop', async ({
  page,
}) => {
  const hands = await begin(page)
  await hands.press('Name and colours', 'tab')
  await hands.type('Name of the flower', 'Lilac of ours')
  await page.getByText('in place', { exact: true }).click()
  hands.done += 1
  // the florets' stars are the flower's: one colour
  await hands.type('Name of Petals', 'Star')
  await hands.type('Colour of Star', '#a793c4')
  await hands.press('Add a part')
  await hands.type('Name of Part', 'Leaves')
  await hands.type('Colour of Leaves', '#6f8a4a')

  await hands.press('Layers', 'tab')
  await hands.add('string or vine')
  await hands.type('Name', 'Stem')
  await hands.choose('Colour', 'Leaves')
  await hands.type('length', '16')
  await hands.type('ring', '0')
  await hands.type('starts at', '0')
  // the foot that it was begun with is in the way of a spray that lies
  await hands.press(/^Foot/)
  await hands.press('Remove')

  await hands.add('leaf')
  await hands.choose('Colour', 'Leaves')
  await hands.type('Strokes', '2')
  await hands.type('length', '18')
  await hands.choose('set', 'along a line')
  await hands.type('points aside', '65')

  await hands.press('Add')
  await hands.press('A floret: a whole flower…', 'menuitem')
  await hands.press('Drop-star flower', 'menuitem')
  await hands.type('Florets', '26')
  await hands.type('Each across', '7')
  await hands.choose('set', 'scattered')
  await hands.type('length', '28')
  await hands.type('width', '18')
  await hands.type('narrower', '0.8')
  await hands.type('middle at', '24')
  await hands.type('turned loosely', '45')

  await expect(page.getByText('26 × drop star')).toBeVisible()
  expect(hands.done).toBeLessThan(60)
})
