import { Writable } from 'node:stream'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testApi } from '../testing/api.ts'

type Server = Awaited<ReturnType<typeof testApi>>

describe('who may ask', () => {
  let server: Server
  beforeAll(async () => {
    server = await testApi({ hosts: ['kanten.local', 'https://bakery.example'] })
  })
  afterAll(() => server.close())
  const ask = (headers: Record<string, string>, method: 'get' | 'post' = 'get') =>
    server.api[method]('/api/orders')
      .set(headers)
      .send(method === 'post' ? {} : undefined)

  it('only under a name that is ours: a page elsewhere cannot point its own name here', async () => {
    for (const host of ['localhost:4310', '127.0.0.1', '[::1]:4310', 'Kanten.local', 'bakery.example'])
      expect([host, (await ask({ Host: host })).status]).toEqual([host, 200])
    for (const host of ['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example', '']) {
      const answer = await ask({ Host: host })
      expect([host, answer.status]).toEqual([host, 421])
      expect(answer.body.code).toBe('wrong-host')
    }
  })

  it('not from another page, another scheme or another port', async () => {
    const post = (Origin: string, Host = 'localhost:4310') => ask({ Host, Origin }, 'post')
    // refused for what is in it, not for where it comes from
    expect((await post('http://localhost:4310')).status).toBe(422)
    expect((await post('https://bakery.example', 'bakery.example')).status).toBe(422)
    for (const origin of [
      'http://elsewhere.example',
      'https://localhost:4310',
      'http://localhost:9999',
      'null',
    ])
      expect([origin, (await post(origin)).status]).toEqual([origin, 403])
    expect((await post('http://bakery.example', 'bakery.example')).status).toBe(403)
  })

  it('not for another site, reading neither: the browser says for whom it asks', async () => {
    for (const site of ['cross-site', 'same-site'])
      expect((await ask({ Host: 'localhost', 'Sec-Fetch-Site': site })).body.code).toBe('from-elsewhere')
    for (const site of ['same-origin', 'none'])
      expect((await ask({ Host: 'localhost', 'Sec-Fetch-Site': site })).status).toBe(200)
  })
})

describe('the passphrase', () => {
  const phrase = 'open the drawer'
  let server: Server
  const lines: string[] = []
  beforeAll(async () => {
    const sink = new Writable({
      write(chunk, _encoding, done) {
        lines.push(String(chunk))
        done()
      },
    })
    server = await testApi({ passphrase: phrase, logger: pino({ level: 'debug' }, sink) })
  })
  afterAll(() => server.close())

  it('is said once: a cookie that no script can read stands for it afterwards', async () => {
    await server.api.get('/api/orders').expect(401)
    const opened = await server.api.post('/api/session').send({ passphrase: phrase }).expect(204)
    const cookie = opened.headers['set-cookie']![0]!
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/SameSite=Strict/)
    expect(cookie).not.toContain(phrase)
    const pair = cookie.split(';')[0]!
    await server.api.get('/api/orders').set('Cookie', pair).expect(200)
    // changed by a letter, or good for longer than it was given
    await server.api
      .get('/api/orders')
      .set('Cookie', `${pair.slice(0, -2)}AA`)
      .expect(401)
    const later = pair.replace(/=(\d+)\./, (_, until) => `=${Number(until) + 1000}.`)
    await server.api.get('/api/orders').set('Cookie', later).expect(401)
    const closed = await server.api.delete('/api/session').expect(204)
    expect(closed.headers['set-cookie']![0]).toMatch(/Max-Age=0/)
  })

  it('does not make the browser ask with a window of its own', async () => {
    const fromPage = await server.api.get('/api/orders').set('Sec-Fetch-Mode', 'cors').expect(401)
    expect(fromPage.headers['www-authenticate']).toBeUndefined()
    expect(fromPage.body.code).toBe('passphrase-needed')
    const fromProgram = await server.api.get('/api/orders').expect(401)
    expect(fromProgram.headers['www-authenticate']).toMatch(/Basic/)
  })

  it('never stands in a log, nor does the cookie, whatever fails', async () => {
    const opened = await server.api.post('/api/session').send({ passphrase: phrase })
    const pair = opened.headers['set-cookie']![0]!.split(';')[0]!
    await server.orm.em.fork().execute('alter table orders rename to orders_away')
    await server.api.get('/api/orders').auth('anyone', phrase).expect(500)
    await server.api.get('/api/orders').set('Cookie', pair).expect(500)
    await server.orm.em.fork().execute('alter table orders_away rename to orders')
    const log = lines.join('\n')
    expect(log).toContain('request failed')
    for (const secret of [phrase, Buffer.from(`anyone:${phrase}`).toString('base64'), pair.split('=')[1]!])
      expect(log).not.toContain(secret)
  })

  it('lets the rightful in however many come at once, and makes whoever guesses wait', async () => {
    const right = await Promise.all(
      Array.from({ length: 60 }, () => server.api.get('/api/orders').auth('anyone', phrase)),
    )
    expect(right.filter((r) => r.status !== 200)).toEqual([])
    const wrong = []
    for (let i = 0; i < 24; i++) wrong.push(await server.api.get('/api/orders').auth('anyone', `guess ${i}`))
    expect(wrong.filter((r) => r.status === 401)).toHaveLength(20)
    const late = wrong.at(-1)!
    expect(late.status).toBe(429)
    expect(late.body).toMatchObject({ code: 'too-many-guesses' })
    expect(late.headers['retry-after']).toBe('60')
    // even the right phrase waits now, or guessing would not be slowed down at all
    await server.api.post('/api/session').send({ passphrase: phrase }).expect(429)
  })
})
