import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { request as httpRequest } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'kanten-web-'))
  mkdirSync(join(folder, 'assets'))
  writeFileSync(join(folder, 'index.html'), '<title>Kanten</title>')
  for (const name of ['app.js', 'kitchen-1.js', 'drawing-1.svg'])
    writeFileSync(join(folder, 'assets', name), 'let a = 1')
  server = await testApi({ webFolder: folder })
})
afterAll(() => server.close())

const start = { title: 'Tea', collectAt: '2026-12-01T10:00' }
const post = (body: string, headers: Record<string, string> = {}) =>
  server.api
    .post('/api/orders')
    .set({ 'Content-Type': 'application/json', ...headers })
    .send(body)

describe('requests that cannot be right are refused as such, never as a failure of the server', () => {
  it.each([
    ['/api/orders/%E0%A4%A', 400],
    ['/%E0%A4%A', 400],
    ['/api/orders/a%00b', 404],
    ['/api/orders/toString', 404],
    ['/api/orders/constructor/plan/toString.csv', 404],
    ['/api/flowers/__proto__/file', 404],
    [`/api/orders/${'x'.repeat(3000)}`, 404],
    ['/api/orders?limit=many', 422],
    ['/api/orders?limit=10&limit=20', 422],
    ['/api/orders?after=x', 422],
    ['/api/orders?search=%00', 422],
    ['/assets/gone.js', 404],
    ['/favicon.ico', 404],
    ['/api', 404],
    ['/orders/observatory', 200],
  ])('GET %s gives %i', async (path, status) => {
    const answer = await server.api.get(path)
    expect(answer.status).toBe(status)
    if (status >= 400) expect(answer.headers['content-type']).toMatch('application/problem+json')
  })

  it('answers with the table names where a table is no table, inherited names among them', async () => {
    const { order } = (await post(JSON.stringify(start)).expect(200)).body
    for (const table of ['toString', 'valueOf', 'secrets', 'hasOwnProperty'])
      await server.api.get(`/api/orders/${order.id}/plan/${table}.csv`).expect(404)
  })

  it('refuses conditions and parts of pages that do not hold', async () => {
    await server.api.get('/assets/app.js').set('If-Match', '"none"').expect(412)
    await server.api.get('/assets/app.js').set('Range', 'bytes=900-').expect(416)
    await server.api.get('/orders').set('If-Match', '"none"').expect(412)
  })

  it('holds pages, workers and drawings to a policy; a script is refused as anything else', async () => {
    for (const path of ['/orders', '/assets/kitchen-1.js', '/assets/drawing-1.svg', '/api/orders']) {
      const { headers } = await server.api.get(path).expect(200)
      expect(headers['content-security-policy'], path).toContain("script-src 'self'")
      expect(headers['x-content-type-options'], path).toBe('nosniff')
    }
    const { headers } = await server.api.get('/assets/app.js').expect(200)
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'cross-origin-resource-policy': 'same-origin',
      'cache-control': 'public, max-age=31536000, immutable',
    })
    expect(headers['content-security-policy']).toBeUndefined()
  })

  it('refuses bodies in encodings and alphabets that it does not read', async () => {
    const body = JSON.stringify(start)
    await post(body, { 'Content-Encoding': 'sdch' }).expect(415)
    await post(body, { 'Content-Type': 'application/json; charset=klingon' }).expect(415)
    await post(body, { 'Content-Encoding': 'gzip' }).expect(400)
    await post(body, { 'Content-Type': 'text/plain' }).expect(415)
    await post('{"title":').expect(400)
    await post(JSON.stringify({ title: 'x'.repeat(3_000_000) })).expect(413)
    await post('['.repeat(100_000)).expect(400)
    await post(`${'['.repeat(50_000)}"\\u0000"${']'.repeat(50_000)}`).expect(422)
  })

  it('names the field where a text cannot be stored: NUL, and half a surrogate pair', async () => {
    for (const bad of ['\\u0000', '\\ud800', 'a\\udc00b']) {
      const answer = await post(`{"title":"${bad}","collectAt":"2026-12-01T10:00"}`).expect(422)
      expect(answer.body.errors).toMatchObject([{ pointer: '/title' }])
    }
    // what only looks like one is fine: a backslash and letters, and a whole pair
    await post('{"title":"\\\\u0000 \\ud83c\\udf39","collectAt":"2026-12-01T10:00"}').expect(200)
    const ids = await server.api
      .put('/api/bags/a')
      .set('If-Match', '"0"')
      .send({ id: '\u0000', name: 'x', kind: 'disposable', lengthMm: 200, residueGrams: 8, owned: 1 })
    expect(ids.status).toBe(422)
  })

  it('refuses ids that every object already answers to', async () => {
    const { order } = (await post(JSON.stringify(start)).expect(200)).body
    const colours = [{ id: 'constructor', name: 'x', hex: '#ffffff' }]
    const answer = await server.api
      .put(`/api/orders/${order.id}`)
      .set('If-Match', '"1"')
      .send({ ...order, colours })
      .expect(422)
    expect(answer.body.errors[0]).toEqual({
      pointer: '/colours/0/id',
      detail: 'This word cannot be an id. Choose another.',
    })
  })

  it('gives one of two that are made at the same moment another id, and loses neither', async () => {
    const file = (
      await server.api.get(`/api/orders/${(await post(JSON.stringify(start))).body.order.id}/file`)
    ).body
    file.order.id = 'twice'
    const made = await Promise.all(
      Array.from({ length: 8 }, () => server.api.post('/api/orders/import').send(file)),
    )
    expect(made.map((m) => m.status)).toEqual(Array(8).fill(200))
    expect(new Set(made.map((m) => m.body.order.id)).size).toBe(8)
    // with a recipe that none of them finds there
    const rose = (await server.api.get('/api/flowers/rose/file')).body.flower
    const own = { ...rose, id: 'twice-rose', source: 'own' }
    const placed = { id: 'f', flowerId: own.id, placement: { kind: 'each', perPiece: 1 } }
    const shape = { kind: 'cookie', diameterMm: 70 }
    const pieces = [{ id: 'p', name: 'Cookies', count: 2, shape, flowers: [placed] }]
    const withRecipe = { ...file, order: { ...file.order, pieces }, flowers: [own] }
    const more = await Promise.all(
      Array.from({ length: 4 }, () => server.api.post('/api/orders/import').send(withRecipe)),
    )
    expect(more.map((m) => [m.status, m.body.notes])).toEqual(Array(4).fill([200, []]))
    const tip = () => server.api.put('/api/tips/round-3').set('If-Match', '"0"').send({ owned: 2, stamp: '' })
    const saved = await Promise.all([tip(), tip(), tip()])
    expect(saved.map((s) => s.status).sort()).toEqual([200, 412, 412])
  })

  it('answers what breaks off in the middle with a refusal, and goes on', async () => {
    const listening = server.app.listen(0)
    const { port } = listening.address() as AddressInfo
    await new Promise<void>((resolve) => {
      const cut = httpRequest({
        port,
        path: '/api/orders',
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'Content-Length': 1000 },
      })
      cut.on('error', () => resolve())
      cut.write('{"title":')
      setTimeout(() => cut.destroy(), 50)
    })
    await server.api.get('/api/health').expect(200)
    listening.close()
  })
})
