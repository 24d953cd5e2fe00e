import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type PracticeTry, practiceTrySchema } from '#core/model/practiceTry'
import { testApi } from '../testing/api.ts'

let server: Awaited<ReturnType<typeof testApi>>
beforeAll(async () => {
  server = await testApi()
})
afterAll(() => server.close())

const made = (id: string, at: string): PracticeTry =>
  practiceTrySchema.parse({
    ...{ schemaVersion: 1, id, drill: 'shells', label: 'Shells round a circle', at, person: 'Ada' },
    ...{ opening: { family: 'round', diameterMm: 3 }, stiffness: 'medium', gentle: false, hand: 'right' },
    ...{ senses: { squeeze: 'timing', height: false, nail: false }, marks: 57, parts: [], says: 'late' },
    ...{ headline: 'Stop squeezing before you lift.', trace: 'AAAA' },
  })
const put = (one: object, id = 'b') => server.api.put(`/api/practice/${id}`).send(one)

describe('tries at drills', () => {
  it('are kept once, listed oldest first without what the hand did, watched again and deleted', async () => {
    const [later, sooner] = [made('b', '2027-08-15T10:00'), made('a', '2027-08-14T10:00')]
    await put(later).expect(200)
    await put({ ...later, marks: 99 }).expect(200)
    await put(sooner, 'a').expect(200)
    const { trace: _, ...mark } = later
    const list = await server.api.get('/api/practice').expect(200)
    expect(list.body.map((t: PracticeTry) => t.id)).toEqual(['a', 'b'])
    expect(list.body[1]).toEqual(mark)
    expect((await server.api.get('/api/practice/b').expect(200)).body).toEqual(later)
    await server.api.delete('/api/practice/b').expect(204)
    await server.api.delete('/api/practice/b').expect(404)
  })
  it('are refused by the field that is wrong', async () => {
    const wrong = await put({ ...made('c', '2027-08-15T10:00'), drill: '../x', marks: 140 }, 'c').expect(422)
    expect(wrong.body.errors.map((e: { pointer: string }) => e.pointer)).toEqual(['/drill', '/marks'])
    await put(made('c', '2027-08-15T10:00'), 'd').expect(422)
  })
})
