import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import type { Order } from '#core/model/order'
import { newOrder } from '#core/orders/new'
import { planOrder, type UnplannableOrderError } from '#core/plan/index'
import { MOST_LAYERS } from '#core/plan/limits'
import type { ProblemError } from '../http/problems.ts'
import { hostileOrders, taskOf } from '../testing/hostile.ts'
import { type PlanPool, planPool } from './pool.ts'

const textOf = async (bytes: Promise<Uint8Array>) => new TextDecoder().decode(await bytes)

let pool: PlanPool
beforeAll(async () => {
  pool = planPool()
  await pool.ready()
})
afterAll(() => pool.close())

describe('plans on threads of their own', () => {
  it('are planned, or refused in words when they take too long; never more than so many letters', async () => {
    // the benchmark goes through all of them
    const orders = hostileOrders().filter((_, i) => i % 4 === 0)
    const answers: string[] = []
    for (const { order, workshop } of orders) {
      const text = await textOf(pool.plan(taskOf({ order, workshop }))).catch((error: Error) => error.message)
      answers.push(text.slice(0, 60))
      expect(text.length).toBeLessThan(8_000_001)
    }
    expect(answers.length).toBe(5)
    for (const answer of answers)
      expect(answer).toMatch(/^\{|^Its plan|^The flowers of this order|^Other plans/)
  })

  it('are made for a small order as soon as the hostile one before it is given up', async () => {
    const tea = newOrder('a', 'Tea', '2026-12-01T10:00', 'butter-sugar')
    const teaTask = taskOf({ order: tea, workshop: starterWorkshop })
    const endless = hostileOrders().find((o) => o.name === '2 pieces of endless strokes')!
    const refused = pool.plan(taskOf(endless)).catch(({ code, message }: ProblemError) => ({ code, message }))
    // a machine that is busy with other tests too may ask to come back, as it asks everybody
    const inTime = (ask: () => Promise<Uint8Array>): Promise<string> =>
      textOf(ask()).catch((error: ProblemError) => {
        if (error.code === 'busy') return inTime(ask)
        throw error
      })
    const tables = await Promise.all([
      inTime(() => pool.plan(teaTask)),
      inTime(() => pool.table({ ...teaTask, table: 'bags' })),
    ])
    expect([JSON.parse(tables[0]!).orderId, tables[1]]).toEqual(['a', '\r\n'])
    expect(await refused).toEqual({
      code: 'too-much-to-plan',
      message: expect.stringMatching(/^Its plan was not done in time\. Split the order/),
    })
  })

  it('wait for nobody who asks when orders have to be begun', async () => {
    const tea = newOrder('a', 'Tea', '2026-12-01T10:00', 'butter-sugar')
    const endless = taskOf(hostileOrders().find((o) => o.name === '2 pieces of endless strokes')!)
    let placed = false
    const { workshop, ...stored } = endless
    const starts = pool
      .coming({ orders: [stored, stored, stored, stored], workshop, now: '2026-11-30T08:00' })
      .then((bytes) => {
        placed = true
        return textOf(Promise.resolve(bytes))
      })
    const made = await textOf(pool.plan(taskOf({ order: tea, workshop: starterWorkshop })))
    expect([JSON.parse(made).orderId, placed]).toEqual(['a', false])
    expect(JSON.parse(await starts)).toEqual({ starts: [] })
  })

  it('ask to come back when too many wait', async () => {
    const { order, workshop } = hostileOrders()[0]!
    const all = await Promise.allSettled(
      Array.from({ length: 60 }, () => pool.plan(taskOf({ order, workshop }))),
    )
    const why = all.flatMap((a) =>
      a.status === 'rejected' ? [a.reason as { status: number; retryAfterS: number }] : [],
    )
    expect(why.length).toBeGreaterThan(20)
    for (const { status, retryAfterS } of why) expect(status === 422 || retryAfterS === 2).toBe(true)
    expect(why.filter((w) => w.status === 503).length).toBeGreaterThan(20)
  })
})

describe('the size of an order', () => {
  const layered = (layersWanted: number): Order => {
    const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
    const placed = (i: number) => ({
      id: `f${i}`,
      flowerId: 'rose',
      placement: { kind: 'each' as const, perPiece: 1 },
      sizeMm: null,
      colours: {},
      tips: {},
      stiffness: {},
      leftOut: [],
      batch: null,
      twoTone: {},
      layerColours: {},
      added: [],
    })
    const flowers = Math.ceil(layersWanted / rose.layers.length)
    return {
      ...newOrder('a', 'Many', '2026-12-01T10:00', 'butter-sugar'),
      pieces: Array.from({ length: Math.ceil(flowers / 40) }, (_, p) => ({
        id: `p${p}`,
        name: `Piece ${p}`,
        count: 5000,
        shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
        icingKindId: null,
        crumbCoat: null,
        coat: null,
        filling: null,
        ownTiers: [],
        setOns: [],
        wish: null,
        layouts: [],
        flowers: Array.from({ length: Math.min(40, flowers - 40 * p) }, (_, i) => placed(i)),
      })),
    }
  }
  it('is judged by its layers, not by how many equal cupcakes there are', () => {
    expect(planOrder(layered(60), starterWorkshop).totals.flowers).toBe(50_000)
    try {
      planOrder(layered(MOST_LAYERS + 6), starterWorkshop)
      expect.unreachable()
    } catch (error) {
      const { faults } = error as UnplannableOrderError
      expect(faults[0]!.path).toEqual(['pieces', 0, 'flowers'])
      expect(faults[0]!.message).toMatch(/4,0\d\d layers to pipe; one plan takes 4,000/)
    }
  })
})
