import { mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { root } from './setup.mjs'

/**
 * `npm run screenshots [-- NAME…] [--all] [--out FOLDER]`: pictures from a running demo (port 4310, or PORT), at 1280 × 800,
 * into docs/screenshots: of the main views, or of every screen there is.
 */
const screens = JSON.parse(readFileSync(join(root, 'e2e/screens.json'), 'utf8'))
const args = process.argv.slice(2)
const outAt = args.indexOf('--out')
const folder = outAt < 0 ? join(root, 'docs/screenshots') : args[outAt + 1]
const names = args.filter((a, i) => a !== '--all' && (outAt < 0 || (i !== outAt && i !== outAt + 1)))
const all = args.includes('--all')
mkdirSync(folder, { recursive: true })

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
page.on('console', (message) => message.type() === 'error' && console.error(message.text()))
page.on('pageerror', (error) => console.error(error))
for (const { name, path, kept, waitMs } of screens) {
  if (names.length > 0 ? !names.includes(name) : !kept && !all) continue
  await page.goto(`http://127.0.0.1:${process.env.PORT ?? 4310}${path}`)
  await page.waitForLoadState('networkidle')
  // a plan that is not there yet shows as three dots
  await page.waitForFunction(() => !/^…$/m.test(document.body.innerText), null, { timeout: 60_000 })
  await page.waitForTimeout(waitMs ?? 1500)
  // what is fetched or worked out shows in its place, however long that takes
  await page.waitForFunction(() => !/^(Fetching|Working out)/m.test(document.body.innerText), null, {
    timeout: 120_000,
  })
  if (name === 'piped') {
    // a petal half laid
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'The next stroke' }).click()
    await page.getByRole('slider').first().focus()
    for (let i = 0; i < 112; i++) await page.keyboard.press('ArrowRight')
    await page.waitForTimeout(600)
  }
  await page.screenshot({ path: join(folder, `${name.replaceAll(' ', '-')}.png`), timeout: 90_000 })
  console.log(name)
}
if (names.length === 0 || names.includes('studio')) {
  // a flower of our own, made for the picture and put away again
  const at = `http://127.0.0.1:${process.env.PORT ?? 4310}`
  const made = await page.request.post(`${at}/api/flowers/hydrangea/copy`)
  const { id } = await made.json()
  await page.goto(`${at}/flowers/${id}`)
  await page.getByRole('button', { name: /^Floret/ }).click()
  await page.waitForTimeout(6000)
  await page.screenshot({ path: join(folder, 'studio.png'), timeout: 90_000 })
  await page.request.delete(`${at}/api/flowers/${id}`)
  console.log('studio')
}
if (names.length === 0 || names.includes('bench')) {
  // an order begun for the picture, on a tablet, a few flowers in
  const at = `http://127.0.0.1:${process.env.PORT ?? 4310}`
  const begun = await (await page.request.post(`${at}/api/orders/observatory/bench`)).json()
  await page.setViewportSize({ width: 1024, height: 768 })
  await page.goto(`${at}/bench/${begun.id}`)
  const title = page.getByRole('heading', { level: 1 })
  await title.waitFor()
  for (let i = 0; i < 150 && (await title.textContent()) !== 'Anemone, on nails'; i++)
    await page.keyboard.press('ArrowRight')
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown')
  await page.waitForTimeout(8000)
  await page.screenshot({ path: join(folder, 'bench.png'), timeout: 90_000 })
  console.log('bench')
}
if (names.length === 0 || names.includes('logbook')) {
  // two orders written down for the picture, one of them corrected
  const at = `http://127.0.0.1:${process.env.PORT ?? 4310}`
  /** Planning may be asked to come back while pictures of other screens are still worked out. */
  const begin = async (order) => {
    const answer = await page.request.post(`${at}/api/orders/${order}/log`)
    return answer.status() === 503 ? begin(order) : answer.json()
  }
  await begin('reading-room')
  const { entry } = await begin('observatory')
  const told = [40, 6, 18, 4, 9]
  await page.request.put(`${at}/api/log/${entry.id}`, {
    headers: { 'If-Match': '"1"' },
    data: {
      ...entry,
      ...{ people: ['Ada', 'Bea'], roomC: 23, minutes: 431, remarks: ['The butter was warm; rested twice.'] },
      batches: entry.batches.map((b, i) => ({
        ...b,
        leftGrams: told[i] ?? null,
        ranShort: b.colour === 'Moss',
      })),
      flowers: entry.flowers.map((f, i) => ({ ...f, spoiled: i % 3, minutes: 6 + 4 * i })),
    },
  })
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`${at}/logbook/${entry.id}`)
  await page.waitForTimeout(2500)
  await page.screenshot({ path: join(folder, 'logbook.png'), timeout: 90_000 })
  console.log('logbook')
}
if (names.includes('wrapup')) {
  const at = `http://127.0.0.1:${process.env.PORT ?? 4310}`
  const begun = await (await page.request.post(`${at}/api/orders/observatory/bench`)).json()
  await page.setViewportSize({ width: 1024, height: 768 })
  await page.goto(`${at}/bench/${begun.id}/wrap-up`)
  const row = (n) => page.getByRole('listitem').nth(n)
  await row(0).getByRole('button', { name: 'nothing' }).click()
  await row(1).getByRole('button', { name: 'a third' }).click()
  await row(3).getByRole('button', { name: 'ran short' }).click()
  await page.waitForTimeout(500)
  await page.screenshot({ path: join(folder, 'wrapup.png'), timeout: 90_000 })
  console.log('wrapup')
}
await browser.close()
