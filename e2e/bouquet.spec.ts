import type { Order } from '../core/model/order.ts'
import { expect, type Page, test } from './bakery.ts'

const order = async (page: Page, id: string) =>
  ((await (await page.request.get(`/api/orders/${id}`)).json()) as { order: Order }).order
const stored = (page: Page, id: string, is: (order: Order) => boolean) =>
  expect.poll(async () => is(await order(page, id))).toBe(true)

/** A small order of its own, so that every step is planned in no time. */
async function begin(page: Page, id: string, pieces: object[]): Promise<void> {
  const order = {
    ...{ id, title: 'On trial', collectAt: '2027-06-05T10:00', icingKindId: 'butter-sugar', pieces },
    colours: [
      { id: 'cream', name: 'Cream', hex: '#efe6cd' },
      { id: 'sage', name: 'Sage', hex: '#76875a' },
    ],
  }
  await page.request.post('/api/orders/import', { data: { format: 'kanten-order', schemaVersion: 2, order } })
}

test('make a bouquet of cupcakes with a vase, fill it, and bridge a gap that shows', async ({ page }) => {
  await begin(page, 'bouquet', [])
  await page.goto('/orders/bouquet/pieces')
  await page.getByRole('button', { name: 'Add a piece' }).click()
  await page.getByRole('menuitem', { name: 'Cupcake bouquets' }).click()
  const piece = page.getByRole('region', { name: 'Cupcake bouquet' })
  await piece.getByLabel('Cupcakes', { exact: true }).fill('12')
  await piece.getByLabel('Cupcakes', { exact: true }).blur()
  await piece.getByRole('combobox', { name: 'Laid as' }).click()
  await page.getByRole('option', { name: 'Heart' }).click()
  await piece.getByRole('checkbox', { name: 'A small cake below, trimmed to a vase' }).check()
  await stored(page, 'bouquet', ({ pieces }) => {
    const shape = pieces.at(-1)?.shape
    return (
      shape?.kind === 'bouquet' && shape.at.length === 12 && shape.outline.kind === 'heart' && !!shape.vase
    )
  })
  // letters that do not come out at that number say so
  await piece.getByRole('combobox', { name: 'Laid as' }).click()
  await page.getByRole('option', { name: 'Letters' }).click()
  await piece.getByLabel('Letters', { exact: true }).fill('Q?')
  await expect(piece.getByText('One to six letters or digits.')).toBeVisible()
  await piece.getByRole('combobox', { name: 'Laid as' }).click()
  await page.getByRole('option', { name: 'Fan' }).click()
  await stored(page, 'bouquet', ({ pieces }) => {
    const shape = pieces.at(-1)?.shape
    return shape?.kind === 'bouquet' && shape.outline.kind === 'fan' && shape.at.length === 12
  })

  await piece.getByRole('button', { name: 'Add a flower' }).click()
  await page.getByLabel('Search the library').fill('ranunculus')
  await page.getByRole('button', { name: 'Add Ranunculus', exact: true }).click()
  await page.getByLabel('Search the library').fill('leaf')
  await page.getByRole('button', { name: 'Add Leaf', exact: true }).first().click()
  await page.getByRole('button', { name: 'Done' }).click()
  await piece.getByLabel('Ranunculus on each of Cupcake bouquet').fill('12')
  await piece.getByLabel('Size of Ranunculus').fill('56')
  await piece.getByLabel('Leaf on each of Cupcake bouquet').fill('4')
  await piece.getByLabel('Leaf on each of Cupcake bouquet').blur()

  await page.getByRole('link', { name: 'Place', exact: true }).click()
  await page.getByRole('link', { name: /Cupcake bouquet/ }).click()
  await page.getByRole('button', { name: /^One in the middle/ }).click()
  await stored(page, 'bouquet', ({ pieces }) => pieces.at(-1)!.layouts[0]?.sites.length === 16)
  // one to a cupcake
  const laid = (await order(page, 'bouquet')).pieces.at(-1)!
  const flowers = laid.layouts[0]!.sites.filter((s) => s.role !== 'leaf')
  expect(new Set(flowers.map((s) => s.place.tier)).size).toBe(12)

  await page.getByRole('button', { name: 'Bridge it with a leaf' }).first().click()
  await stored(page, 'bouquet', ({ pieces }) => pieces.at(-1)!.layouts[0]!.sites.length === 17)

  await page.getByRole('link', { name: 'Supports and boxes' }).click()
  await expect(page.getByRole('img', { name: 'The board from above' })).toBeVisible()
  await expect(page.getByText(/cut from a cake of at least 130 mm by 150 mm/)).toBeVisible()
})

test('put something on that is no food, read what it says, place it, and find it in the order of work', async ({
  page,
}) => {
  const rosette = { id: 'r', flowerId: 'rosette', placement: { kind: 'each', perPiece: 1 } }
  const shape = { kind: 'cookie', diameterMm: 120 }
  await begin(page, 'flags', [{ id: 'cookies', name: 'Cookies', count: 6, shape, flowers: [rosette] }])
  await page.goto('/orders/flags/pieces')
  const name = (await order(page, 'flags')).pieces[0]!.name
  const piece = page.getByRole('region', { name, exact: true })
  await piece.getByRole('button', { name: 'Put something on' }).click()
  await page.getByRole('menuitem', { name: 'Something else…' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Name').fill('Paper flag')
  await form.getByRole('combobox', { name: 'What it is' }).click()
  await page.getByRole('option', { name: 'Pick or sign' }).click()
  await form.getByRole('combobox', { name: 'By its label' }).click()
  await page.getByRole('option', { name: 'Not food' }).click()
  await form.getByLabel('What its label says, word for word').fill('Decoration, do not eat')
  await form.getByLabel('One costs').fill('0.4')
  await form.getByLabel('One costs').blur()
  await page.getByRole('button', { name: 'Done' }).click()
  await piece.getByLabel(`Paper flag on each of ${name}`).fill('1')
  await piece.getByLabel(`Paper flag on each of ${name}`).blur()
  await expect(page.getByText(/Paper flag is not food: count \d+ on.*“Decoration, do not eat”/)).toBeVisible()

  await page.getByRole('link', { name: 'Place', exact: true }).click()
  const first = page.getByRole('button', { name: /^One in the middle/ })
  await first
    .or(page.getByRole('button', { name: 'Another like this' }))
    .first()
    .waitFor()
  if (await first.isVisible()) await first.click()
  await page.getByRole('button', { name: 'Another like this' }).waitFor()
  await page.getByRole('button', { name: 'Flower', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Paper flag' }).click()
  const map = page.getByRole('region', { name: 'From above' })
  const box = (await map.boundingBox())!
  await page.mouse.click(box.x + box.width / 2 + 20, box.y + box.height / 2 + 20)
  await stored(page, 'flags', ({ pieces }) => {
    const [{ setOns, layouts }] = pieces as [Order['pieces'][number]]
    return layouts.some((l) => l.sites.some((s) => s.placedId === setOns[0]?.id))
  })
  await page.goto('/orders/flags/bags/pipe')
  await expect(page.getByText(/\d+ × paper flag/)).toBeVisible()
})

test('draw a spray by hand, choose what grows along it, hide a seam, take it all back', async ({ page }) => {
  await page.goto('/orders/observatory/pieces/place/tier-lower')
  const map = page.getByRole('region', { name: 'The side laid flat' })
  await expect(map.locator('canvas')).toBeVisible()
  const cake = ({ pieces }: Order) => pieces.find((p) => p.id === 'tier-lower')!
  const before = cake(await order(page, 'observatory'))
  const box = (await map.boundingBox())!
  const at = (x: number, y: number) => [box.x + x * box.width, box.y + y * box.height] as const

  await page.getByRole('button', { name: 'Line by hand' }).click()
  await page.getByRole('menuitem', { name: 'A spray or vine along it' }).click()
  await page.mouse.move(...at(0.78, 0.9))
  await page.mouse.down()
  await page.mouse.move(...at(0.86, 0.78), { steps: 6 })
  await page.mouse.move(...at(0.95, 0.82), { steps: 6 })
  await page.mouse.up()
  const lines = page.getByRole('region', { name: 'Lines that were drawn' })
  await expect(lines.getByText(/Spray, \d+ mm long/)).toBeVisible()
  await stored(
    page,
    'observatory',
    (o) => cake(o).layouts[0]!.sites.length > before.layouts[0]!.sites.length + 6,
  )
  const buds = (o: Order) => cake(o).layouts[0]!.sites.filter((s) => s.role === 'bud').length
  expect(buds(await order(page, 'observatory'))).toBeGreaterThan(2)
  await lines.getByRole('combobox', { name: 'Bud' }).click()
  await page.getByRole('option', { name: 'none' }).click()
  await stored(page, 'observatory', (o) => buds(o) === 0)

  await page.getByRole('button', { name: 'Free or hidden' }).click()
  await page.getByRole('menuitem', { name: 'Hide a seam of the coat' }).click()
  // the list of lines has come beside the map since
  const now = (await map.boundingBox())!
  await page.mouse.click(now.x + 0.1 * now.width, now.y + 0.7 * now.height)
  const panel = page.getByRole('region', { name: 'How it is placed' })
  await panel.getByText('Flowers', { exact: true }).click()
  const finding = panel.getByRole('listitem').filter({ hasText: 'of the seam shows' })
  await expect(finding).toBeVisible()
  await finding.getByRole('button', { name: /^Turn the tier \d+°/ }).click()
  await stored(page, 'observatory', (o) => cake(o).layouts[0]!.toHide.length === 1)

  const undo = page.getByRole('button', { name: /^Undo/ })
  for (let i = 0; i < 8 && (await undo.isEnabled()); i++) await undo.click()
  await stored(page, 'observatory', (o) => JSON.stringify(cake(o)) === JSON.stringify(before))
})
