import { EventEmitter } from 'node:events'
import { ConnectionException, OptimisticLockError, UniqueConstraintViolationException } from '@mikro-orm/core'
import express, { type ErrorRequestHandler, type Request, type Response } from 'express'
import { pinoHttp } from 'pino-http'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { problemSchema } from '#contract/problem'
import { admission } from './admission.ts'
import { allowedHosts } from './hosts.ts'
import {
  changedMeanwhile,
  databaseAway,
  invalid,
  isAway,
  notFound,
  ProblemError,
  problemHandler,
} from './problems.ts'

/** What a browser gets when a handler throws this. */
async function answered(error: unknown) {
  const logged: unknown[] = []
  const app = express()
  app.use(pinoHttp({ autoLogging: false }, { write: (line: string) => void logged.push(line) }))
  app.get('/', () => {
    throw error
  })
  app.use(problemHandler as ErrorRequestHandler)
  const { status, body, headers } = await request(app).get('/')
  expect(headers['content-type']).toMatch('application/problem+json')
  expect(problemSchema.safeParse(body).success).toBe(true)
  return { status, body, headers, logged }
}

describe('an error becomes a problem document', () => {
  it.each([
    [
      notFound('flower', 'x'),
      404,
      'not-found',
      'There is no flower "x". It may have been deleted meanwhile.',
    ],
    [changedMeanwhile(), 412, 'changed-meanwhile', /Read it again/],
    [databaseAway(), 503, 'database-away', /it tries again by itself/],
    [new OptimisticLockError('two at once'), 412, 'changed-meanwhile', /Read it again/],
    [new UniqueConstraintViolationException(new Error('taken')), 412, 'changed-meanwhile', /Read it again/],
    [new ConnectionException(new Error('gone')), 503, 'database-away', /database/],
    [new URIError('bad'), 400, 'bad-address', /not written correctly/],
    [Object.assign(new Error('x'), { status: 413, type: 'entity.too.large' }), 413, 'too-large', /Split it/],
    [Object.assign(new Error('x'), { status: 400 }), 400, 'unreadable', /cannot be read/],
    [Object.assign(new Error('x'), { status: 415 }), 415, 'not-json', /Send JSON/],
    [Object.assign(new Error('No, thank you.'), { status: 418 }), 418, 'refused', 'No, thank you.'],
  ])('%s: %i', async (error, status, code, detail) => {
    const { body, logged, ...rest } = await answered(error)
    expect([rest.status, body.status, body.code]).toEqual([status, status, code])
    expect(body.detail).toMatch(detail)
    // what a person can act on is no fault of the program
    expect(logged).toEqual([])
  })

  it('what nobody expected says nothing of its inside, and is logged', async () => {
    for (const error of [
      new TypeError('secret of the house'),
      Object.assign(new Error('secret'), { status: 200 }),
      Object.assign(new Error('secret'), { status: 503 }),
    ]) {
      const { status, body, logged } = await answered(error)
      expect([status, body.code]).toEqual([500, 'failed'])
      expect(JSON.stringify(body)).not.toContain('secret')
      expect(logged).toHaveLength(1)
    }
  })

  it('names every field by its pointer, a hundred at the most, and how many there are', async () => {
    const fault = (i: number) => ({ path: ['pieces', i, 'na/me~x'], message: `Fault ${i}.` })
    const one = await answered(invalid([fault(3)]))
    expect(one.body).toMatchObject({
      detail: 'Fault 3.',
      errors: [{ pointer: '/pieces/3/na~1me~0x', detail: 'Fault 3.' }],
    })
    const many = await answered(invalid(Array.from({ length: 130 }, (_, i) => fault(i))))
    expect(many.body.errors).toHaveLength(100)
    expect(many.body.detail).toBe('130 fields need another look.')
  })

  it('says when to come back, where that helps', async () => {
    expect((await answered(databaseAway())).headers['retry-after']).toBe('2')
    expect((await answered(notFound('tip', 't'))).headers['retry-after']).toBeUndefined()
    const later = new ProblemError(429, 'slow', 'Slow', 'Wait.', [], 60)
    expect((await answered(later)).headers['retry-after']).toBe('60')
  })
})

describe('a database that is away', () => {
  it('is known by its codes, by its words, and by what caused an error', () => {
    for (const code of ['08006', '57P01', '57P03', '53300', 'ECONNREFUSED', 'ECONNRESET', 'ENOTFOUND'])
      expect(isAway(Object.assign(new Error('x'), { code })), code).toBe(true)
    for (const words of [
      'Connection terminated unexpectedly',
      'Knex: Timeout acquiring a connection',
      'Client has encountered a connection error and is not queryable',
    ])
      expect(isAway(new Error(words)), words).toBe(true)
    expect(isAway(new Error('outer', { cause: Object.assign(new Error('x'), { code: '08006' }) }))).toBe(true)
  })
  it('is none where a statement was wrong', () => {
    for (const code of ['23505', '42P01', '57P04x', 'EACCES'])
      expect(isAway(Object.assign(new Error('x'), { code })), code).toBe(false)
    expect(isAway(new Error('syntax error at or near "from"'))).toBe(false)
    expect(isAway('Connection terminated')).toBe(false)
    expect(isAway(null)).toBe(false)
  })
})

describe('names of this machine', () => {
  it('lead to it by loopback always, by its own only where it listens to a network', () => {
    expect([...allowedHosts('127.0.0.1', []).keys()].sort()).toEqual(['127.0.0.1', '::1', 'localhost'])
    const open = allowedHosts('0.0.0.0', [])
    expect(open.has('0.0.0.0')).toBe(true)
    expect(open.size).toBeGreaterThan(4)
  })
  it('are taken with port, capitals and brackets, and by the scheme they are listed with', () => {
    const hosts = allowedHosts('localhost', [
      'Kanten.Local:4310',
      'https://kanten.example',
      'http://[2001:db8::7]:80',
    ])
    expect(hosts.get('kanten.local')).toBe('http')
    expect(hosts.get('kanten.example')).toBe('https')
    expect(hosts.get('2001:db8::7')).toBe('http')
  })
})

describe('the line at the door', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  /** Somebody who asks for an address: whether they are in, were sent away, and how they leave. */
  function come(door: ReturnType<typeof admission>, path = '/api/orders') {
    const res = new EventEmitter()
    const guest = { state: 'waiting', leave: () => res.emit('close') }
    door({ path } as Request, res as unknown as Response, (error?: unknown) => {
      guest.state = error instanceof ProblemError ? `refused ${error.status}` : 'inside'
    })
    return guest
  }
  const states = (guests: { state: string }[]) => guests.map((g) => g.state)

  it('lets four in at once, and one more for each that leaves, in the order in which they came', () => {
    const door = admission()
    const guests = Array.from({ length: 7 }, () => come(door))
    expect(states(guests).filter((s) => s === 'inside')).toHaveLength(4)
    guests[1]!.leave()
    vi.advanceTimersByTime(1)
    expect(guests[4]!.state).toBe('inside')
    // whoever gave up waiting is passed over
    guests[5]!.leave()
    guests[0]!.leave()
    vi.advanceTimersByTime(1)
    vi.advanceTimersByTime(1)
    expect(guests[6]!.state).toBe('inside')
  })

  it('has a lane of its own for plans and backups', () => {
    const door = admission()
    const plans = Array.from({ length: 7 }, () => come(door, '/api/orders/x/plan'))
    expect(states(plans).filter((s) => s === 'inside')).toHaveLength(6)
    expect(come(door).state).toBe('inside')
    expect(come(door, '/api/backup').state).toBe('waiting')
    // an order that is called so is no plan
    expect(come(door, '/api/orders/planning').state).toBe('inside')
  })

  it('sends away whoever has waited 4.5 s, and whoever would be the 301st to wait', () => {
    const door = admission()
    const guests = Array.from({ length: 305 }, () => come(door))
    expect(states(guests.slice(0, 4))).toEqual(Array(4).fill('inside'))
    expect(guests[303]!.state).toBe('waiting')
    expect(guests[304]!.state).toBe('refused 503')
    vi.advanceTimersByTime(4499)
    expect(guests[4]!.state).toBe('waiting')
    vi.advanceTimersByTime(2)
    expect(guests[4]!.state).toBe('refused 503')
    expect(states(guests.slice(0, 4))).toEqual(Array(4).fill('inside'))
  })
})
