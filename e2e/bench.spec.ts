import AxeBuilder from '@axe-core/playwright'
import type { APIRequestContext } from '@playwright/test'
import type { Heard, StoredRun } from '../contract/bench.ts'
import type { StoredLogEntry } from '../contract/log.ts'
import { starterWorkshop } from '../core/catalogue/starter.ts'
import { expect, OwnServer, type Page, setRoom, test } from './bakery.ts'

/** Four cupcakes with a flower from a nail each, and a border: every sort of step, and few of each. */
const small = (id: string) => {
  const worn = (flowerId: string) =>
    Object.fromEntries(
      starterWorkshop.flowers.find((f) => f.id === flowerId)!.roles.map((r) => [r.id, 'cream']),
    )
  return {
    format: 'kanten-order',
    schemaVersion: 2,
    order: {
      ...{ id, title: 'For the bench', collectAt: '2027-09-11T12:00', icingKindId: 'butter-sugar' },
      colours: [{ id: 'cream', name: 'Cream', hex: '#efe6cd' }],
      pieces: [
        {
          ...{ id: 'a', name: 'Cupcakes', count: 4, shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 } },
          flowers: [
            {
              id: 'f',
              flowerId: 'blossom',
              placement: { kind: 'each', perPiece: 1 },
              colours: worn('blossom'),
            },
            {
              id: 'b',
              flowerId: 'bead-border',
              placement: { kind: 'border', edge: 'top' },
              colours: worn('bead-border'),
            },
          ],
        },
      ],
    },
  }
}
const right = (page: Page) =>
  page.getByRole('button', { name: /^(one (more|practised|placed|coated)|done|Go on)$/ })
const heard = async (request: APIRequestContext, origin: string, run: string) =>
  (await (await request.get(`${origin}/api/bench/${run}/events`)).json()) as Heard

async function begin(page: Page, origin: string, id: string): Promise<string> {
  const taken = await page.request.post(`${origin}/api/orders/import`, { data: small(id) })
  expect(taken.ok()).toBe(true)
  await page.goto(`${origin}/orders/${id}/bench`)
  await page.getByRole('button', { name: 'Start work' }).click()
  await page.waitForURL(/\/bench\/[0-9a-f-]{36}$/)
  return new URL(page.url()).pathname.split('/').at(-1)!
}

/** Leafs to the flowers that are piped on nails. */
async function toNails(page: Page): Promise<void> {
  const title = page.getByRole('heading', { level: 1 })
  await expect(title).toBeVisible()
  for (let i = 0; i < 40 && !(await title.textContent())?.endsWith('on nails'); i++)
    await page.keyboard.press('ArrowRight')
}

/** What axe finds. */
async function found(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).exclude('svg > *').analyze()
  return violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)
}

/** What a knuckle could miss: everything that is pressed and is less than 56 px wide or high. */
const tooSmall = (page: Page) =>
  page.locator('button, a').evaluateAll((all) =>
    all.flatMap((b) => {
      const { width, height } = b.getBoundingClientRect()
      return Math.min(width, height) < 56 ? [`${b.textContent} ${width} x ${height}`] : []
    }),
  )

/** Goes on as somebody does who never types: a timer that runs is said to be over, what is done is left, anything else is tapped. */
async function goOn(page: Page): Promise<'tap' | 'other' | 'end'> {
  if (await page.getByRole('heading', { name: 'All done' }).isVisible()) return 'end'
  const timer = page.getByRole('region', { name: 'Timers' }).getByRole('button').first()
  if (await timer.isVisible()) {
    await timer.click()
    return 'other'
  }
  const done = (await right(page).getAttribute('aria-label')) === 'Go on'
  await right(page).click()
  return done ? 'other' : 'tap'
}

test.describe('an order worked from start to end by taps only', () => {
  test.use({ stranger: true })
  let closing: OwnServer | null = null
  test.afterEach(() => closing?.end())
  test('with the cable out, a reload, and the server killed: every tap is counted', async ({
    page,
    context,
  }, { parallelIndex }) => {
    const server = new OwnServer(4420 + parallelIndex)
    closing = server
    await server.start()
    await page.setViewportSize({ width: 1024, height: 768 })
    const run = await begin(page, server.url, 'small')
    let taps = 0
    const tapUntil = async (wanted: number) => {
      for (let i = 0; i < 400 && taps < wanted; i++) {
        const was = await goOn(page)
        if (was === 'end') return
        if (was === 'tap') taps += 1
      }
    }
    const line = page.getByRole('status')
    await tapUntil(3)
    await expect(line).toContainText('All sent')
    // the whole interface is on the tablet before the cable goes
    await page.evaluate(async () => void (await navigator.serviceWorker.ready))
    await context.setOffline(true)
    const before = taps
    await tapUntil(8)
    await expect(line).toContainText('Working offline')
    await expect(line).toContainText(`${taps - before} taps wait`)
    const title = await page.getByRole('heading', { level: 1 }).textContent()
    await page.reload()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(title!)
    await expect(line).toContainText('taps wait')
    await tapUntil(10)
    await context.setOffline(false)
    await expect(line).toContainText('All sent')

    await page.setViewportSize({ width: 820, height: 1180 })
    await server.kill()
    await tapUntil(14)
    await expect(line).toContainText('Working offline')
    await server.start()
    await expect(line).toContainText('All sent')
    await tapUntil(Number.POSITIVE_INFINITY)
    await expect(page.getByText('Every tap is at the server.')).toBeVisible()

    const { frozen } = (await (await page.request.get(`${server.url}/api/bench/${run}`)).json()) as StoredRun
    const all = await heard(page.request, server.url, run)
    expect(all.events.filter((e) => e.kind === 'tap')).toHaveLength(taps)
    expect(taps).toBe(frozen.steps.reduce((sum, s) => sum + s.wanted, 0))

    // and what was left is told by taps too
    await page.getByRole('link', { name: /^Wrap up/ }).click()
    await page.getByRole('listitem').first().getByRole('button', { name: 'a third' }).click()
    await page.getByRole('button', { name: 'Next: the bags' }).click()
    await page.getByRole('listitem', { name: 'Bag 1' }).getByRole('button', { name: 'nothing' }).click()
    await page.getByRole('button', { name: 'Next: what came out' }).click()
    expect(await tooSmall(page)).toEqual([])
    expect(await found(page)).toEqual([])
    const chooser = page.getByLabel('Photograph', { exact: true })
    await chooser.setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
    await expect(page.getByRole('alert')).toContainText('cannot open the file as a picture')
    const picture = Buffer.from(await page.screenshot())
    await chooser.setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: picture })
    await expect(page.getByRole('img', { name: 'What came out, 1 of 1' })).toBeVisible()
    await page.getByRole('button', { name: 'Into the logbook' }).click()
    await expect(page.getByText('It stands in the logbook.')).toBeVisible()
    const { entry } = (await (
      await page.request.get(`${server.url}/api/log/${run}`)
    ).json()) as StoredLogEntry
    expect(entry.batches[0]!.leftGrams).toBeCloseTo(frozen.plan.batches[0]!.grams / 3, 6)
    expect(entry.bags[0]!.leftGrams).toBe(0)
    expect(entry.flowers.map((f) => f.piped)).toEqual(entry.flowers.map((f) => Math.max(f.wanted, f.piped)))
  })
})

test('two tablets on one order come to the same count; the order that changes meanwhile says what differs', async ({
  page,
  bakery,
  browser,
}) => {
  await begin(page, bakery, 'shared')
  const other = await (await browser.newContext()).newPage()
  await other.goto(page.url())
  for (const p of [page, other]) await toNails(p)
  // what one pair of hands begins is theirs, and the other sees it
  await page.getByRole('button', { name: 'Whose hands?' }).click()
  await page.getByRole('button', { name: 'Hands 1', exact: true }).click()
  for (let i = 0; i < 2; i++) await Promise.all([right(page).click(), right(other).click()])
  for (const p of [page, other]) await expect(p.getByTestId('count')).toHaveText('4')
  await page.getByRole('button', { name: 'one back' }).click()
  for (const p of [page, other]) await expect(p.getByTestId('count')).toHaveText('3')
  await page.getByRole('button', { name: 'Spoiled one' }).click()
  await expect(other.getByRole('button', { name: '1 spoiled', exact: true })).toBeVisible()
  await other.getByRole('button', { name: 'Take one spoiled back' }).click()
  await expect(page.getByRole('button', { name: 'Spoiled one' })).toBeVisible()
  await expect(other.getByText('Hands 1 has taken it')).toBeVisible()
  const wall = await page.context().newPage()
  await wall.goto(`${page.url()}/board`)
  await expect(wall.getByText('on nails · 3 of')).toBeVisible()
  await expect(wall.getByText('Cupcakes · Hands 1')).toBeVisible()
  await wall.close()

  // nothing that axe finds, in either room, and nothing that a knuckle could miss
  for (const theme of ['dark', 'light'] as const) {
    await setRoom(page.request, theme)
    await page.reload()
    await toNails(page)
    expect(await found(page)).toEqual([])
    expect(await tooSmall(page)).toEqual([])
  }
  await other.context().close()

  await page.getByRole('link', { name: 'Leave the bench' }).click()
  await expect(page.getByRole('link', { name: 'Go on at the bench' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take the beginning back' })).toBeHidden()
  const { order, version } = await (await page.request.get('/api/orders/shared')).json()
  const pieces = order.pieces.map((p: object) => ({ ...p, count: 6 }))
  await page.request.put('/api/orders/shared', {
    headers: { 'If-Match': `"${version}"` },
    data: { ...order, pieces },
  })
  await page.reload()
  await expect(page.getByText('2 more of Cupcakes.')).toBeVisible()
  await page.getByRole('button', { name: 'Take the new plan in' }).click()
  await expect(page.getByText('2 more of Cupcakes.')).toBeHidden()
  await page.getByRole('link', { name: 'Go on at the bench' }).click()
  await toNails(page)
  await expect(page.getByTestId('count')).toHaveText('3')
})
