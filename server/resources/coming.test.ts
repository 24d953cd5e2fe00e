import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { ComingPlan } from '#contract/coming'
import type { StoredWorkshop } from '#contract/workshop'
import type { Order } from '#core/model/order'
import { planFigures } from '#core/plan/index'
import { minuteOf, momentOf } from '#core/timeline/clock'
import { BenchDays } from '#core/timeline/day'
import { testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
const load = (name: string): { order: Order } =>
  JSON.parse(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8'))

/** Stores a demo order as it is due at a moment. */
async function due(name: string, collectAt: string): Promise<void> {
  const file = load(name)
  await server.api
    .post('/api/orders/import')
    .send({ ...file, order: { ...file.order, collectAt } })
    .expect(200)
}

async function startsAt(now: string): Promise<Map<string, ComingPlan['starts'][number]>> {
  const { status, body } = await server.api.get(`/api/coming/plan?now=${now}`)
  expect(status).toBe(200)
  return new Map((body as ComingPlan).starts.map((s) => [s.orderId, s]))
}

beforeAll(async () => {
  server = await testApi()
  await due('allotment', '2026-12-03T09:00')
  await due('reading-room', '2026-12-03T16:00')
  await due('keeper', '2026-12-30T10:00')
})
afterAll(() => server.close())

describe('when the orders of the coming days have to be begun', () => {
  it('is before they are due, each of those of the next fortnight and no other', async () => {
    const starts = await startsAt('2026-11-30T08:00')
    expect([...starts.keys()].sort()).toEqual(['allotment', 'reading-room'])
    expect(starts.get('allotment')!.from < '2026-12-03T09:00').toBe(true)
    expect(starts.get('reading-room')!.from < '2026-12-03T16:00').toBe(true)
    expect([...starts.values()].every((s) => s.fits)).toBe(true)
  })

  it('is what the week reckons in the browser from the same orders', async () => {
    const { workshop } = (await server.api.get('/api/workshop')).body as StoredWorkshop
    const orders = await Promise.all(
      ['allotment', 'reading-room'].map(
        async (id) => (await server.api.get(`/api/orders/${id}`)).body.order as Order,
      ),
    )
    const days = new BenchDays(
      orders.map((order) => ({ order, plan: planFigures(order, workshop) })),
      workshop,
    )
    const { table } = days.answer(minuteOf('2026-11-30T08:00'))
    const starts = await startsAt('2026-11-30T08:00')
    expect(table!.orders.map(({ id, from }) => [id, momentOf(from)])).toEqual(
      table!.orders.map(({ id }) => [id, starts.get(id)!.from]),
    )
  })

  it('is said to be too late as soon as the clock is past it, and not a minute sooner', async () => {
    const { from } = (await startsAt('2026-11-30T08:00')).get('allotment')!
    expect((await startsAt(from)).get('allotment')!.fits).toBe(true)
    const after = new Date(Date.parse(`${from}Z`) + 60_000).toISOString().slice(0, 16)
    expect((await startsAt(after)).get('allotment')!.fits).toBe(false)
  })

  it('follows an order that is changed, and forgets one that is deleted', async () => {
    const before = (await startsAt('2026-11-30T08:00')).get('allotment')!
    const { body } = await server.api.get('/api/orders/allotment')
    await server.api
      .put('/api/orders/allotment')
      .set('If-Match', `"${body.version}"`)
      .send({ ...body.order, collectAt: '2026-12-05T09:00' })
      .expect(200)
    expect((await startsAt('2026-11-30T08:00')).get('allotment')!.from > before.from).toBe(true)
    await server.api.delete('/api/orders/allotment').expect(204)
    expect([...(await startsAt('2026-11-30T08:00')).keys()]).toEqual(['reading-room'])
  })

  it('asks for a moment that can be read', async () => {
    const said = async (now: string) => {
      const { status, body } = await server.api.get(`/api/coming/plan?now=${now}`)
      return [status, body.errors]
    }
    expect(await said('tomorrow')).toEqual([
      422,
      [{ pointer: '/now', detail: 'Use a date and time like 2026-11-28T14:00.' }],
    ])
    expect(await said('2026-02-31T10:00')).toEqual([
      422,
      [{ pointer: '/now', detail: 'There is no such date or time.' }],
    ])
  })
})
