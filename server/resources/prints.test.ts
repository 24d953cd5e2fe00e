import { readFileSync } from 'node:fs'
import jsQR from 'jsqr'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StoredRun } from '#contract/bench'
import type { Order } from '#core/model/order'
import { type PrintKind, printKinds } from '#core/prints/kinds'
import { codeDrawing } from '../prints/code.ts'
import { canSet } from '../prints/fonts.ts'
import { testApi } from '../testing/api.ts'
import { type ReadPage, readPdf } from '../testing/readPdf.ts'

/** What a ruler laid on the paper would still be told. */
const TRUE_MM = 0.3

let server: Awaited<ReturnType<typeof testApi>>
let run: { id: string }
/** Work begins; other tests plan too, and may be asked for first. */
async function begin(): Promise<{ id: string }> {
  const { status, body } = await server.api.post('/api/orders/observatory/bench')
  return status === 503 ? begin() : body
}
beforeAll(async () => {
  server = await testApi({ hosts: ['bench.example'] })
  const demo = JSON.parse(readFileSync(new URL('../../demo/observatory.json', import.meta.url), 'utf8'))
  await server.api.post('/api/orders/import').send(demo).expect(200)
  run = await begin()
})
afterAll(() => server.close())

async function print(kind: PrintKind, query = '', host = '127.0.0.1') {
  for (;;) {
    const answer = await server.api
      .get(`/api/orders/observatory/prints/${kind}.pdf${query}`)
      .set('Host', host)
      .buffer(true)
      .parse((res, done) => {
        const parts: Buffer[] = []
        res.on('data', (part: Buffer) => parts.push(part))
        res.on('end', () => done(null, Buffer.concat(parts)))
      })
    // other tests plan too
    if (answer.status === 503) continue
    expect(answer.status).toBe(200)
    expect(answer.headers['content-type']).toBe('application/pdf')
    return await readPdf(answer.body as Buffer)
  }
}
const said = (pages: readonly ReadPage[]) => pages.map((p) => p.text).join(' ')
const wide = (pages: readonly ReadPage[], mm: number) =>
  pages.map((p) => p.boxes.some((b) => Math.abs(b.widthMm - mm) < TRUE_MM && b.heightMm < 4))

describe('prints, read by another program', () => {
  it.each(printKinds)(
    '%s: every page is A4, carries a line of 100 mm, and brings its own fonts',
    async (kind) => {
      const pages = await print(kind)
      expect(pages.length).toBeGreaterThan(0)
      for (const page of pages) {
        expect(Math.abs(page.widthMm - 210)).toBeLessThan(TRUE_MM)
        expect(Math.abs(page.heightMm - 297)).toBeLessThan(TRUE_MM)
        expect(page.text).toContain('this line is 100 mm')
        expect(page.fonts.length).toBeGreaterThan(0)
        for (const font of page.fonts) expect(font, kind).toMatchObject({ embedded: true })
      }
      expect(wide(pages, 100)).not.toContain(false)
      // letters that no face has would be boxes on paper
      expect([...new Set(said(pages))].filter((letter) => !canSet(letter, 'text'))).toEqual([])
    },
  )

  it('are true to size: a nail’s outline, a label off a roll with its own line', async () => {
    const nails = await print('nailGuides')
    const rounds = nails.flatMap((p) => p.boxes).filter((b) => Math.abs(b.widthMm - b.heightMm) < 0.05)
    // hellebores are piped on a nail of 50 mm, in this order on no page fewer than there are squares
    expect(rounds.filter((b) => Math.abs(b.widthMm - 50) < TRUE_MM).length).toBeGreaterThanOrEqual(12)
    const roll = await print('bagLabels', '?widthMm=57&heightMm=32&on=roll')
    for (const page of roll) {
      expect(Math.abs(page.widthMm - 57)).toBeLessThan(TRUE_MM)
      expect(Math.abs(page.heightMm - 32)).toBeLessThan(TRUE_MM)
    }
    expect(wide(roll.slice(0, 1), 50)).toEqual([true])
    expect(roll[1]!.text).toMatch(/^Bag\s+1 /)
  })

  it('carry a code only where it opens something: another machine’s tablet finds the run at that bag', async () => {
    const squares = async (host: string) =>
      (await print('bagLabels', '', host))
        .flatMap((p) => p.boxes)
        .filter((b) => {
          return Math.abs(b.widthMm - b.heightMm) < 0.5 && b.widthMm > 8 && b.widthMm < 13
        }).length
    const tips = await squares('127.0.0.1')
    const { frozen } = (await server.api.get(`/api/bench/${run.id}`).expect(200)).body as StoredRun
    const labels = frozen.plan.bags.reduce((sum, b) => sum + b.fillings, 0)
    expect(await squares('bench.example')).toBe(tips + labels)
  })

  it('stay as they were when work began, whatever the order becomes; the quote follows the order', async () => {
    const before = said(await print('bagLabels'))
    const { body } = await server.api.get('/api/orders/observatory').expect(200)
    const order: Order = body.order
    const named = order.colours.map((c) => ({ ...c, name: `${c.name} Łódź` }))
    const prices = { [order.pieces[0]!.id]: 3.75 }
    await server.api
      .put('/api/orders/observatory')
      .set('If-Match', `"${body.version}"`)
      .send({ ...order, colours: named, offer: { prices, words: '' } })
      .expect(200)
    expect(said(await print('bagLabels'))).toBe(before)
    expect(said(await print('quote'))).toContain('3.75')
    await server.api.delete(`/api/bench/${run.id}`).expect(204)
    const after = await print('bagLabels', '?widthMm=100&heightMm=50')
    // from three files of one face
    expect(said(after).replaceAll(' ', '')).toContain('ŁódźDahlia')
    expect(after[0]!.fonts.length).toBeGreaterThan(2)
  })

  it('refuse a size that no label has, by its field, and a print that there is none of', async () => {
    const { body } = await server.api
      .get('/api/orders/observatory/prints/bagLabels.pdf?heightMm=4')
      .expect(422)
    expect(body.errors).toEqual([{ pointer: '/heightMm', detail: 'At least 18 mm high.' }])
    await server.api.get('/api/orders/observatory/prints/banners.pdf').expect(404)
    await server.api.get('/api/orders/nobody/prints/bagLabels.pdf').expect(404)
  })
})

it('a code is read by another program as what it was made from', () => {
  const text = 'https://bench.example:4310/bench/0b8f6c9e-1c77-4d7e-b7a2-5d1f6a3f9c10?bag=12'
  const { svg, widthMm } = codeDrawing(text)
  const side = Math.round(widthMm * 2)
  const px = 4
  const image = new Uint8ClampedArray((side * px) ** 2 * 4).fill(255)
  for (const [, x, y, long] of svg.matchAll(/M(\d+) (\d+)\.5h(\d+)/g))
    for (let row = 0; row < px; row++) {
      const at = (Number(y) * px + row) * side * px + Number(x) * px
      for (let i = at; i < at + Number(long) * px; i++) image.fill(0, 4 * i, 4 * i + 3)
    }
  expect(jsQR(image, side * px, side * px)?.data).toBe(text)
})
