import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { orderSchema } from '#core/model/order'
import { planSchema } from '#core/model/plan'
import { planOf, testApi } from './testing/api.ts'

type Api = Awaited<ReturnType<typeof testApi>>
let server: Api
beforeAll(async () => {
  server = await testApi()
})
afterAll(() => server.close())

const file = () => JSON.parse(readFileSync(new URL('../demo/observatory.json', import.meta.url), 'utf8'))
const begin = async () =>
  (await server.api.post('/api/orders').send({ title: 'Tea', collectAt: '2026-12-01T10:00' }).expect(200))
    .body

describe('orders', () => {
  it('are stored whole, pieces and all, and come back as they went', async () => {
    const made = (await server.api.post('/api/orders/import').send(file()).expect(200)).body
    const read = await server.api.get(`/api/orders/${made.order.id}`).expect(200)
    expect(read.body.order).toEqual(orderSchema.parse(file().order))
    expect(read.headers.etag).toBe('"1"')
  })

  it('saved by one are not overwritten by another who had not seen it', async () => {
    const { order } = await begin()
    const put = (title: string, seen: string) =>
      server.api
        .put(`/api/orders/${order.id}`)
        .set('If-Match', seen)
        .send({ ...order, title })
    const first = await put('First', '"1"').expect(200)
    expect(first.body.version).toBe(2)
    const second = await put('Second', '"1"').expect(412)
    expect(second.body.title).toBe('Changed meanwhile')
    expect((await server.api.get(`/api/orders/${order.id}`)).body.order.title).toBe('First')
    await server.api.put(`/api/orders/${order.id}`).send(order).expect(428)
  })

  it('keep the order of their pieces, lose removed ones and gain added ones', async () => {
    const { order } = (await server.api.post('/api/orders/import').send(file()).expect(200)).body
    const [a, b, ...rest] = order.pieces
    const pieces = [b, ...rest.slice(1), { ...a, count: 99 }, { ...a, id: 'new' }]
    await server.api
      .put(`/api/orders/${order.id}`)
      .set('If-Match', '"1"')
      .send({ ...order, pieces })
      .expect(200)
    const after = await server.api.get(`/api/orders/${order.id}`)
    expect(after.body.order.pieces).toEqual(pieces)
  })

  it('that break a rule are refused with a pointer to the field, and nothing changes', async () => {
    const { order } = await begin()
    const bad = {
      ...order,
      practicePerFlower: 400,
      pieces: [{ id: 'p', name: '', count: 1, shape: { kind: 'cookie', diameterMm: 70 } }],
    }
    const answer = await server.api
      .put(`/api/orders/${order.id}`)
      .set('If-Match', '"1"')
      .send(bad)
      .expect(422)
    expect(answer.headers['content-type']).toMatch('application/problem+json')
    expect(answer.body.errors.map((e: { pointer: string }) => e.pointer)).toEqual([
      '/practicePerFlower',
      '/pieces/0/name',
    ])
    expect((await server.api.get(`/api/orders/${order.id}`)).body.version).toBe(1)
  })

  it('can be deleted, brought back and copied', async () => {
    const { order } = await begin()
    await server.api.delete(`/api/orders/${order.id}`).expect(204)
    await server.api.get(`/api/orders/${order.id}`).expect(404)
    await server.api.post(`/api/orders/${order.id}/restore`).expect(200)
    const copy = await server.api.post(`/api/orders/${order.id}/duplicate`).expect(200)
    expect(copy.body.order).toMatchObject({ title: 'Tea (copy)' })
    expect(copy.body.order.id).not.toBe(order.id)
  })
})

describe('files', () => {
  it('that are broken leave nothing behind', async () => {
    const before = (await server.api.get('/api/orders')).body.total
    const broken = file()
    broken.order.pieces[3].flowers[0].flowerId = 'nothing'
    broken.flowers = []
    const answer = await server.api.post('/api/orders/import').send(broken).expect(422)
    expect(answer.body.errors[0].pointer).toBe('/order/pieces/3/flowers/0/flowerId')
    await server.api
      .post('/api/orders/import')
      .set('Content-Type', 'application/json')
      .send('{"format":')
      .expect(400)
    expect((await server.api.get('/api/orders')).body.total).toBe(before)
  })

  it('carry the bakery’s own flowers to where they are not', async () => {
    const copy = (await server.api.post('/api/flowers/rose/copy').expect(200)).body
    const mine = file()
    mine.order.pieces[0].flowers[0] = { ...mine.order.pieces[0].flowers[0], flowerId: copy.id, colours: {} }
    const { order } = (await server.api.post('/api/orders/import').send(mine).expect(200)).body
    const out = (await server.api.get(`/api/orders/${order.id}/file`).expect(200)).body
    expect(out.flowers.map((f: { id: string }) => f.id)).toEqual([copy.id])
    const elsewhere = await testApi()
    await elsewhere.api.post('/api/orders/import').send(out).expect(200)
    const { workshop } = (await elsewhere.api.get('/api/workshop')).body
    expect(workshop.flowers.some((f: { id: string }) => f.id === copy.id)).toBe(true)
    await elsewhere.close()
  })

  it('give the plan as JSON and its tables as CSV', async () => {
    const { order } = (await server.api.post('/api/orders/import').send(file()).expect(200)).body
    const plan = planSchema.parse(await planOf(server, order.id))
    const csv = await server.api.get(`/api/orders/${order.id}/plan/batches.csv`).expect(200)
    expect(csv.headers['content-type']).toMatch('text/csv')
    expect(csv.text.trim().split('\r\n')).toHaveLength(plan.batches.length + 1)
    await server.api.get(`/api/orders/${order.id}/plan/secrets.csv`).expect(404)
  })
})

describe('the workshop', () => {
  it('has a read-only catalogue; copies can be changed', async () => {
    const { workshop } = (await server.api.get('/api/workshop').expect(200)).body
    const rose = workshop.flowers.find((f: { id: string }) => f.id === 'rose')
    await server.api.put('/api/flowers/rose').set('If-Match', '"0"').send(rose).expect(409)
    const copy = (await server.api.post('/api/flowers/rose/copy').expect(200)).body
    await server.api
      .put(`/api/flowers/${copy.id}`)
      .set('If-Match', '"1"')
      .send({ ...copy, calibration: 1.2 })
      .expect(200)
    await server.api.put(`/api/flowers/${copy.id}`).set('If-Match', '"1"').send(copy).expect(412)
    const after = (await server.api.get('/api/workshop')).body.workshop.flowers
    expect(after.find((f: { id: string }) => f.id === copy.id)).toMatchObject({
      calibration: 1.2,
      basedOn: 'rose',
    })
  })

  it('counts tips, and refuses impossible counts', async () => {
    await server.api
      .put('/api/tips/round-2')
      .set('If-Match', '"0"')
      .send({ owned: 3, stamp: 'No 2' })
      .expect(200)
    const bad = await server.api
      .put('/api/tips/round-2')
      .set('If-Match', '"1"')
      .send({ owned: -1, stamp: '' })
      .expect(422)
    expect(bad.body.errors[0].pointer).toBe('/owned')
    const { workshop, versions } = (await server.api.get('/api/workshop')).body
    expect(workshop.tips.find((t: { id: string }) => t.id === 'round-2')).toMatchObject({
      owned: 3,
      stamp: 'No 2',
    })
    expect(versions.tips['round-2']).toBe(1)
  })

  it('learns from the scale, catalogue flowers too, and forgets on request', async () => {
    const rose = async () =>
      (await server.api.get('/api/workshop')).body.workshop.flowers.find(
        (f: { id: string }) => f.id === 'rose',
      )
    expect((await rose()).calibration).toBe(1)
    const kept = (
      await server.api
        .post('/api/flowers/rose/weighings')
        .send({ count: 4, grams: 52, icingKindId: 'butter-sugar', note: '' })
        .expect(200)
    ).body
    expect(kept.computedGrams).toBeCloseTo(4 * 9.46, 0)
    const { calibration, spread } = await rose()
    expect(calibration).toBeGreaterThan(1.1)
    expect(calibration).toBeLessThan(52 / kept.computedGrams)
    expect(spread).toBeCloseTo(0.15, 5)
    const bad = await server.api
      .post('/api/flowers/rose/weighings')
      .send({ count: 0, grams: -1, icingKindId: 'butter-sugar', note: '' })
      .expect(422)
    expect(bad.body.errors.map((e: { pointer: string }) => e.pointer)).toEqual(['/count', '/grams'])
    await server.api.delete(`/api/flowers/rose/weighings/${kept.id}`).expect(204)
    expect((await rose()).calibration).toBe(1)
  })

  it('keeps what an order still uses', async () => {
    const icing = (await server.api.post('/api/icings/royal/copy').expect(200)).body
    const { order } = await begin()
    const put = { ...order, icingKindId: icing.id }
    await server.api.put(`/api/orders/${order.id}`).set('If-Match', '"1"').send(put).expect(200)
    const refused = await server.api.delete(`/api/icings/${icing.id}`).expect(409)
    expect(refused.body.detail).toContain('is used by "Tea"')
    await server.api.delete(`/api/orders/${order.id}`).expect(204)
    await server.api.delete(`/api/icings/${icing.id}`).expect(204)
  })
})

describe('the server', () => {
  it('tells the truth about the database and describes itself', async () => {
    expect((await server.api.get('/api/health').expect(200)).body).toEqual({ ok: true, database: 'up' })
    const { body } = await server.api.get('/api/openapi.json').expect(200)
    expect(Object.keys(body.paths)).toContain('/api/orders/{id}')
    await server.api.get('/api/nothing').expect(404)
  })

  it('takes changes only from its own pages', async () => {
    await server.api.post('/api/orders').set('Origin', 'http://elsewhere.example').send({}).expect(403)
  })

  it('asks for the passphrase when it has one', async () => {
    const guarded = await testApi({ passphrase: 'open the drawer' })
    await guarded.api.get('/api/orders').expect(401)
    await guarded.api.get('/api/orders').auth('anyone', 'wrong').expect(401)
    await guarded.api.get('/api/orders').auth('anyone', 'open the drawer').expect(200)
    await guarded.close()
  })
})
