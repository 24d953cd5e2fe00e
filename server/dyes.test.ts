import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testApi } from './testing/api.ts'
import { dyeCurveHex } from './testing/dyes.ts'

type Api = Awaited<ReturnType<typeof testApi>>
let server: Api
beforeAll(async () => {
  server = await testApi()
})
afterAll(() => server.close())

const dyes = async () => (await server.api.get('/api/workshop').expect(200)).body.workshop.dyes
const dye = async (id: string) => (await dyes()).find((d: { id: string }) => d.id === id)

describe('dyes', () => {
  it('keep what the bakery says of them, and their catalogue hue', async () => {
    const before = await dye('teal')
    expect(before.owned).toBe(false)
    const dabs = [{ drops: 1, hex: '#a8dccd', icingKindId: 'butter-sugar' }]
    await server.api
      .put('/api/dyes/teal')
      .set('If-Match', '"0"')
      .send({ ...before, owned: true, dabs, name: 'Other', weights: { red: 9 } })
      .expect(200)
    expect(await dye('teal')).toMatchObject({ owned: true, dabs, name: 'Teal', weights: before.weights })
    // somebody who had not seen that does not overwrite it
    await server.api.put('/api/dyes/teal').set('If-Match', '"0"').send(before).expect(412)
  })

  it('of the bakery’s own come and go; a dab in an icing that is not there is refused by name', async () => {
    const bottle = { name: 'Market rose', weights: { ros: 0.3 }, owned: true, dropGrams: 0.04, dabs: [] }
    const wrong = { ...bottle, dabs: [{ drops: 2, hex: '#ffc0cb', icingKindId: 'gone' }] }
    const refused = await server.api.post('/api/dyes').send(wrong).expect(422)
    expect(refused.body.errors).toMatchObject([{ pointer: '/dabs/0/icingKindId' }])
    const made = (await server.api.post('/api/dyes').send(bottle).expect(200)).body
    expect(await dye(made.id)).toMatchObject({ name: 'Market rose', source: 'own' })
    await server.api.delete(`/api/dyes/${made.id}`).expect(204)
    expect(await dye(made.id)).toBeUndefined()
    await server.api.delete('/api/dyes/lemon').expect(404)
  })

  it('learn from a bowl that came out stronger, and forget it again', async () => {
    const mix = {
      orderId: 'o',
      colourId: 'c',
      icingKindId: 'butter-sugar',
      grams: 200,
      doses: [{ dyeId: 'pink', drops: 6 }],
      targetHex: '#ffb0be',
      // what four and a half drops in 100 g look like, and only three went in
      observedHex: dyeCurveHex('pink', 4.5),
    }
    const kept = (await server.api.post('/api/mixes').send(mix).expect(200)).body
    const { learnt } = await dye('pink')
    expect(learnt.mixes).toBe(1)
    expect(Math.exp(learnt.log)).toBeGreaterThan(1.2)
    expect((await server.api.get('/api/orders/o/mixes')).body).toEqual([kept])
    await server.api
      .post('/api/mixes')
      .send({ ...mix, doses: [{ dyeId: 'gone', drops: 1 }] })
      .expect(422)
    await server.api.delete(`/api/mixes/${kept.id}`).expect(204)
    expect((await dye('pink')).learnt.mixes).toBe(0)
  })
})

describe('flower files', () => {
  it('go out and come in as the bakery’s own, and faults name the field', async () => {
    const file = (await server.api.get('/api/flowers/rose/file').expect(200)).body
    expect(file.format).toBe('kanten-flower')
    const own = (await server.api.post('/api/flowers/import').send(file).expect(200)).body
    expect(own).toMatchObject({ name: 'Classic rose 2', source: 'own' })
    expect(own.id).not.toBe('rose')
    const broken = structuredClone(file)
    broken.flower.layers[1].tipId = 'round-3'
    const refused = await server.api.post('/api/flowers/import').send(broken).expect(422)
    expect(refused.body.errors).toMatchObject([{ pointer: '/flower/layers/1/tipId' }])
  })
})
