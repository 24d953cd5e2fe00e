import { readFileSync } from 'node:fs'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type BackupFile, readBackupFile } from '#core/files/backupFile'
import { planOf, testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi()
  await server.api.post('/api/orders/import').send(demo('observatory')).expect(200)
  await server.api.post('/api/orders/import').send(demo('allotment')).expect(200)
  await server.api.delete('/api/orders/allotment').expect(204)
  const flower = (await server.api.post('/api/flowers/rose/copy').expect(200)).body
  await server.api
    .post(`/api/flowers/${flower.id}/weighings`)
    .send({ count: 4, grams: 40, icingKindId: 'butter-sugar', note: 'cold day' })
    .expect(200)
  const dye = (await server.api.get('/api/workshop')).body.workshop.dyes[0]
  await server.api
    .put(`/api/dyes/${dye.id}`)
    .set('If-Match', '"0"')
    .send({ ...dye, dropGrams: 0.05 })
    .expect(200)
  await server.api
    .post('/api/mixes')
    .send({
      orderId: 'observatory',
      colourId: 'dusk',
      icingKindId: 'butter-sugar',
      grams: 200,
      doses: [{ dyeId: 'pink', drops: 6 }],
      targetHex: '#ffb0be',
      observedHex: '#ffa0ae',
    })
    .expect(200)
  await server.api
    .put('/api/tips/round-2')
    .set('If-Match', '"0"')
    .send({ owned: 3, stamp: 'No 2' })
    .expect(200)
  const { settings } = (await server.api.get('/api/workshop')).body.workshop
  await server.api
    .put('/api/settings')
    .set('If-Match', '"0"')
    .send({ ...settings, bakery: 'Slate & Sorrel' })
    .expect(200)
})
afterAll(() => server.close())

const demo = (name: string) =>
  JSON.parse(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8'))
const binary = (res: NodeJS.ReadableStream, done: (error: Error | null, body: Buffer) => void) => {
  const parts: Buffer[] = []
  res.on('data', (part) => parts.push(part))
  res.on('end', () => done(null, Buffer.concat(parts)))
}
const save = async (of = server) => {
  const answer = await of.api
    .get('/api/backup')
    .buffer(true)
    .parse(binary as never)
    .expect(200)
  return answer.body as Buffer
}
const unpacked = (bytes: Buffer) => JSON.parse(gunzipSync(bytes).toString()) as BackupFile
const send = (of: typeof server, path: string, bytes: Buffer | string) =>
  of.api
    .post(path)
    .set('Content-Type', 'application/octet-stream')
    .send(bytes as string)
const preview = (of: typeof server, bytes: Buffer | string) => send(of, '/api/backup/preview', bytes)
/** What of a backup is not the moment that it was saved at. */
const contents = ({ savedAt: _, ...file }: BackupFile) => file

describe('a backup', () => {
  it('holds everything, deleted things too, as an open file with a published schema', async () => {
    const file = unpacked(await save())
    expect(readBackupFile(file).ok).toBe(true)
    expect(file.orders.map((o) => [o.order.id, o.deletedAt === null])).toEqual([
      ['allotment', false],
      ['observatory', true],
    ])
    expect([file.flowers, file.weighings, file.looks, file.dyes, file.tips].map((l) => l.length)).toEqual([
      1, 1, 1, 1, 1,
    ])
    expect(file.settings).toMatchObject({ bakery: 'Slate & Sorrel' })
    const { backedUpAt, orders } = (await server.api.get('/api/backup/age').expect(200)).body
    expect(Date.now() - Date.parse(backedUpAt)).toBeLessThan(60_000)
    expect(orders).toBe(1)
  })

  it('is looked at before it is restored, and restores an empty bakery to the letter', async () => {
    const bytes = await save()
    const empty = await testApi()
    const { body } = await preview(empty, bytes).expect(200)
    expect(body).toMatchObject({ bakery: 'Slate & Sorrel', settingsChange: true, lost: [] })
    expect(body.tallies.orders).toEqual({ here: 0, inFile: 2, added: 2, changed: 0, lost: 0 })
    await send(empty, `/api/backup/restore?state=${body.state}`, bytes).expect(204)
    expect(contents(unpacked(await save(empty)))).toEqual(contents(unpacked(bytes)))
    // everything works on from there
    await planOf(empty, 'observatory')
    const again = (await preview(empty, bytes)).body
    expect(
      Object.values(again.tallies as Record<string, { added: number; changed: number; lost: number }>),
    ).toEqual(Object.values(again.tallies as object).map((t) => ({ ...t, added: 0, changed: 0, lost: 0 })))
    await empty.close()
  })

  it('may be saved first in a bakery that has saved no settings yet, and nobody is the worse for it', async () => {
    const bytes = await save()
    const empty = await testApi()
    const { state } = (await preview(empty, bytes)).body
    await save(empty)
    await send(empty, `/api/backup/restore?state=${state}`, bytes).expect(204)
    await empty.close()

    const other = await testApi()
    const { settings } = (await other.api.get('/api/workshop')).body.workshop
    await save(other)
    const changed = { ...settings, bakery: 'Corner bakery' }
    await other.api.put('/api/settings').set('If-Match', '"0"').send(changed).expect(200)
    await other.close()
  })

  it('says by name what would be lost or changed, and is refused when somebody saved meanwhile', async () => {
    const bytes = await save()
    const { order, version } = (await server.api.get('/api/orders/observatory')).body
    await server.api
      .put('/api/orders/observatory')
      .set('If-Match', `"${version}"`)
      .send({ ...order, title: 'Changed' })
    const made = (
      await server.api.post('/api/orders').send({ title: 'New one', collectAt: '2026-12-01T10:00' })
    ).body
    const { body } = await preview(server, bytes).expect(200)
    expect(body.lost).toEqual(['order “New one”'])
    expect(body.changed).toEqual(['order “Observatory opening night”'])
    await server.api.post('/api/orders').send({ title: 'Meanwhile', collectAt: '2026-12-01T10:00' })
    const path = `/api/backup/restore?state=${body.state}`
    expect((await send(server, path, bytes).expect(412)).body.code).toBe('changed-meanwhile')
    const now = (await preview(server, bytes)).body
    await send(server, `/api/backup/restore?state=${now.state}`, bytes).expect(204)
    await server.api.get(`/api/orders/${made.order.id}`).expect(404)
    // whoever had seen the order before does not overwrite the restored one unseen
    const back = (await server.api.get('/api/orders/observatory')).body
    expect(back.order.title).toBe('Observatory opening night')
    expect(back.version).toBeGreaterThan(version + 1)
    await server.api
      .put('/api/orders/observatory')
      .set('If-Match', `"${version + 1}"`)
      .send(order)
      .expect(412)
  })

  it('that is damaged, cut short, of another kind or broken inside changes nothing', async () => {
    const bytes = await save()
    const before = contents(unpacked(bytes))
    const broken = { ...unpacked(bytes) }
    broken.orders[0]!.order.pieces[0]!.count = -1
    const twice = unpacked(bytes)
    twice.tips.push(twice.tips[0]!)
    const cases: [Buffer | string, number, RegExp][] = [
      [bytes.subarray(0, bytes.length / 2), 400, /damaged or was cut short/],
      ['no json', 400, /neither JSON nor/],
      [JSON.stringify(demo('allotment')), 422, /not a Kanten backup/],
      [gzipSync(JSON.stringify(broken)), 422, /At least one piece/],
      [gzipSync(JSON.stringify(twice)), 422, /used twice/],
    ]
    for (const [file, status, words] of cases) {
      const answer = await preview(server, file)
      expect(answer.status).toBe(status)
      expect(JSON.stringify(answer.body)).toMatch(words)
    }
    await server.api.post('/api/backup/preview').send({}).expect(415)
    await send(server, '/api/backup/restore?state=nonsense', bytes).expect(422)
    expect(contents(unpacked(await save()))).toEqual(before)
  })

  it('carries along what this program cannot read, and puts it back', async () => {
    const sql = (text: string) => server.orm.em.fork().execute(text)
    await sql(`insert into icings (id, spec) values ('odd', '{"from": "a later program"}')`)
    const bytes = await save()
    expect(unpacked(bytes).unread).toMatchObject([{ table: 'icings', row: { id: 'odd' } }])
    const other = await testApi()
    const { state } = (await preview(other, bytes)).body
    await send(other, `/api/backup/restore?state=${state}`, bytes).expect(204)
    expect(await other.orm.em.fork().execute('select spec from icings')).toEqual([
      { spec: { from: 'a later program' } },
    ])
    await other.close()
    await sql(`delete from icings where id = 'odd'`)
  })

  it('saved by this version stays readable: a sample is kept', async () => {
    const sample = readFileSync(new URL('sample.kanten-backup.json.gz', import.meta.url))
    const other = await testApi()
    const { body } = await preview(other, sample).expect(200)
    expect(body.tallies.orders.inFile).toBe(2)
    await send(other, `/api/backup/restore?state=${body.state}`, sample).expect(204)
    await planOf(other, 'observatory')
    await other.close()
  })
})
