import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import { planOf, testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi()
})
afterAll(() => server.close())

const stored = async () => (await server.api.get('/api/workshop').expect(200)).body
const put = (path: string, body: object, seen?: string) => {
  const call = server.api.put(`/api${path}`)
  return (seen === undefined ? call : call.set('If-Match', seen)).send(body)
}
const copyOf = async (kind: 'flowers' | 'icings', id: string) =>
  (await server.api.post(`/api/${kind}/${id}/copy`).expect(200)).body
const begin = async (title = 'Tea', more: object = {}) => {
  const made = await server.api.post('/api/orders').send({ title, collectAt: '2026-12-01T10:00' }).expect(200)
  const order = { ...made.body.order, ...more }
  if (Object.keys(more).length > 0) await put(`/orders/${order.id}`, order, '"1"').expect(200)
  return order
}
const TEA_ROUND = { opening: { family: 'round', diameterMm: 7 }, base: 'large', owned: 1, stamp: 'seven' }
const ownTip = async () => (await server.api.post('/api/tips').send(TEA_ROUND).expect(200)).body
const bag = { id: 'short', name: 'Short', kind: 'disposable', lengthMm: 200, residueGrams: 8, owned: 4 }

/** Everything of the workshop that is saved whole: where, what, what is changed, and how it reads afterwards. */
const DOCUMENTS = [
  {
    what: 'settings',
    make: async () => ({ path: '/settings', body: starterWorkshop.settings, version: 0 }),
    change: { bakery: 'Kiln & Crumb' },
    read: (s: Stored) => s.workshop.settings,
  },
  {
    what: 'a bag',
    make: async () => ({ path: '/bags/short', body: bag, version: 0 }),
    change: { owned: 9 },
    read: (s: Stored) => s.workshop.bags.find((b) => b.id === 'short'),
  },
  {
    what: 'a tip’s count',
    make: async () => ({ path: '/tips/round-4', body: { owned: 1, stamp: '' }, version: 0 }),
    change: { stamp: 'four' },
    read: (s: Stored) => s.workshop.tips.find((t) => t.id === 'round-4'),
  },
  {
    what: 'a flower',
    make: async () => {
      const body = await copyOf('flowers', 'daisy')
      return { path: `/flowers/${body.id}`, body, version: 1 }
    },
    change: { spoilRate: 0.11 },
    read: (s: Stored, id: string) => s.workshop.flowers.find((f) => f.id === id),
  },
  {
    what: 'an icing kind',
    make: async () => {
      const body = await copyOf('icings', 'royal')
      return { path: `/icings/${body.id}`, body, version: 1 }
    },
    change: { density: 1.31 },
    read: (s: Stored, id: string) => s.workshop.icings.find((i) => i.id === id),
  },
] as const
type Stored = {
  workshop: Record<'tips' | 'bags' | 'flowers' | 'icings', { id: string }[]> & { settings: object }
}

describe('what is saved whole', () => {
  it.each(DOCUMENTS.map((d) => [d.what, d] as const))(
    '%s: is kept, counts its versions, and is not overwritten by whoever had not seen them',
    async (_, { make, change, read }) => {
      const { path, body, version } = await make()
      const changed = { ...body, ...change }
      const first = await put(path, body, `"${version}"`).expect(200)
      // a row that has just been made is version 1; one that was there and is as it was need not count up
      expect(first.headers.etag).toBe(`"${first.body.version}"`)
      const second = await put(path, changed, `"${first.body.version}"`).expect(200)
      expect(second.body.version).toBe(first.body.version + 1)
      for (const seen of [first.body.version, 0, 99]) {
        const stale = await put(path, body, `"${seen}"`).expect(412)
        expect(stale.body).toMatchObject({ title: 'Changed meanwhile' })
      }
      for (const seen of [undefined, '3', '"x"', '*', '"-1"']) {
        const answer = await put(path, body, seen).expect(428)
        expect(answer.body.code).toBe('version-needed')
      }
      expect(read(await stored(), path.split('/').at(-1)!)).toMatchObject(change)
    },
  )

  it('under another id than it says itself it is refused, by that field', async () => {
    const flower = await copyOf('flowers', 'daisy')
    const icing = await copyOf('icings', 'royal')
    for (const [path, body] of [
      ['/bags/other', bag],
      ['/flowers/other', flower],
      ['/icings/other', icing],
      ['/orders/other', (await begin()) as object],
    ] as const) {
      const answer = await put(path, body, '"1"').expect(422)
      expect(answer.body.errors, path).toMatchObject(
        [{ pointer: '/id', detail: /The address says "other"/ }].map((e) => ({
          pointer: e.pointer,
          detail: expect.stringMatching(e.detail),
        })),
      )
    }
  })

  it('what belongs to the catalogue is not changed but copied', async () => {
    const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
    const royal = starterWorkshop.icings.find((i) => i.id === 'royal')!
    expect((await put('/flowers/rose', rose, '"0"').expect(409)).body.code).toBe('catalogue')
    expect((await put('/icings/royal', royal, '"0"').expect(409)).body.detail).toMatch(/Copy it, then change/)
    await put('/tips/no-such-tip', { owned: 1, stamp: '' }, '"0"').expect(404)
    for (const path of ['/flowers/no/copy', '/icings/no/copy'])
      await server.api.post(`/api${path}`).expect(404)
    await server.api.get('/api/flowers/no/file').expect(404)
    for (const path of ['/flowers/rose', '/icings/royal', '/tips/round-3']) {
      const answer = await server.api.delete(`/api${path}`).expect(404)
      expect(answer.body.detail, path).toMatch(/of your own/)
    }
  })

  it('a recipe that could not be piped is refused by the layer that is wrong', async () => {
    const flower = await copyOf('flowers', 'daisy')
    const layers = flower.layers.map((l: object, i: number) => (i === 1 ? { ...l, tipId: 'gone' } : l))
    const answer = await put(`/flowers/${flower.id}`, { ...flower, layers }, '"1"').expect(422)
    expect(answer.body.errors[0].pointer).toBe('/layers/1/tipId')
    expect((await stored()).versions.flowers[flower.id]).toBe(1)
  })
})

describe('the workshop as it is read', () => {
  it('is not sent again while nothing has changed', async () => {
    const first = await server.api.get('/api/workshop').expect(200)
    const { etag } = first.headers
    await server.api.get('/api/workshop').set('If-None-Match', etag!).expect(304)
    await put('/tips/round-5', { owned: 7, stamp: '' }, '"0"').expect(200)
    const after = await server.api.get('/api/workshop').set('If-None-Match', etag!).expect(200)
    expect(after.headers.etag).not.toBe(etag)
  })
})

describe('what is used is not deleted', () => {
  const piece = (placed: object) => ({
    id: 'p',
    name: 'Cakes',
    count: 2,
    shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
    flowers: [{ id: 'f', flowerId: 'daisy', placement: { kind: 'each', perPiece: 1 }, ...placed }],
  })
  const daisy = starterWorkshop.flowers.find((f) => f.id === 'daisy')!

  it('a tip: chosen for a layer, of an added layer, or of a recipe', async () => {
    const extra = { ...daisy.layers[1]!, id: 'extra', load: { kind: 'plain', role: 'added' } }
    const colours = [{ id: 'white', name: 'White', hex: '#fffaf0' }]
    const ways: [string, (tipId: string) => Promise<{ id: string; undo: string }>][] = [
      [
        'chosen',
        async (tipId) => {
          const tips = { [daisy.layers.at(-1)!.id]: tipId }
          const order = await begin('Chosen', { pieces: [piece({ tips })] })
          return { id: order.title, undo: `/orders/${order.id}` }
        },
      ],
      [
        'added',
        async (tipId) => {
          const added = [
            {
              layer: { ...extra, stroke: { kind: 'dot', radiusMm: 2, tallMm: 2 }, tipId },
              colourId: 'white',
            },
          ]
          const order = await begin('Added', { colours, pieces: [piece({ added })] })
          return { id: order.title, undo: `/orders/${order.id}` }
        },
      ],
      [
        'recipe',
        async (tipId) => {
          const flower = await copyOf('flowers', 'blossom')
          const layers = [
            {
              ...extra,
              id: 'dots',
              tipId,
              stroke: { kind: 'dot', radiusMm: 2, tallMm: 2 },
              load: { kind: 'plain', role: flower.roles[0].id },
            },
          ]
          await put(`/flowers/${flower.id}`, { ...flower, layers }, '"1"').expect(200)
          return { id: flower.name, undo: `/flowers/${flower.id}` }
        },
      ],
    ]
    for (const [way, use] of ways) {
      const tip = await ownTip()
      const { id, undo } = await use(tip.id)
      const refused = await server.api.delete(`/api/tips/${tip.id}`)
      expect([way, refused.status, refused.body.code]).toEqual([way, 409, 'still-in-use'])
      expect(refused.body.detail).toContain(id)
      await server.api.delete(`/api${undo}`).expect(204)
      await server.api.delete(`/api/tips/${tip.id}`).expect(204)
      // deleted, it is still needed by what can be brought back
      await server.api.delete(`/api/deleted/tips/${tip.id}`).expect(409)
      await server.api.post(`/api/deleted${undo}/restore`).expect(204)
      const { workshop } = await stored()
      expect(
        workshop.tips.some((t: { id: string }) => t.id === tip.id),
        way,
      ).toBe(true)
      await server.api.delete(`/api${undo}`).expect(204)
      await server.api.delete(`/api/deleted${undo}`).expect(204)
      await server.api.delete(`/api/tips/${tip.id}`).expect(204)
      await server.api.delete(`/api/deleted/tips/${tip.id}`).expect(204)
    }
  })

  it('an icing kind, by an order or by one of its pieces', async () => {
    for (const of of ['order', 'piece'] as const) {
      const icing = await copyOf('icings', 'royal')
      const order = await begin(
        `By ${of}`,
        of === 'order' ? { icingKindId: icing.id } : { pieces: [{ ...piece({}), icingKindId: icing.id }] },
      )
      expect((await server.api.delete(`/api/icings/${icing.id}`).expect(409)).body.detail).toContain(
        `By ${of}`,
      )
      await server.api.delete(`/api/orders/${order.id}`).expect(204)
      await server.api.delete(`/api/icings/${icing.id}`).expect(204)
      await server.api.delete(`/api/icings/${icing.id}`).expect(404)
      await server.api.post(`/api/deleted/orders/${order.id}/restore`).expect(204)
      expect((await stored()).workshop.icings.some((i: { id: string }) => i.id === icing.id)).toBe(true)
    }
  })

  it('is listed when it is deleted, the last first, with what tells it apart', async () => {
    const tip = await ownTip()
    const icing = await copyOf('icings', 'royal')
    const order = await begin('Gone')
    for (const path of [`/orders/${order.id}`, `/icings/${icing.id}`, `/tips/${tip.id}`])
      await server.api.delete(`/api${path}`).expect(204)
    const { body } = await server.api.get('/api/deleted').expect(200)
    expect(body.slice(0, 3)).toMatchObject([
      { kind: 'tips', name: 'seven', about: expect.stringMatching(/7 mm/), due: null },
      { kind: 'icings', name: icing.name, due: null },
      { kind: 'orders', name: 'Gone', due: '2026-12-01T10:00' },
    ])
    const moments = body.map((d: { deletedAt: string }) => d.deletedAt)
    expect(moments).toEqual([...moments].sort().reverse())
  })
})

describe('records', () => {
  it('of bowls: newest first, each with its order, refused by the field that is not there', async () => {
    const mix = {
      ...{ orderId: 'tea', colourId: 'c', icingKindId: 'butter-sugar', grams: 200 },
      ...{ doses: [{ dyeId: 'pink', drops: 6 }], targetHex: '#ffb0be', observedHex: '#ffa0b0' },
    }
    const add = (change: object) => server.api.post('/api/mixes').send({ ...mix, ...change })
    const [a, b] = [(await add({}).expect(200)).body, (await add({ grams: 300 }).expect(200)).body]
    await add({ orderId: 'other' }).expect(200)
    const list = async () => (await server.api.get('/api/orders/tea/mixes').expect(200)).body
    expect((await list()).map((m: { id: string }) => m.id)).toEqual([b.id, a.id])
    expect((await list())[1]).toMatchObject(mix)
    const wrong = await add({ icingKindId: 'gone' }).expect(422)
    expect(wrong.body.errors[0].pointer).toBe('/icingKindId')
    const dye = await add({ doses: [...mix.doses, { dyeId: 'gone', drops: 1 }] }).expect(422)
    expect(dye.body.errors[0].pointer).toBe('/doses/1/dyeId')
    await server.api.delete(`/api/mixes/${a.id}`).expect(204)
    await server.api.delete(`/api/mixes/${a.id}`).expect(404)
    expect(await list()).toHaveLength(1)
  })

  it('of weighings: newest first, of their own flower only', async () => {
    const weigh = (flower: string, body: object) =>
      server.api
        .post(`/api/flowers/${flower}/weighings`)
        .send({ count: 3, grams: 30, icingKindId: 'butter-sugar', note: '', sure: true, ...body })
    const a = (await weigh('peony', { note: 'first' }).expect(200)).body
    const b = (await weigh('peony', { note: 'second' }).expect(200)).body
    const { body } = await server.api.get('/api/flowers/peony/weighings').expect(200)
    expect(body.map((w: { note: string }) => w.note)).toEqual(['second', 'first'])
    expect((await server.api.get('/api/flowers/daisy/weighings').expect(200)).body).toEqual([])
    await weigh('nothing', {}).expect(404)
    expect((await weigh('peony', { icingKindId: 'gone' }).expect(422)).body.errors[0].pointer).toBe(
      '/icingKindId',
    )
    await server.api.delete(`/api/flowers/daisy/weighings/${a.id}`).expect(404)
    for (const { id } of [a, b]) await server.api.delete(`/api/flowers/peony/weighings/${id}`).expect(204)
    // computed at the recipe's own size and by the icing's own density
    const density = (id: string) => starterWorkshop.icings.find((i) => i.id === id)!.density
    const royal = (await weigh('peony', { icingKindId: 'royal' }).expect(200)).body
    expect(royal.computedGrams / a.computedGrams).toBeCloseTo(density('royal') / density('butter-sugar'), 6)
  })
})

describe('orders in files and lists', () => {
  it('a file is called by its title, in letters that every system takes', async () => {
    const name = async (title: string) => {
      const order = await begin(title)
      const { headers } = await server.api.get(`/api/orders/${order.id}/file`).expect(200)
      return /filename="?([^"]*)"?$/.exec(headers['content-disposition']!)?.[1]
    }
    expect(await name('Tea for two')).toBe('tea-for-two.json')
    expect(await name('Crème & “Brûlée”!')).toBe('creme-brulee.json')
    expect(await name('桜')).toBe('order.json')
    expect(await name('--a/../b--')).toBe('a-b.json')
  })

  it('every table is there under its name, and the answer to another name lists them', async () => {
    const demo = JSON.parse(readFileSync(new URL('../../demo/observatory.json', import.meta.url), 'utf8'))
    const { order } = (await server.api.post('/api/orders/import').send(demo).expect(200)).body
    const refused = await server.api.get(`/api/orders/${order.id}/plan/none.csv`).expect(404)
    const names = /Tables are: (.*)\./.exec(refused.body.detail)![1]!.split(', ')
    expect(names).toEqual(
      expect.arrayContaining(['colours', 'bags', 'batches', 'base', 'supplies', 'demand']),
    )
    await planOf(server, order.id)
    const { headers, text } = await server.api.get(`/api/orders/${order.id}/plan/bags.csv`).expect(200)
    expect(headers['content-disposition']).toMatch(/-bags\.csv"?$/)
    expect(text.split('\r\n').length).toBeGreaterThan(5)
    // the orders’ names and customers are searched, in any case
    const found = async (search: string) =>
      (await server.api.get(`/api/orders?search=${encodeURIComponent(search)}`)).body.total
    expect(await found(order.title.slice(0, 6).toUpperCase())).toBeGreaterThan(0)
    expect(await found(order.customer)).toBeGreaterThan(0)
    expect(await found('nobody of that name')).toBe(0)
  })

  it('an order is read with its version, and copied as often as wanted under titles of their own', async () => {
    const order = await begin('Copied', { practicePerFlower: 3 })
    const read = await server.api.get(`/api/orders/${order.id}`).expect(200)
    expect([read.headers.etag, read.body.version, read.body.order.practicePerFlower]).toEqual(['"2"', 2, 3])
    const copies = []
    for (let i = 0; i < 3; i++)
      copies.push((await server.api.post(`/api/orders/${order.id}/duplicate`).expect(200)).body)
    expect(new Set(copies.map((c) => c.order.title)).size).toBe(3)
    expect(new Set(copies.map((c) => c.order.id)).size).toBe(3)
    for (const copy of copies) expect(copy).toMatchObject({ version: 1, order: { practicePerFlower: 3 } })
    await server.api.post('/api/orders/none/duplicate').expect(404)
    await server.api.post('/api/orders/none/restore').expect(404)
    await put('/orders/none', { ...order, id: 'none' }, '"1"').expect(404)
  })
})
