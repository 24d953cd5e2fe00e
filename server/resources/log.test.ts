import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { MOST_PHOTOGRAPHS } from '#contract/log'
import { type LogEntry, logEntrySchema, logEntryVersion } from '#core/model/logEntry'
import { testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi()
})
afterAll(() => server.close())

const entry: LogEntry = logEntrySchema.parse({
  ...{ schemaVersion: logEntryVersion, id: 'tea', orderId: null, title: 'Tea', at: '2027-08-14T16:00' },
  ...{ people: ['Ada'], roomC: 21.5, bags: [], plannedMinutes: 60, minutes: 72.25, remarks: [] },
  batches: [
    {
      ...{ id: 'b', colour: 'Dusk', hex: '#8f86b2', icingKindId: 'butter-sugar', stiffness: 'stiff' },
      ...{ plannedGrams: 140, leftGrams: 12.5, estimated: false, ranShort: false },
    },
  ],
  flowers: [],
})
const put = (version: number, body: object) =>
  server.api.put('/api/log/tea').set('If-Match', `"${version}"`).send(body)

describe('an entry of the logbook', () => {
  it('is written once, changed only by whoever has seen it, and refused by its field', async () => {
    await server.api.get('/api/log/tea').expect(404)
    expect((await put(0, entry).expect(200)).body).toEqual({ entry, version: 1 })
    await put(0, entry).expect(412)
    await put(1, { ...entry, roomC: 23 }).expect(200)
    await put(1, entry).expect(412)
    const wrong = await put(2, { ...entry, batches: [{ ...entry.batches[0], leftGrams: -3 }] }).expect(422)
    expect(wrong.body.errors[0]).toEqual({ pointer: '/batches/0/leftGrams', detail: 'At least 0 g.' })
    expect((await server.api.get('/api/log/tea').expect(200)).body.entry.roomC).toBe(23)
  })
})

describe('the logbook', () => {
  const other: LogEntry = {
    ...entry,
    ...{
      id: 'opening',
      title: 'Opening night',
      at: '2027-09-02T10:00',
      people: ['Bea'],
      remarks: ['Very warm.'],
    },
  }
  const titles = async (search = '') =>
    (
      (await server.api.get(`/api/log?search=${encodeURIComponent(search)}`).expect(200)).body as {
        entry: LogEntry
      }[]
    ).map((s) => s.entry.title)

  it('is taken in from a file, without touching what is here, and found by any word, the latest first', async () => {
    const file = {
      format: 'kanten-logbook',
      schemaVersion: 1,
      entries: [{ ...entry, title: 'Another tea' }, other],
    }
    expect((await server.api.post('/api/log/import').send(file).expect(200)).body).toEqual({
      added: 1,
      known: 1,
    })
    expect(await titles()).toEqual(['Opening night', 'Tea'])
    expect(await titles('dusk ADA')).toEqual(['Tea'])
    expect(await titles('warm')).toEqual(['Opening night'])
    expect(await titles('moss')).toEqual([])
    const wrong = { ...file, entries: [{ ...other, at: 'yesterday' }] }
    const { body } = await server.api.post('/api/log/import').send(wrong).expect(422)
    expect(body.errors[0].pointer).toBe('/entries/0/at')
  })

  it('keeps what an entry was before it was changed, once for changes of one sitting, and when it is deleted', async () => {
    await server.api
      .put('/api/log/opening')
      .set('If-Match', '"1"')
      .send({ ...other, roomC: 30 })
      .expect(200)
    await server.api
      .put('/api/log/opening')
      .set('If-Match', '"2"')
      .send({ ...other, roomC: 31 })
      .expect(200)
    await server.api.put('/api/log/opening').set('If-Match', '"2"').send(other).expect(412)
    await server.api.delete('/api/log/opening').expect(204)
    await server.api.delete('/api/log/opening').expect(404)
    const { body } = await server.api.get('/api/log/opening/history').expect(200)
    expect(body.map((h: { entry: LogEntry; deleted: boolean }) => [h.entry.roomC, h.deleted])).toEqual([
      [31, true],
      [21.5, false],
    ])
    await server.api.put('/api/log/opening').set('If-Match', '"0"').send(body[0].entry).expect(200)
    expect(await titles()).toEqual(['Opening night', 'Tea'])
  })

  it('is begun by hand from an order’s plan', async () => {
    const demo = JSON.parse(readFileSync(new URL('../../demo/reading-room.json', import.meta.url), 'utf8'))
    await server.api.post('/api/orders/import').send(demo).expect(200)
    const begin = async (): Promise<{ entry: LogEntry; version: number }> => {
      const { status, body } = await server.api.post('/api/orders/reading-room/log')
      return status === 503 ? begin() : body
    }
    const { entry: made, version } = await begin()
    const plan = (await server.api.get('/api/orders/reading-room/plan').expect(200)).body
    expect(version).toBe(1)
    expect(made.batches.map((b) => b.plannedGrams)).toEqual(
      plan.batches.map((b: { grams: number }) => b.grams),
    )
    for (const f of made.flowers) expect([f.piped, f.spoiled, f.minutes]).toEqual([f.wanted, 0, null])
    expect(made.minutes).toBeNull()
    await server.api.delete(`/api/log/${made.id}`).expect(204)
  })
})

/** A JPEG of nothing but its beginning and, where it says one, a place in degrees north and east. */
function jpeg(place: [number, number] | null): Buffer {
  const start = Buffer.from([0xff, 0xd8])
  const end = Buffer.from([0xff, 0xd9])
  if (!place) return Buffer.concat([start, Buffer.from([0xff, 0xe0, 0, 4, 0, 0]), end])
  // Exif 2.3: one directory that leads to one of positions
  const tiff = Buffer.alloc(8 + 18 + 54 + 48)
  tiff.write('MM', 0, 'latin1')
  tiff.writeUInt16BE(42, 2)
  tiff.writeUInt32BE(8, 4)
  const field = (at: number, tag: number, type: number, count: number, value: number | string) => {
    tiff.writeUInt16BE(tag, at)
    tiff.writeUInt16BE(type, at + 2)
    tiff.writeUInt32BE(count, at + 4)
    if (typeof value === 'string') tiff.write(`${value}\0`, at + 8, 'latin1')
    else tiff.writeUInt32BE(value, at + 8)
  }
  tiff.writeUInt16BE(1, 8)
  field(10, 0x8825, 4, 1, 26)
  tiff.writeUInt16BE(4, 26)
  field(28, 1, 2, 2, 'N')
  field(40, 2, 5, 3, 80)
  field(52, 3, 2, 2, 'E')
  field(64, 4, 5, 3, 104)
  place.forEach((degrees, axis) => {
    ;[degrees, 0, 0].forEach((value, i) => {
      tiff.writeUInt32BE(value, 80 + 24 * axis + 8 * i)
      tiff.writeUInt32BE(1, 84 + 24 * axis + 8 * i)
    })
  })
  const exif = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff])
  const head = Buffer.from([0xff, 0xe1, 0, 0])
  head.writeUInt16BE(exif.length + 2, 2)
  return Buffer.concat([start, head, exif, end])
}
const send = (bytes: Buffer) =>
  server.api.post('/api/log/tea/photographs').set('Content-Type', 'application/octet-stream').send(bytes)

describe('photographs', () => {
  it('are kept as they come, listed, shown, and deleted; only so many', async () => {
    const small = jpeg(null)
    const { body } = await send(small).expect(200)
    const shown = await server.api.get(`/api/photographs/${body.id}`).expect(200)
    expect(shown.headers['content-type']).toBe('image/jpeg')
    expect(shown.body).toEqual(small)
    for (let i = 1; i < MOST_PHOTOGRAPHS; i++) await send(small).expect(200)
    expect((await send(small).expect(422)).body.detail).toMatch(/At most 12/)
    await server.api.delete(`/api/photographs/${body.id}`).expect(204)
    await server.api.get(`/api/photographs/${body.id}`).expect(404)
    expect((await server.api.get('/api/log/tea/photographs').expect(200)).body).toHaveLength(
      MOST_PHOTOGRAPHS - 1,
    )
  })
  it('are refused in words when they are none, too large, or say where they were taken', async () => {
    expect((await send(Buffer.from('%PDF-1.7')).expect(422)).body.title).toBe('Not a photograph')
    const large = Buffer.concat([jpeg(null), Buffer.alloc(2_100_000)])
    expect((await send(large).expect(422)).body.detail).toMatch(/2\.1 MB; at most 2 MB/)
    expect((await send(jpeg([52, 13])).expect(422)).body.code).toBe('says-where')
  })
  it('travel with the backup, and come back with it', async () => {
    const before = (await server.api.get('/api/log/tea/photographs')).body as { id: string }[]
    const file = await server.api
      .get('/api/backup')
      .buffer(true)
      .parse((res, done) => {
        const parts: Buffer[] = []
        res.on('data', (part: Buffer) => parts.push(part))
        res.on('end', () => done(null, Buffer.concat(parts)))
      })
    for (const { id } of before) await server.api.delete(`/api/photographs/${id}`).expect(204)
    const upload = (path: string) =>
      server.api.post(path).set('Content-Type', 'application/octet-stream').send(file.body)
    const { body } = await upload('/api/backup/preview').expect(200)
    expect(body.tallies.photographs).toMatchObject({ here: 0, inFile: before.length, added: before.length })
    await upload(`/api/backup/restore?state=${body.state}`).expect(204)
    expect((await server.api.get('/api/log/tea/photographs')).body).toHaveLength(before.length)
    expect((await server.api.get(`/api/photographs/${before[0]!.id}`).expect(200)).body).toEqual(jpeg(null))
    expect((await server.api.get('/api/log/tea').expect(200)).body.entry.roomC).toBe(23)
  })
})
