import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { BackupPreview } from '#contract/backup'
import { starterWorkshop } from '#core/catalogue/starter'
import { orderSchema } from '#core/model/order'
import { BenchDays } from '#core/timeline/day'
import backup, { type BackupAnswer } from './backup/worker.ts'
import checkBody, { order as checkLargeOrder } from './check/worker.ts'
import { tableNames } from './exports/tables.ts'
import plan from './plans/worker.ts'
import { testApi } from './testing/api.ts'
import { taskOf } from './testing/hostile.ts'

/** What runs on threads of its own, called here without one. */
let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi()
})
afterAll(() => server.close())

const file = JSON.parse(readFileSync('demo/allotment.json', 'utf8'))
const done = (answer: BackupAnswer) => ('done' in answer ? answer.done : answer.problem[0])

describe('planning', () => {
  const order = orderSchema.parse({ ...file.order, title: '=cmd' })
  order.pieces[0]!.name = 'Cake\n=2+3'
  const limits = { workMs: 60_000, modestWorkMs: 60_000 }
  const task = { ...taskOf({ order, workshop: starterWorkshop }), table: null, limits }
  const run = (more: object) => plan({ ...task, begun: new SharedArrayBuffer(4), ...more })
  const text = (answer: ReturnType<typeof plan>) =>
    'bytes' in answer ? new TextDecoder().decode(answer.bytes) : JSON.stringify(answer)

  it('gives every table with a header and a line for each of its rows, and no cell that runs', () => {
    const made = JSON.parse(text(run({})))
    const rows: Record<string, number> = {
      colours: made.colours.length,
      batches: made.batches.length,
      bags: made.bags.length,
      base: made.base.ingredients.length,
      supplies: made.supplies.length,
      demand: made.uses.reduce((n: number, u: { parts: unknown[] }) => n + u.parts.length, 0),
      timeline: new BenchDays([{ order, plan: made }], starterWorkshop).answer(null).table!.tasks.length,
    }
    expect(Object.keys(rows).sort()).toEqual([...tableNames].sort())
    for (const table of tableNames) {
      const csv = text(run({ table }))
      expect([table, csv.trim().split('\r\n').length]).toEqual([table, rows[table]! + 1])
      expect(csv).not.toMatch(/(^|[\n",])=/)
    }
    expect(text(run({ table: 'demand' }))).toContain("Cake\n'=2+3")
  })

  it('reads an order of an earlier schema, and says what is wrong with one it cannot', () => {
    const { note: _, ...older } = order
    expect(text(run({ checked: false, document: JSON.stringify(older) }))).toContain('"orderId"')
    const broken = JSON.stringify({ ...order, pieces: 7 })
    expect(run({ checked: false, document: broken })).toMatchObject({ faults: [{ path: ['pieces'] }] })
  })
})

describe('checking a large body', () => {
  it('gives it back as its schema has it, or the faults', () => {
    const endpoint = 'post /orders'
    const good = { title: ' Tea ', collectAt: '2026-12-01T10:00' }
    expect(checkBody({ endpoint, text: JSON.stringify(good) })).toEqual({
      text: JSON.stringify({ ...good, title: 'Tea' }),
    })
    expect(checkBody({ endpoint, text: '{"title":"\\u0000"}' })).toMatchObject({
      faults: [{ path: ['title'] }],
    })
    expect(checkBody({ endpoint, text: '{' })).toHaveProperty('notJson')
  })
})

describe('checking a large order', () => {
  const { workshop } = taskOf({ order: orderSchema.parse(file.order), workshop: starterWorkshop })
  const run = (order: object) => checkLargeOrder({ text: JSON.stringify(order), workshop })

  it('gives its row, with what the list shows', () => {
    const { note: _, ...older } = file.order
    const checked = run(older)
    if (!('row' in checked)) throw new Error(JSON.stringify(checked))
    expect(JSON.parse(checked.row.document).note).toBe('')
    expect(checked.row).toMatchObject({ title: file.order.title, collectAt: file.order.collectAt })
    const pieces = file.order.pieces as { count: number }[]
    expect(checked.row.pieceCount).toBe(pieces.reduce((n, p) => n + p.count, 0))
  })

  it('refuses what the workshop does not have, by its field', () => {
    const order = structuredClone(file.order)
    order.pieces[0].flowers[0].flowerId = 'no-such-flower'
    expect(run(order)).toMatchObject({ faults: [{ path: ['pieces', 0, 'flowers', 0, 'flowerId'] }] })
  })
})

describe('a backup', () => {
  it('is saved, looked at and restored', async () => {
    const url = server.databaseUrl
    await server.api.post('/api/orders/import').send(file).expect(200)
    await server.api.post('/api/flowers/rose/copy').expect(200)
    const bytes = done(await backup({ act: 'save', url })) as Uint8Array
    const made = await server.api.post('/api/orders').send({ title: 'Later', collectAt: '2026-12-01T10:00' })
    const preview = done(await backup({ act: 'preview', url, bytes })) as BackupPreview
    expect([preview.lost, preview.tallies.flowers.inFile]).toEqual([['order “Later”'], 1])
    expect(done(await backup({ act: 'restore', url, bytes, state: 'f'.repeat(32) }))).toBe(412)
    expect(done(await backup({ act: 'restore', url, bytes, state: preview.state }))).toBeNull()
    await server.api.get(`/api/orders/${made.body.order.id}`).expect(404)
    expect(done(await backup({ act: 'preview', url, bytes: new Uint8Array([1]) }))).toBe(400)
  })
})
