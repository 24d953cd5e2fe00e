import { readFileSync } from 'node:fs'
import { Client } from 'pg'
import { afterAll, expect, it } from 'vitest'
import { orderSchema } from '#core/model/order'
import { connect } from '../orm.ts'
import { migrate } from '../start/database.ts'
import { emptyDatabase } from '../testing/api.ts'

let close = async () => {}
afterAll(() => close())

it('orders that were stored in rows and pieces open as they were, deleted ones still deleted', async () => {
  const { order } = JSON.parse(
    readFileSync(new URL('../../core/files/samples/tiers.kanten-order.json', import.meta.url), 'utf8'),
  )
  const stored = orderSchema.parse(order)
  // each tier of a cake was a piece
  const { id, title, customer, collectAt, ...details } = { ...stored, pieces: undefined }
  const { pieces } = order
  const url = await emptyDatabase()
  const orm = await connect(url, { patient: true })
  close = () => orm.close(true)
  await orm.getMigrator().up({ to: '003Dyes' })
  const client = new Client({ connectionString: url })
  await client.connect()
  const insert = (as: string, deletedAt: Date | null, version: number) =>
    client.query(
      'insert into orders (id, title, customer, collect_at, details, deleted_at, updated_at, version) values ($1,$2,$3,$4,$5,$6,now(),$7)',
      [as, title, customer, collectAt, details, deletedAt, version],
    )
  await insert(id, null, 7)
  await insert('bare', new Date(), 1)
  // stored backwards: the position says where a piece belongs
  for (const [position, piece] of [
    ...(pieces as { id: string; name: string; count: number }[]).entries(),
  ].reverse()) {
    const { id: pieceId, name, count, ...spec } = piece
    await client.query(
      'insert into pieces (order_id, id, position, name, count, spec) values ($1,$2,$3,$4,$5,$6)',
      [id, pieceId, position, name, count, spec],
    )
  }
  await client.query(`insert into flowers (id, spec) values ('f', '{"name": "kept"}')`)
  await migrate(orm)
  const { rows } = await client.query('select * from orders order by id')
  expect(rows.map((r) => [r.id, r.version, r.deleted_at === null])).toEqual([
    ['bare', 1, false],
    [id, 7, true],
  ])
  expect(orderSchema.parse(rows[1].document)).toEqual(stored)
  expect(rows[1].document.pieces.map((p: { shape: { kind: string } }) => p.shape.kind)).not.toContain('tier')
  expect(orderSchema.parse(rows[0].document)).toEqual({ ...stored, id: 'bare', pieces: [] })
  expect([rows[1].piece_count, rows[1].colours]).toEqual([73, stored.colours.map((c) => c.hex)])
  expect([rows[0].piece_count, rows[0].colours.length]).toEqual([0, stored.colours.length])
  expect((await client.query('select deleted_at from flowers')).rows).toEqual([{ deleted_at: null }])
  // running them again changes nothing
  await migrate(orm)
  await client.end()
})
