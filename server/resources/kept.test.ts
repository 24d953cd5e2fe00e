import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { planOf, testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi()
})
afterAll(() => server.close())

const sql = (text: string, values: unknown[] = []) => server.orm.em.fork().execute(text, values)
const workshop = async () => (await server.api.get('/api/workshop').expect(200)).body
const file = () => JSON.parse(readFileSync(new URL('../../demo/observatory.json', import.meta.url), 'utf8'))

const planned = (orderId: string) => planOf(server, orderId)

describe('what is learnt cannot break what is stored', () => {
  const weigh = (body: object) =>
    server.api.post('/api/flowers/rose/weighings').send({ icingKindId: 'butter-sugar', note: '', ...body })

  it('asks about ten roses weighed as one, and takes the answer', async () => {
    const asked = await weigh({ count: 1, grams: 94.6 }).expect(422)
    expect(asked.body.code).toBe('implausible')
    expect(asked.body.detail).toMatch(/10 times what was computed.*Did you count 1\? That would be about 10/)
    expect(asked.body.errors[0].pointer).toBe('/count')
    await weigh({ count: 10, grams: 94.6 }).expect(200)
  })

  it('stays within what a recipe may say, so that a copy can be read again', async () => {
    for (let i = 0; i < 12; i++) await weigh({ count: 1, grams: i % 2 ? 900 : 0.02, sure: true }).expect(200)
    for (let i = 0; i < 12; i++) await weigh({ count: 1, grams: 2000, sure: true }).expect(200)
    const { calibrations } = await workshop()
    expect(calibrations.rose.factor).toBeLessThanOrEqual(5)
    expect(calibrations.rose.spread).toBeLessThanOrEqual(1)
    const copy = (await server.api.post('/api/flowers/rose/copy').expect(200)).body
    expect((await workshop()).workshop.flowers.some((f: { id: string }) => f.id === copy.id)).toBe(true)
    await server.api.get(`/api/flowers/${copy.id}/file`).expect(200)
  })

  it('does not stay in a recipe after the weighings are taken back', async () => {
    const copy = (await server.api.post('/api/flowers/daisy/copy').expect(200)).body
    const find = async () => (await workshop()).workshop.flowers.find((f: { id: string }) => f.id === copy.id)
    // other flowers were weighed by the same hand: what they tell is in it
    const before = await find()
    const kept = (
      await server.api
        .post(`/api/flowers/${copy.id}/weighings`)
        .send({ count: 4, grams: 20, icingKindId: 'butter-sugar', note: '', sure: true })
        .expect(200)
    ).body
    const weighed = await find()
    expect(weighed.calibration).not.toBeCloseTo(before.calibration, 2)
    await server.api
      .put(`/api/flowers/${copy.id}`)
      .set('If-Match', '"1"')
      .send({ ...weighed, name: 'Weighed daisy' })
      .expect(200)
    await server.api.delete(`/api/flowers/${copy.id}/weighings/${kept.id}`).expect(204)
    expect(await find()).toMatchObject({
      name: 'Weighed daisy',
      calibration: expect.closeTo(before.calibration, 9),
    })
    const stored = await sql('select spec from flowers where id = ?', [copy.id])
    expect(stored[0]!.spec).toMatchObject({ calibration: copy.calibration, pace: 1 })
  })

  it('a row that cannot be read does not take the others with it, and is said', async () => {
    const copy = (await server.api.post('/api/flowers/rose/copy').expect(200)).body
    await sql(`update flowers set spec = jsonb_set(spec, '{calibration}', '99') where id = ?`, [copy.id])
    await sql(`insert into bags (id, owned, spec) values ('odd', 1, '{"name": 7}')`)
    await sql(
      `insert into settings (id, "values") values ('bakery', '{"bakery": "Still here", "handfulGrams": -4}')`,
    )
    await sql(
      `insert into mixes (id, colour_id, icing_kind_id, grams, doses, target_hex, observed_hex, at)
       values ('m', 'c', 'butter-sugar', 100, '{}', '#ffffff', 'grey', now())`,
    )
    const stored = await workshop()
    expect(stored.unreadable).toEqual([
      { kind: 'flower', id: copy.id, why: expect.stringContaining('calibration') },
      { kind: 'bag', id: 'odd', why: expect.any(String) },
      { kind: 'setting', id: 'handfulGrams', why: expect.any(String) },
    ])
    expect(stored.workshop.settings).toMatchObject({ bakery: 'Still here', handfulGrams: 250 })
    await server.api.post('/api/orders/import').send(file()).expect(200)
    await planned('observatory')
    await sql(
      `update orders set document = document - 'pieces' || '{"pieces": 7}', schema_stamp = '' where id = 'observatory'`,
    )
    const broken = await server.api.get('/api/orders/observatory').expect(409)
    expect(broken.body).toMatchObject({ code: 'unreadable-order', errors: [{ pointer: '/pieces' }] })
    expect((await server.api.get('/api/orders').expect(200)).body.total).toBe(1)
    await sql(`delete from orders; delete from flowers where id = ?; delete from bags; delete from mixes`, [
      copy.id,
    ])
  })
})

describe('what is deleted', () => {
  const remove = (path: string) => server.api.delete(`/api${path}`)
  const deleted = async () =>
    (await server.api.get('/api/deleted').expect(200)).body.map((d: { kind: string; name: string }) => [
      d.kind,
      d.name,
    ])

  it('comes back with everything that it is made with', async () => {
    const tip = (
      await server.api
        .post('/api/tips')
        .send({ opening: { family: 'round', diameterMm: 7 }, base: 'large', owned: 1, stamp: 'seven' })
        .expect(200)
    ).body
    const flower = (await server.api.post('/api/flowers/rose/copy').expect(200)).body
    flower.layers[0].tipId = tip.id
    await server.api.put(`/api/flowers/${flower.id}`).set('If-Match', '"1"').send(flower).expect(200)
    const mine = file()
    mine.order.pieces[0].flowers[0] = {
      ...mine.order.pieces[0].flowers[0],
      flowerId: flower.id,
      colours: {},
      tips: {},
    }
    const { order } = (await server.api.post('/api/orders/import').send(mine).expect(200)).body

    // what is in use is not deleted
    expect((await remove(`/tips/${tip.id}`).expect(409)).body.code).toBe('still-in-use')
    await remove(`/flowers/${flower.id}`).expect(409)
    await remove(`/orders/${order.id}`).expect(204)
    await remove(`/flowers/${flower.id}`).expect(204)
    await remove(`/tips/${tip.id}`).expect(204)
    expect(await deleted()).toEqual([
      ['tips', 'seven'],
      ['flowers', flower.name],
      ['orders', order.title],
    ])
    const { workshop: now } = await workshop()
    expect(now.flowers.some((f: { id: string }) => f.id === flower.id)).toBe(false)
    // the order still needs both: deleting them for good would leave it without
    await remove(`/deleted/flowers/${flower.id}`).expect(409)
    await remove(`/deleted/tips/${tip.id}`).expect(409)
    await server.api.post(`/api/deleted/orders/${order.id}/restore`).expect(204)
    expect(await deleted()).toEqual([])
    await planned(order.id)
  })

  it('is gone for good when it is deleted from there, and only then', async () => {
    const { order } = (
      await server.api.post('/api/orders').send({ title: 'Tea', collectAt: '2026-12-01T10:00' })
    ).body
    await remove(`/deleted/orders/${order.id}`).expect(404)
    await remove(`/orders/${order.id}`).expect(204)
    await remove(`/orders/${order.id}`).expect(404)
    await remove(`/deleted/orders/${order.id}`).expect(204)
    await server.api.post(`/api/deleted/orders/${order.id}/restore`).expect(404)
    await server.api.post(`/api/deleted/pots/${order.id}/restore`).expect(404)
    const bottle = (
      await server.api
        .post('/api/dyes')
        .send({ name: 'Market rose', weights: { ros: 0.3 }, owned: true, dropGrams: 0.04, dabs: [] })
    ).body
    await remove(`/dyes/${bottle.id}`).expect(204)
    await server.api.post(`/api/deleted/dyes/${bottle.id}/restore`).expect(204)
    expect((await workshop()).workshop.dyes.some((d: { id: string }) => d.id === bottle.id)).toBe(true)
  })
})

describe('copies and files', () => {
  it('get names that tell them apart', async () => {
    const rose = (await server.api.get('/api/flowers/rose/file').expect(200)).body
    const names = []
    for (let i = 0; i < 2; i++)
      names.push((await server.api.post('/api/flowers/import').send(rose).expect(200)).body.name)
    names.push((await server.api.post('/api/icings/royal/copy').expect(200)).body.name)
    names.push((await server.api.post('/api/icings/royal/copy').expect(200)).body.name)
    expect(new Set(names).size).toBe(4)
    const { order } = (
      await server.api.post('/api/orders').send({ title: 'Tea', collectAt: '2026-12-01T10:00' })
    ).body
    const copies = []
    for (let i = 0; i < 2; i++)
      copies.push((await server.api.post(`/api/orders/${order.id}/duplicate`).expect(200)).body.order.title)
    expect(copies).toEqual(['Tea (copy)', 'Tea (copy) 2'])
  })

  it('do not swap a recipe, an icing kind or a tip under an id that the bakery uses for something else', async () => {
    const flower = (await server.api.post('/api/flowers/rose/copy').expect(200)).body
    const icing = (await server.api.post('/api/icings/royal/copy').expect(200)).body
    const mine = file()
    mine.order = { ...mine.order, id: 'theirs', icingKindId: icing.id }
    mine.order.pieces[0].flowers[0] = {
      ...mine.order.pieces[0].flowers[0],
      flowerId: flower.id,
      colours: {},
      tips: {},
    }
    const same = { ...mine, flowers: [flower], icings: [icing], order: { ...mine.order, id: 'same' } }
    const kept = (await server.api.post('/api/orders/import').send(same).expect(200)).body
    expect(kept.notes).toEqual([])
    expect(kept.order.icingKindId).toBe(icing.id)

    const other = {
      ...mine,
      flowers: [{ ...flower, layers: flower.layers.slice(0, 2) }],
      icings: [{ ...icing, density: 1.3 }],
    }
    const taken = (await server.api.post('/api/orders/import').send(other).expect(200)).body
    expect(taken.notes).toHaveLength(2)
    expect(taken.notes[0]).toContain('another recipe than the one you have')
    const now = (await workshop()).workshop
    const byId = (list: { id: string }[], id: string) => list.find((item) => item.id === id)
    expect(byId(now.flowers, flower.id)).toMatchObject({ name: flower.name, layers: flower.layers })
    expect(byId(now.icings, icing.id)).toMatchObject({ density: icing.density })
    const used = taken.order.pieces[0].flowers[0].flowerId
    expect(used).not.toBe(flower.id)
    expect(byId(now.flowers, used)).toMatchObject({ name: `${flower.name} (from the file)` })
    expect(byId(now.icings, taken.order.icingKindId)).toMatchObject({ density: 1.3 })
  })
})

describe('the list of orders', () => {
  it('comes a page at a time, in order, whole, and can be searched', async () => {
    await sql('delete from orders')
    const title = (i: number) => `${i % 3 === 0 ? '100%_Tea' : 'Cake'} ${i}`
    for (let i = 0; i < 25; i++)
      await server.api
        .post('/api/orders')
        .send({ title: title(i), collectAt: `2026-12-${String(1 + (i % 7)).padStart(2, '0')}T10:00` })
    const seen: { id: string; collectAt: string }[] = []
    let next = ''
    do {
      const { body } = await server.api.get(
        `/api/orders?limit=10${next && `&after=${encodeURIComponent(next)}`}`,
      )
      expect(body.total).toBe(25)
      seen.push(...body.orders)
      next = body.next ?? ''
    } while (next)
    expect(new Set(seen.map((o) => o.id)).size).toBe(25)
    expect(seen.map((o) => o.collectAt)).toEqual([...seen.map((o) => o.collectAt)].sort())
    const past = (await server.api.get('/api/orders?before=2026-12-03&latestFirst=1')).body
    expect(past.orders[0].collectAt).toBe('2026-12-02T10:00')
    expect(past.total).toBe(8)
    expect((await server.api.get('/api/orders?from=2026-12-07T10:00')).body.total).toBe(3)
    // signs that a search could take for its own
    expect((await server.api.get(`/api/orders?search=${encodeURIComponent('0%_tea')}`)).body.total).toBe(9)
    expect((await server.api.get('/api/orders?search=_____________________')).body.total).toBe(0)
  })

  it('shows pieces and colours as the order has them, after every save', async () => {
    const { order } = (
      await server.api
        .post('/api/orders/import')
        .send({ ...file(), order: { ...file().order, id: 'listed' } })
    ).body
    const row = async () =>
      (await server.api.get('/api/orders?search=Observatory')).body.orders.find(
        (o: { id: string }) => o.id === order.id,
      )
    expect(await row()).toMatchObject({
      pieces: 73,
      colours: order.colours.map((c: { hex: string }) => c.hex),
    })
    const pieces = order.pieces.slice(0, 1).map((p: object) => ({ ...p, count: 5 }))
    await server.api
      .put(`/api/orders/${order.id}`)
      .set('If-Match', '"1"')
      .send({ ...order, pieces })
      .expect(200)
    expect(await row()).toMatchObject({ pieces: 5, version: 2 })
  })
})
