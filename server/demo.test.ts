import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import type { PracticeMark } from '#core/model/practiceTry'
import { loadDemo } from './demo.ts'
import { testApi } from './testing/api.ts'

it('loads the demo bakery once, with every order still to come', async () => {
  const server = await testApi()
  const folder = fileURLToPath(new URL('../demo', import.meta.url))
  const today = new Date('2027-03-10T12:00:00Z')
  expect(await loadDemo(server.orm, folder, today)).toBe(true)
  const orders = (await server.api.get('/api/orders')).body.orders as { id: string; collectAt: string }[]
  expect(orders).toHaveLength(4)
  for (const { collectAt } of orders) expect(collectAt > '2027-03-10').toBe(true)
  // what was practised is judged as any try: the drill with the slow hand says so
  const tries = (await server.api.get('/api/practice')).body as PracticeMark[]
  const shells = tries.filter((t) => t.drill === 'shells')
  expect(shells.at(-1)!.marks).toBeGreaterThan(shells[0]!.marks)
  expect(shells.some((t) => t.says === 'late')).toBe(true)
  // Saturday stays Saturday
  expect(new Date(`${orders.find((o) => o.id === 'observatory')!.collectAt}Z`).getUTCDay()).toBe(6)
  await server.api.delete('/api/orders/observatory').expect(204)
  expect(await loadDemo(server.orm, folder, today)).toBe(false)
  expect((await server.api.get('/api/orders')).body.total).toBe(3)
  await server.close()
})
