import { readFile } from 'node:fs/promises'
import { parse } from 'node:path'
import type { Locator } from '@playwright/test'
import Papa from 'papaparse'
import { convertIcsCalendar } from 'ts-ics'
import { starterWorkshop } from '../core/catalogue/starter.ts'
import type { Order } from '../core/model/order.ts'
import { expect, type Page, test } from './bakery.ts'

/** A dozen and a half of cupcakes in two colours: small enough to be placed in no time. */
async function begin(page: Page, id: string): Promise<void> {
  const cup = (pieceId: string, flowerId: string, colourId: string) => ({
    ...{ id: pieceId, name: `Cupcakes ${pieceId}`, count: 8 },
    shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
    flowers: [
      {
        ...{ id: 'f', flowerId, placement: { kind: 'each', perPiece: 1 } },
        colours: Object.fromEntries(
          starterWorkshop.flowers.find((f) => f.id === flowerId)!.roles.map((r) => [r.id, colourId]),
        ),
      },
    ],
  })
  const order = {
    ...{ id, title: 'On trial', collectAt: '2027-08-14T12:00', icingKindId: 'butter-sugar' },
    colours: [
      { id: 'cream', name: 'Cream', hex: '#efe6cd' },
      { id: 'sage', name: 'Sage', hex: '#76875a' },
    ],
    pieces: [cup('a', 'rose', 'cream'), cup('b', 'dahlia', 'sage'), cup('c', 'swirl', 'cream')],
  }
  await page.request.post('/api/orders/import', { data: { format: 'kanten-order', schemaVersion: 2, order } })
}

test.use({ stranger: true })
const at = (page: Page, moment: string) => page.clock.setFixedTime(new Date(`${moment}:00`))

test('an order has to begin at one time, wherever that is said', async ({ page }) => {
  await page.goto('/orders')
  const row = page.getByRole('listitem').filter({ hasText: 'Observatory opening night' })
  await expect(row).toContainText(/start by \w{3} \d\d:\d\d/)
  const start = /start by (\w{3} \d\d:\d\d)/.exec((await row.textContent())!)![1]!
  await row.getByRole('link', { name: /^Observatory/ }).click()
  await expect(
    page.getByRole('navigation', { name: 'Line of work' }).getByRole('link', { name: /^Timeline/ }),
  ).toContainText(start)
  await page.getByRole('link', { name: /^Timeline/ }).click()
  await expect(page.getByRole('heading', { name: `Start by ${start}` })).toBeVisible()
  // by itself it could begin later: nobody is told so elsewhere
  await expect(page.getByText(/by itself, as below, \w{3} \d\d:\d\d/)).toBeVisible()
  await page.getByRole('link', { name: /^with the other \d+ orders$/ }).click()
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Observatory opening night' }).first(),
  ).toContainText(start)
})

test('an order too late for one pair of hands: accept what is offered, and see it fit', async ({ page }) => {
  await begin(page, 'late')
  // one pair of hands would have had to begin at 9:20, two begin at 9:34
  await at(page, '2027-08-14T09:28')
  await page.goto('/orders/late/timeline')
  const misfit = page.getByRole('region', { name: 'It does not fit' })
  await expect(misfit.getByText(/^Work would have had to begin at Sat 09:2\d, \d+ min ago\.$/)).toBeVisible()
  const stop = page.getByRole('navigation', { name: 'Line of work' }).getByRole('link', { name: /^Timeline/ })
  await expect(stop).toContainText('decide')
  await misfit.getByRole('button', { name: /^One more pair of hands: it fits/ }).click()
  await expect(misfit).toBeHidden()
  await expect(page.getByRole('heading', { name: /^Start by Sat 09:3\d$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^2 pairs of hands/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await expect(stop).not.toContainText('decide')
  // half an hour later it is too late for them as well, and the list of orders says so
  await at(page, '2027-08-14T10:30')
  await page.goto('/orders')
  await expect(page.getByText(/start by Sat 09:\d\d: too late now/)).toBeVisible()
  // one more like it does not fit either, and says so when it comes in
  await page.getByRole('button', { name: 'More for On trial' }).click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  await expect(page.getByText(/^ ?It does not fit among the other order of these days/)).toBeVisible()
  await page.goto('/week')
  await expect(page.getByText(/work would have had to begin/i).first()).toBeVisible()
  await expect(page.getByRole('img', { name: /Load per day: Sat 14/ })).toBeVisible()
})

test('lock a task, read why, let it go; and what cannot be locked says so over the last good timetable', async ({
  page,
}) => {
  await begin(page, 'locks')
  await at(page, '2027-08-10T09:00')
  await page.goto('/orders/locks/timeline')
  const mix = page.getByRole('button', { name: /^Mix: Cream/ })
  await mix.click()
  const panel = page.getByRole('region', { name: 'The chosen task' })
  await expect(panel.getByText(/It must be done before “Fill bags: Cream/)).toBeVisible()
  await panel.getByLabel('Begin at, hours').fill('08')
  await panel.getByLabel('Begin at, minutes').fill('15')
  await expect(mix).toHaveAccessibleName(/08:15 to 08:2\d, Hands 1, locked/)
  const stored = async () =>
    ((await (await page.request.get('/api/orders/locks')).json()) as { order: Order }).order.settled.starts
  await expect.poll(stored).toEqual([{ taskId: 'mix butter-sugar cream', at: '2027-08-14T08:15' }])
  // kept over a reload; dragged on by a bit, it is locked there
  await page.reload()
  await expect(mix).toHaveAccessibleName(/08:15 to 08:2\d, Hands 1, locked/)
  const bar = (await mix.boundingBox())!
  await page.mouse.move(bar.x + bar.width / 2, bar.y + 20)
  await page.mouse.down()
  await page.mouse.move(bar.x + bar.width / 2 + 80, bar.y + 20, { steps: 6 })
  await page.mouse.up()
  await expect.poll(async () => (await stored())[0]!.at).not.toBe('2027-08-14T08:15')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(mix).toHaveAccessibleName(/08:15 to/)
  // past: the last good timetable stays, greyed, and named as such
  await at(page, '2027-08-14T09:00')
  await page.reload()
  await expect(page.getByText(/The locked start of “Mix: Cream, bowl.*” is past/)).toBeVisible()
  await page.getByRole('button', { name: 'Let it go' }).click()
  await expect(page.getByText('No timetable can be made like this.')).toBeHidden()
  await expect(mix).not.toHaveAccessibleName(/locked/)
  // a working day of no hours
  await page.getByRole('link', { name: 'Limits', exact: true }).click()
  await page.getByLabel('Saturday to, hours').fill('08')
  await expect(page.getByText(/Saturday has none, because it ends when it begins/)).toBeVisible()
  await page.getByRole('link', { name: /^Timeline/ }).click()
  await expect(page.getByText('Below stands the last good one')).toBeVisible()
  await page.getByRole('link', { name: 'Hours and limits' }).click()
  await page.getByLabel('Saturday to, hours').fill('18')
  await page.getByRole('link', { name: /^Timeline/ }).click()
  await expect(page.getByRole('heading', { name: /^Start by Sat/ })).toBeVisible()
})

test('take the timetable into another calendar, and again after a change: every task keeps its name', async ({
  page,
}) => {
  await begin(page, 'calendar')
  await at(page, '2027-08-10T09:00')
  await page.goto('/orders/calendar/timeline')
  const saved = async (button: Locator, ending: string) => {
    const coming = page.waitForEvent('download')
    await button.click()
    const file = await coming
    expect(parse(file.suggestedFilename()).ext).toBe(ending)
    return readFile(await file.path(), 'utf8')
  }
  const take = async () =>
    convertIcsCalendar(undefined, await saved(page.getByRole('link', { name: 'Calendar file' }), '.ics'))
      .events!
  const before = await take()
  const mix = before.find((e) => e.summary.startsWith('Mix: Cream'))!
  const bar = await page.getByRole('button', { name: /^Mix: Cream/ }).getAttribute('aria-label')
  const shown = mix.start.date.toISOString().slice(11, 16)
  expect(bar).toContain(`${shown} to`)
  await page.request.put('/api/orders/calendar', {
    headers: { 'If-Match': `"1"` },
    data: {
      ...((await (await page.request.get('/api/orders/calendar')).json()) as { order: Order }).order,
      collectAt: '2027-08-14T15:00',
    },
  })
  await page.reload()
  const after = await take()
  expect(after.map((e) => e.uid).sort()).toEqual(before.map((e) => e.uid).sort())
  const moved = after.find((e) => e.uid === mix.uid)!
  expect(moved.start.date.getTime() - mix.start.date.getTime()).toBe(3 * 3_600_000)

  // the week has the same tasks under the same names; only bowls are shared with the orders of other tests
  await page.goto('/week/table')
  const as = async (name: string, ending: string) => {
    await page.getByRole('button', { name: 'Save as…' }).click()
    return saved(page.getByRole('menuitem', { name }), ending)
  }
  const week = convertIcsCalendar(undefined, await as('Calendar (iCalendar)', '.ics')).events!
  const uids = new Set(week.map((e) => e.uid))
  const piped = after.filter((e) => e.summary.startsWith('Pipe'))
  expect(piped.length).toBeGreaterThan(2)
  for (const { uid } of piped) expect(uids.has(uid)).toBe(true)
  const rows = Papa.parse<{ order: string }>(await as('Table (CSV)', '.csv'), { header: true }).data
  expect(rows.filter((r) => r.order === 'On trial').length).toBeGreaterThan(0)
})

test('take a lighter version in part, and bring the other back', async ({ page }) => {
  await begin(page, 'lighter')
  await page.goto('/orders/lighter/timeline/lighter')
  const versions = page.getByRole('list', { name: 'Versions' }).getByRole('button')
  await expect(versions.first()).toBeVisible()
  await expect(page.getByRole('progressbar')).toBeHidden()
  await versions.last().click()
  const chosen = page.getByRole('region', { name: 'The chosen version' })
  const steps = chosen.getByRole('checkbox')
  const all = await steps.count()
  expect(all).toBeGreaterThan(1)
  const before = await chosen.getByRole('row', { name: /^Hands on the icing/ }).textContent()
  await steps.first().uncheck()
  await expect(chosen.getByRole('row', { name: /^Hands on the icing/ })).not.toHaveText(before!)
  const stored = async () =>
    JSON.stringify(
      ((await (await page.request.get('/api/orders/lighter')).json()) as { order: Order }).order.pieces,
    )
  const ordered = await stored()
  await chosen.getByRole('button', { name: `Take ${all - 1} of ${all}` }).click()
  await expect.poll(stored).not.toBe(ordered)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(stored).toBe(ordered)
})
