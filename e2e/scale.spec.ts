import { type ChildProcess, spawn } from 'node:child_process'
import { SIMULATED_SCALE } from '../contract/scale.ts'
import { expect, test } from './bakery.ts'

let scale: ChildProcess
test.beforeAll(async () => {
  scale = spawn(process.execPath, ['--import', 'tsx', 'devices/scale/start.ts'], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise<void>((there) => scale.stdout!.once('data', () => there()))
})
test.afterAll(() => void scale.kill())

test('a scale fills a bowl, is unplugged half way, and what was read stays', async ({ page, bakery }) => {
  const set = (part: object) => page.request.post(`${SIMULATED_SCALE}/set`, { data: part })
  await set({ loadGrams: 0, noiseGrams: 0.3 })
  const begun = await page.request.post(`${bakery}/api/orders/reading-room/bench`)
  const { id } = await begun.json()
  const { frozen } = await (await page.request.get(`${bakery}/api/bench/${id}`)).json()
  const wanted: { name: string; grams: number }[] = frozen.plan.base.ingredients
  await page.setViewportSize({ width: 1024, height: 768 })
  await page.goto(`${bakery}/bench/${id}`)
  const weigh = page.getByRole('region', { name: 'Weigh in' })
  await expect(weigh).toContainText(wanted[0]!.name)
  await weigh.getByRole('button', { name: 'From a scale' }).click()
  await weigh.getByRole('button', { name: 'Simulated scale' }).click()
  const tare = async () => {
    await weigh.getByRole('button', { name: 'Tare' }).click()
    await expect(weigh.getByRole('status')).toContainText(/^[01] g/)
  }
  // an empty bowl first, made to count for nothing
  await set({ loadGrams: 412 })
  await expect(weigh).toContainText('too much')
  await tare()

  await set({ loadGrams: 412 + wanted[0]!.grams * 0.6 })
  await expect(weigh).toContainText('to go')
  // a mixer beside it: near enough, and never at rest
  await set({ loadGrams: 412 + wanted[0]!.grams, shaken: true })
  await expect(weigh.getByRole('status')).toContainText(/moving|to go|too much/)
  await expect(weigh).toContainText(wanted[0]!.name)
  await set({ shaken: false })
  await expect(weigh).toContainText(wanted[1]!.name)
  await expect(weigh).toContainText('taken: tare, or clear the plate')

  await tare()
  await set({ loadGrams: 412 + wanted[0]!.grams + 20 })
  await expect(weigh).toContainText('20 g')
  await set({ plugged: false })
  await expect(weigh).toContainText('Is it plugged in?')
  await expect(weigh).toContainText('It said 20 g last')
  await weigh.getByRole('button', { name: 'Try again' }).click()
  await expect(weigh).toContainText('No simulated scale')
  // what the display said is typed, and work goes on
  await weigh.getByLabel(`Weighed of ${wanted[1]!.name}`).fill(String(Math.round(wanted[1]!.grams)))
  await weigh.getByRole('button', { name: 'Take', exact: true }).click()
  await expect(weigh.getByText(wanted[1]!.name)).toBeHidden()
  await set({ plugged: true })
  await weigh.getByRole('button', { name: 'Try again' }).click()
  await expect(weigh.getByRole('button', { name: 'Tare' })).toBeVisible()

  const read = async () => {
    const { events } = await (await page.request.get(`${bakery}/api/bench/${id}/events`)).json()
    return events.flatMap((e: { kind: string; note: string; amount: number }) =>
      e.kind === 'weighed' ? [[e.note, Math.round(e.amount)]] : [],
    )
  }
  await expect.poll(async () => (await read()).length).toBe(2)
  const [first, second] = await read()
  expect(first[0]).toBe(wanted[0]!.name)
  expect(Math.abs(first[1] - wanted[0]!.grams)).toBeLessThanOrEqual(Math.max(1, wanted[0]!.grams / 100) + 0.5)
  expect(second).toEqual([wanted[1]!.name, Math.round(wanted[1]!.grams)])
})
