import { afterAll, beforeAll, expect, it } from 'vitest'
import { testApi } from '../testing/api.ts'
import type { PlanPool } from './pool.ts'

/** Longer than a database may take, and no longer than the planning of an everyday order. */
const SLOW_MS = 5200
const slowly = (text: string) =>
  new Promise<Uint8Array>((resolve) => setTimeout(() => resolve(new TextEncoder().encode(text)), SLOW_MS))
const slowPlans: PlanPool = {
  plan: () => slowly('{"slow":true}'),
  table: () => slowly('bag\r\n1'),
  calendar: () => slowly('BEGIN:VCALENDAR'),
  frozen: () => slowly('{}'),
  print: async () => ({ bytes: await slowly('%PDF'), notes: [] }),
  coming: () => slowly('{"starts":[]}'),
  ready: async () => {},
  close: async () => {},
}

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi({ plans: slowPlans })
})
afterAll(() => server.close())

it('a plan that a slow machine takes long for is waited for, not taken for a database that is away', async () => {
  const made = await server.api.post('/api/orders').send({ title: 'Tea', collectAt: '2026-12-01T10:00' })
  const [plan, table] = await Promise.all([
    server.api.get(`/api/orders/${made.body.order.id}/plan`),
    server.api.get(`/api/orders/${made.body.order.id}/plan/bags.csv`),
  ])
  expect([plan.status, plan.body]).toEqual([200, { slow: true }])
  expect([table.status, table.text]).toEqual([200, 'bag\r\n1'])
}, 20_000)
