import { readPdf } from '../server/testing/readPdf.ts'
import { expect, type Page, test } from './bakery.ts'

const at = '/orders/reading-room/bench/prints'
/** Pages that show something: a canvas nothing was drawn on is of one colour. */
const drawn = (page: Page) =>
  page.locator('canvas').evaluateAll(
    (all) =>
      all.filter((c) => {
        const { width, height } = c as HTMLCanvasElement
        const { data } = (c as HTMLCanvasElement).getContext('2d')!.getImageData(0, 0, width, height)
        return data.some((v, i) => i % 4 === 0 && v < 100 && data[i + 3]! > 0)
      }).length,
  )

test('look at labels before they are printed, in any size, and off a printer that is only drawn', async ({
  page,
  bakery,
}) => {
  await page.goto(`${bakery}${at}`)
  await expect.poll(() => drawn(page)).toBeGreaterThan(0)
  const plan = await (await page.request.get(`${bakery}/api/orders/reading-room/plan`)).json()
  const labels = plan.bags.reduce((sum: number, b: { fillings: number }) => sum + b.fillings, 0)

  const wide = page.getByLabel('Wide')
  await wide.fill('7')
  await expect(page.getByText('At least 30 mm wide.')).toBeVisible()
  await wide.fill('70,5')
  await expect(page.getByText('At least 30 mm wide.')).toBeHidden()
  await page.getByText('Simulated label printer').click()
  // each label a page of its own, before them the line to measure
  await expect(page.locator('canvas')).toHaveCount(labels + 1)
  await page.getByRole('button', { name: 'Print', exact: true }).click()
  const strip = page.getByRole('region', { name: 'The strip that came out' })
  await expect(strip.locator('canvas')).toHaveCount(labels + 1)
  await expect.poll(() => drawn(page)).toBe(labels + 1)
  await strip.getByRole('button', { name: 'Tear it off' }).click()
  await expect(strip).toBeHidden()
})

test('a price that is set stands on the customer’s sheet, and every print fits a tablet', async ({
  page,
  bakery,
}) => {
  await page.setViewportSize({ width: 820, height: 1180 })
  await page.goto(`${bakery}${at}/quote`)
  const price = page.getByLabel(/, each$/).first()
  await price.fill('4,75')
  await expect(page.getByText('Saved')).toBeVisible()
  const open = page.getByRole('link', { name: 'Open as PDF' })
  const read = async () => {
    const pdf = await page.request.get(new URL((await open.getAttribute('href'))!, bakery).href)
    return (await readPdf(await pdf.body())).map((p) => p.text).join(' ')
  }
  await expect.poll(read).toContain('4.75')
  await expect.poll(() => drawn(page)).toBeGreaterThan(0)
  for (const name of ['Run sheet', 'Nail guides', 'Box labels']) {
    await page.getByRole('navigation', { name: 'Prints' }).getByRole('link', { name }).click()
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible()
    await expect.poll(() => drawn(page)).toBeGreaterThan(0)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(820)
  }
})
