import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Heard, StoredRun } from '#contract/bench'
import { type BenchEvent, frozenSchema } from '#core/model/bench'
import { testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi()
  await server.api.post('/api/orders/import').send(demo('reading-room')).expect(200)
})
afterAll(() => server.close())

const demo = (name: string) =>
  JSON.parse(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8'))
/** Planning may be asked to come back while other tests plan. */
async function insist(ask: () => PromiseLike<{ status: number; body: unknown }>) {
  for (;;) {
    const answer = await ask()
    if (answer.status !== 503) return answer
  }
}
const begin = async (orderId: string) =>
  (await insist(() => server.api.post(`/api/orders/${orderId}/bench`))).body as {
    id: string
    version: number
  }
const run = async (id: string) => (await server.api.get(`/api/bench/${id}`).expect(200)).body as StoredRun
const event = (stepId: string, minute = 0, kind: BenchEvent['kind'] = 'tap'): BenchEvent => ({
  ...{ id: randomUUID(), stepId, kind, by: null, amount: null, note: null },
  at: new Date(Date.UTC(2027, 7, 14, 12, minute)).toISOString(),
})
const send = (id: string, events: BenchEvent[]) => server.api.post(`/api/bench/${id}/events`).send({ events })
const heard = async (id: string, after = 0) =>
  (await server.api.get(`/api/bench/${id}/events?after=${after}`).expect(200)).body as Heard

describe('work on an order', () => {
  it('is begun once, however often and by how many it is begun, and freezes what is there', async () => {
    const both = await Promise.all([begin('reading-room'), begin('reading-room')])
    expect(both[0].id).toBe(both[1].id)
    const { frozen, version, title } = await run(both[0].id)
    expect([version, title]).toEqual([1, frozen.order.title])
    expect(frozenSchema.parse(frozen).steps.length).toBeGreaterThan(10)
    expect((await server.api.get('/api/bench').expect(200)).body).toMatchObject([{ orderId: 'reading-room' }])
    await server.api.post('/api/orders/nowhere/bench').expect(404)
  })

  it('stays as it was printed when the order changes, until the new plan is taken in', async () => {
    const { id } = await begin('reading-room')
    const before = await run(id)
    const { order, version } = (await server.api.get('/api/orders/reading-room').expect(200)).body
    const pieces = order.pieces.map((p: { count: number }) => ({ ...p, count: p.count + 6 }))
    await server.api
      .put('/api/orders/reading-room')
      .set('If-Match', `"${version}"`)
      .send({ ...order, pieces })
      .expect(200)
    expect((await run(id)).frozen).toEqual(before.frozen)
    await send(id, [event(before.frozen.steps[0]!.id)]).expect(204)
    const renew = (seen: number) =>
      insist(() => server.api.put(`/api/bench/${id}/plan`).set('If-Match', `"${seen}"`))
    expect((await renew(1)).body).toEqual({ version: 2 })
    // whoever has not seen that does not take it in once more
    expect((await renew(1)).status).toBe(412)
    const after = await run(id)
    expect(after.frozen.order.pieces[0]!.count).toBe(pieces[0].count)
    // what was done stays done
    expect(await heard(id)).toMatchObject({ runVersion: 2, events: [{ stepId: before.frozen.steps[0]!.id }] })
    await server.api.delete(`/api/bench/${id}`).expect(409)
  })

  it('can be taken back as long as nothing was noted', async () => {
    await server.api.post('/api/orders/import').send(demo('allotment')).expect(200)
    const { id } = await begin('allotment')
    await server.api.delete(`/api/bench/${id}`).expect(204)
    await server.api.get(`/api/bench/${id}`).expect(404)
  })
})

describe('what is noted', () => {
  it('is kept once, whoever sends it how often, in an order that nobody can miss anything of', async () => {
    const { id } = await begin('reading-room')
    const [step] = (await run(id)).frozen.steps
    const { last } = await heard(id)
    const events = Array.from({ length: 60 }, (_, i) => event(step!.id, i % 60))
    const parts = [0, 20, 40].map((from) => events.slice(from, from + 20))
    // three tablets at once, and one of them again because its answer was lost
    await Promise.all([...parts, parts[1]!].map((p) => send(id, p).expect(204)))
    const all = await heard(id, last)
    expect(all.events.map((e) => e.id).sort()).toEqual(events.map((e) => e.id).sort())
    expect(all.more).toBe(false)
    expect((await heard(id, all.last)).events).toEqual([])
    // a browser that has an answer must not take it for the next one
    const { headers } = await server.api.get(`/api/bench/${id}/events?after=0`)
    expect(headers.etag).toBeUndefined()
  })

  it('that is nonsense is refused with its field, and nothing of it is kept', async () => {
    const { id } = await begin('reading-room')
    const { last } = await heard(id)
    const good = event('x')
    for (const [bad, field] of [
      [{ ...good, id: 'one' }, 'id'],
      [{ ...good, at: 'yesterday' }, 'at'],
      [{ ...good, kind: 'guess' }, 'kind'],
      [{ ...good, note: 'x'.repeat(2001) }, 'note'],
    ] as const) {
      const { body } = await send(id, [event('y'), bad as BenchEvent]).expect(422)
      expect(body.errors[0].pointer).toBe(`/events/1/${field}`)
    }
    expect((await heard(id, last)).events).toEqual([])
    await send(randomUUID(), [good]).expect(404)
  })

  it('is told to whoever listens, within a second, and a new plan too', async () => {
    const { id } = await begin('reading-room')
    const http = createServer(server.app).listen(0, '127.0.0.1')
    await new Promise((resolve) => http.once('listening', resolve))
    const { port } = http.address() as AddressInfo
    const ending = new AbortController()
    const answer = await fetch(`http://127.0.0.1:${port}/api/bench/${id}/stream`, { signal: ending.signal })
    expect(answer.headers.get('content-type')).toBe('text/event-stream')
    const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader()
    const told = async () => {
      for (let text = ''; ; ) {
        text += (await reader.read()).value
        const said = /data: (\d+) (\d+)\n\n/.exec(text)
        if (said) return said.slice(1).map(Number)
      }
    }
    const [before] = await told()
    await send(id, [event('z')]).expect(204)
    const [after, version] = await told()
    expect([after! > before!, version]).toEqual([true, (await heard(id)).runVersion])
    ending.abort()
    await new Promise((resolve) => http.close(resolve))
  })

  it('goes into a backup with its run, and comes back in its order', async () => {
    const { id } = await begin('reading-room')
    const before = await heard(id)
    const file = await server.api
      .get('/api/backup')
      .buffer(true)
      .parse((res, done) => {
        const parts: Buffer[] = []
        res.on('data', (part: Buffer) => parts.push(part))
        res.on('end', () => done(null, Buffer.concat(parts)))
      })
      .expect(200)
    const post = (path: string) =>
      server.api.post(path).set('Content-Type', 'application/octet-stream').send(file.body)
    await send(id, [event('afterwards')]).expect(204)
    const { body } = await post('/api/backup/preview').expect(200)
    expect(body.tallies.noted).toMatchObject({ lost: 1, changed: 0 })
    await post(`/api/backup/restore?state=${body.state}`).expect(204)
    expect((await heard(id)).events).toEqual(before.events)
    expect((await run(id)).version).toBeGreaterThan(before.runVersion)
  })
})
