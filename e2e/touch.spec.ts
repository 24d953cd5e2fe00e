import { expect, type Page, test } from './bakery.ts'

/** Four jobs of a day by touch alone, at a desk's size and on a tablet either way up: nothing is hovered, nothing is too small. */

test.use({ stranger: true, hasTouch: true })

const figure = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Line of work' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .locator('.figure')

for (const size of [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 820, height: 1180 },
])
  test.describe(`by touch at ${size.width} x ${size.height}`, () => {
    test.use({ viewport: size })

    test('a new order comes to its bags', async ({ page, request }) => {
      await page.goto('/orders')
      await page.getByRole('button', { name: 'New order' }).tap()
      await page.getByLabel('What is it for?').fill('Touched')
      await page.getByRole('button', { name: 'Begin', exact: true }).tap()
      await page.getByRole('button', { name: 'Add a piece' }).tap()
      await page.getByRole('menuitem', { name: 'Cupcakes', exact: true }).tap()
      await page.getByRole('button', { name: 'One more' }).tap()
      await expect(figure(page, 'Pieces')).toHaveText('13 pieces')
      await page.getByRole('button', { name: 'Add a flower' }).tap()
      await page.getByRole('button', { name: 'Add Hellebore', exact: true }).tap()
      await page.getByRole('button', { name: 'Done' }).tap()
      await page.getByRole('link', { name: /^Bags/ }).tap()
      await expect(figure(page, 'Bags')).toHaveText(/\d+ bags · \d+ change/)
      await page.getByRole('listitem').getByRole('button').nth(1).tap()
      await expect(page.getByRole('region', { name: 'The opened bag' })).toContainText('Bag 2')
      await request.delete(`/api/orders/${page.url().split('/')[4]}`)
    })

    test('a tip is bought', async ({ page }) => {
      await page.goto('/drawer')
      await page.getByRole('button', { name: 'leaf', exact: true }).tap()
      await page.getByRole('button', { name: /^leaf V 7 mm/ }).tap()
      const opened = page.getByRole('region', { name: 'The opened tip' })
      // the tip before it may still be open for a moment
      await expect(opened.getByRole('heading', { level: 2 })).toHaveText(/^leaf V 7 mm/i)
      // whoever was here before may have left none of it
      const owned = opened.locator('.figure')
      const counted = (count: number) => (count === 0 ? 'none' : String(count))
      const before = Number((await owned.textContent())!.replace('none', '0'))
      await opened.getByRole('button', { name: /more$/ }).tap()
      await expect(owned).toHaveText(counted(before + 1))
      await opened.getByRole('button', { name: /fewer$/ }).tap()
      await expect(owned).toHaveText(counted(before))
    })

    test('a colour that came out darker is corrected', async ({ page }) => {
      await page.goto('/orders/observatory/colours')
      await page.getByRole('button', { name: /Heather/ }).tap()
      await page.getByRole('button', { name: 'It came out like this…' }).tap()
      const dialog = page.getByRole('dialog')
      await dialog.getByLabel('Colour you see').fill('#a86f8c')
      await dialog.getByLabel('Colour you see').blur()
      await expect(
        dialog.getByText(/Stir in \d+ g of plain icing|Take \d+ g out|Leave it/).first(),
      ).toBeVisible()
      await dialog.getByRole('button', { name: 'Close' }).first().tap()
    })

    test('a flower is changed in the studio, its solid beside the layer that is open', async ({
      page,
      request,
    }) => {
      const { id } = await (await request.post('/api/flowers/primrose/copy')).json()
      await page.goto(`/flowers/${id}`)
      await page
        .getByRole('button', { name: /strokes|×/ })
        .first()
        .tap()
      const strokes = page.getByLabel('Strokes', { exact: true })
      await strokes.fill('6')
      await strokes.scrollIntoViewIfNeeded()
      const solid = page.getByRole('img', { name: /as a solid/ })
      await expect(solid).toBeInViewport({ ratio: 0.6 })
      const [a, b] = [(await solid.boundingBox())!, (await strokes.boundingBox())!]
      // side by side
      expect(a.x + a.width).toBeLessThanOrEqual(b.x + 1)
      await page.getByRole('button', { name: 'Undo' }).tap()
      await expect(strokes).not.toHaveValue('6')
      await request.delete(`/api/flowers/${id}`)
    })
  })
